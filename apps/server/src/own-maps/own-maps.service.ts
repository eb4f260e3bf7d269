import { randomUUID } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { OnApplicationBootstrap, OnApplicationShutdown } from '@nestjs/common';
import {
  adoptRevision,
  emptyMap,
  LEGEND,
  OWN_LEGEND,
  ownAssignment,
  readMap,
  readyMade,
  withNewIds,
  writeMap,
} from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { ownMapDocument, workDocument } from '@ichnograph/contract';
import type { ChangeOwnMap, NewOwnMap, OwnMapDetail, OwnMapRow } from '@ichnograph/contract';
import type { Logger } from 'pino';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Revisions } from '../assignments/index.js';
import { Clock } from '../common/clock.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { LOGGER } from '../common/tokens.js';
import { filledWith, LiveService, readDocumentName, Snapshots, UpdateLog } from '../live/index.js';
import { AccountsService } from '../accounts/index.js';
import { SharesService } from '../shares/index.js';
import { VersionsService } from '../versions/index.js';
import { WorksService } from '../works/index.js';
import { OwnMap } from './own-map.entity.js';

const MOST_OF_ONE = 500;
const MOST_WORDS = 4000;
/** What a list shows follows so long after the last change. */
const REST_MS = 1500;

/** Maps outside any assignment: their owner's alone. */
@Injectable()
export class OwnMapsService implements OnApplicationBootstrap, OnApplicationShutdown {
  /** maps that changed since their row was written, each with the timer that will write it */
  private readonly changed = new Map<string, ReturnType<typeof setTimeout>>();

  constructor(
    private readonly data: Database,
    @Inject(LOGGER) private readonly logger: Logger,
    private readonly acts: Acts,
    private readonly log: UpdateLog,
    private readonly snapshots: Snapshots,
    private readonly live: LiveService,
    private readonly works: WorksService,
    private readonly versions: VersionsService,
    private readonly revisions: Revisions,
    private readonly accounts: AccountsService,
    private readonly shares: SharesService,
    private readonly clock: Clock,
  ) {
    live.register('own', async (id, accountId) => {
      const map = await this.data.getRepository(OwnMap).findOneBy({ id, ownerId: accountId });
      return map ? 'write' : shares.right('own', id, accountId);
    });
    shares.register('own', {
      mayShare: async (id, accountId) => {
        await this.owned(id, accountId);
        return 'write';
      },
      shown: async (id) => {
        const { ownerId, title, legend } = await this.data.getRepository(OwnMap).findOneByOrFail({ id });
        const owner = (await this.accounts.people([ownerId])).get(ownerId)!;
        return { title, madeBy: [owner], legend: legend as unknown as Legend, allows: 'write' };
      },
    });
    versions.register('own', {
      insistSeen: (id, accountId) => this.owned(id, accountId),
      insistKept: (id, accountId) => this.owned(id, accountId),
      lock: (id) => this.data.manager.findOne(OwnMap, { where: { id }, lock: { mode: 'pessimistic_write' } }),
    });
  }

  onApplicationBootstrap(): void {
    this.log.listen({ stored: (name) => this.noticed(name), notStored: () => undefined });
  }

  async onApplicationShutdown(): Promise<void> {
    await this.settle();
  }

  private noticed(name: string): void {
    const document = readDocumentName(name);
    if (document?.kind !== 'own') return;
    clearTimeout(this.changed.get(document.id));
    this.changed.set(
      document.id,
      setTimeout(() => void this.refresh(document.id), REST_MS),
    );
  }

  /** Writes at once what waits to be written. */
  private async settle(): Promise<void> {
    await Promise.all([...this.changed.keys()].map((id) => this.refresh(id)));
  }

  private async refresh(id: string): Promise<void> {
    clearTimeout(this.changed.get(id));
    this.changed.delete(id);
    try {
      const map = await this.mapOf(id);
      await this.data.getRepository(OwnMap).update({ id }, { ...shownOf(map), changedAt: this.clock.now() });
    } catch (fault) {
      // The list is a moment behind; the map itself is stored, and the next change writes the row.
      this.logger.warn({ fault, map: id }, 'what a list shows of a map could not be written');
    }
  }

  private async mapOf(id: string): Promise<TopicMap> {
    return (await this.snapshots.of(ownMapDocument(id)))?.map ?? emptyMap();
  }

  async begin(wanted: NewOwnMap, named: Named): Promise<string> {
    const from = await this.source(wanted, named.accountId);
    return this.acts.once(named, 'begin an own map', async () => {
      if ((await this.data.manager.countBy(OwnMap, { ownerId: named.accountId })) >= MOST_OF_ONE)
        throw conflict(`You have ${MOST_OF_ONE} maps of your own, and that is as many as one person may have.`);
      const id = randomUUID();
      const title = wanted.title.trim() || from.map.title || 'Without a title';
      const map = { ...withNewIds(from.map, randomUUID), title };
      const row = { id, ownerId: named.accountId, folder: wanted.folder?.trim() ?? '', legend: from.legend };
      await this.data.manager.insert(OwnMap, { ...row, ...shownOf(map), changedAt: this.clock.now() });
      await this.log.create(ownMapDocument(id), filledWith(map));
      return id;
    });
  }

