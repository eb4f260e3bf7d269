import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { readAssignment, sameAssignment, writeAssignment } from '@ichnograph/core';
import type { Assignment as AssignmentBody } from '@ichnograph/core';
import type { ChangePublication, Extend, NewPublication } from '@ichnograph/contract';
import { Database } from '../common/database.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Assignment, AssignmentsService, Extension, Publication, Revisions } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { unlessTaken } from '../common/database-errors.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { SheetsService } from './sheets.service.js';

/** Gives assignments out: what is written becomes a revision, and a class gets it. */
@Injectable()
export class PublicationsService {
  constructor(
    private readonly data: Database,
    private readonly sheets: SheetsService,
    private readonly assignments: AssignmentsService,
    private readonly revisions: Revisions,
    private readonly classes: ClassesService,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {}

  /** Gives the assignment, as its sheet stands, to a class of one's own. @returns the publication's id */
  async publish(
    id: string,
    { classId, due, opens, mayHandInAgain, showsReference, showsExample }: NewPublication,
    named: Named,
  ): Promise<string> {
    const { rulesOf } = await this.assignments.changeable(id, named.accountId);
    if (rulesOf) throw refused('Standing rules are put in force, not given out.');
    if ((await this.classes.partIn(classId, named.accountId)) !== 'teacher') throw notFound('class');
    if ((await this.classes.byId(classId)).archivedAt)
      throw conflict('This class is put away. Take it out again before it gets an assignment.');
    const now = this.clock.now();
    // No due time may be said by leaving it out, or by null, as answers say it.
    const dueDate = due == null ? null : new Date(due);
    if (dueDate && dueDate <= now)
      throw refused('The due time is past. Choose a later one.', [{ path: '$.due', reason: 'is past' }]);
    const opensAt = opens == null ? null : new Date(opens);
    if (opensAt && dueDate && opensAt >= dueDate)
      throw refused('It would open after it is due. Choose an earlier time to open it.', [
        { path: '$.opens', reason: 'is after the due time' },
      ]);
    const body = await this.complete(id);
    return this.acts.once(named, 'publish', async () => {
      const publication = {
        id: randomUUID(),
        assignmentId: id,
        revisionId: await this.revisionOf(id, body),
        classId,
        due: dueDate,
        mayHandInAgain: mayHandInAgain ?? true,
        opensAt,
        showsReference: showsReference ?? false,
        showsExample: showsExample ?? true,
        closedAt: null,
        createdAt: now,
      };
      await unlessTaken(this.data.manager.insert(Publication, publication), () =>
        conflict('This class has the assignment already.'),
      );
      return publication.id;
    });
  }

  /** Moves the due time, closes early or opens again, says from when, lets hand in again or not, shows the reference or not. */
  async change(
    id: string,
    { due, opens, mayHandInAgain, showsReference, showsExample, closed }: ChangePublication,
    accountId: string,
  ): Promise<void> {
    const publication = await this.own(id, accountId);
    const dueDate = due == null ? null : new Date(due);
    if (dueDate && dueDate <= this.clock.now() && dueDate.getTime() !== publication.due?.getTime())
      throw refused('The due time is past. Choose a later one, or close the assignment.', [
        { path: '$.due', reason: 'is past' },
      ]);
    // Only what is said: what somebody else changed meanwhile, such as the revision, stays.
    const wanted = {
      ...(due !== undefined && { due: dueDate }),
      ...(opens !== undefined && { opensAt: opens === null ? null : new Date(opens) }),
      ...(mayHandInAgain !== undefined && { mayHandInAgain }),
      ...(showsReference !== undefined && { showsReference }),
      ...(showsExample !== undefined && { showsExample }),
      ...(closed !== undefined && { closedAt: closed ? (publication.closedAt ?? this.clock.now()) : null }),
    };
    if (Object.keys(wanted).length > 0) await this.data.getRepository(Publication).update({ id }, wanted);
  }

  /** More time for one student of the class. */
  async extend(id: string, { accountId, due }: Extend, by: string): Promise<void> {
    const publication = await this.own(id, by);
    if ((await this.classes.partIn(publication.classId, accountId)) !== 'student') throw notFound('student');
    const extensions = this.data.getRepository(Extension);
    if (due === null) {
      await extensions.delete({ publicationId: id, accountId });
      return;
    }
    if (publication.due === null) throw refused('This assignment has no due time, so nobody needs more.');
    if (new Date(due) <= publication.due)
      throw refused('More time ends later than the due time of the class.', [
        { path: '$.due', reason: 'is too early' },
      ]);
    await extensions.save({ publicationId: id, accountId, due: new Date(due) });
  }

  /** A publication in a class that one teaches. */
  async own(id: string, accountId: string): Promise<Publication> {
    const publication = await this.data.getRepository(Publication).findOneBy({ id });
    if (!publication || (await this.classes.partIn(publication.classId, accountId)) !== 'teacher')
      throw notFound('assignment');
    return publication;
  }

  /** What is written, as a file of it would be read; what is still missing is said by its place. */
  async complete(id: string): Promise<AssignmentBody> {
    const { value, messages } = readAssignment(writeAssignment(await this.sheets.frozen(id)));
    if (value) return value;
    throw refused('The sheet is not complete yet, so nothing was given out.', messages.slice(0, 20));
  }

  /** The revision that holds exactly this, made now if the newest one holds something else. */
  async revisionOf(assignmentId: string, body: AssignmentBody): Promise<string> {
    // One after the other: revisions are numbered without a gap.
    await this.data.manager.findOneOrFail(Assignment, {
      where: { id: assignmentId },
      lock: { mode: 'pessimistic_write' },
    });
    const newest = await this.revisions.newest(assignmentId);
    if (newest && sameAssignment(await this.revisions.bodyOf(newest.id), body)) return newest.id;
    return this.revisions.add(assignmentId, (newest?.number ?? 0) + 1, body);
  }
}
