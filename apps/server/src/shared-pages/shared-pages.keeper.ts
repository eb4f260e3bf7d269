import { Injectable } from '@nestjs/common';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { SharedPage } from './shared-page.entity.js';

/** Pages that a person made for others: nobody reads them once the person goes. */
@Injectable()
export class SharedPagesKeeper implements Keeper {
  constructor(private readonly data: Database) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    const pages = await this.data.getRepository(SharedPage).findBy({ madeBy: accountId });
    return {
      sharedPages: pages.map(({ showsNames, madeAt, endsAt, workId, ownMapId }) => ({
        of: workId ? { work: workId } : { ownMap: ownMapId },
        showsNames,
        madeAt: madeAt.toISOString(),
        endsAt: endsAt.toISOString(),
      })),
    };
  }

  async erase({ accountId }: Erasure): Promise<void> {
    await this.data.manager.delete(SharedPage, { madeBy: accountId });
  }
}
