import { Injectable } from '@nestjs/common';
import { ClassesService } from '../classes/index.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { WorksKeeper } from '../works/index.js';
import { OwnMapsService } from './own-maps.service.js';

/** Maps of one's own are nobody else's. */
@Injectable()
export class OwnMapsKeeper implements Keeper {
  constructor(
    private readonly maps: OwnMapsService,
    private readonly classes: ClassesService,
    private readonly works: WorksKeeper,
  ) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    return { ownMaps: await this.maps.ofPerson(accountId) };
  }

  /** In the own maps of those who could copy from theirs: their mates, and those who teach them. */
  async stillNames(hash: string, { accountId, left }: Erasure): Promise<boolean> {
    return this.maps.name(
      hash,
      [...(await this.classes.staffOf(accountId)), ...(await this.works.mates([...left.keys()]))],
      accountId,
    );
  }

  erase(): Promise<void> {
    return Promise.resolve();
  }

  afterwards({ accountId }: Erasure): Promise<void> {
    return this.maps.removeAll(accountId);
  }
}
