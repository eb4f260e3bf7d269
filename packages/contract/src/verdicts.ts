import {
  ArrayMaxSize,
  ArrayMinSize,
  IsBoolean,
  IsIn,
  IsOptional,
  IsString,
  Length,
  MaxLength,
  ValidateIf,
} from 'class-validator';
import type { Person } from './accounts.js';

export const VERDICT_WORDS = ['sound', 'shaky', 'wrong'] as const;
type VerdictWord = (typeof VERDICT_WORDS)[number];

/** What one thinks a verdict was when one gives another; `none` where there was none. */
const SEEN = [...VERDICT_WORDS, 'none'] as const;

/** A word on propositions, or on what shows a target; null takes it back. */
export class GiveVerdict {
  /** keys of what is said */
  @IsString({ each: true })
  @Length(1, 4000, { each: true })
  @ArrayMinSize(1)
  @ArrayMaxSize(200)
  keys!: string[];

  @ValidateIf((one: GiveVerdict) => one.verdict !== null)
  @IsIn(VERDICT_WORDS, { message: 'a verdict is sound, shaky or wrong' })
  verdict!: VerdictWord | null;

  /** true, but too little is said */
  @IsOptional()
  @IsBoolean()
  thin?: boolean;

  @IsOptional()
  @IsString()
  @MaxLength(2000, { message: 'a remark has room for 2,000 characters' })
  remark?: string;

  /** what stood there when it was given: where it is another by now, nothing is written over it */
  @IsOptional()
  @IsIn(SEEN)
  seen?: (typeof SEEN)[number];
}

export interface VerdictRow {
  verdict: VerdictWord;
  thin: boolean;
  remark: string;
  by: Person;
  at: string;
}

/** A proposition of one map, with the verdict that holds there. */
export interface MapProposition {
  key: string;
  /** the links that say it */
  links: string[];
  judged: VerdictRow | null;
  /** whether the verdict is this map's own, another than the class's */
  own: boolean;
}

interface JudgedTogether {
  key: string;
  /** works that hold it */
  works: string[];
  judged: VerdictRow | null;
  /** works in which it is judged otherwise */
  otherwise: { workId: string; judged: VerdictRow }[];
}

export interface PropositionRow extends JudgedTogether {
  from: string;
  phrase: string;
  to: string;
  /** concepts and the folded phrase, to put near wordings together */
  said: { from: string; phrase: string; to: string };
  turned: number;
}

export interface OutcomeRow extends JudgedTogether {
  target: string;
  topic: string;
}

/** Everything the maps of a class say, each once. */
export interface ClassPropositions {
  publicationId: string;
  assignmentId: string;
  title: string;
  className: string;
  works: { workId: string; submissionId: string; members: Person[]; complete: boolean; returned: boolean }[];
  propositions: PropositionRow[];
  outcomes: OutcomeRow[];
}

/** What became of a verdict for a class. */
export interface VerdictGiven {
  /** maps in which it now holds and whose mark may be another by it */
  maps: number;
  /** maps that say it and went back already: they keep what they were returned with */
  returned: number;
}
