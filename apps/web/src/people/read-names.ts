import Papa from 'papaparse';

/** A file of names larger than this is no list of a class, bytes. */
export const LARGEST = 2 * 1024 * 1024;

/** What was pasted or chosen, as rows of cells; with a heading where it has one. */
export interface NameTable {
  /** null where every line is a name and nothing else */
  heading: string[] | null;
  rows: { line: number; cells: string[] }[];
  /** which columns hold what, as far as that can be guessed */
  columns: Columns;
}
export interface Columns {
  given: number;
  /** -1: the first column holds the whole name */
  family: number;
}

export interface NameRow {
  line: number;
  givenName: string;
  familyName: string;
  /** why it is not taken; what is only odd is taken and said */
  trouble: 'no name' | 'too long' | 'formula' | 'twice' | null;
  odd: 'one word' | 'digits' | 'in the class' | null;
}

const GIVEN = /^(given ?name|first ?name|forename|vorname|prénom|nombre|fornavn|förnamn|voornaam)$/i;
const FAMILY = /^(family ?name|last ?name|surname|nachname|nom|apellidos?|etternavn|efternamn|achternaam)$/i;
const WHOLE = /^(name|full ?name|student|pupil)$/i;

/** The text of a file: UTF-8, or UTF-16 where its first bytes say so. @throws RangeError for what is too large */
export function textOfFile(bytes: Uint8Array): string {
  if (bytes.length > LARGEST) throw new RangeError('too large');
  const label =
    bytes[0] === 0xff && bytes[1] === 0xfe ? 'utf-16le' : bytes[0] === 0xfe && bytes[1] === 0xff ? 'utf-16be' : 'utf-8';
  return new TextDecoder(label).decode(bytes);
}

/**
 * Reads names as people have them: one a line, CSV with or without a heading, or the users file of OneRoster 1.2, whose
 * `givenName` and `familyName` are found by their heading like any other's.
 */
export function readNames(text: string): NameTable {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { delimitersToGuess: [',', ';', '\t', '|'] });
  const rows = data
    .map((cells, i) => ({ line: i + 1, cells: cells.map((cell) => cell.trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
  const first = rows[0]?.cells ?? [];
  const find = (pattern: RegExp): number =>
    first.findIndex((cell) => pattern.test(cell.replace(/[_-]/g, ' ').replace(/([a-z])([A-Z])/g, '$1 $2')));
  const [given, family, whole] = [find(GIVEN), find(FAMILY), find(WHOLE)];
  if (given >= 0 || family >= 0 || whole >= 0)
    return {
      heading: first,
      rows: rows.slice(1),
      columns:
        given >= 0 ? { given, family } : whole >= 0 ? { given: whole, family: -1 } : { given: family, family: -1 },
    };
  const widest = Math.max(0, ...rows.map(({ cells }) => cells.length));
  // “Halvorsen, Noor” on each line is a family name before a given one, not a table with two columns of one's own making.
  return { heading: null, rows, columns: widest >= 2 ? { given: 1, family: 0 } : { given: 0, family: -1 } };
}

/** The names in the columns that were chosen, and what is wrong or odd about each. */
export function namesIn({ rows }: NameTable, { given, family }: Columns, known: readonly string[]): NameRow[] {
  const seen = new Set<string>();
  const there = new Set(known.map(keyOf));
  return rows.map(({ line, cells }): NameRow => {
    const whole = (cells[given] ?? '').replace(/\s+/g, ' ');
    const parts = whole.split(' ');
    const [givenName, familyName] =
      family >= 0
        ? [whole, (cells[family] ?? '').replace(/\s+/g, ' ')]
        : [parts.slice(0, -1).join(' ') || whole, parts.length > 1 ? parts.at(-1)! : ''];
    const key = keyOf(`${givenName} ${familyName}`);
    const trouble =
      givenName === ''
        ? 'no name'
        : /^[=+@-]/.test(givenName) || /^[=+@-]/.test(familyName)
          ? 'formula'
          : givenName.length > 60 || familyName.length > 60
            ? 'too long'
            : seen.has(key)
              ? 'twice'
              : null;
    seen.add(key);
    const odd = there.has(key) ? 'in the class' : familyName === '' ? 'one word' : /\d/.test(whole) ? 'digits' : null;
    return { line, givenName, familyName, trouble, odd };
  });
}

const keyOf = (name: string): string => name.normalize('NFKC').toLowerCase().replace(/\s+/g, ' ').trim();
