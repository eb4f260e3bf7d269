import { IsInt, IsOptional, IsString, Length, MaxLength, Min } from 'class-validator';
import type { ShownMark } from '@ichnograph/core';
import type { Person } from './accounts.js';

export const WORK_STATES = ['not begun', 'in progress', 'handed in', 'being marked', 'returned', 'done'] as const;
export type WorkState = (typeof WORK_STATES)[number];

export class HandIn {
  @IsOptional()
  @IsString()
  @MaxLength(2000, { message: 'a note has room for 2,000 characters' })
  note?: string;

  /** which client hands in, and how many transactions it made: all of them must be stored first */
  @IsString()
  @Length(1, 64)
  client!: string;

  @IsInt()
  @Min(0)
  count!: number;
}

/** What a student has to do, for the page Today. */
export interface StudentTask {
  publicationId: string;
  workId: string | null;
  title: string;
  focusQuestion: string;
  className: string;
  due: string | null;
  state: WorkState;
  /** ISO instants, newest submission first */
  handedIn: string | null;
  late: boolean;
  returnedAt: string | null;
  submissionId: string | null;
  /** whether the map was changed after it was handed in last, and may be handed in again */
  changedSince: boolean;
  remarks: number;
  /** comments and answers of others on the map that is drawn, not read yet */
  unread: number;
}

/** What a class's assignment looks like from the teacher's desk. */
export interface TeacherTask {
  publicationId: string;
  assignmentId: string;
  title: string;
  className: string;
  due: string | null;
  counts: Record<WorkState, number>;
  /** comments and answers on maps that are drawn, which who asks has not read yet */
  unread: number;
  /** of those handed in and not returned: the earliest instant */
  oldestWaiting: string | null;
}

export interface WorkDetail {
  id: string;
  publicationId: string;
  title: string;
  className: string;
  due: string | null;
  state: WorkState;
  mayEdit: boolean;
  mayHandIn: boolean;
  /** whether the publication lets one hand in more than once */
  mayHandInAgain: boolean;
  /** whether the guide has a finished example, on another subject */
  showsExample: boolean;
  members: Person[];
  revision: number;
  /** an assignment file's JSON value, without the reference map */
  assignment: Record<string, unknown>;
  submissions: SubmissionRow[];
  /** what a newer revision brought that this work moved on to, until it is read */
  news: WorkNews | null;
}

/** Codes and data of core's `newsOf`. */
export interface WorkNews {
  from: number;
  requirements: { added: string[]; changed: string[]; removed: number };
  terms: { added: string[]; removed: string[] };
  parts: string[];
}

export interface SubmissionRow {
  id: string;
  number: number;
  handedInAt: string;
  late: boolean;
  /** without extra points */
  earned: number;
  outOf: number;
  extra: number;
  /** with what is judged so far, nothing rounded; a student reads their own, null before it is returned */
  mark: { sum: number; outOf: number; notJudged: number; shown: ShownMark } | null;
  returnedAt: string | null;
}

/** What one of a group has instead of the group's mark. */
export interface OwnMark {
  accountId: string;
  sum: number;
  shown: ShownMark;
}

export interface PileEntry {
  workId: string | null;
  members: Person[];
  state: WorkState;
  late: boolean;
  /** whether everyone who made it has left the class; what they handed in stays to be marked */
  left: boolean;
  /** comments and answers on the map that is drawn, which who asks has not read yet */
  unread: number;
  submission: PileSubmission | null;
}

export interface PileSubmission extends SubmissionRow {
  flags: number;
  broughtFrom: string | null;
  /** whether the person who asks has opened it */
  lookedAt: boolean;
  /** the mark given by feel, a share; null where none is */
  feel: number | null;
  /** of members whose mark is another than the group's */
  own: OwnMark[];
}

/** Somebody else who marks, and the map they have before them. */
export interface MarkerHere {
  person: Person;
  workId: string;
}

export interface Pile {
  publicationId: string;
  assignmentId: string;
  title: string;
  className: string;
  due: string | null;
  /** whether who asks marks it a second time */
  marksSecond: boolean;
  entries: PileEntry[];
}

/** A point in a map's history; without a name it was kept by itself. */
export interface VersionRow {
  id: string;
  /** ISO instant */
  at: string;
  name: string | null;
  by: string | null;
  topics: number;
  links: number;
}

export class NameVersion {
  @IsString()
  @Length(1, 200, { message: 'a version has a name of 1 to 200 characters' })
  name!: string;
}

/** What is still to be done about a topic of a group's map. */
export interface TaskOnMap {
  workId: string;
  topicId: string;
  text: string;
  /** of the assignment */
  title: string;
  className: string;
  state: 'to do' | 'under way';
  /** a day, YYYY-MM-DD */
  due: string | null;
  who: Person[];
  /** whether who asks is one of them */
  mine: boolean;
}
