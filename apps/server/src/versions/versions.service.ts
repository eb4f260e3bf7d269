import { Inject, Injectable } from '@nestjs/common';
import type { OnApplicationBootstrap, OnApplicationShutdown } from '@nestjs/common';
import { writeMap } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { workDocument } from '@ichnograph/contract';
import type { VersionRow } from '@ichnograph/contract';
import { randomUUID } from 'node:crypto';
import type { Logger } from 'pino';
import { IsNull } from 'typeorm';
import { Database } from '../common/database.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Clock } from '../common/clock.js';
import { conflict, notFound } from '../common/problem.js';
import { LOGGER } from '../common/tokens.js';
import { readDocumentName, Snapshots, UpdateLog } from '../live/index.js';
import { lockWork, WorksService } from '../works/index.js';
import { MapVersion } from './map-version.entity.js';

/** While a map is worked on, a point is kept so often, and so many of them. Named ones stay. */
const EVERY_MS = 10 * 60_000;
const MOST_KEPT = 100;
const MOST_NAMED = 100;

type Point = Pick<MapVersion, 'workId' | 'at' | 'topics' | 'links'> & { map: object };

/** Points in time of a work's map: kept by themselves while it is worked on, and named by whoever draws. */
@Injectable()
export class VersionsService implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly newest = new Map<string, number>();
  private readonly keeping = new Set<Promise<void>>();

  constructor(
    private readonly data: Database,
    @Inject(LOGGER) private readonly logger: Logger,
    private readonly log: UpdateLog,
    private readonly snapshots: Snapshots,
    private readonly works: WorksService,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {}

  onApplicationBootstrap(): void {
    this.log.listen({ stored: (name) => this.noticed(name), notStored: () => undefined });
  }

  async onApplicationShutdown(): Promise<void> {
    await Promise.all(this.keeping);
  }

  /** Something of a document was stored: time for a point, if the last one is old enough. */
  private noticed(name: string): void {
    const document = readDocumentName(name);
    if (document?.kind !== 'work') return;
    const now = this.clock.now().getTime();
    if (now - (this.newest.get(document.id) ?? -Infinity) < EVERY_MS) return;
    this.newest.set(document.id, now);
    const kept = this.keep(document.id)
      // A point that could not be kept is no loss of what is drawn: the next one will be.
      .catch((fault: unknown) => this.logger.warn({ fault, work: document.id }, 'a version could not be kept'))
      .finally(() => this.keeping.delete(kept));
    this.keeping.add(kept);
  }

  private async keep(workId: string): Promise<void> {
    const versions = this.data.getRepository(MapVersion);
    const last = await versions.findOne({
      where: { workId, name: IsNull() },
      order: { at: 'DESC' },
      select: { id: true, at: true },
    });
    if (last && this.clock.now().getTime() - last.at.getTime() < EVERY_MS) {
      this.newest.set(workId, last.at.getTime());
      return;
    }
    await this.insert(await this.point(workId), { name: null, byId: null });
    const old = await versions.find({
      where: { workId, name: IsNull() },
      order: { at: 'DESC' },
      skip: MOST_KEPT,
      take: 50,
      select: { id: true },
    });
    if (old.length > 0) await versions.delete(old.map(({ id }) => id));
  }

  /** A work's map as it is stored now. */
  private async point(workId: string): Promise<Point> {
    const drawn = await this.snapshots.of(workDocument(workId));
    if (!drawn) throw notFound('map');
    const { map } = drawn;
    return { workId, at: this.clock.now(), ...figuresOf(map), map: writeMap(map) };
  }

  private async insert(point: Point, by: Pick<MapVersion, 'name' | 'byId'>): Promise<string> {
    const id = randomUUID();
    await this.data.getRepository(MapVersion).insert({ id, ...point, ...by });
    return id;
  }

  /** Names the map as it is stored now. */
  async name(workId: string, name: string, named: Named): Promise<VersionRow> {
    const { work, isMember } = await this.works.seen(workId, named.accountId);
    if (!isMember) throw notFound('map');
    if (work.publication!.schoolClass!.archivedAt)
      throw conflict('Your class is put away, so nothing is kept of this map any more. What is there stays.');
    const point = await this.point(workId);
    const id = await this.acts.once(named, 'name version', async () => {
      // One after the other, so that the last free place is one person's.
      await lockWork(this.data, workId);
      const many = await this.data.getRepository(MapVersion).countBy({ workId, byId: named.accountId });
      if (many >= MOST_NAMED) throw conflict(`A map keeps ${MOST_NAMED} named versions of each person.`);
      return this.insert(point, { name, byId: named.accountId });
    });
    return rowOf(await this.data.getRepository(MapVersion).findOneOrFail({ where: { id }, relations: { by: true } }));
  }

  /** Newest first. */
  async list(workId: string, accountId: string): Promise<VersionRow[]> {
    await this.works.seen(workId, accountId);
    const rows = await this.data.getRepository(MapVersion).find({
      where: { workId },
      order: { at: 'DESC' },
      relations: { by: true },
      select: { id: true, at: true, name: true, topics: true, links: true },
    });
    return rows.map(rowOf);
  }

  async mapOf(id: string, accountId: string): Promise<Record<string, unknown>> {
    const version = await this.data.getRepository(MapVersion).findOneBy({ id });
    if (!version) throw notFound('version');
    await this.works.seen(version.workId, accountId);
    return version.map;
  }
}

const figuresOf = ({ topics, links }: TopicMap) => ({ topics: topics.length, links: links.length });

const rowOf = ({ id, at, name, by, topics, links }: MapVersion): VersionRow => ({
  id,
  at: at.toISOString(),
  name,
  by: by ? `${by.givenName} ${by.familyName}` : null,
  topics,
  links,
});
