import {
  ArrayMaxSize,
  IsArray,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  MaxLength,
  Min,
} from 'class-validator';
import type { Person } from './accounts.js';
import type { AssignmentRow } from './assignments.js';

/** The parts of a sheet, each saved by itself; core says what each may hold. */
export class SavePart {
  /** the version that was changed; another one there means that somebody else was faster */
  @IsInt()
  @Min(0)
  version!: number;

  @IsObject({ message: 'this part of the sheet holds nothing' })
  body!: Record<string, unknown>;
}

export class NewTrialMap {
  @IsString()
  @Length(1, 100, { message: 'a trial map’s name has 1 to 100 characters' })
  name!: string;

  /** a map file's JSON value; left out for an empty map */
  @IsOptional()
  @IsObject({ message: 'the file holds no map' })
  map?: Record<string, unknown>;
}

export class NewSheet {
  /** the id of a ready-made assignment */
  @IsOptional()
  @IsString()
  @Length(1, 60)
  readyMade?: string;

  /** an assignment to copy; with neither, an empty sheet */
  @IsOptional()
  @IsString()
  @Length(36, 36)
  copyOf?: string;

  /** a class whose standing rules an empty sheet begins with */
  @IsOptional()
  @IsUUID(undefined, { message: 'choose a class' })
  forClass?: string;
}

/** Keeps an assignment, as it is written now, for all teachers of the school to begin from. */
export class KeepReadyMade {
  @IsUUID(undefined, { message: 'choose an assignment' })
  assignmentId!: string;

  @IsString()
  @MaxLength(2000, { message: 'what it is good for has room for 2,000 characters' })
  guidance!: string;
}

export interface ReadyMadeRow {
  id: string;
  title: string;
  guidance: string;
  owner: Person;
  mine: boolean;
}

/** Which assignments take over the amended rules. */
export class AmendRules {
  @IsArray()
  @ArrayMaxSize(500)
  @IsUUID(undefined, { each: true })
  assignments!: string[];
}

/** What amended rules would change on one sheet. Codes and ids of core's `followRules`. */
export interface RulesForAssignment {
  id: string;
  title: string;
  owner: Person;
  mayChange: boolean;
  /** how many classes have it: they get what changes with its next revision */
  given: number;
  changes: { of: string; id?: string; does: string }[];
}

export interface RulesPreview {
  /** 0 before they were first put in force */
  revision: number;
  /** whether what is written differs from the rules in force */
  differs: boolean;
  assignments: RulesForAssignment[];
}

export interface SheetPartState {
  version: number;
  body: Record<string, unknown>;
  changedBy: Person;
  changedAt: string;
}

export interface TrialMapDetail {
  id: string;
  name: string;
  /** a map file's JSON value */
  map: Record<string, unknown>;
}

export interface SheetDetail extends AssignmentRow {
  parts: Record<string, SheetPartState>;
}

/** Who else has a sheet open, and which versions its parts have now. */
export interface SheetNow {
  here: Person[];
  versions: Record<string, number>;
  /** whether what is written differs from the newest revision in what a check reads */
  ahead: boolean;
}

export const starterDocument = (assignmentId: string): string => `starter:${assignmentId}`;
export const referenceDocument = (assignmentId: string): string => `reference:${assignmentId}`;
export const trialDocument = (trialId: string): string => `trial:${trialId}`;
