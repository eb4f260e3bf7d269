import { Injectable } from '@nestjs/common';
import { agreementOf } from '@ichnograph/core';
import type { Criterion } from '@ichnograph/core';
import type { CriterionAgreement, ReviewerRow, ReviewRound, ReviewRounds } from '@ichnograph/contract';
import { In } from 'typeorm';
import { personOf } from '../accounts/index.js';
import { Publication, Revisions } from '../assignments/index.js';
import { ClassReadings } from '../class-readings/index.js';
import { ClassesService } from '../classes/index.js';
import { Database } from '../common/database.js';
import { JudgementEntry, Markable } from '../marking/index.js';
import type { Submission } from '../submissions/index.js';
import { membersOf } from '../works/index.js';
import { Review } from './review.entity.js';
import { RoundOfReviews } from './round.entity.js';

/** What came of a round of reviews, beside the teacher's own marks. */
@Injectable()
export class BesideMarks {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly markable: Markable,
    private readonly readings: ClassReadings,
    private readonly revisions: Revisions,
  ) {}

  async of(publicationId: string, accountId: string): Promise<ReviewRounds> {
    const { classId, revisionId } = await this.markable.publication(publicationId, accountId);
    const [round, newest, students, { criteria }] = await Promise.all([
      this.data.getRepository(RoundOfReviews).findOneBy({ publicationId }),
      this.readings.newest(publicationId),
      this.classes.roster(classId, ['student']),
      this.revisions.bodyOf(revisionId),
    ]);
    return {
      round: round && (await this.shown(round, newest, criteria)),
      students: students.map((one) => personOf(one)),
      handedIn: newest.length,
      mayCriteria: criteria.length > 0,
    };
  }

  private async shown(
    round: RoundOfReviews,
    newest: readonly Submission[],
    criteria: readonly Criterion[],
  ): Promise<ReviewRound> {
    const { publicationId, each, criteria: withCriteria, sentences, notes, share, apart } = round;
    const reviews = await this.data
      .getRepository(Review)
      .find({ where: { publicationId }, order: { position: 'ASC' } });
    const judged = await this.data
      .getRepository(JudgementEntry)
      .findBy({ submissionId: In(newest.map(({ id }) => id)), kind: 'criterion' });
    const roster = await this.classes.roster(
      (await this.data.getRepository(Publication).findOneByOrFail({ id: publicationId })).classId,
      ['student'],
    );
    const ofWork = new Map(newest.map((one) => [one.workId, one]));
    /** levels that a reviewer and the teacher gave for one criterion of one map */
    const both = (criterion: string) =>
      reviews.flatMap((review) => {
        const first = judged.find(
          (row) => row.submissionId === review.submissionId && row.subject === criterion,
        )?.value;
        const second = review.sentAt ? review.given.levels[criterion] : undefined;
        return first === undefined || second === undefined ? [] : [{ review, first, second }];
      });
    const pairs = new Map(criteria.map((criterion) => [criterion, both(criterion.id)]));
    return {
      each,
      criteria: withCriteria,
      sentences,
      notes,
      share,
      apart,
      closesAt: round.closesAt?.toISOString() ?? null,
      releasedAt: round.releasedAt?.toISOString() ?? null,
      reviewers: roster
        .map((person): ReviewerRow => {
          const mine = reviews.filter(({ reviewerId }) => reviewerId === person.id);
          return {
            person: personOf(person),
            sent: mine.filter(({ sentAt }) => sentAt).length,
            of: mine.length,
            ...agreementWith(pairs, person.id),
          };
        })
        .filter((row) => row.of > 0),
      maps: newest.map(({ id, workId, work }) => {
        const here = reviews.filter((one) => one.workId === workId);
        return {
          workId,
          submissionId: id,
          members: membersOf(work!),
          handedOut: here.length,
          sent: here.filter(({ sentAt }) => sentAt).length,
        };
      }),
      notHandedOut: newest.filter(({ workId }) => !reviews.some((one) => one.workId === workId)).length,
      agreement: criteria.map((criterion): CriterionAgreement => {
        const works = pairs.get(criterion)!.flatMap(({ review, first, second }) => {
          const submission = ofWork.get(review.workId);
          return submission ? [{ workId: review.workId, members: membersOf(submission.work!), first, second }] : [];
        });
        return {
          criterion: criterion.id,
          name: criterion.name,
          levels: criterion.levels.map(({ name }) => name),
          agreement: agreementOf(works, criterion.levels.length),
          works: works.toSorted((a, b) => Math.abs(b.first - b.second) - Math.abs(a.first - a.second)).slice(0, 12),
        };
      }),
    };
  }
}

/** A hundred steps: criteria with two and with seven levels are laid beside each other by how far up they are. */
const STEPS = 100;

/** How far one reviewer agrees with the teacher, over all criteria. */
function agreementWith(
  pairs: ReadonlyMap<Criterion, { review: Review; first: number; second: number }[]>,
  reviewerId: string,
): Pick<ReviewerRow, 'both' | 'same' | 'agreement'> {
  const mine = [...pairs].flatMap(([{ levels }, all]) =>
    all
      .filter(({ review }) => review.reviewerId === reviewerId)
      .map(({ first, second }) => ({
        same: first === second,
        first: Math.round((first / Math.max(1, levels.length - 1)) * STEPS),
        second: Math.round((second / Math.max(1, levels.length - 1)) * STEPS),
      })),
  );
  return {
    both: mine.length,
    same: mine.length === 0 ? null : mine.filter(({ same }) => same).length / mine.length,
    agreement: agreementOf(mine, STEPS + 1),
  };
}
