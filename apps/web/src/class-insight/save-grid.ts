import Papa from 'papaparse';
import { fileName, saveAs } from '../common/save-as';

/** A table as a file for a spreadsheet (RFC 4180, UTF-8 with a mark for programs that ask for one); no cell of it is a formula. */
export function saveGrid(name: string, rows: readonly (readonly string[])[]): void {
  const csv = Papa.unparse(rows as string[][], { escapeFormulae: true, newline: '\r\n' });
  saveAs(`${fileName(name)}.csv`, new Blob(['\ufeff', csv, '\r\n'], { type: 'text/csv;charset=utf-8' }));
}
