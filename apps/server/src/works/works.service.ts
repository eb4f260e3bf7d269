import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { LIMITS, mapFromStarter } from '@ichnograph/core';
import { fillDocument } from '@ichnograph/livemap';
import { workDocument } from '@ichnograph/contract';
import type { Person } from '@ichnograph/contract';
import * as Y from 'yjs';
import { Database } from '../common/database.js';
import type { Account } from '../accounts/index.js';
import { AccountsService, personOf } from '../accounts/index.js';
import { Publication, Revisions } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { conflict, notFound } from '../common/problem.js';
import { LiveService, UpdateLog } from '../live/index.js';
import type { Right } from '../live/index.js';
import { GroupsService } from './groups.service.js';
import { WorkMember } from './work-member.entity.js';
import { SharesService } from '../shares/index.js';
import { Work } from './work.entity.js';

/** Whether nothing is drawn or handed in any more, whatever the state of a work. */
const isShut = ({ closedAt, schoolClass }: Publication): boolean =>
  closedAt !== null || Boolean(schoolClass?.archivedAt);

/**
 * Whether the members may change their map: until it is handed in, and after that until the teacher begins to mark,
 * where one may hand in again; in a class that was put away nothing is drawn any more.
 */
export const isOpen = ({ state, publication }: Pick<Work, 'state' | 'publication'>): boolean =>
  !isShut(publication!) && (state === 'in progress' || (state === 'handed in' && publication!.mayHandInAgain));

/** A work as somebody sees it. */
export interface Seen {
  work: Work;
  isMember: boolean;
  isStaff: boolean;
  /** one of the staff who marks a second time, and sees nothing of what the first gave and said */
  isBlind: boolean;
}

@Injectable()
export class WorksService {
  constructor(
    private readonly data: Database,
    private readonly revisions: Revisions,
    private readonly classes: ClassesService,
    private readonly accounts: AccountsService,
    private readonly groups: GroupsService,
    private readonly log: UpdateLog,
    private readonly live: LiveService,
    private readonly shares: SharesService,
    private readonly clock: Clock,
  ) {
    live.register('work', (id, accountId) => this.rightTo(id, accountId));
    shares.register('work', {
      mayShare: (id, accountId) => this.mayShare(id, accountId),
      shown: (id) => this.sharedAs(id),
    });
  }

  /** The student's work on a publication, begun now if it was not. The starter is laid in the same unit of work. */
  async begin(publicationId: string, account: Account): Promise<string> {
    const accountId = account.id;
    const publication = await this.data
      .getRepository(Publication)
      .findOne({ where: { id: publicationId }, relations: { schoolClass: true } });
    if (!publication || (await this.classes.partIn(publication.classId, accountId)) !== 'student')
      throw notFound('assignment');
    const existing = await this.begun(publicationId, accountId);
    if (existing) return existing;
    const { opensAt } = publication;
    if (isShut(publication))
      throw conflict('This assignment is closed, or its class is put away, so no map can be begun any more.');
    if (opensAt && opensAt > this.clock.now()) throw conflict('This assignment is not open yet.');
    const body = await this.revisions.bodyOf(publication.revisionId);
    return this.data.unit(async () => {
      // Two tabs, or two of a group, begin one after the other: the second goes to what the first began.
      await this.groups.lock(publication, accountId);
      const begun = await this.begun(publicationId, accountId);
      if (begun) return begun;
      const together = await this.groups.togetherWith(publication, accountId);
      const people = await this.accounts.people(together);
      const author = together
        .map((one) => nameOf(people.get(one)!))
        .join(', ')
        .slice(0, LIMITS.text);
      const doc = new Y.Doc();
      fillDocument(doc, mapFromStarter(body, author, randomUUID));
      const id = randomUUID();
      await this.data.manager.insert(Work, {
        id,
        publicationId,
        revisionId: publication.revisionId,
        state: 'in progress',
        begunAt: this.clock.now(),
      });
      await this.data.manager.insert(
        WorkMember,
        together.map((one) => ({ workId: id, accountId: one, publicationId })),
      );
      await this.log.create(workDocument(id), doc);
      return id;
    });
  }

  private async begun(publicationId: string, accountId: string): Promise<string | null> {
    const member = await this.data.getRepository(WorkMember).findOneBy({ publicationId, accountId });
    return member?.workId ?? null;
  }

