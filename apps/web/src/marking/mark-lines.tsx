import { isCounted, pointsOf } from '@ichnograph/core';
import type { Assignment, MarkSum, Report, StructuralScore } from '@ichnograph/core';
import { figure } from '../app/figures';
import type { Judged } from './judgement';

/** A line of what makes a mark up. */
interface Line {
  what: string;
  how?: string;
  points: number;
  outOf: number | null;
}

/** What makes a mark up, line by line; the lines' points add up to the sum. */
function linesOf(
  report: Report,
  assignment: Assignment,
  { judgement }: Judged,
  sum: MarkSum,
  structure: StructuralScore | null,
): Line[] {
  const required = report.results.filter((one) => isCounted(one) && one.level !== 'extra');
  const total = (figures: readonly number[]): number => figures.reduce((all, one) => all + one, 0);
  const { propositions, structural } = assignment.marks ?? { propositions: null };
  const { sound = 0, shaky = 0 } = judgement.verdicts ?? {};
  const own = Object.keys(judgement.points).length;
  return [
    {
      what: 'Requirements',
      ...(own > 0 && { how: own === 1 ? 'one given by hand' : `${own} given by hand` }),
      points: total(required.map((one) => pointsOf(one, judgement))),
      outOf: total(required.map((one) => one.outOf)),
    },
    ...(sum.extra > 0 ? [{ what: 'Extra', points: sum.extra, outOf: null }] : []),
    ...assignment.criteria.map(({ id, name, levels }): Line => {
      const level = levels[judgement.levels[id] ?? -1];
      return {
        what: name,
        how: level?.name ?? 'not judged yet',
        points: level?.points ?? 0,
        outOf: Math.max(0, ...levels.map(({ points }) => points)),
      };
    }),
    ...(propositions
      ? [
          {
            what: 'Sentences',
            how: `${sound} sound, ${shaky} shaky; ${propositions.full} sound give all`,
            points: sum.ofPropositions,
            outOf: propositions.points,
          },
        ]
      : []),
    ...(structural && structure
      ? [
          {
            what: 'Structure',
            how: `${structure.propositions.length} sound sentences, ${structure.levels.length} levels, ${structure.crossLinks.length} cross-links, ${structure.examples.length} examples: ${figure(structure.score)} of ${figure(structural.full)}`,
            points: sum.ofStructure,
            outOf: structural.points,
          },
        ]
      : []),
    ...(sum.late > 0 ? [{ what: 'Taken off for being late', points: -sum.late, outOf: null }] : []),
  ];
}

export function MarkLines({
  report,
  assignment,
  judged,
  sum,
  structure,
  onShow,
}: {
  report: Report;
  assignment: Assignment;
  judged: Judged;
  sum: MarkSum;
  structure: StructuralScore | null;
  /** shows on the map what was counted */
  onShow?: ((ids: readonly string[]) => void) | undefined;
}) {
  return (
    <details className="mt-1 text-sm">
      <summary className="cursor-pointer text-action underline">What makes it up</summary>
      <table className="mt-1 w-full">
        <tbody>
          {linesOf(report, assignment, judged, sum, structure).map(({ what, how, points, outOf }) => (
            <tr key={what} className="border-b border-rule align-top">
              <th scope="row" className="words py-0.5 pr-2 text-left font-normal">
                {what}
                {how && <span className="block text-quiet">{how}</span>}
                {what === 'Structure' && structure && onShow && (
                  <span className="flex flex-wrap gap-x-2">
                    {(
                      [
                        ['sentences', structure.propositions],
                        ['levels', structure.levels.flat()],
                        ['cross-links', structure.crossLinks],
                        ['examples', structure.examples],
                      ] as const
                    ).map(
                      ([name, ids]) =>
                        ids.length > 0 && (
                          <button
                            key={name}
                            type="button"
                            className="text-action underline"
                            onClick={() => onShow(ids)}
                          >
                            show {name}
                          </button>
                        ),
                    )}
                  </span>
                )}
              </th>
              <td className="whitespace-nowrap py-0.5 text-right font-mono">
                {figure(points)}
                {outOf !== null && ` / ${figure(outOf)}`}
              </td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr className="font-semibold">
            <th scope="row" className="py-0.5 text-left">
              Sum
            </th>
            <td className="text-right font-mono">
              {figure(sum.sum)} / {figure(sum.outOf)}
            </td>
          </tr>
        </tfoot>
      </table>
    </details>
  );
}
