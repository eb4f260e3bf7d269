import { useEffect } from 'react';
import { chordOf, learnLayout } from './chords';
import type { Pressed } from './chords';
import { useSingleLetters } from './single-letters';

/** What a chord does here. */
export interface KeyAct {
  run: () => void;
  /** held, it is done again and again; else once, however long */
  held?: boolean;
  /** also where words are typed */
  whileTyping?: boolean;
}
type Find = (chord: string) => KeyAct | null | undefined;

/** Those who listen, the last one first. */
const listeners: Find[] = [];

/** What lies over the whole page, and what only a key inside it belongs to. */
const [OVER_ALL, APART] = ['[data-over-all]', '[role=dialog], [role=alertdialog], [role=menu], [role=listbox]'];
const TYPED = 'input:not([type=checkbox], [type=radio], [type=range]), textarea, select, [contenteditable]';

/** A single letter or sign, which somebody may have typed by speaking or by resting a hand. */
const isSingle = (chord: string): boolean => /^(?:Shift\+)?.$/u.test(chord);

/** What a pressed key does, if anything: nothing under what lies over the page, nor while an input method composes. */
export function actFor(event: Pressed & Pick<KeyboardEvent, 'isComposing' | 'repeat' | 'target'>): KeyAct | null {
  if (event.isComposing || event.key === 'Process') return null;
  const target = event.target instanceof Element ? event.target : null;
  if (target?.closest(APART) || document.querySelector(OVER_ALL)) return null;
  const chord = chordOf(event);
  if (isSingle(chord) && !useSingleLetters.getState().on) return null;
  const act = listeners.findLast((find) => find(chord))?.(chord);
  if (!act) return null;
  return target?.closest(TYPED) && !act.whileTyping ? null : act;
}

/** Gives a key to the page, also one that what has the focus took though it has no use for it. */
export function givePage(event: KeyboardEvent): void {
  const act = actFor(event);
  if (!act) return;
  event.preventDefault();
  if (!event.repeat || act.held) act.run();
}

function onKeyDown(event: KeyboardEvent): void {
  learnLayout(event);
  if (!event.defaultPrevented) givePage(event);
}

/**
 * Keys that act wherever one is on the page. The one place that knows of keyboard layouts, of keys that are held, of what
 * lies over the page and of who wants no single letters.
 */
export function useKeys(find: Find): void {
  useEffect(() => {
    if (listeners.length === 0) window.addEventListener('keydown', onKeyDown);
    listeners.push(find);
    return () => {
      listeners.splice(listeners.indexOf(find), 1);
      if (listeners.length === 0) window.removeEventListener('keydown', onKeyDown);
    };
  });
}
