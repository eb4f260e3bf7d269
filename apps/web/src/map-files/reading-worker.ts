import type { TopicMap } from '@ichnograph/core';
import { FORMATS, readFile, Unreadable } from '@ichnograph/formats';
import type { Columns, FormatName, Said } from '@ichnograph/formats';

export interface ReadingQuestion {
  as: FormatName;
  content: Uint8Array;
  columns?: Columns | undefined;
}
/** What was understood of a file, or why nothing was; of a table its first row too. */
export type ReadingAnswer = { head: readonly string[] } & (
  { map: TopicMap; said: readonly Said[] } | { refused: string }
);

/** Reads one file beside the page, and is ended after it. */
self.onmessage = async ({ data }: MessageEvent<ReadingQuestion>) => {
  self.postMessage(await answerTo(data));
};

async function answerTo({ as, content, columns }: ReadingQuestion): Promise<ReadingAnswer> {
  const format = FORMATS.find(({ name }) => name === as)!;
  let head: readonly string[] = [];
  try {
    head = (await format.head?.(content)) ?? [];
    return { head, ...(await readFile(format, content, { columns })) };
  } catch (error) {
    if (error instanceof Unreadable) return { head, refused: error.message };
    throw error;
  }
}
