import { Injectable } from '@nestjs/common';
import { Database } from '../common/database.js';
import type { Keeper } from '../common/keeper.js';
import { ReadyMade } from './ready-made.entity.js';

/** What was kept for the school stays with it. */
@Injectable()
export class BeginningsKeeper implements Keeper {
  constructor(private readonly data: Database) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    const rows = await this.data.getRepository(ReadyMade).findBy({ ownerId: accountId });
    return { readyMade: rows.map(({ title, guidance, createdAt }) => ({ title, guidance, keptAt: createdAt })) };
  }

  erase(): Promise<void> {
    return Promise.resolve();
  }
}
