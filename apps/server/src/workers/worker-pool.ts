import { Injectable } from '@nestjs/common';
import type { OnApplicationShutdown } from '@nestjs/common';
import pLimit from 'p-limit';
import { Piscina } from 'piscina';
import { Database } from '../common/database.js';
import { packed } from './shared-assignment.js';
import type * as worker from './worker.js';

type Tasks = typeof worker;
type TaskName = { [name in keyof Tasks]: Tasks[name] extends (task: never) => unknown ? name : never }[keyof Tasks];

/** As many as a small machine has cores. */
const AT_ONCE = 2;

/** What took longer than it may, counted from when its turn had come: a rush at the due time is nobody's fault. */
export class TookTooLong extends Error {}

/** Worker threads for what is heavy, so that it never holds up other people's requests. */
@Injectable()
export class WorkerPool implements OnApplicationShutdown {
  private readonly pool = new Piscina({
    filename: new URL('./worker.js', import.meta.url).href,
    minThreads: 1,
    maxThreads: AT_ONCE,
    idleTimeout: 60_000,
    // Room for what is short-lived: collecting it takes threads of its own, which the other worker wants.
    resourceLimits: { maxYoungGenerationSizeMb: 64 },
  });
  private readonly turn = pLimit(AT_ONCE);

  constructor(private readonly data: Database) {}

  /** @throws TookTooLong after `patience` milliseconds */
  async run<N extends TaskName>(
    name: N,
    task: Parameters<Tasks[N]>[0],
    patience: number,
  ): Promise<Awaited<ReturnType<Tasks[N]>>> {
    this.data.insistOutside(`the work “${name}”`);
    return this.turn(async (): Promise<Awaited<ReturnType<Tasks[N]>>> => {
      try {
        const answer: unknown = await this.pool.run(packed(task), { name, signal: AbortSignal.timeout(patience) });
        return answer as Awaited<ReturnType<Tasks[N]>>;
      } catch (error) {
        if ((error as Error).name !== 'AbortError') throw error;
        throw new TookTooLong(`${name} took longer than ${patience} ms`);
      }
    });
  }

  async onApplicationShutdown(): Promise<void> {
    await this.pool.destroy();
  }
}
