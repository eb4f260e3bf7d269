import Papa from 'papaparse';
import { droppedOf } from '../dropped.js';
import { mapOfDraft } from '../draft/map-of-draft.js';
import { textOf, utf8 } from '../files/text.js';
import { Unreadable } from '../format.js';
import type { Format, Keeps, Said, Say } from '../format.js';
import { draftOfRows } from './draft-of-rows.js';
import { HEADER, sentencesOf } from './sentences.js';

const keeps: Keeps = { kinds: 'all' };

/** A table of sentences (RFC 4180), guarded against programs that take a cell for a formula. */
export const csv: Format = {
  name: 'csv',
  label: 'CSV table',
  endings: ['csv'],
  mediaType: 'text/csv',
  keeps,
  carries: {
    topics: 'text, kind',
    links: 'from, phrase, to, kind',
    titles: 'none',
    looks: 'dropped',
    bearing: 'dropped',
    more: 'dropped',
  },
  write: (map, { legend }) => {
    const said = droppedOf(map, legend, keeps);
    const rows = sentencesOf(map, legend, (about, reason) => said.push({ about, reason }));
    const guarded = [HEADER, ...rows].map((row) => row.map(guard));
    return { content: utf8(`\ufeff${Papa.unparse(guarded, { newline: '\r\n' })}\r\n`), said };
  },
  head: (content) => rowsOf(textOf(content, 'windows-1252'))[0]?.map(unguard) ?? [],
  read: (content, reading) => {
    const said: Said[] = [];
    const say: Say = (about, reason) => said.push({ about, reason });
    const rows = rowsOf(textOf(content, 'windows-1252')).map((row) => row.map(unguard));
    return mapOfDraft(draftOfRows(rows, reading.columns, say), reading, said);
  },
};

/** What a spreadsheet would work out, or has an apostrophe before that already. */
const guard = (cell: string): string => (/^'*[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell);
const unguard = (cell: string): string => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);

function rowsOf(text: string): string[][] {
  if (text.trim() === '') return [];
  const { data, errors } = Papa.parse<string[]>(text, {
    delimitersToGuess: [',', ';', '\t'],
    skipEmptyLines: 'greedy',
  });
  const fault = errors.find(({ type }) => type === 'Quotes');
  if (fault)
    throw new Unreadable(`has a quotation mark that is not closed as it must be, in row ${(fault.row ?? 0) + 1}`);
  return data;
}
