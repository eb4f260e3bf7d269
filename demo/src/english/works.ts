import { seeded, spoil } from '@ichnograph/core';
import type { Assignment, Sketch, TopicMap, WayName } from '@ichnograph/core';
import { draw } from '../draw.js';
import { ferryman, lighthouses } from './assignments.js';

/** A drawn map as one that was begun from the starter: what it gave is known by its origin. */
export const asBegun = (map: TopicMap, { starter }: Assignment): TopicMap => ({
  ...map,
  topics: map.topics.map((topic) =>
    starter!.topics.some(({ id }) => id === topic.id) ? { ...topic, origin: topic.id } : topic,
  ),
});

const of = (kind: string) => ({ outline: ferryman.legend.topicKinds.find(({ id }) => id === kind)!.outline! });
const [PERSON, EVENT, SIGN] = [of('person'), of('event'), of('sign')];

/** A sketch that is drawn when the school is loaded; until then it is named by this. */
export const LANDING = 'sketch of the landing';

const picture = (src: string, alt: string, side = 56) => ({ pictures: [{ src, alt, width: side, height: side }] });
const line = (text: string) => ({ note: `“${text}”` });

const storyMap: TopicMap = draw(
  ferryman.legend,
  'Why nobody rings',
  [
    ['topic-1', 'The Ferryman’s Bell', 'root', 0, 0],
    ['topic-2', 'The people are proud and lonely', 'question', -459, 150],
    ['topic-3', 'The place is under water', 'question', -139, 150],
    ['topic-4', 'The trouble is that asking for help feels like shame', 'question', 156, 150],
    ['topic-5', 'The way out is that a child asks first', 'question', 459, 150],
    [
      'ferryman',
      'Ferryman',
      null,
      -541,
      300,
      { ...PERSON, ...picture('noto/person-rowing-boat', 'A man rowing a boat') },
    ],
    ['widow', 'Widow on the hill', null, -385, 300, { ...PERSON, ...picture('noto/old-woman', 'An old woman', 48) }],
    ['wait', 'He waits every night', null, -541, 500, { ...EVENT, ...line('He lit his pipe, and let it go out.') }],
    ['light', 'She sees his light and draws her curtain', null, -369, 500, EVENT],
    ['flood', 'Flooded landing', null, -139, 290, EVENT],
    ['bridge', 'The road ends in the river', null, -238, 400, EVENT],
    ['silence', 'The village stays silent', null, -49, 410, EVENT],
    ['dark', 'Dark water', null, -139, 540, { ...SIGN, ...line('The water kept what it was told.') }],
    [
      'bell',
      'Bell',
      null,
      156,
      320,
      { ...SIGN, ...picture('noto/bell', 'A bell'), ...line('It hung there like a question nobody would put.') },
    ],
    ['rope', 'Its rope is dry and stiff', null, 123, 540, SIGN],
    ['girl', 'Girl with a lantern', null, 459, 320, { ...PERSON, ...picture('noto/girl', 'A girl') }],
    ['brother', 'Her brother has a fever', null, 590, 480, EVENT],
    ['lantern', 'She swings her lantern over the water', null, 394, 480, EVENT],
    ['ring', 'She rings the bell', null, 271, 620, EVENT],
    ['answer', 'Windows light up, one after another', null, 558, 640, EVENT],
  ],
  [
    ['topic-1', 'lives by its', 'topic-2'],
    ['topic-1', 'is set where', 'topic-3'],
    ['topic-1', 'turns on', 'topic-4'],
    ['topic-1', 'ends when', 'topic-5'],
    ['topic-2', 'shows in the', 'ferryman', { phraseAt: 0.7 }],
    ['topic-2', 'hardens the', 'widow', { phraseAt: 0.35 }],
    ['ferryman', 'keeps his promise, so', 'wait'],
    ['widow', 'turns away:', 'light'],
    ['topic-3', 'begins with the', 'flood'],
    ['flood', 'means that', 'bridge'],
    ['flood', 'cuts off all, yet', 'silence'],
    ['silence', 'is answered by the', 'dark'],
    ['topic-4', 'hangs in the', 'bell'],
    ['bell', 'was left so long that', 'rope', { phraseAt: 0.25 }],
    ['topic-5', 'comes with the', 'girl'],
    ['girl', 'cannot wait:', 'brother'],
    ['girl', 'is not ashamed:', 'lantern'],
    ['lantern', 'gives her courage, and', 'ring'],
    ['ring', 'so that', 'answer'],
    ['silence', 'is the reason why', 'rope'],
    ['lantern', 'breaks in where', 'silence', { phraseAt: 0.22 }],
    ['ring', 'moves at last the', 'rope', { phraseAt: 0.4 }],
  ],
);

/** A story map as a good reader draws it: with pictures, a sketch of the landing, and a region round what she made up. */
export const mira: TopicMap = {
  ...storyMap,
  pictures: [
    {
      id: 'landing',
      x: -459,
      y: 670,
      width: 200,
      height: 125,
      src: LANDING,
      alt: 'The landing: a post with a bell, and water over the steps',
    },
  ],
  regions: [{ id: 'night', title: 'What the night hides', topics: ['wait', 'light'], fill: '#e3e6f0' }],
};

