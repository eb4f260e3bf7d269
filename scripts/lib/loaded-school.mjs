import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { command, root } from './commands.mjs';
import { Database } from './database.mjs';
import { oneAtATime } from './one-at-a-time.mjs';
import { fingerprint } from './prepare.mjs';
import { Stop } from './say.mjs';

const kept = path.join(root, '.data', 'loaded-school');
const madeFrom = path.join(kept, 'made-from');

/** Makes the folder of a database that is shut down and holds the made-up school, once for each build and day. */
async function load() {
  // The school's due dates are counted from the day it is loaded.
  const mark = `${fingerprint()} ${new Date().toISOString().slice(0, 10)}`;
  if (existsSync(madeFrom) && readFileSync(madeFrom, 'utf8') === mark) return;
  const draft = `${kept}.new`;
  const database = new Database(draft);
  // One that a killed run left behind would hold its socket.
  await database.stopLeftover();
  for (const folder of [kept, draft]) rmSync(folder, { recursive: true, force: true });
  try {
    const settings = await database.start();
    await command('Loading the made-up school for tests', process.execPath, ['demo/dist/load.js'], {
      env: { ...process.env, ...settings, ICHNOGRAPH_PORT: '0' },
    });
  } finally {
    await database.stop();
  }
  renameSync(draft, kept);
  writeFileSync(madeFrom, mark);
}

/** Loading takes many times as long as copying: it is done once, and every test gets a copy. */
export const copyLoadedSchool = (folder) =>
  oneAtATime(async () => {
    await load();
    mkdirSync(folder, { recursive: true });
    for (const part of ['database', 'files', 'secrets.json']) {
      const { status, stderr } = spawnSync('cp', ['-a', '--sparse=always', path.join(kept, part), folder]);
      if (status !== 0) throw new Stop(`The made-up school could not be copied: ${String(stderr).trim()}`);
    }
  });
