import type { TopicMap } from '../map/types.js';

/** What of a map one person made. */
export interface Made {
  /** an account's id; null: given, or nobody knows by whom */
  by: string | null;
  /** ids */
  topics: string[];
  links: string[];
  /** of all topics and links that somebody made, 0 to 1; 0 where nobody is known */
  share: number;
}

/**
 * Who made which topics and links of a map: its members in their order, whether they made something or not, then others who
 * did, then what nobody made. What is given with the assignment counts for nobody.
 */
export function whoMade({ topics, links }: TopicMap, members: readonly string[]): Made[] {
  const rows = new Map<string | null, Made>(
    members.map((by): [string, Made] => [by, { by, topics: [], links: [], share: 0 }]),
  );
  const rowOf = (by: string | undefined): Made => {
    const key = by ?? null;
    const row = rows.get(key) ?? { by: key, topics: [], links: [], share: 0 };
    rows.set(key, row);
    return row;
  };
  for (const { id, by } of topics) rowOf(by).topics.push(id);
  for (const { id, by } of links) rowOf(by).links.push(id);
  const made = [...rows.values()].toSorted((a, b) => Number(a.by === null) - Number(b.by === null));
  const count = (row: Made): number => (row.by === null ? 0 : row.topics.length + row.links.length);
  const all = made.reduce((sum, row) => sum + count(row), 0);
  return made.map((row) => ({ ...row, share: all === 0 ? 0 : count(row) / all }));
}
