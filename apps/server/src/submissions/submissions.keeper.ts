import { Injectable } from '@nestjs/common';
import { openStoredMap, writeMap } from '@ichnograph/core';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { WorksKeeper } from '../works/index.js';
import { LookedAt } from './looked-at.entity.js';
import { Submission } from './submission.entity.js';

/** What was handed in stays, without the name of who goes. */
@Injectable()
export class SubmissionsKeeper implements Keeper {
  constructor(
    private readonly data: Database,
    private readonly works: WorksKeeper,
  ) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    const works = await this.works.of(accountId);
    const rows = await this.data.getRepository(Submission).find({
      where: { workId: In(works.map(({ id }) => id)) },
      order: { handedInAt: 'ASC' },
      select: FIELDS,
    });
    return {
      submissions: rows.map(({ workId, map, ownMarks, ...rest }) => ({
        assignment: works.find(({ id }) => id === workId)!.revision!.title,
        work: workId,
        ...rest,
        ...ownMarks?.find((one) => one.accountId === accountId),
        map: writeMap(openStoredMap(map)),
      })),
    };
  }

  async stillNames(hash: string, { left }: Erasure): Promise<boolean> {
    if (left.size === 0) return false;
    return this.data
      .getRepository(Submission)
      .createQueryBuilder('one')
      .where('one.work_id IN (:...works) AND one.map LIKE :named', { works: [...left.keys()], named: `%${hash}%` })
      .getExists();
  }

  async erase({ accountId, left }: Erasure): Promise<void> {
    const { manager } = this.data;
    await manager.delete(LookedAt, { accountId });
    for (const [workId, author] of left) {
      // A frozen map bears its makers' names in its title block, and so does the file it was brought in from.
      const rows = await manager.find(Submission, {
        where: { workId },
        select: { id: true, map: true, broughtFrom: true },
      });
      for (const { id, map, broughtFrom } of rows)
        await manager.update(
          Submission,
          { id },
          { map: { ...map, author }, broughtFrom: broughtFrom === null ? null : '' },
        );
    }
  }
}

const FIELDS = {
  id: true,
  workId: true,
  number: true,
  handedInAt: true,
  late: true,
  note: true,
  sum: true,
  sumOutOf: true,
  returnedAt: true,
  letter: true,
  ownMarks: true,
  broughtFrom: true,
  map: true,
} as const;
