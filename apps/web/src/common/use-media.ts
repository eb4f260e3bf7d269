import { useSyncExternalStore } from 'react';

/** Whether a media query holds, and again whenever that changes. */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (listener) => {
      const list = window.matchMedia(query);
      list.addEventListener('change', listener);
      return () => list.removeEventListener('change', listener);
    },
    () => window.matchMedia(query).matches,
  );
}

/** Whether a person asked their system for less motion. */
export const isStill = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;
