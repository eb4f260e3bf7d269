import type { Person } from './accounts.js';
import type { CriterionAgreement } from './second-marking.js';
import type { VERDICT_WORDS } from './verdicts.js';

export const REVIEW_LIMITS = { most: 3, words: 4000, apart: 200 } as const;

/** What a reviewer gave: levels of criteria by id, verdicts on sentences by key, and words for whoever made the map. */
export interface ReviewGiven {
  levels: Record<string, number>;
  verdicts: Record<string, (typeof VERDICT_WORDS)[number]>;
  words: string;
}

export const REVIEW_STATES = ['handed out', 'begun', 'sent'] as const;
export type ReviewState = (typeof REVIEW_STATES)[number];

/** A map that was given to somebody to look at, without who made it. */
export interface ReviewTask {
  id: string;
  title: string;
  className: string;
  /** of those of this assignment, this one's place among them, from 1 */
  number: number;
  of: number;
  state: ReviewState;
  closesAt: string | null;
  /** whether it can still be sent */
  open: boolean;
}

export interface ReviewDetail extends ReviewTask {
  /** the opened parts */
  criteria: boolean;
  sentences: boolean;
  notes: boolean;
  map: Record<string, unknown>;
  assignment: Record<string, unknown>;
  /** what the map says: keys, and the links that say them */
  propositions: { key: string; links: string[] }[];
  given: ReviewGiven;
  /** grows with each saving */
  version: number;
}

/** A review of a map, to those who mark it with its reviewer, to its makers without. */
export interface ReviewRow extends ReviewGiven {
  id: string;
  by: Person | null;
  sentAt: string;
  /** which of the work's submissions was looked at */
  number: number;
}

/** A reviewer beside the teacher. */
export interface ReviewerRow {
  person: Person;
  /** of the maps given to them, how many were sent */
  sent: number;
  of: number;
  /** levels that both gave: how many, and the share that are the very same; null where there is none */
  both: number;
  same: number | null;
  /** Cohen's kappa with quadratic weights over shares of each criterion's levels; null under two */
  agreement: number | null;
}

/** What a class is asked to look at, to those who mark it. */
export interface ReviewRound {
  each: number;
  criteria: boolean;
  sentences: boolean;
  notes: boolean;
  /** how much it counts of the criteria, of 1 */
  share: number;
  closesAt: string | null;
  releasedAt: string | null;
  apart: [string, string][];
  reviewers: ReviewerRow[];
  /** maps, and how often each was handed out and sent */
  maps: { workId: string; submissionId: string; members: Person[]; handedOut: number; sent: number }[];
  /** handed in since, and given to nobody yet */
  notHandedOut: number;
  agreement: CriterionAgreement[];
}

export interface ReviewRounds {
  round: ReviewRound | null;
  /** students of the class, for those who are to be kept apart */
  students: Person[];
  /** how many maps could be handed out now */
  handedIn: number;
  /** what the assignment has to be judged */
  mayCriteria: boolean;
}
