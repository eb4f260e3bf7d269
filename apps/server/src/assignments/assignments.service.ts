import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { FileRefused, readAssignment, writeAssignment } from '@ichnograph/core';
import type { Assignment as AssignmentBody } from '@ichnograph/core';
import type { AssignmentDetail, AssignmentRow, NewPublication, PublicationRow } from '@ichnograph/contract';
import { DataSource, In } from 'typeorm';
import type { Account } from '../accounts/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { Assignment } from './assignment.entity.js';
import { Publication } from './publication.entity.js';
import { Revision } from './revision.entity.js';

/** The assignment that a revision holds. Stored bodies were read once already, so a refusal here is a bug. */
export const bodyOf = (revision: Revision): AssignmentBody => readAssignment(revision.body);

@Injectable()
export class AssignmentsService {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly classes: ClassesService,
    private readonly clock: Clock,
  ) {}

  /** Takes an assignment file in as a new assignment with its first revision. Refuses by path and reason. */
  async bringIn(file: Record<string, unknown>, owner: Account): Promise<{ id: string; revisionId: string }> {
    const body = this.read(file);
    const now = this.clock.now();
    const [id, revisionId] = [randomUUID(), randomUUID()];
    await this.data.transaction(async (manager) => {
      await manager.insert(Assignment, { id, ownerId: owner.id, title: body.title, createdAt: now });
      await manager.insert(Revision, {
        id: revisionId,
        assignmentId: id,
        number: 1,
        body: writeAssignment(body) as object,
        createdAt: now,
      });
    });
    return { id, revisionId };
  }

  private read(file: Record<string, unknown>): AssignmentBody {
    try {
      return readAssignment(file);
    } catch (error) {
      if (!(error instanceof FileRefused)) throw error;
      throw refused(`This file was not taken: ${error.message}.`, error.problems.slice(0, 20));
    }
  }

  async list(owner: Account): Promise<AssignmentRow[]> {
    const mine = await this.data
      .getRepository(Assignment)
      .find({ where: { ownerId: owner.id }, order: { createdAt: 'DESC' } });
    return this.rowsOf(mine);
  }

  async detail(id: string, owner: Account): Promise<AssignmentDetail> {
    const assignment = await this.owned(id, owner);
    const [row] = await this.rowsOf([assignment]);
    return { ...row!, file: (await this.latest(id)).body };
  }

  /** Gives the newest revision to a class of one's own. */
  async publish(id: string, { classId, due, mayHandInAgain }: NewPublication, owner: Account): Promise<Publication> {
    await this.owned(id, owner);
    if ((await this.classes.partIn(classId, owner.id)) !== 'teacher') throw notFound('class');
    const revision = await this.latest(id);
    const already = await this.data
      .getRepository(Publication)
      .createQueryBuilder('p')
      .innerJoin('p.revision', 'r')
      .where('p.class_id = :classId AND r.assignment_id = :id', { classId, id })
      .getExists();
    if (already) throw conflict('This class has the assignment already.');
    const now = this.clock.now();
    // No due time may be said by leaving it out, or by null, as answers say it.
    const dueDate = due == null ? null : new Date(due);
    if (dueDate && dueDate <= now)
      throw refused('The due time is past. Choose a later one.', [{ path: '$.due', reason: 'is past' }]);
    return this.data.getRepository(Publication).save({
      id: randomUUID(),
      revisionId: revision.id,
      classId,
      due: dueDate,
      mayHandInAgain: mayHandInAgain ?? true,
      createdAt: now,
    });
  }

  private async owned(id: string, owner: Account): Promise<Assignment> {
    const found = await this.data.getRepository(Assignment).findOneBy({ id, ownerId: owner.id });
    if (!found) throw notFound('assignment');
    return found;
  }

  private async latest(assignmentId: string): Promise<Revision> {
    return this.data.getRepository(Revision).findOneOrFail({ where: { assignmentId }, order: { number: 'DESC' } });
  }

  private async rowsOf(assignments: readonly Assignment[]): Promise<AssignmentRow[]> {
    if (assignments.length === 0) return [];
    const ids = assignments.map(({ id }) => id);
    const revisions = await this.data
      .getRepository(Revision)
      .find({ where: { assignmentId: In(ids) }, order: { number: 'ASC' } });
    const publications = await this.data.getRepository(Publication).find({
      where: { revisionId: In(revisions.map(({ id }) => id)) },
      relations: { schoolClass: true, revision: true },
      order: { createdAt: 'ASC' },
    });
    return assignments.map(({ id, title, createdAt }) => {
      const newest = revisions.filter((revision) => revision.assignmentId === id).at(-1)!;
      return {
        id,
        title,
        focusQuestion: String(newest.body.focusQuestion),
        revision: newest.number,
        broughtIn: createdAt.toISOString(),
        publications: publications.filter(({ revision }) => revision!.assignmentId === id).map(publicationRowOf),
      };
    });
  }
}

const publicationRowOf = ({
  id,
  classId,
  schoolClass,
  revision,
  due,
  mayHandInAgain,
}: Publication): PublicationRow => ({
  id,
  classId,
  className: schoolClass!.name,
  revision: revision!.number,
  due: due?.toISOString() ?? null,
  mayHandInAgain,
});
