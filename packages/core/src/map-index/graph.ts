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

/** Breadth first: the number of steps from a start to every vertex it reaches, nearest first. */
export function levelsFrom(start: string, next: (id: string) => Iterable<string>): Map<string, number> {
  const levels = new Map([[start, 0]]);
  // A Map's iteration goes on over what is added meanwhile: it is its own queue.
  for (const [id, level] of levels) {
    for (const neighbour of next(id)) if (!levels.has(neighbour)) levels.set(neighbour, level + 1);
  }
  return levels;
}

/**
 * The strongly connected parts of a directed graph, in the order of their first vertex, each in the order of `ids`.
 * Iterative, so that a chain of thousands does not end the stack. Source: Tarjan (1972), "Depth-first search and linear
 * graph algorithms".
 */
export function strongParts(ids: readonly string[], next: ReadonlyMap<string, readonly string[]>): string[][] {
  const index = new Map<string, number>();
  const low = new Map<string, number>();
  const open = new Set<string>();
  const stack: string[] = [];
  const partOf = new Map<string, number>();
  let parts = 0;
  for (const root of ids) {
    if (index.has(root)) continue;
    const calls: { id: string; edge: number }[] = [{ id: root, edge: 0 }];
    while (calls.length > 0) {
      const call = calls.at(-1)!;
      const { id } = call;
      if (call.edge === 0) {
        index.set(id, index.size);
        low.set(id, index.get(id)!);
        stack.push(id);
        open.add(id);
      }
      const to = (next.get(id) ?? [])[call.edge++];
      if (to !== undefined) {
        if (!index.has(to)) calls.push({ id: to, edge: 0 });
        else if (open.has(to)) low.set(id, Math.min(low.get(id)!, index.get(to)!));
        continue;
      }
      calls.pop();
      const parent = calls.at(-1);
      if (parent) low.set(parent.id, Math.min(low.get(parent.id)!, low.get(id)!));
      if (low.get(id) !== index.get(id)) continue;
      for (let member = stack.pop()!; ; member = stack.pop()!) {
        open.delete(member);
        partOf.set(member, parts);
        if (member === id) break;
      }
      parts++;
    }
  }
  const lists = new Map<number, string[]>();
  for (const id of ids) lists.set(partOf.get(id)!, [...(lists.get(partOf.get(id)!) ?? []), id]);
  return [...lists.values()];
}
