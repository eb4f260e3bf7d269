import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { grouped } from '@ichnograph/core';
import type { ClassRow, NewEnrolment, Part, Person, RosterEntry } from '@ichnograph/contract';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import { Account, AccountsService, personOf } from '../accounts/index.js';
import { conflict, forbidden, notFound, refused } from '../common/problem.js';
import { Enrolment } from './enrolment.entity.js';
import { SchoolClass } from './school-class.entity.js';

/** Those who may see what a class's students hand in. */
export const STAFF: Part[] = ['teacher', 'assistant'];

@Injectable()
export class ClassesService {
  private readonly leaveListeners: ((accountId: string) => void)[] = [];

  constructor(
    private readonly data: Database,
    private readonly accounts: AccountsService,
  ) {}

  /** Told when a person leaves a class, who may then do less. */
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
    const parts = new Map(
      (await this.data.getRepository(Enrolment).findBy({ accountId: id })).map((row) => [row.classId, row.part]),
    );
    return classes.map(({ id: classId, name, joinCode, archivedAt }) => {
      const part = parts.get(classId) ?? null;
      return {
        id: classId,
        name,
        students: byClass.get(classId) ?? 0,
        archived: archivedAt !== null,
        part,
        joinCode: part === 'teacher' || role === 'administrator' ? joinCode : null,
      };
    });
  }

  async roster(classId: string, parts: readonly Part[] = ['student', ...STAFF]): Promise<RosterEntry[]> {
    const rows = await this.data.getRepository(Enrolment).find({
      where: { classId, part: In([...parts]) },
      relations: { account: true },
      order: { account: { givenName: 'ASC', familyName: 'ASC' } },
    });
    return rows.map(({ account, part }) => ({ ...personOf(account!), name: account!.name, part }));
  }

  /** The students of several classes, by class, in the roster's order. */
  async rosters(classIds: readonly string[]): Promise<Map<string, Person[]>> {
    if (classIds.length === 0) return new Map();
    const rows = await this.data
      .createQueryBuilder()
      .select(['e.class_id AS classId', 'a.id AS id', 'a.given_name AS givenName', 'a.family_name AS familyName'])
      .from(Enrolment, 'e')
      .innerJoin(Account, 'a', 'a.id = e.account_id')
      .where("e.class_id IN (:...classIds) AND e.part = 'student'", { classIds })
      .orderBy('a.given_name')
      .addOrderBy('a.family_name')
      .getRawMany<Person & { classId: string }>();
    return grouped(rows, ({ classId }) => classId);
  }

  async create(name: string, id = randomUUID() as string): Promise<SchoolClass> {
    const made = { id, name, joinCode: null, archivedAt: null };
    await this.data.manager.insert(SchoolClass, made);
    return made;
  }

  async namesOf(ids: readonly string[]): Promise<Map<string, string>> {
    if (ids.length === 0) return new Map();
    const classes = await this.data.getRepository(SchoolClass).findBy({ id: In([...ids]) });
    return new Map(classes.map(({ id, name }) => [id, name]));
  }

  async byId(id: string): Promise<SchoolClass> {
    const found = await this.data.getRepository(SchoolClass).findOneBy({ id });
    if (!found) throw notFound('class');
    return found;
  }

  /** Lets a person into a class, or gives one who is in it another part; inside a transaction. */
  async enrol(classId: string, { accountId, part }: NewEnrolment, by: Account | null = null): Promise<void> {
    // One after the other: of five at once the first lets them in, and the others hear that they are.
    const { name } = await this.locked(classId);
    const account = await this.accounts.byId(accountId);
    if (!account) throw notFound('person');
    if (part !== 'student' && account.role === 'student')
      throw refused('A student cannot teach a class. Give the account another role first.');
    if (part === 'student' && account.role !== 'student')
      throw refused(`${account.givenName} has no student’s account, and so is no student of a class.`);
    if (part !== 'student' && account.role !== 'teacher')
      throw refused(`${account.givenName} has no teacher’s account, and so teaches no class.`);
    const now = await this.data.manager.findOneBy(Enrolment, { classId, accountId });
    if (now?.part === part) throw conflict(`${account.givenName} is in ${name} already.`);
    if (now?.part === 'teacher' && by) insistOwn(by, account);
    await this.data.manager.save(Enrolment, { classId, accountId, part });
  }

  /** The class's row, locked for the rest of the unit of work. */
  private async locked(id: string): Promise<SchoolClass> {
    const found = await this.data.manager.findOne(SchoolClass, { where: { id }, lock: { mode: 'pessimistic_write' } });
    if (!found) throw notFound('class');
    return found;
  }

  /** Takes a person out of a class; a colleague goes by their own hand or the administrator's, and one teacher stays. */
  async takeOut(classId: string, accountId: string, by: Account): Promise<void> {
    await this.data.unit(async () => {
      await this.locked(classId);
      if ((await this.partIn(classId, accountId)) === 'teacher') {
        insistOwn(by, (await this.accounts.byId(accountId))!);
        const teachers = await this.data.getRepository(Enrolment).countBy({ classId, part: 'teacher' });
        if (teachers === 1 && by.role !== 'administrator')
          throw conflict('You are the only teacher of this class. Let a colleague in first.');
      }
      await this.data.manager.delete(Enrolment, { classId, accountId });
    });
    this.left(accountId);
  }

  /** Those who teach the classes that a person is in. */
  async staffOf(accountId: string): Promise<string[]> {
    const classIds = await this.classIdsOf(accountId, ['student', ...STAFF]);
    const rows = await this.data.getRepository(Enrolment).findBy({ classId: In(classIds), part: In(STAFF) });
    return [...new Set(rows.map((row) => row.accountId))];
  }

  /** Those who teach a class, by their names. */
  async teaching(classId: string): Promise<Person[]> {
    const rows = await this.data
      .getRepository(Enrolment)
      .find({ where: { classId, part: In(STAFF) }, relations: { account: true } });
    return rows.map(({ account }) => personOf(account!)).toSorted((a, b) => a.familyName.localeCompare(b.familyName));
  }

  async names(ids: readonly string[]): Promise<Map<string, string>> {
    if (ids.length === 0) return new Map();
    const rows = await this.data.getRepository(SchoolClass).findBy({ id: In([...ids]) });
    return new Map(rows.map(({ id, name }) => [id, name]));
  }

  /** Tells those who must know that somebody may do less now. */
  left(accountId: string): void {
    for (const listener of this.leaveListeners) listener(accountId);
  }

  /** Puts a class away, or takes it out again: what was made in it is read, and nothing is drawn or handed in. */
  async archive(classId: string, archivedAt: Date | null): Promise<void> {
    await this.data.getRepository(SchoolClass).update({ id: classId }, { archivedAt });
    for (const { accountId } of await this.data.getRepository(Enrolment).findBy({ classId })) this.left(accountId);
  }
}

/** @throws unless somebody changes their own part, or runs the school */
function insistOwn(by: Account, of: Account): void {
  if (by.id !== of.id && by.role !== 'administrator')
    throw forbidden(
      `${of.givenName} teaches this class too: only they themselves or an administrator can change that.`,
    );
}
