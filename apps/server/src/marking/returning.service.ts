import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { fillBlanks, leftToJudge, markWords } from '@ichnograph/core';
import type { MarkDetail, ShownMark } from '@ichnograph/core';
import type { ReturnedMaps, ReturnMaps } from '@ichnograph/contract';
import { IsNull } from 'typeorm';
import { Database } from '../common/database.js';
import type { Account } from '../accounts/index.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Revisions } from '../assignments/index.js';
import { Clock } from '../common/clock.js';
import { conflict, Problem, refused } from '../common/problem.js';
import { Submission } from '../submissions/index.js';
import { Work, WorksService } from '../works/index.js';
import { MarkChange } from './mark-change.entity.js';
import { commentCounts } from './comment-rows.js';
import { Markable } from './markable.service.js';
import { PileService } from './pile.service.js';
import { Sums } from './sums.service.js';
import { Verdicts } from './verdicts.service.js';

/** A marked map's way back to its students. */
@Injectable()
export class Returning {
  constructor(
    private readonly data: Database,
    private readonly markable: Markable,
    private readonly verdicts: Verdicts,
    private readonly sums: Sums,
    private readonly revisions: Revisions,
    private readonly works: WorksService,
    private readonly piles: PileService,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {}

  /**
   * Gives the map back with its comments; the student may then revise. What is not judged counts nothing for good, so that
   * whoever returns it all the same has to say so.
   */
  async return(submissionId: string, named: Named, { letter = '', unjudged = false }: ReturnMaps = {}): Promise<void> {
    const { submission, work } = await this.markable.mine(submissionId, named.accountId);
    await this.acts.once(named, 'return', async () => {
      const now = await this.markable.moveOn(submission, 'returned');
      const { mark, propositions } = await this.sums.freeze(submissionId);
      if (!unjudged && leftToJudge(mark) > 0) throw await this.notComplete(now, mark);
      await this.verdicts.speak(submissionId, propositions);
      await this.data.manager.update(
        Submission,
        { id: submissionId },
        {
          returnedBy: named.accountId,
          returnedAt: this.clock.now(),
          openedAt: null,
          ...(await this.letters(letter, now, work, mark)),
        },
      );
      await this.trace(submissionId, 'return', mark.sum, named.accountId);
      return submissionId;
    });
    await this.works.stateChanged(submission.workId);
  }

  private async notComplete({ revisionId }: Submission, mark: MarkDetail): Promise<Problem> {
    const { criteria, requirements } = await this.revisions.bodyOf(revisionId);
    const { notJudged, toJudge, propositionsToJudge } = mark;
    return refused('Not everything on this map is judged, so it was not returned. What is not judged counts nothing.', [
      ...notJudged.map((id) => ({ path: `$.criteria.${id}`, reason: criteria.find((one) => one.id === id)!.name })),
      ...toJudge.map((id) => ({
        path: `$.requirements.${id}`,
        reason: `requirement ${requirements.findIndex((one) => one.id === id) + 1}`,
      })),
      ...(propositionsToJudge > 0
        ? [
            {
              path: '$.sentences',
              reason: propositionsToJudge === 1 ? 'one sentence' : `${propositionsToJudge} sentences`,
            },
          ]
        : []),
    ]);
  }

  /** Takes a return back, as long as no member has read it. */
  async takeBack(submissionId: string, named: Named): Promise<void> {
    const { submission } = await this.markable.mine(submissionId, named.accountId);
    await this.acts.once(named, 'take back', async () => {
      const { state } = await this.markable.hold(submission);
      const { sum } = await this.markable.insistNewest(submission);
      if (state !== 'returned') throw conflict('This map is not returned, so there is nothing to take back.');
      const { affected } = await this.data.manager.update(
        Submission,
        { id: submissionId, openedAt: IsNull() },
        { returnedBy: null, returnedAt: null, letter: null },
      );
      if (!affected) throw conflict('This return has been read already, so it stands.');
      await this.data.manager.update(Work, { id: submission.workId }, { state: 'being marked' });
      await this.verdicts.unsay(submissionId);
      await this.sums.thaw(submissionId);
      await this.trace(submissionId, 'take back', sum, named.accountId);
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
        await this.return(submission!.id, { accountId: named.accountId, act: randomUUID() }, { letter });
        returned += 1;
      } catch (error) {
        // Handed in again, or returned by a colleague, in this very moment: it is simply not one of these.
        if (!(error instanceof Problem)) throw error;
      }
    }
    return { returned, left: open.length - returned };
  }

  /** A letter as one work's students read it, with the mark and the comments that go with it: each with their own mark. */
  private async letters(
    letter: string,
    { id, revisionId }: Submission,
    work: Work,
    group: MarkDetail,
  ): Promise<Partial<Pick<Submission, 'letter' | 'ownMarks'>>> {
    if (letter.trim() === '') return { letter: null };
    const { title } = await this.revisions.bodyOf(revisionId);
    const comments = (await commentCounts(this.data, [id])).get(id) ?? 0;
    const members = work.members!.map(({ account }) => account!);
    const to = (people: readonly Account[], mark: ShownMark): string =>
      fillBlanks(letter, {
        name: people.map(({ givenName }) => givenName).join(' and '),
        mark: markWords(mark),
        title,
        comments: comments === 1 ? 'one comment' : `${comments} comments`,
      }).slice(0, 4000);
    const { ownMarks } = await this.data.manager.findOneByOrFail(Submission, { id });
    const withLetters = ownMarks?.map((own) => ({
      ...own,
      letter: to(
        members.filter((one) => one.id === own.accountId),
        own.shown,
      ),
    }));
    return { letter: to(members, group.shown), ownMarks: withLetters ?? null };
  }

  /** A return carries the mark that was frozen with it. */
  private async trace(
    submissionId: string,
    kind: 'return' | 'take back',
    sum: number,
    authorId: string,
  ): Promise<void> {
    const [before, after] = kind === 'return' ? [null, sum] : [sum, null];
    const at = this.clock.now();
    await this.data.manager.insert(MarkChange, {
      submissionId,
      kind,
      subject: 'sum',
      before,
      after,
      reason: '',
      authorId,
      at,
    });
  }

  /** Lets go of a map that is being marked: its students may work on it again. What was written stays. */
  async letGo(submissionId: string, account: Account): Promise<void> {
    const { submission } = await this.markable.mine(submissionId, account.id);
    await this.data.unit(() => this.markable.moveOn(submission, 'handed in'));
    await this.works.stateChanged(submission.workId);
  }
}
