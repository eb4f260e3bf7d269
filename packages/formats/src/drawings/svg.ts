import { mapToSvg, mend } from '@ichnograph/core';
import type { TitleBlockText, TopicMap } from '@ichnograph/core';
import { onOneLine } from '../draft/words.js';
import { utf8 } from '../files/text.js';
import { DRAWN_FORMATS } from '../drawn-formats.js';
import type { Format, Writing } from '../format.js';
import { fontRules } from '../paper/font-rules.js';
import { wordsDrawn } from './letters.js';
import { picturesOf } from './pictures.js';

/** Scalable Vector Graphics 1.1: the drawing as on screen, with its fonts in it. */
export const svg: Format = {
  ...DRAWN_FORMATS.svg,
  write: async (map, writing) => ({ content: utf8(await drawnAlone(map, writing)), said: [] }),
};

/** A drawing that stands alone: every letter as text, fonts and pictures in it, nothing read from elsewhere. */
export async function drawnAlone(map: TopicMap, writing: Writing): Promise<string> {
  const words = wordsDrawn(mend(map).map, writing.legend, writing.block ? blockOf(map, writing) : undefined);
  return drawnWith(map, writing, await fontRules(words));
}

/** @param rules for its fonts; none where the one who draws it has them */
export async function drawnWith(one: TopicMap, writing: Writing, rules?: string): Promise<string> {
  const { map } = mend(one);
  const hrefs = await picturesOf(map, writing.pictureOf, dataAddress);
  return mapToSvg(map, writing.legend, {
    title: nameOf(map),
    description: descriptionOf(map),
    ...(rules !== undefined && { rules }),
    ...(writing.block && { block: blockOf(map, writing) }),
    hrefOf: (src) => hrefs[src] ?? null,
  });
}

export const nameOf = ({ title }: TopicMap): string => onOneLine(title) || 'Map';

/** What a drawing shows, for those who do not see it. */
export function descriptionOf({ topics, links, focusQuestion }: TopicMap): string {
  const count = (list: readonly unknown[], word: string): string =>
    `${list.length} ${word}${list.length === 1 ? '' : 's'}`;
  const question = onOneLine(focusQuestion);
  return `A topic map of ${count(topics, 'topic')} and ${count(links, 'link')}.${question ? ` ${question}` : ''}`;
}

export const blockOf = (map: TopicMap, { at }: Writing): TitleBlockText => ({
  title: nameOf(map),
  focusQuestion: onOneLine(map.focusQuestion),
  drawnBy: onOneLine(map.author),
  assignment: '',
  state: '',
  date: at.toISOString().slice(0, 10),
});

function dataAddress(content: Uint8Array): string {
  const type =
    content[0] === 0x89
      ? 'image/png'
      : content[0] === 0xff
        ? 'image/jpeg'
        : content[0] === 0x52
          ? 'image/webp'
          : 'image/svg+xml';
  return `data:${type};base64,${Buffer.from(content).toString('base64')}`;
}
