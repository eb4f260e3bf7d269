import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { freePort } from '../../../scripts/lib/database.mjs';
import { root } from '../../../scripts/lib/commands.mjs';
import { until } from './setup/client.js';

const data = path.join(root, '.data', `test-start-${process.pid}`);
const started: ChildProcess[] = [];
let port: number;
beforeAll(async () => {
  mkdirSync(data, { recursive: true });
  port = await (freePort as () => Promise<number>)();
});
afterAll(async () => {
  const last = started.at(-1)!;
  const ended = new Promise((resolve) => last.once('exit', resolve));
  last.kill('SIGTERM');
  await ended;
  rmSync(data, { recursive: true, force: true });
});

function start(...more: string[]): { child: ChildProcess; said: () => string } {
  const child = spawn(process.execPath, [path.join(root, 'scripts/start.mjs'), '--port', String(port), ...more], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, ICHNOGRAPH_DATA: data, NODE_OPTIONS: '' },
  });
  started.push(child);
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (piece) => (said += String(piece)));
  return { child, said: () => said };
}
/** Those whom the first page offers with one click. */
const ON_THE_FIRST_PAGE = 7;
const status = async (): Promise<number> =>
  fetch(`http://127.0.0.1:${port}/api/demo/people`).then(
    async (response) => ((await response.json()) as unknown[]).length,
    () => 0,
  );

test('a start that was killed while the school was loading leaves nothing half, and nothing in the way', async () => {
  const first = start();
  await until('the school to be loading', () => first.said().includes('Loading the made-up school'));
  await until('a database', () => existsSync(path.join(data, 'demo/database.pid')));
  first.child.kill('SIGKILL');
  const second = start();
  // A school is loaded meanwhile: on a machine that has other work that takes a while.
  await until('the second start', () => second.said().includes('Ready:'), 150_000);
  expect(second.said()).toContain('beginning anew');
  expect(await status()).toBe(ON_THE_FIRST_PAGE);

  // A server that ends by itself is started again.
  process.kill(Number(readFileSync(path.join(data, 'demo/server.pid'), 'utf8')), 'SIGKILL');
  await until('the server again', () => second.said().includes('The server serves again'));
  expect(second.said()).toContain('The server ended by itself');
  // So is a database, and it is said; the server finds it again by itself.
  process.kill(Number(readFileSync(path.join(data, 'demo/database.pid'), 'utf8')), 'SIGKILL');
  await until('the database again', () => second.said().includes('The database serves again'));
  await until('the school again', async () => (await status()) === ON_THE_FIRST_PAGE);
  expect(await status()).toBe(ON_THE_FIRST_PAGE);

  // What a killed start left behind is our own, and no other program's.
  second.child.kill('SIGKILL');
  const third = start();
  await until('the third start', () => third.said().includes('Ready:'));
  expect(await status()).toBe(ON_THE_FIRST_PAGE);
  const fourth = start();
  await until('a refusal', () => fourth.said().includes('already running from this folder'));
  started.pop();
}, 180_000);
