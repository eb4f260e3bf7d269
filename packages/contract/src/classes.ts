// The nested list below is described by its members' class, which this keeps.
import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsString,
  IsUUID,
  Length,
  ValidateNested,
} from 'class-validator';
import type { Person } from './accounts.js';
import { MOST_AT_ONCE } from './limits.js';

export const PARTS = ['student', 'teacher', 'assistant'] as const;
/** What a person is in one class. */
export type Part = (typeof PARTS)[number];

export class NewClass {
  @IsString()
  @Length(1, 100, { message: 'a class’s name has 1 to 100 characters' })
  name!: string;
}

export class NewEnrolment {
  @IsUUID(undefined, { message: 'choose a person' })
  accountId!: string;

  @IsIn(PARTS, { message: 'choose student, teacher or assistant' })
  part!: Part;
}

export class NewStudent {
  @IsString()
  @Length(1, 60, { message: 'a given name has 1 to 60 characters' })
  givenName!: string;

  @IsString()
  @Length(0, 60, { message: 'a family name has up to 60 characters' })
  familyName!: string;
}

/** Names that become accounts in a class, each with a first password. */
export class NewStudents {
  @IsArray({ message: 'a list of names is wanted' })
  @ArrayMinSize(1, { message: 'there is no name in it' })
  @ArrayMaxSize(MOST_AT_ONCE, { message: `a class takes ${MOST_AT_ONCE} people at once` })
  @ValidateNested({ each: true })
  @Type(() => NewStudent)
  people!: NewStudent[];
}

/** Which of these names somebody in the school has already, as positions in what was sent. */
export interface KnownNames {
  known: number[];
}

export class JoinClass {
  @IsString()
  @Length(1, 40, { message: 'type the code your teacher gave you' })
  code!: string;
}

export class JoinCode {
  /** a new code, or none any more */
  @IsBoolean()
  open!: boolean;
}

export class MoveStudent {
  @IsUUID(undefined, { message: 'choose a class' })
  to!: string;
}

export class ArchiveClass {
  @IsBoolean()
  archived!: boolean;
}

/** What a new person signs in with. The password is said once and stored nowhere but as a hash. */
export interface Card {
  id: string;
  givenName: string;
  familyName: string;
  name: string;
  password: string;
}

export interface ClassRow {
  id: string;
  name: string;
  students: number;
  archived: boolean;
  /** what the person who asks is in it */
  part: Part | null;
  /** to those who teach it */
  joinCode: string | null;
}
export interface RosterEntry extends Person {
  part: Part;
  name: string;
}
