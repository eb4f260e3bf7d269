import { randomInt, randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { handOut } from '@ichnograph/core';
import type { Reviews } from '@ichnograph/core';
import type { ChangeReviewRound, NewReviewRound } from '@ichnograph/contract';
import { In, IsNull, MoreThan, Not } from 'typeorm';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Publication, Revisions } from '../assignments/index.js';
import { ClassReadings } from '../class-readings/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { ID_FORM } from '../common/ids.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { Markable, Sums } from '../marking/index.js';
import { Submission } from '../submissions/index.js';
import { membersOf, WorksService } from '../works/index.js';
import { Review } from './review.entity.js';
import { RoundOfReviews } from './round.entity.js';

/** Handing a class's maps out to be looked at, and the release of what was said of them. */
@Injectable()
export class RoundsService {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly markable: Markable,
    private readonly readings: ClassReadings,
    private readonly revisions: Revisions,
    private readonly works: WorksService,
    private readonly acts: Acts,
    private readonly sums: Sums,
    private readonly clock: Clock,
  ) {
    sums.countReviews((ids) => this.counted(ids));
  }

  async begin(publicationId: string, wanted: NewReviewRound, named: Named): Promise<void> {
    const { revisionId } = await this.markable.publication(publicationId, named.accountId);
    const { criteria } = await this.revisions.bodyOf(revisionId);
    if (!wanted.criteria && !wanted.sentences) throw refused('Open the criteria, the sentences, or both.');
    if (wanted.criteria && criteria.length === 0)
      throw refused('This assignment has no criteria, so the sentences alone can be judged.');
    const closesAt = wanted.closesAt ? new Date(wanted.closesAt) : null;
    if (closesAt && closesAt <= this.clock.now()) throw refused('That time is over. Choose one to come.');
    const isPair = (pair: unknown): boolean =>
      Array.isArray(pair) && pair.length === 2 && pair.every((id) => typeof id === 'string' && ID_FORM.test(id));
    if (!wanted.apart.every(isPair)) throw refused('Who is to be kept apart is a pair of two students.');
    await this.acts.once(named, 'begin reviews', async () => {
      await this.hold(publicationId);
      if (await this.data.manager.existsBy(RoundOfReviews, { publicationId }))
        throw conflict('The maps of this class have been handed out already.');
      const { each, sentences, notes, share, apart } = wanted;
      await this.data.manager.insert(RoundOfReviews, {
        publicationId,
        each,
        criteria: wanted.criteria,
        sentences,
        notes,
        share,
        closesAt,
        releasedAt: null,
        apart,
        seed: randomInt(2 ** 32),
        madeBy: named.accountId,
        madeAt: this.clock.now(),
      });
      if ((await this.give(publicationId)) === 0)
        throw conflict(
          'There are not enough maps yet for anybody to look at another’s. Wait until more are handed in.',
        );
      return publicationId;
    });
  }

  /** Gives out what was handed in since, and gives those who have too few more. @returns how many */
  async handOutMore(publicationId: string, accountId: string): Promise<number> {
    await this.markable.publication(publicationId, accountId);
    return this.data.unit(async () => {
      await this.hold(publicationId);
      await this.round(publicationId);
      return this.give(publicationId);
    });
  }

  private async give(publicationId: string): Promise<number> {
    const round = await this.round(publicationId);
    const { classId } = await this.data.manager.findOneByOrFail(Publication, { id: publicationId });
    const [newest, students] = await Promise.all([
      this.readings.newest(publicationId),
      this.classes.roster(classId, ['student']),
    ]);
    const before = await this.data.manager.findBy(Review, { publicationId });
    const given = handOut({
      maps: newest.map(({ workId, work }) => ({ id: workId, makers: membersOf(work!).map(({ id }) => id) })),
      // Who has handed in nothing sees nobody's answer.
      reviewers: students
        .map(({ id }) => id)
        .filter((id) => newest.some(({ work }) => membersOf(work!).some((member) => member.id === id))),
      each: round.each,
      apart: round.apart,
      before: before.map(({ reviewerId, workId }) => ({ reviewer: reviewerId, map: workId })),
      seed: round.seed,
    });
    const positions = new Map<string, number>();
    for (const { reviewerId } of before) positions.set(reviewerId, (positions.get(reviewerId) ?? 0) + 1);
    for (const { reviewer, map } of given) {
      const position = (positions.get(reviewer) ?? 0) + 1;
      positions.set(reviewer, position);
      await this.data.manager.insert(Review, {
        id: randomUUID(),
        publicationId,
        workId: map,
        submissionId: newest.find(({ workId }) => workId === map)!.id,
        reviewerId: reviewer,
        position,
        version: 0,
        given: { levels: {}, verdicts: {}, words: '' },
        sentAt: null,
      });
    }
    return given.length;
  }

  async change(publicationId: string, { share, closesAt }: ChangeReviewRound, accountId: string): Promise<void> {
    await this.markable.publication(publicationId, accountId);
    await this.data.unit(async () => {
      await this.hold(publicationId);
      const round = await this.round(publicationId);
      await this.data.manager.update(
        RoundOfReviews,
        { publicationId },
        {
          ...(share !== undefined && { share }),
          ...(closesAt !== undefined && { closesAt: closesAt === null ? null : new Date(closesAt) }),
        },
      );
      if (share !== undefined && share !== round.share && round.releasedAt) await this.sumAgain(publicationId);
    });
  }

  /** From now on makers read what was said of their maps, without names, and it counts where it is to count. */
  async release(publicationId: string, named: Named): Promise<void> {
    await this.markable.publication(publicationId, named.accountId);
    await this.acts.once(named, 'release reviews', async () => {
      await this.hold(publicationId);
      const { releasedAt } = await this.round(publicationId);
      if (releasedAt) throw conflict('These reviews are released already.');
      await this.data.manager.update(RoundOfReviews, { publicationId }, { releasedAt: this.clock.now() });
      await this.sumAgain(publicationId);
      return publicationId;
    });
    for (const { workId } of await this.readings.newest(publicationId)) this.works.told(workId);
  }

  /** What waits to be marked is summed again; what went back keeps what it was returned with. */
  private async sumAgain(publicationId: string): Promise<void> {
    const waiting = await this.markable.holdClass(publicationId);
    await this.sums.again(waiting.map(({ id }) => id));
  }

  /** Takes everything back, as long as nobody has sent a review. */
  async remove(publicationId: string, accountId: string): Promise<void> {
    await this.markable.publication(publicationId, accountId);
    await this.data.unit(async () => {
      await this.hold(publicationId);
      await this.round(publicationId);
      if (await this.data.manager.existsBy(Review, { publicationId, sentAt: Not(IsNull()) }))
        throw conflict('Reviews have been sent already, so they stay.');
      await this.data.manager.delete(RoundOfReviews, { publicationId });
    });
  }

  /** Holds a publication for the rest of the unit. */
  private async hold(id: string): Promise<void> {
    await this.data.manager.findOne(Publication, { where: { id }, lock: { mode: 'pessimistic_write' } });
  }

  private async round(publicationId: string): Promise<RoundOfReviews> {
    const round = await this.data.manager.findOneBy(RoundOfReviews, { publicationId });
    if (!round) throw notFound('handing out');
    return round;
  }

  /** What of reviews counts in marks: what was sent about a work in a round that is released and counts. */
  private async counted(submissionIds: readonly string[]): Promise<ReadonlyMap<string, Reviews>> {
    const { manager } = this.data;
    const marked = await manager.find(Submission, {
      where: { id: In([...submissionIds]) },
      select: { id: true, workId: true },
    });
    const sent = await manager.find(Review, {
      where: {
        workId: In(marked.map(({ workId }) => workId)),
        sentAt: Not(IsNull()),
        round: { releasedAt: Not(IsNull()), criteria: true, share: MoreThan(0) },
      },
      relations: { round: true },
    });
    return new Map(
      marked.flatMap(({ id, workId }): [string, Reviews][] => {
        const ofWork = sent.filter((one) => one.workId === workId);
        if (ofWork.length === 0) return [];
        const levels = Object.create(null) as Record<string, number[]>;
        for (const { given } of ofWork)
          for (const [criterion, level] of Object.entries(given.levels)) (levels[criterion] ??= []).push(level);
        return [[id, { share: ofWork[0]!.round!.share, levels }]];
      }),
    );
  }
}
