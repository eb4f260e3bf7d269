/** The list with one member a place further on (1) or back (-1); at its ends it stays. */
export function moved<T>(list: readonly T[], from: number, by: number): T[] {
  const to = from + by;
  if (to < 0 || to >= list.length) return [...list];
  const next = [...list];
  const [item] = next.splice(from, 1);
  next.splice(to, 0, item!);
  return next;
}

/** A short id that none of the list has: files are read by people too. */
export function newIdAmong(list: readonly { id: string }[], stem: string): string {
  for (let n = list.length + 1; ; n++) {
    const id = `${stem}${n}`;
    if (!list.some((one) => one.id === id)) return id;
  }
}
