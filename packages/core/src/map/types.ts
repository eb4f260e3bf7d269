/** The parts of a topic map, as map-file version 1 has them. Lengths are canvas units (1 unit = 1 CSS pixel at 100 %). */

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

/** What can be seen of a topic; each field may be left out, and then the kind or the default decides. */
export interface TopicLooks {
  shape?: Shape;
  /** `#rrggbb` or `none` */
  fill?: string;
  outline?: string;
  ink?: string;
  fontSize?: number;
  bold?: boolean;
  italic?: boolean;
  align?: Align;
}

export interface LinkLooks {
  route?: Route;
  /** −1 to 1: how far the line bows or where its elbow stands */
  bend?: number;
  colour?: string;
  width?: number;
  dash?: Dash;
  arrow?: Arrow;
}

export interface Topic extends TopicLooks {
  id: string;
  text: string;
  kind: string | null;
  /** the centre; y grows downward */
  x: number;
  y: number;
  width: number;
  height: number;
  minWidth?: number;
  minHeight?: number;
  z?: number;
  note?: string;
  source?: string;
  weblinks?: { url: string; title: string }[];
  pictures?: { src: string; alt: string }[];
  files?: { src: string; name: string }[];
  marks?: string[];
  sequence?: number;
  when?: string;
  /** the id of the starter topic it came from */
  origin?: string;
  /** starter only: the text is a prompt to be continued */
  toComplete?: boolean;
  folded?: boolean;
  by?: string;
  /** live documents only: a fractional key; files carry the order in the array itself */
  order?: string;
}

export interface Link extends LinkLooks {
  id: string;
  from: string;
  to: string;
  phrase: string;
  kind: string | null;
  /** 0 to 1 of the drawn part */
  phraseAt?: number;
  z?: number;
  origin?: string;
  by?: string;
  order?: string;
}

export interface LoosePicture {
  id: string;
  x: number;
  y: number;
  width: number;
  height: number;
  src: string;
  alt: string;
  z?: number;
  order?: string;
}
export interface Region {
  id: string;
  topics: string[];
  title: string;
  fill: string;
  order?: string;
}
export interface Group {
  id: string;
  topics: string[];
  order?: string;
}
export interface Tour {
  id: string;
  title: string;
  stops: { topic: string; words: string }[];
  order?: string;
}
/** A term waiting beside the map. In files it has no id; the reader gives one. */
export interface BankEntry {
  id: string;
  text: string;
  by?: string;
  note?: string;
  order?: string;
}

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

export const LIMITS = { topics: 5000, links: 10000, text: 300, note: 20000, allNotes: 2 * 1024 * 1024 } as const;

export interface TopicKind extends Pick<TopicLooks, 'outline' | 'ink' | 'fontSize'> {
  id: string;
  name: string;
  purpose: string;
  givenBy: 'teacher' | 'student';
  shape: Shape;
  fill: string;
  root?: boolean;
  structural?: boolean;
}

export interface LinkKind extends Pick<LinkLooks, 'route' | 'colour' | 'width' | 'dash' | 'arrow'> {
  id: string;
  name: string;
  structural?: boolean;
}

export type LegendReading = 'shape' | 'fill' | 'outline';
export interface Legend {
  readBy?: LegendReading[];
  topicKinds: TopicKind[];
  linkKinds: LinkKind[];
}

export interface Term {
  text: string;
  accept?: string[];
  kind?: string | null;
  under?: string | null;
  /** `map`: in the starter; left out: in the bank */
  place?: 'map' | 'bank';
}

export type Level = 'must' | 'should' | 'extra';
export interface Requirement {
  id: string;
  type: string;
  params: Record<string, unknown>;
  level: Level;
  points: number;
  hint?: string;
}
export interface Criterion {
  id: string;
  name: string;
  levels: { name: string; points: number; description: string }[];
}

export interface Assignment {
  title: string;
  focusQuestion: string;
  brief: string;
  language: string;
  styleMode: 'guided' | 'free';
  looks?: 'open' | 'fixed';
  legend: Legend;
  terms: Term[];
  root?: string;
  starter: TopicMap | null;
  reference: TopicMap | null;
  requirements: Requirement[];
  criteria: Criterion[];
}

/** What is known of the making of a map beside the map itself. Instants are ISO 8601 with an offset. */
export interface CheckContext {
  members?: string[];
  due?: string | null;
  handedIn?: string | null;
}

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
