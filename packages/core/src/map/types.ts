import { anyRecord, boolean, listOf, number, oneOf, oneOfNumbers, orNull, record, text, written } from './fields.js';
import type { Field, ValueOf } from './fields.js';

/**
 * The parts of a topic map and of an assignment, as version 1 of their files has them: what each field may hold is said
 * here and nowhere else. Lengths are canvas units (1 unit = 1 CSS pixel at 100 %).
 */

export const SHAPES = [
  'rectangle',
  'rounded',
  'capsule',
  'note',
  'plain',
  'ellipse',
  'hexagon',
  'diamond',
  'parallelogram',
  'octagon',
  'signpost',
  'trapezoid',
] as const;
export const ROUTES = ['straight', 'curved', 'elbow'] as const;
export const DASHES = ['solid', 'dashed', 'dotted'] as const;
export const ARROWS = ['forward', 'both', 'none'] as const;
export const ALIGNS = ['left', 'centre', 'right'] as const;

export type Shape = (typeof SHAPES)[number];
export type Route = (typeof ROUTES)[number];
export type Dash = (typeof DASHES)[number];
export type Arrow = (typeof ARROWS)[number];
export type Align = (typeof ALIGNS)[number];

export const LIMITS = { topics: 5000, links: 10000, text: 300, note: 20000, allNotes: 2 * 1024 * 1024 } as const;
/** How far from the origin anything may stand, and how long it may be. */
export const FAR = 1e6;
export const LONGEST = 20_000;

