import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { LessThan } from 'typeorm';
import { Database } from '../common/database.js';
import { Clock } from '../common/clock.js';
import { Account } from './account.entity.js';
import { Session } from './session.entity.js';

export const SESSION_COOKIE = 'ichnograph_session';
const HOURS = 12;

export interface SignedIn {
  session: Session;
  account: Account;
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Sessions in the database behind a cookie. Those who must hear of an end (live connections) listen. */
@Injectable()
export class SessionsService {
  private readonly endListeners: ((sessionIds: readonly string[]) => void)[] = [];

  constructor(
    private readonly data: Database,
    private readonly clock: Clock,
  ) {}

  onEnd(listener: (sessionIds: readonly string[]) => void): void {
    this.endListeners.push(listener);
  }

  /** @returns the token for the cookie; it is stored nowhere */
  async begin(account: Account): Promise<{ token: string; expiresAt: Date; session: Session }> {
    const token = randomBytes(32).toString('base64url');
    const expiresAt = new Date(this.clock.now().getTime() + HOURS * 3_600_000);
    const session = { id: randomUUID(), tokenHash: hashOf(token), accountId: account.id, expiresAt };
    await this.data.getRepository(Session).insert(session);
    await this.data.getRepository(Session).delete({ expiresAt: LessThan(this.clock.now()) });
    return { token, expiresAt, session };
  }

  async find(token: string | undefined): Promise<SignedIn | null> {
    if (!token) return null;
    const session = await this.data.getRepository(Session).findOneBy({ tokenHash: hashOf(token) });
    if (!session || session.expiresAt <= this.clock.now()) return null;
    const account = await this.data.getRepository(Account).findOneBy({ id: session.accountId });
    return account && { session, account };
  }

  /** Whether a session that was found earlier still is one. */
  async isLive({ id }: Session): Promise<boolean> {
    const session = await this.data.getRepository(Session).findOneBy({ id });
    return session !== null && session.expiresAt > this.clock.now();
  }

  async end(session: Session): Promise<void> {
    await this.data.getRepository(Session).delete({ id: session.id });
    this.tell([session.id]);
  }

  /** Ends every session of an account but one: after a change of password, whoever else was signed in is out. */
  async endOthers({ id, accountId }: Session): Promise<void> {
    const others = (await this.data.getRepository(Session).findBy({ accountId })).filter((one) => one.id !== id);
    if (others.length === 0) return;
    await this.data.getRepository(Session).delete(others.map((one) => one.id));
    this.tell(others.map((one) => one.id));
  }

  /** Ends every session of an account: its password is another now, or the person is gone. */
  async endAll(accountId: string): Promise<void> {
    const all = await this.data.getRepository(Session).findBy({ accountId });
    await this.data.getRepository(Session).delete({ accountId });
    this.tell(all.map(({ id }) => id));
  }

  private tell(ids: readonly string[]): void {
    for (const listener of this.endListeners) listener(ids);
  }
}
