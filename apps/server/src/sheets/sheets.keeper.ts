import { Injectable } from '@nestjs/common';
import { referenceDocument, starterDocument } from '@ichnograph/contract';
import { In } from 'typeorm';
import { Assignment, Revision } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { UpdateLog } from '../live/index.js';

/** Sheets and their maps stay with the school. */
@Injectable()
export class SheetsKeeper implements Keeper {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly log: UpdateLog,
  ) {}

  kept(): Promise<Record<string, unknown>> {
    return Promise.resolve({});
  }

  erase(): Promise<void> {
    return Promise.resolve();
  }

  /** In their own assignments, and in those of the teachers whose classes they were in, who may have copied from them. */
  async stillNames(hash: string, { accountId }: Erasure): Promise<boolean> {
    const owners = [accountId, ...(await this.classes.staffOf(accountId))];
    const rows = await this.data.getRepository(Assignment).findBy({ ownerId: In(owners) });
    const ids = rows.map(({ id }) => id);
    if (ids.length === 0) return false;
    const inRevision = this.data
      .getRepository(Revision)
      .createQueryBuilder('one')
      .where('one.assignment_id IN (:...ids) AND one.body LIKE :named', { ids, named: `%${hash}%` });
    if (await inRevision.getExists()) return true;
    return this.log.says(
      ids.flatMap((id) => [starterDocument(id), referenceDocument(id)]),
      hash,
    );
  }
}
