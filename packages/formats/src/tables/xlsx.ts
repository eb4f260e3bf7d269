import { isBlank } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import type ExcelJS from 'exceljs';
import { droppedOf } from '../dropped.js';
import type { Draft } from '../draft/draft.js';
import { mapOfDraft } from '../draft/map-of-draft.js';
import { named, onLines, onOneLine } from '../draft/words.js';
import { unzipped } from '../files/zip.js';
import { Unreadable } from '../format.js';
import type { Format, Keeps, Said, Say } from '../format.js';
import { kindName, linesOf } from '../outlines/lines.js';
import { draftOfRows } from './draft-of-rows.js';
import { HEADER, sentencesOf } from './sentences.js';

const keeps: Keeps = { kinds: 'all', notes: 'all' };
const [SENTENCES, TOPICS, ABOUT] = ['Sentences', 'Topics', 'About'] as const;
const TOPIC_HEADER = ['id', 'text', 'kind', 'level', 'links in', 'links out', 'note'];

/** A workbook (ECMA-376) of sentences, topics and what the map is about. */
export const xlsx: Format = {
  name: 'xlsx',
  label: 'Spreadsheet',
  endings: ['xlsx'],
  mediaType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  keeps,
  carries: {
    topics: 'text, kind, note',
    links: 'from, phrase, to, kind',
    titles: 'title, author, question',
    looks: 'dropped',
    bearing: 'notes',
    more: 'dropped',
  },
  write: async (map, { legend, at }) => {
    const said = droppedOf(map, legend, keeps);
    const book = await newBook();
    book.created = at;
    addSheet(
      book,
      SENTENCES,
      HEADER,
      sentencesOf(map, legend, (about, reason) => said.push({ about, reason })),
    );
    addSheet(book, TOPICS, TOPIC_HEADER, topicRows(map, legend));
    const about = book.addWorksheet(ABOUT);
    about.addRows([
      ['title', map.title],
      ['author', map.author],
      ['question', map.focusQuestion],
      ['written', at.toISOString()],
    ]);
    fitColumns(about);
    return { content: new Uint8Array(await book.xlsx.writeBuffer()), said };
  },
  head: async (content) => rowsOf(await mainSheet(content))[0] ?? [],
  read: async (content, reading) => {
    const said: Said[] = [];
    const draft = await draftOf(content, reading.columns, (about, reason) => said.push({ about, reason }));
    return mapOfDraft(draft, reading, said);
  },
};

/** The library is read when a workbook is: nothing else needs it. */
async function newBook(): Promise<ExcelJS.Workbook> {
  const { default: library } = await import('exceljs');
  return new library.Workbook();
}

function addSheet(book: ExcelJS.Workbook, name: string, header: readonly string[], rows: readonly string[][]): void {
  const sheet = book.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1 }] });
  sheet.addRow([...header]).font = { bold: true };
  // What is empty stays so: an empty text would be one cell more to tab through.
  for (const row of rows) sheet.addRow(row.map((cell) => (cell === '' ? null : cell)));
  fitColumns(sheet);
}

/** As wide as what is read in them, up to what a screen has room for. */
function fitColumns(sheet: ExcelJS.Worksheet): void {
  for (const column of sheet.columns) {
    let widest = 8;
    column.eachCell?.(({ text }) => {
      for (const line of String(text).split('\n')) widest = Math.max(widest, line.length + 2);
    });
    column.width = Math.min(60, widest);
    column.alignment = { wrapText: true, vertical: 'top' };
  }
}

function topicRows(map: TopicMap, legend: Legend | undefined): string[][] {
  const count = (end: 'from' | 'to'): Map<string, number> => {
    const counts = new Map<string, number>();
    for (const link of map.links) counts.set(link[end], (counts.get(link[end]) ?? 0) + 1);
    return counts;
  };
  const [ins, outs] = [count('to'), count('from')];
  const levels = new Map(linesOf(map, () => undefined).map(({ topic, depth }) => [topic.id, depth + 1]));
  return map.topics
    .filter(({ text }) => !isBlank(text))
    .map((topic) => [
      topic.id,
      onLines(topic.text),
      kindName(legend, topic) ?? '',
      String(levels.get(topic.id)),
      String(ins.get(topic.id) ?? 0),
      String(outs.get(topic.id) ?? 0),
      topic.note?.trim() ? topic.note : '',
    ]);
}

