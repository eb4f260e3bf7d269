#!/usr/bin/env node
import { parseArgs } from 'node:util';
import { checkMap, mend, readAssignmentText, readContextText, readMapText } from '@ichnograph/core';
import type { Report } from '@ichnograph/core';
import { asCsv, asTable } from './rows.js';
import { read, Refusal, runTool } from './tool.js';

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

runTool(run);
