// The attacks and faults of the server tests, many times as large as `./test` makes them.
import { spawn } from 'node:child_process';
import path from 'node:path';
import { root } from './lib/commands.mjs';
import { DATABASE_PACKAGES } from './lib/database.mjs';
import { ensureBuilt, ensureNode, ensurePackages } from './lib/prepare.mjs';
import { run } from './lib/say.mjs';

const TESTS = ['attacks', 'faults', 'sixty', 'wire', 'one-mark'];

await run(async () => {
  ensureNode();
  await ensurePackages(DATABASE_PACKAGES);
  await ensureBuilt();
  const jest = path.join(root, 'node_modules/jest/bin/jest.js');
  const child = spawn(process.execPath, [jest, '-c', 'jest.server.config.mjs', '--runInBand', ...TESTS], {
    cwd: root,
    stdio: 'inherit',
    env: {
      ...process.env,
      NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
      ICHNOGRAPH_FAULTS: 'large',
      ICHNOGRAPH_THOROUGH: '1',
    },
  });
  process.exitCode = await new Promise((resolve) => child.on('close', resolve));
});
