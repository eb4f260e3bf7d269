/** @jest-environment jsdom */
import type { JudgementRow } from '@ichnograph/contract';
import { expect, test } from '@jest/globals';
import { act } from '@testing-library/react';
import { useSend } from '../common/send';
import { answered, serve } from '../testing/serve';
import { renderHook } from '../testing/signed-in';
import { judgedOf } from './judgement';
import { useJudge } from './use-judge';

const row = (kind: JudgementRow['kind'], subject: string, value: number) =>
  ({ kind, subject, value, reason: '' }) as unknown as JudgementRow;
const PUT = 'PUT submissions/s/judgements';

const hook = (rows: readonly JudgementRow[] = []) => {
  // The page keeps what was judged until it was asked for again.
  const judged = judgedOf(rows);
  return renderHook(() => {
    const { send, trouble } = useSend([]);
    return { judge: useJudge('s', 4, judged, send), trouble };
  });
};

test('a judgement says what stood there before, and for which revision it is', async () => {
  const server = serve({ [PUT]: answered(null) });
  const page = hook([row('criterion', 'c1', 2)]);
  await act(() => page.current.judge('criterion', 'c1', 1));
  expect(server.asked(PUT)).toEqual([{ kind: 'criterion', subject: 'c1', value: 1, reason: '', seen: 2, revision: 4 }]);
});

test('two given quickly are sent in turn, the second over the first', async () => {
  const server = serve({ [PUT]: answered(null) });
  const page = hook();
  await act(() => Promise.all([page.current.judge('criterion', 'c1', 1), page.current.judge('criterion', 'c1', 2)]));
  expect(server.asked(PUT)).toMatchObject([
    { value: 1, seen: null },
    { value: 2, seen: 1 },
  ]);
});

test('of two subjects neither knows of the other', async () => {
  const server = serve({ [PUT]: answered(null) });
  const page = hook();
  await act(() =>
    Promise.all([page.current.judge('criterion', 'c1', 1), page.current.judge('result', 'c1', 5, 'Seen.')]),
  );
  expect(server.asked(PUT)).toMatchObject([
    { kind: 'criterion', seen: null },
    { kind: 'result', reason: 'Seen.', seen: null },
  ]);
});

test('one that was refused is not what the next one stands over', async () => {
  const server = serve({ [PUT]: [answered({ detail: 'Piet gave a level meanwhile.' }, 409), answered(null)] });
  const page = hook([row('criterion', 'c1', 0)]);
  expect(await act(() => page.current.judge('criterion', 'c1', 1))).toBe(false);
  expect(page.current.trouble).toBe('Piet gave a level meanwhile.');
  await act(() => page.current.judge('criterion', 'c1', 2));
  expect(server.asked(PUT)).toMatchObject([{ seen: 0 }, { seen: 0 }]);
});

test('an id that is a word of objects is a subject like any other', async () => {
  const server = serve({ [PUT]: answered(null) });
  const page = hook();
  await act(() => page.current.judge('criterion', 'constructor', 1));
  expect(server.asked(PUT)).toMatchObject([{ subject: 'constructor', seen: null }]);
});
