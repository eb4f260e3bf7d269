/** @jest-environment jsdom */
import { emptyMap } from '@ichnograph/core';
import { SaidError } from '../common/api';
import { written } from './written';

/** A worker that answers when it is told to. */
function fakeWorker() {
  const worker = {
    onmessage: null as ((event: { data: unknown }) => void) | null,
    ended: false,
    asked: null as unknown,
  };
  return Object.assign(worker, {
    postMessage: (asked: unknown) => (worker.asked = asked),
    terminate: () => (worker.ended = true),
    onerror: null,
  });
}
const begun = (signal?: AbortSignal) => {
  const worker = fakeWorker();
  return { worker, file: written('md', emptyMap(), undefined, {}, signal, () => worker as unknown as Worker) };
};

test('a worker writes it, and is ended after', async () => {
  const { worker, file } = begun();
  expect(worker.asked).toMatchObject({ as: 'md' });
  worker.onmessage!({ data: { content: new TextEncoder().encode('# Map') } });
  expect(await file).toMatchObject({ size: 5, type: 'text/markdown' });
  expect(worker.ended).toBe(true);
});

test('what a format will not take is said', async () => {
  const { worker, file } = begun();
  worker.onmessage!({ data: { refused: 'has no topics' } });
  await expect(file).rejects.toThrow('This map has no topics.');
});

test('cancelled, it ends with the reason, and so does its worker', async () => {
  const ending = new AbortController();
  const { worker, file } = begun(ending.signal);
  ending.abort(new SaidError('Cancelled.'));
  await expect(file).rejects.toThrow('Cancelled.');
  await Promise.resolve();
  expect(worker.ended).toBe(true);
});
