import { Injectable } from '@nestjs/common';
import { In, IsNull, Not } from 'typeorm';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { WorksKeeper } from '../works/index.js';
import { Review } from './review.entity.js';

/** What somebody said of others' maps, and, once it is released, what others said of theirs. It stays for those it was said to. */
@Injectable()
export class ReviewsKeeper implements Keeper {
  constructor(
    private readonly data: Database,
    private readonly works: WorksKeeper,
  ) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    const mine = await this.data.getRepository(Review).findBy({ reviewerId: accountId });
    const workId = In((await this.works.of(accountId)).map(({ id }) => id));
    const ofMine = await this.data
      .getRepository(Review)
      .findBy({ workId, sentAt: Not(IsNull()), round: { releasedAt: Not(IsNull()) } });
    return {
      reviewsGiven: mine.map(({ given, sentAt }) => ({ ...given, sentAt: sentAt?.toISOString() ?? null })),
      reviewsOfMine: ofMine.map(({ given, sentAt }) => ({ ...given, sentAt: sentAt!.toISOString() })),
    };
  }

  async erase({ accountId, gone }: Erasure): Promise<void> {
    const { manager } = this.data;
    // What was never sent was said to nobody.
    await manager.delete(Review, { reviewerId: accountId, sentAt: IsNull() });
    if (gone.length > 0) await manager.delete(Review, { workId: In([...gone]) });
  }
}
