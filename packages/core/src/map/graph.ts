/**
 * The connected parts of an undirected graph. Parts come in the order of their first id, and so do the ids of each.
 * @param ids the vertices, in file order
 * @param neighbours for each id the ids it is joined to, both ways
 */
export function connectedParts(
  ids: readonly string[],
  neighbours: ReadonlyMap<string, ReadonlySet<string>>,
): string[][] {
  const partOf = new Map<string, number>();
  let parts = 0;
  for (const start of ids) {
    if (partOf.has(start)) continue;
    const waiting = [start];
    partOf.set(start, parts);
    for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
      for (const next of neighbours.get(id) ?? []) {
        if (partOf.has(next)) continue;
        partOf.set(next, parts);
        waiting.push(next);
      }
    }
    parts++;
  }
  const lists: string[][] = Array.from({ length: parts }, () => []);
  for (const id of ids) lists[partOf.get(id)!]!.push(id);
  return lists;
}
