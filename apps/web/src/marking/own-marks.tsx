import { markWords, ownMark } from '@ichnograph/core';
import type { Assignment, MarkDetail } from '@ichnograph/core';
import type { JudgementRow, Person } from '@ichnograph/contract';
import { useId, useState } from 'react';
import { figureFault } from '../common/figure-fault';
import { figure } from '../common/figures';
import { Button } from '../ui/button';
import type { Judged } from './judgement';

interface Props {
  members: readonly Person[];
  mark: MarkDetail;
  assignment: Assignment;
  judged: Judged;
  mayMark: boolean;
  onGive: (accountId: string, points: number | null, reason: string) => Promise<boolean>;
}

/** Of a group: what each of them has, the group's mark or points more or fewer with a reason that they alone read. */
export function OwnMarks({ members, mark, assignment, judged, mayMark, onGive }: Props) {
  if (members.length < 2) return null;
  return (
    <section aria-label="Each one’s mark" className="border-t border-rule px-3.5 py-3">
      <h2 className="caption">Each one’s mark</h2>
      <p className="text-sm text-quiet">
        The group has {markWords(mark.shown)}. Who did more or less can have points more or fewer; the reason is read by
        them alone.
      </p>
      <ul>
        {members.map((member) => {
          const given = judged.of('person', member.id);
          return (
            <li key={member.id} className="border-b border-rule py-1.5 last:border-0">
              <p className="flex items-baseline justify-between gap-3">
                <span className="words">
                  {member.givenName} {member.familyName}
                </span>
                <b className="whitespace-nowrap font-mono text-sm">
                  {markWords((given ? ownMark(mark, given, assignment) : mark).shown)}
                </b>
              </p>
              {given && (
                <p className="words text-sm text-indigo">
                  {signed(given.value)}: {given.reason}
                </p>
              )}
              {mayMark && (
                <Adjust
                  name={member.givenName}
                  most={mark.outOf}
                  given={given}
                  onGive={(points, reason) => onGive(member.id, points, reason)}
                />
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

const signed = (points: number): string =>
  `${figure(Math.abs(points))} ${Math.abs(points) === 1 ? 'point' : 'points'} ${points < 0 ? 'fewer' : 'more'}`;

function Adjust({
  name,
  most,
  given,
  onGive,
}: {
  name: string;
  most: number;
  given: JudgementRow | undefined;
  onGive: (points: number | null, reason: string) => Promise<boolean>;
}) {
  const [open, setOpen] = useState(false);
  const [points, setPoints] = useState('');
  const [way, setWay] = useState<'more' | 'fewer'>('more');
  const [reason, setReason] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const field = useId();
  if (!open)
    return (
      <span className="flex gap-2 text-sm">
        <Button
          small
          look="quiet"
          aria-label={`Adjust for ${name}`}
          onClick={() => {
            setPoints(given ? String(Math.abs(given.value)) : '');
            setWay(given && given.value < 0 ? 'fewer' : 'more');
            setReason(given?.reason ?? '');
            setOpen(true);
          }}
        >
          {given ? 'Change' : 'Adjust'}
        </Button>
        {given && (
          <Button small look="quiet" aria-label={`${name} as the group`} onClick={() => void onGive(null, '')}>
            As the group
          </Button>
        )}
      </span>
    );
  return (
    <form
      className="mt-1 grid gap-1.5 text-sm"
      aria-label={`Mark of ${name}`}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        const size = Number(points);
        const wrong =
          figureFault(points, false, { least: 0, most }) ?? (reason.trim() ? null : `Say why: ${name} reads it.`);
        setFault(wrong);
        if (wrong) return;
        void onGive(way === 'fewer' ? -size : size, reason).then((kept) => {
          if (kept) setOpen(false);
        });
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') setOpen(false);
      }}
    >
      <span className="flex flex-wrap items-center gap-2">
        <label htmlFor={field}>Points</label>
        <input
          id={field}
          type="number"
          className="field w-20 py-0.5 font-mono"
          autoFocus
          min={0}
          max={most}
          step="any"
          value={points}
          onChange={({ target }) => setPoints(target.value)}
        />
        <select
          aria-label="More or fewer"
          className="field w-auto py-0.5"
          value={way}
          onChange={({ target }) => setWay(target.value as typeof way)}
        >
          <option value="more">more</option>
          <option value="fewer">fewer</option>
        </select>
      </span>
      <label>
        <span className="sr-only">Why</span>
        <input
          className="field py-0.5"
          maxLength={2000}
          placeholder={`Why? ${name} reads it.`}
          value={reason}
          onChange={({ target }) => setReason(target.value)}
        />
      </label>
      {fault && (
        <p role="alert" className="text-madder">
          {fault}
        </p>
      )}
      <span className="flex gap-2">
        <Button small type="submit" look="action">
          Give
        </Button>
        <Button small look="quiet" onClick={() => setOpen(false)}>
          Cancel
        </Button>
      </span>
    </form>
  );
}
