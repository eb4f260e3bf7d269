import { createRequire } from 'node:module';

let read;

/** The library that reads English, loaded by who needs it first: most programs and most tests never do. */
export const english = () => (read ??= createRequire(import.meta.url)('compromise/two'));