async function bookOf(content: Uint8Array): Promise<ExcelJS.Workbook> {
  // Counted before the library unpacks it.
  unzipped(content, () => false);
  const book = await newBook();
  await load(book, content);
  return book;
}

/** Our own sheet of sentences, else the first. */
function mainOf(book: ExcelJS.Workbook): ExcelJS.Worksheet {
  const main = book.getWorksheet(SENTENCES) ?? book.worksheets[0];
  if (!main) throw new Unreadable('holds no sheet');
  return main;
}

const mainSheet = async (content: Uint8Array): Promise<ExcelJS.Worksheet> => mainOf(await bookOf(content));

async function draftOf(content: Uint8Array, columns: Parameters<typeof draftOfRows>[1], say: Say): Promise<Draft> {
  const book = await bookOf(content);
  const main = mainOf(book);
  const draft = draftOfRows(rowsOf(main), columns, say);
  for (const sheet of book.worksheets) {
    if (sheet === main) continue;
    if (sheet.name === TOPICS) addFromTopics(draft, rowsOf(sheet));
    else if (sheet.name === ABOUT) addFromAbout(draft, rowsOf(sheet));
    else if (sheet.actualRowCount > 0) say(`sheet ${named(sheet.name)}`, 'left out: one sheet is read');
  }
  return draft;
}

async function load(book: ExcelJS.Workbook, content: Uint8Array): Promise<void> {
  try {
    await book.xlsx.load(content.slice().buffer);
  } catch (error) {
    if (!(error instanceof Error)) throw error;
    throw new Unreadable(`is no workbook that can be read: ${onOneLine(error.message)}`);
  }
}

/** Rows with the text of each cell; a formula counts by what it came to. */
function rowsOf(sheet: ExcelJS.Worksheet): string[][] {
  const rows: string[][] = [];
  sheet.eachRow((row) => {
    const cells: string[] = [];
    row.eachCell((cell, column) => {
      cells[column - 1] = textOf(cell.value);
    });
    rows.push(Array.from(cells, (cell) => cell ?? ''));
  });
  return rows.filter((row) => row.some((cell) => cell.trim() !== ''));
}

function textOf(value: ExcelJS.CellValue): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return value.toISOString().replace(/T00:00:00\.000Z$/, '');
  if (typeof value !== 'object') return String(value);
  if ('richText' in value) return value.richText.map(({ text }) => text).join('');
  if ('formula' in value || 'sharedFormula' in value) return textOf(value.result ?? null);
  if ('hyperlink' in value) return textOf(value.text);
  return 'error' in value ? String(value.error) : '';
}

/** Kinds and notes of our own sheet, by text; what no sentence names is a topic too. */
function addFromTopics(draft: Draft, [header = [], ...rows]: readonly string[][]): void {
  const at = (name: string): number => header.findIndex((cell) => onOneLine(cell).toLowerCase() === name);
  const [text, kind, note] = [at('text'), at('kind'), at('note')];
  if (text < 0) return;
  const topics = new Map(draft.topics.map((topic) => [topic.key, topic]));
  for (const row of rows) {
    const own = topics.get(onLines(row[text] ?? ''));
    if (!own) continue;
    if (row[kind]?.trim()) own.kind ??= { name: row[kind] };
    if (row[note]?.trim()) own.note ??= row[note];
  }
}

function addFromAbout(draft: Draft, rows: readonly string[][]): void {
  for (const [name = '', value = ''] of rows) {
    if (name === 'title') draft.title = value;
    if (name === 'author') draft.author = value;
    if (name === 'question') draft.focusQuestion = value;
  }
}
