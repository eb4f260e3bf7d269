// Runs a command-line tool from any checkout: what is missing is installed and built first, on standard error.
import path from 'node:path';
import { root } from './lib/commands.mjs';
import { ensureTools, ensureModules, ensureNode } from './lib/prepare.mjs';
import { run } from './lib/say.mjs';

await run(async () => {
  ensureNode();
  await ensureModules();
  await ensureTools();
  const [tool] = process.argv.splice(2, 1);
  // npm runs scripts at the top of the project; paths are meant from where the caller stands.
  if (process.env.INIT_CWD) process.chdir(process.env.INIT_CWD);
  await import(path.join(root, 'apps/cli/dist', `${tool}.js`));
});
