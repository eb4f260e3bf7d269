import { emptyDraft } from '../draft/draft.js';
import type { Draft, DraftTopic } from '../draft/draft.js';
import { named, onLines } from '../draft/words.js';
import type { ColumnName, Columns, Say } from '../format.js';
import { layoutOf } from './columns.js';

/** What the rows of a table say: a link each, or a topic where one end alone is filled; what says the same is one topic. */
export function draftOfRows(rows: readonly (readonly string[])[], columns: Columns | undefined, say: Say): Draft {
  const { at, skip } = layoutOf(rows, columns, say);
  const draft = emptyDraft(true);
  const topics = new Map<string, DraftTopic>();
  const topicOf = (text: string, kind: string): string => {
    let topic = topics.get(text);
    if (!topic) {
      topic = { key: text, text };
      topics.set(text, topic);
      draft.topics.push(topic);
    }
    if (kind !== '') topic.kind ??= { name: kind };
    return text;
  };
  for (const row of rows.slice(skip)) {
    const cell = (name: ColumnName): string => onLines(row[at[name] ?? -1] ?? '');
    const [from, phrase, to] = [cell('from'), cell('phrase'), cell('to')];
    const ends = [
      from === '' ? null : topicOf(from, cell('from_kind')),
      to === '' ? null : topicOf(to, cell('to_kind')),
    ].filter((end) => end !== null);
    const [start, end] = ends;
    if (start !== undefined && end !== undefined)
      draft.links.push({ from: start, to: end, phrase, kind: { name: cell('link_kind') } });
    else if (phrase !== '') say(named(phrase), 'left out: it stands between no two topics');
  }
  return draft;
}
