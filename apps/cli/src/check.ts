#!/usr/bin/env node
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { checkMap, FileRefused, mend, readAssignmentText, readContextText, readMapText } from '@ichnograph/core';
import type { Report } from '@ichnograph/core';
import { asCsv, asTable } from './rows.js';

const USAGE = 'check ASSIGNMENT.json MAP.json [MAP.json …] [--context CONTEXT.json] [--format json|table|csv]';
const FORMATS = {
  json: (reports: [string, Report][]): string =>
    JSON.stringify(
      reports.map(([, report]) => report),
      null,
      2,
    ),
  table: asTable,
  csv: asCsv,
};

/** What a caller did wrong, said in one line. */
class Refusal extends Error {}

function read<T>(file: string, reader: (text: string) => T): T {
  try {
    return reader(readFileSync(file, 'utf8'));
  } catch (error) {
    if (error instanceof FileRefused) throw new Refusal(`${file}: ${error.message}`);
    if ((error as NodeJS.ErrnoException).code)
      throw new Refusal(`${file}: $ could not be read (${(error as NodeJS.ErrnoException).code})`);
    throw error;
  }
}

function run(args: string[]): string {
  const {
    values,
    positionals: [assignmentFile, ...mapFiles],
  } = parseArguments(args);
  const format = FORMATS[(values.format ?? 'table') as keyof typeof FORMATS];
  if (!format || !assignmentFile || mapFiles.length === 0) throw new Refusal(`usage: ${USAGE}`);
  const assignment = read(assignmentFile, readAssignmentText);
  const context = values.context === undefined ? undefined : read(values.context, readContextText);
  return format(
    mapFiles.map((file): [string, Report] => [file, checkMap(mend(read(file, readMapText)).map, assignment, context)]),
  );
}

function parseArguments(args: string[]) {
  try {
    return parseArgs({
      args,
      allowPositionals: true,
      options: { context: { type: 'string' }, format: { type: 'string' } },
    });
  } catch (error) {
    if (!(error instanceof TypeError)) throw error;
    throw new Refusal(`usage: ${USAGE}`);
  }
}

try {
  process.stdout.write(`${run(process.argv.slice(2))}\n`);
} catch (error) {
  if (!(error instanceof Refusal)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 2;
}
