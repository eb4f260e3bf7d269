import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { emptyMap, mend, readMap, writeMap } from '@ichnograph/core';
import { trialDocument } from '@ichnograph/contract';
import type { NewTrialMap, TrialMapDetail } from '@ichnograph/contract';
import { Database } from '../common/database.js';
import type { Account } from '../accounts/index.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { AssignmentsService } from '../assignments/index.js';
import { Clock } from '../common/clock.js';
import { filledWith, LiveService, Snapshots, UpdateLog } from '../live/index.js';
import { understoodFile } from './understood-file.js';
import { TrialMap } from './trial-map.entity.js';

/** Maps kept beside a sheet to try its requirements on: live documents that only those who write it can open. */
@Injectable()
export class TrialMapsService {
  constructor(
    private readonly data: Database,
    private readonly assignments: AssignmentsService,
    private readonly acts: Acts,
    private readonly log: UpdateLog,
    private readonly snapshots: Snapshots,
    private readonly clock: Clock,
    private readonly live: LiveService,
  ) {
    live.register('trial', async (id, accountId) => {
      const trial = await this.data.getRepository(TrialMap).findOneBy({ id });
      return trial && (await this.assignments.mayChange(trial.assignmentId, accountId)) ? 'write' : null;
    });
    assignments.onUnshare(async (assignmentId) => {
      for (const { id } of await this.data.getRepository(TrialMap).findBy({ assignmentId }))
        await live.changed(trialDocument(id));
    });
  }

  async add(id: string, { name, map }: NewTrialMap, named: Named): Promise<string> {
    await this.assignments.changeable(id, named.accountId);
    const read = map ? mend(understoodFile(readMap(map))).map : null;
    return this.acts.once(named, 'keep a trial map', async () => {
      const trialId = randomUUID();
      await this.data.manager.insert(TrialMap, { id: trialId, assignmentId: id, name, createdAt: this.clock.now() });
      await this.log.create(trialDocument(trialId), filledWith(read));
      return trialId;
    });
  }

  /** The trial maps as they stand in committed transactions. */
  async list(id: string, account: Account): Promise<TrialMapDetail[]> {
    await this.assignments.changeable(id, account.id);
    const rows = await this.data
      .getRepository(TrialMap)
      .find({ where: { assignmentId: id }, order: { createdAt: 'ASC' } });
    return Promise.all(
      rows.map(async ({ id: trialId, name }) => {
        const drawn = await this.snapshots.of(trialDocument(trialId));
        return { id: trialId, name, map: writeMap(drawn?.map ?? emptyMap()) };
      }),
    );
  }

  async remove(id: string, trialId: string, account: Account): Promise<void> {
    await this.assignments.changeable(id, account.id);
    const { affected } = await this.data.getRepository(TrialMap).delete({ id: trialId, assignmentId: id });
    if (!affected) return;
    // Who has it open is shown out first, so that nothing more is drawn on what goes.
    await this.live.changed(trialDocument(trialId));
    await this.log.forget(trialDocument(trialId));
  }
}
