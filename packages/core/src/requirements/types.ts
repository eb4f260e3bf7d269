import type { MapIndex } from '../map-index/map-index.js';
import type { Assignment, CheckContext, Level } from '../map/types.js';
import type { Point } from '../geometry/points.js';

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

/** The members of a list: texts as they are, or things to say. */
type Listed = readonly (string | Said)[];

/** What a message's arguments are. A list is said as "A, B and C", `anyOf` as "A, B or C". */
export type Data = Readonly<Record<string, string | number | boolean | undefined | Listed | { anyOf: Listed }>>;

/** Something to say: a code, for which a catalogue has the message, and what that message is about. */
export interface Said {
  code: string;
  data?: Data;
  /** the sentence itself, in a report of the first version, which kept sentences */
  words?: string;
}

/** Evidence as a check gives it: what it names, and what is said of it. */
export interface Finding extends Said {
  topics?: string[];
  links?: string[];
  term?: string;
  /** false: it explains and flags nothing */
  flag?: boolean;
  /** where on the map it shows, when that is no topic or link (meeting points), canvas units */
  points?: Point[];
}

/** What a check answers; its code and data are the one-line summary under the sentence. */
export interface Verdict extends Said {
  fraction: number;
  /** whether a person must look before the fraction is believed */
  judge?: boolean;
  figures?: Record<string, number>;
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

type Rules = Readonly<Record<string, ParamRule>>;

/** The value a rule describes. */
type ValueOf<R extends ParamRule> = R extends { type: 'number' }
  ? number
  : R extends { type: 'choice'; options: readonly (infer O)[] }
    ? O
    : R extends { type: 'choices'; options: readonly (infer O)[] }
      ? readonly O[]
      : R extends { type: 'boolean' }
        ? boolean
        : R extends { type: 'kinds' | 'linkKinds' | 'texts' }
          ? readonly string[]
          : R extends { type: 'pairs' }
            ? readonly (readonly [from: string, to: string])[]
            : R extends { type: 'list'; of: infer F extends Rules }
              ? readonly ParamsOf<F>[]
              : string;

type IsSure<R extends ParamRule> = R extends { default: unknown } | { required: true } ? true : false;

/** The parameters that rules describe, the defaults in place: one without a default that is not required may be missing. */
export type ParamsOf<R extends Rules> = {
  [K in keyof R as IsSure<R[K]> extends true ? K : never]: ValueOf<R[K]>;
} & { [K in keyof R as IsSure<R[K]> extends true ? never : K]?: ValueOf<R[K]> };

type Params = Record<string, unknown>;

/** Where a type's answers are: such a requirement is checked on the server alone. */
export interface Answers<P> {
  /** the parameters with their answers taken out; its sentence reads the same with them */
  without(params: P): P;
  /** codes of evidence that name an answer */
  telling: readonly string[];
}

/**
 * One requirement type: all that any part of the product knows of it. Words are ICU messages (Unicode, *MessageFormat*), in
 * English; `wording/` makes sentences of them and may hold them in other languages, by the same codes.
 */
export interface RequirementType<P = Params, R extends Rules = Rules> {
  /** as the registry has it */
  id: string;
  group: GroupId;
  /** whether it asks for something to be made, or to be kept: what a bare starter has and careless work loses */
  asks(params: P): 'made' | 'kept';
  /** whether these parameters ask for nothing at all: any map meets it */
  asksNothing?(params: P, assignment: Assignment): boolean;
  /** once met, no addition to the map loses it: a starter that meets it leaves nothing to do */
  staysMet?: true;
  /** it looks at nothing but how things look, which students cannot change where looks are fixed */
  looksOnly?: true;
  /** it counts from the starting topic */
  needsRoot?: true;
  /** a teacher's own reference map need not meet it */
  notOfReference?: true;
  /** whether its verdict depends on where topics and links are drawn, not only on what they are */
  readsPlaces?: true;
  params: R;
  /** what of it a student's browser must not be sent, since it holds answers */
  answers?: Answers<P>;
  /** the requirement as a person reads it; `<b-min>…</b-min>` around what shows the parameter `min`, its blank */
  sentence: string;
  /** what the sentence's arguments are, where that is not the parameters themselves */
  shown?(params: P, assignment: Assignment): Data;
  /** by code: summaries and evidence, in the second person */
  messages: Readonly<Record<string, string>>;
  /** its verdict, or the code of the message that says why it does not apply */
  check(params: P, input: CheckInput): Verdict | { doesNotApply: string };
}

/** Gives a type's functions their parameters, typed by its own rules. */
export const requirementType = <const R extends Rules>(
  type: RequirementType<ParamsOf<R>, R>,
): RequirementType<ParamsOf<R>, R> => type;

export const STATUSES = ['met', 'partly', 'unmet', 'judge', 'not-applicable'] as const;
export type Status = (typeof STATUSES)[number];

export interface Evidence extends Said {
  topics: string[];
  links: string[];
  term?: string;
  flag?: boolean;
  points?: Point[];
}

/** What came of one requirement; its code and data are the summary. */
export interface Result extends Said {
  id: string;
  type: string;
  level: Level;
  status: Status;
  /** 0 to 1, null when it does not apply */
  fraction: number | null;
  points: number;
  outOf: number;
  figures: Record<string, number>;
  evidence: Evidence[];
}

/** What is stored and sent: codes and data. `reportFile` makes the file of it, with sentences. */
export interface Report {
  version: 2;
  results: Result[];
  earned: number;
  outOf: number;
}
