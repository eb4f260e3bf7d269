import { numbered, say } from '@ichnograph/core';
import type { Report } from '@ichnograph/core';

/** One thing that a check flags on the map. */
export interface FlagStep {
  requirement: string;
  /** a topic's or link's id */
  mark: string;
  /** what is said of it */
  words: string;
}

/** Everything that is flagged, requirement by requirement in the order of their numbers, each thing once for each. */
export function flagSteps(report: Report): FlagStep[] {
  return numbered(report.results).flatMap((result) => {
    const seen = new Set<string>();
    return result.evidence.flatMap((piece) => {
      if (piece.flag === false) return [];
      // Where topics are flagged, their links only lead to them.
      const marks = piece.topics.length > 0 ? piece.topics : piece.links;
      return marks.flatMap((mark): FlagStep[] => {
        if (seen.has(mark)) return [];
        seen.add(mark);
        return [{ requirement: result.id, mark, words: `${result.number}: ${say(result.type, piece)}` }];
      });
    });
  });
}

/** The step after the one that stands now, or before it; from the ends it goes round. */
export function nextStep(steps: readonly FlagStep[], now: FlagStep | null, by: 1 | -1): FlagStep | null {
  const at = steps.findIndex((one) => one.requirement === now?.requirement && one.mark === now.mark);
  if (steps.length === 0) return null;
  if (at < 0) return steps[by === 1 ? 0 : steps.length - 1]!;
  return steps[(at + by + steps.length) % steps.length]!;
}
