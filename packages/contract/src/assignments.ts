import { IsBoolean, IsISO8601, IsObject, IsOptional, IsUUID } from 'class-validator';
import type { Person } from './accounts.js';
import type { ExtensionRow } from './publications.js';

export class BringInAssignment {
  /** a parsed assignment file; its insides are read by core and may hold unknown fields */
  @IsObject({ message: 'the file holds no assignment' })
  file!: Record<string, unknown>;
}

export class NewPublication {
  @IsUUID(undefined, { message: 'choose a class' })
  classId!: string;

  /** an instant with offset */
  @IsOptional()
  @IsISO8601({ strict: true }, { message: 'choose a due date and time' })
  due?: string;

  @IsOptional()
  @IsBoolean()
  mayHandInAgain?: boolean;
}

export class ShareAssignment {
  @IsUUID(undefined, { message: 'choose a teacher' })
  accountId!: string;
}

export interface PublicationRow {
  id: string;
  classId: string;
  className: string;
  revision: number;
  due: string | null;
  mayHandInAgain: boolean;
  closed: boolean;
  extensions: ExtensionRow[];
}

export interface AssignmentRow {
  id: string;
  title: string;
  focusQuestion: string;
  /** the newest one's number; 0 before it was first given out */
  revision: number;
  begunAt: string;
  owner: Person;
  /** the owner and collaborators change and give out; others who see it teach a class that has it */
  mayChange: boolean;
  /** those beside the owner who change it and give it out */
  sharedWith: Person[];
  publications: PublicationRow[];
}

export interface AssignmentDetail extends AssignmentRow {
  /** an assignment file's JSON value */
  file: Record<string, unknown>;
}
