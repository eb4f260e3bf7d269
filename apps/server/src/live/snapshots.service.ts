import { Injectable } from '@nestjs/common';
import { snapshotOf } from '@ichnograph/livemap';
import type { Snapshot } from '@ichnograph/livemap';
import { WorkerPool } from '../workers/index.js';
import type { Lane, Run } from '../workers/index.js';
import type * as tasks from './snapshot.tasks.js';
import { documentOf } from './document-of.js';
import { UpdateLog } from './update-log.js';

/** Bytes up to which reading a map takes less than handing it to a worker. */
const SMALL = 128 * 1024;
const PATIENCE = 20_000;

/** Live maps as committed transactions hold them. A large one is a worker's work: it holds up nobody else. */
@Injectable()
export class Snapshots {
  private readonly run: Run<typeof tasks>;

  constructor(
    private readonly log: UpdateLog,
    workers: WorkerPool,
  ) {
    this.run = workers.tasks(new URL('./snapshot.tasks.js', import.meta.url));
  }

  /** @returns null for a document that nobody began */
  async of(name: string, lane: Lane = 'now'): Promise<Snapshot | null> {
    const pieces = await this.log.pieces(name);
    return pieces && this.read(pieces, lane);
  }

  /** Those of these documents that were begun, by name. */
  async ofAll(names: readonly string[], lane: Lane): Promise<Map<string, Snapshot>> {
    const read = new Map<string, Snapshot>();
    for (const [name, pieces] of await this.log.piecesOfAll(names)) read.set(name, await this.read(pieces, lane));
    return read;
  }

  private async read(pieces: Uint8Array[], lane: Lane): Promise<Snapshot> {
    const bytes = pieces.reduce((sum, { length }) => sum + length, 0);
    return bytes <= SMALL
      ? snapshotOf(documentOf(pieces))
      : this.run('snapshot', { pieces }, { lane, patience: PATIENCE });
  }
}
