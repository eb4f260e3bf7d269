import { hangsBy } from '../commands/hanging.js';
import type { Link, TopicMap } from '../map/types.js';

/** A line of a map told as an outline. */
export interface OutlineRow {
  id: string;
  /** 0 at the margin */
  depth: number;
  /** the words of the link by which it hangs; empty at the margin */
  phrase: string;
  text: string;
  note: string;
  /** the link by which it hangs; null at the margin */
  by: Link | null;
  /** ties to topics elsewhere: their words and what they lead to */
  ties: { phrase: string; text: string; link: Link }[];
}

/**
 * A map as an indented outline: each topic once, below what it hangs from (the first link that leads to it), in the order
 * of the links; what hangs from nothing is at the margin, what has most below it first. All other links are ties.
 */
export function mapOutline(map: TopicMap): OutlineRow[] {
  const hangs = hangsBy(map);
  const byId = new Map(map.topics.map((topic) => [topic.id, topic]));
  const below = new Map<string, string[]>();
  const tiesOf = new Map<string, Link[]>();
  for (const link of map.links)
    if (hangs.get(link.to) === link) grow(below, link.from, link.to);
    else grow(tiesOf, link.from, link);
  const tops = map.topics.filter(({ id }) => !hangs.has(id)).map(({ id }) => inOrder(id, below));
  tops.sort((a, b) => b.length - a.length);
  const depths = new Map<string, number>();
  return tops.flat().map((id): OutlineRow => {
    const { text, note = '' } = byId.get(id)!;
    const by = hangs.get(id) ?? null;
    const depth = by ? depths.get(by.from)! + 1 : 0;
    depths.set(id, depth);
    const ties = (tiesOf.get(id) ?? []).map((link) => ({ phrase: link.phrase, text: byId.get(link.to)!.text, link }));
    return { id, depth, phrase: by?.phrase ?? '', text, note, by, ties };
  });
}

/** A topic and all that hangs from it, each before what hangs from it. */
function inOrder(top: string, below: ReadonlyMap<string, readonly string[]>): string[] {
  const [ids, left]: [string[], string[]] = [[], [top]];
  for (let id = left.pop(); id !== undefined; id = left.pop()) {
    ids.push(id);
    left.push(...(below.get(id) ?? []).toReversed());
  }
  return ids;
}

function grow<T>(lists: Map<string, T[]>, key: string, item: T): void {
  const list = lists.get(key);
  if (list) list.push(item);
  else lists.set(key, [item]);
}
