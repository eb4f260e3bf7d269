import { HttpException } from '@nestjs/common';
import type { ArgumentsHost } from '@nestjs/common';
import type { ProblemDetails } from '@ichnograph/contract';
import type { Logger } from 'pino';
import { conflict, notFound, Problem } from './problem.js';
import { ProblemFilter } from './problem.filter.js';
import { onlySameOrigin, sameOrigin } from './same-origin.js';

/** What an error becomes on the wire, and what of it was logged. */
function answered(error: unknown): { problem: ProblemDetails; type: string; logged: unknown[] } {
  const logged: unknown[] = [];
  let [type, sent, status] = ['', '', 0];
  const response = {
    headersSent: false,
    status: (code: number) => ((status = code), response),
    type: (kind: string) => ((type = kind), response),
    send: (body: string) => void (sent = body),
  };
  const host = { switchToHttp: () => ({ getResponse: () => response }) } as unknown as ArgumentsHost;
  const log = (what: unknown): number => logged.push(what);
  new ProblemFilter({ error: log, warn: log } as unknown as Logger).catch(error, host);
  const problem = JSON.parse(sent) as ProblemDetails;
  expect(problem.status).toBe(status);
  return { problem, type, logged };
}

test('expected failures are told as they are and not logged', () => {
  const { problem, type, logged } = answered(conflict('This was handed in already.'));
  expect(problem).toMatchObject({ status: 409, detail: 'This was handed in already.' });
  expect(type).toBe('application/problem+json');
  expect(logged).toEqual([]);
  expect(answered(notFound('map')).problem.detail).toContain('not yours to see');
  expect(answered(new Problem(422, 't', 'd', [{ path: '$.a', reason: 'r' }])).problem.problems).toHaveLength(1);
});

test('what nobody expected is logged in full and told as one sentence that betrays nothing', () => {
  const { problem, logged } = answered(new Error('secret: the table account lacks a column'));
  expect(problem.status).toBe(500);
  expect(JSON.stringify(problem)).not.toContain('secret');
  expect(logged).toHaveLength(1);
  expect(answered('a thrown text').problem.status).toBe(500);
  expect(answered(null).problem.status).toBe(500);
});

test('a database that is away is told as that', () => {
  expect(answered(Object.assign(new Error('x'), { code: 'ECONNREFUSED' })).problem).toMatchObject({ status: 503 });
});

test.each([400, 404, 413, 429])('the framework’s own %i becomes a sentence', (status) => {
  expect(answered(new HttpException('raw words', status)).problem.detail).toMatch(/^\p{Lu}.*\.$/u);
});

test.each([
  [undefined, 'a.example', true],
  ['http://a.example', 'a.example', true],
  ['http://b.example', 'a.example', false],
  ['null', 'a.example', false],
  ['http://a.example.evil', 'a.example', false],
])('origin %s at %s', (origin, host, same) => {
  expect(sameOrigin({ ...(origin && { origin }), host })).toBe(same);
});

test('reading is open to other origins, changing is not', () => {
  const passed = (method: string): unknown => {
    let error: unknown = 'not called';
    const request = { method, headers: { origin: 'http://b.example', host: 'a.example' } };
    onlySameOrigin(request as never, {} as never, (given?: unknown) => (error = given));
    return error;
  };
  expect(passed('GET')).toBeUndefined();
  expect(passed('POST')).toBeInstanceOf(Problem);
});
