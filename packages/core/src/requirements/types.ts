import type { MapIndex } from '../map-index/map-index.js';
import type { Assignment, CheckContext, Level } from '../map/types.js';
import type { Point } from '../geometry/points.js';
import type { RequirementId } from './catalogue.js';

/** What a teacher wants to see; the order in which requirements are listed. */
export const GROUPS = ['content', 'structure', 'propositions', 'style', 'layout', 'making'] as const;
export type GroupId = (typeof GROUPS)[number];

export const GROUP_TITLES: Record<GroupId, string> = {
  content: 'Everything is there',
  structure: 'It hangs together',
  propositions: 'Links say something',
  style: 'You can see what is what',
  layout: 'It can be read',
  making: 'It was made as asked',
};

/** Evidence as a check gives it: ids and data. Its sentence is made by the type's `messages`. */
export interface Finding {
  message: string;
  data?: Record<string, string | number>;
  topics?: string[];
  links?: string[];
  term?: string;
  /** false: it explains and flags nothing */
  flag?: boolean;
  /** where on the map it shows, when that is no topic or link (meeting points), canvas units */
  points?: Point[];
}

export interface Verdict {
  fraction: number;
  /** whether a person must look before the fraction is believed */
  judge?: boolean;
  figures?: Record<string, number>;
  /** key and data of the one-line summary under the sentence */
  message: string;
  data?: Record<string, string | number>;
  evidence: Finding[];
}

export interface CheckInput {
  index: MapIndex;
  assignment: Assignment;
  context: CheckContext | undefined;
}

export type ParamRule =
  | { type: 'number'; default?: number; least?: number; most?: number; whole?: boolean; required?: boolean }
  | { type: 'choice'; options: readonly string[]; default?: string }
  | { type: 'choices'; options: readonly string[] }
  | { type: 'boolean'; default: boolean }
  | { type: 'kind' | 'linkKind' | 'text'; required?: boolean }
  | { type: 'kinds' | 'linkKinds' | 'pairs'; required?: boolean }
  | { type: 'texts'; required?: boolean; mayBeEmpty?: boolean }
  | { type: 'list'; of: Readonly<Record<string, ParamRule>>; required?: boolean };

/** A sentence in pieces: plain words, or a blank that shows what a parameter holds. */
export type SentencePart = string | { param: string; text: string };

type Params = Record<string, unknown>;
type Message = (data: Record<string, string | number>) => string;

/** Where a type's answers are: such a requirement is checked on the server alone. */
export interface Answers<P extends Params> {
  /** the parameters with their answers taken out; its sentence reads the same with them */
  without: (params: P) => P;
  /** keys of evidence messages that name an answer */
  telling: readonly string[];
}

/** One requirement type: all that any part of the product knows of it. */
export interface RequirementType<P extends Params = Params> {
  id: RequirementId;
  group: GroupId;
  /** whether it asks for something to be made, or to be kept: what a bare starter has and careless work loses */
  asks: (params: P) => 'made' | 'kept';
  /** whether its verdict depends on where topics and links are drawn, not only on what they are */
  readsPlaces?: true;
  params: { [K in keyof P]-?: ParamRule };
  /** what of it a student's browser must not be sent, since it holds answers */
  answers?: Answers<P>;
  /** the requirement as a person reads it, its blanks filled; `P` has the defaults in place */
  sentence: (params: P, assignment: Assignment) => SentencePart[];
  /** by key: the summaries and evidence sentences, in the second person */
  messages: Record<string, Message>;
  /** null: the requirement does not apply, with the key of the message that says why */
  check: (params: P, input: CheckInput) => Verdict | { doesNotApply: string };
}

/** Keeps the parameters of a type typed inside its file and opaque outside it. */
export const requirementType = <P extends Params>(type: RequirementType<P>): RequirementType =>
  type as unknown as RequirementType;

export const STATUSES = ['met', 'partly', 'unmet', 'judge', 'not-applicable'] as const;
export type Status = (typeof STATUSES)[number];

export interface Evidence {
  topics: string[];
  links: string[];
  term?: string;
  /** the sentence, and beside it the key and data it was made of */
  message: string;
  code: string;
  data?: Record<string, string | number>;
  flag?: boolean;
  points?: Point[];
}

export interface Result {
  id: string;
  type: string;
  level: Level;
  status: Status;
  /** 0 to 1, null when it does not apply */
  fraction: number | null;
  points: number;
  outOf: number;
  sentence: string;
  message: string;
  figures: Record<string, number>;
  evidence: Evidence[];
}

export interface Report {
  format: 'ichnograph-report';
  version: 1;
  results: Result[];
  earned: number;
  outOf: number;
}
