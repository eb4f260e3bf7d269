/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import { useBeside } from './use-beside';

const REST_MS = 300;
const asked: string[] = [];
let worker: { onmessage: ((event: MessageEvent<string>) => void) | null };
const newWorker = () => {
  worker = { onmessage: null };
  return Object.assign(worker, { postMessage: (words: string) => void asked.push(words), terminate: () => undefined });
};
const answers = (data: string): void => act(() => worker.onmessage?.({ data } as MessageEvent<string>));
const rests = (): void => act(() => void jest.advanceTimersByTime(REST_MS));

beforeEach(() => {
  asked.length = 0;
  jest.useFakeTimers();
});
afterEach(() => void jest.useRealTimers());

test('a question that rests is asked; of those that come while it is answered the last one is', () => {
  const first: { of: string | null } = { of: 'a' };
  const { result, rerender } = renderHook(({ of }) => useBeside<string, string>(newWorker as never, of, REST_MS), {
    initialProps: first,
  });
  expect([result.current, asked]).toEqual([null, []]);
  rests();
  for (const next of ['b', 'c']) {
    rerender({ of: next });
    rests();
  }
  expect(asked).toEqual(['a']);
  answers('A');
  expect(result.current).toEqual({ question: 'a', answer: 'A' });
  expect(asked).toEqual(['a', 'c']);
  answers('C');
  expect(result.current).toEqual({ question: 'c', answer: 'C' });
  rerender({ of: null });
  rests();
  expect(asked).toEqual(['a', 'c']);
});

test('what is typed on before it rests is not asked', () => {
  const { rerender } = renderHook(({ of }) => useBeside<string, string>(newWorker as never, of, REST_MS), {
    initialProps: { of: 'a' },
  });
  rerender({ of: 'ab' });
  rests();
  expect(asked).toEqual(['ab']);
});
