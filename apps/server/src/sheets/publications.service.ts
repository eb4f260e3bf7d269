import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { readAssignment, writeAssignment } from '@ichnograph/core';
import type { Assignment as AssignmentBody } from '@ichnograph/core';
import type { NewPublication } from '@ichnograph/contract';
import type { EntityManager } from 'typeorm';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Assignment, AssignmentsService, Publication, Revisions } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { unlessTaken } from '../common/database-errors.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { SheetsService } from './sheets.service.js';

/** Gives assignments out: what is written becomes a revision, and a class gets it. */
@Injectable()
export class PublicationsService {
  constructor(
    private readonly sheets: SheetsService,
    private readonly assignments: AssignmentsService,
    private readonly revisions: Revisions,
    private readonly classes: ClassesService,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {}

  /** Gives the assignment, as its sheet stands, to a class of one's own. @returns the publication's id */
  async publish(id: string, { classId, due, mayHandInAgain }: NewPublication, named: Named): Promise<string> {
    await this.assignments.changeable(id, named.accountId);
    if ((await this.classes.partIn(classId, named.accountId)) !== 'teacher') throw notFound('class');
    const now = this.clock.now();
    // No due time may be said by leaving it out, or by null, as answers say it.
    const dueDate = due == null ? null : new Date(due);
    if (dueDate && dueDate <= now)
      throw refused('The due time is past. Choose a later one.', [{ path: '$.due', reason: 'is past' }]);
    const body = complete(await this.sheets.frozen(id));
    return this.acts.once(named, 'publish', async (manager) => {
      const publication = {
        id: randomUUID(),
        assignmentId: id,
        revisionId: await this.revisionOf(manager, id, body),
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

  /** The revision that holds exactly this, made now if the newest one holds something else. */
  private async revisionOf(manager: EntityManager, assignmentId: string, body: AssignmentBody): Promise<string> {
    // One after the other: revisions are numbered without a gap.
    await manager.findOneOrFail(Assignment, { where: { id: assignmentId }, lock: { mode: 'pessimistic_write' } });
    const newest = await this.revisions.newest(assignmentId, manager);
    if (newest) {
      const before = writeAssignment(await this.revisions.bodyOf(newest.id));
      if (JSON.stringify(before) === JSON.stringify(writeAssignment(body))) return newest.id;
    }
    return this.revisions.add(manager, assignmentId, (newest?.number ?? 0) + 1, body);
  }
}

/** A sheet as its file is read; what is still missing is said by its place. */
function complete(body: AssignmentBody): AssignmentBody {
  const { value, messages } = readAssignment(writeAssignment(body));
  if (value) return value;
  throw refused('The sheet is not complete yet, so nothing was given out.', messages.slice(0, 20));
}
