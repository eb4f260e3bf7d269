import { IsIn, IsOptional, IsString, Length } from 'class-validator';
import type { Person } from './accounts.js';
import type { SubmissionRow, WorkState } from './works.js';

export const ANCHORS = ['topic', 'link', 'map'] as const;
export type Anchor = (typeof ANCHORS)[number];

export class NewComment {
  @IsIn(ANCHORS, { message: 'a comment speaks of a topic, a link or the whole map' })
  anchor!: Anchor;

  /** the topic's or link's id; left out for the whole map */
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

export interface CommentRow {
  id: string;
  anchor: Anchor;
  target: string | null;
  text: string;
  by: Person;
  at: string;
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
  /** all of the work's, newest first */
  submissions: SubmissionRow[];
}
