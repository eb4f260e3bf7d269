/**
 * Words of lessons for which the sets have no drawing of that name, each with those that stand for it: what a person looks
 * for under the one is shown under the others.
 */
const GROUPS: readonly string[] = [
  'river stream brook creek canal current bank: water wave canoe boat swimming',
  'flood flooded inundation overflow tide dam dyke: water wave rain droplets',
  'storm hurricane gale tempest typhoon: wind thunderstorm tornado lightning cyclone rain',
  'ferry ferryman ferrywoman boatman crossing: ferry canoe rowing boat ship',
  'landing quay pier jetty dock wharf harbour harbor port: anchor harbor boat ship',
  'bridge span arch pillar footbridge viaduct beam truss: bridge',
  'village hamlet town settlement: house houses home cityscape',
  'road street lane path way highway route: motorway road',
  'widow widower grief mourning loneliness alone: woman old crying sad',
  'curtain drape blind: window',
  'rope cord string cable chain tie: knot link chain',
  'lamp lantern torch candle light: lantern bulb flashlight candle',
  'power energy electricity current voltage battery: battery electric plug voltage bulb',
  'steel iron metal ore mining mine: gear nut bolt hammer pick',
  'concrete cement mortar wall building construction: brick construction building',
  'stone rock boulder pebble cliff: rock mountain',
  'seed grain sprout germination growth crop harvest: seedling sheaf plant herb',
  'plough plow field farm farming agriculture peasant: tractor farmer sheaf ear',
  'root stem trunk branch bark: tree plant seedling',
  'soil earth ground land mud: globe seedling mountain brick',
  'court law justice judge trial right rights: scale balance scales judge',
  'trade market merchant commerce shop goods: money coin cart shopping store',
  'poor poverty hunger need famine: pot money bowl plate',
  'rich wealth treasure gold fortune: gem money coin crown',
  'king queen kingdom ruler emperor throne monarchy noble: crown prince princess castle',
  'war battle fight soldier army weapon conflict: sword crossed swords shield guard',
  'peace treaty truce agreement friendship: dove handshake peace',
  'courage brave bravery hero heroine strength: superhero biceps lion muscle',
  'fear afraid terror danger: scream fearful warning',
  'help aid rescue care: buoy handshake ambulance raising',
  'death grave tomb funeral burial: coffin headstone skull',
  'birth born newborn childhood: baby bottle breast',
  'noise sound echo tone loud: loudspeaker ear bell speaker',
  'shadow dark darkness: silhouette moon night',
  'lens microscope optics magnify: magnifying microscope glasses telescope',
  'force push pull pressure weight load gravity: muscle biceps weight lifter elephant balance',
  'heat warmth temperature cold frost: thermometer fire snowflake sun hot',
  'machine engine motor factory industry steam: gear factory locomotive robot',
  'cell nucleus tissue bacteria virus: microbe dna petri microscope',
  'idea thought invention mind reason: bulb light brain thinking',
  'question problem doubt riddle: question thinking',
  'answer solution result: check mark bulb',
  'cause reason source origin: question arrow',
  'end goal aim target finish: flag target bullseye trophy',
  'begin beginning start origin: seedling flag egg green',
  'story tale novel legend myth: book scroll dragon',
  'poem poet writer author pen: feather writing fountain pen',
  'school class lesson pupil student: school backpack books graduation',
  'family parents relatives ancestors: family woman man child',
  'crowd people society population: people busts bust',
  'vote election democracy parliament government: ballot classical',
  'religion faith church temple mosque prayer god: church mosque synagogue folded hands place worship',
  'slave slavery captivity prison freedom: chains chain lock unlocked dove',
  'journey travel voyage explorer discovery: compass map ship luggage',
  'climate weather season warming: sun cloud thermometer globe',
  'waste rubbish garbage litter pollution recycling: wastebasket recycling factory litter',
];

const known: ReadonlyMap<string, readonly string[]> = new Map(
  GROUPS.flatMap((group) => {
    const [sought, shown] = group.split(':').map((words) => words.trim().split(' '));
    return sought!.map((word) => [word, shown!] as const);
  }),
);

export const EVERY_SYNONYM: readonly string[] = [...known.keys()];

/** English words under which drawings stand that show what is meant; none where nobody wrote any down. */
export const standingFor = (word: string): readonly string[] => known.get(word) ?? known.get(singular(word)) ?? [];

const singular = (word: string): string => word.replace(/(?:(?<=[sxz]|ch|sh)es|(?<!s)s)$/, '');
