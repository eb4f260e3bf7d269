#!/usr/bin/env node
import { closeSync, existsSync, openSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { Worker } from 'node:worker_threads';
import { readAssignmentText } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import {
  COLUMN_NAMES,
  formatOf,
  FORMATS,
  MOST_FILE_BYTES,
  READING_LIMITS,
  Unreadable,
  writeFile,
} from '@ichnograph/formats';
import type { ColumnName, Columns, Format, Said, Writing, Written } from '@ichnograph/formats';
import type { Answer, Question } from './reading.js';
import { read, Refusal } from './tool.js';

const USAGE = `convert IN OUT [--assignment ASSIGNMENT.json] [options]
reads ${endingsOf((format) => format.read !== undefined)}; writes ${endingsOf((format) => format.write !== undefined)}
--columns from=NAME|NUMBER,phrase=…,to=…   which columns of a table hold what (csv, xlsx)`;

function endingsOf(is: (format: Format) => boolean): string {
  return FORMATS.filter(is)
    .map(({ name }) => name)
    .join(', ');
}

try {
  const said = await convert(process.argv.slice(2));
  for (const { about, reason } of said) process.stderr.write(`${oneLine(`${about}: ${reason}`)}\n`);
} catch (error) {
  if (!(error instanceof Refusal)) throw error;
  process.stderr.write(`${oneLine(error.message)}\n`);
  process.exitCode = 2;
}

function oneLine(text: string): string {
  return text.replace(/\s+/g, ' ').trim();
}

async function convert(args: string[]): Promise<readonly Said[]> {
  const { input, output, options } = asked(args);
  const [from, to] = [formatFor(input, 'read'), formatFor(output, 'write')];
  if (path.resolve(input) === path.resolve(output)) throw new Refusal(`${output}: is the file that is read`);
  if (!existsSync(path.dirname(path.resolve(output)))) throw new Refusal(`${output}: there is no such folder`);
  if (existsSync(output) && statSync(output).isDirectory()) throw new Refusal(`${output}: is a folder`);
  if (options.columns !== undefined && from.name !== 'csv' && from.name !== 'xlsx')
    throw new Refusal(`--columns tells the columns of a table; ${input} is none`);
  const columns = options.columns === undefined ? undefined : columnsOf(options.columns);
  const assignment = options.assignment === undefined ? undefined : read(options.assignment, readAssignmentText);
  const content = contentOf(input);
  const { map, said } = await understood(input, { format: from.name, content, legend: assignment?.legend, columns });
  const legend = assignment?.legend ?? map.legend;
  const written = await writtenAs(to, output, map, { legend, at: new Date() });
  keep(output, written.content);
  return [...said, ...written.said];
}

interface Asked {
  input: string;
  output: string;
  options: { assignment?: string | undefined; columns?: string | undefined };
}

function asked(args: string[]): Asked {
  try {
    const { values, positionals } = parseArgs({
      args,
      allowPositionals: true,
      options: { assignment: { type: 'string' }, columns: { type: 'string' } },
    });
    const [input, output, ...more] = positionals;
    if (input === undefined || output === undefined || more.length > 0) throw new Refusal(`usage: ${USAGE}`);
    return { input, output, options: values };
  } catch (error) {
    // What the arguments are not, Node says by a TypeError.
    if (error instanceof TypeError) throw new Refusal(`${error.message} usage: ${USAGE}`);
    throw error;
  }
}

async function writtenAs(format: Format, file: string, map: TopicMap, writing: Writing): Promise<Written> {
  try {
    return await writeFile(format, map, writing);
  } catch (error) {
    if (error instanceof Unreadable) throw new Refusal(`${file}: ${error.message}`);
    throw error;
  }
}

function formatFor(file: string, what: 'read' | 'write'): Format {
  const format = formatOf(file);
  if (format?.[what]) return format;
  throw new Refusal(`${file}: no file of this ending can be ${what === 'read' ? 'read' : 'written'}`);
}

function columnsOf(text: string): Columns {
  const columns: Partial<Record<ColumnName, string | number>> = {};
  for (const part of text.split(',')) {
    const [name, value = ''] = part.split(/=(.*)/s).map((word) => word.trim());
    if (!COLUMN_NAMES.includes(name as ColumnName) || value === '')
      throw new Refusal(`--columns: “${part.trim()}” is no NAME=COLUMN with one of ${COLUMN_NAMES.join(', ')}`);
    columns[name as ColumnName] = /^[1-9]\d*$/.test(value) ? Number(value) : value;
  }
  if (columns.from === undefined) throw new Refusal('--columns: tells no column for from');
  return columns;
}

function contentOf(file: string): Uint8Array {
  try {
    if (statSync(file).size > MOST_FILE_BYTES)
      throw new Refusal(`${file}: is larger than ${MOST_FILE_BYTES / 1024 / 1024} MiB`);
    return readFileSync(file);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code) throw new Refusal(`${file}: could not be read (${code})`);
    throw error;
  }
}

/** Reads in a thread of its own, which is cut off when it takes too long or too much. */
function understood(file: string, question: Question): Promise<{ map: TopicMap; said: readonly Said[] }> {
  const worker = new Worker(new URL('./reading.js', import.meta.url), {
    workerData: question,
    resourceLimits: { maxOldGenerationSizeMb: READING_LIMITS.mebibytes },
  });
  return new Promise((resolve, reject) => {
    const cut = (reason: string): void => {
      clearTimeout(timer);
      void worker.terminate();
      reject(new Refusal(`${file}: ${reason}`));
    };
    const timer = setTimeout(
      () => cut(`takes more than ${READING_LIMITS.ms / 1000} seconds to read`),
      READING_LIMITS.ms,
    );
    worker.on('message', (answer: Answer) => {
      if ('refused' in answer) return cut(answer.refused);
      clearTimeout(timer);
      resolve(answer);
    });
    worker.on('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'ERR_WORKER_OUT_OF_MEMORY')
        return cut(`takes more than ${READING_LIMITS.mebibytes} MiB to read`);
      clearTimeout(timer);
      reject(error);
    });
  });
}

/** Written beside it first: what is there is not touched before all of the new is. */
function keep(file: string, content: Uint8Array): void {
  const draft = `${file}.${process.pid}.part`;
  try {
    closeSync(openSync(draft, 'wx'));
    writeFileSync(draft, content);
    renameSync(draft, file);
  } catch (error) {
    rmSync(draft, { force: true });
    const { code } = error as NodeJS.ErrnoException;
    if (code) throw new Refusal(`${file}: could not be written (${code})`);
    throw error;
  }
}
