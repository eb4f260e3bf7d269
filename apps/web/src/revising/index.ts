/** What other folders may use of this one. */
export { CheckAgain } from './check-again';
export { WhatWouldChange } from './what-would-change';
