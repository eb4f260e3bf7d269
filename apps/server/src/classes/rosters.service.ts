import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { Card, NewStudents } from '@ichnograph/contract';
import { Database } from '../common/database.js';
import type { Account } from '../accounts/index.js';
import { AccountsService, SessionsService, Tries } from '../accounts/index.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { IsNull } from 'typeorm';
import { ClassesService } from './classes.service.js';
import { Enrolment } from './enrolment.entity.js';
import { newJoinCode, normalCode } from './join-code.js';
import { SchoolClass } from './school-class.entity.js';

/** Who comes into a class, how, and who leaves it: for its teachers and the administrator. */
@Injectable()
export class RostersService {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly accounts: AccountsService,
    private readonly sessions: SessionsService,
    private readonly acts: Acts,
    private readonly tries: Tries,
  ) {}

  /** @throws unless this person teaches the class, or runs the school */
  async managed(classId: string, { id, role }: Account): Promise<SchoolClass> {
    if (role !== 'administrator' && (await this.classes.partIn(classId, id)) !== 'teacher') throw notFound('class');
    const found = await this.classes.byId(classId);
    return found;
  }

  /** Makes accounts for all of these names and lets them in: all of them, or none. */
  async bringIn(classId: string, { people }: NewStudents, account: Account, named: Named): Promise<Card[]> {
    await this.managed(classId, account);
    let cards: Card[] = [];
    const passwords = await this.accounts.firstPasswords(people.length);
    const done = await this.acts.once(named, 'bring in names', async () => {
      cards = await this.accounts.createStudents(people, passwords);
      await this.data.manager.insert(
        Enrolment,
        cards.map(({ id }) => ({ classId, accountId: id, part: 'student' as const })),
      );
      return classId;
    });
    // A second arrival of the same act made nothing, and first passwords are said once.
    if (cards.length === 0 && done)
      throw conflict(
        'These accounts are made already. Their first passwords are not kept: reset those whose cards you do not have.',
      );
    return cards;
  }

  /** Which of these names the school knows already: they may be somebody who has an account. */
  async known(classId: string, { people }: NewStudents, account: Account): Promise<number[]> {
    await this.managed(classId, account);
    return this.accounts.known(people);
  }

  /** A first password again for a student of one's class. */
  async resetPassword(classId: string, accountId: string, by: Account): Promise<Card> {
    await this.managed(classId, by);
    if ((await this.classes.partIn(classId, accountId)) !== 'student') throw notFound('student');
    const student = (await this.accounts.byId(accountId))!;
    if (student.role !== 'student') throw notFound('student');
    const password = await this.accounts.resetPassword(student, by.id);
    await this.sessions.endAll(accountId);
    const { id, givenName, familyName, name } = student;
    return { id, givenName, familyName, name, password };
  }

  /** @returns the new code, or null where nobody may come in by one any more */
  async setJoinCode(classId: string, open: boolean, by: Account): Promise<string | null> {
    await this.managed(classId, by);
    const joinCode = open ? newJoinCode() : null;
    await this.data.getRepository(SchoolClass).update({ id: classId }, { joinCode });
    return joinCode;
  }

  /** Lets a signed-in student into the class of a code. @returns the class's name */
  async join(typed: string, student: Account): Promise<string> {
    const joinCode = normalCode(typed);
    const found = await this.tries.one({ 'join code': student.id }, () =>
      joinCode === ''
        ? Promise.resolve(null)
        : this.data.getRepository(SchoolClass).findOneBy({ joinCode, archivedAt: IsNull() }),
    );
    if (!found)
      throw refused('No class has this code. Check it with your teacher; codes can be closed.', [
        { path: '$.code', reason: 'is no code of a class' },
      ]);
    const act = { accountId: student.id, act: randomUUID() };
    await this.acts.once(act, 'join', async () => {
      await this.classes.enrol(found.id, { accountId: student.id, part: 'student' });
      return found.id;
    });
    return found.name;
  }

  /** Moves a student to another class that one teaches too; what they handed in stays where it was. */
  async move(classId: string, accountId: string, to: string, by: Account, named: Named): Promise<void> {
    await this.managed(classId, by);
    await this.managed(to, by);
    await this.acts.once(named, 'move', async () => {
      // Within the act: who sends it again is no longer in the class, and gets the first answer all the same.
      if ((await this.classes.partIn(classId, accountId)) !== 'student') throw notFound('student');
      await this.classes.enrol(to, { accountId, part: 'student' });
      await this.data.manager.delete(Enrolment, { classId, accountId });
      return to;
    });
    this.classes.left(accountId);
  }

  async leave(classId: string, accountId: string, by: Account): Promise<void> {
    await this.managed(classId, by);
    await this.classes.takeOut(classId, accountId, by);
  }
}
