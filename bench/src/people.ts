/** Asks the server as whoever has this cookie. */
export async function call<T = unknown>(
  url: string,
  cookie: string,
  path: string,
  body?: object,
  method = body ? 'POST' : 'GET',
): Promise<T> {
  const answer = await fetch(`${url}/api/${path}`, {
    method,
    headers: { cookie, ...(body && { 'content-type': 'application/json' }) },
    ...(body && { body: JSON.stringify(body) }),
  });
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${text}`);
  return (text === '' ? undefined : JSON.parse(text)) as T;
}

export async function signIn(url: string, name: string): Promise<string> {
  const answer = await fetch(`${url}/api/demo/sign-in/${name}`, { method: 'POST' });
  return answer.headers.getSetCookie()[0]!.split(';')[0]!;
}

/** So many new students of the class. */
export async function newcomers(
  url: string,
  many: number,
  called = 'bench',
): Promise<{ id: string; cookie: string }[]> {
  const head = await signIn(url, 'halina');
  const classes = await call<{ id: string; name: string }[]>(url, head, 'classes');
  const room = classes.find(({ name }) => name === 'Technology 9B')!;
  const people = [];
  for (let i = 0; i < many; i++) {
    const name = `${called}${i}`;
    const account = { role: 'student', givenName: 'Bench', familyName: String(i), name, password: 'a long first one' };
    const { id } = await call<{ id: string }>(url, head, 'accounts', account);
    await call(url, head, `classes/${room.id}/people`, { accountId: id, part: 'student' });
    const cookie = await signIn(url, name);
    await call(url, cookie, 'password', { current: account.password, next: 'a password of my own' });
    people.push({ id, cookie });
  }
  return people;
}
