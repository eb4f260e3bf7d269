import { mapOutline, wordsOf } from '@ichnograph/core';
import type { OutlineRow, TopicMap } from '@ichnograph/core';
import type { Listed } from '../editor';

export interface TreeRow extends OutlineRow {
  /** null for a row that is not on the map yet */
  parent: string | null;
  /** how many hang from it, and its place among those beside it, from 1 */
  below: number;
  place: number;
  beside: number;
  folded: boolean;
  /** words of its note, and of all notes of its branch */
  words: number;
  branchWords: number;
}

/** The id of the row that is being written. */
export const NEW_ROW = 'new';

/** The rows of a map's outline that are seen: what hangs from a folded topic is not. */
export function treeRows(map: TopicMap): TreeRow[] {
  const rows = mapOutline(map);
  const folds = new Set(map.topics.filter(({ folded }) => folded).map(({ id }) => id));
  const fellows = new Map<string | null, string[]>();
  const parentOf = ({ by }: OutlineRow): string | null => by?.from ?? null;
  for (const row of rows) {
    const list = fellows.get(parentOf(row));
    if (list) list.push(row.id);
    else fellows.set(parentOf(row), [row.id]);
  }
  const places = new Map([...fellows.values()].flatMap((ids) => ids.map((id, i) => [id, i + 1] as const)));
  const own = new Map(rows.map(({ id, note }) => [id, wordsOf(note).length]));
  const branch = new Map(own);
  // What is read last lies deepest: its words are known before those above it are summed.
  for (const { id, by } of rows.toReversed()) if (by) branch.set(by.from, branch.get(by.from)! + branch.get(id)!);
  let hiddenBelow = Infinity;
  return rows.flatMap((row): TreeRow[] => {
    if (row.depth > hiddenBelow) return [];
    const below = fellows.get(row.id)?.length ?? 0;
    const folded = below > 0 && folds.has(row.id);
    hiddenBelow = folded ? row.depth : Infinity;
    const parent = parentOf(row);
    return [
      {
        ...row,
        parent,
        below,
        place: places.get(row.id)!,
        beside: fellows.get(parent)!.length,
        folded,
        words: own.get(row.id)!,
        branchWords: branch.get(row.id)!,
      },
    ];
  });
}

/** The rows with the one that is being written in its place. */
export function withNewRow(rows: readonly TreeRow[], { after, as }: Extract<Listed, { what: 'row' }>): TreeRow[] {
  const at = rows.findIndex(({ id }) => id === after);
  const over = rows[at];
  const depth = over ? over.depth + (as === 'below' ? 1 : 0) : 0;
  let place = at < 0 ? rows.length : at + 1;
  if (as === 'beside') while (place < rows.length && rows[place]!.depth > depth) place++;
  const row: TreeRow = {
    id: NEW_ROW,
    depth,
    phrase: '',
    text: '',
    note: '',
    by: null,
    ties: [],
    parent: null,
    below: 0,
    place: 1,
    beside: 1,
    folded: false,
    words: 0,
    branchWords: 0,
  };
  return rows.toSpliced(place, 0, row);
}
