import { drawnBox, isBlank, mend } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import type * as Library from 'docx';
import type { FileChild, Paragraph } from 'docx';
import { onOneLine } from '../draft/words.js';
import { rasterOf } from '../drawings/raster.js';
import { descriptionOf, nameOf } from '../drawings/svg.js';
import { fitForXml } from '../files/xml.js';
import { DRAWN_FORMATS } from '../drawn-formats.js';
import { DOCUMENT_PARTS } from '../format.js';
import type { DocumentPart, Format, Writing } from '../format.js';
import { linesOf } from '../outlines/lines.js';
import { noteBlocks } from './note-blocks.js';
import type { Line } from '../outlines/lines.js';

/** Twentieths of a point that a level is set in, and pixels that a page has room for between its margins. */
const STEP = 420;
const ROOM = { width: 600, height: 800 };
/** Pixels of a picture at most along its longer side. */
const FINEST = 2400;

/** Office Open XML (ECMA-376): picture, outline as headings and lists, notes as paragraphs, table of sentences. */
export const docx: Format = {
  ...DRAWN_FORMATS.docx,
  write: async (one, writing) => {
    const { map } = mend(one);
    const library = await import('docx');
    const parts = new Set<DocumentPart>(writing.with ?? DOCUMENT_PARTS);
    const writer = new Writer(library, map);
    const children = [
      ...writer.titles(),
      ...(parts.has('picture') ? [writer.picture(await rasterOf(map, writing, fineness(map, writing)))] : []),
      ...(parts.has('outline') || parts.has('notes') ? writer.outline(parts) : []),
      ...(parts.has('sentences') ? writer.sentences() : []),
    ];
    const document = new library.Document({ title: nameOf(map), creator: 'Ichnograph', sections: [{ children }] });
    return { content: new Uint8Array(await library.Packer.toBuffer(document)), said: [] };
  },
};

/** As fine as a printer shows it on the page's width, and no finer than it is drawn twice over. */
function fineness(map: TopicMap, { legend }: Writing): number {
  const box = drawnBox(map, legend);
  return box ? Math.min(2, FINEST / Math.max(1, box.right - box.left, box.bottom - box.top)) : 1;
}

class Writer {
  constructor(
    private readonly library: typeof Library,
    private readonly map: TopicMap,
  ) {}

  titles(): FileChild[] {
    const { HeadingLevel } = this.library;
    const question = onOneLine(this.map.focusQuestion);
    return [
      this.paragraph([this.run(nameOf(this.map))], { heading: HeadingLevel.TITLE }),
      ...(question === '' ? [] : [this.paragraph([this.run(question, true)])]),
    ];
  }

  picture(png: Uint8Array): FileChild {
    const { width, height } = sizeOf(png);
    const scale = Math.min(1, ROOM.width / width, ROOM.height / height);
    const said = { name: nameOf(this.map), title: nameOf(this.map), description: descriptionOf(this.map) };
    const image = new this.library.ImageRun({
      type: 'png',
      data: png,
      transformation: { width: Math.round(width * scale), height: Math.round(height * scale) },
      altText: said,
    });
    return new this.library.Paragraph({ children: [image] });
  }

  outline(parts: ReadonlySet<DocumentPart>): FileChild[] {
    return linesOf(this.map, () => undefined).flatMap((line) => [
      ...(parts.has('outline') || !isBlank(line.topic.note) ? this.line(line) : []),
      ...(parts.has('notes') ? this.notes(line) : []),
    ]);
  }

  private line({ topic, depth, by, ties }: Line): FileChild[] {
    const { HeadingLevel } = this.library;
    const heading = [HeadingLevel.HEADING_1, HeadingLevel.HEADING_2][depth];
    const indent = { left: Math.max(0, Math.min(depth, 9) - 1) * STEP };
    const textOf = (id: string): string => onOneLine(this.map.topics.find((one) => one.id === id)!.text);
    return [
      this.paragraph([...this.said(by?.phrase ?? ''), this.run(onOneLine(topic.text))], {
        indent,
        ...(heading ? { heading } : { bullet: { level: Math.min(8, depth - 2) } }),
      }),
      ...ties.map(({ phrase, to }) =>
        this.paragraph([this.run('→ '), ...this.said(phrase), this.run(textOf(to))], { indent }),
      ),
    ];
  }

  private notes({ topic, depth }: Line): FileChild[] {
    const left = Math.max(0, Math.min(depth, 9) - 1) * STEP;
    return noteBlocks(topic.note).map(({ runs, item }) => {
      const words = runs.flatMap(({ text, bold, italic }) =>
        text.split('\n').map((line, i) => this.run(line, italic, { bold, ...(i > 0 && { break: 1 }) })),
      );
      const indent = { left: left + (item ? (item.level + 1) * STEP : 0), ...(item && { hanging: STEP / 2 }) };
      return this.paragraph([...(item ? [this.run(`${item.number ?? '•'} `)] : []), ...words], { indent });
    });
  }

  sentences(): FileChild[] {
    const { HeadingLevel, Table, TableCell, TableRow, WidthType } = this.library;
    const byId = new Map(this.map.topics.map((topic) => [topic.id, topic.text]));
    const row = (cells: readonly string[], isHead = false) =>
      new TableRow({
        tableHeader: isHead,
        children: cells.map((cell) => new TableCell({ children: [this.paragraph([this.run(onOneLine(cell))])] })),
      });
    const rows = this.map.links.map(({ from, phrase, to }) => row([byId.get(from)!, phrase, byId.get(to)!]));
    return [
      this.paragraph([this.run('Sentences')], { heading: HeadingLevel.HEADING_1 }),
      new Table({
        width: { size: 100, type: WidthType.PERCENTAGE },
        rows: [row(['From', 'Phrase', 'To'], true), ...rows],
      }),
    ];
  }

  private said(phrase: string) {
    return isBlank(phrase) ? [] : [this.run(`${onOneLine(phrase)} `, true)];
  }

  private run(text: string, italics = false, more: Omit<Library.IRunOptions, 'text' | 'italics'> = {}) {
    return new this.library.TextRun({ text: fitForXml(text), italics, ...more });
  }

  private paragraph(children: Library.TextRun[], more: Omit<Library.IParagraphOptions, 'children'> = {}): Paragraph {
    return new this.library.Paragraph({ children, ...more });
  }
}

/** As its header tells it (PNG, 11.2.2 IHDR). */
function sizeOf(png: Uint8Array): { width: number; height: number } {
  const view = new DataView(png.buffer, png.byteOffset);
  return { width: view.getUint32(16), height: view.getUint32(20) };
}
