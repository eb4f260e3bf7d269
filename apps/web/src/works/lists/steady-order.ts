import { sentenceRows, sentencesWith, sortedSentences } from '@ichnograph/core';
import type { SentenceRow, SentenceSort } from '@ichnograph/core';
import { useMemo } from 'react';
import { useEditor } from '../editor';

/** Ids in an order that stays while rows are mended: what was mended does not jump away from under the hand. */
export function useSteadyOrder(
  rows: readonly SentenceRow[],
  sort: SentenceSort,
  words: string,
  language: string,
): SentenceRow[] {
  const { store, assignment } = useEditor();
  const ids = useMemo(() => {
    const now = sentenceRows(store.getState().map, assignment);
    return sentencesWith(sortedSentences(now, sort, language), words).map(({ link }) => link.id);
  }, [store, assignment, sort, words, language]);
  return useMemo(() => {
    const byId = new Map(rows.map((row) => [row.link.id, row]));
    const known = new Set(ids);
    const since = sentencesWith(
      rows.filter(({ link }) => !known.has(link.id)),
      words,
    );
    return [...ids.flatMap((id) => byId.get(id) ?? []), ...since];
  }, [rows, ids, words]);
}
