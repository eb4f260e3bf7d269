import { Injectable } from '@nestjs/common';
import type { OnApplicationShutdown } from '@nestjs/common';
import pLimit from 'p-limit';
import type { LimitFunction } from 'p-limit';
import { Piscina } from 'piscina';
import { Database } from '../common/database.js';
import { packed } from './shared-assignment.js';

/**
 * The one place that says how many heavy things are done at once, a small machine's two cores in mind. `now`: somebody waits
 * for it before they can go on, handing in above all. `class`: what is worked out of a whole class. Nothing of one lane ever
 * stands before the other.
 */
const LANES = { now: 2, class: 1 } as const;
export type Lane = keyof typeof LANES;
const THREADS = LANES.now + LANES.class;

/** What took longer than it may, counted from when its turn had come: a rush at the due time is nobody's fault. */
export class TookTooLong extends Error {}

type Tasks = Record<string, (task: never) => unknown>;
type ArgumentOf<T extends Tasks, N extends keyof T> = Parameters<T[N]>[0];
type AnswerOf<T extends Tasks, N extends keyof T> = Awaited<ReturnType<T[N]>>;

interface How {
  lane: Lane;
  /** milliseconds */
  patience: number;
}

/** Runs a task by its name. @throws TookTooLong after `patience` milliseconds */
export type Run<T extends Tasks> = <N extends keyof T & string>(
  name: N,
  task: ArgumentOf<T, N>,
  how: How,
) => Promise<AnswerOf<T, N>>;

/** Worker threads for what is heavy, so that it never holds up other people's requests. */
@Injectable()
export class WorkerPool implements OnApplicationShutdown {
  private readonly pool = new Piscina({
    minThreads: 1,
    maxThreads: THREADS,
    idleTimeout: 60_000,
    // Room for what is short-lived: collecting it takes threads of its own, which the other worker wants.
    resourceLimits: { maxYoungGenerationSizeMb: 64 },
  });
  private readonly turns = Object.fromEntries(
    Object.entries(LANES).map(([lane, atOnce]) => [lane, pLimit(atOnce)]),
  ) as Record<Lane, LimitFunction>;

  constructor(private readonly data: Database) {}

  /** How a feature runs its own tasks: the functions that a file of it exports, one a task. */
  tasks<T extends Tasks>(file: URL): Run<T> {
    return <N extends keyof T & string>(name: N, task: ArgumentOf<T, N>, { lane, patience }: How) => {
      this.data.insistOutside(`the work “${name}”`);
      return this.turns[lane](async (): Promise<AnswerOf<T, N>> => {
        try {
          const signal = AbortSignal.timeout(patience);
          const answer: unknown = await this.pool.run(packed(task), { filename: file.href, name, signal });
          return answer as AnswerOf<T, N>;
        } catch (error) {
          if ((error as Error).name !== 'AbortError') throw error;
          throw new TookTooLong(`${name} took longer than ${patience} ms`);
        }
      });
    };
  }

  async onApplicationShutdown(): Promise<void> {
    await this.pool.destroy();
  }
}
