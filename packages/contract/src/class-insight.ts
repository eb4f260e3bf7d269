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

/** Of one work: what its first and its newest map come to. */
export interface Growth {
  workId: string;
  members: Person[];
  first: GrowthFigures;
  newest: GrowthFigures;
}

export interface GrowthFigures {
  submissionId: string;
  number: number;
  earned: number;
  outOf: number;
  figures: StructureFigures;
  terms: number;
}
