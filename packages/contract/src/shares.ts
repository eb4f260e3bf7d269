import { IsBoolean, IsISO8601, IsOptional, IsUUID } from 'class-validator';
import type { Person } from './accounts.js';

/** An own map, or a student's work. */
export type ShareKind = 'own' | 'work';

/** Lets a person, or a class, see a map or draw on it, until a day. */
export class NewShare {
  @IsOptional()
  @IsUUID(undefined, { message: 'choose a person' })
  accountId?: string;

  @IsOptional()
  @IsUUID(undefined, { message: 'choose a class' })
  classId?: string;

  @IsBoolean({ message: 'they may draw on it or not' })
  mayEdit!: boolean;

  @IsISO8601({ strict: true }, { message: 'say until when it is shared' })
  endsAt!: string;
}

export interface ShareRow {
  id: string;
  /** one of the two */
  person: Person | null;
  className: string | null;
  mayEdit: boolean;
  /** ISO instant */
  endsAt: string;
}

export interface Shares {
  /** for what who asks may share it; null: not at all */
  mayShare: 'write' | 'read' | null;
  shares: ShareRow[];
}

export interface ShareTargets {
  people: (Person & { isStaff: boolean })[];
  classes: { id: string; name: string }[];
}

export interface SharedWithMe {
  /** of the share */
  id: string;
  title: string;
  by: Person;
  mayEdit: boolean;
  endsAt: string;
  /** the live document */
  document: string;
}

export interface SharedMapDetail extends SharedWithMe {
  madeBy: Person[];
  legend: Record<string, unknown>;
}
