import type { ShownMark } from '@ichnograph/core';
import type { Person } from './accounts.js';
import type { WorkState } from './works.js';

/** What one student has for one assignment. */
export interface GradebookCell {
  publicationId: string;
  workId: string | null;
  state: WorkState;
  late: boolean;
  /** null where nothing was handed in */
  mark: { sum: number; outOf: number; shown: ShownMark; notJudged: number } | null;
}

/** The marks of a class, student by assignment. */
export interface Gradebook {
  classId: string;
  className: string;
  assignments: { publicationId: string; title: string; due: string | null }[];
  students: { person: Person; cells: GradebookCell[] }[];
}
