import type { Person } from '@ichnograph/contract';
import { useState } from 'react';
import { api } from '../../common/api';
import { useColleagues, useMe } from '../../common/queries';
import { useSend } from '../../common/send';
import { Button } from '../../ui/button';
import { Trouble } from '../../ui/field';

/** Colleagues who write this sheet too, and one more. */
export function SharedWith({ assignmentId, owner, people }: { assignmentId: string; owner: Person; people: Person[] }) {
  const me = useMe();
  const colleagues = useColleagues();
  const { trouble, send } = useSend('everything');
  const [accountId, setAccountId] = useState('');
  const free = (colleagues.data ?? []).filter(
    ({ id }) => id !== owner.id && id !== me.id && !people.some((one) => one.id === id),
  );
  const path = `assignments/${assignmentId}/collaborators`;
  return (
    <div className="mt-6">
      <h3 className="caption mb-1">Written with</h3>
      <Trouble>{trouble}</Trouble>
      <ul className="mb-2">
        {people.map((person) => (
          <li key={person.id} className="flex items-center gap-2">
            {person.givenName} {person.familyName}
            <Button
              small
              look="quiet"
              aria-label={`Share no longer with ${person.givenName}`}
              onClick={() =>
                void send(() => api.delete(`${path}/${person.id}`), `${person.givenName} reads it no more.`)
              }
            >
              ×
            </Button>
          </li>
        ))}
      </ul>
      {free.length > 0 && (
        <form
          className="flex items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void send(() => api.post(path, { accountId }), 'It is shared.').then((done) => {
              if (done) setAccountId('');
            });
          }}
        >
          <select
            aria-label="Colleague"
            className="field w-56"
            value={accountId}
            onChange={({ target }) => setAccountId(target.value)}
          >
            <option value="">Choose a colleague …</option>
            {free.map(({ id, givenName, familyName }) => (
              <option key={id} value={id}>
                {givenName} {familyName}
              </option>
            ))}
          </select>
          <Button type="submit" disabled={accountId === ''}>
            Share
          </Button>
        </form>
      )}
    </div>
  );
}
