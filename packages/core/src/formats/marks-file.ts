import type { Problem } from '../requirements/params.js';
import { readJson, strictly } from './problems.js';
import type { Reading } from './problems.js';

/** Reads marks given by feel: `{ "marks": [0.7, …] }`, one share (0 to 1) a map. */
export const readMarksText = (text: string): Reading<number[]> =>
  readJson(text, (value) => {
    const { marks } = (value ?? {}) as { marks?: unknown };
    if (!Array.isArray(marks)) return strictly<number[]>([], [{ path: '$.marks', reason: 'must be a list of shares' }]);
    const isShare = (one: unknown): boolean => typeof one === 'number' && one >= 0 && one <= 1;
    const problems = marks.flatMap((one, i): Problem[] =>
      isShare(one) ? [] : [{ path: `$.marks[${i}]`, reason: 'must be a share from 0 to 1' }],
    );
    return strictly(marks as number[], problems);
  });
