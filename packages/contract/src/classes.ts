import { IsIn, IsString, IsUUID, Length } from 'class-validator';
import type { Person } from './accounts.js';

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

export interface ClassRow {
  id: string;
  name: string;
  students: number;
}
export interface RosterEntry extends Person {
  part: Part;
  name: string;
}
