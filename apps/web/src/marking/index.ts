/** What other folders may use of this one. */
export { Criteria } from './criteria';
export { judgedOf } from './judgement';
export type { Judged } from './judgement';
export { JudgedSentences, sentenceWords } from './sentences-to-judge';
export { MarkHead } from './mark-head';
