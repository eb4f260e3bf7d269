import { isBlank } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { named, onLines } from '../draft/words.js';
import { COLUMN_NAMES } from '../format.js';
import type { ColumnName, Say } from '../format.js';
import { kindName, linkKindName, sayWordless } from '../outlines/lines.js';

export const HEADER: readonly string[] = COLUMN_NAMES;

/** A map's propositions as rows in the order of its links, then each topic that no link touches. */
export function sentencesOf(map: TopicMap, legend: Legend | undefined, say: Say): string[][] {
  const byId = new Map(map.topics.map((topic) => [topic.id, topic]));
  const touched = new Set<string>();
  const blank = map.topics.filter(({ text }) => isBlank(text));
  for (const { id } of blank) sayWordless(id, say);
  sayJoined(map, say);
  const rows = map.links.flatMap((link) => {
    const [from, to] = [byId.get(link.from)!, byId.get(link.to)!];
    if (isBlank(from.text) || isBlank(to.text)) return [];
    touched.add(from.id).add(to.id);
    return [
      inOrder({
        from: onLines(from.text),
        phrase: onLines(link.phrase),
        to: onLines(to.text),
        from_kind: kindName(legend, from),
        to_kind: kindName(legend, to),
        link_kind: linkKindName(legend, link),
      }),
    ];
  });
  const alone = map.topics.filter(({ id, text }) => !touched.has(id) && !isBlank(text));
  return [...rows, ...alone.map((topic) => inOrder({ from: onLines(topic.text), from_kind: kindName(legend, topic) }))];
}

const inOrder = (row: Partial<Record<ColumnName, string | undefined>>): string[] =>
  COLUMN_NAMES.map((name) => row[name] ?? '');

/** A table has no ids: topics that say the same are one there. */
function sayJoined({ topics }: TopicMap, say: Say): void {
  const counts = new Map<string, number>();
  for (const { text } of topics) if (!isBlank(text)) counts.set(onLines(text), (counts.get(onLines(text)) ?? 0) + 1);
  for (const [text, count] of counts)
    if (count > 1) say(named(text), `${count} topics of this text are one in a table`);
}
