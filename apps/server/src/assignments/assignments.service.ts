import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { readAssignment, writeAssignment } from '@ichnograph/core';
import type { Assignment as AssignmentBody } from '@ichnograph/core';
import type { AssignmentDetail, AssignmentRow, NewPublication, PublicationRow } from '@ichnograph/contract';
import { DataSource, In } from 'typeorm';
import type { Account } from '../accounts/index.js';
import { AccountsService } from '../accounts/index.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { ClassesService, STAFF } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { conflict, forbidden, notFound, refused } from '../common/problem.js';
import { unlessTaken } from '../common/database-errors.js';
import { Assignment } from './assignment.entity.js';
import { Collaborator } from './collaborator.entity.js';
import { Publication } from './publication.entity.js';
import { Revision } from './revision.entity.js';
import { Revisions } from './revisions.service.js';

/**
 * Assignments as those see them who set them: the owner and collaborators change and give out, the teachers and
 * assistants of a class that has one read it.
 */
@Injectable()
export class AssignmentsService {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly revisions: Revisions,
    private readonly classes: ClassesService,
    private readonly accounts: AccountsService,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {}

  /** Takes an assignment file in as a new assignment with its first revision. Refuses by path and reason. */
  async bringIn(file: Record<string, unknown>, named: Named): Promise<string> {
    const body = this.read(file);
    return this.acts.once(named, 'bring in an assignment', async (manager) => {
      const id = randomUUID();
      await manager.insert(Assignment, {
        id,
        ownerId: named.accountId,
        title: body.title,
        createdAt: this.clock.now(),
      });
      await this.revisions.add(manager, id, 1, body);
      return id;
    });
  }

  private read(file: Record<string, unknown>): AssignmentBody {
    const { value, messages } = readAssignment(file);
    if (value) return value;
    const [first] = messages;
    throw refused(`This file was not taken: ${first?.path} ${first?.reason}.`, messages.slice(0, 20));
  }

  async list({ id: accountId }: Account): Promise<AssignmentRow[]> {
    const [shared, published] = await Promise.all([
      this.data.getRepository(Collaborator).findBy({ accountId }),
      this.givenTo(await this.classes.classIdsOf(accountId, STAFF)),
    ]);
    const ids = [...shared.map(({ assignmentId }) => assignmentId), ...published.map((one) => one.assignmentId)];
    const seen = await this.data
      .getRepository(Assignment)
      .find({ where: [{ ownerId: accountId }, { id: In(ids) }], order: { createdAt: 'DESC' } });
    return this.rowsOf(seen, accountId);
  }

  async detail(id: string, { id: accountId }: Account): Promise<AssignmentDetail> {
    const assignment = await this.data.getRepository(Assignment).findOneBy({ id });
    if (!assignment || !(await this.maySee(assignment, accountId))) throw notFound('assignment');
    const [row] = await this.rowsOf([assignment], accountId);
    const { id: revisionId } = await this.revisions.latest(id);
    return { ...row!, file: writeAssignment(await this.revisions.bodyOf(revisionId)) };
  }

  /** Gives the newest revision to a class of one's own. */
  async publish(id: string, { classId, due, mayHandInAgain }: NewPublication, named: Named): Promise<string> {
    await this.changeable(id, named.accountId);
    if ((await this.classes.partIn(classId, named.accountId)) !== 'teacher') throw notFound('class');
    const now = this.clock.now();
    // No due time may be said by leaving it out, or by null, as answers say it.
    const dueDate = due == null ? null : new Date(due);
    if (dueDate && dueDate <= now)
      throw refused('The due time is past. Choose a later one.', [{ path: '$.due', reason: 'is past' }]);
    const { id: revisionId } = await this.revisions.latest(id);
    return this.acts.once(named, 'publish', async (manager) => {
      const publication = {
        id: randomUUID(),
        assignmentId: id,
        revisionId,
        classId,
        due: dueDate,
        mayHandInAgain: mayHandInAgain ?? true,
        createdAt: now,
      };
      await unlessTaken(manager.insert(Publication, publication), () =>
        conflict('This class has the assignment already.'),
      );
      return publication.id;
    });
  }

  /** Lets another teacher change and give out the assignment too. */
  async share(id: string, accountId: string, owner: Account): Promise<void> {
    await this.changeable(id, owner.id);
    const other = await this.accounts.byId(accountId);
    if (!other || other.role === 'student') throw notFound('teacher');
    await unlessTaken(this.data.getRepository(Collaborator).insert({ assignmentId: id, accountId }), () =>
      conflict(`${other.givenName} has this assignment already.`),
    );
  }

  async unshare(id: string, accountId: string, owner: Account): Promise<void> {
    await this.changeable(id, owner.id);
    await this.data.getRepository(Collaborator).delete({ assignmentId: id, accountId });
  }

  private async mayChange({ id, ownerId }: Assignment, accountId: string): Promise<boolean> {
    return (
      ownerId === accountId || (await this.data.getRepository(Collaborator).existsBy({ assignmentId: id, accountId }))
    );
  }

  private async maySee(assignment: Assignment, accountId: string): Promise<boolean> {
    if (await this.mayChange(assignment, accountId)) return true;
    const given = await this.givenTo(await this.classes.classIdsOf(accountId, STAFF));
    return given.some(({ assignmentId }) => assignmentId === assignment.id);
  }

  private async changeable(id: string, accountId: string): Promise<Assignment> {
    const found = await this.data.getRepository(Assignment).findOneBy({ id });
    if (!found || !(await this.maySee(found, accountId))) throw notFound('assignment');
    if (!(await this.mayChange(found, accountId)))
      throw forbidden('This assignment is a colleague’s. Ask them to share it with you.');
    return found;
  }

  private async givenTo(classIds: readonly string[]): Promise<Publication[]> {
    return classIds.length === 0 ? [] : this.data.getRepository(Publication).findBy({ classId: In([...classIds]) });
  }

  private async rowsOf(assignments: readonly Assignment[], accountId: string): Promise<AssignmentRow[]> {
    if (assignments.length === 0) return [];
    const ids = In(assignments.map(({ id }) => id));
    const [revisions, publications, shared, owners, mine] = await Promise.all([
      this.data.getRepository(Revision).find({ where: { assignmentId: ids }, order: { number: 'ASC' } }),
      this.data.getRepository(Publication).find({
        where: { assignmentId: ids },
        relations: { schoolClass: true, revision: true },
        order: { createdAt: 'ASC' },
      }),
      this.data.getRepository(Collaborator).findBy({ assignmentId: ids }),
      this.accounts.people(assignments.map(({ ownerId }) => ownerId)),
      this.classes.classIdsOf(accountId, STAFF),
    ]);
    return assignments.map((assignment): AssignmentRow => {
      const { id, title, ownerId, createdAt } = assignment;
      const newest = revisions.filter((revision) => revision.assignmentId === id).at(-1)!;
      const mayChange =
        ownerId === accountId || shared.some((one) => one.assignmentId === id && one.accountId === accountId);
      return {
        id,
        title,
        focusQuestion: newest.focusQuestion,
        revision: newest.number,
        broughtIn: createdAt.toISOString(),
        owner: owners.get(ownerId)!,
        mayChange,
        // Who only teaches a class that has it need not know of the others.
        publications: publications
          .filter(({ assignmentId, classId }) => assignmentId === id && (mayChange || mine.includes(classId)))
          .map(publicationRowOf),
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
