import { Injectable } from '@nestjs/common';
import { forReviewers, openStoredMap, readHeld, withoutAnswers, writeAssignment, writeMap } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';
import { VERDICT_WORDS } from '@ichnograph/contract';
import type { ReviewDetail, ReviewGiven, ReviewRow, ReviewState, ReviewTask, SaveReview } from '@ichnograph/contract';
import { In, IsNull, Not } from 'typeorm';
import { AccountsService } from '../accounts/index.js';
import type { Account } from '../accounts/index.js';
import { Publication, Revisions } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { SubmissionsService } from '../submissions/index.js';
import { Review } from './review.entity.js';
import type { RoundOfReviews } from './round.entity.js';

/** Looking at another's map: what a reviewer is shown and gives, and who reads it when. */
@Injectable()
export class ReviewsService {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly accounts: AccountsService,
    private readonly submissions: SubmissionsService,
    private readonly revisions: Revisions,
    private readonly clock: Clock,
  ) {}

  private get reviews() {
    return this.data.getRepository(Review);
  }

  /** What is given to somebody to look at, in the classes they are in. */
  async tasks(reviewerId: string): Promise<ReviewTask[]> {
    const mine = await this.reviews.find({
      where: { reviewerId },
      relations: { round: true },
      order: { publicationId: 'ASC', position: 'ASC' },
    });
    if (mine.length === 0) return [];
    const classIds = await this.classes.classIdsOf(reviewerId, ['student']);
    const publications = await this.data.getRepository(Publication).find({
      where: { id: In(mine.map(({ publicationId }) => publicationId)), classId: In(classIds) },
      relations: { revision: true, schoolClass: true },
    });
    return mine.flatMap((review) => {
      const publication = publications.find(({ id }) => id === review.publicationId);
      return publication && publication.schoolClass!.archivedAt === null
        ? [this.taskOf(review, publication, mine.filter((one) => one.publicationId === publication.id).length)]
        : [];
    });
  }

  private taskOf(review: Review, { revision, schoolClass }: Publication, of: number): ReviewTask {
    return {
      id: review.id,
      title: revision!.title,
      className: schoolClass!.name,
      number: review.position,
      of,
      state: stateOf(review),
      closesAt: review.round!.closesAt?.toISOString() ?? null,
      open: this.isOpen(review.round!),
    };
  }

  private isOpen({ closesAt, releasedAt }: RoundOfReviews): boolean {
    return releasedAt === null && (closesAt === null || closesAt > this.clock.now());
  }

  /** To its reviewer, as long as they are in the class; for nobody else it is there. */
  private async own(id: string, reviewerId: string): Promise<{ review: Review; publication: Publication }> {
    const review = await this.reviews.findOne({
      where: { id, reviewerId },
      relations: { round: true, submission: true },
    });
    const publication =
      review &&
      (await this.data.getRepository(Publication).findOne({
        where: { id: review.publicationId },
        relations: { revision: true, schoolClass: true },
      }));
    if (!publication || (await this.classes.partIn(publication.classId, reviewerId)) !== 'student')
      throw notFound('map to look at');
    return { review, publication };
  }

  async detail(id: string, { id: reviewerId }: Account): Promise<ReviewDetail> {
    const { review, publication } = await this.own(id, reviewerId);
    const { criteria, sentences, notes } = review.round!;
    const [assignment, bodies, of] = await Promise.all([
      this.revisions.bodyOf(review.submission!.revisionId),
      this.submissions.bodies(review.submissionId),
      this.reviews.countBy({ reviewerId, publicationId: review.publicationId }),
    ]);
    const map = forReviewers(openStoredMap(bodies.map), assignment.legend, notes);
    return {
      ...this.taskOf(review, publication, of),
      criteria,
      sentences,
      notes,
      map: writeMap(map),
      assignment: writeAssignment({ ...withoutAnswers(assignment), starter: null, reference: null }),
      propositions: sentences ? Object.entries(readHeld(map, assignment)).map(([key, links]) => ({ key, links })) : [],
      given: review.given,
      version: review.version,
    };
  }

  /** Keeps what was given so far. @returns the new version */
  async save(
    id: string,
    { version, levels, verdicts, words }: SaveReview,
    { id: reviewerId }: Account,
  ): Promise<number> {
    const { review } = await this.own(id, reviewerId);
    const assignment = await this.revisions.bodyOf(review.submission!.revisionId);
    const { map } = await this.submissions.bodies(review.submissionId);
    const held = readHeld(forReviewers(openStoredMap(map), assignment.legend, review.round!.notes), assignment);
    const given = givenOf({ levels, verdicts, words }, review.round!, assignment, held);
    return this.data.unit(async () => {
      const now = await this.held(id);
      if (now.version !== version) {
        // The same that arrives again was kept the first time.
        if (JSON.stringify(now.given) === JSON.stringify(given)) return now.version;
        throw conflict(
          'You changed this review elsewhere meanwhile. Load the page again: what you wrote here is put behind it.',
        );
      }
      await this.data.manager.update(Review, { id }, { given, version: version + 1 });
      return version + 1;
    });
  }

  /** Sends it to the teacher: from then on it stays. */
  async send(id: string, { id: reviewerId }: Account): Promise<void> {
    const { review } = await this.own(id, reviewerId);
    const { criteria } = await this.revisions.bodyOf(review.submission!.revisionId);
    await this.data.unit(async () => {
      const { given, sentAt } = await this.data.manager.findOneByOrFail(Review, { id });
      if (sentAt) return;
      await this.held(id);
      const left = review.round!.criteria ? criteria.filter((one) => !Object.hasOwn(given.levels, one.id)) : [];
      if (left.length > 0) throw refused(`Give a level for ${left.map(({ name }) => `“${name}”`).join(', ')} first.`);
      if (!review.round!.criteria && Object.keys(given.verdicts).length === 0 && given.words.trim() === '')
        throw refused('Judge at least one sentence, or say something about the map.');
      await this.data.manager.update(Review, { id }, { sentAt: this.clock.now() });
    });
  }

  /** @throws where nothing can be given any more */
  private async held(id: string): Promise<Review> {
    await this.data.manager.findOne(Review, { where: { id }, lock: { mode: 'pessimistic_write' } });
    const review = await this.data.manager.findOneOrFail(Review, { where: { id }, relations: { round: true } });
    if (review.sentAt) throw conflict('This review is sent, and stays as it is.');
    if (!this.isOpen(review.round!)) throw conflict('The time to look at these maps is over.');
    return review;
  }

  /** What was sent about a map: to those who mark it first, with names; to its makers once it is released, without. */
  async ofSubmission(submissionId: string, { id: accountId }: Account): Promise<ReviewRow[]> {
    const { submission, isStaff, isBlind } = await this.submissions.seen(submissionId, accountId);
    if (isBlind) return [];
    const sent = await this.reviews.find({
      where: {
        workId: submission.workId,
        sentAt: Not(IsNull()),
        ...(!isStaff && { round: { releasedAt: Not(IsNull()) } }),
      },
      relations: { submission: true },
      order: { sentAt: 'ASC' },
    });
    const people = isStaff ? await this.accounts.people(sent.map(({ reviewerId }) => reviewerId)) : null;
    return sent.map(({ id, reviewerId, given, sentAt, submission: seen }) => ({
      id,
      number: seen!.number,
      ...given,
      by: people?.get(reviewerId) ?? null,
      sentAt: sentAt!.toISOString(),
    }));
  }
}

const stateOf = ({ sentAt, version }: Review): ReviewState => (sentAt ? 'sent' : version > 0 ? 'begun' : 'handed out');

/** What was given as far as it is asked for: anything else nobody of ours sends. */
function givenOf(
  { levels, verdicts, words }: ReviewGiven,
  round: RoundOfReviews,
  { criteria }: Assignment,
  held: Readonly<Record<string, unknown>>,
): ReviewGiven {
  const isLevel = ([id, level]: [string, unknown]): boolean =>
    round.criteria &&
    criteria.some(
      (one) =>
        one.id === id && Number.isInteger(level) && (level as number) >= 0 && (level as number) < one.levels.length,
    );
  const isVerdict = ([key, verdict]: [string, unknown]): boolean =>
    round.sentences && Object.hasOwn(held, key) && (VERDICT_WORDS as readonly unknown[]).includes(verdict);
  if (!Object.entries(levels).every(isLevel)) throw refused('There is no such level of a criterion here.');
  if (!Object.entries(verdicts).every(isVerdict)) throw refused('There is no such sentence on this map.');
  return { levels, verdicts, words };
}
