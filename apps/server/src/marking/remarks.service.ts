import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { evidenceOf, fillBlanks, openStoredReport } from '@ichnograph/core';
import type { Report } from '@ichnograph/core';
import type { KeepRemark, RemarkOnMany, RemarkPlace, RemarkRow, RemarksGiven, UseRemark } from '@ichnograph/contract';
import { In, IsNull } from 'typeorm';
import { Database } from '../common/database.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { AssignmentsService } from '../assignments/index.js';
import type { Publication } from '../assignments/index.js';
import { Clock } from '../common/clock.js';
import { notFound, Problem, refused } from '../common/problem.js';
import { Submission } from '../submissions/index.js';
import { ClassReadings } from '../class-readings/index.js';
import { lockWork, membersOf, WorksService } from '../works/index.js';
import { Comment } from './comment.entity.js';
import { Markable } from './markable.service.js';
import { Remark } from './remark.entity.js';

/** The remark bank: comments kept for use again, and one put on many works in one go. */
@Injectable()
export class Remarks {
  constructor(
    private readonly data: Database,
    private readonly assignments: AssignmentsService,
    private readonly readings: ClassReadings,
    private readonly markable: Markable,
    private readonly works: WorksService,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {}

  /** One's own, and what colleagues keep with the assignment; what is used most stands first. */
  async ofPublication(publicationId: string, accountId: string): Promise<RemarkRow[]> {
    const { assignmentId } = await this.markable.publication(publicationId, accountId);
    const rows = await this.data.getRepository(Remark).find({
      where: [{ ownerId: accountId, assignmentId: IsNull() }, { assignmentId }],
      order: { uses: 'DESC', usedAt: 'DESC', id: 'ASC' },
    });
    return rows.map(({ id, text, ownerId, assignmentId: of, requirement, evidence, uses }) => ({
      id,
      text,
      ofAssignment: of !== null,
      mine: ownerId === accountId,
      requirement,
      evidence,
      uses,
    }));
  }

  /** Keeps a remark; the same words that one keeps already are not kept twice. */
  async keep({ text, assignmentId, requirement, evidence }: KeepRemark, named: Named): Promise<string> {
    if (assignmentId !== undefined) await this.assignments.row(assignmentId, named.accountId);
    return this.acts.once(named, 'keep remark', async () => {
      const same = await this.data.manager.findOneBy(Remark, {
        ownerId: named.accountId,
        text,
        assignmentId: assignmentId ?? IsNull(),
      });
      if (same) return same.id;
      const id = randomUUID();
      await this.data.manager.insert(Remark, {
        id,
        ownerId: named.accountId,
        assignmentId: assignmentId ?? null,
        text,
        requirement: requirement ?? null,
        evidence: evidence ?? null,
        uses: 0,
        usedAt: this.clock.now(),
      });
      return id;
    });
  }

  async change(id: string, text: string, accountId: string): Promise<void> {
    const { affected } = await this.data.getRepository(Remark).update({ id, ownerId: accountId }, { text });
    if (!affected) throw notFound('remark');
  }

  async remove(id: string, accountId: string): Promise<void> {
    const { affected } = await this.data.getRepository(Remark).delete({ id, ownerId: accountId });
    if (!affected) throw notFound('remark');
  }

  /** Remembers with what a remark was used last. */
  async used(id: string, { requirement, evidence }: UseRemark, accountId: string): Promise<void> {
    const remark = await this.data.getRepository(Remark).findOneBy({ id });
    if (!remark) throw notFound('remark');
    if (remark.ownerId !== accountId) {
      if (remark.assignmentId === null) throw notFound('remark');
      await this.assignments.row(remark.assignmentId, accountId);
    }
    await this.data.getRepository(Remark).update(
      { id },
      {
        uses: () => 'uses + 1',
        usedAt: this.clock.now(),
        ...(requirement !== undefined && { requirement, evidence: evidence ?? null }),
      },
    );
  }

  /** Puts one remark on every work with the same evidence, or says what it would put there. */
  async onMany(publicationId: string, wanted: RemarkOnMany, named: Named): Promise<RemarksGiven> {
    const publication = await this.markable.publication(publicationId, named.accountId);
    const { places, submissions } = await this.places(publication, wanted);
    if (wanted.preview) return { batch: null, places };
    if (!wanted.works) throw refused('Choose the maps it is put on.');
    const chosen = places.filter(({ workId }) => wanted.works!.includes(workId));
    if (chosen.length < new Set(wanted.works).size) throw notFound('map with this evidence');
    // The act's own name is the batch's: sent twice, it is found again, and nothing is said twice.
    const batch = named.act;
    const put: RemarkPlace[] = [];
    for (const place of chosen) {
      const submission = submissions.get(place.submissionId)!;
      try {
        await this.putOn(submission, place, batch, named.accountId);
        put.push(place);
      } catch (error) {
        // Handed in again or returned in this very moment: it is simply not one of these.
        if (!(error instanceof Problem)) throw error;
      }
    }
    return { batch, places: put };
  }

  /** Deletes all that was said in one go, where it is not returned yet. */
  async takeBack(batch: string, accountId: string): Promise<{ taken: number }> {
    const comments = await this.data.getRepository(Comment).find({
      where: { batch, authorId: accountId, removedAt: IsNull() },
      relations: { submission: true },
    });
    if (comments.length === 0) throw notFound('remark that was put on many maps');
    let taken = 0;
    for (const { id, submission } of comments) {
      const done = await this.data.unit(async () => {
        const { state } = await lockWork(this.data, submission!.workId);
        if (state !== 'being marked') return false;
        await this.data.manager.update(Comment, { id }, { removedAt: this.clock.now() });
        await this.markable.letGoIfBare(submission!);
        return true;
      });
      if (!done) continue;
      taken += 1;
      await this.works.stateChanged(submission!.workId);
    }
    return { taken };
  }

  private async putOn(
    submission: Submission,
    { anchor, target, text }: RemarkPlace,
    batch: string,
    authorId: string,
  ): Promise<void> {
    await this.data.unit(async () => {
      await this.markable.moveOn(submission, 'being marked');
      const submissionId = submission.id;
      if (await this.data.manager.existsBy(Comment, { submissionId, batch })) return;
      await this.data.manager.insert(Comment, {
        id: randomUUID(),
        submissionId,
        anchor,
        target,
        text,
        authorId,
        at: this.clock.now(),
        removedAt: null,
        batch,
      });
    });
    await this.works.stateChanged(submission.workId);
  }

  /** What waits to be marked and has the evidence, with what the remark says there. */
  private async places(publication: Publication, { text, requirement, evidence }: RemarkOnMany) {
    const newest = (await this.readings.newest(publication.id)).filter(
      ({ work }) => work!.state === 'handed in' || work!.state === 'being marked',
    );
    const [reports, maps] = await Promise.all([this.reports(newest), this.readings.mapsOf(newest)]);
    const submissions = new Map(newest.map((one) => [one.id, one]));
    const places = newest.flatMap((one, i): RemarkPlace[] => {
      const result = reports.get(one.id)!.results.find(({ id }) => id === requirement);
      const has = result?.evidence.some(({ code }) => evidence === undefined || code === evidence);
      if (!result || !has) return [];
      const members = membersOf(one.work!);
      const { anchor, target, blanks } = evidenceOf(maps[i]!, result, evidence);
      const name = members.map(({ givenName }) => givenName).join(' and ');
      const said = fillBlanks(text, { ...blanks, name }).slice(0, 2000);
      return [{ workId: one.workId, submissionId: one.id, members, anchor, target, text: said }];
    });
    return { places, submissions };
  }

  private async reports(submissions: readonly Submission[]): Promise<Map<string, Report>> {
    const rows = await this.data
      .getRepository(Submission)
      .find({ where: { id: In(submissions.map(({ id }) => id)) }, select: { id: true, report: true } });
    return new Map(rows.map(({ id, report }) => [id, openStoredReport(report)]));
  }
}
