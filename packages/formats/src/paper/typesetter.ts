import { layoutText } from '@ichnograph/core';
import type { Direction } from '@ichnograph/core';
import PDFDocument from 'pdfkit';
import { paperRuns } from './paper-fonts.js';
import type { Face, Part } from './paper-fonts.js';

export const INK = '#16202e';
export const QUIET = '#4d5867';
const TEXT_SIZE = 10;

/** Points around what stands on a page. */
export const MARGIN = 40;
/** How much of its size text may lose so that no page holds a few lines alone, and how many points of them that is. */
const CLOSER = [1, 0.97, 0.94, 0.91] as const;
const FEW_LINES = 72;

/** Lines that stand one below the other, in sizes of their letters; and where a line's letters stand, from its top. */
const [LEADING, ASCENT] = [1.3, 0.984];
/** Letters are set as core measures them: nothing is drawn closer than its fonts say by themselves. */
const PLAIN = { kern: false } as unknown as PDFKit.Mixins.OpenTypeFeatures[];

interface Style {
  face?: Face;
  size?: number;
  ink?: string;
  /** which way the paragraph runs that the line belongs to, where it is known */
  direction?: Direction | undefined;
}

/** Sets text and pages of a PDF document with the shipped fonts, whatever script a letter is of. */
export class Typesetter {
  readonly doc: PDFKit.PDFDocument;
  private readonly ended: Promise<Uint8Array>;
  /** what sizes and gaps of paragraphs are taken times */
  private closer = 1;
  /** the parts of fonts that the document knows */
  private readonly known = new Set<string>();

  /** @param at fixes the document's date, so that the same twice is the same file */
  constructor(title: string, at: Date) {
    this.doc = new PDFDocument({
      autoFirstPage: false,
      bufferPages: true,
      lang: 'en',
      displayTitle: true,
      info: { Title: title, Creator: 'Ichnograph', CreationDate: at, ModDate: at },
    });
    const chunks: Buffer[] = [];
    this.ended = new Promise((resolve, reject) => {
      this.doc.on('data', (chunk: Buffer) => chunks.push(chunk));
      this.doc.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))));
      this.doc.on('error', reject);
    });
  }

  private use({ name, content }: Part, size: number): void {
    if (!this.known.has(name)) {
      this.known.add(name);
      this.doc.registerFont(name, content);
    }
    this.doc.font(name).fontSize(size);
  }

  page(layout: 'portrait' | 'landscape', size: 'A4' | 'A3' | 'LETTER' = 'A4'): void {
    this.doc.addPage({ size, layout, margin: MARGIN });
  }

  /** Pages of text, set a little closer where that spares a last page that held a few lines alone. */
  text(write: (pages: Typesetter) => void): void {
    const spares = CLOSER.find((closer) => {
      const trial = new Typesetter('', new Date(0));
      trial.writeCloser(write, closer);
      const { count } = trial.doc.bufferedPageRange();
      return count === 1 || trial.doc.y > MARGIN + FEW_LINES;
    });
    this.writeCloser(write, spares ?? 1);
  }

  private writeCloser(write: (pages: Typesetter) => void, closer: number): void {
    this.closer = closer;
    this.page('portrait');
    write(this);
    this.closer = 1;
  }

  /** Width between the margins, points. */
  get width(): number {
    return this.doc.page.width - 2 * MARGIN;
  }

  /** One line at the left end of its baseline; nothing is broken or measured again. */
  line(
    text: string,
    x: number,
    y: number,
    { face = 'regular', size = TEXT_SIZE, ink = INK, direction }: Style = {},
  ): void {
    let at = x;
    for (const { text: run, part } of paperRuns(text, face, direction)) {
      this.use(part, size);
      this.doc.fillColor(ink).text(run, at, y, { lineBreak: false, baseline: 'alphabetic', features: PLAIN });
      at += this.doc.widthOfString(run, { features: PLAIN });
    }
  }

  widthOf(text: string, { face = 'regular', size = TEXT_SIZE }: Style = {}): number {
    return paperRuns(text, face).reduce((sum, { text: run, part }) => {
      this.use(part, size);
      return sum + this.doc.widthOfString(run, { features: PLAIN });
    }, 0);
  }

  /** A paragraph from where the last ended, in the lines core breaks it into; long ones go on on the next page. */
  paragraph(
    text: string,
    {
      face = 'regular',
      size = TEXT_SIZE,
      ink = INK,
      indent = 0,
      gap = 3,
    }: Style & { indent?: number; gap?: number } = {},
  ): void {
    const { doc, closer } = this;
    const [across, fontSize] = [this.width - indent, size * closer];
    const weight = { fontSize, bold: face.startsWith('bold'), italic: face.endsWith('italic') };
    // A heading or a first line is not left alone at the foot of a page.
    if (doc.y > doc.page.height - MARGIN - 2 * size) this.page('portrait');
    for (const line of layoutText(text, weight, across).lines) {
      if (doc.y + LEADING * fontSize > doc.page.height - MARGIN) this.page('portrait');
      const { y } = doc;
      const x = MARGIN + indent + (line.direction === 'rtl' ? across - line.width : 0);
      const direction = line.direction ?? 'ltr';
      this.line(line.text, x, y + ASCENT * fontSize, { face, size: fontSize, ink, direction });
      doc.y = y + LEADING * fontSize;
    }
    doc.y += gap * closer;
  }

  heading(text: string, size = 13): void {
    if (this.doc.y > this.doc.page.height - MARGIN - 60) this.page('portrait');
    this.doc.y += 8;
    this.paragraph(text, { face: 'bold', size, gap: 4 });
  }

  /** Ends the document; every page gets its foot. */
  end(foot: (page: number, of: number) => string): Promise<Uint8Array> {
    const { start, count } = this.doc.bufferedPageRange();
    for (let i = start; i < start + count; i++) {
      this.doc.switchToPage(i);
      const text = foot(i + 1, count);
      const { width, height } = this.doc.page;
      this.line(text, width - MARGIN - this.widthOf(text, { size: 8 }), height - 18, { size: 8, ink: QUIET });
    }
    this.doc.end();
    return this.ended;
  }
}