const SHORT = 200;
/** How far what is to be done about a topic has come. */
export const TASK_STATES = ['to do', 'under way', 'done'] as const;
const id = text(SHORT, 1);
const kind = orNull(text(SHORT));
const position = number({ least: -FAR, most: FAR });
const length = number({ above: 0, most: LONGEST });
const colour = written(/^#[0-9a-fA-F]{6}$/);
/** `#rrggbb` or `none` */
const fill = written(/^(none|#[0-9a-fA-F]{6})$/);
const fontSize = number({ least: 4, most: 200 });
const words = text(LIMITS.text);
/** Of the web, or not finished yet; what a browser would run is none. */
const address: Field<string> = {
  ...text(2000),
  allows: (value) => text(2000).allows(value) && !isRun(value as string),
};
const RUN = ['javascript:', 'vbscript:', 'data:', 'blob:', 'file:'];
/** Browsers overlook white space and control characters in a scheme. */
const isRun = (url: string): boolean => {
  const scheme = [...url.slice(0, 200)]
    .filter((sign) => sign > ' ')
    .join('')
    .toLowerCase();
  return RUN.some((one) => scheme.startsWith(one));
};
const strokeWidth = number({ least: 0.1, most: 100 });

export const TOPIC = record(
  {
    id,
    text: words,
    kind,
    /** the centre; y grows downward */
    x: position,
    y: position,
    width: length,
    height: length,
  },
  {
    minWidth: length,
    minHeight: length,
    shape: oneOf(SHAPES),
    fill,
    outline: colour,
    ink: colour,
    fontSize,
    bold: boolean,
    italic: boolean,
    align: oneOf(ALIGNS),
    z: position,
    note: text(LIMITS.note),
    source: text(LIMITS.note),
    weblinks: listOf(record({ url: address }, { title: words })),
    /** `src` says which (`picture-src`); its size where a hand set one, canvas units */
    pictures: listOf(record({ src: text(SHORT) }, { alt: text(2000), width: length, height: length })),
    /** its pictures alone are drawn; its text, which says what they show, is its name everywhere else */
    wordless: boolean,
    files: listOf(record({ src: text(SHORT) }, { name: words })),
    marks: listOf(text(100)),
    /** how many words its author means to write about it and what is below it */
    wordGoal: number({ least: 1, most: 100_000 }),
    /** what is still to be done about it, until which day, and by whom (ids of accounts) */
    task: record(
      { state: oneOf(TASK_STATES) },
      { due: written(/^\d{4}-\d\d-\d\d$/), who: listOf(text(SHORT, 1), { most: 20 }) },
    ),
    sequence: number(),
    when: words,
    /** the id of the starter topic it came from */
    origin: text(SHORT),
    /** it waited in the student's own bank: deleted, it waits there again */
    parked: boolean,
    /** starter only: the text is a prompt to be continued */
    toComplete: boolean,
    folded: boolean,
    by: words,
  },
);

export const LINK = record(
  { id, from: id, to: id, phrase: words, kind },
  {
    route: oneOf(ROUTES),
    colour,
    width: strokeWidth,
    dash: oneOf(DASHES),
    arrow: oneOf(ARROWS),
    /** how far the line bows or where its elbow stands */
    bend: number({ least: -1, most: 1 }),
    /** how far along the drawn part its words stand */
    phraseAt: number({ least: 0, most: 1 }),
    /** the font size of its words */
    phraseSize: fontSize,
    z: position,
    origin: text(SHORT),
    by: words,
  },
);

/** A picture that belongs to no topic. */
export const PICTURE = record(
  { id, x: position, y: position, width: length, height: length, src: text(SHORT), alt: text(2000) },
  {
    z: position,
    /** how faint it is, as paper that is traced */
    opacity: number({ least: 0.05, most: 1 }),
    /** whether it lies still under the hand */
    fixed: boolean,
  },
);
export const REGION = record({ id, topics: listOf(id), title: words, fill });
export const GROUP = record({ id, topics: listOf(id) });
export const TOUR = record({ id, title: words, stops: listOf(record({ topic: id, words: text(5000) })) });
/** A term waiting beside the map. In files it has no id; the reader gives one. */
export const BANK_ENTRY = record({ text: words }, { by: words, note: text(2000) });

/** How much room the title block's fields have, in characters. */
export const TITLE_ROOM = { title: LIMITS.text, author: LIMITS.text, focusQuestion: 1000 } as const;

interface Ordered {
  /** live documents only: a fractional key; files carry the order in the array itself */
  order?: string;
}
export interface Topic extends ValueOf<typeof TOPIC>, Ordered {}
export interface Link extends ValueOf<typeof LINK>, Ordered {}
export interface LoosePicture extends ValueOf<typeof PICTURE>, Ordered {}
export interface Region extends ValueOf<typeof REGION>, Ordered {}
export interface Group extends ValueOf<typeof GROUP>, Ordered {}
export interface Tour extends ValueOf<typeof TOUR>, Ordered {}
export interface BankEntry extends ValueOf<typeof BANK_ENTRY>, Ordered {
  id: string;
}

/** What is still to be done about a topic. */
export type TopicTask = NonNullable<Topic['task']>;
/** What can be seen of a topic; each field may be left out, and then the kind or the default decides. */
export const TOPIC_LOOKS = ['shape', 'fill', 'outline', 'ink', 'fontSize', 'bold', 'italic', 'align'] as const;
export type TopicLooks = Pick<Topic, (typeof TOPIC_LOOKS)[number]>;
export const LINK_LOOKS = ['route', 'bend', 'colour', 'width', 'dash', 'arrow', 'phraseSize'] as const;
export type LinkLooks = Pick<Link, (typeof LINK_LOOKS)[number]>;

const name = text(100, 1);
const TOPIC_KIND = record(
  {
    id,
    name,
    purpose: text(500),
    givenBy: oneOf(['teacher', 'student']),
    shape: oneOf(SHAPES),
    fill,
  },
  { outline: colour, ink: colour, fontSize, root: boolean, structural: boolean },
);
const LINK_KIND = record(
  { id, name },
  {
    route: oneOf(ROUTES),
    colour,
    width: strokeWidth,
    dash: oneOf(DASHES),
    arrow: oneOf(ARROWS),
    structural: boolean,
  },
);
const READINGS = ['shape', 'fill', 'outline'] as const;
export const LEGEND = record(
  { topicKinds: listOf(TOPIC_KIND, { most: 60 }), linkKinds: listOf(LINK_KIND, { most: 60 }) },
  { readBy: listOf(oneOf(READINGS), { least: 1 }) },
);

export type LegendReading = (typeof READINGS)[number];
export interface TopicKind extends ValueOf<typeof TOPIC_KIND> {}
export interface LinkKind extends ValueOf<typeof LINK_KIND> {}
export interface Legend extends ValueOf<typeof LEGEND> {}

/** A map as its file has it; `format` and `version` are the reader's business. */
export const MAP = record(
  {
    title: text(TITLE_ROOM.title),
    author: text(TITLE_ROOM.author),
    focusQuestion: text(TITLE_ROOM.focusQuestion),
    topics: listOf(TOPIC, { most: LIMITS.topics }),
    links: listOf(LINK, { most: LIMITS.links }),
  },
  {
    pictures: listOf(PICTURE),
    regions: listOf(REGION),
    groups: listOf(GROUP),
    tours: listOf(TOUR),
    wordBank: listOf(BANK_ENTRY),
    legend: LEGEND,
  },
);

export interface TopicMap {
  title: string;
  author: string;
  focusQuestion: string;
  topics: readonly Topic[];
  links: readonly Link[];
  pictures: readonly LoosePicture[];
  regions: readonly Region[];
  groups: readonly Group[];
  tours: readonly Tour[];
  wordBank: readonly BankEntry[];
  legend?: Legend;
}

/** The lists of a map whose members have an id and an order. */
export const COLLECTIONS = ['topics', 'links', 'pictures', 'regions', 'groups', 'tours', 'wordBank'] as const;
export type Collection = (typeof COLLECTIONS)[number];
export type MemberOf<C extends Collection> = TopicMap[C][number];

const points = number({ least: 0, most: 1000 });
const TERM = record(
  { text: text(LIMITS.text, 1) },
  {
    accept: listOf(words),
    kind,
    under: orNull(words),
    /** `map`: in the starter; left out: in the bank */
    place: oneOf(['map', 'bank']),
  },
);
export const REQUIREMENT = record(
  { id, type: id, params: anyRecord, level: oneOf(['must', 'should', 'extra']), points },
  { hint: text(2000) },
);
const CRITERION = record({
  id,
  name: text(LIMITS.text, 1),
  levels: listOf(record({ name: words, points, description: text(2000) })),
});

const share = number({ least: 0, most: 1 });
const weight = number({ least: 0, most: 100 });
const STRUCTURAL = record({
  points,
  /** the score that gives all the points */
  full: number({ least: 1, most: 10_000 }),
  proposition: weight,
  level: weight,
  crossLink: weight,
  example: weight,
  exampleKinds: listOf(id, { most: 60 }),
});

/** How marks come of what was judged; left out of a file, they are plain points. */
const MARKS = record(
  {
    /** shares of what a map is marked out of, taken off for every started 24 hours after it was due */
    late: orNull(record({ perDay: share, most: share })),
    /** propositions judged sound (shaky ones half), as a share of `full`, give these points */
    propositions: orNull(record({ points, full: number({ least: 1, most: 1000 }) })),
    scale: record(
      { as: oneOf(['points', 'percent', 'named', 'pass']) },
      {
        decimals: oneOfNumbers([0, 1, 2]),
        thresholds: listOf(record({ name: words, from: share }), { most: 20 }),
        passAt: share,
      },
    ),
    /** what students see of a check while they work */
    whileWorking: oneOf(['points', 'states', 'nothing']),
  },
  {
    /** a score of propositions judged sound, levels, cross-links and examples, as a share of `full`, gives these points */
    structural: orNull(STRUCTURAL),
  },
);

/** What a teacher may leave out of what students draw with. */
export const DRAWING_TOOLS = ['arrange', 'looks', 'notes', 'pictures', 'regions'] as const;
export type DrawingTool = (typeof DRAWING_TOOLS)[number];

/** What students are given to draw with; left out, everything, and as many topics as they like. */
const DRAWING = record(
  {},
  {
    /** false: nobody lays the map out but the student's own hand */
    tidy: boolean,
    /** whether they may bring in one of their own maps */
    ownMaps: boolean,
    /** false: maps of it are not shared with others; true: others may be let draw on them too; left out: they may be shown */
    sharing: boolean,
    /** false: students begin no threads of comments on their map while they draw; whoever teaches may */
    comments: boolean,
    /** the tools that are shown; left out, all */
    tools: listOf(oneOf(DRAWING_TOOLS)),
    /** for the young: a topic begins with its picture */
    pictureFirst: boolean,
    /** how many topics of their own students are to make at most: said, not enforced */
    mostOwnTopics: number({ least: 1, most: LIMITS.topics }),
    /** what helps to gather them */
    gatheringHint: text(500),
  },
);

/** An assignment as its file has it. Its maps are read by the reader of maps. */
export const ASSIGNMENT = record(
  {
    title: text(LIMITS.text, 1),
    focusQuestion: text(1000),
    brief: text(20000),
    language: text(35, 2),
    styleMode: oneOf(['guided', 'free']),
    legend: LEGEND,
    terms: listOf(TERM, { most: 1000 }),
    starter: orNull(anyRecord),
    reference: orNull(anyRecord),
    requirements: listOf(REQUIREMENT, { most: 200 }),
    criteria: listOf(CRITERION, { most: 50 }),
  },
  { looks: oneOf(['open', 'fixed']), root: words, marks: MARKS, drawing: DRAWING },
);

export interface Term extends ValueOf<typeof TERM> {}
export interface Requirement extends ValueOf<typeof REQUIREMENT> {}
export type Level = Requirement['level'];
export interface Criterion extends ValueOf<typeof CRITERION> {}
export interface StructuralScoring extends ValueOf<typeof STRUCTURAL> {}
export interface MarkRules extends ValueOf<typeof MARKS> {}
export interface Assignment extends Omit<ValueOf<typeof ASSIGNMENT>, 'starter' | 'reference'> {
  starter: TopicMap | null;
  reference: TopicMap | null;
}

/** An instant of ISO 8601 with an offset. */
const instant = written(/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/);
/** What is known of the making of a map beside the map itself. */
export const CONTEXT = record({}, { members: listOf(words), due: orNull(instant), handedIn: orNull(instant) });
export interface CheckContext extends ValueOf<typeof CONTEXT> {}

export const emptyMap = (): TopicMap => ({
  title: '',
  author: '',
  focusQuestion: '',
  topics: [],
  links: [],
  pictures: [],
  regions: [],
  groups: [],
  tours: [],
  wordBank: [],
});
