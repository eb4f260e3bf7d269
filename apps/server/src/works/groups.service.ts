import { Injectable } from '@nestjs/common';
import type { Groups } from '@ichnograph/contract';
import { In, Not } from 'typeorm';
import { Database } from '../common/database.js';
import { Publication } from '../assignments/index.js';
import { ClassesService, Enrolment } from '../classes/index.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { GroupMember } from './group-member.entity.js';
import { WorkMember } from './work-member.entity.js';

/** Who makes one work together. Set by the teacher for those who have not begun; a begun work keeps its members. */
@Injectable()
export class GroupsService {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
  ) {}

  /** Those who make one work with this student, the student among them, who are still in the class. */
  async togetherWith(publication: Publication, accountId: string): Promise<string[]> {
    const groups = this.data.getRepository(GroupMember);
    const mine = await groups.findOneBy({ publicationId: publication.id, accountId });
    if (!mine) return [accountId];
    const members = await groups.findBy({ publicationId: publication.id, groupNumber: mine.groupNumber });
    const here = await this.classes.roster(publication.classId, ['student']);
    const begun = new Set(await this.begun(publication.id));
    return members.map((one) => one.accountId).filter((id) => here.some((one) => one.id === id) && !begun.has(id));
  }

  /** Those who make one work together begin one after the other, and none while groups are set anew: within a unit. */
  async lock({ id: publicationId, classId }: Publication, accountId: string): Promise<void> {
    const { manager } = this.data;
    await manager.findOne(Publication, { where: { id: publicationId }, lock: { mode: 'pessimistic_read' } });
    const mine = await manager.findOneBy(GroupMember, { publicationId, accountId });
    const mode = { mode: 'pessimistic_write' } as const;
    if (mine)
      await manager.find(GroupMember, {
        where: { publicationId, groupNumber: mine.groupNumber },
        order: { accountId: 'ASC' },
        lock: mode,
      });
    else await manager.findOne(Enrolment, { where: { classId, accountId }, lock: mode });
  }

  /** By publication, those who make or will make one work with this student, the student among them. */
  async makers(publicationIds: readonly string[], accountId: string): Promise<Map<string, string[]>> {
    if (publicationIds.length === 0) return new Map();
    const publicationId = In([...publicationIds]);
    const [begun, grouped] = [
      await this.data.getRepository(WorkMember).findBy({ publicationId }),
      await this.data.getRepository(GroupMember).findBy({ publicationId }),
    ];
    return new Map(
      publicationIds.map((id) => {
        const isMine = (one: { publicationId: string; accountId: string }): boolean =>
          one.publicationId === id && one.accountId === accountId;
        const work = begun.find(isMine)?.workId;
        const group = grouped.find(isMine)?.groupNumber;
        const together = work
          ? begun.filter((one) => one.workId === work)
          : grouped.filter((one) => one.publicationId === id && one.groupNumber === group);
        return [id, [accountId, ...together.map((one) => one.accountId)]];
      }),
    );
  }

  async of(publicationId: string, by: string): Promise<Groups> {
    const { classId } = await this.taught(publicationId, by);
    const [roster, rows, begun] = await Promise.all([
      this.classes.roster(classId, ['student']),
      this.data.getRepository(GroupMember).findBy({ publicationId }),
      this.begun(publicationId),
    ]);
    const numbers = new Map(rows.map(({ accountId, groupNumber }) => [accountId, groupNumber]));
    return {
      students: roster.map(({ id, givenName, familyName }) => ({
        person: { id, givenName, familyName },
        group: numbers.get(id) ?? null,
        begun: begun.includes(id),
      })),
    };
  }

  /** Says anew with whom those work who have not begun. */
  async set(publicationId: string, groups: readonly (readonly string[])[], by: string): Promise<void> {
    const { classId } = await this.taught(publicationId, by);
    const students = await this.classes.roster(classId, ['student']);
    const all = groups.flat();
    if (new Set(all).size < all.length) throw refused('Somebody stands in two groups.');
    await this.data.unit(async () => {
      const { manager } = this.data;
      await manager.findOne(Publication, { where: { id: publicationId }, lock: { mode: 'pessimistic_write' } });
      const begun = await this.begun(publicationId);
      for (const id of all) {
        const student = students.find((one) => one.id === id);
        if (!student) throw notFound('student');
        if (begun.includes(id)) throw conflict(`${student.givenName} has begun already, and goes on as they began.`);
      }
      await manager.delete(GroupMember, {
        publicationId,
        ...(begun.length > 0 && { accountId: Not(In(begun)) }),
      });
      const taken = await manager.findBy(GroupMember, { publicationId });
      const first = 1 + Math.max(0, ...taken.map(({ groupNumber }) => groupNumber));
      const rows = groups.flatMap((members, i) =>
        members.map((accountId) => ({ publicationId, accountId, groupNumber: first + i })),
      );
      if (rows.length > 0) await manager.insert(GroupMember, rows);
    });
  }

  private async begun(publicationId: string): Promise<string[]> {
    return (await this.data.getRepository(WorkMember).findBy({ publicationId })).map(({ accountId }) => accountId);
  }

  private async taught(publicationId: string, accountId: string): Promise<Publication> {
    const publication = await this.data.getRepository(Publication).findOneBy({ id: publicationId });
    if (!publication || (await this.classes.partIn(publication.classId, accountId)) !== 'teacher')
      throw notFound('assignment');
    return publication;
  }
}
