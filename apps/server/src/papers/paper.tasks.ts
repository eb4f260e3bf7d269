import '../workers/thread.js';
import { markedPaperPdf } from './marked-paper.js';
import type { MarkedPaper } from './marked-paper.js';

/** The papers of students as one PDF document. */
export const paper = ({ papers, onePage }: { papers: MarkedPaper[]; onePage: boolean }): Promise<Uint8Array> =>
  markedPaperPdf(papers, onePage);
