import { spawn } from 'node:child_process';
import path from 'node:path';
import { root } from './commands.mjs';
import { Stop } from './say.mjs';

/** Starts the built server and resolves once it listens. Rejects with what it said when it does not. */
export function startServer({ port, database, demo = false, env = {} }) {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [path.join(root, 'apps/server/dist/main.js')], {
      // Its standard input is the line it hangs on: when whoever started it is gone, however that came, it ends itself.
      cwd: root,
      detached: true,
      stdio: ['pipe', 'pipe', 'pipe'],
      env: {
        ...process.env,
        ...database,
        ICHNOGRAPH_PORT: String(port),
        ICHNOGRAPH_WEB: path.join(root, 'apps/web/dist'),
        ...(demo ? { ICHNOGRAPH_DEMO: '1' } : {}),
        NODE_ENV: 'production',
        ICHNOGRAPH_TIED: '1',
        ...env,
      },
    });
    let said = '';
    child.stdout.on('data', (data) => {
      if (String(data).includes('listening')) resolve(child);
    });
    child.stderr.on('data', (data) => {
      said = `${said}${data}`.slice(-20_000);
      process.stderr.write(data);
    });
    child.on('exit', (code, signal) => {
      reject(new Stop(said.trim() === '' ? `The server ended at once (${signal ?? code}).` : 'The server ended.'));
    });
  });
}

/** Asks a child to end and waits; after ten seconds it is ended. */
export async function stopServer(child, signal = 'SIGTERM') {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill(signal);
  const force = setTimeout(() => child.kill('SIGKILL'), 10_000);
  await ended;
  clearTimeout(force);
}
