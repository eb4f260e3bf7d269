import type { Topic } from '@ichnograph/core';
import { useEffect, useRef, useState } from 'react';
import { useEditor } from './editor';

const REST_MS = 900;

/** A topic's note, kept as it is typed: whenever the hand rests, and when its field is left. Who types nothing keeps nothing. */
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
  useEffect(() => {
    const timer = setTimeout(keep, REST_MS);
    return () => clearTimeout(timer);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- after each change of the text
  }, [typed]);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when it goes
  useEffect(() => keep, []);
  return { text: typed ?? stored, type: setTyped, keep };
}
