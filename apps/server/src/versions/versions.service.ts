import { Inject, Injectable } from '@nestjs/common';
import type { OnApplicationBootstrap, OnApplicationShutdown } from '@nestjs/common';
import { writeMap } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { ownMapDocument, workDocument } from '@ichnograph/contract';
import type { VersionRow } from '@ichnograph/contract';
import { randomUUID } from 'node:crypto';
import type { Logger } from 'pino';
import { In, IsNull } from 'typeorm';
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

/** Whose points are kept: of works, and of maps outside any assignment. */
export type Versioned = 'work' | 'own';

/** What those whose maps they are say of them. */
export interface VersionedMaps {
  /** @throws where somebody may not see the map */
  insistSeen: (id: string, accountId: string) => Promise<unknown>;
  /** @throws where somebody may not keep a version of it */
  insistKept: (id: string, accountId: string) => Promise<unknown>;
  /** Lets those who keep a version of it come one after the other. */
  lock: (id: string) => Promise<unknown>;
}

const DOCUMENT = { work: workDocument, own: ownMapDocument };
const ofMap = (kind: Versioned, id: string): { workId: string } | { ownMapId: string } =>
  kind === 'work' ? { workId: id } : { ownMapId: id };

type Point = Pick<MapVersion, 'at' | 'topics' | 'links'> & { map: object };

/** Points in time of a map: kept by themselves while it is worked on, and named by whoever draws. */
@Injectable()
export class VersionsService implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly newest = new Map<string, number>();
  private readonly keeping = new Set<Promise<void>>();
  private readonly maps = new Map<Versioned, VersionedMaps>();

  constructor(
    private readonly data: Database,
    @Inject(LOGGER) private readonly logger: Logger,
    private readonly log: UpdateLog,
    private readonly snapshots: Snapshots,
    works: WorksService,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {
    this.register('work', {
      insistSeen: (id, accountId) => works.seen(id, accountId),
      insistKept: async (id, accountId) => {
        const { work, isMember } = await works.seen(id, accountId);
        if (!isMember) throw notFound('map');
        if (work.publication!.schoolClass!.archivedAt)
          throw conflict('Your class is put away, so nothing is kept of this map any more. What is there stays.');
      },
      lock: (id) => lockWork(data, id),
    });
  }

  register(kind: Versioned, maps: VersionedMaps): void {
    this.maps.set(kind, maps);
  }

  onApplicationBootstrap(): void {
    this.log.listen({ stored: (name) => this.noticed(name), notStored: () => undefined });
  }

  async onApplicationShutdown(): Promise<void> {
    await Promise.all(this.keeping);
  }

  /** Something of a document was stored: time for a point, if the last one is old enough. */
  private noticed(name: string): void {
    const document = readDocumentName(name);
    if (!document || !isVersioned(document.kind)) return;
    const { kind, id } = document;
    const now = this.clock.now().getTime();
    if (now - (this.newest.get(id) ?? -Infinity) < EVERY_MS) return;
    this.newest.set(id, now);
    const kept = this.keep(kind, id)
      // A point that could not be kept is no loss of what is drawn: the next one will be.
      .catch((fault: unknown) => this.logger.warn({ fault, [kind]: id }, 'a version could not be kept'))
      .finally(() => this.keeping.delete(kept));
    this.keeping.add(kept);
  }

  private async keep(kind: Versioned, id: string): Promise<void> {
    const versions = this.data.getRepository(MapVersion);
    const where = { ...ofMap(kind, id), name: IsNull() };
    const last = await versions.findOne({
      where,
      order: { at: 'DESC' },
      select: { id: true, at: true },
    });
    if (last && this.clock.now().getTime() - last.at.getTime() < EVERY_MS) {
      this.newest.set(id, last.at.getTime());
      return;
    }
    await this.insert(kind, id, await this.point(kind, id), { name: null, byId: null });
    const old = await versions.find({
      where,
      order: { at: 'DESC' },
      skip: MOST_KEPT,
      take: 50,
      select: { id: true },
    });
    if (old.length > 0) await versions.delete(old.map(({ id }) => id));
  }

  /** A map as it is stored now. */
  private async point(kind: Versioned, id: string): Promise<Point> {
    const drawn = await this.snapshots.of(DOCUMENT[kind](id));
    if (!drawn) throw notFound('map');
    const { map } = drawn;
    return { at: this.clock.now(), ...figuresOf(map), map: writeMap(map) };
  }

  private async insert(
    kind: Versioned,
    mapId: string,
    point: Point,
    by: Pick<MapVersion, 'name' | 'byId'>,
  ): Promise<string> {
    const id = randomUUID();
    await this.data.getRepository(MapVersion).insert({ id, ...ofMap(kind, mapId), ...point, ...by });
    return id;
  }

  /** Names the map as it is stored now. */
  async name(kind: Versioned, mapId: string, name: string, named: Named): Promise<VersionRow> {
    const maps = this.maps.get(kind)!;
    await maps.insistKept(mapId, named.accountId);
    const point = await this.point(kind, mapId);
    const id = await this.acts.once(named, 'name version', async () => {
      // One after the other, so that the last free place is one person's.
      await maps.lock(mapId);
      const mine = { ...ofMap(kind, mapId), byId: named.accountId };
      const many = await this.data.getRepository(MapVersion).countBy(mine);
      if (many >= MOST_NAMED) throw conflict(`A map keeps ${MOST_NAMED} named versions of each person.`);
      return this.insert(kind, mapId, point, { name, byId: named.accountId });
    });
    return rowOf(await this.data.getRepository(MapVersion).findOneOrFail({ where: { id }, relations: { by: true } }));
  }

  /** Newest first. */
  async list(kind: Versioned, mapId: string, accountId: string): Promise<VersionRow[]> {
    await this.maps.get(kind)!.insistSeen(mapId, accountId);
    const rows = await this.data.getRepository(MapVersion).find({
      where: ofMap(kind, mapId),
      order: { at: 'DESC' },
      relations: { by: true },
      select: { id: true, at: true, name: true, topics: true, links: true },
    });
    return rows.map(rowOf);
  }

  async mapOf(id: string, accountId: string): Promise<Record<string, unknown>> {
    const version = await this.data.getRepository(MapVersion).findOneBy({ id });
    if (!version) throw notFound('version');
    const { workId, ownMapId } = version;
    if (ownMapId !== null) await this.maps.get('own')!.insistSeen(ownMapId, accountId);
    else await this.maps.get('work')!.insistSeen(workId!, accountId);
    return version.map;
  }

  /** All points of some maps outside any assignment, oldest first. */
  ofOwnMaps(ids: readonly string[]): Promise<MapVersion[]> {
    return this.data.getRepository(MapVersion).find({ where: { ownMapId: In([...ids]) }, order: { at: 'ASC' } });
  }
}

const isVersioned = (kind: string): kind is Versioned => kind === 'work' || kind === 'own';

const figuresOf = ({ topics, links }: TopicMap) => ({ topics: topics.length, links: links.length });

const rowOf = ({ id, at, name, by, topics, links }: MapVersion): VersionRow => ({
  id,
  at: at.toISOString(),
  name,
  by: by ? `${by.givenName} ${by.familyName}` : null,
  topics,
  links,
});
