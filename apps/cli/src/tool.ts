import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { FileRefused, SCREEN, understood } from '@ichnograph/core';
import type { Frame, Reading } from '@ichnograph/core';

/** What a caller did wrong, said in one line. */
export class Refusal extends Error {}

export function read<T>(file: string, reader: (text: string) => Reading<T>): T {
  try {
    return understood(reader(readFileSync(file, 'utf8')));
  } catch (error) {
    if (error instanceof FileRefused) throw new Refusal(`${file}: ${error.message}`);
    const { code } = error as NodeJS.ErrnoException;
    if (code) throw new Refusal(`${file}: $ could not be read (${code})`);
    throw error;
  }
}

/** Runs a tool: what it answers on standard output, or what the caller did wrong on standard error and exit code 2. */
export function runTool(tool: (args: string[]) => string): void {
  try {
    process.stdout.write(`${tool(process.argv.slice(2))}\n`);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    process.stderr.write(`${error.message}\n`);
    process.exitCode = 2;
  }
}

/**
 * The arguments of a tool that takes options.
 * @param words how many words it takes; a list may take more than `least`
 */
export function parsed<const O extends Record<string, { type: 'string' }>>(
  args: string[],
  usage: string,
  { words: wanted, options }: { words: number | { least: number }; options: O },
): { values: Partial<Record<keyof O, string>>; words: string[] } {
  const { values, positionals } = parsedBy(usage, () => parseArgs({ args, allowPositionals: true, options }));
  const fits = typeof wanted === 'number' ? positionals.length === wanted : positionals.length >= wanted.least;
  if (!fits) throw new Refusal(`usage: ${usage}`);
  return { values: values, words: positionals };
}

function parsedBy<T>(usage: string, parse: () => T): T {
  try {
    return parse();
  } catch (error) {
    // What the arguments are not, Node says by a TypeError; the caller is told what they should be.
    if (!(error instanceof TypeError)) throw error;
    throw new Refusal(`usage: ${usage}`);
  }
}

/** The arguments of a tool that takes so many files and words, and no options. */
export function words<N extends string>(args: string[], usage: string, names: readonly N[]): Record<N, string> {
  if (args.length !== names.length || args.some((arg) => arg.startsWith('--'))) throw new Refusal(`usage: ${usage}`);
  return Object.fromEntries(names.map((name, i) => [name, args[i]!])) as Record<N, string>;
}

/** What a map is to be read in, as `WIDTHxHEIGHT` in canvas units; undefined where nothing is said. */
export function frameOf(text: string | undefined): Frame | undefined {
  if (text === undefined) return undefined;
  const sizes = /^([1-9]\d{1,4})x([1-9]\d{1,4})$/.exec(text);
  if (!sizes) throw new Refusal(`--frame is a width and a height, as in ${SCREEN.width}x${SCREEN.height}`);
  return { width: Number(sizes[1]), height: Number(sizes[2]) };
}

export const asJson = (value: unknown): string => JSON.stringify(value, null, 2);
