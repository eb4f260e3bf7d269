import { spawn, spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, openSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { root } from './commands.mjs';
import { isAlive } from './processes.mjs';
import { Stop } from './say.mjs';

/** Debian's packages for it, by a binary that each brings. */
export const DATABASE_PACKAGES = { mariadbd: 'mariadb-server', 'mariadb-install-db': 'mariadb-server' };

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

export function freePort() {
  return new Promise((resolve, reject) => {
    const server = net.createServer().once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

/**
 * A private MariaDB: its own data directory, socket, loopback port and passwords. It never touches another one.
 * Run as whoever calls, root included, so that the data may lie below a home that only its owner may enter.
 */
export class Database {
  constructor(folder) {
    this.folder = path.resolve(root, folder);
    // A socket's path may be 107 characters at most, and a clone may lie deep.
    const mark = createHash('sha256').update(this.folder).digest('hex').slice(0, 12);
    this.socketFolder = path.join(os.tmpdir(), `ichnograph-${mark}`);
    this.socket = path.join(this.socketFolder, 'db.sock');
    this.data = path.join(this.folder, 'database');
    // What people bring beside it, kept as files.
    this.files = path.join(this.folder, 'files');
    this.pidFile = path.join(this.folder, 'database.pid');
    this.log = path.join(this.folder, 'database.log');
  }

  get secrets() {
    return JSON.parse(readFileSync(path.join(this.folder, 'secrets.json'), 'utf8'));
  }

  /** Starts it, made new when there is none yet. @returns the settings the server needs */
  async start() {
    mkdirSync(this.folder, { recursive: true });
    mkdirSync(this.socketFolder, { recursive: true, mode: 0o700 });
    const fresh = !existsSync(path.join(this.data, 'mysql'));
    if (fresh) await this.initialise();
    else await this.stopLeftover();
    await this.launch(fresh);
    return {
      ICHNOGRAPH_FILES: this.files,
      ICHNOGRAPH_DB_SOCKET: this.socket,
      ICHNOGRAPH_DB_USER: 'ichnograph',
      ICHNOGRAPH_DB_NAME: 'ichnograph',
      ICHNOGRAPH_DB_PASSWORD: this.secrets.password,
    };
  }

  async initialise() {
    // Made under another name first: a folder that was broken off half way is never taken for a database.
    const draft = `${this.data}.new`;
    await this.installInto(draft);
    renameSync(draft, this.data);
    const secrets = path.join(this.folder, 'secrets.json');
    writeFileSync(
      secrets,
      JSON.stringify({
        rootPassword: randomBytes(24).toString('base64url'),
        password: randomBytes(24).toString('base64url'),
      }),
    );
    chmodSync(secrets, 0o600);
  }

  /** The tool takes two seconds; on a busy machine it was seen to wait for ever, so it is ended then and tried again. */
  async installInto(draft, tries = 3) {
    rmSync(draft, { recursive: true, force: true });
    const made = await ran(
      'mariadb-install-db',
      [
        // By a name relative to its folder: the tool stumbles over a path with spaces.
        '--no-defaults',
        `--datadir=./${path.basename(draft)}`,
        '--auth-root-authentication-method=normal',
        '--skip-test-db',
        ...this.asUser(),
      ],
      { cwd: this.folder, patience: 40_000 },
    );
    if (made.code === 0) return;
    if (made.tookTooLong && tries > 1) return this.installInto(draft, tries - 1);
    throw new Stop(
      `The database could not be made: ${made.tookTooLong ? 'its tool did not end.' : lastLine(made.said)}`,
    );
  }

  asUser() {
    return process.getuid() === 0 ? ['--user=root'] : [];
  }

  async launch(fresh) {
    this.failure = null;
    const port = await freePort();
    const log = openSync(this.log, 'a');
    this.child = spawn(
      'mariadbd',
      [
        '--no-defaults',
        `--datadir=${this.data}`,
        `--socket=${this.socket}`,
        `--pid-file=${this.pidFile}`,
        `--port=${port}`,
        '--bind-address=127.0.0.1',
        '--character-set-server=utf8mb4',
        '--collation-server=utf8mb4_unicode_ci',
        '--max-allowed-packet=64M',
        '--skip-name-resolve',
        '--default-time-zone=+00:00',
        ...this.asUser(),
        // In a process group of its own: Ctrl-C is for the start command, which ends the server before the database.
      ],
      { stdio: ['ignore', log, log], detached: true },
    );
    const child = this.child;
    child.on('error', (error) => {
      this.failure = error.message;
    });
    child.on('exit', () => {
      if (this.child === child) this.failure ??= 'it ended';
    });
    for (let tries = 0; tries < 300; tries++) {
      if (this.failure) break;
      if (fresh && this.secure()) return;
      if (!fresh && this.ask('SELECT 1').status === 0) return;
      await pause(100);
    }
    await this.stop();
    throw new Stop(
      `The database did not come up: ${lastError(this.log)} Its data is untouched. The whole log: ${this.log}`,
    );
  }

  /** Sets root's password and makes the application's own user; answers whether the database was ready for it. */
  secure() {
    const { rootPassword, password } = this.secrets;
    const sql = `CREATE DATABASE IF NOT EXISTS ichnograph CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
      CREATE USER IF NOT EXISTS ichnograph@localhost IDENTIFIED BY '${password}';
      GRANT ALL ON ichnograph.* TO ichnograph@localhost;
      SET PASSWORD FOR root@localhost = PASSWORD('${rootPassword}'); FLUSH PRIVILEGES;`;
    return this.ask(sql, '').status === 0;
  }

  ask(sql, password = this.secrets.rootPassword) {
    return spawnSync('mariadb', ['--no-defaults', `--socket=${this.socket}`, '-uroot', '-N', '-e', sql], {
      encoding: 'utf8',
      env: { ...process.env, MYSQL_PWD: password },
    });
  }

  /** A database that a killed start left running holds its folder locked; it is asked to end first. */
  async stopLeftover() {
    if (!existsSync(this.pidFile)) return;
    const pid = Number(readFileSync(this.pidFile, 'utf8'));
    if (!Number.isInteger(pid) || !isAlive(pid) || !isMariadb(pid)) return;
    process.kill(pid, 'SIGTERM');
    for (let tries = 0; tries < 200 && isAlive(pid); tries++) await pause(100);
    if (isAlive(pid))
      throw new Stop(`A database from an earlier start (process ${pid}) does not end. End it, then try again.`);
  }

  /** Ends it cleanly and waits for that. */
  async stop(signal = 'SIGTERM') {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await ended;
  }

  /** Takes everything away, for tests: what is thrown away need not be ended cleanly. */
  async remove() {
    await this.stop('SIGKILL');
    rmSync(this.folder, { recursive: true, force: true });
    rmSync(this.socketFolder, { recursive: true, force: true });
  }
}

/** Runs a tool with all it starts, and ends all of that when it takes too long, milliseconds. */
function ran(name, args, { cwd, patience }) {
  return new Promise((resolve, reject) => {
    const child = spawn(name, args, { cwd, stdio: ['ignore', 'pipe', 'pipe'], detached: true });
    let [said, tookTooLong] = ['', false];
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (piece) => (said += piece));
    const timer = setTimeout(() => {
      tookTooLong = true;
      process.kill(-child.pid, 'SIGKILL');
    }, patience);
    child.on('error', (error) => {
      clearTimeout(timer);
      reject(new Stop(`“${name}” could not be run: ${error.message}.`));
    });
    child.on('close', (code) => {
      clearTimeout(timer);
      resolve({ code, said, tookTooLong });
    });
  });
}

const isMariadb = (pid) => {
  try {
    return /maria|mysql/.test(readFileSync(`/proc/${pid}/comm`, 'utf8'));
  } catch {
    return false;
  }
};

const lastLine = (text) => String(text).trim().split('\n').at(-1) ?? '';
const lastError = (log) => {
  const errors = existsSync(log)
    ? readFileSync(log, 'utf8')
        .split('\n')
        .filter((line) => line.includes('[ERROR]'))
    : [];
  const first = errors.at(-2) ?? errors.at(-1);
  return first ? `${first.replace(/^.*\[ERROR\]\s*/, '')}.` : 'it gave no reason.';
};
