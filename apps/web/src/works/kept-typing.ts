import { useEffect } from 'react';
import { useMe } from '../common/queries';
import { useEditor } from './editor';
import type { Typing } from './editor';

interface Kept {
  typing: Typing;
  words: string;
  wordsOf?: string | null;
}

/** What is being typed on the map outlives a reload. */
export function useKeptTyping(workId: string): void {
  const { store, actions } = useEditor();
  const { id } = useMe();
  useEffect(() => {
    const key = `ichnograph:${id}:draft:typing on ${workId}`;
    const kept = sessionStorage.getItem(key);
    if (kept) {
      const { typing, words, wordsOf = null } = JSON.parse(kept) as Kept;
      actions.resume(typing, words, wordsOf);
    }
    return store.subscribe(({ typing, words, wordsOf }) => {
      if (typing && words !== '')
        sessionStorage.setItem(key, JSON.stringify({ typing, words, wordsOf } satisfies Kept));
      else sessionStorage.removeItem(key);
    });
  }, [store, actions, id, workId]);
}
