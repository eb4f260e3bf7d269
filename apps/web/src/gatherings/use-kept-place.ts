import { useEffect, useLayoutEffect, useRef } from 'react';
import type { Idea } from '@ichnograph/contract';

interface Place {
  id: string;
  column: HTMLElement;
  index: number;
}
const cardsIn = (column: HTMLElement): HTMLElement[] => [...column.querySelectorAll<HTMLElement>('[data-idea]')];

/** Whose card went to another column, or went, is left with the next one in its place: a column is gone through from above. */
export function useKeptPlace(ideas: readonly Idea[]): void {
  const place = useRef<Place | null>(null);
  useEffect(() => {
    const note = ({ target }: FocusEvent): void => {
      const card = target instanceof Element ? target.closest<HTMLElement>('[data-idea]') : null;
      const column = card?.closest<HTMLElement>('[data-column]');
      place.current = card && column ? { id: card.dataset.idea!, column, index: cardsIn(column).indexOf(card) } : null;
    };
    document.addEventListener('focusin', note);
    return () => document.removeEventListener('focusin', note);
  }, []);
  useLayoutEffect(() => {
    if (!place.current || document.activeElement !== document.body) return;
    const { id, column, index } = place.current;
    const next = cardsIn(column).at(Math.min(index, cardsIn(column).length - 1));
    (next ?? document.querySelector<HTMLElement>(`[data-idea="${id}"]`))?.focus();
  }, [ideas]);
}
