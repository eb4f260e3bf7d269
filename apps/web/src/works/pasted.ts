import Papa from 'papaparse';

/** A clipboard, or what is dropped. */
type Source = Pick<DataTransfer, 'getData'> & { files: ArrayLike<File> };

/**
 * What is pasted, as text that can be laid onto a map or as files. Words come first: a spreadsheet gives a picture of its
 * cells beside them. Nested lists keep their levels as tabs, cells their columns; breaks within a cell become spaces.
 */
export function pastedFrom(data: Source): { text: string; files: readonly File[] } {
  const text = listOrTable(data.getData('text/html')) ?? withoutBreaks(data.getData('text/plain'));
  return text.trim() === '' ? { text: '', files: Array.from(data.files) } : { text, files: [] };
}

/** A list or a table of a page, or of a word processor, as lines; null where there is none of them, or more than them. */
function listOrTable(html: string): string | null {
  if (!/<(?:ul|ol|table)\b/i.test(html)) return null;
  const { body } = new DOMParser().parseFromString(html, 'text/html');
  for (const part of body.querySelectorAll('style, script, meta, title')) part.remove();
  for (const part of body.querySelectorAll('br, p, div')) part.after(' ');
  const lists = [...body.querySelectorAll('ul, ol')].filter((one) => !one.parentElement?.closest('ul, ol'));
  const table = body.querySelector('table');
  const within = table ? [table] : lists;
  const inside = within.reduce((sum, one) => sum + wordsOf(one).length, 0);
  // Where there is text around it, the text is what was meant.
  if (inside < wordsOf(body).length) return null;
  const lines = table ? [...table.rows].map(rowOf) : lists.flatMap((list) => itemsOf(list, 0));
  return lines.join('\n');
}

const tidy = (text: string): string => text.replace(/\s+/g, ' ').trim();
const wordsOf = (part: Element): string => (part.textContent ?? '').replace(/\s+/g, '');
const rowOf = (row: HTMLTableRowElement): string =>
  [...row.cells].map((cell) => tidy(cell.textContent ?? '')).join('\t');

/** The items of a list as lines, those of lists in it one tab deeper, also where a list stands between its items. */
function itemsOf(list: Element, level: number): string[] {
  return [...list.children].flatMap((item) => {
    if (item.matches('ul, ol')) return itemsOf(item, level + 1);
    const own = item.cloneNode(true) as Element;
    for (const inner of own.querySelectorAll('ul, ol')) inner.remove();
    const words = tidy(own.textContent ?? '');
    const inner = [...item.querySelectorAll('ul, ol')].filter((one) => one.parentElement?.closest('ul, ol') === list);
    return [...(words === '' ? [] : ['\t'.repeat(level) + words]), ...inner.flatMap((one) => itemsOf(one, level + 1))];
  });
}

/** A spreadsheet puts cells that hold a line break in quotation marks. */
function withoutBreaks(text: string): string {
  if (!text.includes('\t') || !/(?:^|\t)"/m.test(text)) return text;
  const { data, errors } = Papa.parse<string[]>(text, { delimiter: '\t' });
  return errors.length > 0 ? text : data.map((row) => row.map(tidy).join('\t')).join('\n');
}
