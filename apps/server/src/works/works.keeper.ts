import { Injectable } from '@nestjs/common';
import { writeMap } from '@ichnograph/core';
import { workDocument } from '@ichnograph/contract';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { LiveService, Snapshots, UpdateLog } from '../live/index.js';
import { GroupMember } from './group-member.entity.js';
import { Work } from './work.entity.js';
import { WorkMember } from './work-member.entity.js';

/** Works with the maps that are drawn in them. */
@Injectable()
export class WorksKeeper implements Keeper {
  constructor(
    private readonly data: Database,
    private readonly snapshots: Snapshots,
    private readonly log: UpdateLog,
    private readonly live: LiveService,
  ) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    const groups = await this.data.getRepository(GroupMember).findBy({ accountId });
    const works = [];
    for (const { id, revision, state, begunAt } of await this.of(accountId)) {
      const drawn = await this.snapshots.of(workDocument(id), 'class');
      works.push({ work: id, assignment: revision!.title, state, begunAt, map: drawn && writeMap(drawn.map) });
    }
    return {
      works,
      groups: groups.map(({ publicationId, groupNumber }) => ({ publication: publicationId, group: groupNumber })),
    };
  }

  /** The works that a person has a hand in, with all who have one. */
  async of(accountId: string): Promise<Work[]> {
    const rows = await this.data.getRepository(WorkMember).findBy({ accountId });
    return this.data.getRepository(Work).find({
      where: { id: In(rows.map(({ workId }) => workId)) },
      relations: { revision: true, members: { account: true } },
    });
  }

  stillNames(hash: string, { left }: Erasure): Promise<boolean> {
    return this.log.says([...left.keys()].map(workDocument), hash);
  }

  /** Everybody who has a hand in these. */
  async mates(workIds: readonly string[]): Promise<string[]> {
    const rows = await this.data.getRepository(WorkMember).findBy({ workId: In([...workIds]) });
    return rows.map(({ accountId }) => accountId);
  }

  async erase({ accountId, gone }: Erasure): Promise<void> {
    const { manager } = this.data;
    await manager.delete(GroupMember, { accountId });
    if (gone.length === 0) return;
    await manager.delete(WorkMember, { workId: In([...gone]) });
    await manager.delete(Work, { id: In([...gone]) });
  }

  async afterwards({ gone, left }: Erasure): Promise<void> {
    for (const id of gone) {
      await this.live.changed(workDocument(id));
      await this.log.forget(workDocument(id));
    }
    for (const [id, author] of left)
      await this.live.change(workDocument(id), () => [{ do: 'entitle', fields: { author } }]);
  }
}
