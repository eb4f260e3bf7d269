import { isBlank, mapOutline } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { Document, HeadingLevel, Packer, Paragraph, TextRun } from 'docx';

/** Indent of a level, twentieths of a point (Office Open XML). */
const STEP = 420;

/** The outline as an Office Open XML document: the margin and the first level as headings, notes as paragraphs. */
export async function outlineDocument(map: TopicMap): Promise<Blob> {
  const body = mapOutline(map).flatMap(({ depth, phrase, text, note, ties }) => {
    const runs = [
      ...(isBlank(phrase) ? [] : [new TextRun({ text: `${phrase} `, italics: true })]),
      new TextRun(text.replace(/\s+/g, ' ')),
    ];
    const heading = depth === 0 ? HeadingLevel.HEADING_1 : depth === 1 ? HeadingLevel.HEADING_2 : undefined;
    const indent = { left: Math.max(0, depth - 1) * STEP };
    return [
      new Paragraph({
        children: runs,
        indent,
        ...(heading ? { heading } : { bullet: { level: Math.min(8, depth - 2) } }),
      }),
      ...ties.map(
        (tie) =>
          new Paragraph({
            indent,
            children: [new TextRun({ text: `→ ${tie.phrase} `, italics: true }), new TextRun(tie.text)],
          }),
      ),
      ...(isBlank(note) ? [] : note.split(/\n{2,}/).map((part) => new Paragraph({ text: part.trim(), indent }))),
    ];
  });
  const title = new Paragraph({ text: map.title || 'Map', heading: HeadingLevel.TITLE });
  const question = isBlank(map.focusQuestion)
    ? []
    : [new Paragraph({ children: [new TextRun({ text: map.focusQuestion, italics: true })] })];
  return Packer.toBlob(new Document({ title: map.title, sections: [{ children: [title, ...question, ...body] }] }));
}
