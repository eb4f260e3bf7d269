import { useEffect } from 'react';
import { useMe } from '../common/queries';
import { useEditor } from './editor';
import type { Typing } from './editor';

/** What is being typed on the map outlives a reload. */
export function useKeptTyping(workId: string): void {
  const { store, actions } = useEditor();
  const { id } = useMe();
  useEffect(() => {
    const key = `ichnograph:${id}:draft:typing on ${workId}`;
    const kept = sessionStorage.getItem(key);
    if (kept) {
      const { typing, words } = JSON.parse(kept) as { typing: Typing; words: string };
      actions.resume(typing, words);
    }
    return store.subscribe(({ typing, words }) => {
      if (typing && words !== '') sessionStorage.setItem(key, JSON.stringify({ typing, words }));
      else sessionStorage.removeItem(key);
    });
  }, [store, actions, id, workId]);
}
