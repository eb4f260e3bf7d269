import { propositionOf } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { SaidError } from '../common/api';

export type CopyForm = 'picture' | 'text' | 'table';
export const COPIES: Record<CopyForm, string> = {
  picture: 'Copy it as a picture',
  text: 'Copy it as text: the outline',
  table: 'Copy it as a table: the sentences',
};

const escaped = (words: string): string =>
  words.replace(/[&<>]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[sign]!);
const oneCell = (words: string): string => words.replace(/\s+/g, ' ').trim();

/** Every sentence as a row of three cells: for a spreadsheet, and for a document that takes tables. */
export function sentencesTable(map: TopicMap, legend: Legend): { plain: string; html: string } {
  const byId = new Map(map.topics.map((topic) => [topic.id, topic]));
  const rows = map.links.map((link) => {
    const { from, phrase, to } = propositionOf(link, byId.get(link.from)!, byId.get(link.to)!, legend);
    return [from, phrase, to].map(oneCell);
  });
  const head = ['From', 'Phrase', 'To'];
  const row = (cells: readonly string[], as: 'th' | 'td'): string =>
    `<tr>${cells.map((cell) => `<${as}>${escaped(cell)}</${as}>`).join('')}</tr>`;
  return {
    plain: [head, ...rows].map((cells) => cells.join('\t')).join('\n'),
    html: `<table>${row(head, 'th')}${rows.map((cells) => row(cells, 'td')).join('')}</table>`,
  };
}

/**
 * Lays a map on the clipboard. What is made meanwhile is promised to it, so that the browser still knows whose press it was.
 * @throws SaidError where a browser keeps its clipboard from the page
 */
export async function copyAs(form: CopyForm, map: TopicMap, legend: Legend): Promise<void> {
  const text = (words: string, type: string): Blob => new Blob([words], { type });
  const file = async (as: 'png' | 'txt', wishes: object = {}): Promise<Blob> =>
    (await import('../map-files')).written(as, map, legend, wishes);
  const parts: Record<CopyForm, () => Record<string, Blob | Promise<Blob>>> = {
    picture: () => ({ 'image/png': file('png', { scale: 2 }) }),
    text: () => ({ 'text/plain': file('txt').then(async (blob) => text(await blob.text(), 'text/plain')) }),
    table: () => {
      const { plain, html } = sentencesTable(map, legend);
      return { 'text/html': text(html, 'text/html'), 'text/plain': text(plain, 'text/plain') };
    },
  };
  if (!('ClipboardItem' in window))
    throw new SaidError('This browser does not let a page copy that. Save it as a file instead.');
  const made = parts[form]();
  try {
    await navigator.clipboard.write([new ClipboardItem(made)]);
  } catch (error) {
    // What could not be made says why; a browser that will not says nothing a person could read.
    for (const part of Object.values(made)) await part;
    console.warn(error);
    throw new SaidError('The browser did not let it be copied. Save it as a file instead.');
  }
}
