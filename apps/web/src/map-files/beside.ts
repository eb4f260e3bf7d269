import { MOST_FILE_BYTES, READING_LIMITS } from '@ichnograph/formats';
import { SaidError } from '../common/api';

/** @throws SaidError for a file that is larger than anybody reads */
export function insistSmall({ name, size }: { name: string; size: number }): void {
  if (size > MOST_FILE_BYTES) throw new SaidError(`“${name}” is larger than ${MOST_FILE_BYTES / 1024 / 1024} MiB.`);
}

/**
 * Asks a worker one thing about a file, and ends it after; also when it takes too long.
 * @throws SaidError where it does, or where the worker fails
 */
export async function askBeside<Q, A>(worker: Worker, question: Q, fileName: string): Promise<A> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  return new Promise<A>((resolve, reject) => {
    timer = setTimeout(
      () => reject(new SaidError(`“${fileName}” takes more than ${READING_LIMITS.ms / 1000} seconds to read.`)),
      READING_LIMITS.ms,
    );
    worker.onmessage = ({ data }: MessageEvent<A>) => resolve(data);
    worker.onerror = ({ message }) => {
      console.error('reading a file failed', message);
      reject(new SaidError(`“${fileName}” could not be read here.`));
    };
    worker.postMessage(question);
  }).finally(() => {
    clearTimeout(timer);
    worker.terminate();
  });
}
