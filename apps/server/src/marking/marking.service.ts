import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { spotOf } from '@ichnograph/contract';
import type { CommentRow, NewComment, ReturnedMaps } from '@ichnograph/contract';
import { DataSource, IsNull } from 'typeorm';
import type { EntityManager } from 'typeorm';
import type { Account } from '../accounts/index.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Clock } from '../common/clock.js';
import { conflict, notFound, Problem, refused } from '../common/problem.js';
import { Submission, SubmissionsService } from '../submissions/index.js';
import { lockWork, Work, WorksService } from '../works/index.js';
import { Comment } from './comment.entity.js';
import { CommentAnswer } from './comment-answer.entity.js';
import { commentsOf, rowsOf } from './comments.js';
import { MarkChange } from './mark-change.entity.js';
import { PileService } from './pile.service.js';

type Next = 'handed in' | 'being marked' | 'returned';

/** What a teacher does with one submission. The first word of marking closes the map to its students until it is returned. */
@Injectable()
export class MarkingService {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly submissions: SubmissionsService,
    private readonly works: WorksService,
    private readonly piles: PileService,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {}

  /** A submission's comments: to those who mark always, to its members once it is returned. */
  async comments(submissionId: string, { id: accountId }: Account): Promise<CommentRow[]> {
    const { submission, isMember, isStaff } = await this.submissions.seen(submissionId, accountId);
    if (isMember && submission.returnedAt) await this.submissions.markRead(submissionId);
    return isStaff || submission.returnedAt ? commentsOf(this.data.manager, submissionId) : [];
  }

  async addComment(submissionId: string, { anchor, target, text }: NewComment, by: Named): Promise<string> {
    const { submission } = await this.mine(submissionId, by.accountId);
    const map = await this.submissions.mapOf(submissionId);
    const named =
      anchor === 'result'
        ? (await this.submissions.reportOf(submissionId)).results
        : anchor === 'map' || anchor === 'spot'
          ? []
          : map[anchor === 'topic' ? 'topics' : 'links'];
    const there =
      anchor === 'map'
        ? target === undefined
        : anchor === 'spot'
          ? spotOf(target) !== null
          : named.some(({ id }) => id === target);
    if (!there) throw refused(`The map has no such ${anchor}.`, [{ path: '$.target', reason: 'is not on the map' }]);
    const id = await this.acts.once(by, 'comment', async (manager) => {
      const comment = { id: randomUUID(), submissionId, anchor, target: target ?? null, text };
      await this.moveOn(manager, submission, 'being marked');
      await manager.insert(Comment, { ...comment, authorId: by.accountId, at: this.clock.now(), removedAt: null });
      return comment.id;
    });
    await this.works.stateChanged(submission.workId);
    return id;
  }

  async changeComment(id: string, text: string, account: Account): Promise<void> {
    const { submission } = await this.ownComment(id, account);
    await this.data.transaction(async (manager) => {
      await this.moveOn(manager, submission, 'being marked');
      await manager.update(Comment, { id }, { text });
    });
    await this.works.stateChanged(submission.workId);
  }

  /** Deletes a comment, so that it can be brought back. A map without a comment is not being marked any more. */
  async removeComment(id: string, account: Account): Promise<void> {
    const { submission } = await this.ownComment(id, account);
    await this.data.transaction(async (manager) => {
      await this.moveOn(manager, submission, 'being marked');
      await manager.update(Comment, { id }, { removedAt: this.clock.now() });
      if (!(await manager.existsBy(Comment, { submissionId: submission.id, removedAt: IsNull() })))
        await this.moveOn(manager, submission, 'handed in');
    });
    await this.works.stateChanged(submission.workId);
  }

  async restoreComment(id: string, account: Account): Promise<void> {
    const { submission } = await this.ownComment(id, account);
    await this.data.transaction(async (manager) => {
      await this.moveOn(manager, submission, 'being marked');
      await manager.update(Comment, { id }, { removedAt: null });
    });
    await this.works.stateChanged(submission.workId);
  }

  async comment(id: string, account: Account): Promise<CommentRow> {
    const { comment } = await this.ownComment(id, account);
    return (await rowsOf(this.data.manager, [comment]))[0]!;
  }

  /** Answers a comment: its readers once the map is returned, those who mark always. */
  async answer(commentId: string, text: string, named: Named): Promise<void> {
    const comment = await this.data.getRepository(Comment).findOneBy({ id: commentId, removedAt: IsNull() });
    if (!comment) throw notFound('comment');
    const { submission, isStaff } = await this.submissions.seen(comment.submissionId, named.accountId);
    if (!isStaff && !submission.returnedAt) throw notFound('comment');
    await this.acts.once(named, 'answer', async (manager) => {
      const id = randomUUID();
      await manager.insert(CommentAnswer, { id, commentId, text, authorId: named.accountId, at: this.clock.now() });
      return id;
    });
  }

