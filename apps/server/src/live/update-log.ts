import { Inject, Injectable } from '@nestjs/common';
import { grouped } from '@ichnograph/core';
import { countersOf } from '@ichnograph/livemap';
import type { Logger } from 'pino';
import { In } from 'typeorm';
import * as Y from 'yjs';
import { Database } from '../common/database.js';
import { briefly } from '../common/briefly.js';
import { isInTheWay } from '../common/database-errors.js';
import { LOGGER } from '../common/tokens.js';
import { documentOf } from './document-of.js';
import { LiveDocument } from './live-document.entity.js';
import { LiveUpdate } from './live-update.entity.js';

export type Counters = Record<string, number>;
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
/** Updates that may wait for the database, in bytes; beyond that no more are taken. */
const MOST_WAITING = 64 * 1024 * 1024;

/**
 * The append-only log of live documents. Updates that come within a few milliseconds share one transaction; nothing is
 * lost while the database is away: they wait in order and are tried again. A long log is compacted in the background.
 */
@Injectable()
export class UpdateLog {
  private waiting: Pending[] = [];
  private waitingBytes = 0;
  /** on their way to the database at this moment */
  private storing: readonly Pending[] = [];
  private running: Promise<void> | null = null;
  private readonly listeners = new Set<LogListener>();
  /** rows in the log of each document that this process loaded */
  private readonly grown = new Map<string, number>();
  private closing = false;
  /** those who wait for the next try to store to end, well or not */
  private readonly roundEnds = new Set<() => void>();

  constructor(
    private readonly data: Database,
    @Inject(LOGGER) private readonly logger: Logger,
  ) {}

  listen(listener: LogListener): void {
    this.listeners.add(listener);
  }

  /** Whether so much waits for the database that nothing more should be taken from clients, who still hold it. */
  get isFull(): boolean {
    return this.waitingBytes >= MOST_WAITING;
  }

  /** Begins a document inside the transaction of whoever needs it. */
  async create(name: string, doc: Y.Doc): Promise<void> {
    await this.data.manager.insert(LiveDocument, { name, compacted: Buffer.from(Y.encodeStateAsUpdate(doc)) });
  }

  /** Whether any of these documents, as they are stored, holds a text: strings lie in them as they are. */
  async says(names: readonly string[], text: string): Promise<boolean> {
    if (names.length === 0) return false;
    const [sought, where] = [{ text, names }, 'IN (:...names) AND LOCATE(:text,'];
    const { manager } = this.data;
    const base = manager.createQueryBuilder(LiveDocument, 'one').where(`one.name ${where} one.compacted) > 0`, sought);
    const log = manager.createQueryBuilder(LiveUpdate, 'one').where(`one.document_name ${where} one.data) > 0`, sought);
    return (await base.getExists()) || (await log.getExists());
  }

  /** Lets go of a document and its whole log. Whoever had it open has been shown out. */
  async forget(name: string): Promise<void> {
    await this.drained(name);
    await this.data.unit(async () => {
      await this.data.manager.delete(LiveUpdate, { documentName: name });
      await this.data.manager.delete(LiveDocument, { name });
    });
  }

  /** Queues an update. `counters` are the document's, this update included. Never throws. */
  append(name: string, data: Uint8Array, counters: Counters): void {
    this.waiting.push({ name, data, counters });
    this.waitingBytes += data.length;
    // Whatever unit of work is under way, this is none of it.
    this.running ??= this.data.apart(() => this.run());
  }

  /**
   * What is stored of a document, and what still waits to be; null for a document that nobody began.
   * @returns the document, and each client's count that is stored of it
   */
  async load(name: string): Promise<{ doc: Y.Doc; stored: Counters } | null> {
    // Before and after: what is committed meanwhile may be in neither the reading nor what is left to store.
    const before = this.unstored(name);
    const read = await this.read(name);
    if (!read) return null;
    const stored = countersOf(read.doc);
    for (const { data } of new Set([...before, ...this.unstored(name)])) Y.applyUpdate(read.doc, data);
    this.grown.set(name, read.rows.length);
    if (read.rows.length >= COMPACT_AFTER) void this.data.apart(() => this.compact(name));
    return { doc: read.doc, stored };
  }

  /** What committed transactions hold of a document, and nothing else. */
  async stored(name: string): Promise<Y.Doc | null> {
    return (await this.read(name))?.doc ?? null;
  }

  /** The same in the pieces that it is stored in. */
  async pieces(name: string): Promise<Uint8Array[] | null> {
    return (await this.data.moment(() => this.readPieces(name)))?.pieces ?? null;
  }

  /** The same of several, by name, in as many statements as of one. */
  async piecesOfAll(names: readonly string[]): Promise<Map<string, Uint8Array[]>> {
    if (names.length === 0) return new Map();
    return this.data.moment(async () => {
      const bases = await this.data.manager.findBy(LiveDocument, { name: In([...names]) });
      const documentName = In(bases.map(({ name }) => name));
      const updates = await this.data.manager.find(LiveUpdate, { where: { documentName }, order: { id: 'ASC' } });
      const logs = grouped(updates, (one) => one.documentName);
      return new Map(
        bases.map(({ name, compacted }) => [name, [compacted, ...(logs.get(name) ?? []).map(({ data }) => data)]]),
      );
    });
  }

  /** One consistent read: state and log are of one moment, whatever a compaction does meanwhile. */
  private read(name: string): Promise<{ doc: Y.Doc; rows: string[] } | null> {
    return this.data.moment(() => this.readDocument(name));
  }

