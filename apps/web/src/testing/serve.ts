import { jest } from '@jest/globals';

interface Answer {
  status: number;
  body: unknown;
}

/** An answer of the server; from 400 on it is a problem (RFC 9457). */
export const answered = (body: unknown, status = 200): Answer => ({
  status,
  body: status < 400 ? body : { ...(body as object), status },
});

/**
 * A server for a test: what it answers by method and path, each time the same, or one after the other. No answer at all where
 * nothing is given.
 * @returns what was asked, by method and path: the bodies that came
 */
export function serve(answers: Readonly<Record<string, Answer | Answer[]>>) {
  const bodies = new Map<string, unknown[]>();
  globalThis.fetch = jest.fn((url: string | URL | Request, { method = 'GET', body }: RequestInit = {}) => {
    const name = `${method} ${(url as string).replace('/api/', '')}`;
    bodies.set(name, [...(bodies.get(name) ?? []), typeof body === 'string' ? JSON.parse(body) : body]);
    const given = answers[name];
    const answer = Array.isArray(given) ? (given.length > 1 ? given.shift() : given[0]) : given;
    if (!answer) return Promise.reject(new TypeError('Failed to fetch'));
    return Promise.resolve({
      ok: answer.status < 400,
      status: answer.status,
      headers: { get: () => (answer.status < 400 ? 'application/json' : 'application/problem+json') },
      json: () => Promise.resolve(answer.body),
      text: () => Promise.resolve(JSON.stringify(answer.body)),
    } as unknown as Response);
  });
  return { asked: (name: string): unknown[] => bodies.get(name) ?? [] };
}
