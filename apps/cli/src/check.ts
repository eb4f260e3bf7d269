#!/usr/bin/env node
import { checkMap, mend, readAssignmentText, readContextText, readMapText, reportFile } from '@ichnograph/core';
import type { ReportFile } from '@ichnograph/core';
import { asCsv, asTable } from './rows.js';
import { parsed, read, Refusal, runTool } from './tool.js';

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

runTool((args) => {
  const { values, words } = parsed(args, USAGE, {
    words: { least: 2 },
    options: { context: { type: 'string' }, format: { type: 'string' } },
  });
  const [assignmentFile, ...mapFiles] = words;
  const format = FORMATS[(values.format ?? 'table') as keyof typeof FORMATS];
  if (!format) throw new Refusal(`usage: ${USAGE}`);
  const assignment = read(assignmentFile!, readAssignmentText);
  const context = values.context === undefined ? undefined : read(values.context, readContextText);
  return format(
    mapFiles.map((file): [string, ReportFile] => {
      const { map } = mend(read(file, readMapText));
      return [file, reportFile(checkMap(map, assignment, context), assignment)];
    }),
  );
});
