import { IsIn, IsString, IsTimeZone, Length, Matches, MaxLength, MinLength } from 'class-validator';

export const ROLES = ['student', 'teacher', 'administrator'] as const;
export type Role = (typeof ROLES)[number];

export const PASSWORD_LEAST = 10;
const passwordWords = { message: `a password has at least ${PASSWORD_LEAST} characters` };

export class SignIn {
  @IsString()
  @Length(1, 100, { message: 'type your sign-in name' })
  name!: string;

  @IsString()
  @Length(1, 200, { message: 'type your password' })
  password!: string;
}

export class ChangePassword {
  @IsString()
  @Length(1, 200, { message: 'type the password you have now' })
  current!: string;

  @IsString()
  @MinLength(PASSWORD_LEAST, passwordWords)
  @MaxLength(200)
  next!: string;
}

/** A sign-in name, once it is in its normal form. */
export const NAME_FORM = /^[a-z0-9][a-z0-9._-]{1,39}$/;

class NewPerson {
  @IsString()
  @Length(1, 60, { message: 'a given name has 1 to 60 characters' })
  givenName!: string;

  @IsString()
  @Length(1, 60, { message: 'a family name has 1 to 60 characters' })
  familyName!: string;

  @IsString()
  @Matches(NAME_FORM, {
    message: 'a sign-in name has 2 to 40 small letters, digits, dots or dashes',
  })
  name!: string;

  @IsString()
  @MinLength(PASSWORD_LEAST, passwordWords)
  @MaxLength(200)
  password!: string;
}

export class FirstAdministrator extends NewPerson {
  @IsString()
  @Length(1, 100, { message: 'a school’s name has 1 to 100 characters' })
  school!: string;

  @IsTimeZone({ message: 'choose the school’s time zone, such as Europe/Berlin' })
  timeZone!: string;
}

export class NewAccount extends NewPerson {
  @IsIn(ROLES, { message: 'choose student, teacher or administrator' })
  role!: Role;
}

/** What is kept of a person, as far as a page shows it; the file has more. */
export interface KeptOfPerson {
  account: AccountRow & { createdAt: string };
  classes: { name: string; part: string }[];
  works: { work: string; assignment: string; state: string; begunAt: string }[];
  submissions: { work: string; handedInAt: string }[];
  comments: { text: string; at: string; written: 'by them' | 'to them' }[];
  answers: { text: string; at: string }[];
  assignments: { title: string }[];
  readyMade: { title: string }[];
  marksGiven: { at: string }[];
}

export interface Person {
  id: string;
  givenName: string;
  familyName: string;
}
export interface AccountRow extends Person {
  name: string;
  role: Role;
}
export interface Me extends AccountRow {
  sessionId: string;
  /** the first password was somebody else's to make: it must be changed before anything else */
  mustChangePassword: boolean;
  /** who made it anew, and when; null where nobody did since it was last changed */
  reset: { by: Person; at: string } | null;
}

/** What the first page needs before anyone has signed in. */
export interface Welcome {
  school: string;
  timeZone: string;
  me: Me | null;
  needsFirstAdministrator: boolean;
  /** only where the made-up school is loaded */
  demo: boolean;
}

export interface DemoPerson extends AccountRow {
  who: string;
}
