import { spawn } from 'node:child_process';
import { mkdirSync, createWriteStream, existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { say, Stop } from './say.mjs';

export const root = path.dirname(path.dirname(path.dirname(fileURLToPath(import.meta.url))));

/**
 * Runs a command to its end. Output goes to a log file (shown in part when it fails) or, with `show`, to the terminal.
 * A long one says every ten seconds that it is still at it.
 */
export function command(what, name, args, { cwd = root, env = process.env, show = false } = {}) {
  const logs = path.join(root, '.data/logs');
  mkdirSync(logs, { recursive: true });
  const log = path.join(logs, `${what.replace(/[^a-z0-9]+/gi, '-').toLowerCase()}.log`);
  say(what);
  return new Promise((resolve, reject) => {
    const child = spawn(name, args, { cwd, env, stdio: show ? 'inherit' : ['ignore', 'pipe', 'pipe'] });
    const file = show ? null : createWriteStream(log);
    child.stdout?.pipe(file, { end: false });
    child.stderr?.pipe(file, { end: false });
    const still = setInterval(() => say(`${what}: still at it`), 10_000);
    child.on('error', (error) => {
      clearInterval(still);
      reject(new Stop(`“${name}” could not be run: ${error.message}.`));
    });
    child.on('close', (code) => {
      clearInterval(still);
      file?.end();
      if (code === 0) return resolve();
      const tail =
        !show && existsSync(log)
          ? `\n${readFileSync(log, 'utf8').trimEnd().split('\n').slice(-15).join('\n')}\nThe whole log: ${path.relative(root, log)}`
          : '';
      reject(new Stop(`${what}: this failed (exit ${code}).${tail}`));
    });
  });
}
