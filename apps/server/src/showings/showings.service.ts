import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { emptyMap, forAClass, writeMap } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { ownMapDocument, showingRoom, workDocument } from '@ichnograph/contract';
import type { GoTo, NewShowing, ShowingDetail, ShowingPlace, ShowingRow } from '@ichnograph/contract';
import { In, MoreThan } from 'typeorm';
import { AccountsService } from '../accounts/index.js';
import type { Account } from '../accounts/index.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Revisions } from '../assignments/index.js';
import { ClassesService, STAFF } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { LiveService, Snapshots } from '../live/index.js';
import { OwnMapsService } from '../own-maps/index.js';
import { WorksService } from '../works/index.js';
import { Showing } from './showing.entity.js';

/** No lesson is longer; who forgets to end one shows nothing all night. */
const LONGEST_MS = 4 * 3_600_000;
/** A map that thirty devices ask for at once is read once. */
const FRESH_MS = 500;

interface Shown {
  map: TopicMap;
  legend: Legend;
  language: string;
}

/** Maps shown to a class live: who presents, who follows, and where the presenter is. */
@Injectable()
export class ShowingsService {
  /** where presenters are; not stored: after a restart the next step says it again */
  private readonly places = new Map<string, { place: ShowingPlace; count: number }>();
  private readonly read = new Map<string, { at: number; shown: Promise<Shown> }>();

  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly accounts: AccountsService,
    private readonly works: WorksService,
    private readonly ownMaps: OwnMapsService,
    private readonly revisions: Revisions,
    private readonly snapshots: Snapshots,
    private readonly acts: Acts,
    private readonly clock: Clock,
    private readonly live: LiveService,
  ) {
    live.registerRoom('showing', async (id, accountId) => {
      const showing = await this.open(id);
      return showing && (await this.classes.partIn(showing.classId, accountId)) !== null ? 'read' : null;
    });
  }

  private get showings() {
    return this.data.getRepository(Showing);
  }

  private open(id: string): Promise<Showing | null> {
    return this.showings.findOne({
      where: { id, endsAt: MoreThan(this.clock.now()) },
      relations: { schoolClass: true },
    });
  }

  /** Begins; what the same person showed before is over. */
  async begin(wanted: NewShowing, account: Account, named: Named): Promise<string> {
    const { classId, tourId = null } = wanted;
    if ((await this.classes.partIn(classId, account.id)) === null) throw notFound('class');
    if ((await this.classes.byId(classId)).archivedAt)
      throw conflict('This class is put away, so nothing can be shown to it. Take it out again first.');
    const which = await this.insistMayShow(wanted, account);
    const shown = await this.shownOf(which);
    if (tourId !== null && !shown.map.tours.some(({ id }) => id === tourId)) throw notFound('tour');
    const now = this.clock.now();
    const mine = await this.showings.findBy({ madeBy: account.id, endsAt: MoreThan(now) });
    const id = await this.acts.once(named, 'show a map', async () => {
      const made = randomUUID();
      await this.endAll(mine);
      const endsAt = new Date(now.getTime() + LONGEST_MS);
      await this.data.manager.insert(Showing, {
        id: made,
        classId,
        ...which,
        tourId,
        madeBy: account.id,
        beganAt: now,
        endsAt,
      });
      return made;
    });
    await this.sayEnded(mine.filter((one) => one.id !== id));
    return id;
  }

  private async insistMayShow(
    { ownMapId, workId, classId }: NewShowing,
    account: Account,
  ): Promise<Pick<Showing, 'ownMapId' | 'workId'>> {
    if ((ownMapId === undefined) === (workId === undefined)) throw refused('Choose one map to show.');
    if (ownMapId !== undefined) await this.ownMaps.detail(ownMapId, account.id);
    if (workId !== undefined) {
      const { work, isMember, isBlind } = await this.works.seen(workId, account.id);
      if (isBlind) throw notFound('map');
      if (work.publication!.classId !== classId)
        throw refused('A map of an assignment is shown to the class that has the assignment.');
      const { drawing } = await this.revisions.bodyOf(work.revisionId);
      if (isMember && drawing?.sharing === false)
        throw conflict('Maps of this assignment are not shown to others. Ask your teacher.');
    }
    return { ownMapId: ownMapId ?? null, workId: workId ?? null };
  }

  private async shownOf({ ownMapId, workId }: Pick<Showing, 'ownMapId' | 'workId'>): Promise<Shown> {
    const document = ownMapId ? ownMapDocument(ownMapId) : workDocument(workId!);
    const map = (await this.snapshots.of(document))?.map ?? emptyMap();
    if (ownMapId) return { map, legend: await this.ownMaps.legendOf(ownMapId), language: 'en' };
    const work = (await this.works.plain(workId!))!;
    const { legend, language } = await this.revisions.bodyOf(work.revisionId);
    return { map, legend, language };
  }

  /** What is shown now to the classes somebody is in, the newest first. */
  async list(accountId: string): Promise<ShowingRow[]> {
    const classIds = await this.classes.classIdsOf(accountId, ['student', ...STAFF]);
    const rows = await this.showings.find({
      where: { classId: In(classIds), endsAt: MoreThan(this.clock.now()) },
      relations: { schoolClass: true },
      order: { beganAt: 'DESC' },
      take: 20,
    });
    const people = await this.accounts.people(rows.map(({ madeBy }) => madeBy));
    return Promise.all(
      rows.map(async (one) => ({
        ...rowOf(one, accountId),
        title: titleOf(await this.current(one), one),
        by: people.get(one.madeBy)!,
      })),
    );
  }

  private async seen(id: string, accountId: string): Promise<{ showing: Showing; isStaff: boolean }> {
    const showing = await this.open(id);
    const part = showing && (await this.classes.partIn(showing.classId, accountId));
    if (!showing || part === null) throw notFound('map that is shown');
    return { showing, isStaff: part !== 'student' };
  }

  async detail(id: string, { id: accountId }: Account): Promise<ShowingDetail> {
    const { showing, isStaff } = await this.seen(id, accountId);
    const shown = await this.current(showing);
    const { map, legend, language } = shown;
    const people = await this.accounts.people([showing.madeBy]);
    const at = this.places.get(id);
    return {
      ...rowOf(showing, accountId),
      title: titleOf(shown, showing),
      by: people.get(showing.madeBy)!,
      classId: showing.classId,
      mayEnd: isStaff || showing.madeBy === accountId,
      language,
      legend: legend as unknown as Record<string, unknown>,
      map: writeMap(forAClass(map, showing.tourId)),
      place: at?.place ?? null,
      count: at?.count ?? 0,
    };
  }

  private current(showing: Showing): Promise<Shown> {
    const now = performance.now();
    const known = this.read.get(showing.id);
    if (known && now - known.at < FRESH_MS) return known.shown;
    const shown = this.shownOf(showing);
    this.read.set(showing.id, { at: now, shown });
    shown.catch(() => this.read.delete(showing.id));
    return shown;
  }

  /** The presenter goes to a place; those who follow go there too. */
  async go(id: string, { topic, words, line, view, changed }: GoTo, accountId: string): Promise<void> {
    const { showing } = await this.seen(id, accountId);
    if (showing.madeBy !== accountId) throw notFound('map that is shown');
    const count = (this.places.get(id)?.count ?? 0) + 1;
    const place: ShowingPlace = { topic, words, line, view };
    this.places.set(id, { place, count });
    const news = { type: 'showing', place, count } as const;
    this.live.tellRoom(showingRoom(id), { write: news, read: news });
    if (!changed) return;
    this.read.delete(id);
    this.live.told(showingRoom(id));
  }

  /** It is over: by its presenter, or by those who teach the class. */
  async end(id: string, accountId: string): Promise<void> {
    const { showing, isStaff } = await this.seen(id, accountId);
    if (!isStaff && showing.madeBy !== accountId) throw notFound('map that is shown');
    await this.endAll([showing]);
    await this.sayEnded([showing]);
  }

  private async endAll(showings: readonly Showing[]): Promise<void> {
    if (showings.length > 0)
      await this.data.manager.update(Showing, { id: In(showings.map(({ id }) => id)) }, { endsAt: this.clock.now() });
  }

  private async sayEnded(showings: readonly Showing[]): Promise<void> {
    for (const { id } of showings) {
      this.places.delete(id);
      this.read.delete(id);
      await this.live.changed(showingRoom(id));
    }
  }
}

const titleOf = ({ map }: Shown, { tourId }: Showing): string =>
  map.tours.find(({ id }) => id === tourId)?.title || map.title || 'A map';

const rowOf = (
  { id, schoolClass, madeBy, ownMapId, workId, tourId }: Showing,
  accountId: string,
): Pick<ShowingRow, 'id' | 'className' | 'mine' | 'of' | 'tourId'> => ({
  id,
  className: schoolClass!.name,
  mine: madeBy === accountId,
  of: madeBy === accountId ? (ownMapId ? { ownMapId } : { workId: workId! }) : null,
  tourId,
});
