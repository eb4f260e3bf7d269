import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { WorksKeeper } from '../works/index.js';
import { MapVersion } from './map-version.entity.js';

/** Points of a map's history are its makers' own, and no part of what was handed in: they go with the last of them. */
@Injectable()
export class VersionsKeeper implements Keeper {
  constructor(
    private readonly data: Database,
    private readonly works: WorksKeeper,
  ) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    const works = await this.works.of(accountId);
    const rows = await this.data
      .getRepository(MapVersion)
      .find({ where: { workId: In(works.map(({ id }) => id)) }, order: { at: 'ASC' } });
    return { versions: rows.map(({ id: _id, byId: _byId, ...version }) => version) };
  }

  async stillNames(hash: string, { left }: Erasure): Promise<boolean> {
    if (left.size === 0) return false;
    return this.data
      .getRepository(MapVersion)
      .createQueryBuilder('one')
      .where('one.work_id IN (:...works) AND one.map LIKE :named', { works: [...left.keys()], named: `%${hash}%` })
      .getExists();
  }

  async erase({ gone, left }: Erasure): Promise<void> {
    const { manager } = this.data;
    const alone = [...left].filter(([, author]) => author === '').map(([workId]) => workId);
    await manager.delete(MapVersion, { workId: In([...gone, ...alone]) });
    for (const [workId, author] of left) {
      const rows = await manager.find(MapVersion, { where: { workId }, select: { id: true, map: true } });
      for (const { id, map } of rows) await manager.update(MapVersion, { id }, { map: { ...map, author } });
    }
  }
}