/** The landing, as Mira drew it with three pens. */
export const landing: Sketch = {
  width: 640,
  height: 400,
  strokes: [
    stroke('#6b7280', 9, [80, 120, 84, 330]),
    stroke('#6b7280', 9, [80, 124, 190, 118]),
    stroke('#8a5a00', 4, [186, 118, 186, 150]),
    stroke('#8a5a00', 20, [168, 196, 174, 162, 186, 152, 198, 162, 206, 196]),
    stroke('#8a5a00', 4, [160, 198, 214, 198]),
    stroke('#16202e', 4, [186, 206, 188, 296]),
    stroke('#16202e', 4, [300, 260, 380, 260, 380, 290, 460, 290, 460, 320, 560, 320]),
    ...[280, 310, 340].map((y) =>
      stroke('#3d4a9a', 9, Array.from({ length: 14 }, (_, i) => [40 + i * 42, y + (i % 2 === 0 ? -6 : 6)]).flat()),
    ),
    stroke('#b7791f', 20, [520, 150, 522, 152]),
    stroke('#16202e', 4, [520, 130, 520, 100, 540, 92]),
  ],
};

/** A stroke through points, each x and y, of a hand that presses evenly. */
function stroke(colour: string, size: number, places: readonly number[]): Sketch['strokes'][number] {
  const points: number[] = [];
  for (let i = 0; i < places.length; i += 2) points.push(places[i]!, places[i + 1]!, 0.5);
  return { colour, size, points };
}

/** The same story, told and not yet thought about. */
export const teo: TopicMap = draw(
  ferryman.legend,
  'The bell',
  [
    ['topic-1', 'The Ferryman’s Bell', 'root', 0, 0],
    ['topic-2', 'The people are sad', 'question', -360, 120],
    ['topic-3', 'The place is a river', 'question', -110, 120],
    ['topic-4', 'The trouble is …', 'question', 120, 120],
    ['topic-5', 'The way out is a girl', 'question', 350, 120],
    ['ferryman', 'Ferryman', null, -400, 250, PERSON],
    ['girl', 'Girl with a lantern', null, 370, 250, PERSON],
    ['flood', 'Flooded landing', null, -120, 250, EVENT],
    ['ring', 'She rings', null, 130, 270, EVENT],
  ],
  [
    ['topic-1', 'has', 'topic-2'],
    ['topic-1', 'has', 'topic-3'],
    ['topic-1', 'has', 'topic-4'],
    ['topic-1', 'has', 'topic-5'],
    ['topic-2', 'is the', 'ferryman'],
    ['topic-3', 'has a', 'flood'],
    ['topic-5', 'is the', 'girl'],
    ['girl', 'then', 'ring'],
  ],
);

/** Good maps gone wrong in the ways that real ones do. */
const gone = (title: string, seed: number, ...ways: WayName[]): TopicMap => {
  const random = seeded(seed);
  return ways.reduce<TopicMap>((map, way) => spoil(map, ferryman, way, random), {
    ...asBegun(mira, ferryman),
    pictures: [],
    regions: [],
    title,
  });
};

/** The rest of the class on the story. */
export const storyWorks: readonly { name: string; map: TopicMap; begun: number; handedIn?: number }[] = [
  { name: 'anouk', map: gone('The ferryman waits', 21, 'vague-phrases'), begun: -3, handedIn: -1 },
  { name: 'cato', map: gone('A bell', 22, 'strip-phrases'), begun: -3, handedIn: -1 },
  { name: 'dilnoza', map: gone('What the water keeps', 23, 'cut-loose'), begun: -2, handedIn: -1 },
  { name: 'elio', map: gone('Lantern', 24, 'cross-lines'), begun: -2 },
  { name: 'farida', map: gone('Shame and help', 25, 'double-topic'), begun: -4, handedIn: -2 },
  { name: 'kaia', map: gone('Nobody rings', 26, 'all-to-root'), begun: -1 },
];

const rows: readonly [kind: string, text: string][] = [
  ['known', 'They warn ships of rocks'],
  ['known', 'Each blinks in its own rhythm'],
  ['known', 'They stand on the coast'],
  ['known', 'A keeper lived inside'],
  ['guess', 'Today machines keep them'],
  ['guess', 'The light goes thirty kilometres'],
  ['wonder', 'Who pays for the lamp?'],
  ['wonder', 'What did a keeper do in fog?'],
];

/** What a class knew last term before it began; each left something out. */
export const knew = (leftOut: readonly number[]): TopicMap => {
  const kept = rows.filter((_, i) => !leftOut.includes(i));
  return draw(
    lighthouses.legend,
    'Lighthouses',
    [
      ['topic-1', 'Lighthouses', 'root', 0, 0],
      ...kept.map(([kind, text], i): [string, string, string, number, number] => [
        `own-${i}`,
        text,
        kind,
        -390 + (i % 4) * 260,
        i < 4 ? 130 : 250,
      ]),
    ],
    kept.map(([kind], i): [string, string, string] => [
      'topic-1',
      kind === 'known' ? 'I know:' : kind === 'guess' ? 'I think:' : 'I wonder:',
      `own-${i}`,
    ]),
  );
};