  /** A work as its member or their teacher may see it; anyone else's is not there. */
  async seen(id: string, accountId: string): Promise<Seen> {
    const work = await this.data.getRepository(Work).findOne({
      where: { id },
      relations: { publication: { schoolClass: true }, revision: true, members: { account: true } },
    });
    if (!work) throw notFound('map');
    const part = await this.classes.partIn(work.publication!.classId, accountId);
    const isMember = part === 'student' && work.members!.some((member) => member.accountId === accountId);
    const isStaff = part === 'teacher' || part === 'assistant';
    if (!isMember && !isStaff) throw notFound('map');
    return { work, isMember, isStaff, isBlind: isStaff && work.publication!.secondMarkerId === accountId };
  }

  /** A work with its members, for what nobody in particular asks. */
  plain(id: string): Promise<Work | null> {
    return this.data.getRepository(Work).findOne({ where: { id }, relations: { members: { account: true } } });
  }

  /** Opens a returned work again, so that the student can revise and hand in once more. */
  async revise(id: string, { id: accountId }: Account): Promise<void> {
    const { work, isMember } = await this.seen(id, accountId);
    if (!isMember) throw notFound('map');
    if (!work.publication!.mayHandInAgain)
      throw conflict('This assignment is handed in once. What was returned stays as it is.');
    if (isShut(work.publication!))
      throw conflict('This assignment is closed, or its class is put away. What was returned stays as it is.');
    await this.data.unit(async () => {
      const locked = await lockWork(this.data, id);
      // Pressed twice, or an answer was lost: it is open, which is what was asked for.
      if (locked.state === 'in progress') return;
      if (locked.state !== 'returned')
        throw conflict('This map has not been returned, so there is nothing to open again.');
      await this.data.manager.update(Work, { id }, { state: 'in progress' });
    });
    await this.stateChanged(id);
  }

  /** Lets the live connections of a work do what its new state allows, and tells them. */
  stateChanged(id: string): Promise<void> {
    return this.live.changed(workDocument(id));
  }

  /** Something beside the map is otherwise: those who have it open ask again. */
  told(id: string): void {
    this.live.told(workDocument(id));
  }

  private async rightTo(id: string, accountId: string): Promise<Right> {
    const work = await this.data
      .getRepository(Work)
      .findOne({ where: { id }, relations: { publication: { schoolClass: true }, members: true } });
    if (!work) return null;
    const part = await this.classes.partIn(work.publication!.classId, accountId);
    if (part === 'teacher' || part === 'assistant') return 'read';
    if (part !== 'student' || !work.members!.some((member) => member.accountId === accountId))
      return this.shares.right('work', id, accountId);
    return isOpen(work) ? 'write' : 'read';
  }

  /** Its members share a work for what its assignment allows; those who teach look after what is shared. */
  private async mayShare(id: string, accountId: string): Promise<'write' | 'read' | null> {
    const { work, isMember } = await this.seen(id, accountId);
    if (!isMember) return null;
    const sharing = (await this.revisions.bodyOf(work.revisionId)).drawing?.sharing;
    return sharing === false ? null : sharing === true ? 'write' : 'read';
  }

  /** What those see with whom it is shared: the map and its makers, nothing of its requirements, comments and marks. */
  private async sharedAs(id: string) {
    const work = await this.data.getRepository(Work).findOneOrFail({
      where: { id },
      relations: { publication: { schoolClass: true }, members: { account: true } },
    });
    const { title, legend, drawing } = await this.revisions.bodyOf(work.revisionId);
    const allows: Right =
      drawing?.sharing === false ? null : drawing?.sharing === true && isOpen(work) ? 'write' : 'read';
    return { title, legend, madeBy: membersOf(work), allows };
  }
}

export const nameOf = ({ givenName, familyName }: Person): string => `${givenName} ${familyName}`;
export const membersOf = (work: Work): Person[] => work.members!.map(({ account }) => personOf(account!));

/**
 * The work's row, locked for the rest of the unit of work: its state decides what may happen next. Its publication is held
 * beside others first, so that what is done for a whole class comes before or after.
 */
export async function lockWork(data: Database, id: string): Promise<Work> {
  const { manager } = data;
  const { publicationId } = await manager.findOneOrFail(Work, { where: { id }, select: { publicationId: true } });
  await manager.findOne(Publication, { where: { id: publicationId }, lock: { mode: 'pessimistic_read' } });
  return manager.findOneOrFail(Work, { where: { id }, lock: { mode: 'pessimistic_write' } });
}
