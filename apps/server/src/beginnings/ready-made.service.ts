import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { openStoredAssignment, readyMade, sheetOf, writeAssignment } from '@ichnograph/core';
import type { Sheet, TopicMap } from '@ichnograph/core';
import type { KeepReadyMade, ReadyMadeRow } from '@ichnograph/contract';
import { Database } from '../common/database.js';
import { AccountsService } from '../accounts/index.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { AssignmentsService } from '../assignments/index.js';
import { Clock } from '../common/clock.js';
import { notFound } from '../common/problem.js';
import { PublicationsService } from '../sheets/index.js';
import { ReadyMade } from './ready-made.entity.js';

/** What a sheet begins with. */
export interface Beginning {
  sheet: Sheet;
  maps: { starter: TopicMap | null; reference: TopicMap | null };
}

/** Complete assignments to begin from: those that ship, and those that teachers kept for the school. */
@Injectable()
export class ReadyMadeService {
  constructor(
    private readonly data: Database,
    private readonly assignments: AssignmentsService,
    private readonly publications: PublicationsService,
    private readonly accounts: AccountsService,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {}

  /** Those that teachers kept, the newest first; what ships is known to every page. */
  async list(accountId: string): Promise<ReadyMadeRow[]> {
    const rows = await this.data
      .getRepository(ReadyMade)
      .find({ order: { createdAt: 'DESC' }, select: { id: true, ownerId: true, title: true, guidance: true } });
    const owners = await this.accounts.people(rows.map(({ ownerId }) => ownerId));
    return rows.map(({ id, ownerId, title, guidance }) => ({
      id,
      title,
      guidance,
      owner: owners.get(ownerId)!,
      mine: ownerId === accountId,
    }));
  }

  /** Keeps an assignment as it is written now: what is changed on its sheet later does not change what was kept. */
  async keep({ assignmentId, guidance }: KeepReadyMade, named: Named): Promise<string> {
    await this.assignments.changeable(assignmentId, named.accountId);
    const body = await this.publications.complete(assignmentId);
    return this.acts.once(named, 'keep as ready-made', async () => {
      const id = randomUUID();
      await this.data.manager.insert(ReadyMade, {
        id,
        ownerId: named.accountId,
        title: body.title,
        guidance,
        body: writeAssignment(body) as object,
        createdAt: this.clock.now(),
      });
      return id;
    });
  }

  /** Takes back what one kept; what was begun from it stays. */
  async remove(id: string, accountId: string): Promise<void> {
    const { affected } = await this.data.getRepository(ReadyMade).delete({ id, ownerId: accountId });
    if (!affected) throw notFound('ready-made assignment');
  }

  async beginning(id: string): Promise<Beginning> {
    const shipped = readyMade(id);
    if (shipped) return { sheet: shipped.sheet, maps: { starter: shipped.starter, reference: null } };
    const kept = await this.data.getRepository(ReadyMade).findOneBy({ id });
    if (!kept) throw notFound('ready-made assignment');
    const body = openStoredAssignment(kept.body);
    const sheet = sheetOf(body);
    return { sheet: { ...sheet, task: { ...sheet.task, guidance: kept.guidance } }, maps: body };
  }
}
