import { Injectable } from '@nestjs/common';
import {
  openStoredMap,
  openStoredReport,
  reportForStudents,
  withoutAnswers,
  writeAssignment,
  writeMap,
} from '@ichnograph/core';
import type { Assignment, Report, TopicMap } from '@ichnograph/core';
import type { SubmissionDetail } from '@ichnograph/contract';
import { In, IsNull, Not } from 'typeorm';
import { Database } from '../common/database.js';
import type { Account } from '../accounts/index.js';
import { AccountsService } from '../accounts/index.js';
import { Revisions } from '../assignments/index.js';
import { Clock } from '../common/clock.js';
import { notFound } from '../common/problem.js';
import { membersOf, WorksService } from '../works/index.js';
import type { Work } from '../works/index.js';
import { LookedAt } from './looked-at.entity.js';
import { submissionRowOf } from './submission-rows.js';
import { Submission } from './submission.entity.js';

const showsReference = ({ publication }: Work, { returnedAt }: Submission, { reference }: Assignment): boolean =>
  publication!.showsReference && returnedAt !== null && reference !== null;

/** What was written with a return, to one of a group as they read it. */
const letterTo = ({ letter, ownMarks }: Submission, accountId?: string): string | null =>
  ownMarks?.find((one) => one.accountId === accountId)?.letter ?? letter;

@Injectable()
export class SubmissionsService {
  constructor(
    private readonly data: Database,
    private readonly works: WorksService,
    private readonly revisions: Revisions,
    private readonly accounts: AccountsService,
    private readonly clock: Clock,
  ) {}

  private get submissions() {
    return this.data.getRepository(Submission);
  }

  /** A submission (without its bodies) and its work, if the person is a member or teaches the class. */
  async seen(id: string, accountId: string) {
    const submission = await this.submissions.findOne({ where: { id }, relations: { revision: true } });
    if (!submission) throw notFound('map');
    return { submission, ...(await this.works.seen(submission.workId, accountId)) };
  }

  /** The map that was handed in. */
  async mapOf(id: string): Promise<TopicMap> {
    return openStoredMap((await this.bodies(id)).map);
  }

  /** The report it was handed in with. */
  async reportOf(id: string): Promise<Report> {
    return openStoredReport((await this.bodies(id)).report);
  }

  /** The maps that were handed in last of these works, by work. */
  async newestOf(workIds: readonly string[]): Promise<Map<string, TopicMap>> {
    if (workIds.length === 0) return new Map();
    const rows = await this.submissions.find({
      where: { workId: In([...workIds]) },
      order: { number: 'ASC' },
      select: { id: true, workId: true, map: true },
    });
    return new Map(rows.map(({ workId, map }) => [workId, openStoredMap(map)]));
  }

  bodies(id: string): Promise<Submission> {
    return this.submissions.findOneOrFail({ where: { id }, select: { id: true, map: true, report: true } });
  }

  /** @param looks whether who marks looks at it now: what is written out for a class nobody has looked at */
  async detail(id: string, { id: accountId }: Account, looks = true): Promise<SubmissionDetail> {
    const { submission, work, isMember, isStaff, isBlind } = await this.seen(id, accountId);
    const { number, handedInAt, handedInBy, late, note, leftOut, returnedAt, returnedBy } = submission;
    if (isMember && returnedAt) await this.markRead(id);
    if (isStaff && looks) await this.noteLook(id, accountId);
    const [{ map, report }, all, people, assignment] = await Promise.all([
      this.bodies(id),
      this.submissions.find({ where: { workId: work.id }, order: { number: 'DESC' } }),
      this.accounts.people([handedInBy, ...(returnedBy ? [returnedBy] : [])]),
      // A submission is drawn and read with its own revision; the teacher's answer stays with the teacher.
      this.revisions.bodyOf(submission.revisionId),
    ]);
    const publication = work.publication!;
    const whole = openStoredReport(report);
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
      due: submission.due?.toISOString() ?? null,
      late,
      note,
      broughtFrom: submission.broughtFrom,
      leftOut,
      state: work.state,
      returnedAt: returnedAt?.toISOString() ?? null,
      returnedBy: returnedBy ? people.get(returnedBy)! : null,
      opened: submission.openedAt !== null,
      revision: submission.revision!.number,
      map: writeMap(openStoredMap(map)),
      report: (isStaff ? whole : reportForStudents(whole)) as unknown as Record<string, unknown>,
      letter: isBlind ? null : letterTo(submission, isStaff ? undefined : accountId),
      marksSecond: isBlind,
      showsReference: showsReference(work, submission, assignment),
      submissions: all.map((one) => submissionRowOf(one, { isStaff, isBlind, accountId })),
      assignment: writeAssignment(isStaff ? assignment : withoutAnswers(assignment)),
    };
  }

  /** The teacher's own answer to what was handed in, for those whose map came back where the teacher allows it. */
  async reference(id: string, { id: accountId }: Account): Promise<TopicMap> {
    const { submission, work } = await this.seen(id, accountId);
    const assignment = await this.revisions.bodyOf(submission.revisionId);
    if (!showsReference(work, submission, assignment)) throw notFound('reference map');
    return assignment.reference!;
  }

  private async noteLook(submissionId: string, accountId: string): Promise<void> {
    await this.data
      .createQueryBuilder()
      .insert()
      .into(LookedAt)
      .values({ submissionId, accountId, at: this.clock.now() })
      .orIgnore()
      .execute();
  }

  /** From now on the return stands: a member has read it. */
  async markRead(id: string): Promise<void> {
    await this.submissions.update(
      { id, openedAt: IsNull(), returnedAt: Not(IsNull()) },
      { openedAt: this.clock.now() },
    );
  }
}
