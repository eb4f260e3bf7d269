import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { NewComment } from '@ichnograph/contract';
import type { TopicMap } from '@ichnograph/core';
import { DataSource } from 'typeorm';
import type { EntityManager } from 'typeorm';
import type { Account } from '../accounts/index.js';
import { Clock } from '../common/clock.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { lockWork, Submission, Work, WorksService } from '../works/index.js';
import { Comment, SubmissionsService } from '../submissions/index.js';

/** What a teacher does with one submission. The first word of marking closes the map to its students until it is returned. */
@Injectable()
export class MarkingService {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly submissions: SubmissionsService,
    private readonly works: WorksService,
    private readonly clock: Clock,
  ) {}

  async addComment(
    submissionId: string,
    { anchor, target, text }: NewComment,
    { id: authorId }: Account,
  ): Promise<void> {
    const { submission, work } = await this.mine(submissionId, authorId);
    const map = submission.map as unknown as TopicMap;
    const there =
      anchor === 'map'
        ? target === undefined
        : map[anchor === 'topic' ? 'topics' : 'links'].some(({ id }) => id === target);
    if (!there) throw refused(`The map has no such ${anchor}.`, [{ path: '$.target', reason: 'is not on the map' }]);
    await this.marking(submission, work, 'being marked', (manager) =>
      manager.insert(Comment, {
        id: randomUUID(),
        submissionId,
        anchor,
        target: target ?? null,
        text,
        authorId,
        at: this.clock.now(),
      }),
    );
  }

  async changeComment(id: string, text: string, account: Account): Promise<string> {
    const { comment, submission, work } = await this.ownComment(id, account);
    await this.marking(submission, work, 'being marked', (manager) => manager.update(Comment, { id }, { text }));
    return comment.submissionId;
  }

  async removeComment(id: string, account: Account): Promise<string> {
    const { comment, submission, work } = await this.ownComment(id, account);
    await this.marking(submission, work, 'being marked', (manager) => manager.delete(Comment, { id }));
    return comment.submissionId;
  }

  /** Gives the map back with its comments; the student may then revise. */
  async return(submissionId: string, { id: returnedBy }: Account): Promise<void> {
    const { submission, work } = await this.mine(submissionId, returnedBy);
    await this.marking(submission, work, 'returned', (manager) =>
      manager.update(Submission, { id: submissionId }, { returnedBy, returnedAt: this.clock.now() }),
    );
  }

  /** One act of marking: only on the newest submission, only while it is handed in or being marked. */
  private async marking(
    submission: Submission,
    work: Work,
    next: 'being marked' | 'returned',
    act: (manager: EntityManager) => Promise<unknown>,
  ): Promise<void> {
    const { workId, number } = submission;
    await this.data.transaction(async (manager) => {
      const { state } = await lockWork(manager, workId);
      const newest = (await manager.countBy(Submission, { workId })) === number;
      if (!newest) throw conflict('This map was handed in again since. Open the newest one to mark it.');
      if (state !== 'handed in' && state !== 'being marked')
        throw conflict('This map has been returned, so it cannot be marked just now.');
      await act(manager);
      await manager.update(Work, { id: workId }, { state: next });
    });
    this.works.afterState(work, next);
  }

  private async mine(submissionId: string, accountId: string) {
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