  /** What a new map begins with, if whoever begins it may see that. */
  private async source(
    { readyMade: id, copyOf, fromWork, fromShare, map: brought }: NewOwnMap,
    accountId: string,
  ): Promise<{ map: TopicMap; legend: Legend }> {
    if (copyOf) {
      const { legend } = await this.owned(copyOf, accountId);
      return { map: await this.mapOf(copyOf), legend: legend as unknown as Legend };
    }
    if (fromShare) {
      const { document, legend } = await this.shares.mapOf(fromShare, accountId);
      return { map: (await this.snapshots.of(document))?.map ?? emptyMap(), legend };
    }
    if (fromWork) {
      const { work } = await this.works.seen(fromWork, accountId);
      const drawn = await this.snapshots.of(workDocument(work.id));
      const { legend } = await this.revisions.bodyOf(work.revisionId);
      return { map: drawn?.map ?? emptyMap(), legend };
    }
    if (id) {
      const made = readyMade(id);
      if (!made) throw notFound('ready-made map');
      return { map: made.starter ?? emptyMap(), legend: made.sheet.legend.legend };
    }
    if (brought) {
      const { value, messages } = readMap(brought);
      if (!value) throw refused(`That is no map: ${messages[0]!.path} ${messages[0]!.reason}.`);
      const { legend = OWN_LEGEND, ...map } = value;
      return { map, legend };
    }
    return { map: emptyMap(), legend: OWN_LEGEND };
  }

  private async owned(id: string, ownerId: string): Promise<OwnMap> {
    const map = await this.data.getRepository(OwnMap).findOneBy({ id, ownerId });
    if (!map) throw notFound('map');
    return map;
  }

  /** Newest first. */
  async list(ownerId: string): Promise<OwnMapRow[]> {
    const mine = () => this.data.getRepository(OwnMap).find({ where: { ownerId }, order: { changedAt: 'DESC' } });
    const rows = await mine();
    const behind = rows.filter(({ id }) => this.changed.has(id));
    if (behind.length === 0) return rows.map(rowOf);
    await Promise.all(behind.map(({ id }) => this.refresh(id)));
    return (await mine()).map(rowOf);
  }

  async detail(id: string, accountId: string): Promise<OwnMapDetail> {
    const row = await this.owned(id, accountId);
    return { ...rowOf(row), legend: row.legend, map: writeMap(await this.mapOf(id)) };
  }

  async legendOf(id: string): Promise<Legend> {
    return (await this.data.getRepository(OwnMap).findOneByOrFail({ id })).legend as unknown as Legend;
  }

  async change(id: string, { title, folder, legend }: ChangeOwnMap, accountId: string): Promise<void> {
    const { legend: before } = await this.owned(id, accountId);
    if (legend !== undefined) await this.changeLegend(id, before as unknown as Legend, legend);
    if (folder !== undefined) await this.data.getRepository(OwnMap).update({ id }, { folder: folder.trim() });
    if (title === undefined) return;
    await this.live.change(ownMapDocument(id), () => [{ do: 'entitle', fields: { title } }]);
    await this.refresh(id);
  }

  /** What is drawn follows: sizes their kinds' shapes, and what is of a kind that is gone is of none. */
  private async changeLegend(id: string, before: Legend, wanted: object): Promise<void> {
    if (!LEGEND.allows(wanted)) throw refused('This is no legend: a kind has a name, a shape and a fill.');
    const legend = wanted as unknown as Legend;
    const ids = [...legend.topicKinds, ...legend.linkKinds].map((kind) => kind.id);
    if (new Set(ids).size < ids.length) throw refused('Two kinds of a legend have the same id.');
    await this.data.getRepository(OwnMap).update({ id }, { legend: wanted });
    const [old, next] = [before, legend].map((one) => ownAssignment('', one));
    await this.live.change(ownMapDocument(id), (map) => adoptRevision(map, old!, next!, { idFor: () => randomUUID() }));
  }

  async remove(id: string, accountId: string): Promise<void> {
    await this.owned(id, accountId);
    const name = ownMapDocument(id);
    await this.data.getRepository(OwnMap).delete({ id });
    // Who has it open is shown out first, so that nothing more is drawn on what goes.
    await this.live.changed(name);
    await this.log.forget(name);
  }

  /** Of a person who goes: all maps, as they stand, and the points of their history. */
  async ofPerson(ownerId: string): Promise<Record<string, unknown>[]> {
    const rows = await this.data.getRepository(OwnMap).findBy({ ownerId });
    const versions = await this.versions.ofOwnMaps(rows.map(({ id }) => id));
    return Promise.all(
      rows.map(async ({ id, title, folder }) => ({
        title,
        folder,
        map: writeMap(await this.mapOf(id)),
        versions: versions
          .filter(({ ownMapId }) => ownMapId === id)
          .map(({ at, name, topics, links, map }) => ({ at, name, topics, links, map })),
      })),
    );
  }

  /** Whether an own map of one of these people, other than this one's, names a file. */
  async name(hash: string, ownerIds: readonly string[], but: string): Promise<boolean> {
    const rows = await this.data.getRepository(OwnMap).findBy({ ownerId: In(ownerIds.filter((id) => id !== but)) });
    const kept = await this.versions.ofOwnMaps(rows.map(({ id }) => id));
    if (kept.some(({ map }) => JSON.stringify(map).includes(hash))) return true;
    return this.log.says(
      rows.map(({ id }) => ownMapDocument(id)),
      hash,
    );
  }

  async removeAll(ownerId: string): Promise<void> {
    for (const { id } of await this.data.getRepository(OwnMap).findBy({ ownerId })) await this.remove(id, ownerId);
  }
}

const shownOf = ({ title, topics, links }: TopicMap) => ({
  title,
  topics: topics.length,
  links: links.length,
  words: topics
    .map(({ text }) => text)
    .join(' · ')
    .slice(0, MOST_WORDS),
});

const rowOf = ({ id, title, folder, topics, links, words, changedAt }: OwnMap): OwnMapRow => ({
  id,
  title,
  folder,
  topics,
  links,
  words,
  changedAt: changedAt.toISOString(),
});
