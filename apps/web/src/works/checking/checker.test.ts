import { jest } from '@jest/globals';
import { CHECK_LIMIT_MS, emptyMap } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';
import type { Answer, Question } from './check-worker';
import { startChecker } from './checker';

/** A worker that answers when it is told to, and remembers what it was asked. */
class SlowWorker {
  asked: Question[] = [];
  ended = false;
  onmessage: ((event: { data: Answer }) => void) | null = null;
  postMessage(question: Question): void {
    this.asked.push(question);
  }
  terminate(): void {
    this.ended = true;
  }
  answer(code = 'all'): void {
    this.onmessage?.({ data: { report: { results: [{ code }] } } as Answer });
  }
  /** the titles of the maps it was asked to check */
  get maps(): string[] {
    return this.asked.flatMap((question) => ('map' in question ? [question.map.title] : []));
  }
}

function started() {
  const workers: SlowWorker[] = [];
  const [onAnswer, onTooLong] = [jest.fn(), jest.fn()];
  const checker = startChecker({ title: 'A' } as Assignment, {}, onAnswer, onTooLong, () => {
    const worker = new SlowWorker();
    workers.push(worker);
    return worker as unknown as Worker;
  });
  const check = (title: string): void => checker.check({ ...emptyMap(), title });
  return { ...checker, check, workers, onAnswer, onTooLong };
}

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

test('a worker is told the assignment once, and then each map that is still the newest when it is free', () => {
  const { check, workers, onAnswer } = started();
  const [worker] = workers;
  for (const title of ['one', 'two', 'three']) check(title);
  expect(worker!.maps).toEqual(['one']);
  worker!.answer();
  expect(worker!.maps).toEqual(['one', 'three']);
  worker!.answer();
  expect(onAnswer).toHaveBeenCalledTimes(2);
  check('four');
  expect(worker!.maps).toEqual(['one', 'three', 'four']);
  expect(worker!.asked.filter((question) => 'assignment' in question)).toHaveLength(1);
});

test('what there was no time for is tried again, until it is plain that it will not do', () => {
  const { check, workers, onAnswer } = started();
  const [worker] = workers;
  check('one');
  worker!.answer('outOfTime');
  expect(worker!.maps).toEqual(['one', 'one']);
  worker!.answer();
  check('two');
  for (let i = 0; i < 3; i++) worker!.answer('outOfTime');
  expect(worker!.maps).toEqual(['one', 'one', 'two', 'two', 'two']);
  expect(onAnswer).toHaveBeenCalledTimes(5);
  check('three');
  worker!.answer('outOfTime');
  check('four');
  expect(worker!.maps.slice(5)).toEqual(['three', 'three']);
});

test('a check that takes too long is ended with its worker, is said, and the newest map goes to a new one', () => {
  const { check, workers, onTooLong } = started();
  check('one');
  check('two');
  jest.advanceTimersByTime(CHECK_LIMIT_MS * 4);
  expect(onTooLong).toHaveBeenCalledTimes(1);
  expect([workers.length, workers[0]!.ended, workers[1]!.ended]).toEqual([2, true, false]);
  expect(workers[1]!.maps).toEqual(['two']);
  expect('assignment' in workers[1]!.asked[0]!).toBe(true);
});

test('an answer in time stops the clock, and so does leaving the page', () => {
  const { check, stop, workers, onTooLong } = started();
  check('one');
  workers[0]!.answer();
  jest.advanceTimersByTime(CHECK_LIMIT_MS * 10);
  check('two');
  stop();
  jest.advanceTimersByTime(CHECK_LIMIT_MS * 10);
  expect(onTooLong).not.toHaveBeenCalled();
  expect([workers.length, workers[0]!.ended]).toEqual([1, true]);
});
