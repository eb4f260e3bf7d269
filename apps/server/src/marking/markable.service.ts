import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import type { EntityManager } from 'typeorm';
import { Publication } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { conflict, forbidden, notFound } from '../common/problem.js';
import { Submission, SubmissionsService } from '../submissions/index.js';
import { lockWork, Work } from '../works/index.js';

type Next = 'handed in' | 'being marked' | 'returned';

const blind = () =>
  forbidden('You mark this class a second time, blind to what the first gave. Ask whoever marks first.');

/** Who may mark what, and when. The first word of marking closes the map to its students until it is returned. */
@Injectable()
export class Markable {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
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
    if (seen.isBlind) throw blind();
    return seen;
  }
}
