import { Inject, Injectable } from '@nestjs/common';
import type { Assignment, CheckContext, Report, TopicMap } from '@ichnograph/core';
import type { Logger } from 'pino';
import { refused } from '../common/problem.js';
import { LOGGER } from '../common/tokens.js';
import { TookTooLong, WorkerPool } from '../workers/index.js';
import type { Lane, Run } from '../workers/index.js';
import type * as tasks from './check.tasks.js';

/** Milliseconds one check may take. */
const PATIENCE = 20_000;

/** Checks maps beside the requests of other people. */
@Injectable()
export class Checks {
  private readonly run: Run<typeof tasks>;

  constructor(
    workers: WorkerPool,
    @Inject(LOGGER) private readonly logger: Logger,
  ) {
    this.run = workers.tasks(new URL('./check.tasks.js', import.meta.url));
  }

  async check(map: TopicMap, assignment: Assignment, context: CheckContext, lane: Lane): Promise<Report> {
    const { report, faults } = await this.inTime(() =>
      this.run('check', { map, assignment, context }, { lane, patience: PATIENCE }),
    );
    return this.understood(report, faults);
  }

  /** The same for a map that is handed in, with what marks will ask of it. */
  async freeze(
    map: TopicMap,
    assignment: Assignment,
    context: CheckContext,
    lane: Lane,
  ): Promise<{ report: Report; reading: object }> {
    const { report, faults, reading } = await this.inTime(() =>
      this.run('freeze', { map, assignment, context }, { lane, patience: PATIENCE }),
    );
    return { report: this.understood(report, faults), reading: JSON.parse(reading) as object };
  }

  private understood(report: string, faults: readonly string[]): Report {
    for (const fault of faults) this.logger.error({ fault }, 'a requirement could not be checked');
    return JSON.parse(report) as Report;
  }

  private async inTime<T>(work: () => Promise<T>): Promise<T> {
    try {
      return await work();
    } catch (error) {
      if (!(error instanceof TookTooLong)) throw error;
      throw refused('This map takes too long to check, so it was not handed in. It is saved; tell your teacher.');
    }
  }
}
