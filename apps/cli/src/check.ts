#!/usr/bin/env node
import { parseArgs } from 'node:util';
import { checkMap, mend, readAssignmentText, readContextText, readMapText, reportFile } from '@ichnograph/core';
import type { ReportFile } from '@ichnograph/core';
import { asCsv, asTable } from './rows.js';
import { read, Refusal, runTool } from './tool.js';

const USAGE = 'check ASSIGNMENT.json MAP.json [MAP.json …] [--context CONTEXT.json] [--format json|table|csv]';
const FORMATS = {
  json: (reports: [string, ReportFile][]): string =>
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
    mapFiles.map((file): [string, ReportFile] => {
      const { map } = mend(read(file, readMapText));
      return [file, reportFile(checkMap(map, assignment, context), assignment)];
    }),
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
