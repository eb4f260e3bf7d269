import { IsInt, IsString, IsUUID, Length, Max, Min, ValidateIf } from 'class-validator';
import type { Person } from './accounts.js';

/** Who marks a second time; null for nobody. */
export class SetSecondMarker {
  @ValidateIf((one: SetSecondMarker) => one.accountId !== null)
  @IsUUID()
  accountId!: string | null;
}

/** A second marker's level of a criterion; null takes it back. */
export class GiveSecondMark {
  @IsString()
  @Length(1, 200)
  criterion!: string;

  @ValidateIf((one: GiveSecondMark) => one.level !== null)
  @IsInt()
  @Min(0)
  @Max(1000)
  level!: number | null;
}

export interface SecondMarkRow {
  criterion: string;
  level: number;
}

/** How two markers agree on one criterion. */
export interface CriterionAgreement {
  criterion: string;
  name: string;
  levels: string[];
  /** Cohen's kappa with quadratic weights; null under two works */
  agreement: number | null;
  /** the works both marked, those to talk about first at the top */
  works: { workId: string; members: Person[]; first: number; second: number }[];
}

export interface SecondMarking {
  marker: Person | null;
  /** who could be: those who teach the class or assist in it */
  candidates: Person[];
  criteria: CriterionAgreement[];
}
