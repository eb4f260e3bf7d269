import { Injectable } from '@nestjs/common';
import { newsOf, withoutAnswers, writeAssignment } from '@ichnograph/core';
import type { WorkDetail } from '@ichnograph/contract';
import { Database } from '../common/database.js';
import type { Account } from '../accounts/index.js';
import { DueTimes, Revisions } from '../assignments/index.js';
import { isOpen, membersOf, WorksService } from '../works/index.js';
import type { Work } from '../works/index.js';
import { submissionRowOf } from './submission-rows.js';
import { Submission } from './submission.entity.js';

/** Working on and handing in again is possible until the teacher has begun to mark, where the publication allows it. */
export const mayHandIn = ({ state, publication }: Work, submissions: number): boolean =>
  isOpen({ state, publication }) && (submissions === 0 || publication!.mayHandInAgain);

/** What the map page is sent: a work, its assignment, and what was handed in of it. */
@Injectable()
export class WorkPages {
  constructor(
    private readonly data: Database,
    private readonly works: WorksService,
    private readonly revisions: Revisions,
    private readonly dueTimes: DueTimes,
  ) {}

  async detail(id: string, { id: accountId }: Account): Promise<WorkDetail> {
    const { work, isMember, isStaff, isBlind } = await this.works.seen(id, accountId);
    const [submissions, assignment, due, movedFrom] = await Promise.all([
      this.data.getRepository(Submission).find({ where: { workId: id }, order: { number: 'DESC' } }),
      this.revisions.bodyOf(work.revisionId),
      this.dueTimes.of(
        work.publication!,
        work.members!.map((member) => member.accountId),
      ),
      work.movedFrom ? this.revisions.withBody(work.movedFrom) : null,
    ]);
    const publication = work.publication!;
    return {
      id,
      publicationId: publication.id,
      className: publication.schoolClass!.name,
      state: work.state,
      due: due?.toISOString() ?? null,
      news: movedFrom && { from: movedFrom.number, ...newsOf(movedFrom.body, assignment) },
      mayEdit: isMember && isOpen(work),
      mayHandIn: isMember && mayHandIn(work, submissions.length),
      mayHandInAgain: publication.mayHandInAgain,
      showsExample: publication.showsExample,
      members: membersOf(work),
      revision: work.revision!.number,
      title: assignment.title,
      submissions: submissions.map((one) => submissionRowOf(one, { isStaff, isBlind, accountId })),
      // The teacher's own answers stay with the teacher.
      assignment: writeAssignment(isStaff ? assignment : withoutAnswers(assignment)),
    };
  }
}
