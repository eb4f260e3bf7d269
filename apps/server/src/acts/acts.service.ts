import { Injectable } from '@nestjs/common';
import type { OnApplicationBootstrap } from '@nestjs/common';
import { LessThan } from 'typeorm';
import { Database } from '../common/database.js';
import { Clock } from '../common/clock.js';
import { isTaken } from '../common/database-errors.js';
import { refused } from '../common/problem.js';
import { Act } from './act.entity.js';

/** Who does what: the account, and the name the client gave the deed. */
export interface Named {
  accountId: string;
  act: string;
}

const KEPT_MS = 7 * 24 * 3_600_000;

/**
 * Deeds that are done once however often they arrive: the name and the deed are one transaction, and a second arrival
 * gets what came of the first. Of two that arrive together the second waits for the first.
 */
@Injectable()
export class Acts implements OnApplicationBootstrap {
  constructor(
    private readonly data: Database,
    private readonly clock: Clock,
  ) {}

  /** What came of an act, if it has been done; for deeds that need long work before their transaction. */
  async resultOf({ accountId, act: id }: Named, kind: string): Promise<string | null> {
    const done = await this.data.getRepository(Act).findOneBy({ accountId, id });
    if (done && done.kind !== kind) throw refused('This act has the name of another one. Load the page again.');
    return done?.result ?? null;
  }

  /**
   * @param deed does it inside the transaction and answers with the id of what it made or changed
   * @returns that id, or the first arrival's
   */
  async once(named: Named, kind: string, deed: () => Promise<string>): Promise<string> {
    try {
      return await this.data.unit(() => this.attempt(named, kind, deed));
    } catch (error) {
      const first = isTaken(error, 'act') ? await this.resultOf(named, kind) : null;
      if (first === null) throw error;
      return first;
    }
  }

  private async attempt({ accountId, act: id }: Named, kind: string, deed: () => Promise<string>): Promise<string> {
    const { manager } = this.data;
    await manager.insert(Act, { accountId, id, kind, result: null, at: this.clock.now() });
    const result = await deed();
    await manager.update(Act, { accountId, id }, { result });
    return result;
  }

  /** Forgets acts that nobody will send again. */
  async onApplicationBootstrap(): Promise<void> {
    await this.data.getRepository(Act).delete({ at: LessThan(new Date(this.clock.now().getTime() - KEPT_MS)) });
  }
}
