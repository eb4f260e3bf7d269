import { normalForm } from '@ichnograph/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAccounts } from '../common/queries';

const MOST = 12;

/** Everyone in the school, found by typing; for the administrator. */
export function Everyone() {
  const accounts = useAccounts().data ?? [];
  const [search, setSearch] = useState('');
  const words = normalForm(search).split(' ').filter(Boolean);
  const found = accounts.filter(({ givenName, familyName, name, role }) => {
    const all = normalForm(`${givenName} ${familyName} ${name} ${role}`);
    return words.every((word) => all.includes(word));
  });
  return (
    <section className="mb-6 border-t border-rule pt-4">
      <label htmlFor="find-person" className="mb-1 block font-semibold">
        Find a person
      </label>
      <input
        id="find-person"
        type="search"
        className="field"
        placeholder="name or role"
        value={search}
        onChange={({ target }) => setSearch(target.value)}
      />
      {words.length > 0 && (
        <ul className="mt-2 grid gap-0.5">
          {found.slice(0, MOST).map(({ id, givenName, familyName, role }) => (
            <li key={id} className="words">
              <Link className="text-action underline" to={`/people/${id}`}>
                {givenName} {familyName}
              </Link>{' '}
              <span className="text-sm text-quiet">{role}</span>
            </li>
          ))}
          <li role="status" className="text-sm text-quiet">
            {found.length === 0
              ? 'Nobody of that name.'
              : found.length > MOST && `${found.length - MOST} more: type a little more of the name.`}
          </li>
        </ul>
      )}
    </section>
  );
}
