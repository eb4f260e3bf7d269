import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { root } from './commands.mjs';
import { Database, freePort } from './database.mjs';
import { copyLoadedSchool } from './loaded-school.mjs';
import { startServer, stopServer } from './server.mjs';

let stacks = 0;

/** A database and a server of their own, for tests: beside any other that runs, and gone afterwards. */
export class Stack {
  constructor(name, { demo = true, env = {} } = {}) {
    this.folder = path.join(root, '.data', `test-${name}-${process.pid}-${(stacks += 1)}`);
    this.demo = demo;
    this.env = env;
  }

  async start() {
    mkdirSync(this.folder, { recursive: true });
    if (this.demo) await copyLoadedSchool(this.folder);
    this.database = new Database(this.folder);
    this.settings = await this.database.start();
    this.port = await freePort();
    await this.startServer();
    return this;
  }

  get url() {
    return `http://127.0.0.1:${this.port}`;
  }

  async startServer() {
    this.server = await startServer({ port: this.port, database: this.settings, demo: this.demo, env: this.env });
  }

  /** Ends the server as a power cut would. */
  async killServer() {
    const ended = new Promise((resolve) => this.server.once('exit', resolve));
    this.server.kill('SIGKILL');
    await ended;
  }

  /** Stops it where it is, as an overloaded machine does, or lets it go on. */
  freezeServer(frozen) {
    this.server.kill(frozen ? 'SIGSTOP' : 'SIGCONT');
  }

  async killDatabase() {
    await this.database.stop('SIGKILL');
  }

  async startDatabase() {
    await this.database.start();
  }

  async remove() {
    if (this.server) await stopServer(this.server, 'SIGKILL');
    await this.database?.remove();
  }
}
