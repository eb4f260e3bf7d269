import { createHash } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { OnApplicationBootstrap } from '@nestjs/common';
import { adoptRevision, sumsOf } from '@ichnograph/core';
import type { Report, TopicMap } from '@ichnograph/core';
import { workDocument } from '@ichnograph/contract';
import pLimit from 'p-limit';
import { IsNull, Not } from 'typeorm';
import type { FindOperator } from 'typeorm';
import type { Logger } from 'pino';
import { Database } from '../common/database.js';
import { Revisions } from '../assignments/index.js';
import { briefly } from '../common/briefly.js';
import { Clock } from '../common/clock.js';
import { LOGGER } from '../common/tokens.js';
import { LiveService } from '../live/index.js';
import { JudgingService, MarkChange, Sums } from '../marking/index.js';
import { Submission, SubmissionsService } from '../submissions/index.js';
import { Checks } from '../checks/index.js';
import { lockWork, Work, WorkMember, WorksService } from '../works/index.js';

/** Milliseconds after which a move that failed is tried again: the database may be back by then. */
const AGAIN_MS = 3000;
/** Works that are moved at a time: as many as there are workers to check them. */
const AT_ONCE = 2;

interface Frozen {
  report: Report;
  reading: object;
}

/**
 * Moves works on to the revision they are to have (`movingTo`, set in the transaction that made it): their map takes what
 * is new, what waits to be marked is checked again, and their members are told. What a crash left undone is done at the
 * next start, what the database was away for when it is back.
 */
@Injectable()
export class Moves implements OnApplicationBootstrap {
  private readonly turn = pLimit(AT_ONCE);
  private readonly moving = new Map<string, Promise<void>>();

  constructor(
    private readonly data: Database,
    private readonly revisions: Revisions,
    private readonly submissions: SubmissionsService,
    private readonly works: WorksService,
    private readonly live: LiveService,
    private readonly checks: Checks,
    private readonly judging: JudgingService,
    private readonly sums: Sums,
    private readonly clock: Clock,
    @Inject(LOGGER) private readonly logger: Logger,
  ) {}

  onApplicationBootstrap(): void {
    void this.waiting(Not(IsNull()));
  }

  /** Moves all on that wait for a revision; who said so leaves their name on what is checked again. */
  to(revisionId: string, by: string): Promise<void> {
    return this.waiting(revisionId, by);
  }

  private waiting(movingTo: string | FindOperator<string>, by?: string): Promise<void> {
    return this.untilDone('works could not be moved on', async () => {
      const works = await this.data.getRepository(Work).findBy({ movingTo });
      await Promise.all(
        works.map(({ id }) =>
          this.untilDone(`the work ${id} could not be moved on`, () =>
            this.turn(() => this.inTurn(id, () => this.one(id, by))),
          ),
        ),
      );
    });
  }

  /** What cannot be done just now is tried again, and holds up nothing else: nobody waits for that. */
  private async untilDone(failure: string, work: () => Promise<void>): Promise<void> {
    try {
      await work();
    } catch (error) {
      this.logger.warn(briefly(error), `${failure}; it is tried again`);
      setTimeout(() => void this.untilDone(failure, work), AGAIN_MS).unref();
    }
  }

  /** One after the other for each work: of two who move it the second finds it moved. */
  private inTurn(id: string, move: () => Promise<void>): Promise<void> {
    const mine = (this.moving.get(id) ?? Promise.resolve()).catch(() => undefined).then(move);
    this.moving.set(id, mine);
    return mine.finally(() => {
      if (this.moving.get(id) === mine) this.moving.delete(id);
    });
  }

  private async one(id: string, by: string | undefined): Promise<void> {
    const work = await this.data.getRepository(Work).findOneOrFail({ where: { id }, relations: { members: true } });
    const { movingTo } = work;
    if (!movingTo) return;
    const [old, next] = [await this.revisions.bodyOf(work.revisionId), await this.revisions.bodyOf(movingTo)];
    // Ids that follow from the revision and what they name: done again after a crash, it makes the same again.
    const idFor = (given: string): string =>
      createHash('sha256').update(`${movingTo} ${id} ${given}`).digest('hex').slice(0, 32);
    const changes = (map: TopicMap) => adoptRevision(map, old, next, { idFor });
    await this.live.change(workDocument(id), changes);
    while (!(await this.check(work, movingTo, by)));
    await this.works.stateChanged(id);
  }

  /**
   * Checks again what waits to be marked, and lets the work go on with the new revision. What is in the student's hands is
   * checked when it is handed in, and what went back to them stays as it was returned.
   * @returns whether nothing came between: handed in again meanwhile, that is what must be checked
   */
  private async check({ id, members }: Work, movingTo: string, by: string | undefined): Promise<boolean> {
    const newest = await this.newest(id);
    const again = newest && !newest.returnedAt ? await this.freeze(members!, newest, movingTo) : null;
    return this.data.unit(async () => {
      const locked = await lockWork(this.data, id);
      if (locked.movingTo !== movingTo) return true;
      const now = await this.newest(id);
      if (now?.id !== newest?.id) return false;
      await this.data.manager.update(
        Work,
        { id },
        { revisionId: movingTo, movingTo: null, movedFrom: locked.movedFrom ?? locked.revisionId },
      );
      if (again && now && isWaiting(locked)) await this.adopt(now, again, movingTo, by);
      return true;
    });
  }

  /** Puts a submission under the new revision, with what was judged of it as far as that holds. */
  private async adopt(before: Submission, { report, reading }: Frozen, movingTo: string, by?: string): Promise<void> {
    const { id, revisionId, sum, handedInBy } = before;
    const frozen = { revisionId: movingTo, report, reading, ...sumsOf(report) };
    await this.data.manager.update(Submission, { id }, frozen as object);
    await this.judging.carry(
      id,
      await this.revisions.bodyOf(revisionId),
      await this.revisions.bodyOf(movingTo),
      report.results,
    );
    const mark = (await this.sums.again([id])).get(id)!;
    await this.data.manager.insert(MarkChange, {
      submissionId: id,
      kind: 'check again',
      subject: 'sum',
      before: sum,
      after: mark.sum,
      reason: '',
      authorId: by ?? handedInBy,
      at: this.clock.now(),
    });
  }

  private newest(workId: string): Promise<Submission | null> {
    return this.data.getRepository(Submission).findOne({ where: { workId }, order: { number: 'DESC' } });
  }

  private async freeze(
    members: readonly WorkMember[],
    { id, due, handedInAt }: Submission,
    revisionId: string,
  ): Promise<Frozen> {
    return this.checks.freeze(
      await this.submissions.mapOf(id),
      await this.revisions.bodyOf(revisionId),
      {
        members: members.map(({ accountId }) => accountId),
        due: due?.toISOString() ?? null,
        handedIn: handedInAt.toISOString(),
      },
      'class',
    );
  }
}

const isWaiting = ({ state }: Work): boolean => state === 'handed in' || state === 'being marked';
