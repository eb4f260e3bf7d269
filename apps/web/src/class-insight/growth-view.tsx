import { FIGURES } from '@ichnograph/core';
import type { ClassInsight, Growth } from '@ichnograph/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { figure } from '../common/figures';
import { useGrowth, useSince, useTeacherTasks } from '../common/queries';
import { Waiting } from '../common/waiting';
import { FIGURE_NAMES } from './figure-names';
import { namesByWork } from './names';

/** What changed between the first map that was handed in and the last, or between an earlier assignment and this one. */
export function GrowthView({ insight }: { insight: ClassInsight }) {
  const [earlier, setEarlier] = useState('');
  const tasks = useTeacherTasks();
  const growth = useGrowth(insight.publicationId);
  const since = useSince(insight.publicationId, earlier === '' ? null : earlier);
  const shown = earlier === '' ? growth : since;
  const others = (tasks.data ?? []).filter(({ publicationId }) => publicationId !== insight.publicationId);
  return (
    <>
      <label className="mb-3 flex flex-wrap items-center gap-2">
        Beside
        <select className="field w-auto py-1" value={earlier} onChange={({ target }) => setEarlier(target.value)}>
          <option value="">the first map of each, in this assignment</option>
          {others.map(({ publicationId, title, className }) => (
            <option key={publicationId} value={publicationId}>
              {title}, {className}
            </option>
          ))}
        </select>
      </label>
      {shown.data === undefined ? (
        <Waiting of={shown} what="Comparing …" />
      ) : shown.data.length === 0 ? (
        <p className="text-quiet">
          {earlier === ''
            ? 'Nobody has handed in a second time. Who does stands here, the first map beside the last.'
            : 'Nobody has handed in maps of both assignments.'}
        </p>
      ) : (
        <GrowthTable insight={insight} rows={shown.data} />
      )}
    </>
  );
}

function GrowthTable({ insight, rows }: { insight: ClassInsight; rows: readonly Growth[] }) {
  const names = namesByWork(insight);
  const mean = (figures: readonly number[]): number => figures.reduce((sum, one) => sum + one, 0) / figures.length;
  const share = ({ earned, outOf }: Growth['first']): number => (outOf === 0 ? 0 : Math.round((earned / outOf) * 100));
  const columns: { name: string; of: (figures: Growth['first']) => number }[] = [
    { name: 'Computed, %', of: share },
    { name: 'Terms', of: ({ terms }) => terms },
    ...FIGURES.map((name) => ({ name: FIGURE_NAMES[name], of: ({ figures }: Growth['first']) => figures[name] })),
  ];
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left">
        <thead>
          <tr className="caption border-b border-ink align-bottom">
            <th className="py-1">Student</th>
            {columns.map(({ name }) => (
              <th key={name} className="pl-3 text-right">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ workId, first, newest }) => (
            <tr key={workId} className="border-b border-rule">
              <td className="py-1.5 pr-3">
                <Link className="text-action underline" to={`/piles/${insight.publicationId}/${workId}`}>
                  {names.get(workId)}
                </Link>
              </td>
              {columns.map(({ name, of }) => (
                <FromTo key={name} from={of(first)} to={of(newest)} />
              ))}
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr className="border-t border-ink font-semibold">
            <th scope="row" className="py-1.5 text-left">
              The class
            </th>
            {columns.map(({ name, of }) => (
              <FromTo
                key={name}
                from={mean(rows.map(({ first }) => of(first)))}
                to={mean(rows.map(({ newest }) => of(newest)))}
              />
            ))}
          </tr>
        </tfoot>
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
