import { parseArgs } from 'node:util';
import { COLUMN_NAMES, DOCUMENT_PARTS } from '@ichnograph/formats';
import type { ColumnName, Columns, DocumentPart, Format, Wish, Wishes } from '@ichnograph/formats';
import { ALL_FORMATS } from '@ichnograph/formats/node';
import { Refusal } from '../tool.js';

const USAGE = `convert IN OUT [--assignment ASSIGNMENT.json] [options].
Reads ${namesOf((format) => format.read !== undefined)}; writes ${namesOf((format) => format.write !== undefined)}.
Tables: --columns from=NAME|NUMBER,phrase=…,to=…; pictures: --block, --scale 1|2|4, --clear;
pdf: --paper a4|letter|a3, --tiles, --grey; docx: --with ${DOCUMENT_PARTS.join(',')}`;

function namesOf(is: (format: Format) => boolean): string {
  return ALL_FORMATS.filter(is)
    .map(({ name }) => name)
    .join(', ');
}

const OPTIONS = {
  assignment: { type: 'string' },
  columns: { type: 'string' },
  block: { type: 'boolean' },
  scale: { type: 'string' },
  clear: { type: 'boolean' },
  paper: { type: 'string' },
  tiles: { type: 'boolean' },
  grey: { type: 'boolean' },
  with: { type: 'string' },
} as const;

type Options = {
  [K in keyof typeof OPTIONS]?: (typeof OPTIONS)[K]['type'] extends 'boolean' ? boolean : string;
};

/** @throws Refusal where the arguments are not what they must be */
export function asked(args: string[]): { input: string; output: string; options: Options } {
  const { values, positionals } = parsed(args);
  const [input, output, ...more] = positionals;
  if (input === undefined || output === undefined || more.length > 0) throw new Refusal(`usage: ${USAGE}`);
  return { input, output, options: values };
}

function parsed(args: string[]) {
  try {
    return parseArgs({ args, allowPositionals: true, options: OPTIONS });
  } catch (error) {
    // What the arguments are not, Node says by a TypeError.
    if (error instanceof TypeError) throw new Refusal(`${error.message} usage: ${USAGE}`);
    throw error;
  }
}

export function columnsOf({ columns: text }: Options, format: Format, file: string): Columns | undefined {
  if (text === undefined) return undefined;
  if (format.name !== 'csv' && format.name !== 'xlsx')
    throw new Refusal(`--columns: tells the columns of a table, and ${file} is none`);
  const columns: Partial<Record<ColumnName, string | number>> = {};
  for (const part of text.split(',')) {
    const at = part.indexOf('=');
    const [name, value] = [part.slice(0, at).trim(), part.slice(at + 1).trim()];
    if (at < 0 || !isOneOf(COLUMN_NAMES, name) || value === '')
      throw new Refusal(`--columns: “${part.trim()}” is no NAME=COLUMN with one of ${COLUMN_NAMES.join(', ')}`);
    columns[name] = /^[1-9]\d*$/.test(value) ? Number(value) : value;
  }
  if (columns.from === undefined) throw new Refusal('--columns: tells no column for from');
  return columns;
}

/** How the file is wanted that is written; what its format does not take is refused. */
export function wishesOf(options: Options, format: Format, file: string): Wishes {
  const told = (Object.keys(options) as (keyof Options)[]).filter(
    (name): name is Wish => name !== 'assignment' && name !== 'columns',
  );
  const unfit = told.find((name) => !format.wishes?.includes(name));
  if (unfit) throw new Refusal(`--${unfit}: is no option of ${format.name}, which ${file} is`);
  const { block, scale, clear, paper, tiles, grey } = options;
  return {
    ...(block && { block }),
    ...(clear && { clear }),
    ...(tiles && { tiles }),
    ...(grey && { grey }),
    ...(scale !== undefined && { scale: Number(among('scale', ['1', '2', '4'], scale)) as 1 | 2 | 4 }),
    ...(paper !== undefined && { paper: among('paper', PAPERS, paper.toLowerCase()) }),
    ...(options.with !== undefined && { with: partsOf(options.with) }),
  };
}

const PAPERS = ['a4', 'letter', 'a3'] as const;
const partsOf = (text: string): DocumentPart[] =>
  text.split(',').map((word) => among('with', DOCUMENT_PARTS, word.trim().toLowerCase()));

function among<T extends string>(option: string, values: readonly T[], word: string): T {
  if (isOneOf(values, word)) return word;
  throw new Refusal(`--${option}: “${word}” is none of ${values.join(', ')}`);
}

const isOneOf = <T extends string>(values: readonly T[], word: string): word is T => values.includes(word as T);
