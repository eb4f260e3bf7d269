import { share } from './fractions.js';
import type { Finding, Verdict } from './types.js';

/**
 * The verdict on a share: of so many things, all but those that have a finding are as asked. Its message is `share`.
 * @param evidence one finding for each thing that is not as asked
 * @param of how many there are
 * @param what they are called among the figures
 * @param none the key of the message where there are none at all
 */
export function allBut(evidence: Finding[], of: number, what: string, none = 'share'): Verdict {
  const count = of - evidence.length;
  return {
    fraction: share(count, of),
    figures: { count, [what]: of },
    message: of === 0 ? none : 'share',
    data: { count, of },
    evidence,
  };
}
