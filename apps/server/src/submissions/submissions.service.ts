import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { writeAssignment } from '@ichnograph/core';
import type { SubmissionDetail } from '@ichnograph/contract';
import { DataSource } from 'typeorm';
import type { Account } from '../accounts/index.js';
import { AccountsService } from '../accounts/index.js';
import { bodyOf } from '../assignments/index.js';
import { notFound } from '../common/problem.js';
import { commentsOf } from './comments.js';
import { membersOf, Submission, WorksService } from '../works/index.js';

@Injectable()
export class SubmissionsService {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly works: WorksService,
    private readonly accounts: AccountsService,
  ) {}

  /** A submission and its work, if the person is a member or teaches the class. */
  async seen(id: string, accountId: string) {
    const submission = await this.data
      .getRepository(Submission)
      .findOne({ where: { id }, relations: { revision: true } });
    if (!submission) throw notFound('map');
    return { submission, ...(await this.works.seen(submission.workId, accountId)) };
  }

  async detail(id: string, { id: accountId }: Account): Promise<SubmissionDetail> {
    const { submission, work, isStaff } = await this.seen(id, accountId);
    const { number, map, report, handedInAt, handedInBy, late, note, leftOut, returnedAt, returnedBy } = submission;
    const newest = (await this.data.getRepository(Submission).countBy({ workId: work.id })) === number;
    const people = await this.accounts.people([handedInBy, ...(returnedBy ? [returnedBy] : [])]);
    const publication = work.publication!;
    // A submission is drawn and read with its own revision; the teacher's answer stays with the teacher.
    const assignment = bodyOf(submission.revision!);
    return {
      id,
      workId: work.id,
      publicationId: publication.id,
      number,
      title: assignment.title,
      className: publication.schoolClass!.name,
      members: membersOf(work),
      handedInBy: people.get(handedInBy)!,
      handedInAt: handedInAt.toISOString(),
      due: publication.due?.toISOString() ?? null,
      late,
      note,
      leftOut,
      state: work.state,
      returnedAt: returnedAt?.toISOString() ?? null,
      returnedBy: returnedBy ? people.get(returnedBy)! : null,
      revision: submission.revision!.number,
      map,
      report,
      newest,
      assignment: writeAssignment(isStaff ? assignment : { ...assignment, reference: null }),
      comments: isStaff || returnedAt ? await commentsOf(this.data.manager, id) : [],
    };
  }
}
