/** @jest-environment jsdom */
import { jest } from '@jest/globals';
import { emptyMap } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';
import { startAnswerChecks } from './answer-checks';

const assignment = {
  requirements: [{ id: 'r', type: 'propositions-present', params: { propositions: [] }, level: 'must', points: 1 }],
} as unknown as Assignment;

/** A server whose answers come when the test lets them: what it answers, in the order in which it was asked. */
function slowServer() {
  const asked: ((status: number, body: unknown) => void)[] = [];
  globalThis.fetch = jest.fn(
    () =>
      new Promise<Response>((resolve) => {
        asked.push((status, body) =>
          resolve({
            ok: status < 400,
            status,
            headers: { get: () => (status < 400 ? 'application/json' : 'application/problem+json') },
            json: () => Promise.resolve(body),
            text: () => Promise.resolve(JSON.stringify(body)),
          } as unknown as Response),
        );
      }),
  );
  return asked;
}
const passed = (ms: number) => jest.advanceTimersByTimeAsync(ms);
beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('an answer that comes late gives way to what was asked since', async () => {
  const asked = slowServer();
  const answers: unknown[] = [];
  const checks = startAnswerChecks('w', assignment, (results) => answers.push(results));
  checks.look(true, emptyMap());
  await passed(800);
  checks.look(true, emptyMap());
  await passed(800);
  expect(asked).toHaveLength(2);
  asked[1]!(200, ['new'] as unknown);
  asked[0]!(200, ['old'] as unknown);
  await passed(0);
  expect(answers).toEqual([['new']]);
  checks.stop();
});

test.each([
  [403, 1],
  [404, 1],
  [503, 2],
  [429, 2],
])('after the status %d it was asked %d times', async (status, times) => {
  const asked = slowServer();
  const checks = startAnswerChecks('w', assignment, () => undefined);
  checks.look(true, emptyMap());
  await passed(800);
  asked[0]!(status, { status, detail: 'Not now.' });
  await passed(5000);
  expect(asked).toHaveLength(times);
  checks.stop();
});
