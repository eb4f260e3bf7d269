import type { Topic } from '@ichnograph/core';
import { mergedWords } from '@ichnograph/livemap';
import type { Merged } from '@ichnograph/livemap';
import { useEffect, useRef, useState } from 'react';
import { useEditor } from './editor';

const REST_MS = 900;

/** A topic's note, kept as it is typed: whenever the hand rests, when its field is left and when the page goes. Who types nothing keeps nothing. */
export function useKeptNote({ id, note: stored = '' }: Pick<Topic, 'id' | 'note'>) {
  const { actions } = useEditor();
  const [typed, setTyped] = useState<string | null>(null);
  const latest = useRef({ typed, stored });
  useEffect(() => {
    latest.current = { typed, stored };
  });
  const keep = (): void => {
    const now = latest.current;
    // What is refused, with the reason, stays to be shortened.
    if (now.typed !== null && now.typed !== now.stored && !actions.setNote(id, now.typed)) return;
    setTyped(null);
  };
  const [came, setCame] = useState(stored);
  const [merged, setMerged] = useState<Merged | null>(null);
  if (came !== stored) {
    // Somebody else wrote into it: both are kept, letter by letter.
    setCame(stored);
    if (typed !== null) {
      const both = mergedWords(came, stored, typed);
      setTyped(both.words);
      setMerged(both);
    }
  }
  useEffect(() => {
    const timer = setTimeout(keep, REST_MS);
    return () => clearTimeout(timer);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- after each change of the text
  }, [typed]);
  // Once, when it goes, and when the page goes: a reload waits for no hand to rest.
  useEffect(() => {
    window.addEventListener('pagehide', keep);
    return () => {
      window.removeEventListener('pagehide', keep);
      keep();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what it keeps is in a ref
  }, []);
  return { text: typed ?? stored, type: setTyped, keep, merged };
}
