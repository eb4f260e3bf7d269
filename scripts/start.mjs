// The one command: installs what is missing, starts the private database, loads the demo, serves on loopback.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { command, root } from './lib/commands.mjs';
import { Database, DATABASE_PACKAGES } from './lib/database.mjs';
import { ensureBuilt, ensureNode, ensurePackages, ensureRoom } from './lib/prepare.mjs';
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

/** Two starts from one folder would fight over one database. */
function claim(folder) {
  const file = path.join(folder, 'running.pid');
  const pid = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
  if (
    pid > 0 &&
    pid !== process.pid &&
    existsSync(`/proc/${pid}`) &&
    readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('start.mjs')
  ) {
    throw new Stop(`Ichnograph is already running from this folder (process ${pid}). Stop it with Ctrl-C there first.`);
  }
  writeFileSync(file, String(process.pid));
  return () => rmSync(file, { force: true });
}

await run(async () => {
  const { fresh, empty, port, help } = options();
  if (help) return void process.stdout.write(`${USAGE}\n`);
  ensureNode();
  if (!(await portIsFree(port)))
    throw new Stop(`Port ${port} is in use by another program. Choose another with --port N.`);
  ensureRoom(600);
  const folder = path.join(root, '.data', empty ? 'empty' : 'demo');
  mkdirSync(folder, { recursive: true });
  const release = claim(folder);
  const database = new Database(folder);
  let server;
  let ending = false;
  const end = async (code) => {
    if (ending) return;
    ending = true;
    say('Stopping');
    if (server) await stopServer(server);
    await database.stop();
    release();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end(0));
  try {
    await ensurePackages(DATABASE_PACKAGES);
    await ensureBuilt();
    if (fresh) {
      say('Forgetting the data of the last time');
      await database.stopLeftover();
      rmSync(database.data, { recursive: true, force: true });
    }
    say('Starting the database');
    const settings = await database.start();
    const env = { ...process.env, ...settings, ICHNOGRAPH_PORT: String(port) };
    if (!empty)
      await command('Loading the made-up school where there is none', process.execPath, ['demo/dist/load.js'], { env });
    if (ending) return;
    say('Starting the server');
    server = await startServer({
      port,
      database: settings,
      demo: !empty,
      onExit: (code) => {
        if (!ending) {
          say(`The server ended (${code}).`);
          void end(1);
        }
      },
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
