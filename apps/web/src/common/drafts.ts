import { useState } from 'react';
import { useMe } from './queries';

const keyOf = (accountId: string, name: string): string => `ichnograph:${accountId}:draft:${name}`;

function read<T>(key: string): T | null {
  try {
    const kept = localStorage.getItem(key);
    return kept === null ? null : (JSON.parse(kept) as T);
  } catch {
    // A browser that keeps nothing, or what it kept was spoiled: there is no draft then.
    return null;
  }
}

function write(key: string, value: unknown): void {
  try {
    if (value === null) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(value));
  } catch {
    // Where nothing can be kept, the draft lives as long as its page.
  }
}

/**
 * Words that were begun and not sent: kept in this browser under the person's account as they are typed, so that a
 * reload, another page or the end of the session loses none of them. Null empties it.
 * @param name what the draft is for; it does not change while its part of the page is shown. Without a name it lives as
 * long as that
 */
export function useDraft<T>(name: string | undefined): [T | null, (next: T | null) => void] {
  const { id } = useMe();
  const key = name === undefined ? undefined : keyOf(id, name);
  const [draft, setDraft] = useState(() => (key === undefined ? null : read<T>(key)));
  return [
    draft,
    (next) => {
      if (key !== undefined) write(key, next);
      setDraft(next);
    },
  ];
}
