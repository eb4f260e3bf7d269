import { Inject, Injectable } from '@nestjs/common';
import type { OnApplicationShutdown } from '@nestjs/common';
import type { Assignment, CheckContext, Report, TopicMap } from '@ichnograph/core';
import pLimit from 'p-limit';
import { Piscina } from 'piscina';
import type { Logger } from 'pino';
import { refused } from '../common/problem.js';
import { LOGGER } from '../common/tokens.js';
import type { CheckTask } from './check-worker.js';

/** How long one check may take, counted from when its turn has come: a rush at the due time is nobody's fault. */
const PATIENCE_MS = 20_000;
const AT_ONCE = 2;

/** Checks maps in worker threads, so that a large map never holds up other people's requests. */
@Injectable()
export class CheckPool implements OnApplicationShutdown {
  private readonly pool = new Piscina<CheckTask, { report: Report; faults: string[] }>({
    filename: new URL('./check-worker.js', import.meta.url).href,
    minThreads: 1,
    maxThreads: AT_ONCE,
    idleTimeout: 60_000,
  });
  private readonly turn = pLimit(AT_ONCE);

  constructor(@Inject(LOGGER) private readonly logger: Logger) {}

  async check(map: TopicMap, assignment: Assignment, context: CheckContext): Promise<Report> {
    const { report, faults } = await this.turn(() => this.run({ map, assignment, context }));
    for (const fault of faults) this.logger.error({ fault }, 'a requirement could not be checked');
    return report;
  }

  private async run(task: CheckTask): Promise<{ report: Report; faults: string[] }> {
    try {
      return await this.pool.run(task, { signal: AbortSignal.timeout(PATIENCE_MS) });
    } catch (error) {
      if ((error as Error).name !== 'AbortError') throw error;
      throw refused('This map takes too long to check, so it was not handed in. It is saved; tell your teacher.');
    }
  }

  async onApplicationShutdown(): Promise<void> {
    await this.pool.destroy();
  }
}
