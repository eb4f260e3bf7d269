import { Person } from './setup/client.js';

const isProblem = (answer: { headers: Headers; problem: { detail: string; status: number } }): void => {
  expect(answer.headers.get('content-type')).toContain('application/problem+json');
  expect(answer.problem.detail).toMatch(/^\p{Lu}.*[.]$/u);
  expect(JSON.stringify(answer.problem)).not.toMatch(/at .*\.(js|ts):\d/);
};

test('unknown properties are refused with their path', async () => {
  const answer = await new Person().post('sign-in', { name: 'noor', password: 'x', isAdmin: true });
  expect(answer.status).toBe(422);
  isProblem(answer);
  expect(answer.problem.problems).toEqual([{ path: '$.isAdmin', reason: 'is not known here' }]);
});

test.each([
  ['no JSON', 'sign-in', '{"name":', 400],
  ['an empty body', 'sign-in', '', 422],
  ['a list', 'sign-in', '[]', 422],
  ['wrong types', 'sign-in', '{"name":{"$ne":null},"password":1}', 422],
  ['nothing there', 'no-such-thing', '{}', 404],
])('%s is answered with a sentence', async (_, path, body, status) => {
  const answer = await new Person().call('POST', path, body === '' ? undefined : body);
  expect(answer.status).toBe(status);
  isProblem(answer);
});

test('ordinary requests end at 1 MiB; assignment files may be larger', async () => {
  const maren = await Person.signedIn('maren');
  const large = 'x'.repeat(1_100_000);
  const tooLarge = await maren.post('sign-in', { name: 'a', password: large });
  expect(tooLarge.status).toBe(413);
  isProblem(tooLarge);
  expect((await maren.post('assignments', { file: { brief: large } })).status).toBe(422);
});

test('changes sent by another site’s page are refused', async () => {
  const maren = await Person.signedIn('maren');
  const answer = await maren.call('POST', 'sign-out', {}, { origin: 'http://elsewhere.example' });
  expect(answer.status).toBe(403);
  expect((await maren.get('today/teacher')).status).toBe(200);
});

test('pages forbid scripts from elsewhere and need no eval', async () => {
  const response = await fetch(`${process.env.ICHNOGRAPH_TEST_URL!}/assignments`, { headers: { accept: 'text/html' } });
  expect(response.status).toBe(200);
  expect(response.headers.get('content-security-policy')).toContain("script-src 'self'");
  expect(response.headers.get('content-security-policy')).not.toContain('unsafe-eval');
});
