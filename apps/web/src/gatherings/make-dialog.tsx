import type { GatheringDetail, MadeOfIdeas, MadeRow, MakeOfIdeas } from '@ichnograph/contract';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { SaidError } from '../common/api';
import { dateIn, instantOf } from '../common/dates';
import { useAssignments, useTimeZone } from '../common/queries';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Trouble } from '../ui/field';

const WHAT: Record<MadeOfIdeas, [name: string, says: string]> = {
  starter: ['A starter map', 'A new assignment whose map begins with the question, your groups and their ideas.'],
  bank: ['A word bank', 'A new assignment that hands the ideas out as words to place.'],
  terms: ['Terms of an assignment', 'The ideas join the terms of an assignment you are writing.'],
  map: ['A map for the class', 'A map of yours with the question, your groups and their ideas, shared with the class.'],
};
const USUAL_DAYS = 30;

/** Chooses what is made of the ideas, and goes there. */
export function MakeDialog({
  open,
  onOpenChange,
  detail,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  detail: GatheringDetail;
}) {
  const { id, ideas, className } = detail;
  const zone = useTimeZone();
  const navigate = useNavigate();
  const { send, trouble, isSending } = useSend('everything');
  const [as, setAs] = useState<MadeOfIdeas>('starter');
  const [assignmentId, setAssignment] = useState('');
  const [mayEdit, setMayEdit] = useState(true);
  const [day, setDay] = useState(() => dateIn(USUAL_DAYS, zone));
  const assignments = useAssignments();
  const shown = ideas.filter(({ hidden }) => !hidden);
  const taken = shown.filter((idea) => idea.taken).length;
  const make = (): Promise<boolean> =>
    send(async (post) => {
      const endsAt = instantOf(day, '23:59', zone);
      if (as === 'terms' && assignmentId === '') throw new SaidError('Choose an assignment.');
      if (as === 'map' && endsAt === null) throw new SaidError('Say until which day the class has it.');
      const wanted: MakeOfIdeas = {
        as,
        ...(as === 'terms' && { assignmentId }),
        ...(as === 'map' && { mayEdit, endsAt: endsAt! }),
      };
      const made = await post<MadeRow>(`gatherings/${id}/made`, wanted);
      onOpenChange(false);
      await navigate(as === 'map' ? `/own-maps/${made.id}` : `/assignments/${made.id}/sheet`);
    }, `${WHAT[as][0]} is made.`);
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Make something of the ideas"
      description={
        taken > 0
          ? `Of the ${taken === 1 ? 'one idea' : `${taken} ideas`} you took. What you did not take stays on the board.`
          : `Of all ${shown.length} ideas: you have taken none of them yet.`
      }
    >
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void make();
        }}
      >
        <Trouble>{trouble}</Trouble>
        <fieldset className="grid gap-1.5">
          <legend className="sr-only">What is made of them</legend>
          {(Object.keys(WHAT) as MadeOfIdeas[]).map((one) => (
            <label key={one} className="flex gap-2.5 border border-rule bg-white px-3 py-2">
              <input
                type="radio"
                name="made"
                className="mt-1 accent-action"
                checked={as === one}
                onChange={() => setAs(one)}
              />
              <span>
                <b className="font-semibold">{WHAT[one][0]}</b>
                <span className="block text-sm text-quiet">{WHAT[one][1]}</span>
              </span>
            </label>
          ))}
        </fieldset>
        {as === 'terms' && (
          <label className="block">
            <span className="mb-1 block font-semibold">Of which assignment</span>
            <select className="field" value={assignmentId} onChange={({ target }) => setAssignment(target.value)}>
              <option value="">Choose one …</option>
              {(assignments.data ?? [])
                .filter(({ mayChange, archived }) => mayChange && !archived)
                .map((one) => (
                  <option key={one.id} value={one.id}>
                    {one.title || 'Without a title'}
                  </option>
                ))}
            </select>
          </label>
        )}
        {as === 'map' && (
          <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
            <label className="flex items-center gap-2">
              <input type="checkbox" checked={mayEdit} onChange={({ target }) => setMayEdit(target.checked)} />
              {className} may draw on it
            </label>
            <label className="flex items-center gap-2">
              until
              <input
                type="date"
                className="field w-40 py-1"
                value={day}
                onChange={({ target }) => setDay(target.value)}
              />
            </label>
          </div>
        )}
        <Button type="submit" look="action" className="justify-self-end" disabled={isSending}>
          Make it
        </Button>
      </form>
    </Dialog>
  );
}
