import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import * as fontkit from 'fontkit';
import type { Font } from 'fontkit';
import PDFDocument from 'pdfkit';

const require = createRequire(import.meta.url);
const FOLDER = path.join(path.dirname(require.resolve('@fontsource/atkinson-hyperlegible-next/package.json')), 'files');
/** The shipped font comes in parts: what the first has no letter for is looked for in the next. */
const PARTS = ['latin', 'latin-ext'] as const;
const FACES = { regular: '400-normal', bold: '700-normal', italic: '400-italic', 'bold italic': '700-italic' } as const;
export type Face = keyof typeof FACES;

export const INK = '#16202e';
export const QUIET = '#4d5867';
const TEXT_SIZE = 10;

/** Points around what stands on a page. */
export const MARGIN = 40;
/** How much of its size text may lose so that no page holds a few lines alone, and how many points of them that is. */
const CLOSER = [1, 0.97, 0.94, 0.91] as const;
const FEW_LINES = 72;

interface Part {
  name: string;
  content: Buffer;
  font: Font;
}

const parts = new Map<Face, Part[]>();

/** The parts of a face, read once a process. */
function partsOf(face: Face): Part[] {
  const known = parts.get(face);
  if (known) return known;
  const read = PARTS.map((part): Part => {
    const content = readFileSync(path.join(FOLDER, `atkinson-hyperlegible-next-${part}-${FACES[face]}.woff`));
    return { name: `${face} ${part}`, content, font: fontkit.create(content) as Font };
  });
  parts.set(face, read);
  return read;
}

interface Style {
  face?: Face;
  size?: number;
  ink?: string;
}

/** Sets text and pages of a PDF document with the shipped font, whatever part of it a letter is in. */
export class Typesetter {
  readonly doc: PDFKit.PDFDocument;
  private readonly ended: Promise<Uint8Array>;
  /** what sizes and gaps of paragraphs are taken times */
  private closer = 1;

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
    for (const face of Object.keys(FACES) as Face[])
      for (const { name, content } of partsOf(face)) this.doc.registerFont(name, content);
  }

  page(layout: 'portrait' | 'landscape'): void {
    this.doc.addPage({ size: 'A4', layout, margin: MARGIN });
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
  line(text: string, x: number, y: number, { face = 'regular', size = TEXT_SIZE, ink = INK }: Style = {}): void {
    let at = x;
    for (const { text: run, part } of runs(text, face)) {
      this.doc.font(part.name).fontSize(size).fillColor(ink);
      this.doc.text(run, at, y, { lineBreak: false, baseline: 'alphabetic', features: [] });
      at += this.doc.widthOfString(run, { features: [] });
    }
  }

  widthOf(text: string, { face = 'regular', size = TEXT_SIZE }: Style = {}): number {
    return runs(text, face).reduce((sum, { text: run, part }) => {
      this.doc.font(part.name).fontSize(size);
      return sum + this.doc.widthOfString(run, { features: [] });
    }, 0);
  }

  /** A paragraph from where the last ended; long ones are broken, and go on on the next page. */
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
    doc.x = MARGIN + indent;
    const all = runs(text === '' ? ' ' : text, face);
    // A heading or a first line is not left alone at the foot of a page.
    if (doc.y > doc.page.height - MARGIN - 2 * size) this.page('portrait');
    all.forEach(({ text: run, part }, i) => {
      doc
        .font(part.name)
        .fontSize(size * closer)
        .fillColor(ink);
      const options = { width: this.width - indent, continued: i < all.length - 1 };
      if (i === 0) doc.text(run, MARGIN + indent, doc.y, options);
      else doc.text(run, options);
    });
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

/** A text in runs of one part of the font each. */
function runs(text: string, face: Face): { text: string; part: Part }[] {
  const all = partsOf(face);
  const found: { text: string; part: Part }[] = [];
  // Control characters are drawn by nothing; what breaks a line stays.
  for (const letter of text.replace(/[^\P{Cc}\n]/gu, ' ')) {
    const part = all.find(({ font }) => font.hasGlyphForCodePoint(letter.codePointAt(0)!)) ?? all[0]!;
    const last = found.at(-1);
    if (last?.part === part || (last && letter === ' ')) last.text += letter;
    else found.push({ text: letter, part });
  }
  return found;
}
