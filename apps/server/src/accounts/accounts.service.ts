import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { hash, verify } from '@node-rs/argon2';
import { NAME_FORM } from '@ichnograph/contract';
import type { AccountRow, Card, FirstAdministrator, NewAccount, NewStudent, Person } from '@ichnograph/contract';
import { DataSource, In } from 'typeorm';
import type { EntityManager } from 'typeorm';
import { Clock } from '../common/clock.js';
import { conflict } from '../common/problem.js';
import { isTaken, unlessTaken } from '../common/database-errors.js';
import { Account } from './account.entity.js';
import { firstPassword } from './first-password.js';
import { namesFor } from './names.js';
import { School } from './school.entity.js';

export const personOf = ({ id, givenName, familyName }: Person): Person => ({ id, givenName, familyName });
export const accountRowOf = (account: Account): AccountRow => ({
  ...personOf(account),
  name: account.name,
  role: account.role,
});

/** People, their passwords, and the school they belong to. Passwords are argon2id (RFC 9106). */
@Injectable()
export class AccountsService {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly clock: Clock,
  ) {}

  private get accounts() {
    return this.data.getRepository(Account);
  }

  school(): Promise<School | null> {
    return this.data.getRepository(School).findOneBy({ id: 1 });
  }

  async anyone(): Promise<boolean> {
    return this.accounts.exists();
  }

  list(): Promise<Account[]> {
    return this.accounts.find({ order: { familyName: 'ASC', givenName: 'ASC' } });
  }

  byId(id: string): Promise<Account | null> {
    return this.accounts.findOneBy({ id });
  }

  async people(ids: readonly string[]): Promise<Map<string, Person>> {
    const found = ids.length === 0 ? [] : await this.accounts.findBy({ id: In([...new Set(ids)]) });
    return new Map(found.map((account) => [account.id, personOf(account)]));
  }

  async create(
    { password, ...person }: NewAccount,
    id = randomUUID() as string,
    manager: EntityManager = this.data.manager,
    mustChangePassword = false,
  ): Promise<Account> {
    const account = {
      id,
      ...person,
      passwordHash: await hash(password),
      mustChangePassword,
      createdAt: this.clock.now(),
    };
    const taken = () => conflict(`The sign-in name “${person.name}” is taken. Choose another.`);
    await unlessTaken(manager.insert(Account, account), taken);
    return manager.create(Account, account);
  }

  /**
   * Makes the school and its first administrator; works once, on an empty installation.
   * @returns null where there is one already: of two who try at once, one fails on the school's primary key
   */
  async found({ school, timeZone, ...person }: FirstAdministrator): Promise<Account | null> {
    if (await this.school()) return null;
    try {
      return await this.data.transaction(async (manager) => {
        await manager.insert(School, { id: 1, name: school, timeZone });
        return this.create({ ...person, role: 'administrator' }, undefined, manager);
      });
    } catch (error) {
      if (isTaken(error, 'school')) return null;
      throw error;
    }
  }

  /** The account of a name (in its normal form) and password, or null. Takes as long for a name that nobody has. */
  async withPassword(name: string, password: string): Promise<Account | null> {
    const account = NAME_FORM.test(name)
      ? await this.accounts
          .createQueryBuilder('account')
          .addSelect('account.passwordHash')
          .where('account.name = :name', { name })
          .getOne()
      : null;
    const right = await verify(account?.passwordHash ?? NOBODYS_HASH, password);
    return account && right ? account : null;
  }

  async changePassword(account: Account, next: string): Promise<void> {
    await this.accounts.update({ id: account.id }, { passwordHash: await hash(next), mustChangePassword: false });
  }

  /** A first password again, in place of one that was forgotten. @returns it; it is stored nowhere but as a hash */
  async resetPassword(account: Account): Promise<string> {
    const password = firstPassword();
    await this.accounts.update({ id: account.id }, { passwordHash: await hash(password), mustChangePassword: true });
    return password;
  }

  /** Which of these names a student of the school has, whatever their letters' case. @returns their positions */
  async known(people: readonly NewStudent[]): Promise<number[]> {
    const key = (given: string, family: string): string => `${given.trim()} ${family.trim()}`.toLocaleLowerCase('en');
    // The database's comparison forgives more than letters' case: what it finds is compared again here.
    const found = await this.accounts.find({
      where: people.map(({ givenName, familyName }) => ({
        givenName: givenName.trim(),
        familyName: familyName.trim(),
        role: 'student' as const,
      })),
    });
    const names = new Set(found.map(({ givenName, familyName }) => key(givenName, familyName)));
    return people.flatMap(({ givenName, familyName }, i) => (names.has(key(givenName, familyName)) ? [i] : []));
  }

  /** Accounts for students of these names, each with a sign-in name that nobody has and a first password. */
  async createStudents(people: readonly NewStudent[], manager: EntityManager): Promise<Card[]> {
    const cards: Card[] = [];
    for (const { givenName, familyName } of people) {
      const name = await this.freeName(givenName, familyName, manager);
      const password = firstPassword();
      const person = { givenName: givenName.trim(), familyName: familyName.trim(), name, password };
      const { id } = await this.create({ ...person, role: 'student' }, undefined, manager, true);
      cards.push({ id, ...person });
    }
    return cards;
  }

  private async freeName(givenName: string, familyName: string, manager: EntityManager): Promise<string> {
    for (const name of namesFor(givenName, familyName)) if (!(await manager.existsBy(Account, { name }))) return name;
    throw new Error('there is no end to the names to try');
  }
}

/** Of a random password; with the same parameters as real ones. */
const NOBODYS_HASH = await hash(randomUUID());
