/** @jest-environment jsdom */
import { expect, jest, test } from '@jest/globals';
import { QueryObserver } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import { answered, serve } from '../testing/serve';
import type { ApiError } from './api';
import { SaidError } from './api';
import { queries } from './queries';
import { useSend } from './send';

const hook = (changes: Parameters<typeof useSend>[0] = []) => renderHook(() => useSend(changes)).result;
/** What a browser does between two keys: its page is drawn. */
const aMoment = (): Promise<void> => act(() => new Promise<void>((resolve) => setTimeout(resolve, 1)));

test('what is asked for twice while it is under way is sent once', async () => {
  const server = serve({ 'POST classes': answered({ id: 'c' }) });
  const result = hook();
  const both = await act(() => {
    const make = () => result.current.send((post) => post('classes', { name: '10a' }), 'The class is made.');
    return Promise.all([make(), make()]);
  });
  expect(both).toEqual([true, false]);
  expect(server.asked('POST classes')).toHaveLength(1);
  await aMoment();
  await act(() => result.current.send((post) => post('classes', { name: '10a' }), 'The class is made.'));
  expect(server.asked('POST classes')).toHaveLength(2);
});

test('two different acts do not wait for each other', async () => {
  const server = serve({ 'POST classes': answered({}) });
  const result = hook();
  const make = (name: string) => result.current.send((post) => post('classes', { name }), `The class ${name} is made.`);
  expect(await act(() => Promise.all([make('10a'), make('10b')]))).toEqual([true, true]);
  expect(server.asked('POST classes')).toHaveLength(2);
});

test('words leave their field as they are sent, and come back when that failed', async () => {
  serve({ 'POST remarks': [answered({ detail: 'It is too long.' }, 422), answered({})] });
  const result = hook();
  let field = 'a remark';
  const takes = () => {
    const sent = field;
    field = '';
    return () => void (field = sent + field);
  };
  const send = () => result.current.send((post) => post('remarks', { text: field || 'a remark' }), '', { takes });
  let sending: Promise<boolean>;
  act(() => void (sending = send()));
  expect(field).toBe('');
  // Typed while it was on its way.
  field = ' and more';
  expect(await act(() => sending)).toBe(false);
  expect(field).toBe('a remark and more');
  expect(result.current.trouble).toBe('It is too long.');
  await aMoment();
  expect(await act(send)).toBe(true);
  expect(field).toBe('');
  expect(result.current.trouble).toBe('');
});

test('of two that belong together the first is not repeated when the second failed', async () => {
  const server = serve({
    'POST comments': answered({ id: 'k' }),
    'POST remarks': [answered({ detail: 'Not now.' }, 503), answered({})],
  });
  const result = hook();
  const chosen: string[] = [];
  const keep = () =>
    result.current.send(async (post) => {
      const { id } = await post<{ id: string }>('comments', { text: 'Good.' });
      await post('remarks', { text: 'Good.' });
      chosen.push(id);
    }, 'The comment is kept.');
  expect(await act(keep)).toBe(false);
  await aMoment();
  expect(await act(keep)).toBe(true);
  expect(server.asked('POST comments')).toHaveLength(1);
  expect(server.asked('POST remarks')).toHaveLength(2);
  expect(chosen).toEqual(['k']);
  // What has worked is done: asked for again it is another one.
  await aMoment();
  await act(keep);
  expect(server.asked('POST comments')).toHaveLength(2);
});

test('only what was changed is asked for again at once; all else when it is next shown', async () => {
  const server = serve({
    'GET submissions/a/comments': answered([]),
    'GET submissions/ab/comments': answered([]),
    'POST submissions/a/comments': answered({}),
  });
  queries.clear();
  // Two lists that stand on the page; one path only looks like the other's.
  const lists = ['submissions/a/comments', 'submissions/ab/comments'];
  const stop = lists.map((path) =>
    new QueryObserver(queries, {
      queryKey: [path],
      queryFn: () => fetch(`/api/${path}`).then((answer) => answer.json() as unknown),
    }).subscribe(() => undefined),
  );
  const asked = () => lists.map((path) => server.asked(`GET ${path}`).length);
  await waitFor(() => expect(asked()).toEqual([1, 1]));
  const result = hook(['submissions/a']);
  await act(() => result.current.send((post) => post('submissions/a/comments', { text: 'Good.' })));
  await waitFor(() => expect(asked()).toEqual([2, 1]));
  expect(queries.getQueryState([lists[1]])?.isInvalidated).toBe(true);
  for (const end of stop) end();
});

test('what has no words for a person is said in the console, and a sentence on the page', async () => {
  const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const result = hook();
  const broken = new TypeError('x is not a function');
  await act(() => result.current.send(() => Promise.reject(broken)));
  expect(said).toHaveBeenCalledWith(broken);
  expect(result.current.trouble).toMatch(/Something went wrong on this page/);
  said.mockClear();
  await aMoment();
  await act(() => result.current.send(() => Promise.reject(new SaidError('The file is broken.'))));
  expect(result.current.trouble).toBe('The file is broken.');
  expect(said).not.toHaveBeenCalled();
  said.mockRestore();
});

test('what was refused keeps the places it named, until the next try', async () => {
  serve({ 'POST assignments': [answered({ detail: 'No.', problems: [{ path: '/terms/3', reason: 'twice' }] }, 422)] });
  const result = hook();
  await act(() => result.current.send((post) => post('assignments', {})));
  expect((result.current.fault as ApiError).problem.problems).toEqual([{ path: '/terms/3', reason: 'twice' }]);
  act(() => result.current.refuse(null));
  expect(result.current.trouble).toBe('');
});
