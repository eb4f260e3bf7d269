// The one command: installs what is missing, starts the private database, loads the demo, serves on loopback.
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { command, root } from './lib/commands.mjs';
import { Database, DATABASE_PACKAGES } from './lib/database.mjs';
import { ensureBuilt, ensureNode, ensurePackages, ensureRoom } from './lib/prepare.mjs';
import { Remembered } from './lib/processes.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { startServer, stopServer } from './lib/server.mjs';

const USAGE = `./start            starts Ichnograph with the made-up school (or what is there already)
./start --fresh    forgets everything and loads the made-up school anew
./start --empty    starts with no data and leads to making the first administrator
./start --port N   serves on 127.0.0.1:N (8420 if left out)`;

function options() {
  try {
    const { values } = parseArgs({
      options: {
        fresh: { type: 'boolean' },
        empty: { type: 'boolean' },
        port: { type: 'string' },
        help: { type: 'boolean' },
      },
    });
    const port = Number(values.port ?? 8420);
    if (!Number.isInteger(port) || port < 1 || port > 65535)
      throw new Stop(`“${values.port}” is no port. Choose a number from 1 to 65535.`);
    if (values.fresh && values.empty)
      throw new Stop('--fresh loads the made-up school and --empty loads nothing: choose one.');
    return { ...values, port };
  } catch (error) {
    if (error instanceof Stop) throw error;
    throw new Stop(`${error.message.split('\n')[0]}\n${USAGE}`);
  }
}

const portIsFree = (port) =>
  new Promise((resolve) => {
    const probe = net.createServer().once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });

/** Two starts from one folder would fight over one database; what a start that was killed left behind is ours to end. */
async function claim(folder) {
  const running = new Remembered(path.join(folder, 'running.pid'), 'start.mjs');
  if (running.pid !== null)
    throw new Stop(
      `Ichnograph is already running from this folder (process ${running.pid}). Stop it with Ctrl-C there first.`,
    );
  running.is(process.pid);
  const server = new Remembered(path.join(folder, 'server.pid'), 'apps/server/dist/main.js');
  if (await server.end()) say('Ended the server of an earlier start that was broken off');
  return { server, release: () => running.forget() };
}

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
/** A server that has served so long is well again; the next pause is a short one. */
const WELL_MS = 60_000;
const LONGEST_PAUSE_MS = 30_000;

/**
 * Starts something that serves, and again when it ends by itself: after a pause that grows as long as it does not stay.
 * @param what it is called
 * @param start starts it, and answers with its process
 * @param onStart told of each one that serves
 */
async function keepServing(what, { start, onStart, isEnding }) {
  let wait = 1000;
  const watch = (server) => {
    const begun = Date.now();
    onStart(server);
    server.once('exit', (code, signal) => {
      if (isEnding()) return;
      if (Date.now() - begun > WELL_MS) wait = 1000;
      void again(`The ${what} ended by itself (${signal ?? code}).`);
    });
  };
  const again = async (why) => {
    say(`${why} Starting it again in ${Math.round(wait / 1000)} s.`);
    await pause(wait);
    wait = Math.min(wait * 2, LONGEST_PAUSE_MS);
    if (isEnding()) return;
    try {
      watch(await start());
      say(`The ${what} serves again.`);
    } catch (error) {
      if (!isEnding()) await again(error.message);
    }
  };
  const first = await start();
  watch(first);
  return first;
}

await run(async () => {
  const { fresh, empty, port, help } = options();
  if (help) return void process.stdout.write(`${USAGE}\n`);
  ensureNode();
  ensureRoom(600);
  const folder = path.join(process.env.ICHNOGRAPH_DATA ?? path.join(root, '.data'), empty ? 'empty' : 'demo');
  mkdirSync(folder, { recursive: true });
  const { server: remembered, release } = await claim(folder);
  const database = new Database(folder);
  // There from before the database is made until the school is whole: what is found beside it is half a school.
  const half = path.join(folder, 'loading');
  let server;
  let ending = false;
  const end = async (code) => {
    if (ending) return;
    ending = true;
    say('Stopping');
    if (server) await stopServer(server);
    await database.stop();
    remembered.forget();
    release();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end(0));
  try {
    if (!(await portIsFree(port)))
      throw new Stop(`Port ${port} is in use by another program. Choose another with --port N.`);
    await ensurePackages(DATABASE_PACKAGES);
    await ensureBuilt();
    if (fresh || existsSync(half)) {
      say(
        fresh ? 'Forgetting the data of the last time' : 'The school was loaded by half the last time; beginning anew',
      );
      await database.stopLeftover();
      for (const part of [database.data, database.files]) rmSync(part, { recursive: true, force: true });
    }
    if (!empty && !existsSync(database.data)) writeFileSync(half, '');
    say('Starting the database');
    let settings;
    await keepServing('database', {
      start: async () => {
        settings = await database.start();
        return database.child;
      },
      onStart: () => undefined,
      isEnding: () => ending,
    });
    const env = { ...process.env, ...settings, ICHNOGRAPH_PORT: String(port) };
    if (!empty)
      await command('Loading the made-up school where there is none', process.execPath, ['demo/dist/load.js'], { env });
    rmSync(half, { force: true });
    if (ending) return;
    say('Starting the server');
    server = await keepServing('server', {
      start: () => startServer({ port, database: settings, demo: !empty }),
      onStart: (next) => {
        server = next;
        remembered.is(next.pid);
      },
      isEnding: () => ending,
    });
    const address = `http://127.0.0.1:${port}`;
    say(`Ready: ${address}`);
    process.stdout.write(
      empty
        ? `\nIchnograph is at ${address} and holds nothing yet. Open it to make the first administrator. Ctrl-C stops it.\n`
        : `\nIchnograph is at ${address} with the made-up Alder Quay School.\nSign in with one click, or by name: maren (teacher), noor, juno or kofi (students), halina (administrator).\nThe password of all of them is “${(await import('../demo/dist/index.js')).DEMO_PASSWORD}”. Ctrl-C stops it.\n`,
    );
  } catch (error) {
    if (server) await stopServer(server);
    await database.stop();
    release();
    throw error;
  }
});
