import { useRef, useState } from 'react';
import { keysHere, readHere, writeHere } from './kept-here';
import { useMe } from './queries';

const stemOf = (accountId: string): string => `ichnograph:${accountId}:draft:`;

/** A draft of a person's that this browser keeps, null where there is none. */
export const readDraft = <T>(accountId: string, name: string): T | null => readHere<T>(`${stemOf(accountId)}${name}`);
/** Keeps it, or with null forgets it. */
export const writeDraft = (accountId: string, name: string, draft: unknown): void =>
  writeHere(`${stemOf(accountId)}${name}`, draft);
/** Whether something was begun under this account and neither sent nor given up. */
export const hasDrafts = (accountId: string): boolean => keysHere(stemOf(accountId)).length > 0;

/**
 * Words that were begun and not sent: kept in this browser under the person's account as they are typed, so that a
 * reload, another page or the end of the session loses none of them. Null empties it.
 * @param name what the draft is for; it does not change while its part of the page is shown. Without a name it lives as
 * long as that
 */
export function useDraft<T>(name: string | undefined): [T | null, (next: T | null) => void] {
  const { id } = useMe();
  const [draft, setDraft] = useState(() => (name === undefined ? null : readDraft<T>(id, name)));
  return [
    draft,
    (next) => {
      if (name !== undefined) writeDraft(id, name, next);
      setDraft(next);
    },
  ];
}

/**
 * Words in a field that are sent from it: kept like any draft, taken from the field as they are sent, and given back where
 * that failed, before what was typed meanwhile.
 */
export function useWords(name?: string) {
  const [draft, setDraft] = useDraft<string>(name);
  const now = useRef(draft);
  const setText = (next: string): void => {
    now.current = next === '' ? null : next;
    setDraft(now.current);
  };
  return {
    text: draft ?? '',
    setText,
    takes: () => {
      const sent = now.current ?? '';
      setText('');
      return () => setText([sent, now.current ?? ''].filter(Boolean).join('\n'));
    },
  };
}
