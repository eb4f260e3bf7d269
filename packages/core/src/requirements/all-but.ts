import { share } from './fractions.js';
import type { Finding, Verdict } from './types.js';
import { partOf } from './words.js';

/**
 * The verdict on a share: of so many things, all but those that have a finding are as asked. Its code is `share`.
 * @param evidence one finding for each thing that is not as asked
 * @param of how many there are
 * @param what they are called among the figures
 * @param none the code where there are none at all
 */
export function allBut(evidence: Finding[], of: number, what: string, none = 'share'): Verdict {
  const count = of - evidence.length;
  return {
    fraction: share(count, of),
    figures: { count, [what]: of },
    code: of === 0 ? none : 'share',
    data: partOf(count, of),
    evidence,
  };
}
