import { Injectable } from '@nestjs/common';
import { agreementOf } from '@ichnograph/core';
import type { CriterionAgreement, GiveSecondMark, SecondMarking, SecondMarkRow } from '@ichnograph/contract';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import { personOf } from '../accounts/index.js';
import { Publication, Revisions } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { conflict, forbidden, notFound, refused } from '../common/problem.js';
import { SubmissionsService } from '../submissions/index.js';
import { ClassReadings } from '../class-readings/index.js';
import { membersOf } from '../works/index.js';
import { Markable } from './markable.service.js';
import { JudgementEntry } from './judgement.entity.js';
import { SecondMark } from './second-mark.entity.js';

/** Marking a second time, blind to the first, and how the two agree. */
@Injectable()
export class SecondMarkingService {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly markable: Markable,
    private readonly submissions: SubmissionsService,
    private readonly revisions: Revisions,
    private readonly readings: ClassReadings,
    private readonly clock: Clock,
  ) {}

  /** Says who marks a second time. What another one gave goes: two hands make no second marker. */
  async appoint(publicationId: string, marker: string | null, accountId: string): Promise<void> {
    const publication = await this.data.getRepository(Publication).findOneBy({ id: publicationId });
    const part = publication && (await this.classes.partIn(publication.classId, accountId));
    if (!part) throw notFound('assignment');
    if (part !== 'teacher') throw forbidden('Who marks a second time is said by those who teach the class.');
    const { classId, secondMarkerId } = publication;
    // Who was appointed can always step back; whom else to appoint is the first marker's to say.
    if (marker !== null) await this.markable.publication(publicationId, accountId);
    if (marker !== null && !(await this.classes.isStaff(classId, marker))) throw notFound('teacher of this class');
    if (marker === accountId) throw refused('You mark first here. Choose somebody else to mark a second time.');
    if (marker === secondMarkerId) return;
    await this.data.unit(async () => {
      await this.data.manager.update(Publication, { id: publicationId }, { secondMarkerId: marker });
      const ids = (await this.readings.newest(publicationId)).map(({ id }) => id);
      if (ids.length > 0) await this.data.manager.delete(SecondMark, { submissionId: In(ids) });
    });
  }

  /** Who marks a second time and how the two agree; for everybody who marks first. */
  async of(publicationId: string, accountId: string): Promise<SecondMarking> {
    const { classId, secondMarkerId, revisionId } = await this.markable.publication(publicationId, accountId);
    const [staff, { criteria }, newest] = await Promise.all([
      this.classes.roster(classId, ['teacher', 'assistant']),
      this.revisions.bodyOf(revisionId),
      this.readings.newest(publicationId),
    ]);
    const submissionId = In(newest.map(({ id }) => id));
    const [firsts, seconds] = await Promise.all([
      this.data.getRepository(JudgementEntry).findBy({ submissionId, kind: 'criterion' }),
      this.data.getRepository(SecondMark).findBy({ submissionId }),
    ]);
    const people = staff.map((one) => personOf(one));
    return {
      marker: people.find(({ id }) => id === secondMarkerId) ?? null,
      candidates: people.filter(({ id }) => id !== accountId),
      criteria: criteria.map(({ id, name, levels }): CriterionAgreement => {
        const works = newest.flatMap((one) => {
          const first = firsts.find((row) => row.submissionId === one.id && row.subject === id)?.value;
          const second = seconds.find((row) => row.submissionId === one.id && row.criterion === id)?.level;
          if (first === undefined || second === undefined) return [];
          return [{ workId: one.workId, members: membersOf(one.work!), first, second }];
        });
        return {
          criterion: id,
          name,
          levels: levels.map((level) => level.name),
          agreement: agreementOf(works, levels.length),
          works: works.sort((a, b) => Math.abs(b.first - b.second) - Math.abs(a.first - a.second)),
        };
      }),
    };
  }

  /** What the second marker gave so far. */
  async given(submissionId: string, accountId: string): Promise<SecondMarkRow[]> {
    await this.second(submissionId, accountId);
    const rows = await this.data.getRepository(SecondMark).findBy({ submissionId });
    return rows.map(({ criterion, level }) => ({ criterion, level }));
  }

  async give(submissionId: string, { criterion, level }: GiveSecondMark, accountId: string): Promise<void> {
    const { revisionId } = await this.second(submissionId, accountId);
    const { criteria } = await this.revisions.bodyOf(revisionId);
    const found = criteria.find(({ id }) => id === criterion);
    if (!found) throw notFound('criterion');
    if (level !== null && level >= found.levels.length)
      throw refused(`“${found.name}” has ${found.levels.length} levels.`, [
        { path: '$.level', reason: 'is none of its levels' },
      ]);
    await this.data.unit(async () => {
      const key = { submissionId, criterion };
      if (level === null) await this.data.manager.delete(SecondMark, key);
      else await this.data.manager.save(SecondMark, { ...key, level, authorId: accountId, at: this.clock.now() });
    });
  }

  private async second(submissionId: string, accountId: string) {
    const { submission, work, isStaff } = await this.submissions.seen(submissionId, accountId);
    if (!isStaff) throw notFound('map');
    if (work.publication!.secondMarkerId !== accountId) throw conflict('You do not mark this class a second time.');
    return submission;
  }
}
