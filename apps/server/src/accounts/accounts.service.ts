import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { hash, verify } from '@node-rs/argon2';
import { NAME_FORM } from '@ichnograph/contract';
import type { AccountRow, Card, FirstAdministrator, NewAccount, NewStudent, Person } from '@ichnograph/contract';
import { In, Like } from 'typeorm';
import { Database } from '../common/database.js';
import { Clock } from '../common/clock.js';
import { conflict } from '../common/problem.js';
import { isTaken, unlessTaken } from '../common/database-errors.js';
import { Account } from './account.entity.js';
import { firstPassword } from './first-password.js';
import { namesFor, stemOf } from './names.js';
import { School } from './school.entity.js';

export const personOf = ({ id, givenName, familyName }: Person): Person => ({ id, givenName, familyName });
export const accountRowOf = (account: Account): AccountRow => ({
  ...personOf(account),
  name: account.name,
  role: account.role,
});

/** A password somebody is told once, and what is kept of it. */
export type FirstPassword = Pick<Account, 'passwordHash'> & { password: string };

/** People, their passwords, and the school they belong to. Passwords are argon2id (RFC 9106). */
@Injectable()
export class AccountsService {
  constructor(
    private readonly data: Database,
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

  /** Who made this account's first password anew, and when. */
  async resetOf({ resetBy, resetAt }: Account): Promise<{ by: Person; at: string } | null> {
    const by = resetBy === null ? undefined : (await this.people([resetBy])).get(resetBy);
    return by && resetAt ? { by, at: resetAt.toISOString() } : null;
  }

  async people(ids: readonly string[]): Promise<Map<string, Person>> {
    const found = ids.length === 0 ? [] : await this.accounts.findBy({ id: In([...new Set(ids)]) });
    return new Map(found.map((account) => [account.id, personOf(account)]));
  }

  /** Makes an account, by somebody else's hand where its password is a first one. */
  async create(wanted: NewAccount, first = false): Promise<Account> {
    return this.insert(await this.prepared(wanted, first));
  }

  /** An account that is not there yet. Its password is hashed, which is slow on purpose: never within a unit of work. */
  async prepared({ password, ...person }: NewAccount, mustChangePassword = false): Promise<Account> {
    return {
      id: randomUUID(),
      ...person,
      passwordHash: await this.hashed(password),
      mustChangePassword,
      resetBy: null,
      resetAt: null,
      createdAt: this.clock.now(),
    };
  }

  async insert(account: Account): Promise<Account> {
    const taken = () => conflict(`The sign-in name “${account.name}” is taken. Choose another.`);
    await unlessTaken(this.data.manager.insert(Account, account), taken);
    return account;
  }

  private hashed(password: string): Promise<string> {
    this.data.insistOutside('hashing a password');
    return hash(password);
  }

  /**
   * Makes the school and its first administrator; works once, on an empty installation.
   * @returns null where there is one already: of two who try at once, one fails on the school's primary key
   */
  async found({ school, timeZone, ...person }: FirstAdministrator): Promise<Account | null> {
    if (await this.school()) return null;
    const founder = await this.prepared({ ...person, role: 'administrator' });
    try {
      return await this.data.unit(async () => {
        await this.data.manager.insert(School, { id: 1, name: school, timeZone });
        return this.insert(founder);
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
    await this.accounts.update(
      { id: account.id },
      { passwordHash: await this.hashed(next), mustChangePassword: false, resetBy: null, resetAt: null },
    );
  }

  /** A first password again, in place of one that was forgotten. @returns it; it is stored nowhere but as a hash */
  async resetPassword(account: Account, byId: string): Promise<string> {
    const password = firstPassword();
    const passwordHash = await this.hashed(password);
    await this.accounts.update(
      { id: account.id },
      { passwordHash, mustChangePassword: true, resetBy: byId, resetAt: this.clock.now() },
    );
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

  /** First passwords for so many new students, hashed while nobody waits for it. */
  firstPasswords(many: number): Promise<FirstPassword[]> {
    return Promise.all(
      Array.from({ length: many }, async () => {
        const password = firstPassword();
        return { password, passwordHash: await this.hashed(password) };
      }),
    );
  }

  /** Accounts for students of these names, each with a sign-in name that nobody has; within a unit of work. */
  async createStudents(people: readonly NewStudent[], passwords: readonly FirstPassword[]): Promise<Card[]> {
    const taken = await this.namesLike(people);
    const students = people.map(({ givenName, familyName }, i) => {
      const name = freeOf(namesFor(givenName, familyName), taken);
      taken.add(name);
      return { id: randomUUID(), givenName: givenName.trim(), familyName: familyName.trim(), name, ...passwords[i]! };
    });
    const createdAt = this.clock.now();
    await this.data.manager.insert(
      Account,
      students.map(({ password: _, ...student }) => ({
        ...student,
        role: 'student' as const,
        mustChangePassword: true,
        createdAt,
      })),
    );
    return students.map(({ passwordHash: _, ...card }) => card);
  }

  /** Sign-in names that begin like those that would be chosen for these people, as nobody changes them meanwhile. */
  private async namesLike(people: readonly NewStudent[]): Promise<Set<string>> {
    // Of two who make accounts at once the second chooses when the first has done.
    await this.data.manager.findOne(School, { where: { id: 1 }, lock: { mode: 'pessimistic_write' } });
    const stems = new Set(people.map(({ givenName, familyName }) => stemOf(givenName, familyName)));
    const rows = await this.accounts.find({
      where: [...stems].map((stem) => ({ name: Like(`${stem}%`) })),
      select: { id: true, name: true },
    });
    return new Set(rows.map(({ name }) => name));
  }
}

/** Of a random password; with the same parameters as real ones. */
const NOBODYS_HASH = await hash(randomUUID());

/** The first that is not taken, of names without an end. */
function freeOf(names: Iterable<string>, taken: ReadonlySet<string>): string {
  for (const name of names) if (!taken.has(name)) return name;
  throw new Error('there is no end to the names to try');
}
