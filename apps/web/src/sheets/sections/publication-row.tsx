import type { PublicationRow } from '@ichnograph/contract';
import { MoreHorizontal } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../../common/api';
import { dateIn, dayOf, instantOf, showMoment, showTime } from '../../common/dates';
import { useRoster, useTimeZone } from '../../common/queries';
import { tell } from '../../common/told';
import { useSend } from '../../common/send';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Trouble } from '../../ui/field';
import { Menu, MenuItem } from '../../ui/menu';
import { GroupsDialog } from './groups-dialog';

/** A class that has the assignment: until when, more time for some, and whether it is closed. */
export function PublicationRowView({ publication }: { publication: PublicationRow }) {
  const { id, className, due, closed, mayHandInAgain, opens, showsExample, showsReference, revision, extensions } =
    publication;
  const zone = useTimeZone();
  const { trouble, send } = useSend('everything');
  const [asked, ask] = useState<'due' | 'extension' | 'groups' | null>(null);
  const change = (body: object, said: string): void => void send(() => api.patch(`publications/${id}`, body), said);
  const extend = (accountId: string, until: string | null) =>
    api.post(`publications/${id}/extensions`, { accountId, due: until });
  const close = (): void =>
    void send(() => api.patch(`publications/${id}`, { closed: !closed })).then((done) => {
      if (done)
        tell(closed ? `It is open again in ${className}.` : `It is closed in ${className}.`, () =>
          send(() => api.patch(`publications/${id}`, { closed }), 'It is as it was.'),
        );
    });
  return (
    <li className="py-1.5">
      <div className="words flex flex-wrap items-baseline gap-x-3">
        <Link className="font-semibold text-action underline" to={`/piles/${id}`}>
          {className}
        </Link>
        <span>{closed ? 'closed' : due ? `due ${showMoment(due, zone)}` : 'no due time'}</span>
        <span className="text-quiet">
          revision {revision}
          {opens && Date.parse(opens) > Date.now() && ` · opens ${showMoment(opens, zone)}`}
          {!mayHandInAgain && ' · handed in once'}
          {showsReference && ' · shows the reference'}
        </span>
        <span className="ml-auto">
          <Menu
            trigger={
              <Button small look="quiet" aria-label={`More for ${className}`}>
                <MoreHorizontal aria-hidden size={15} />
              </Button>
            }
          >
            <MenuItem onSelect={() => ask('due')}>Move the due time</MenuItem>
            {due && <MenuItem onSelect={() => ask('extension')}>More time for one student</MenuItem>}
            <MenuItem
              onSelect={() =>
                change(
                  { mayHandInAgain: !mayHandInAgain },
                  mayHandInAgain ? 'It is handed in once now.' : 'Students may hand in again.',
                )
              }
            >
              {mayHandInAgain ? 'Let hand in once only' : 'Let hand in again'}
            </MenuItem>
            <MenuItem onSelect={() => ask('groups')}>Let them work in groups …</MenuItem>
            {opens && Date.parse(opens) > Date.now() && (
              <MenuItem onSelect={() => change({ opens: null }, 'It is open now.')}>Open it now</MenuItem>
            )}
            <MenuItem
              onSelect={() =>
                change(
                  { showsExample: !showsExample },
                  showsExample ? 'The guide has no example.' : 'The guide has a finished example.',
                )
              }
            >
              {showsExample ? 'Leave the example out of the guide' : 'Put a finished example into the guide'}
            </MenuItem>
            <MenuItem
              onSelect={() =>
                change(
                  { showsReference: !showsReference },
                  showsReference
                    ? 'The reference map is yours alone again.'
                    : 'Students see the reference map once theirs is returned.',
                )
              }
            >
              {showsReference ? 'Keep the reference map to yourself' : 'Show the reference map after return'}
            </MenuItem>
            <MenuItem onSelect={close}>{closed ? 'Open it again' : 'Close it now'}</MenuItem>
          </Menu>
        </span>
      </div>
      <Trouble>{trouble}</Trouble>
      {extensions.length > 0 && (
        <ul className="text-sm text-quiet">
          {extensions.map(({ person, due: until }) => (
            <li key={person.id} className="flex items-center gap-2">
              {person.givenName} {person.familyName} has until {showMoment(until, zone)}
              <Button
                small
                look="quiet"
                aria-label={`Take the extension of ${person.givenName} back`}
                onClick={() =>
                  void send(() => extend(person.id, null)).then((done) => {
                    if (done)
                      tell(`${person.givenName} has no more time than the others now.`, () =>
                        send(() => extend(person.id, until), 'The extension is given again.'),
                      );
                  })
                }
              >
                ×
              </Button>
            </li>
          ))}
        </ul>
      )}
      <TimeDialog publication={publication} what={asked === 'groups' ? null : asked} onClose={() => ask(null)} />
      <GroupsDialog publication={publication} open={asked === 'groups'} onClose={() => ask(null)} />
    </li>
  );
}

