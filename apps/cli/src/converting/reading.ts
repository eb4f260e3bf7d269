import { parentPort, workerData } from 'node:worker_threads';
import { FORMATS, readFile, Unreadable } from '@ichnograph/formats';
import type { FormatName, Reading, Understood } from '@ichnograph/formats';

/** What is to be read in a thread of its own. */
export interface Question extends Reading {
  format: FormatName;
  content: Uint8Array;
}
export type Answer = Understood | { refused: string };

async function answer({ format, content, ...reading }: Question): Promise<Answer> {
  try {
    return await readFile(
      FORMATS.find(({ name }) => name === format)!,
      content,
      reading,
    );
  } catch (error) {
    if (error instanceof Unreadable) return { refused: error.message };
    throw error;
  }
}

parentPort!.postMessage(await answer(workerData as Question));
