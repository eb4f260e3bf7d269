import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { WORK_STATES } from '@ichnograph/contract';
import type { StudentTask, TeacherTask, WorkState } from '@ichnograph/contract';
import { DataSource, In } from 'typeorm';
import { Publication } from '../assignments/index.js';
import { ClassesService, STAFF } from '../classes/index.js';
import { Comment } from '../submissions/index.js';
import { Submission, Work } from '../works/index.js';

/** What the page Today shows: to a student what is due and came back, to a teacher what waits. */
@Injectable()
export class TodayService {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly classes: ClassesService,
  ) {}

  async forStudent(accountId: string): Promise<StudentTask[]> {
    const publications = await this.publications(await this.classes.classIdsOf(accountId, ['student']));
    const works =
      publications.length === 0
        ? []
        : await this.data.getRepository(Work).find({
            where: { publicationId: In(publications.map(({ id }) => id)), members: { accountId } },
          });
    const submissions = await this.submissionsOf(works);
    const remarks = await this.remarksOn(submissions.filter(({ returnedAt }) => returnedAt));
    return publications.map(({ id, revision, schoolClass, due }): StudentTask => {
      const work = works.find(({ publicationId }) => publicationId === id);
      const newest = submissions.filter(({ workId }) => workId === work?.id).at(-1);
      const returned = submissions.filter(({ workId, returnedAt }) => workId === work?.id && returnedAt).at(-1);
      return {
        publicationId: id,
        workId: work?.id ?? null,
        title: String(revision!.body.title),
        focusQuestion: String(revision!.body.focusQuestion),
        className: schoolClass!.name,
        due: due?.toISOString() ?? null,
        state: work?.state ?? 'not begun',
        handedIn: newest?.handedInAt.toISOString() ?? null,
        late: newest?.late ?? false,
        returnedAt: returned?.returnedAt?.toISOString() ?? null,
        submissionId: (returned ?? newest)?.id ?? null,
        remarks: returned ? (remarks.get(returned.id) ?? 0) : 0,
      };
    });
  }

  async forTeacher(accountId: string): Promise<TeacherTask[]> {
    const publications = await this.publications(await this.classes.classIdsOf(accountId, STAFF));
    const works =
      publications.length === 0
        ? []
        : await this.data.getRepository(Work).find({
            where: { publicationId: In(publications.map(({ id }) => id)) },
            relations: { members: true },
          });
    const submissions = await this.submissionsOf(works);
    const sizes = new Map<string, number>();
    for (const classId of new Set(publications.map((publication) => publication.classId))) {
      sizes.set(classId, (await this.classes.roster(classId, ['student'])).length);
    }
    return publications.map(({ id, revision, schoolClass, classId, due }): TeacherTask => {
      const here = works.filter(({ publicationId }) => publicationId === id);
      const counts = Object.fromEntries(WORK_STATES.map((state) => [state, 0])) as Record<WorkState, number>;
      for (const { state } of here) counts[state] += 1;
      const begun = here.reduce((sum, { members }) => sum + members!.length, 0);
      counts['not begun'] = Math.max(0, (sizes.get(classId) ?? 0) - begun);
      const waiting = here
        .filter(({ state }) => state === 'handed in' || state === 'being marked')
        .flatMap((work) => submissions.filter(({ workId }) => workId === work.id).at(-1)?.handedInAt ?? []);
      return {
        publicationId: id,
        assignmentId: revision!.assignmentId,
        title: String(revision!.body.title),
        className: schoolClass!.name,
        due: due?.toISOString() ?? null,
        counts,
        oldestWaiting: waiting.sort((a, b) => a.getTime() - b.getTime())[0]?.toISOString() ?? null,
      };
    });
  }

  private async publications(classIds: readonly string[]): Promise<Publication[]> {
    if (classIds.length === 0) return [];
    return this.data.getRepository(Publication).find({
      where: { classId: In([...classIds]) },
      relations: { revision: true, schoolClass: true },
      order: { due: 'ASC', createdAt: 'ASC' },
    });
  }

  private async submissionsOf(works: readonly Work[]): Promise<Submission[]> {
    if (works.length === 0) return [];
    return this.data.getRepository(Submission).find({
      select: { id: true, workId: true, number: true, handedInAt: true, late: true, returnedAt: true },
      where: { workId: In(works.map(({ id }) => id)) },
      order: { number: 'ASC' },
    });
  }

  private async remarksOn(submissions: readonly Submission[]): Promise<Map<string, number>> {
    if (submissions.length === 0) return new Map();
    const comments = await this.data
      .getRepository(Comment)
      .findBy({ submissionId: In(submissions.map(({ id }) => id)) });
    const counts = new Map<string, number>();
    for (const { submissionId } of comments) counts.set(submissionId, (counts.get(submissionId) ?? 0) + 1);
    return counts;
  }
}
