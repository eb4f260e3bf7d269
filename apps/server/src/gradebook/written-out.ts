import { markWords } from '@ichnograph/core';
import type { Gradebook, GradebookCell } from '@ichnograph/contract';
import { csvOf } from '../common/csv.js';
import type { CsvValue } from '../common/csv.js';

type Value = CsvValue;
const HEAD = ['Family name', 'Given name'];

/** A figure where a mark is one, else its word; nothing where nothing was handed in. */
function valueOf({ mark }: GradebookCell): Value {
  if (!mark) return '';
  if (mark.shown.as === 'points') return mark.shown.sum;
  return mark.shown.as === 'percent' ? mark.shown.percent : markWords(mark.shown);
}

/** What points are out of; a share, a name and a pass are out of nothing. */
const outOf = ({ mark }: GradebookCell): Value => (mark?.shown.as === 'points' ? mark.shown.outOf : '');

/** Three columns an assignment: the mark, what it is out of, and in what state it is. */
const rowsOf = ({ students }: Gradebook): Value[][] =>
  students.map(({ person, cells }) => [
    person.familyName,
    person.givenName,
    ...cells.flatMap((cell) => [
      valueOf(cell),
      outOf(cell),
      `${cell.state}${cell.late ? ', late' : ''}${cell.mark && cell.mark.notJudged > 0 ? ', not all judged' : ''}`,
    ]),
  ]);

const headOf = ({ assignments }: Gradebook): string[] => [
  ...HEAD,
  ...assignments.flatMap(({ title }) => [title, `${title}: out of`, `${title}: state`]),
];

/** For spreadsheets, as `csvOf` says. */
export const gradebookCsv = (gradebook: Gradebook): string => csvOf(headOf(gradebook), rowsOf(gradebook));

/** As a workbook (ISO/IEC 29500): words are words and never formulas, figures are figures. */
export async function gradebookXlsx(gradebook: Gradebook): Promise<Uint8Array> {
  // Loaded by who first asks for a workbook: it is heavy, and most starts of a server never do.
  const { default: ExcelJS } = await import('exceljs');
  const book = new ExcelJS.Workbook();
  book.creator = 'Ichnograph';
  const sheet = book.addWorksheet(sheetName(gradebook.className), {
    views: [{ state: 'frozen', xSplit: 2, ySplit: 1 }],
  });
  sheet.addRow(headOf(gradebook)).font = { bold: true };
  for (const row of rowsOf(gradebook)) sheet.addRow(row);
  sheet.columns.forEach((column, i) => (column.width = i < 2 ? 18 : 14));
  return new Uint8Array(await book.xlsx.writeBuffer());
}

/** What a workbook does not allow in the name of a sheet is left out. */
const sheetName = (name: string): string =>
  name
    .replace(/[*?:\\/[\]']+/g, ' ')
    .trim()
    .slice(0, 31) || 'Class';
