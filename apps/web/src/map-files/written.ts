import { writeMap } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { FORMATS } from '@ichnograph/formats';
import type { FormatName, Wishes } from '@ichnograph/formats';
import { api, SaidError } from '../common/api';
import type { WritingAnswer, WritingQuestion } from './writing-worker';

/**
 * A map as a file of a format: by a worker of this page, or by the server where it is drawn or set.
 * @throws the signal's reason where that ends it
 */
export function written(
  as: FormatName,
  map: TopicMap,
  legend: Legend | undefined,
  wishes: Wishes,
  signal?: AbortSignal,
  newWorker = () => new Worker(new URL('./writing-worker.ts', import.meta.url), { type: 'module' }),
): Promise<Blob> {
  const format = FORMATS.find(({ name }) => name === as);
  if (!format) return api.file('drawings', { ...wishes, as, map: { ...writeMap(map), legend } }, signal);
  const worker = newWorker();
  return new Promise<Blob>((resolve, reject) => {
    signal?.addEventListener('abort', () => reject(signal.reason as Error));
    worker.onmessage = ({ data }: MessageEvent<WritingAnswer>) => {
      if ('refused' in data) reject(new SaidError(`This map ${data.refused}.`));
      else resolve(new Blob([new Uint8Array(data.content)], { type: format.mediaType }));
    };
    worker.onerror = ({ message }) => {
      console.error('writing a file failed', message);
      reject(new SaidError('The part that writes it did not load. Try again when you are connected.'));
    };
    worker.postMessage({ as, map, legend, at: new Date().toISOString() } satisfies WritingQuestion);
  }).finally(() => worker.terminate());
}
