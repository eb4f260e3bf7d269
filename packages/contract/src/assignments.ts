import { IsBoolean, IsISO8601, IsObject, IsOptional, IsUUID } from 'class-validator';

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

export interface PublicationRow {
  id: string;
  classId: string;
  className: string;
  revision: number;
  due: string | null;
  mayHandInAgain: boolean;
}

export interface AssignmentRow {
  id: string;
  title: string;
  focusQuestion: string;
  revision: number;
  broughtIn: string;
  publications: PublicationRow[];
}

export interface AssignmentDetail extends AssignmentRow {
  /** an assignment file's JSON value */
  file: Record<string, unknown>;
}
