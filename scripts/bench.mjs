// Prints how long checks take, what they hold in memory, how soon an edit is saved and how large the first page is.
import { spawn } from 'node:child_process';
import path from 'node:path';
import { root } from './lib/commands.mjs';
import { DATABASE_PACKAGES } from './lib/database.mjs';
import { ensureBuilt, ensureNode, ensurePackages } from './lib/prepare.mjs';
import { run } from './lib/say.mjs';

const PARTS = ['checks', 'class', 'editor', 'formats', 'heap', 'live', 'saving', 'pile', 'rush', 'sizes', 'tidy'];

await run(async () => {
  ensureNode();
  await ensurePackages({ ...DATABASE_PACKAGES, chromium: 'chromium' });
  await ensureBuilt();
  // Each part in a process of its own: what one leaves in memory must not weigh on the next.
  for (const part of process.argv.slice(2).length ? process.argv.slice(2) : PARTS) {
    const child = spawn(process.execPath, ['--expose-gc', path.join(root, 'bench/dist/main.js'), part], {
      stdio: 'inherit',
      cwd: root,
    });
    process.exitCode ||= await new Promise((resolve) => child.on('close', resolve));
  }
});
