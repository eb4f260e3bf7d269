import '../workers/thread.js';
import type { Legend, TopicMap } from '@ichnograph/core';
import { Unreadable, writeFile } from '@ichnograph/formats';
import type { FormatName, Wishes } from '@ichnograph/formats';
import { ALL_FORMATS, shippedPicture } from '@ichnograph/formats/node';
import { markedPaperPdf } from './marked-paper.js';
import type { MarkedPaper } from './marked-paper.js';

/** The papers of students as one PDF document. */
export const paper = ({ papers, onePage }: { papers: MarkedPaper[]; onePage: boolean }): Promise<Uint8Array> =>
  markedPaperPdf(papers, onePage);

export interface ToDraw extends Wishes {
  as: FormatName;
  map: TopicMap;
  legend: Legend | undefined;
  at: string;
  /** by what names them: the pictures that people brought */
  pictures: Readonly<Record<string, Uint8Array>>;
}

/** A map as a file; or why it cannot be one. */
export async function drawn({ as, map, at, pictures, ...wishes }: ToDraw): Promise<Uint8Array | { refused: string }> {
  const format = ALL_FORMATS.find(({ name }) => name === as)!;
  const pictureOf = async (src: string): Promise<Uint8Array | null> => pictures[src] ?? shippedPicture(src);
  try {
    return (await writeFile(format, map, { ...wishes, at: new Date(at), pictureOf })).content;
  } catch (error) {
    if (error instanceof Unreadable) return { refused: error.message };
    throw error;
  }
}
