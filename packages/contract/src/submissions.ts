import {
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  MaxLength,
  ValidateIf,
} from 'class-validator';
import type { Person } from './accounts.js';
import type { SubmissionRow, WorkState } from './works.js';

export const ANCHORS = ['topic', 'link', 'proposition', 'region', 'result', 'spot', 'map'] as const;
export type Anchor = (typeof ANCHORS)[number];

/** A spot of a map as a comment's target: x and y, whole canvas units. */
export const spotTarget = ({ x, y }: { x: number; y: number }): string => `${Math.round(x)} ${Math.round(y)}`;
/** Where a target is that names a spot; null for any other. */
export function spotOf(target: string | null | undefined): { x: number; y: number } | null {
  const [, x, y] = /^(-?\d{1,7}) (-?\d{1,7})$/.exec(target ?? '') ?? [];
  return x !== undefined && y !== undefined ? { x: Number(x), y: Number(y) } : null;
}

export class NewComment {
  @IsIn(ANCHORS, {
    message: 'a comment speaks of a topic, a link, a proposition, a region, a result, a spot or the whole map',
  })
  anchor!: Anchor;

  /** the topic's, link's or requirement's id, for a proposition its link's, of a spot where it is; left out for the whole map */
  @IsOptional()
  @IsString()
  @Length(1, 200)
  target?: string;

  @IsString()
  @Length(1, 2000, { message: 'a comment has 1 to 2,000 characters' })
  text!: string;
}

export class ChangeComment {
  @IsString()
  @Length(1, 2000, { message: 'a comment has 1 to 2,000 characters' })
  text!: string;
}

/** Says that a thread is done with, or opens it again. */
export class SettleComment {
  @IsBoolean()
  settled!: boolean;
}

export const JUDGEMENT_KINDS = ['result', 'criterion', 'feel', 'person'] as const;
export type JudgementKind = (typeof JUDGEMENT_KINDS)[number];

/**
 * A level of a criterion, points in place of a result's, what the whole is worth by feel, which counts nothing and is
 * what weights are learned from, or what one of a group has more or less than the others; null takes back what was given.
 */
export class Judge {
  @IsIn(JUDGEMENT_KINDS, { message: 'a result or a criterion is judged' })
  kind!: JudgementKind;

  /** the requirement's, criterion's or person's id; of a mark by feel `whole` */
  @IsString()
  @Length(1, 200)
  subject!: string;

  /** points, the position of a level, or by feel a share of 1; of a person points more, or below nothing fewer */
  @ValidateIf((judge: Judge) => judge.value !== null)
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'a mark is a number' })
  value!: number | null;

  @IsOptional()
  @IsString()
  @MaxLength(2000, { message: 'a reason has room for 2,000 characters' })
  reason?: string;

  /** what stood there when it was given, null where nothing did: where it is another by now, nothing is written over it */
  @IsOptional()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  seen?: number | null;

  /** the number of the revision it is given under: what a level or a result is may be another by now */
  @IsOptional()
  @IsInt()
  revision?: number;
}

export interface JudgementRow {
  kind: JudgementKind;
  subject: string;
  value: number;
  reason: string;
  by: Person;
  at: string;
}

export type MarkChangeKind = JudgementKind | 'verdict' | 'return' | 'take back' | 'check again';

export interface MarkChangeRow {
  kind: MarkChangeKind;
  subject: string;
  before: number | null;
  after: number | null;
  reason: string;
  by: Person;
  at: string;
}

/** A letter that goes with a return; its blanks, such as {name}, are filled for each. */
export class ReturnMaps {
  @IsOptional()
  @IsString()
  @MaxLength(2000, { message: 'a letter has room for 2,000 characters' })
  letter?: string;

  /** that something on it is not judged, and counts nothing, is meant so */
  @IsOptional()
  @IsBoolean()
  unjudged?: boolean;
}

export interface ReturnedMaps {
  returned: number;
  /** maps that are not complete, and so were not returned */
  left: number;
}

export interface CommentRow {
  id: string;
  anchor: Anchor;
  target: string | null;
  text: string;
  by: Person;
  at: string;
  answers: { id: string; text: string; by: Person; at: string }[];
  /** whether one of the two said that it is done with */
  settled: boolean;
}

/** The threads on a map that is drawn. */
export interface WorkComments {
  comments: CommentRow[];
  /** up to when who asks has read them; null: nothing yet */
  readUntil: string | null;
  /** who reads them and may be mentioned: who draws the map, and who teaches them */
  people: Person[];
  /** whether who asks may begin a thread */
  mayBegin: boolean;
}

/** How far somebody has read the threads on a map. */
export class ReadComments {
  @IsISO8601({ strict: true })
  until!: string;
}

export interface SubmissionDetail {
  id: string;
  workId: string;
  publicationId: string;
  number: number;
  title: string;
  className: string;
  members: Person[];
  handedInBy: Person;
  handedInAt: string;
  due: string | null;
  late: boolean;
  note: string;
  /** the file it was brought in from, by whoever handed it in for its students */
  broughtFrom: string | null;
  state: WorkState;
  returnedAt: string | null;
  returnedBy: Person | null;
  revision: number;
  /** what mend left out of the map, said at hand-in */
  leftOut: number;
  map: Record<string, unknown>;
  assignment: Record<string, unknown>;
  report: Record<string, unknown>;
  /** whether a member has read what was returned */
  opened: boolean;
  /** what was written to its students with the return */
  letter: string | null;
  /** whether who asks marks it a second time, and sees nothing of what the first gave and said */
  marksSecond: boolean;
  /** whether its student may see the reference map now */
  showsReference: boolean;
  /** all of the work's, newest first */
  submissions: SubmissionRow[];
}
