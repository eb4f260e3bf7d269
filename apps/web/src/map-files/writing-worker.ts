import type { Legend, TopicMap } from '@ichnograph/core';
import { FORMATS, Unreadable, writeFile } from '@ichnograph/formats';
import type { FormatName, Said } from '@ichnograph/formats';

export interface WritingQuestion {
  as: FormatName;
  map: TopicMap;
  legend: Legend | undefined;
  at: string;
}
export type WritingAnswer = { content: Uint8Array; said: readonly Said[] } | { refused: string };

/** Writes one map as a file beside the page, and is ended after it. */
self.onmessage = async ({ data }: MessageEvent<WritingQuestion>) => {
  self.postMessage(await answerTo(data));
};

async function answerTo({ as, map, legend, at }: WritingQuestion): Promise<WritingAnswer> {
  try {
    return await writeFile(
      FORMATS.find(({ name }) => name === as)!,
      map,
      { legend, at: new Date(at) },
    );
  } catch (error) {
    if (error instanceof Unreadable) return { refused: error.message };
    throw error;
  }
}
