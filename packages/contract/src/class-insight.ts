import type { Composite, Likeness, StructureFigures, StrongTie, Status } from '@ichnograph/core';
import type { Person } from './accounts.js';
import type { WorkState } from './works.js';

/** A work of a class as it stands beside the others. */
export interface WorkInClass {
  workId: string;
  submissionId: string;
  members: Person[];
  state: WorkState;
  late: boolean;
  /** how often it was handed in */
  number: number;
  mark: { sum: number; outOf: number; notJudged: number };
  /** by requirement, in the assignment's order */
  results: { id: string; status: Status; fraction: number | null }[];
  figures: StructureFigures;
}

/** What a class's maps come to, side by side and laid into one. */
export interface ClassInsight {
  publicationId: string;
  assignmentId: string;
  title: string;
  className: string;
  assignment: Record<string, unknown>;
  works: WorkInClass[];
  /** by term: the works that place it, and those where only a near match does */
  terms: { term: string; works: string[]; near: string[] }[];
  composite: Composite;
  strongest: StrongTie[];
  reference: { composite: Composite; strongest: StrongTie[] } | null;
  /** for each two works, most alike first */
  likeness: (Omit<Likeness, 'a' | 'b'> & { a: string; b: string })[];
}

/** What was learned from marks given by feel; maps by their work. */
export interface ClassWeights {
  /** why none can be learned; then there is nothing else */
  refused: string | null;
  /** how many maps have a mark by feel */
  marked: number;
  weights: { requirement: string; before: number; points: number }[];
  /** root mean square of the residuals, as a share */
  error: number;
  maps: { workId: string; members: Person[]; mark: number; fitted: number; residual: number }[];
}

/** Of one work: what its first and its newest map come to. */
export interface Growth {
  workId: string;
  members: Person[];
  first: GrowthFigures;
  newest: GrowthFigures;
}

/** What stays hard for a class, over its assignments: shares of 1, null where an assignment does not ask it. */
export interface StaysHard {
  assignments: { publicationId: string; title: string }[];
  requirements: { type: string; words: string; shares: (number | null)[] }[];
  terms: { term: string; shares: (number | null)[] }[];
}

export interface GrowthFigures {
  submissionId: string;
  number: number;
  earned: number;
  outOf: number;
  figures: StructureFigures;
  terms: number;
}
