import type { NewShare, ShareRow } from '@ichnograph/contract';
import { UserPlus } from 'lucide-react';
import { useState } from 'react';
import { api, SaidError, sentenceOfError } from '../../common/api';
import { dateIn, instantOf, showDay } from '../../common/dates';
import { useShares, useShareTargets, useTimeZone } from '../../common/queries';
import { useSend } from '../../common/send';
import { Button } from '../../ui/button';
import { Segments } from '../../ui/segments';
import { Trouble } from '../../ui/field';

/** For so long a map is shared where nobody says otherwise. */
const USUAL_DAYS = 30;
const MAY = ['See it', 'Draw on it'] as const;

/** Lets persons and classes of this school see the map, or draw on it, until a day. */
export function ShareWith({ path }: { path: string }) {
  const zone = useTimeZone();
  const list = useShares(path);
  const targets = useShareTargets();
  const { send, trouble, isSending } = useSend([`${path}/shares`]);
  const [who, setWho] = useState('');
  const [may, setMay] = useState<(typeof MAY)[number]>('See it');
  const [day, setDay] = useState(() => dateIn(USUAL_DAYS, zone));
  if (list.error) return <p className="text-madder">{sentenceOfError(list.error)}</p>;
  if (!list.data) return <p className="text-quiet">Looking for whom it is shared with …</p>;
  const { mayShare, shares } = list.data;
  const { people = [], classes = [] } = targets.data ?? {};
  const share = (): Promise<boolean> =>
    send(async () => {
      const endsAt = instantOf(day, '23:59', zone);
      if (who === '') throw new SaidError('Choose with whom.');
      if (endsAt === null) throw new SaidError('Say until which day it is shared.');
      const wanted: NewShare = {
        ...(classes.some(({ id }) => id === who) ? { classId: who } : { accountId: who }),
        mayEdit: may === 'Draw on it' && mayShare === 'write',
        endsAt,
      };
      await api.post(`${path}/shares`, wanted);
      setWho('');
    }, 'It is shared. They find it among their own maps.');
  return (
    <section aria-labelledby="share-with" className="grid gap-3">
      <h3 id="share-with" className="font-semibold">
        With people of this school
      </h3>
      <Trouble>{trouble}</Trouble>
      {mayShare === null ? (
        <p className="text-quiet">
          This map is shared by those who draw it, where the assignment allows it. You can take it back from others.
        </p>
      ) : (
        <form
          className="grid gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void share();
          }}
        >
          <div className="flex flex-wrap items-center gap-2">
            <select
              className="field min-w-48 flex-1 py-1"
              aria-label="With whom"
              value={who}
              onChange={({ target }) => setWho(target.value)}
            >
              <option value="">With whom …</option>
              <optgroup label="Classes">
                {classes.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </optgroup>
              <optgroup label="Persons">
                {people.map(({ id, givenName, familyName, isStaff }) => (
                  <option key={id} value={id}>
                    {givenName} {familyName}
                    {isStaff ? ', teaches' : ''}
                  </option>
                ))}
              </optgroup>
            </select>
            {mayShare === 'write' && <Segments label="They may" options={MAY} value={may} onChange={setMay} />}
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
          <p className="text-sm text-quiet">
            They see the map with its notes and pictures, who made it, and who else has it open. They see no checks,
            comments, marks or versions.
          </p>
          <Button type="submit" look="action" disabled={isSending} className="justify-self-start">
            <UserPlus aria-hidden size={15} />
            Share it
          </Button>
        </form>
      )}
      {shares.length > 0 && (
        <ul aria-label="Shared with" className="grid gap-1">
          {shares.map((one) => (
            <li key={one.id} className="flex flex-wrap items-center justify-between gap-2 border-t border-rule pt-1">
              <span className="words">
                <b>{nameOf(one)}</b> may {one.mayEdit ? 'draw on it' : 'see it'} until {showDay(one.endsAt, zone)}
              </span>
              <Button
                small
                look="danger"
                disabled={isSending}
                aria-label={`Take it back from ${nameOf(one)}`}
                onClick={() =>
                  void send(() => api.delete(`shares/${one.id}`), `It is taken back from ${nameOf(one)}.`, {
                    as: one.id,
                  })
                }
              >
                Take it back
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

const nameOf = ({ person, className }: ShareRow): string =>
  person ? `${person.givenName} ${person.familyName}` : (className ?? '');
