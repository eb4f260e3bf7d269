import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { TopicMap } from '@ichnograph/core';
import { spotOf } from '@ichnograph/contract';
import type { CommentRow, NewComment } from '@ichnograph/contract';
import { IsNull } from 'typeorm';
import { Database } from '../common/database.js';
import type { Account } from '../accounts/index.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Clock } from '../common/clock.js';
import { notFound, refused } from '../common/problem.js';
import { SubmissionsService } from '../submissions/index.js';
import { WorksService } from '../works/index.js';
import { Comment } from './comment.entity.js';
import { CommentAnswer } from './comment-answer.entity.js';
import { commentsOf, rowsOf } from './comment-rows.js';
import { Markable } from './markable.service.js';

/** What is said on a map that was handed in, and what is answered. */
@Injectable()
export class Comments {
  constructor(
    private readonly data: Database,
    private readonly submissions: SubmissionsService,
    private readonly markable: Markable,
    private readonly works: WorksService,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {}

  /** A submission's comments: to those who mark always, to its members once it is returned. */
  async comments(submissionId: string, { id: accountId }: Account): Promise<CommentRow[]> {
    const { submission, isMember, isStaff, isBlind } = await this.submissions.seen(submissionId, accountId);
    if (isMember && submission.returnedAt) await this.submissions.markRead(submissionId);
    if (isBlind) return [];
    return isStaff || submission.returnedAt ? commentsOf(this.data, submissionId) : [];
  }

  async addComment(submissionId: string, { anchor, target, text }: NewComment, by: Named): Promise<string> {
    const { submission } = await this.markable.mine(submissionId, by.accountId);
    const results = async () => (await this.submissions.reportOf(submissionId)).results;
    await insistThere(await this.submissions.mapOf(submissionId), anchor, target, results);
    const id = await this.acts.once(by, 'comment', async () => {
      const comment = newComment({ submissionId }, { anchor, target, text }, by.accountId, this.clock.now());
      await this.markable.moveOn(submission, 'being marked');
      await this.data.manager.insert(Comment, comment);
      return comment.id;
    });
    await this.works.stateChanged(submission.workId);
    return id;
  }

  async changeComment(id: string, text: string, account: Account): Promise<void> {
    const { submission } = await this.ownComment(id, account);
    await this.data.unit(async () => {
      await this.markable.moveOn(submission, 'being marked');
      await this.data.manager.update(Comment, { id }, { text });
    });
    await this.works.stateChanged(submission.workId);
  }

  /** Deletes a comment, so that it can be brought back. A map with nothing said or given is not being marked any more. */
  async removeComment(id: string, account: Account): Promise<void> {
    const { submission } = await this.ownComment(id, account);
    await this.data.unit(async () => {
      await this.markable.moveOn(submission, 'being marked');
      await this.data.manager.update(Comment, { id }, { removedAt: this.clock.now() });
      await this.markable.letGoIfBare(submission);
    });
    await this.works.stateChanged(submission.workId);
  }

  async restoreComment(id: string, account: Account): Promise<void> {
    const { submission } = await this.ownComment(id, account);
    await this.data.unit(async () => {
      await this.markable.moveOn(submission, 'being marked');
      await this.data.manager.update(Comment, { id }, { removedAt: null });
    });
    await this.works.stateChanged(submission.workId);
  }

  async comment(id: string, account: Account): Promise<CommentRow> {
    const { comment } = await this.ownComment(id, account);
    return (await rowsOf(this.data, [comment]))[0]!;
  }

  /** Answers a comment: its readers once the map is returned, those who mark always. */
  async answer(commentId: string, text: string, named: Named): Promise<void> {
    const comment = await this.data.getRepository(Comment).findOneBy({ id: commentId, removedAt: IsNull() });
    if (!comment) throw notFound('comment');
    await this.mayAnswer(comment, named.accountId);
    await this.acts.once(named, 'answer', async () => {
      const id = randomUUID();
      await this.data.manager.insert(CommentAnswer, {
        id,
        commentId,
        text,
        authorId: named.accountId,
        at: this.clock.now(),
      });
      return id;
    });
    if (comment.workId !== null) this.works.told(comment.workId);
  }

  /** Says that a thread is done with, or opens it again: whoever may answer it may. */
  async settle(commentId: string, settled: boolean, accountId: string): Promise<void> {
    const comment = await this.data.getRepository(Comment).findOneBy({ id: commentId, removedAt: IsNull() });
    if (!comment) throw notFound('comment');
    await this.mayAnswer(comment, accountId);
    await this.data.getRepository(Comment).update({ id: commentId }, { settledAt: settled ? this.clock.now() : null });
    if (comment.workId !== null) this.works.told(comment.workId);
  }

  /** @throws unless this person reads the comment: its readers once the map is returned, those who mark always */
  private async mayAnswer({ submissionId, workId }: Comment, accountId: string): Promise<void> {
    if (submissionId === null) {
      const { isBlind: isSecond } = await this.works.seen(workId!, accountId);
      if (isSecond) throw notFound('comment');
      return;
    }
    const { submission, isStaff, isBlind } = await this.submissions.seen(submissionId, accountId);
    if (isBlind || (!isStaff && !submission.returnedAt)) throw notFound('comment');
  }

  private async ownComment(id: string, account: Account) {
    const comment = await this.data.getRepository(Comment).findOneBy({ id, authorId: account.id });
    // What is said on a map that is still drawn stands: it may have been read the moment it was said.
    if (!comment?.submissionId) throw notFound('comment');
    return { comment, ...(await this.markable.mine(comment.submissionId, account.id)) };
  }
}

/** A comment as it is kept. @param of the map that was handed in, or the work that is drawn */
export const newComment = (
  of: { submissionId: string } | { submissionId: null; workId: string },
  { anchor, target, text }: Pick<NewComment, 'anchor' | 'text'> & { target?: string | undefined },
  authorId: string,
  at: Date,
) => ({ id: randomUUID(), ...of, anchor, target: target ?? null, text, authorId, at, removedAt: null });

/** @throws unless what a comment speaks of is on the map */
export async function insistThere(
  map: TopicMap,
  anchor: NewComment['anchor'],
  target: string | undefined,
  results: () => Promise<readonly { id: string }[]>,
): Promise<void> {
  const isOf = (list: readonly { id: string }[]): boolean => list.some(({ id }) => id === target);
  const there = {
    map: () => target === undefined,
    spot: () => spotOf(target) !== null,
    topic: () => isOf(map.topics),
    link: () => isOf(map.links),
    proposition: () => isOf(map.links),
    region: () => isOf(map.regions),
    result: async () => isOf(await results()),
  }[anchor];
  if (!(await there()))
    throw refused(`The map has no such ${anchor}.`, [{ path: '$.target', reason: 'is not on the map' }]);
}
