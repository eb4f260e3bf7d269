import { Injectable } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { conflict, notFound } from '../common/problem.js';
import { Submission, SubmissionsService } from '../submissions/index.js';
import { lockWork, Work } from '../works/index.js';

type Next = 'handed in' | 'being marked' | 'returned';

/** Who may mark what, and when. The first word of marking closes the map to its students until it is returned. */
@Injectable()
export class Markable {
  constructor(private readonly submissions: SubmissionsService) {}

  /** The state an act of marking leads to: only of the newest submission, only while it is handed in or being marked. */
  async moveOn(manager: EntityManager, submission: Submission, next: Next): Promise<void> {
    const { state } = await lockWork(manager, submission.workId);
    await this.insistNewest(manager, submission);
    if (state !== 'handed in' && state !== 'being marked')
      throw conflict('This map has been returned, so it cannot be marked just now.');
    if (state !== next) await manager.update(Work, { id: submission.workId }, { state: next });
  }

  async insistNewest(manager: EntityManager, { workId, number }: Submission): Promise<void> {
    if ((await manager.countBy(Submission, { workId })) !== number)
      throw conflict('This map was handed in again since. Open the newest one to mark it.');
  }

  /** @throws unless this person marks the map */
  async mine(submissionId: string, accountId: string) {
    const seen = await this.submissions.seen(submissionId, accountId);
    if (!seen.isStaff) throw notFound('map');
    return seen;
  }
}
