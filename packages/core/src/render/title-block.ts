import { layoutText } from '../geometry/text.js';
import { textSvg, fixed } from './svg-text.js';

/** What the ruled block of a drawing says. Every export and print bears one, so that no map is ever nameless. */
export interface TitleBlockText {
  title: string;
  focusQuestion: string;
  drawnBy: string;
  assignment: string;
  state: string;
  date: string;
}

export const BLOCK_WIDTH = 340;
const [LABEL, VALUE] = [{ fontSize: 9 }, { fontSize: 12 }];
const ROWS: (keyof TitleBlockText)[][] = [['title'], ['focusQuestion'], ['drawnBy', 'assignment'], ['state', 'date']];
const LABELS: Record<keyof TitleBlockText, string> = {
  title: 'Map',
  focusQuestion: 'Focus question',
  drawnBy: 'Drawn by',
  assignment: 'For',
  state: 'State',
  date: 'Date',
};

const label = (text: string) => layoutText(text, LABEL, Infinity).lines[0]!;

/** The block as SVG with its upper left corner at a place, and how high it is. Long texts wrap; none is cut. */
export function titleBlockSvg(text: TitleBlockText, left: number, top: number): { svg: string; height: number } {
  const parts: string[] = [];
  let y = top;
  for (const row of ROWS) {
    const width = BLOCK_WIDTH / row.length;
    const cells = row.map((name) => layoutText(text[name] || ' ', { ...VALUE, bold: name === 'title' }, width - 16));
    const height = Math.max(...cells.map((cell) => cell.height)) + 20;
    row.forEach((name, i) => {
      const x = left + i * width;
      parts.push(
        `<rect x="${fixed(x)}" y="${fixed(y)}" width="${fixed(width)}" height="${height}" fill="#fbfbf8" stroke="#c9cdc4"/>`,
      );
      parts.push(
        `<g font-size="${LABEL.fontSize}" fill="#4d5867">${textSvg({ ...label(LABELS[name]), x: x + 8, y: y + 12 })}</g>`,
      );
      const lines = cells[i]!.lines.map((line, k) =>
        textSvg({ ...line, x: x + 8, y: y + 25 + k * cells[i]!.lineHeight }),
      );
      parts.push(
        `<g font-size="${VALUE.fontSize}" fill="#16202e"${name === 'title' ? ' font-weight="700"' : ''}>${lines.join('')}</g>`,
      );
    });
    y += height;
  }
  parts.push(
    `<rect x="${fixed(left)}" y="${fixed(top)}" width="${BLOCK_WIDTH}" height="${fixed(y - top)}" fill="none" stroke="#16202e" stroke-width="1.5"/>`,
  );
  return { svg: parts.join(''), height: y - top };
}
