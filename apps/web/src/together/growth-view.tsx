import { FIGURES } from '@ichnograph/core';
import type { StructureFigures } from '@ichnograph/core';
import type { ClassInsight } from '@ichnograph/contract';
import { Link } from 'react-router';
import { figure } from '../app/figures';
import { useGrowth } from '../app/queries';
import { Waiting } from '../app/waiting';
import { FIGURE_NAMES } from './figure-names';
import { namesOf } from './names';

/** What changed between the first map that was handed in and the last. */
export function GrowthView({ insight }: { insight: ClassInsight }) {
  const growth = useGrowth(insight.publicationId);
  if (growth.data === undefined) return <Waiting of={growth} what="Comparing the first maps with the last …" />;
  if (growth.data.length === 0)
    return (
      <p className="text-quiet">
        Nobody has handed in a second time. Who does stands here, the first map beside the last.
      </p>
    );
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left">
        <thead>
          <tr className="caption border-b border-ink">
            <th className="py-1">Student</th>
            <th className="text-right">Times</th>
            <th className="text-right">Computed</th>
            <th className="text-right">Terms</th>
            {FIGURES.map((name) => (
              <th key={name} className="text-right">
                {FIGURE_NAMES[name]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {growth.data.map(({ workId, members, first, newest }) => (
            <tr key={workId} className="border-b border-rule">
              <td className="py-1.5 pr-3">
                <Link className="text-action underline" to={`/piles/${insight.publicationId}/${workId}`}>
                  {namesOf(members)}
                </Link>
              </td>
              <td className="text-right font-mono text-sm">{newest.number}</td>
              <FromTo from={first.earned} to={newest.earned} />
              <FromTo from={first.terms} to={newest.terms} />
              {FIGURES.map((name: keyof StructureFigures) => (
                <FromTo key={name} from={first.figures[name]} to={newest.figures[name]} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Two figures and which way it went, by sign. */
function FromTo({ from, to }: { from: number; to: number }) {
  return (
    <td className="whitespace-nowrap py-1.5 pl-3 text-right font-mono text-sm">
      {from === to ? (
        <span className="text-quiet">{figure(to)}</span>
      ) : (
        <>
          <span className="text-quiet">{figure(from)}</span>{' '}
          <span className={to > from ? 'text-action' : 'text-madder'}>
            {to > from ? '↑' : '↓'} {figure(to)}
          </span>
        </>
      )}
    </td>
  );
}
