import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { fillBlanks, markWords, onScale, PLAIN_MARKS } from '@ichnograph/core';
import type { ReturnedMaps } from '@ichnograph/contract';
import { DataSource, IsNull } from 'typeorm';
import type { EntityManager } from 'typeorm';
import type { Account } from '../accounts/index.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Revisions } from '../assignments/index.js';
import { Clock } from '../common/clock.js';
import { conflict, Problem } from '../common/problem.js';
import { Submission } from '../submissions/index.js';
import { lockWork, Work, WorksService } from '../works/index.js';
import { MarkChange } from './mark-change.entity.js';
import { commentCounts } from './comments.js';
import { Markable } from './markable.service.js';
import { PileService } from './pile.service.js';
import { Verdicts } from './verdicts.service.js';

/** A marked map's way back to its students. */
@Injectable()
export class Returning {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly markable: Markable,
    private readonly verdicts: Verdicts,
    private readonly revisions: Revisions,
    private readonly works: WorksService,
    private readonly piles: PileService,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {}

  /** Gives the map back with its comments; the student may then revise. */
  async return(submissionId: string, named: Named, letter = ''): Promise<void> {
    const { submission, work } = await this.markable.mine(submissionId, named.accountId);
    const filled = letter.trim() === '' ? null : await this.filled(letter, submission, work);
    await this.acts.once(named, 'return', async (manager) => {
      await this.markable.moveOn(manager, submission, 'returned');
      await manager.update(
        Submission,
        { id: submissionId },
        { returnedBy: named.accountId, returnedAt: this.clock.now(), openedAt: null, letter: filled },
      );
      await this.verdicts.freeze(manager, submission);
      await this.trace(manager, submissionId, 'return', named.accountId);
      return submissionId;
    });
    await this.works.stateChanged(submission.workId);
  }

  /** Takes a return back, as long as no member has read it. */
  async takeBack(submissionId: string, named: Named): Promise<void> {
    const { submission } = await this.markable.mine(submissionId, named.accountId);
    await this.acts.once(named, 'take back', async (manager) => {
      const { state } = await lockWork(manager, submission.workId);
      await this.markable.insistNewest(manager, submission);
      if (state !== 'returned') throw conflict('This map is not returned, so there is nothing to take back.');
      const { affected } = await manager.update(
        Submission,
        { id: submissionId, openedAt: IsNull() },
        { returnedBy: null, returnedAt: null, letter: null },
      );
      if (!affected) throw conflict('This return has been read already, so it stands.');
      await manager.update(Work, { id: submission.workId }, { state: 'being marked' });
      await this.verdicts.thaw(manager, submissionId);
      await this.trace(manager, submissionId, 'take back', named.accountId);
      return submissionId;
    });
    await this.works.stateChanged(submission.workId);
  }

  /** Returns every map of a pile on which nothing is left to judge. */
  async returnComplete(publicationId: string, named: Named, letter = ''): Promise<ReturnedMaps> {
    const { entries } = await this.piles.pile(publicationId, named.accountId);
    const open = entries.filter(({ state }) => state === 'handed in' || state === 'being marked');
    const complete = open.filter(({ submission }) => submission?.mark?.notJudged === 0);
    let returned = 0;
    for (const { submission } of complete) {
      try {
        await this.return(submission!.id, { accountId: named.accountId, act: randomUUID() }, letter);
        returned += 1;
      } catch (error) {
        // Handed in again, or returned by a colleague, in this very moment: it is simply not one of these.
        if (!(error instanceof Problem)) throw error;
      }
    }
    return { returned, left: open.length - returned };
  }

  /** A letter as one work's students read it, with the mark as it now is. */
  private async filled(letter: string, submission: Submission, work: Work): Promise<string> {
    const { marks, title } = await this.revisions.bodyOf(submission.revisionId);
    const comments = (await commentCounts(this.data.manager, [submission.id])).get(submission.id) ?? 0;
    return fillBlanks(letter, {
      name: work.members!.map(({ account }) => account!.givenName).join(' and '),
      mark: markWords(onScale({ sum: submission.sum, outOf: submission.sumOutOf }, marks ?? PLAIN_MARKS)),
      title,
      comments: comments === 1 ? 'one comment' : `${comments} comments`,
    }).slice(0, 4000);
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
    const { submission } = await this.markable.mine(submissionId, account.id);
    await this.data.transaction((manager) => this.markable.moveOn(manager, submission, 'handed in'));
    await this.works.stateChanged(submission.workId);
  }
}
