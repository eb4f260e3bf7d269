import { Injectable } from '@nestjs/common';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { Showing } from './showing.entity.js';

/** When a person showed something, and to whom: it goes with them. */
@Injectable()
export class ShowingsKeeper implements Keeper {
  constructor(private readonly data: Database) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    const rows = await this.data
      .getRepository(Showing)
      .find({ where: { madeBy: accountId }, relations: { schoolClass: true }, order: { beganAt: 'ASC' } });
    return {
      shown: rows.map(({ schoolClass, beganAt, endsAt }) => ({
        to: schoolClass!.name,
        from: beganAt.toISOString(),
        until: endsAt.toISOString(),
      })),
    };
  }

  async erase({ accountId }: Erasure): Promise<void> {
    await this.data.getRepository(Showing).delete({ madeBy: accountId });
  }
}
