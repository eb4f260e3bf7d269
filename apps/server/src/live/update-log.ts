import { Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { countersOf } from '@ichnograph/livemap';
import type { Logger } from 'pino';
import { DataSource } from 'typeorm';
import type { EntityManager } from 'typeorm';
import * as Y from 'yjs';
import { LOGGER } from '../common/tokens.js';
import { LiveDocument } from './live-document.entity.js';
import { LiveUpdate } from './live-update.entity.js';

type Counters = Record<string, number>;
interface Pending {
  name: string;
  data: Uint8Array;
  counters: Counters;
}

export interface LogListener {
  /** a committed transaction holds each client's changes up to these counts */
  stored(name: string, counters: Counters): void;
  /** storing failed; it will be tried again */
  notStored(name: string): void;
}

/** Long enough for a burst of one gesture, short beside the commit itself. */
const GROUP_MS = 4;
const BATCH_BYTES = 4 * 1024 * 1024;
const RETRY_MS = [200, 500, 1000, 2000, 5000];
const COMPACT_AFTER = 400;

/**
 * The append-only log of live documents. Updates that come within a few milliseconds share one transaction; nothing is
 * lost while the database is away: they wait in order and are tried again. A long log is compacted in the background.
 */
@Injectable()
export class UpdateLog {
  private waiting: Pending[] = [];
  private running: Promise<void> | null = null;
  private readonly listeners = new Set<LogListener>();
  private readonly grown = new Map<string, number>();
  private closing = false;
  /** those who wait for the next try to store to end, well or not */
  private readonly roundEnds = new Set<() => void>();

  constructor(
    @InjectDataSource() private readonly data: DataSource,
    @Inject(LOGGER) private readonly logger: Logger,
  ) {}

  listen(listener: LogListener): void {
    this.listeners.add(listener);
  }

  /** Begins a document inside the transaction of whoever needs it. */
  async create(manager: EntityManager, name: string, doc: Y.Doc): Promise<void> {
    await manager.insert(LiveDocument, { name, compacted: Buffer.from(Y.encodeStateAsUpdate(doc)) });
  }

  /** Queues an update. `counters` are the document's, this update included. Never throws. */
  append(name: string, data: Uint8Array, counters: Counters): void {
    this.waiting.push({ name, data, counters });
    this.running ??= this.run();
  }

  /** What is stored of a document, and what still waits to be; null for a document that nobody began. */
  async load(name: string): Promise<Y.Doc | null> {
    const doc = await this.stored(name);
    if (doc) for (const { data } of this.waiting.filter((one) => one.name === name)) Y.applyUpdate(doc, data);
    return doc;
  }

  /** What committed transactions hold of a document, and nothing else. */
  async stored(name: string, manager: EntityManager = this.data.manager): Promise<Y.Doc | null> {
    const base = await manager.findOneBy(LiveDocument, { name });
    if (!base) return null;
    const updates = await manager.find(LiveUpdate, { where: { documentName: name }, order: { id: 'ASC' } });
    const doc = new Y.Doc();
    doc.transact(() => {
      Y.applyUpdate(doc, base.compacted);
      for (const { data } of updates) Y.applyUpdate(doc, data);
    });
    return doc;
  }

  /** Resolves once nothing of this document waits, however others fare. */
  async drained(name: string): Promise<void> {
    while (this.running && this.waiting.some((one) => one.name === name)) {
      await new Promise<void>((resolve) => this.roundEnds.add(resolve));
    }
  }

  /**
   * Resolves to whether a committed transaction holds a client's changes up to a count, waiting a while for it.
   * @param patience milliseconds
   */
  async holds(name: string, client: string, count: number, patience: number): Promise<boolean> {
    const enough = (counters: Counters): boolean => (counters[client] ?? 0) >= count;
    const arrived = new Promise<boolean>((resolve) => {
      const listener: LogListener = {
        stored: (which, counters) => {
          if (which === name && enough(counters)) finish(true);
        },
        notStored: () => undefined,
      };
      const timer = setTimeout(() => finish(false), patience);
      const finish = (answer: boolean): void => {
        clearTimeout(timer);
        this.listeners.delete(listener);
        resolve(answer);
      };
      this.listen(listener);
      void this.stored(name).then(
        (doc) => {
          if (count === 0 || (doc && enough(countersOf(doc)))) finish(true);
        },
        () => finish(false),
      );
    });
    return arrived;
  }

  /** Waits for everything queued; for a clean end of the process. Gives up when the database stays away. */
  async close(): Promise<void> {
    this.closing = true;
    await this.running;
  }

  private async run(): Promise<void> {
    for (let failures = 0; this.waiting.length > 0;) {
      await pause(failures === 0 ? (this.closing ? 0 : GROUP_MS) : RETRY_MS[Math.min(failures, RETRY_MS.length) - 1]!);
      const before = this.waiting.length;
      const kept = await this.flush();
      this.endRound();
      failures = kept === before ? failures + 1 : kept === 0 ? 0 : 1;
      if (failures > 0 && this.closing && failures >= RETRY_MS.length) {
        this.logger.error(
          { updates: this.waiting.length },
          'the server ends with updates that could not be stored; clients still hold them',
        );
        break;
      }
    }
    this.running = null;
    this.endRound();
  }

  private endRound(): void {
    const waiting = [...this.roundEnds];
    this.roundEnds.clear();
    for (const resolve of waiting) resolve();
  }

  /** Tries to store what waits. @returns how many of those could not be stored, put back in their place */
  private async flush(): Promise<number> {
    const batch = this.takeBatch();
    if (await this.store(batch)) return 0;
    // One document that cannot be stored must not hold up the others: each by itself, in its own order.
    const failed: Pending[] = [];
    const byName = new Map<string, Pending[]>();
    for (const one of batch) byName.set(one.name, [...(byName.get(one.name) ?? []), one]);
    for (const [name, updates] of byName) {
      if (byName.size > 1 && (await this.store(updates))) continue;
      failed.push(...updates);
      for (const listener of [...this.listeners]) listener.notStored(name);
    }
    this.waiting = [...failed, ...this.waiting];
    return failed.length;
  }

  private takeBatch(): Pending[] {
    let [bytes, count] = [0, 0];
    while (count < this.waiting.length && (count === 0 || bytes + this.waiting[count]!.data.length <= BATCH_BYTES)) {
      bytes += this.waiting[count++]!.data.length;
    }
    return this.waiting.splice(0, count);
  }

  private async store(batch: readonly Pending[]): Promise<boolean> {
    try {
      await this.data
        .createQueryBuilder()
        .insert()
        .into(LiveUpdate)
        .updateEntity(false)
        .values(batch.map(({ name, data }) => ({ documentName: name, data: Buffer.from(data) })))
        .execute();
    } catch (error) {
      this.logger.warn({ err: error, updates: batch.length }, 'live updates could not be stored; trying again');
      return false;
    }
    const last = new Map(batch.map(({ name, counters }) => [name, counters]));
    for (const [name, counters] of last) for (const listener of [...this.listeners]) listener.stored(name, counters);
    for (const { name } of batch) this.grown.set(name, (this.grown.get(name) ?? 0) + 1);
    for (const name of last.keys()) if (this.grown.get(name)! >= COMPACT_AFTER) void this.compact(name);
    return true;
  }

  /** Folds a document's log into its compacted state; readers see the one or the other, never half. */
  async compact(name: string): Promise<void> {
    this.grown.set(name, 0);
    try {
      await this.data.transaction(async (manager) => {
        await manager.findOne(LiveDocument, { where: { name }, lock: { mode: 'pessimistic_write' } });
        const newest = await manager.findOne(LiveUpdate, { where: { documentName: name }, order: { id: 'DESC' } });
        const doc = newest && (await this.stored(name, manager));
        if (!newest || !doc) return;
        await manager.update(LiveDocument, { name }, { compacted: Buffer.from(Y.encodeStateAsUpdate(doc)) });
        await manager
          .createQueryBuilder()
          .delete()
          .from(LiveUpdate)
          .where('document_name = :name AND id <= :id', { name, id: newest.id })
          .execute();
      });
    } catch (error) {
      this.logger.warn({ err: error, name }, 'a live document could not be compacted; its log stays as it is');
    }
  }
}

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
