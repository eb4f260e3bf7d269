import { useEffect } from 'react';
import { create } from 'zustand';

const KEY = 'single letters are off';

function kept(): boolean {
  try {
    return localStorage.getItem(KEY) === null;
  } catch {
    return true;
  }
}

/** Whether single letters act as keys: who dictates, or rests a hand on the keyboard, switches them off. */
export const useSingleLetters = create<{ on: boolean; set: (on: boolean) => void }>((set) => ({
  on: kept(),
  set: (on) => {
    set({ on });
    try {
      if (on) localStorage.removeItem(KEY);
      else localStorage.setItem(KEY, 'yes');
    } catch {
      // Where nothing can be kept, it holds as long as the page.
    }
  },
}));

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest('input, textarea, select, [contenteditable], [role=menu]') !== null;

/** Single letters that act wherever one is on the page, but where one types or chooses. By `F` or `Shift+F`. */
export function useLetterKeys(keys: Readonly<Record<string, () => void>>): void {
  const { on } = useSingleLetters();
  useEffect(() => {
    if (!on) return;
    const onKey = (event: KeyboardEvent): void => {
      if (event.altKey || event.ctrlKey || event.metaKey || isTyping(event.target)) return;
      const act = keys[`${event.shiftKey ? 'Shift+' : ''}${event.key.toUpperCase()}`];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
