import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

export const isAlive = (pid) => {
  try {
    process.kill(pid, 0);
    // One that has ended and was not asked for yet is as good as gone.
    return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch (error) {
    return error.code === 'EPERM';
  }
};

const commandOf = (pid) => {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ');
  } catch {
    return '';
  }
};

/** A process remembered in a file, so that whoever comes later knows it for one of ours. */
export class Remembered {
  /** @param mark a part of its command line: a number may have become another program's */
  constructor(file, mark) {
    this.file = file;
    this.mark = mark;
  }

  get pid() {
    const pid = existsSync(this.file) ? Number(readFileSync(this.file, 'utf8')) : 0;
    return pid > 0 && pid !== process.pid && isAlive(pid) && commandOf(pid).includes(this.mark) ? pid : null;
  }

  is(pid) {
    writeFileSync(this.file, String(pid));
  }

  forget() {
    rmSync(this.file, { force: true });
  }

  /** Asks it to end, and ends it when it does not. @returns whether there was one */
  async end(patience = 10_000) {
    const { pid } = this;
    if (pid === null) return false;
    process.kill(pid, 'SIGTERM');
    for (let waited = 0; waited < patience && isAlive(pid); waited += 100) await pause(100);
    if (isAlive(pid)) process.kill(pid, 'SIGKILL');
    while (isAlive(pid)) await pause(50);
    this.forget();
    return true;
  }
}
