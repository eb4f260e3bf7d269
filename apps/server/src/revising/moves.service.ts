import { randomUUID } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { OnApplicationBootstrap } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { adoptRevision, sumsOf } from '@ichnograph/core';
import type { Report } from '@ichnograph/core';
import { workDocument } from '@ichnograph/contract';
import pLimit from 'p-limit';
import { DataSource, IsNull, Not } from 'typeorm';
import type { Logger } from 'pino';
import { Revisions } from '../assignments/index.js';
import { briefly } from '../common/briefly.js';
import { Clock } from '../common/clock.js';
import { LOGGER } from '../common/tokens.js';
import { LiveService } from '../live/index.js';
import { Judgements, MarkChange } from '../marking/index.js';
import { figuresOfMark, Submission, SubmissionsService } from '../submissions/index.js';
import { CheckPool } from '../workers/index.js';
import { lockWork, Work, WorksService } from '../works/index.js';

/** Works that are moved at a time: as many as there are workers to check them. */
const AT_ONCE = 2;

/**
 * Moves works on to the revision they are to have (`movingTo`, set in the transaction that made it): their map takes what
 * is new, what waits to be marked is checked again, and their members are told. What a crash left undone is done at the
 * next start.
 */
@Injectable()
export class Moves implements OnApplicationBootstrap {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly revisions: Revisions,
    private readonly submissions: SubmissionsService,
    private readonly works: WorksService,
    private readonly live: LiveService,
    private readonly checks: CheckPool,
    private readonly judgements: Judgements,
    private readonly clock: Clock,
    @Inject(LOGGER) private readonly logger: Logger,
  ) {}

  onApplicationBootstrap(): void {
    this.all().catch((error: unknown) => this.logger.error(briefly(error), 'works could not be moved on'));
  }

  /** Moves every work that waits for it; who said so leaves their name on what is checked again. */
  async all(by?: string): Promise<void> {
    const turn = pLimit(AT_ONCE);
    const works = await this.data.getRepository(Work).findBy({ movingTo: Not(IsNull()) });
    await Promise.all(works.map(({ id }) => turn(() => this.one(id, by))));
  }

  private async one(id: string, by: string | undefined): Promise<void> {
    const work = await this.data
      .getRepository(Work)
      .findOneOrFail({ where: { id }, relations: { members: true, publication: true } });
    const { movingTo } = work;
    if (!movingTo) return;
    const [old, next] = await Promise.all([this.revisions.bodyOf(work.revisionId), this.revisions.bodyOf(movingTo)]);
    await this.live.change(workDocument(id), (map) => adoptRevision(map, old, next, { newId: randomUUID, by: '' }));
    const newest = await this.data
      .getRepository(Submission)
      .findOne({ where: { workId: id }, order: { number: 'DESC' } });
    // What is in the student's hands again is checked when it is handed in again.
    const again = newest && work.state !== 'in progress' ? await this.report(work, newest, movingTo) : null;
    await this.data.transaction(async (manager) => {
      const locked = await lockWork(manager, id);
      if (locked.movingTo !== movingTo) return;
      await manager.update(
        Work,
        { id },
        { revisionId: movingTo, movingTo: null, movedFrom: locked.movedFrom ?? locked.revisionId },
      );
      if (!again || !newest) return;
      const figures = figuresOfMark(
        again,
        next,
        await this.judgements.of(manager, { ...newest, revisionId: movingTo }, next),
        newest,
      );
      await manager.update(
        Submission,
        { id: newest.id },
        { revisionId: movingTo, report: again as object, ...sumsOf(again), ...figures },
      );
      await manager.insert(MarkChange, {
        submissionId: newest.id,
        kind: 'check again',
        subject: 'sum',
        before: newest.sum,
        after: figures.sum,
        reason: '',
        authorId: by ?? newest.handedInBy,
        at: this.clock.now(),
      });
    });
    await this.works.stateChanged(id);
  }

  private async report(work: Work, { id, due, handedInAt }: Submission, revisionId: string): Promise<Report> {
    const [map, body] = await Promise.all([this.submissions.mapOf(id), this.revisions.bodyOf(revisionId)]);
    return this.checks.check(map, body, {
      members: work.members!.map(({ accountId }) => accountId),
      due: due?.toISOString() ?? null,
      handedIn: handedInAt.toISOString(),
    });
  }
}
