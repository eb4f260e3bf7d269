import { lazy } from 'react';
import type { ComponentType } from 'react';
import { SaidError } from '../common/api';
import { tell } from '../common/told';

/** So often, and so long apart, the code of a page is asked for before that is given up. */
const TRIES = 10;
const APART_MS = 3000;

/**
 * Loads the code of a page. As long as it does not come, the page that is open stays, with all that was done on it; it is
 * said, and asked for again.
 */
export async function loadPage<T>(load: () => Promise<T>): Promise<T> {
  for (let left = TRIES - 1; ; left--) {
    try {
      return await load();
    } catch (error) {
      console.warn(error);
      if (left === 0)
        throw new SaidError(
          'This page could not be loaded. Perhaps there is a newer one: load it again. What was saved is safe.',
        );
      if (left === TRIES - 1) tell('The page does not come. It is asked for again; here everything stays as it is.');
    }
    await new Promise((resolve) => setTimeout(resolve, APART_MS));
  }
}

/** A part of a page that is not needed to see it: its code comes when that has been drawn. */
export function afterwards<P extends object>(load: () => Promise<ComponentType<P>>) {
  let part: Promise<{ default: ComponentType<P> }> | null = null;
  const once = () => (part ??= loadPage(load).then((Part) => ({ default: Part })));
  // Asked for before it is wanted: what it would say must be there when the connection is not.
  const begin = (): void => void once().catch(() => (part = null));
  if ('requestIdleCallback' in window) requestIdleCallback(begin);
  else setTimeout(begin, 200);
  return lazy(once);
}
