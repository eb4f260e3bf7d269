/** What other folders may use of this one. */
export { filesIn, READABLE, readBeside } from './read';
export type { ReadingAnswer } from './reading-worker';
export { SaveAs } from './save-as';
export { written } from './written';
