import { useVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState } from 'react';
import type { KeyboardEvent } from 'react';

/** Where one is in a list of rows and columns. */
export interface Cell {
  id: string;
  column: number;
}

/** How tall a row is before it was measured, CSS pixels. */
const GUESSED = 38;
/** Rows that a page of keys goes. */
const PAGE = 10;

/**
 * Rows of which only those in sight are drawn, and one cell that has the focus: the grid and treegrid patterns of the ARIA
 * Authoring Practices. The row with the focus is drawn wherever one scrolls, so that the focus is never lost.
 * @param onRow told when keys go to another row; `extend` with Shift
 * @param first the row that is gone into first; `shown`: one that is drawn and scrolled to, whatever has the focus
 */
export function useRows(
  rows: readonly { id: string }[],
  columns: number,
  onRow: (id: string, extend: boolean) => void,
  { first, shown }: { first?: string | undefined; shown?: string | undefined } = {},
) {
  const scroller = useRef<HTMLDivElement>(null);
  const [cell, setCell] = useState<Cell | null>(null);
  const found = rows.findIndex(({ id }) => id === (cell?.id ?? first));
  const index = found < 0 ? 0 : found;
  const column = Math.min(cell?.column ?? 0, columns - 1);
  const pinned = shown === undefined ? -1 : rows.findIndex(({ id }) => id === shown);
  const wanted = useRef(false);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => GUESSED,
    getItemKey: (i) => rows[i]!.id,
    overscan: 12,
    rangeExtractor: ({ startIndex, endIndex, overscan, count }) => {
      const [from, to] = [Math.max(0, startIndex - overscan), Math.min(count - 1, endIndex + overscan)];
      const inSight = Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i);
      return [...new Set([...inSight, index, pinned])].filter((i) => i >= 0 && i < count).sort((a, b) => a - b);
    },
  });
  const focusCell = (): void => {
    const id = rows[index]?.id;
    if (id === undefined) return;
    scroller.current
      ?.querySelector<HTMLElement>(`[data-cell="${CSS.escape(id)}/${column}"]`)
      ?.focus({ preventScroll: true });
  };
  useLayoutEffect(() => {
    if (!wanted.current) return;
    wanted.current = false;
    virtual.scrollToIndex(index, { align: 'auto' });
    focusCell();
  });
  useLayoutEffect(() => {
    if (pinned >= 0) virtual.scrollToIndex(pinned, { align: 'auto' });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- when it comes to stand elsewhere
  }, [pinned]);
  /** Puts the focus on a cell, scrolled into sight. */
  const focusOn = (next: Cell): void => {
    wanted.current = true;
    setCell({ ...next });
  };
  const go = (to: number, on: number, extend = false): void => {
    const row = rows[Math.max(0, Math.min(rows.length - 1, to))];
    if (!row) return;
    const at = Math.max(0, Math.min(columns - 1, on));
    focusOn({ id: row.id, column: at });
    if (row.id !== rows[index]?.id || extend) onRow(row.id, extend);
  };
  /** Arrows, Home, End and pages; with Ctrl to the first and last row. @returns whether the key was one of them */
  const onMove = (event: KeyboardEvent): boolean => {
    const { key, shiftKey, ctrlKey, metaKey, altKey } = event;
    if (altKey) return false;
    const mod = ctrlKey || metaKey;
    const steps: Record<string, () => void> = {
      ArrowUp: () => go(mod ? 0 : index - 1, column, shiftKey),
      ArrowDown: () => go(mod ? rows.length - 1 : index + 1, column, shiftKey),
      ArrowLeft: () => go(index, column - 1),
      ArrowRight: () => go(index, column + 1),
      Home: () => go(mod ? 0 : index, mod ? column : 0),
      End: () => go(mod ? rows.length - 1 : index, mod ? column : columns - 1),
      PageUp: () => go(index - PAGE, column, shiftKey),
      PageDown: () => go(index + PAGE, column, shiftKey),
    };
    const step = steps[key];
    if (!step) return false;
    event.preventDefault();
    step();
    return true;
  };
  return {
    scroller,
    virtual,
    /** the row and the column that have the focus, or would */
    index,
    column,
    focusOn,
    focusCell,
    go,
    onMove,
    cellProps: (id: string, on: number) => ({
      'data-cell': `${id}/${on}`,
      tabIndex: rows[index]?.id === id && column === on ? 0 : -1,
      onFocus: () => setCell((now) => (now?.id === id && now.column === on ? now : { id, column: on })),
    }),
  };
}
