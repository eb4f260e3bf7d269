// Every check there is, in the order of how soon it tells. Prints what failed, and as its last line the counts.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { root } from './lib/commands.mjs';
import { DATABASE_PACKAGES } from './lib/database.mjs';
import { ensureBuilt, ensureDebian, ensureModules, ensureNode, ensureRoom } from './lib/prepare.mjs';
import { run, say } from './lib/say.mjs';

const results = path.join(root, '.data/test-results');
let [passed, failed] = [0, 0];

const bin = (name) => path.join(root, 'node_modules', name);

/** Runs a tool with its output on the terminal; answers whether it was content. */
function tool(what, args, env = {}) {
  say(what);
  return new Promise((resolve) => {
    const child = spawn(process.execPath, args, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    });
    child.on('close', (code) => resolve(code === 0));
  });
}

async function check(what, args) {
  if (await tool(what, args)) passed += 1;
  else failed += 1;
}

async function jest(what, config) {
  const file = path.join(results, `${path.basename(config)}.json`);
  const content = await tool(
    what,
    [bin('jest/bin/jest.js'), '-c', config, '--json', `--outputFile=${file}`, '--silent=false', '--reporters=default'],
    { NODE_OPTIONS: '--experimental-vm-modules --no-warnings' },
  );
  if (!existsSync(file)) return void (failed += 1);
  const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(readFileSync(file, 'utf8'));
  passed += numPassedTests;
  failed += Math.max(numFailedTests, numFailedTestSuites, content ? 0 : 1);
}

async function browser() {
  const file = path.join(root, 'e2e/test-results/report.json');
  rmSync(file, { force: true });
  const content = await tool('Browser tests', [
    bin('@playwright/test/cli.js'),
    'test',
    '-c',
    'e2e/playwright.config.ts',
  ]);
  if (!existsSync(file)) return void (failed += 1);
  const { stats } = JSON.parse(readFileSync(file, 'utf8'));
  passed += stats.expected;
  failed += Math.max(stats.unexpected + stats.flaky, content ? 0 : 1);
}

await run(async () => {
  ensureNode();
  ensureRoom(1500);
  await ensureDebian({ ...DATABASE_PACKAGES, chromium: 'chromium' });
  await ensureModules();
  await ensureBuilt();
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results, { recursive: true });
  await check('Lint', [bin('eslint/bin/eslint.js'), '.']);
  await check('Format', [bin('prettier/bin/prettier.cjs'), '--check', '--log-level=warn', '**/*.{ts,tsx,mjs,css}']);
  await check('Imports', [
    bin('dependency-cruiser/bin/dependency-cruise.mjs'),
    '--config',
    '.dependency-cruiser.cjs',
    'packages',
    'apps',
    'demo',
    'bench',
  ]);
  for (const project of ['tsconfig.test.json', 'apps/web', 'apps/web/tsconfig.test.json', 'e2e'])
    await check(`Types of ${project}`, [bin('typescript/bin/tsc'), '-p', project]);
  await jest('Unit tests', 'jest.config.mjs');
  await jest('Server tests', 'jest.server.config.mjs');
  await browser();
  rmSync(results, { recursive: true, force: true });
  rmSync(path.join(root, 'e2e/test-results/report.json'), { force: true });
  say(failed === 0 ? 'All is well' : 'Something failed; see above');
  process.stdout.write(`${passed} passed, ${failed} failed\n`);
  process.exitCode = failed === 0 ? 0 : 1;
});
