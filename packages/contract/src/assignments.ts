import { IsBoolean, IsISO8601, IsObject, IsOptional, IsUUID } from 'class-validator';
import type { Person } from './accounts.js';
import { PublicationTerms } from './publications.js';
import type { ExtensionRow } from './publications.js';

export class BringInAssignment {
  /** a parsed assignment file; its insides are read by core and may hold unknown fields */
  @IsObject({ message: 'the file holds no assignment' })
  file!: Record<string, unknown>;
}

/** What is not said about its terms: students may hand in again, see the example, and not the reference. */
export class NewPublication extends PublicationTerms {
  @IsUUID(undefined, { message: 'choose a class' })
  classId!: string;

  /** an instant with offset */
  @IsOptional()
  @IsISO8601({ strict: true }, { message: 'choose a due date and time' })
  due?: string;

  /** an instant with offset; left out or null: at once */
  @IsOptional()
  @IsISO8601({ strict: true }, { message: 'choose a date and time to open it' })
  opens?: string;
}

/** What is left out stays as it is. */
export class ChangeAssignment {
  /** put away, or taken out again */
  @IsOptional()
  @IsBoolean()
  archived?: boolean;
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
  /** until then its students do not see it */
  opens: string | null;
  showsReference: boolean;
  showsExample: boolean;
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
  archived: boolean;
  /** the class whose standing rules these are; null for an assignment that can be given out */
  rulesOf: ClassName | null;
  /** the class whose standing rules it began with, and whether it took over the newest ones */
  follows: (ClassName & { newest: boolean }) | null;
  publications: PublicationRow[];
}

export interface ClassName {
  classId: string;
  className: string;
}

export interface AssignmentDetail extends AssignmentRow {
  /** an assignment file's JSON value */
  file: Record<string, unknown>;
}
