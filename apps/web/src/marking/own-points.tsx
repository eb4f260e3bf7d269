import type { Result } from '@ichnograph/core';
import type { JudgementRow } from '@ichnograph/contract';
import { useState } from 'react';
import { figure } from '../common/figures';
import { Button } from '../ui/button';

/** Why what the computer was unsure of counts as it computed it. */
const LOOKED_AT = 'Looked at, and it counts.';

/** The teacher's points in place of the computer's, with the reason that the student will read. */
export function OwnPoints({
  result,
  given,
  onJudge,
  onComment,
}: {
  result: Result;
  given: JudgementRow | undefined;
  onJudge: (value: number | null, reason: string) => Promise<boolean>;
  onComment: (text: string) => Promise<boolean>;
}) {
  const [open, setOpen] = useState(false);
  const [points, setPoints] = useState(String(given?.value ?? result.outOf));
  const [reason, setReason] = useState(given?.reason ?? '');
  const [remark, setRemark] = useState<string | null>(null);
  if (result.status === 'not-applicable') return null;
  if (!open)
    return (
      <div className="mt-2 flex flex-wrap items-center gap-2 text-sm">
        {given && (
          <span className="words text-indigo">
            You gave {figure(given.value)}: {given.reason}
          </span>
        )}
        {result.status === 'judge' && !given && (
          <Button small data-let-stand onClick={() => void onJudge(result.points, LOOKED_AT)}>
            Let {figure(result.points)} stand
          </Button>
        )}
        <Button small onClick={() => setOpen(true)}>
          {given ? 'Change' : 'Give other points'}
        </Button>
        {given && (
          <Button small look="quiet" onClick={() => void onJudge(null, '')}>
            As computed
          </Button>
        )}
        {remark === null ? (
          <Button small look="quiet" onClick={() => setRemark('')}>
            Comment
          </Button>
        ) : (
          <input
            aria-label="Comment on this result"
            className="field py-0.5"
            maxLength={2000}
            autoFocus
            placeholder="Enter keeps it, Escape leaves it"
            value={remark}
            onChange={({ target }) => setRemark(target.value)}
            onKeyDown={(event) => {
              if (event.nativeEvent.isComposing) return;
              if (event.key === 'Escape') setRemark(null);
              if (event.key !== 'Enter' || remark.trim() === '') return;
              event.preventDefault();
              void onComment(remark.trim()).then((kept) => {
                if (kept) setRemark(null);
              });
            }}
          />
        )}
      </div>
    );
  return (
    <form
      className="mt-2 grid gap-1.5 text-sm"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void onJudge(points.trim() === '' ? NaN : Number(points), reason).then((kept) => {
          if (kept) setOpen(false);
        });
      }}
    >
      <label className="flex items-center gap-2">
        Points
        <input
          type="number"
          className="field w-20 py-0.5 font-mono"
          autoFocus
          min={0}
          max={result.outOf}
          step="any"
          value={points}
          onChange={({ target }) => setPoints(target.value)}
        />
        of {figure(result.outOf)}
      </label>
      <label>
        <span className="sr-only">Why</span>
        <input
          className="field py-0.5"
          maxLength={2000}
          placeholder="Why? Your student reads it."
          value={reason}
          onChange={({ target }) => setReason(target.value)}
        />
      </label>
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
