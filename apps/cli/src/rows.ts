import type { ReportFile } from '@ichnograph/core';
import Papa from 'papaparse';

const HEAD = ['map', 'requirement', 'type', 'status', 'fraction', 'points', 'of', 'sentence', 'message'];

function rowsOf(reports: readonly [string, ReportFile][]): string[][] {
  const two = (value: number): string => String(Math.round(value * 100) / 100);
  return reports.flatMap(([file, { results, earned, outOf }]) => [
    ...results.map((result) => [
      file,
      result.id,
      result.type,
      result.status,
      result.fraction === null ? '' : result.fraction.toFixed(3),
      two(result.points),
      two(result.outOf),
      result.sentence,
      result.message,
    ]),
    [file, 'all', '', '', '', two(earned), two(outOf), '', ''],
  ]);
}

export const asCsv = (reports: readonly [string, ReportFile][]): string =>
  Papa.unparse({ fields: HEAD, data: rowsOf(reports) }, { escapeFormulae: true, newline: '\n' });

export function asTable(reports: readonly [string, ReportFile][]): string {
  const rows = [HEAD, ...rowsOf(reports)];
  const widths = HEAD.map((_, column) => Math.max(...rows.map((row) => row[column]!.length)));
  return rows
    .map((row) =>
      row
        .map((cell, column) => cell.padEnd(widths[column]!))
        .join('  ')
        .trimEnd(),
    )
    .join('\n');
}
