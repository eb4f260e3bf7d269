/** Where something stands after it was moved, for those who do not see it go. */
export const placeAloud = (name: string, at: number, by: number, count: number): string =>
  `${name}: ${Math.max(0, Math.min(count - 1, at + by)) + 1} of ${count}.`;

/** The list with one member a place further on (1) or back (-1); at its ends it stays. */
export function moved<T>(list: readonly T[], from: number, by: number): T[] {
  const to = from + by;
  if (to < 0 || to >= list.length) return [...list];
  const next = [...list];
  const [item] = next.splice(from, 1);
  next.splice(to, 0, item!);
  return next;
}

/**
 * Members that were taken out, each again at the place it had, as far as the list still is as long; what stands there again
 * by itself is not doubled.
 */
export function putBack<T>(
  list: readonly T[],
  gone: readonly { item: T; at: number }[],
  keyOf: (one: T) => string,
): T[] {
  const next = [...list];
  for (const { item, at } of gone.toSorted((a, b) => a.at - b.at))
    if (!next.some((one) => keyOf(one) === keyOf(item))) next.splice(Math.min(at, next.length), 0, item);
  return next;
}

/** Some members of a list in another order, at the places that they have together; the others stay where they are. */
export function reordered<T extends { id: string }>(list: readonly T[], ids: readonly string[]): T[] {
  const byId = new Map(list.map((item) => [item.id, item]));
  const next = ids.flatMap((id) => byId.get(id) ?? []);
  return list.map((item) => (ids.includes(item.id) ? next.shift()! : item));
}

/** What the ids of standing rules begin with: an assignment's own never meet those that come to it by amendment. */
export const RULE_STEM = 'rule-';

/** A short id that none of the list has: files are read by people too. */
export function newIdAmong(list: readonly { id: string }[], stem: string): string {
  for (let n = list.length + 1; ; n++) {
    const id = `${stem}${n}`;
    if (!list.some((one) => one.id === id)) return id;
  }
}
