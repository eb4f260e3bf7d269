import { Injectable } from '@nestjs/common';
import { In, IsNull } from 'typeorm';
import { Publication } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { Database } from '../common/database.js';
import { conflict, forbidden, notFound } from '../common/problem.js';
import { Submission, SubmissionsService } from '../submissions/index.js';
import { lockWork, Work } from '../works/index.js';
import { Comment } from './comment.entity.js';
import { JudgementEntry } from './judgement.entity.js';
import { MapVerdict } from './verdict.entities.js';

type Next = 'handed in' | 'being marked' | 'returned';

const OPEN = ['handed in', 'being marked'] as const;

const blind = () =>
  forbidden('You mark this class a second time, blind to what the first gave. Ask whoever marks first.');

/**
 * Who may mark what, and when. The first word of marking closes the map to its students until it is returned. Whoever
 * changes what makes up a mark holds its publication first and then its works, in the order of their ids: so nothing is
 * judged, returned, handed in or moved on beside it, and nobody waits in a circle.
 */
@Injectable()
export class Markable {
  constructor(
    private readonly data: Database,
    private readonly submissions: SubmissionsService,
    private readonly classes: ClassesService,
  ) {}

  /** A publication for those who mark it first. */
  async publication(id: string, accountId: string): Promise<Publication> {
    const publication = await this.data
      .getRepository(Publication)
      .findOne({ where: { id }, relations: { revision: true, schoolClass: true } });
    if (!publication || !(await this.classes.isStaff(publication.classId, accountId))) throw notFound('assignment');
    if (publication.secondMarkerId === accountId) throw blind();
    return publication;
  }

  /** Holds a work for the rest of the unit, while others of its class go on. @returns it as it is now */
  hold(submission: Pick<Submission, 'workId'>): Promise<Work> {
    return lockWork(this.data, submission.workId);
  }

  /**
   * Holds a whole class: its publication alone, and every work that waits to be marked.
   * @returns the newest thing handed in of each
   */
  async holdClass(publicationId: string): Promise<Submission[]> {
    const { manager } = this.data;
    await manager.findOne(Publication, { where: { id: publicationId }, lock: { mode: 'pessimistic_write' } });
    const works = await manager.find(Work, {
      where: { publicationId, state: In([...OPEN]) },
      order: { id: 'ASC' },
      lock: { mode: 'pessimistic_write' },
    });
    if (works.length === 0) return [];
    const all = await manager.find(Submission, {
      where: { workId: In(works.map(({ id }) => id)) },
      order: { number: 'ASC' },
    });
    return [...new Map(all.map((one) => [one.workId, one])).values()];
  }

  /** The state an act of marking leads to: only of the newest submission, only while it is handed in or being marked. */
  async moveOn(submission: Submission, next: Next): Promise<Submission> {
    const { state } = await this.hold(submission);
    const now = await this.insistNewest(submission);
    if (state !== 'handed in' && state !== 'being marked')
      throw conflict('This map has been returned, so it cannot be marked just now.');
    if (state !== next) await this.data.manager.update(Work, { id: submission.workId }, { state: next });
    return now;
  }

  /** @returns the submission as it is now */
  async insistNewest({ id, workId, number }: Submission): Promise<Submission> {
    if ((await this.data.manager.countBy(Submission, { workId })) !== number)
      throw conflict('This map was handed in again since. Open the newest one to mark it.');
    return this.data.manager.findOneByOrFail(Submission, { id });
  }

  /** Lets a held map go, where nothing is left of what was said and given on it. */
  async letGoIfBare({ id: submissionId, workId }: Submission): Promise<void> {
    const { manager } = this.data;
    const marked =
      (await manager.existsBy(Comment, { submissionId, removedAt: IsNull() })) ||
      (await manager.existsBy(JudgementEntry, { submissionId })) ||
      (await manager.existsBy(MapVerdict, { workId }));
    if (!marked) await manager.update(Work, { id: workId, state: 'being marked' }, { state: 'handed in' });
  }

  /** @throws unless this person marks the map */
  async mine(submissionId: string, accountId: string) {
    const seen = await this.submissions.seen(submissionId, accountId);
    if (!seen.isStaff) throw notFound('map');
    if (seen.isBlind) throw blind();
    return seen;
  }
}
