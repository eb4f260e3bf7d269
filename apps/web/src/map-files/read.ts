import { formatOf, FORMATS, MOST_FILE_BYTES, READING_LIMITS } from '@ichnograph/formats';
import type { Columns } from '@ichnograph/formats';
import { SaidError } from '../common/api';
import type { ReadingAnswer, ReadingQuestion } from './reading-worker';

/** Endings of the files that can be read, as a file chooser takes them. */
export const READABLE = FORMATS.filter(({ read }) => read)
  .flatMap(({ endings }) => endings.map((ending) => `.${ending}`))
  .join(',');

/**
 * Reads a file in a worker that is ended when it takes too long.
 * @throws SaidError where it is of no format that can be read, or takes too long
 */
export async function readBeside(
  file: File,
  columns?: Columns,
  newWorker = () => new Worker(new URL('./reading-worker.ts', import.meta.url), { type: 'module' }),
): Promise<ReadingAnswer> {
  const format = formatOf(file.name);
  if (!format?.read) throw new SaidError(`“${file.name}” is of no kind of file that can be read here.`);
  if (file.size > MOST_FILE_BYTES)
    throw new SaidError(`“${file.name}” is larger than ${MOST_FILE_BYTES / 1024 / 1024} MiB.`);
  const content = new Uint8Array(await file.arrayBuffer());
  const worker = newWorker();
  let timer: ReturnType<typeof setTimeout> | undefined;
  return new Promise<ReadingAnswer>((resolve, reject) => {
    timer = setTimeout(
      () => reject(new SaidError(`“${file.name}” takes more than ${READING_LIMITS.ms / 1000} seconds to read.`)),
      READING_LIMITS.ms,
    );
    worker.onmessage = ({ data }: MessageEvent<ReadingAnswer>) => resolve(data);
    worker.onerror = ({ message }) => {
      console.error('reading a file failed', message);
      reject(new SaidError(`“${file.name}” could not be read here.`));
    };
    worker.postMessage({ as: format.name, content, columns } satisfies ReadingQuestion);
  }).finally(() => {
    clearTimeout(timer);
    worker.terminate();
  });
}
