import { Injectable } from '@nestjs/common';
import type { ClassWeights } from '@ichnograph/contract';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import { Revisions } from '../assignments/index.js';
import { JudgementEntry, Markable } from '../marking/index.js';
import { ClassReadings } from '../class-readings/index.js';
import { membersOf } from '../works/index.js';
import { WorkerPool } from '../workers/index.js';
import type { Run } from '../workers/index.js';
import type * as tasks from './insight.tasks.js';

/** Milliseconds that checking a class again for it may take. */
const PATIENCE = 120_000;

/** Weights learned from marks that a teacher gave by feel. */
@Injectable()
export class ClassWeightsService {
  private readonly run: Run<typeof tasks>;

  constructor(
    private readonly data: Database,
    private readonly markable: Markable,
    private readonly readings: ClassReadings,
    private readonly revisions: Revisions,
    workers: WorkerPool,
  ) {
    this.run = workers.tasks(new URL('./insight.tasks.js', import.meta.url));
  }

  async of(publicationId: string, accountId: string): Promise<ClassWeights> {
    const { revisionId } = await this.markable.publication(publicationId, accountId);
    const newest = await this.readings.newest(publicationId);
    const felt = await this.data
      .getRepository(JudgementEntry)
      .findBy({ submissionId: In(newest.map(({ id }) => id)), kind: 'feel' });
    const marked = newest.flatMap((one) => {
      const mark = felt.find(({ submissionId }) => submissionId === one.id)?.value;
      return mark === undefined ? [] : [{ one, mark }];
    });
    const [assignment, maps] = await Promise.all([
      this.revisions.bodyOf(revisionId),
      this.readings.mapsOf(marked.map(({ one }) => one)),
    ]);
    const learned = await this.run(
      'weigh',
      { maps, marks: marked.map(({ mark }) => mark), assignment },
      { lane: 'class', patience: PATIENCE },
    );
    if (typeof learned === 'string')
      return { refused: learned, marked: marked.length, weights: [], error: 0, maps: [] };
    return {
      refused: null,
      marked: marked.length,
      weights: learned.weights.map(({ requirement, points }, i) => ({
        requirement,
        before: assignment.requirements[i]!.points,
        points,
      })),
      error: learned.error,
      maps: learned.maps.map(({ map, ...rest }) => {
        const { one } = marked[map]!;
        return { workId: one.workId, members: membersOf(one.work!), ...rest };
      }),
    };
  }
}
