import { setPriority } from 'node:os';
import { isMainThread } from 'node:worker_threads';
import { warmUp } from '@ichnograph/core';

/** What every file of tasks begins with: it is loaded in a thread of the pool, and nowhere else. */
export { unpacked } from './shared-assignment.js';

/** On Linux this is the thread's own: heavy work gives way to whoever waits for an answer. */
const NICENESS = 10;
if (!isMainThread) setPriority(0, NICENESS);

warmUp();