  /** Gives the map back with its comments; the student may then revise. */
  async return(submissionId: string, named: Named): Promise<void> {
    const { submission } = await this.mine(submissionId, named.accountId);
    await this.acts.once(named, 'return', async (manager) => {
      await this.moveOn(manager, submission, 'returned');
      await manager.update(
        Submission,
        { id: submissionId },
        { returnedBy: named.accountId, returnedAt: this.clock.now(), openedAt: null },
      );
      await this.trace(manager, submissionId, 'return', named.accountId);
      return submissionId;
    });
    await this.works.stateChanged(submission.workId);
  }

  /** Takes a return back, as long as no member has read it. */
  async takeBack(submissionId: string, named: Named): Promise<void> {
    const { submission } = await this.mine(submissionId, named.accountId);
    await this.acts.once(named, 'take back', async (manager) => {
      const { state } = await lockWork(manager, submission.workId);
      await this.insistNewest(manager, submission);
      if (state !== 'returned') throw conflict('This map is not returned, so there is nothing to take back.');
      const { affected } = await manager.update(
        Submission,
        { id: submissionId, openedAt: IsNull() },
        { returnedBy: null, returnedAt: null },
      );
      if (!affected) throw conflict('This return has been read already, so it stands.');
      await manager.update(Work, { id: submission.workId }, { state: 'being marked' });
      await this.trace(manager, submissionId, 'take back', named.accountId);
      return submissionId;
    });
    await this.works.stateChanged(submission.workId);
  }

  /** Returns every map of a pile on which nothing is left to judge. */
  async returnComplete(publicationId: string, named: Named): Promise<ReturnedMaps> {
    const { entries } = await this.piles.pile(publicationId, named.accountId);
    const open = entries.filter(({ state }) => state === 'handed in' || state === 'being marked');
    const complete = open.filter(({ submission }) => submission?.mark?.notJudged === 0);
    let returned = 0;
    for (const { submission } of complete) {
      try {
        await this.return(submission!.id, { accountId: named.accountId, act: randomUUID() });
        returned += 1;
      } catch (error) {
        // Handed in again, or returned by a colleague, in this very moment: it is simply not one of these.
        if (!(error instanceof Problem)) throw error;
      }
    }
    return { returned, left: open.length - returned };
  }

  /** A return carries the mark as it then was. */
  private async trace(
    manager: EntityManager,
    submissionId: string,
    kind: 'return' | 'take back',
    authorId: string,
  ): Promise<void> {
    const { sum } = await manager.findOneByOrFail(Submission, { id: submissionId });
    const [before, after] = kind === 'return' ? [null, sum] : [sum, null];
    const at = this.clock.now();
    await manager.insert(MarkChange, { submissionId, kind, subject: 'sum', before, after, reason: '', authorId, at });
  }

  /** Lets go of a map that is being marked: its students may work on it again. What was written stays. */
  async letGo(submissionId: string, account: Account): Promise<void> {
    const { submission } = await this.mine(submissionId, account.id);
    await this.data.transaction((manager) => this.moveOn(manager, submission, 'handed in'));
    await this.works.stateChanged(submission.workId);
  }

  /** The state an act of marking leads to: only of the newest submission, only while it is handed in or being marked. */
  async moveOn(manager: EntityManager, submission: Submission, next: Next): Promise<void> {
    const { state } = await lockWork(manager, submission.workId);
    await this.insistNewest(manager, submission);
    if (state !== 'handed in' && state !== 'being marked')
      throw conflict('This map has been returned, so it cannot be marked just now.');
    if (state !== next) await manager.update(Work, { id: submission.workId }, { state: next });
  }

  private async insistNewest(manager: EntityManager, { workId, number }: Submission): Promise<void> {
    if ((await manager.countBy(Submission, { workId })) !== number)
      throw conflict('This map was handed in again since. Open the newest one to mark it.');
  }

  /** @throws unless this person marks the map */
  async mine(submissionId: string, accountId: string) {
    const seen = await this.submissions.seen(submissionId, accountId);
    if (!seen.isStaff) throw notFound('map');
    return seen;
  }

  private async ownComment(id: string, account: Account) {
    const comment = await this.data.getRepository(Comment).findOneBy({ id, authorId: account.id });
    if (!comment) throw notFound('comment');
    return { comment, ...(await this.mine(comment.submissionId, account.id)) };
  }
}
