import { Injectable } from '@nestjs/common';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { Share } from './share.entity.js';

/** What a person shared, and what was shared with them by name: it ends as they go. */
@Injectable()
export class SharesKeeper implements Keeper {
  constructor(private readonly data: Database) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    const rows = await this.data.getRepository(Share).find({ where: [{ madeBy: accountId }, { accountId }] });
    return {
      shares: rows.map(({ ownMapId, workId, mayEdit, madeAt, endsAt, madeBy }) => ({
        of: workId ? { work: workId } : { ownMap: ownMapId },
        made: madeBy === accountId ? 'by them' : 'for them',
        mayEdit,
        madeAt: madeAt.toISOString(),
        endsAt: endsAt.toISOString(),
      })),
    };
  }

  async erase({ accountId }: Erasure): Promise<void> {
    await this.data.getRepository(Share).delete({ madeBy: accountId });
    await this.data.getRepository(Share).delete({ accountId });
  }
}
