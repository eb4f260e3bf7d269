// Every check there is, in the order of how soon it tells. Prints what failed, and as its last line the counts.
import { spawn } from 'node:child_process';
import { Buffer } from 'node:buffer';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { root } from './lib/commands.mjs';
import { DATABASE_PACKAGES } from './lib/database.mjs';
import { ensureBuilt, ensureNode, ensurePackages, ensureRoom } from './lib/prepare.mjs';
import { run, say, Stop } from './lib/say.mjs';

const results = path.join(root, '.data/test-results');
let [passed, failed] = [0, 0];

/** What is not built by `tsc -b`, and so has its types checked here. */
const TYPED = ['tsconfig.test.json', 'apps/web', 'e2e'];
const CODE = ['packages', 'apps', 'demo', 'bench'];

/** No part takes longer on the slowest machine seen; one that hangs is ended, so that the others are still heard. */
const MOST_MINUTES = 30;

const bin = (name) => path.join(root, 'node_modules', name);

/**
 * Runs a tool; answers whether it was content.
 * @param held keeps what it prints until it ends, so that two at once do not talk into each other
 */
function tool(what, args, { env = {}, held = false } = {}) {
  say(what);
  return new Promise((resolve) => {
    const out = held ? 'pipe' : 'inherit';
    const child = spawn(process.execPath, args, {
      cwd: root,
      stdio: ['ignore', out, out],
      env: { ...process.env, ...env },
    });
    const kept = [];
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (piece) => kept.push(piece));
    const patience = setTimeout(() => {
      say(`${what}: not done after ${MOST_MINUTES} minutes, ended`);
      child.kill('SIGKILL');
    }, MOST_MINUTES * 60_000);
    child.on('close', (code) => {
      clearTimeout(patience);
      if (kept.length > 0) process.stderr.write(Buffer.concat([Buffer.from(`${what}:\n`), ...kept]));
      resolve(code === 0);
    });
  });
}

/** Checks that say yes or no, two at a time: each keeps one core busy. */
async function checks(list) {
  const left = [...list];
  const hand = async () => {
    for (let next = left.shift(); next; next = left.shift()) {
      const [what, ...args] = next;
      if (await tool(what, args, { held: true })) passed += 1;
      else failed += 1;
    }
  };
  await Promise.all([hand(), hand()]);
}

async function jest(what, config) {
  const file = path.join(results, `${path.basename(config)}.json`);
  const content = await tool(
    what,
    [bin('jest/bin/jest.js'), '-c', config, '--json', `--outputFile=${file}`, '--silent=false', '--reporters=default'],
    { env: { NODE_OPTIONS: '--experimental-vm-modules --no-warnings' } },
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

const PARTS = ['static', 'unit', 'server', 'browser'];
const USAGE = `./test                      every check there is
./test ${PARTS.join(' | ')}   one part, or several
./test unit --thorough      properties tried on many more cases`;

function options() {
  const [flags, parts] = [[], []];
  for (const word of process.argv.slice(2)) (word.startsWith('-') ? flags : parts).push(word);
  if (flags.some((flag) => flag !== '--thorough') || parts.some((part) => !PARTS.includes(part))) throw new Stop(USAGE);
  return { thorough: flags.length > 0, runs: (part) => parts.length === 0 || parts.includes(part) };
}

await run(async () => {
  const { thorough, runs } = options();
  if (thorough) process.env.ICHNOGRAPH_THOROUGH = '1';
  ensureNode();
  ensureRoom(1500);
  // The shell runs the journeys, with less work than the whole browser; that brings the fonts and libraries of a desktop.
  await ensurePackages({
    ...DATABASE_PACKAGES,
    chromium: 'chromium',
    'chromium-headless-shell': 'chromium-headless-shell',
    // Papers are looked at as pictures.
    pdftoppm: 'poppler-utils',
  });
  await ensureBuilt();
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results, { recursive: true });
  if (runs('static')) await statics();
  if (runs('unit')) await jest('Unit tests', 'jest.config.mjs');
  if (runs('server')) await jest('Server tests', 'jest.server.config.mjs');
  if (runs('browser')) await browser();
  rmSync(results, { recursive: true, force: true });
  rmSync(path.join(root, 'e2e/test-results/report.json'), { force: true });
  say(failed === 0 ? 'All is well' : 'Something failed; see above');
  process.stdout.write(`${passed} passed, ${failed} failed\n`);
  process.exitCode = failed === 0 ? 0 : 1;
});

/** What takes longest comes first, so that both hands end together. */
async function statics() {
  await checks([
    ['Lint', bin('eslint/bin/eslint.js'), '.'],
    ['Format', bin('prettier/bin/prettier.cjs'), '--check', '--log-level=warn', '**/*.{ts,tsx,mjs,css}'],
    ...TYPED.map((project) => [`Types of ${project}`, bin('typescript/bin/tsc'), '-p', project]),
    ['Unused', bin('knip/bin/knip.js'), '--no-config-hints'],
    ['Patterns that backtrack', path.join(root, 'scripts/patterns.mjs')],
    ['Imports', bin('dependency-cruiser/bin/dependency-cruise.mjs'), '--config', '.dependency-cruiser.cjs', ...CODE],
  ]);
}
