import {
  ArrayMaxSize,
  ArrayMinSize,
  IsBoolean,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  MaxLength,
} from 'class-validator';
import type { Anchor } from './submissions.js';
import type { Person } from './accounts.js';

const SAYS = { message: 'a remark has 1 to 2,000 characters' };

/** With what a remark was just used: it is offered there again. */
export class UseRemark {
  @IsOptional()
  @IsString()
  @MaxLength(200)
  requirement?: string;

  @IsOptional()
  @IsString()
  @MaxLength(100)
  evidence?: string;
}

/** A comment to be kept for use again; blanks such as {topic} are filled when it is used. */
export class KeepRemark extends UseRemark {
  @IsString()
  @Length(1, 2000, SAYS)
  text!: string;

  /** kept with this assignment alone; else it is there for all of the teacher's */
  @IsOptional()
  @IsUUID()
  assignmentId?: string;
}

export class ChangeRemark {
  @IsString()
  @Length(1, 2000, SAYS)
  text!: string;
}

export interface RemarkRow {
  id: string;
  text: string;
  /** whether it is kept with this assignment alone */
  ofAssignment: boolean;
  /** whether it is one's own, to be changed and deleted; a colleague's is used */
  mine: boolean;
  requirement: string | null;
  evidence: string | null;
  uses: number;
}

/** One remark on every work that has the same evidence. */
export class RemarkOnMany {
  @IsString()
  @Length(1, 2000, SAYS)
  text!: string;

  @IsString()
  @Length(1, 200)
  requirement!: string;

  /** the code of the evidence; left out, any of the requirement's */
  @IsOptional()
  @IsString()
  @MaxLength(100)
  evidence?: string;

  /** the works it is put on, of those the preview named; left out with `preview` */
  @IsOptional()
  @IsUUID('all', { each: true })
  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  works?: string[];

  /** nothing is written: it is said what would be */
  @IsOptional()
  @IsBoolean()
  preview?: boolean;
}

/** What the remark says, or would say, on one work. */
export interface RemarkPlace {
  workId: string;
  submissionId: string;
  members: Person[];
  anchor: Anchor;
  target: string;
  text: string;
}

export interface RemarksGiven {
  /** names them, to take all of them back */
  batch: string | null;
  places: RemarkPlace[];
}
