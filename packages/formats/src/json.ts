import { readMapText, writeMap } from '@ichnograph/core';
import { ontoKinds } from './draft/onto-kinds.js';
import { textOf, utf8 } from './files/text.js';
import { ALL, Unreadable } from './format.js';
import type { Format, Said } from './format.js';

/** Our own file: all of a map, read strictly. */
export const json: Format = {
  name: 'json',
  label: 'Map file',
  endings: ['json'],
  mediaType: 'application/json',
  keeps: ALL,
  carries: { topics: 'all', links: 'all', titles: 'all', looks: 'all', bearing: 'all', more: 'all' },
  write: (map, { legend }) => ({
    content: utf8(`${JSON.stringify({ ...writeMap(map), ...(legend && { legend }) }, null, 2)}\n`),
    said: [],
  }),
  read: (content, { legend }) => {
    const { value, messages } = readMapText(textOf(content));
    if (value) {
      const said: Said[] = [];
      const map = legend ? ontoKinds(value, legend, (about, reason) => said.push({ about, reason })) : value;
      return { map, said };
    }
    throw new Unreadable(messages.map(({ path, reason }) => `${path} ${reason}`).join('; '));
  },
};
