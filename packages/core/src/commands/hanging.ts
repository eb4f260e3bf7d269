import type { Link, TopicMap } from '../map/types.js';

/** The link by which each topic hangs: the first that leads to it. What only a ring leads to hangs by the ring's first. */
export function hangsBy({ topics, links }: Pick<TopicMap, 'topics' | 'links'>): Map<string, Link> {
  const first = new Map<string, Link>();
  for (const link of links) if (!first.has(link.to)) first.set(link.to, link);
  // In a ring each would hang from the next: the topic that comes first in the map hangs from nothing.
  const led = new Set<string>();
  for (const { id } of topics) {
    const seen = new Set<string>();
    for (let at: string | undefined = id; at !== undefined && !led.has(at); at = first.get(at)?.from) {
      if (seen.has(at)) {
        const ring = new Set<string>();
        for (let on = at; !ring.has(on); on = first.get(on)!.from) ring.add(on);
        first.delete(topics.find((topic) => ring.has(topic.id))!.id);
        break;
      }
      seen.add(at);
    }
    // From all of these a way leads up to one that hangs from nothing.
    for (const at of seen) led.add(at);
  }
  return first;
}

/** The ids of topics and of all that hangs from them, in the map's order. */
export function branchOf(map: Pick<TopicMap, 'topics' | 'links'>, ids: readonly string[]): string[] {
  const children = new Map<string, string[]>();
  for (const [id, { from }] of hangsBy(map)) children.set(from, [...(children.get(from) ?? []), id]);
  const branch = new Set(ids);
  for (const id of branch) for (const child of children.get(id) ?? []) branch.add(child);
  return map.topics.flatMap(({ id }) => (branch.has(id) ? [id] : []));
}
