import Papa from 'papaparse';

export type CsvValue = string | number;

/**
 * What a spreadsheet takes for a formula, whatever stands on the lines below: at the start of a cell, or of what some
 * programs take for another cell, in either width.
 */
const FORMULA = /(?:^|[;,\t])[=+\-@\t\r＝＋－＠]/;

/**
 * A table as comma-separated values (RFC 4180) with a byte order mark, for spreadsheets that would guess another encoding.
 * What a spreadsheet would take for a formula has an apostrophe before it.
 */
export const csvOf = (fields: string[], data: CsvValue[][]): string =>
  `\ufeff${Papa.unparse({ fields, data }, { escapeFormulae: FORMULA })}\r\n`;
