import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { ClassRow, NewEnrolment, Part, RosterEntry } from '@ichnograph/contract';
import { DataSource, In } from 'typeorm';
import type { Account } from '../accounts/index.js';
import { AccountsService, personOf } from '../accounts/index.js';
import { notFound, refused } from '../common/problem.js';
import { Enrolment } from './enrolment.entity.js';
import { SchoolClass } from './school-class.entity.js';

/** Those who may see what a class's students hand in. */
export const STAFF: Part[] = ['teacher', 'assistant'];

@Injectable()
export class ClassesService {
  private readonly leaveListeners: ((accountId: string) => void)[] = [];

  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly accounts: AccountsService,
  ) {}

  /** Told when a person leaves a class, whose live connections must then end. */
  onLeave(listener: (accountId: string) => void): void {
    this.leaveListeners.push(listener);
  }

  async partIn(classId: string, accountId: string): Promise<Part | null> {
    return (await this.data.getRepository(Enrolment).findOneBy({ classId, accountId }))?.part ?? null;
  }

  async isStaff(classId: string, accountId: string): Promise<boolean> {
    const part = await this.partIn(classId, accountId);
    return part !== null && STAFF.includes(part);
  }

  async classIdsOf(accountId: string, parts: readonly Part[]): Promise<string[]> {
    const rows = await this.data.getRepository(Enrolment).findBy({ accountId, part: In([...parts]) });
    return rows.map((row) => row.classId);
  }

  /** The classes a person may see: an administrator all, others those they are in. */
  async list({ id, role }: Account): Promise<ClassRow[]> {
    const mine = role === 'administrator' ? {} : { id: In(await this.classIdsOf(id, ['student', ...STAFF])) };
    const classes = await this.data.getRepository(SchoolClass).find({ where: mine, order: { name: 'ASC' } });
    const counts = await this.data
      .getRepository(Enrolment)
      .createQueryBuilder('e')
      .select('e.class_id', 'classId')
      .addSelect('COUNT(*)', 'students')
      .where('e.part = :part', { part: 'student' })
      .groupBy('e.class_id')
      .getRawMany<{ classId: string; students: string }>();
    const byClass = new Map(counts.map(({ classId, students }) => [classId, Number(students)]));
    return classes.map(({ id: classId, name }) => ({ id: classId, name, students: byClass.get(classId) ?? 0 }));
  }

  async roster(classId: string, parts: readonly Part[] = ['student', ...STAFF]): Promise<RosterEntry[]> {
    const rows = await this.data.getRepository(Enrolment).find({
      where: { classId, part: In([...parts]) },
      relations: { account: true },
      order: { account: { givenName: 'ASC', familyName: 'ASC' } },
    });
    return rows.map(({ account, part }) => ({ ...personOf(account!), name: account!.name, part }));
  }

  async create(name: string, id = randomUUID() as string): Promise<SchoolClass> {
    return this.data.getRepository(SchoolClass).save({ id, name });
  }

  async byId(id: string): Promise<SchoolClass> {
    const found = await this.data.getRepository(SchoolClass).findOneBy({ id });
    if (!found) throw notFound('class');
    return found;
  }

  async enrol(classId: string, { accountId, part }: NewEnrolment): Promise<void> {
    await this.byId(classId);
    const account = await this.accounts.byId(accountId);
    if (!account) throw notFound('person');
    if (part !== 'student' && account.role === 'student')
      throw refused('A student cannot teach a class. Give the account another role first.');
    await this.data.getRepository(Enrolment).save({ classId, accountId, part });
  }

  async leave(classId: string, accountId: string): Promise<void> {
    await this.data.getRepository(Enrolment).delete({ classId, accountId });
    for (const listener of this.leaveListeners) listener(accountId);
  }
}
