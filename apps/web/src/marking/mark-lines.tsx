import type { MarkDetail } from '@ichnograph/core';
import { figure } from '../common/figures';

export function MarkLines({
  mark: { lines, structure, sum, outOf: most },
  onShow,
}: {
  mark: MarkDetail;
  /** shows on the map what was counted */
  onShow?: ((ids: readonly string[]) => void) | undefined;
}) {
  return (
    <details className="mt-1 text-sm">
      <summary className="cursor-pointer text-action underline">What makes it up</summary>
      <table className="mt-1 w-full">
        <tbody>
          {lines.map(({ what, how, points, outOf }) => (
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
              {figure(sum)} / {figure(most)}
            </td>
          </tr>
        </tfoot>
      </table>
    </details>
  );
}
