import { beginsWithMark, plainLines } from '@ichnograph/core';
import { droppedOf } from '../dropped.js';
import { emptyDraft } from '../draft/draft.js';
import type { Draft } from '../draft/draft.js';
import { mapOfDraft } from '../draft/map-of-draft.js';
import { onOneLine } from '../draft/words.js';
import { textOf, utf8 } from '../files/text.js';
import type { Format } from '../format.js';
import { linesOf } from './lines.js';

/** An outline as plain text: a tab a level, and nothing but what each topic says. */
export const txt: Format = {
  name: 'txt',
  label: 'Plain text',
  endings: ['txt'],
  mediaType: 'text/plain',
  keeps: {},
  carries: {
    topics: 'text, outline order',
    links: 'which hangs from which',
    titles: 'none',
    looks: 'dropped',
    bearing: 'dropped',
    more: 'dropped',
  },
  write: (map, { legend }) => {
    const said = droppedOf(map, legend, {});
    const lines = linesOf(map, (about, reason) => said.push({ about, reason })).map(({ topic, depth }) => {
      const words = onOneLine(topic.text);
      return `${'\t'.repeat(depth)}${beginsWithMark(words) ? '- ' : ''}${words}\n`;
    });
    return { content: utf8(lines.join('')), said };
  },
  read: (content, reading) => mapOfDraft(draftOf(textOf(content)), reading),
};

function draftOf(text: string): Draft {
  const draft = emptyDraft(false);
  /** by depth, the topic that what is deeper hangs from */
  const above: string[] = [];
  for (const { depth, words } of plainLines(text)) {
    const key = `line ${draft.topics.length + 1}`;
    draft.topics.push({ key, text: words });
    if (depth > 0) draft.links.push({ from: above[depth - 1]!, to: key, phrase: '' });
    above.length = depth;
    above.push(key);
  }
  return draft;
}
