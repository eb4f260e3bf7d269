import { fileURLToPath } from 'node:url';
import { Inject, Injectable } from '@nestjs/common';
import type { OnApplicationShutdown } from '@nestjs/common';
import pLimit from 'p-limit';
import type { LimitFunction } from 'p-limit';
import type { Logger } from 'pino';
import { pool } from 'workerpool';
import { briefly } from '../common/briefly.js';
import { refused } from '../common/problem.js';
import { LOGGER } from '../common/tokens.js';
import type { Drawn } from './drawing-process.js';

/** Milliseconds one picture may take; then its process is ended, and the next picture gets a new one. */
const PATIENCE = 15_000;
/** Drawing takes much memory: never more than so many at a time. */
const AT_ONCE = 2;
const MEMORY_MB = 512;

const BROKEN = refused('This picture cannot be read: it is broken, too intricate, or larger than 80 million pixels.');

export interface Picture {
  content: Buffer;
  type: string;
  width: number;
  height: number;
}

/** Draws what people bring anew, in processes of its own, one picture a person at a time. */
@Injectable()
export class Drawing implements OnApplicationShutdown {
  private readonly processes = pool(fileURLToPath(new URL('./drawing-process.js', import.meta.url)), {
    workerType: 'process',
    maxWorkers: AT_ONCE,
    forkOpts: { execArgv: [`--max-old-space-size=${MEMORY_MB}`], stdio: ['ignore', 'ignore', 'ignore', 'ipc'] },
  });
  /** Turns are taken here: the pool counts its patience from when a picture is handed to it. */
  private readonly turn = pLimit(AT_ONCE);
  private readonly turns = new Map<string, LimitFunction>();

  constructor(@Inject(LOGGER) private readonly logger: Logger) {}

  /** @param density pixels an inch, for drawings in lines */
  async draw(bytes: Buffer, by: string, density: number | null = null): Promise<Picture> {
    const own = this.turns.get(by) ?? pLimit(1);
    this.turns.set(by, own);
    try {
      return await own(() => this.turn(() => this.inProcess(bytes, density)));
    } finally {
      if (own.activeCount + own.pendingCount === 0) this.turns.delete(by);
    }
  }

  private async inProcess(bytes: Buffer, density: number | null): Promise<Picture> {
    try {
      const drawn = (await this.processes.exec('draw', [bytes.toString('base64'), density]).timeout(PATIENCE)) as Drawn;
      return { ...drawn, content: Buffer.from(drawn.content, 'base64') };
    } catch (error) {
      // What is wrong with the bytes, or that drawing was ended, helps nobody who chose a file; whoever runs the school may
      // want to know that it was memory or the process.
      this.logger.info(briefly(error), 'a picture could not be drawn');
      throw BROKEN;
    }
  }

  async onApplicationShutdown(): Promise<void> {
    await this.processes.terminate(true);
  }
}
