import type { Person } from '@ichnograph/contract';
import { useEffect } from 'react';
import { announce } from '../../common/announcer';
import type { WhoIsHere } from '../../live';

/** So long is waited for others who come or go: a class that opens a map at once is one sentence, a lost second none. */
const GATHER_MS = 3000;

const list = new Intl.ListFormat('en');

/** Who came and who went, as one would say it; nothing where it is the same as before. */
export function arrivalsSaid(before: readonly Person[], now: readonly Person[]): string | null {
  const isIn = (people: readonly Person[], { id }: Person): boolean => people.some((one) => one.id === id);
  const came = now.filter((one) => !isIn(before, one)).map(({ givenName }) => givenName);
  const went = before.filter((one) => !isIn(now, one)).map(({ givenName }) => givenName);
  const parts = [
    came.length > 0 && `${list.format(came)} ${came.length === 1 ? 'is' : 'are'} here now.`,
    went.length > 0 && `${list.format(went)} left.`,
  ];
  const said = parts.filter((part) => part !== false).join(' ');
  return said === '' ? null : said;
}

/** Tells those who do not see it who comes and goes, a sentence at a time. */
export function useSaidArrivals({ store }: WhoIsHere): void {
  useEffect(() => {
    let told: readonly Person[] = [];
    let timer: ReturnType<typeof setTimeout> | null = null;
    const unsubscribe = store.subscribe((now, before) => {
      if (now.people === before.people || timer) return;
      timer = setTimeout(() => {
        timer = null;
        const here = store.getState().people;
        const said = arrivalsSaid(told, here);
        told = here;
        if (said !== null) announce(said);
      }, GATHER_MS);
    });
    return () => {
      unsubscribe();
      clearTimeout(timer ?? undefined);
    };
  }, [store]);
}
