import { Worker } from 'node:worker_threads';
import { READING_LIMITS } from '@ichnograph/formats';
import type { Understood } from '@ichnograph/formats';
import { Refusal } from '../tool.js';
import type { Answer, Question } from './reading.js';

/** Reads a file in a thread of its own, which is cut off when it takes too long or too much. */
export function understood(file: string, question: Question): Promise<Understood> {
  const worker = new Worker(new URL('./reading.js', import.meta.url), {
    workerData: question,
    resourceLimits: { maxOldGenerationSizeMb: READING_LIMITS.mebibytes },
  });
  return new Promise((resolve, reject) => {
    const end = (): void => {
      clearTimeout(timer);
      void worker.terminate();
    };
    const refuse = (reason: string): void => {
      end();
      reject(new Refusal(`${file}: ${reason}`));
    };
    const timer = setTimeout(
      () => refuse(`takes more than ${READING_LIMITS.ms / 1000} seconds to read`),
      READING_LIMITS.ms,
    );
    worker.on('message', (answer: Answer) => {
      if ('refused' in answer) return refuse(answer.refused);
      end();
      resolve(answer);
    });
    worker.on('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'ERR_WORKER_OUT_OF_MEMORY')
        return refuse(`takes more than ${READING_LIMITS.mebibytes} MiB to read`);
      end();
      reject(error);
    });
  });
}
