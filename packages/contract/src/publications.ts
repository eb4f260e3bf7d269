// The nested list below is described by its members' class, which this keeps.
import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsISO8601,
  IsOptional,
  IsUUID,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import type { Person } from './accounts.js';
import type { WorkState } from './works.js';

/** What a class may see and do with an assignment. */
export class PublicationTerms {
  @IsOptional()
  @IsBoolean()
  mayHandInAgain?: boolean;

  /** whether a student sees the reference map once their map is returned */
  @IsOptional()
  @IsBoolean()
  showsReference?: boolean;

  /** whether the guide has a finished example, on another subject */
  @IsOptional()
  @IsBoolean()
  showsExample?: boolean;
}

/** What is left out stays as it is. */
export class ChangePublication extends PublicationTerms {
  /** an instant with offset; null for no due time */
  @IsOptional()
  @ValidateIf((change: ChangePublication) => change.due !== null)
  @IsISO8601({ strict: true }, { message: 'choose a due date and time' })
  due?: string | null;

  /** an instant with offset; null: at once */
  @IsOptional()
  @ValidateIf((change: ChangePublication) => change.opens !== null)
  @IsISO8601({ strict: true }, { message: 'choose a date and time to open it' })
  opens?: string | null;

  /** closed: nothing is drawn or handed in any more */
  @IsOptional()
  @IsBoolean()
  closed?: boolean;
}

/** More time for one student; null takes it back. */
export class Extend {
  @IsUUID(undefined, { message: 'choose a student' })
  accountId!: string;

  @ValidateIf((extension: Extend) => extension.due !== null)
  @IsISO8601({ strict: true }, { message: 'choose a date and time' })
  due!: string | null;
}

export class Revise {
  /** whether what was returned is checked again too */
  @IsOptional()
  @IsBoolean()
  returnedToo?: boolean;
}

export class Group {
  @IsArray({ message: 'a group is a list of students' })
  @ArrayMaxSize(100)
  @IsUUID(undefined, { each: true, message: 'choose students' })
  members!: string[];
}

/** Who makes one map together, of those who have not begun; whoever is in none works alone. */
export class SetGroups {
  @IsArray()
  @ArrayMaxSize(400)
  @ValidateNested({ each: true })
  @Type(() => Group)
  groups!: Group[];
}

export interface Groups {
  /** the class in the roster's order; group is a number, or null for working alone */
  students: { person: Person; group: number | null; begun: boolean }[];
}

export interface ExtensionRow {
  person: Person;
  due: string;
}

/** What a new revision would change for one work; sums are of what the computer checks. */
export interface ChangeForWork {
  workId: string;
  members: Person[];
  className: string;
  state: WorkState;
  before: number;
  after: number;
  outOf: number;
  /** results that come out otherwise, by requirement; null where there is none on that side */
  results: { requirement: string; before: number | null; after: number | null }[];
}

/** A map of the class as it is now: what was handed in last, or what is being drawn. */
export interface ClassMap {
  workId: string;
  members: Person[];
  className: string;
  state: WorkState;
  /** a map file's JSON value */
  map: Record<string, unknown>;
}

export interface RevisionPreview {
  /** the newest revision's number */
  revision: number;
  /** whether anything that a check reads differs from it */
  differs: boolean;
  works: ChangeForWork[];
}
