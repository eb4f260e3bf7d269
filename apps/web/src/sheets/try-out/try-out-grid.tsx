import { inGroups, onScale, PLAIN_MARKS, say, sumOf } from '@ichnograph/core';
import type { Assignment, Result } from '@ichnograph/core';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { markWords } from '@ichnograph/core';
import { StatusMark } from '../../ui/status-mark';
import { useWritten } from '../use-sheet';
import type { Trial, Tried } from './try-out-worker';

export type NamedTrial = Trial & { name: string; mayLeave?: boolean };

const NOTHING = { points: {}, levels: {} };
const UNTIMED = { due: null, handedIn: null };

/** Requirements down, maps across; a cell leads to the map with the evidence. */
export function TryOutGrid({
  trials,
  tried,
  onLook,
  onLeaveOut,
  below,
}: {
  trials: readonly NamedTrial[];
  tried: ReadonlyMap<string, Tried>;
  onLook: (trial: string, requirement: string) => void;
  onLeaveOut?: (trial: string) => void;
  /** rows under the sum */
  below?: ReactNode;
}) {
  const { assignment } = useWritten();
  const rows = inGroups(assignment.requirements).flatMap(({ members }) => members);
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-center text-sm">
        <thead>
          <tr className="border-b border-ink align-bottom">
            <th className="sticky left-0 w-6 bg-inherit text-left">
              <span className="sr-only">Requirement</span>
            </th>
            {trials.map(({ id, name, mayLeave }) => (
              <th key={id} className="px-1 pb-1 font-semibold leading-tight">
                {name}
                {mayLeave && onLeaveOut && (
                  <button
                    type="button"
                    className="ml-0.5 inline-flex align-middle text-quiet hover:text-ink"
                    aria-label={`Leave out: ${name}`}
                    onClick={() => onLeaveOut(id)}
                  >
                    <X aria-hidden size={12} />
                  </button>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, number }) => (
            <tr key={id} className="border-b border-rule">
              <td className="sticky left-0 bg-inherit py-1 text-left font-mono text-quiet">{number}</td>
              {trials.map((trial) => (
                <td key={trial.id}>
                  <Cell
                    result={tried.get(trial.id)?.report.results.find((one) => one.id === id)}
                    name={`Requirement ${number} on ${trial.name}`}
                    onLook={() => onLook(trial.id, id)}
                  />
                </td>
              ))}
            </tr>
          ))}
          <tr className="font-mono">
            <td className="sticky left-0 bg-inherit py-1.5 text-left font-sans text-quiet">sum</td>
            {trials.map(({ id }) => (
              <td key={id}>{sumWords(tried.get(id), assignment)}</td>
            ))}
          </tr>
          {below}
        </tbody>
      </table>
    </div>
  );
}

function Cell({ result, name, onLook }: { result: Result | undefined; name: string; onLook: () => void }) {
  if (!result) return <span className="text-quiet">…</span>;
  const share = result.fraction === null ? '' : Math.round(result.fraction * 100);
  return (
    <button
      type="button"
      className="inline-flex min-h-7 items-center gap-1 rounded-sm px-1 hover:bg-wash"
      aria-label={`${name}: ${result.status}${share === '' ? '' : `, ${share} %`}`}
      title={say(result.type, result)}
      onClick={onLook}
    >
      <StatusMark status={result.status} />
      {result.status === 'partly' && <span className="font-mono text-xs text-quiet">{share}</span>}
    </button>
  );
}

function sumWords(tried: Tried | undefined, assignment: Assignment): string {
  if (!tried) return '…';
  // What a person judges is not known of a trial: only what the computer finds is summed.
  const sum = sumOf(tried.report, { criteria: [], marks: { ...PLAIN_MARKS } }, NOTHING, UNTIMED);
  return markWords(onScale(sum, { scale: { as: 'points', decimals: assignment.marks?.scale.decimals ?? 1 } })).replace(
    / of .*/,
    '',
  );
}
