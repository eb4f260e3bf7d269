import { personMarks } from '@ichnograph/core';
import type { PersonMark } from '@ichnograph/core';
import type { Person } from '@ichnograph/contract';
import { useMemo, useRef } from 'react';

/** How each of those who draw on a map, or look on, is told from the others; nobody changes their mark while the page is open. */
export function useMarksOf(members: readonly Person[], others: readonly Person[]): ReadonlyMap<string, PersonMark> {
  const known = useRef<Person[]>([]);
  return useMemo(() => {
    for (const one of [...members, ...others])
      if (!known.current.some(({ id }) => id === one.id)) known.current.push(one);
    return personMarks(known.current);
  }, [members, others]);
}

export const nameOf = ({ givenName, familyName }: Person): string => `${givenName} ${familyName}`.trim();
