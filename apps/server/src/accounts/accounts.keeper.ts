import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { Account } from './account.entity.js';
import { accountRowOf, AccountsService } from './accounts.service.js';
import { KnownDevice } from './known-device.entity.js';
import { SessionsService } from './sessions.service.js';

/** The account itself: its name and password go, the row stays, for others' words point at it. */
@Injectable()
export class AccountsKeeper implements Keeper {
  constructor(
    private readonly data: Database,
    private readonly accounts: AccountsService,
    private readonly sessions: SessionsService,
  ) {}

  async kept(id: string): Promise<Record<string, unknown>> {
    const account = (await this.accounts.byId(id))!;
    return { account: { ...accountRowOf(account), createdAt: account.createdAt } };
  }

  async erase({ accountId: id }: Erasure): Promise<void> {
    const nobody = { name: `gone-${randomUUID().slice(0, 8)}`, givenName: 'Somebody', familyName: 'erased' };
    // What no password has as its hash opens for none.
    await this.data.manager.update(Account, { id }, { ...nobody, passwordHash: NO_HASH, resetBy: null, resetAt: null });
    await this.data.manager.delete(KnownDevice, { accountId: id });
  }

  afterwards({ accountId }: Erasure): Promise<void> {
    return this.sessions.endAll(accountId);
  }
}
const NO_HASH = '$argon2id$v=19$m=8,t=1,p=1$AAAAAAAAAAAAAAAAAAAAAA$AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA';
