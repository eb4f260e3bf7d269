import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { root } from './commands.mjs';
import { isAlive } from './processes.mjs';
import { say } from './say.mjs';

const lock = path.join(root, '.stamps', 'lock');
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Takes the lock, or answers whose it is. One that its holder did not live to give back is nobody's. */
function take() {
  mkdirSync(path.dirname(lock), { recursive: true });
  try {
    writeFileSync(lock, String(process.pid), { flag: 'wx' });
    return null;
  } catch (error) {
    if (error.code !== 'EEXIST') throw error;
    const holder = existsSync(lock) ? Number(readFileSync(lock, 'utf8')) : 0;
    if (holder > 0 && !isAlive(holder)) rmSync(lock, { force: true });
    return holder;
  }
}

/** Of several commands that install or build in one checkout, one does it and the others wait. */
export async function oneAtATime(work) {
  for (let told = false; take() !== null;) {
    if (!told) say('Waiting for another command that installs or builds here');
    told = true;
    await pause(200);
  }
  try {
    return await work();
  } finally {
    rmSync(lock, { force: true });
  }
}
