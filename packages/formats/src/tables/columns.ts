import { Unreadable } from '../format.js';
import type { ColumnName, Columns, Say } from '../format.js';
import { COLUMN_NAMES } from '../format.js';
import { named, onOneLine } from '../draft/words.js';

/** What tables of others call what we call so. */
const ALSO: Readonly<Record<ColumnName, readonly string[]>> = {
  from: ['from', 'source', 'parent', 'subject'],
  phrase: ['phrase', 'label', 'relation', 'predicate', 'verb'],
  to: ['to', 'target', 'child', 'object'],
  from_kind: ['from_kind'],
  to_kind: ['to_kind'],
  link_kind: ['link_kind'],
};
/** Which columns a table of so many has where nothing says it. */
const PLAIN: Readonly<Record<number, readonly ColumnName[]>> = {
  0: [],
  1: ['from'],
  2: ['from', 'to'],
  3: ['from', 'phrase', 'to'],
};

export interface Layout {
  /** the position of each column that is there */
  at: Partial<Record<ColumnName, number>>;
  /** how many rows are no data */
  skip: 0 | 1;
}

/** Finds out what the columns of a table hold. */
export function layoutOf(rows: readonly (readonly string[])[], wanted: Columns | undefined, say: Say): Layout {
  const header = (rows[0] ?? []).map((cell) => onOneLine(cell).toLowerCase());
  if (wanted) return asWanted(rows[0] ?? [], header, wanted, say);
  const at: Layout['at'] = {};
  for (const name of COLUMN_NAMES) {
    const found = header.findIndex((cell) => ALSO[name].includes(cell));
    if (found >= 0) at[name] = found;
  }
  if (at.from !== undefined && at.to !== undefined) {
    sayUnread(rows[0]!, new Set(Object.values(at)), say);
    return { at, skip: 1 };
  }
  const width = widthOf(rows);
  const names = PLAIN[width];
  if (!names)
    throw new Unreadable(
      `has ${width} columns and no first row that names a from and a to; say with --columns which is which`,
    );
  return { at: Object.fromEntries(names.map((name, i) => [name, i])), skip: 0 };
}

function asWanted(first: readonly string[], header: readonly string[], wanted: Columns, say: Say): Layout {
  const told = Object.entries(wanted) as [ColumnName, string | number][];
  const skip = told.every(([, column]) => typeof column === 'number') ? 0 : 1;
  const at = Object.fromEntries(
    told.map(([name, column]) => {
      if (typeof column === 'number') return [name, column - 1];
      const found = header.indexOf(onOneLine(column).toLowerCase());
      if (found < 0)
        throw new Unreadable(`has no column “${column}”; its first row names ${header.join(', ') || 'none'}`);
      return [name, found];
    }),
  );
  if (skip === 1) sayUnread(first, new Set(Object.values(at)), say);
  return { at, skip };
}

function sayUnread(header: readonly string[], read: ReadonlySet<number>, say: Say): void {
  header.forEach((name, i) => {
    if (!read.has(i) && onOneLine(name) !== '') say(named(name), 'left out: no column of a map');
  });
}

/** Columns up to the last in which something stands. */
const widthOf = (rows: readonly (readonly string[])[]): number =>
  rows.reduce((widest, row) => Math.max(widest, row.findLastIndex((cell) => cell.trim() !== '') + 1), 0);