  private unstored(name: string): Pending[] {
    return [...this.storing, ...this.waiting].filter((one) => one.name === name);
  }

  /** Resolves once nothing of this document waits, however others fare. */
  async drained(name: string): Promise<void> {
    while (this.running && this.unstored(name).length > 0) {
      await new Promise<void>((resolve) => this.roundEnds.add(resolve));
    }
  }

  /**
   * Resolves to whether a committed transaction holds a client's changes up to a count, waiting a while for it.
   * Rejects when that cannot be found out.
   * @param patience milliseconds
   */
  async holds(name: string, client: string, count: number, patience: number): Promise<boolean> {
    if (count === 0) return true;
    const enough = (counters: Counters): boolean => (counters[client] ?? 0) >= count;
    // Listening comes first: what is stored between the look and the wait must not be missed.
    let listener: LogListener | undefined;
    let timer: NodeJS.Timeout | undefined;
    const arrived = new Promise<boolean>((resolve) => {
      listener = {
        stored: (which, counters) => {
          if (which === name && enough(counters)) resolve(true);
        },
        notStored: () => undefined,
      };
      this.listen(listener);
      timer = setTimeout(() => resolve(false), patience);
    });
    try {
      const doc = await this.stored(name);
      return (doc !== null && enough(countersOf(doc))) || (await arrived);
    } finally {
      clearTimeout(timer);
      this.listeners.delete(listener!);
    }
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
    this.storing = batch;
    const failed = (await this.store(batch)) ? [] : await this.storeEach(batch);
    this.storing = [];
    this.waiting = [...failed, ...this.waiting];
    this.waitingBytes = this.waiting.reduce((sum, { data }) => sum + data.length, 0);
    return failed.length;
  }

  /** One document that cannot be stored must not hold up the others: each by itself, in its own order. */
  private async storeEach(batch: readonly Pending[]): Promise<Pending[]> {
    const failed: Pending[] = [];
    const byName = new Map<string, Pending[]>();
    for (const one of batch) byName.set(one.name, [...(byName.get(one.name) ?? []), one]);
    for (const [name, updates] of byName) {
      if (byName.size > 1 && (await this.store(updates))) continue;
      failed.push(...updates);
      for (const listener of [...this.listeners]) listener.notStored(name);
    }
    return failed;
  }

  private takeBatch(): Pending[] {
    let [bytes, count] = [0, 0];
    while (count < this.waiting.length && (count === 0 || bytes + this.waiting[count]!.data.length <= BATCH_BYTES)) {
      bytes += this.waiting[count++]!.data.length;
    }
    return this.waiting.splice(0, count);
  }

  private async store(batch: readonly Pending[]): Promise<boolean> {
    for (let tries = 0; ; tries++) {
      try {
        await this.insert(batch);
        break;
      } catch (error) {
        if (tries < 3 && isInTheWay(error)) continue;
        this.logger.warn(
          { ...briefly(error), updates: batch.length },
          'live updates could not be stored; trying again',
        );
        return false;
      }
    }
    const last = new Map(batch.map(({ name, counters }) => [name, counters]));
    for (const [name, counters] of last) for (const listener of [...this.listeners]) listener.stored(name, counters);
    for (const { name } of batch) this.grown.set(name, (this.grown.get(name) ?? 0) + 1);
    for (const name of last.keys()) if (this.grown.get(name)! >= COMPACT_AFTER) void this.compact(name);
    return true;
  }

  private async insert(batch: readonly Pending[]): Promise<void> {
    await this.data
      .createQueryBuilder()
      .insert()
      .into(LiveUpdate)
      .updateEntity(false)
      .values(batch.map(({ name, data }) => ({ documentName: name, data: Buffer.from(data) })))
      .execute();
  }

  /**
   * Folds a document's log into its compacted state; readers see the one or the other, never half. Only the very rows
   * that were read are deleted, since a lower number may be committed later by another process; and locks are taken on
   * rows alone, so that who appends never waits.
   */
  async compact(name: string): Promise<void> {
    this.grown.set(name, 0);
    try {
      await this.data.unit(async () => {
        await this.data.manager.findOne(LiveDocument, { where: { name }, lock: { mode: 'pessimistic_write' } });
        const read = await this.readDocument(name);
        if (!read || read.rows.length === 0) return;
        await this.data.manager.update(
          LiveDocument,
          { name },
          { compacted: Buffer.from(Y.encodeStateAsUpdate(read.doc)) },
        );
        await this.data.manager.delete(LiveUpdate, { id: In(read.rows) });
      });
    } catch (error) {
      this.logger.warn({ ...briefly(error), name }, 'a live document could not be compacted; its log stays as it is');
    }
  }

  private async readDocument(name: string): Promise<{ doc: Y.Doc; rows: string[] } | null> {
    const read = await this.readPieces(name);
    return read && { doc: documentOf(read.pieces), rows: read.rows };
  }

  private async readPieces(name: string): Promise<{ pieces: Uint8Array[]; rows: string[] } | null> {
    const base = await this.data.manager.findOneBy(LiveDocument, { name });
    if (!base) return null;
    const updates = await this.data.manager.find(LiveUpdate, { where: { documentName: name }, order: { id: 'ASC' } });
    return { pieces: [base.compacted, ...updates.map(({ data }) => data)], rows: updates.map(({ id }) => id) };
  }
}

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