type Time = 'due' | 'extension';

function TimeDialog({
  what,
  onClose,
  publication,
}: {
  publication: PublicationRow;
  what: Time | null;
  onClose: () => void;
}) {
  return (
    <Dialog
      open={what !== null}
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
      title={what === 'due' ? `When is it due in ${publication.className}?` : 'Who gets more time?'}
    >
      {what && <TimeForm publication={publication} what={what} onDone={onClose} />}
    </Dialog>
  );
}

/** Begins each time with what holds now: the due time, or the time that the student chosen has. */
function TimeForm({
  publication: { id, classId, due, extensions },
  what,
  onDone,
}: {
  publication: PublicationRow;
  what: Time;
  onDone: () => void;
}) {
  const zone = useTimeZone();
  const roster = useRoster(what === 'extension' ? classId : null);
  const { trouble, send } = useSend('everything');
  const [accountId, setAccountId] = useState('');
  const now = extensions.find(({ person }) => person.id === accountId)?.due ?? due;
  const [typed, type] = useState<{ date?: string; time?: string }>({});
  const date = typed.date ?? (now ? dayOf(now, zone) : dateIn(7, zone));
  const time = typed.time ?? (now ? showTime(now, zone) : '18:00');
  const instant = instantOf(date, time, zone);
  const save = async (): Promise<void> => {
    const move = (to: string | null) => api.patch(`publications/${id}`, { due: to });
    const extend = (to: string | null) => api.post(`publications/${id}/extensions`, { accountId, due: to });
    const to = date === '' ? null : instant;
    const done = await send(() => (what === 'due' ? move(to) : extend(instant)));
    if (!done) return;
    onDone();
    if (what === 'due') tell('The due time is moved.', () => send(() => move(due), 'The due time is back.'));
    else {
      const before = extensions.find(({ person }) => person.id === accountId)?.due ?? null;
      tell('There is more time now.', () => send(() => extend(before), 'It is as it was.'));
    }
  };
  return (
    <form
      noValidate
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Trouble>{trouble}</Trouble>
      {what === 'extension' && (
        <label>
          <span className="mb-1 block font-semibold">Student</span>
          <select
            className="field"
            data-autofocus
            value={accountId}
            onChange={({ target }) => {
              setAccountId(target.value);
              type({});
            }}
          >
            <option value="">Choose …</option>
            {(roster.data ?? [])
              .filter(({ part }) => part === 'student')
              .map((one) => (
                <option key={one.id} value={one.id}>
                  {one.givenName} {one.familyName}
                </option>
              ))}
          </select>
        </label>
      )}
      <div className="grid grid-cols-[1fr_8rem] gap-2">
        <label>
          <span className="mb-1 block font-semibold">Date</span>
          <input
            className="field"
            type="date"
            data-autofocus={what === 'due' || undefined}
            value={date}
            onChange={({ target }) => type({ ...typed, date: target.value })}
          />
        </label>
        <label>
          <span className="mb-1 block font-semibold">Time</span>
          <input
            className="field"
            type="time"
            value={time}
            onChange={({ target }) => type({ ...typed, time: target.value })}
          />
        </label>
      </div>
      {what === 'due' && <p className="text-sm text-quiet">Without a date it is due at no time.</p>}
      <Button
        type="submit"
        look="action"
        disabled={what === 'extension' ? accountId === '' || instant === null : date !== '' && instant === null}
      >
        {what === 'due' ? 'Move it' : 'Give more time'}
      </Button>
    </form>
  );
}
