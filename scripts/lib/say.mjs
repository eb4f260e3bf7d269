// What the scripts tell the person who runs them. Everything goes to standard error but the results themselves.

/** A failure that a person can act on: one sentence, no stack. */
export class Stop extends Error {}

const begun = Date.now();
const since = () => `${String(Math.round((Date.now() - begun) / 1000)).padStart(3)} s`;

export const say = (words) => process.stderr.write(`${since()}  ${words}\n`);

/** Runs a script's work; an expected failure is one sentence and exit 1. */
export async function run(work) {
  try {
    await work();
  } catch (error) {
    if (!(error instanceof Stop)) throw error;
    process.stderr.write(`${error.message}\n`);
    process.exit(1);
  }
}
