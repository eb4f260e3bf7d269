/** What other folders may use of this one. */
export { filesIn, READABLE, readBeside } from './read';
export type { ReadingAnswer } from './reading-worker';
export { SaveAs } from './save-as';
export { WhatFormatsCarryPage } from './what-formats-carry-page';
export { written } from './written';
