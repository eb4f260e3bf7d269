import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { mapFromStarter, writeAssignment } from '@ichnograph/core';
import { fillDocument } from '@ichnograph/livemap';
import { workDocument } from '@ichnograph/contract';
import type { Person, WorkDetail, WorkState } from '@ichnograph/contract';
import { DataSource } from 'typeorm';
import type { EntityManager } from 'typeorm';
import * as Y from 'yjs';
import type { Account } from '../accounts/index.js';
import { AccountsService, personOf } from '../accounts/index.js';
import { bodyOf, Publication } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { conflict, notFound } from '../common/problem.js';
import { LiveService, UpdateLog } from '../live/index.js';
import type { Right } from '../live/index.js';
import { submissionRowOf } from './submission-rows.js';
import { Submission } from './submission.entity.js';
import { WorkMember } from './work-member.entity.js';
import { Work } from './work.entity.js';

/**
 * Whether the members may change their map: until it is handed in, and after that until the teacher begins to mark,
 * where one may hand in again.
 */
const isOpen = ({ state, publication }: Pick<Work, 'state' | 'publication'>): boolean =>
  state === 'in progress' || (state === 'handed in' && publication!.mayHandInAgain);

@Injectable()
export class WorksService {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly classes: ClassesService,
    private readonly accounts: AccountsService,
    private readonly log: UpdateLog,
    private readonly live: LiveService,
    private readonly clock: Clock,
  ) {
    live.decideBy((name, accountId) => this.rightTo(name, accountId));
  }

  /** The student's work on a publication, begun now if it was not. The starter is laid in the same transaction. */
  async begin(publicationId: string, { id: accountId }: Account): Promise<string> {
    const publication = await this.data
      .getRepository(Publication)
      .findOne({ where: { id: publicationId }, relations: { revision: true } });
    if (!publication || (await this.classes.partIn(publication.classId, accountId)) !== 'student')
      throw notFound('assignment');
    const existing = await this.data.getRepository(WorkMember).findOneBy({ publicationId, accountId });
    if (existing) return existing.workId;
    const workId = randomUUID();
    const author = nameOf((await this.accounts.people([accountId])).get(accountId)!);
    const doc = new Y.Doc();
    fillDocument(doc, mapFromStarter(bodyOf(publication.revision!), author, randomUUID));
    try {
      await this.data.transaction(async (manager) => {
        await manager.insert(Work, {
          id: workId,
          publicationId,
          revisionId: publication.revisionId,
          state: 'in progress',
          begunAt: this.clock.now(),
        });
        await manager.insert(WorkMember, { workId, accountId, publicationId });
        await this.log.create(manager, workDocument(workId), doc);
      });
      return workId;
    } catch (error) {
      // Two tabs began at once: the unique key let one through, and both go to its work.
      const first = await this.data.getRepository(WorkMember).findOneBy({ publicationId, accountId });
      if (!first) throw error;
      return first.workId;
    }
  }

  /** A work as its member or their teacher may see it; anyone else's is not there. */
  async seen(id: string, accountId: string): Promise<{ work: Work; isMember: boolean; isStaff: boolean }> {
    const work = await this.data.getRepository(Work).findOne({
      where: { id },
      relations: { publication: { schoolClass: true }, revision: true, members: { account: true } },
    });
    if (!work) throw notFound('map');
    const part = await this.classes.partIn(work.publication!.classId, accountId);
    const isMember = part === 'student' && work.members!.some((member) => member.accountId === accountId);
    const isStaff = part === 'teacher' || part === 'assistant';
    if (!isMember && !isStaff) throw notFound('map');
    return { work, isMember, isStaff };
  }

  async detail(id: string, { id: accountId }: Account): Promise<WorkDetail> {
    const { work, isMember } = await this.seen(id, accountId);
    const submissions = await this.data
      .getRepository(Submission)
      .find({ where: { workId: id }, order: { number: 'DESC' } });
    const publication = work.publication!;
    return {
      id,
      publicationId: publication.id,
      className: publication.schoolClass!.name,
      state: work.state,
      due: publication.due?.toISOString() ?? null,
      mayEdit: isMember && isOpen(work),
      mayHandIn: isMember && mayHandIn(work, submissions.length),
      mayHandInAgain: publication.mayHandInAgain,
      members: membersOf(work),
      revision: work.revision!.number,
      title: bodyOf(work.revision!).title,
      submissions: submissions.map(submissionRowOf),
      // The teacher's own answer stays with the teacher.
      assignment: writeAssignment({ ...bodyOf(work.revision!), reference: null }),
    };
  }

  /** Opens a returned work again, so that the student can revise and hand in once more. */
  async revise(id: string, { id: accountId }: Account): Promise<void> {
    const { work, isMember } = await this.seen(id, accountId);
    if (!isMember) throw notFound('map');
    if (!work.publication!.mayHandInAgain)
      throw conflict('This assignment is handed in once. What was returned stays as it is.');
    await this.data.transaction(async (manager) => {
      const locked = await lockWork(manager, id);
      if (locked.state !== 'returned')
        throw conflict('This map has not been returned, so there is nothing to open again.');
      await manager.update(Work, { id }, { state: 'in progress' });
    });
    this.afterState(work, 'in progress');
  }

  /** Tells the live connections of a work what its new state lets them do. */
  afterState(work: Work, state: WorkState): void {
    const members = new Set(membersOf(work).map((member) => member.id));
    const open = isOpen({ ...work, state });
    this.live.setWritable(workDocument(work.id), (accountId) => open && members.has(accountId));
  }

  private async rightTo(documentName: string, accountId: string): Promise<Right> {
    const [, workId] = /^work:(.+)$/.exec(documentName) ?? [];
    if (!workId) return null;
    const work = await this.data
      .getRepository(Work)
      .findOne({ where: { id: workId }, relations: { publication: true, members: true } });
    if (!work) return null;
    const part = await this.classes.partIn(work.publication!.classId, accountId);
    if (part === 'teacher' || part === 'assistant') return 'read';
    if (part !== 'student' || !work.members!.some((member) => member.accountId === accountId)) return null;
    return isOpen(work) ? 'write' : 'read';
  }
}

export const nameOf = ({ givenName, familyName }: Person): string => `${givenName} ${familyName}`;
export const membersOf = (work: Work): Person[] => work.members!.map(({ account }) => personOf(account!));

/** Working on and handing in again is possible until the teacher has begun to mark, where the publication allows it. */
export const mayHandIn = ({ state, publication }: Work, submissions: number): boolean =>
  isOpen({ state, publication }) && (submissions === 0 || publication!.mayHandInAgain);

/** The work's row, locked for the rest of the transaction: its state decides what may happen next. */
export async function lockWork(manager: EntityManager, id: string): Promise<Work> {
  return manager.findOneOrFail(Work, { where: { id }, lock: { mode: 'pessimistic_write' } });
}
