import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { command, root } from './commands.mjs';
import { oneAtATime } from './one-at-a-time.mjs';
import { say, Stop } from './say.mjs';

const has = (binary) => spawnSync('sh', ['-c', `command -v ${binary}`]).status === 0;

/**
 * Debian's packages, named by the binary that shows they are there, and npm's. Both at once: they come from different
 * places, and waiting for one leaves room for the other.
 */
export async function ensurePackages(debian) {
  const missing = missingDebian(debian);
  const outcomes = await Promise.allSettled([installDebian(missing), ensureModules()]);
  const fault = outcomes.find(({ status }) => status === 'rejected');
  if (fault) throw fault.reason;
}

/** The packages to install; refuses at once where nobody here may install them. */
function missingDebian(wanted) {
  const missing = [
    ...new Set(
      Object.entries(wanted)
        .filter(([binary]) => !has(binary))
        .map(([, name]) => name),
    ),
  ];
  if (missing.length > 0 && (!has('apt-get') || (!isRoot() && !has('sudo'))))
    throw new Stop(`Some Debian packages are missing. As root, run: ${installing(missing)}`);
  return missing;
}

const isRoot = () => process.getuid() === 0;
const installing = (names) => `apt-get install -y --no-install-recommends ${names.join(' ')}`;

/** As root or with sudo. */
async function installDebian(missing) {
  if (missing.length === 0) return;
  const sudo = isRoot() ? [] : ['sudo', '-E'];
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const [first, ...rest] = [...sudo, 'apt-get'];
  try {
    await command('Refreshing the list of Debian packages', first, [...rest, 'update'], { env });
    await command(
      `Installing ${missing.join(', ')}`,
      first,
      [...rest, 'install', '-y', '--no-install-recommends', ...missing],
      { env },
    );
  } catch (error) {
    throw new Stop(
      `${error.message}\nIf you cannot install packages, ask someone who can to run: ${installing(missing)}`,
    );
  }
}

export function ensureNode() {
  const [major] = process.versions.node.split('.').map(Number);
  if (major < 20) throw new Stop(`Ichnograph needs Node.js 20 or newer; this is ${process.versions.node}.`);
}

/** @param megabytes how much must be free where the project lies */
export function ensureRoom(megabytes) {
  const { bavail, bsize } = statfsSync(root);
  const free = Math.floor((bavail * bsize) / 2 ** 20);
  if (free < megabytes)
    throw new Stop(
      `The disk is nearly full: ${free} MB are free and ${megabytes} MB are needed. Nothing was changed; free some space and try again.`,
    );
}

const stampOf = (name) => path.join(root, '.stamps', name);
const isStamped = (name, mark) => existsSync(stampOf(name)) && readFileSync(stampOf(name), 'utf8') === mark;
function stamp(name, mark) {
  mkdirSync(path.dirname(stampOf(name)), { recursive: true });
  writeFileSync(stampOf(name), mark);
}

const hashOf = (...texts) => texts.reduce((hash, text) => hash.update(text), createHash('sha256')).digest('hex');

/** npm packages, when the lock file is another than at the last time. */
export async function ensureModules() {
  const mark = hashOf(readFileSync(path.join(root, 'package-lock.json')));
  const isDone = () => isStamped('modules', mark) && existsSync(path.join(root, 'node_modules/.package-lock.json'));
  if (isDone()) return;
  await oneAtATime(async () => {
    if (isDone()) return;
    await command('Installing npm packages (about a minute)', 'npm', ['ci', '--no-audit', '--no-fund']);
    stamp('modules', mark);
  });
}

const SOURCES = ['packages', 'apps', 'demo', 'scripts'];
/** What is made from the sources is none: it comes into being after the first look. */
const LEFT_OUT = new Set([
  'node_modules',
  'dist',
  'generated',
  'font-tables.ts',
  'font-sources.ts',
  'script-fonts.css',
  'testdata',
  'test',
]);

function* filesUnder(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
    if (LEFT_OUT.has(entry.name) || entry.name.endsWith('.tsbuildinfo')) continue;
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) yield* filesUnder(file);
    else yield file;
  }
}

/** What everything built is made from, in one mark. */
export function fingerprint() {
  const hash = createHash('sha256');
  for (const source of [
    ...SOURCES.flatMap((folder) => [...filesUnder(path.join(root, folder))]),
    path.join(root, 'tsconfig.base.json'),
    path.join(root, 'package-lock.json'),
  ]) {
    hash.update(path.relative(root, source)).update(readFileSync(source));
  }
  return hash.digest('hex');
}

/** Core's generated files: font tables and compiled schemas. */
export async function generate() {
  await command('Reading the fonts', process.execPath, ['scripts/make-font-tables.mjs']);
  await command('Compiling the schemas', process.execPath, ['scripts/compile-schemas.mjs']);
  await command('Laying out the library of pictures', process.execPath, ['packages/library/make.mjs']);
}

/** Core, server and tools built, when a source is another than at the last build. */
export async function ensureTools() {
  const mark = fingerprint();
  if (!isStamped('tools', mark)) await oneAtATime(() => buildTools(mark));
}

async function buildTools(mark) {
  if (isStamped('tools', mark)) return;
  await generate();
  // Where the output was taken away, the compiler's record that it is there must go too.
  for (const project of [
    ...readdirSync(path.join(root, 'packages')).map((name) => `packages/${name}`),
    'apps/server',
    'apps/cli',
    'demo',
  ]) {
    if (!existsSync(path.join(root, project, 'dist')))
      rmSync(path.join(root, project, 'tsconfig.tsbuildinfo'), { force: true });
  }
  await command('Building the server and the tools', process.execPath, [
    path.join(root, 'node_modules/typescript/bin/tsc'),
    '-b',
  ]);
  stamp('tools', mark);
}

/** Everything built, the web application too. */
export async function ensureBuilt() {
  const mark = fingerprint();
  if (isStamped('web', mark)) return;
  await oneAtATime(async () => {
    if (isStamped('web', mark)) return;
    await buildTools(mark);
    await command('Building the web application', 'npm', ['run', '-s', 'build', '-w', 'apps/web']);
    stamp('web', mark);
    say('Everything is built');
  });
}
