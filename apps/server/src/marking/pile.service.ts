import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Pile, PileEntry } from '@ichnograph/contract';
import { DataSource, In } from 'typeorm';
import { bodyOf, Publication } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { notFound } from '../common/problem.js';
import { flagsOf, membersOf, Submission, submissionRowOf, Work } from '../works/index.js';

@Injectable()
export class PileService {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly classes: ClassesService,
  ) {}

  /** Every student of the class with what came of the assignment, in the roster's order. */
  async pile(publicationId: string, accountId: string): Promise<Pile> {
    const publication = await this.data.getRepository(Publication).findOne({
      where: { id: publicationId },
      relations: { revision: true, schoolClass: true },
    });
    if (!publication || !(await this.classes.isStaff(publication.classId, accountId))) throw notFound('assignment');
    const works = await this.data
      .getRepository(Work)
      .find({ where: { publicationId }, relations: { members: { account: true } } });
    const submissions = await this.newestOf(works.map((work) => work.id));
    const students = await this.classes.roster(publication.classId, ['student']);
    const entries = students.map((student): PileEntry => {
      const work = works.find(({ members }) => members!.some((member) => member.accountId === student.id));
      const submission = work && submissions.get(work.id);
      return {
        workId: work?.id ?? null,
        state: work?.state ?? 'not begun',
        late: submission?.late ?? false,
        members: work
          ? membersOf(work)
          : [{ id: student.id, givenName: student.givenName, familyName: student.familyName }],
        submission: submission ? { ...submissionRowOf(submission), flags: flagsOf(submission) } : null,
      };
    });
    const seen = new Set<string>();
    return {
      publicationId,
      assignmentId: publication.revision!.assignmentId,
      title: bodyOf(publication.revision!).title,
      className: publication.schoolClass!.name,
      due: publication.due?.toISOString() ?? null,
      // A group's work stands once, under its first member.
      entries: entries.filter(({ workId }) => workId === null || (!seen.has(workId) && seen.add(workId))),
    };
  }

  private async newestOf(workIds: readonly string[]): Promise<Map<string, Submission>> {
    const all =
      workIds.length === 0
        ? []
        : await this.data.getRepository(Submission).find({
            where: { workId: In([...workIds]) },
            order: { number: 'ASC' },
          });
    return new Map(all.map((submission) => [submission.workId, submission]));
  }
}
