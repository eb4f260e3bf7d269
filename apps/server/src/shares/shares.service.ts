import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { OnApplicationBootstrap, OnApplicationShutdown } from '@nestjs/common';
import { ownMapDocument, workDocument } from '@ichnograph/contract';
import type {
  NewShare,
  Person,
  Shares,
  SharedMapDetail,
  SharedWithMe,
  ShareKind,
  ShareRow,
  ShareTargets,
} from '@ichnograph/contract';
import type { Legend } from '@ichnograph/core';
import { Between, In, IsNull, MoreThan } from 'typeorm';
import { AccountsService, personOf } from '../accounts/index.js';
import type { Account } from '../accounts/index.js';
import { ClassesService, Enrolment, STAFF } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { LiveService } from '../live/index.js';
import type { Right } from '../live/index.js';
import { Share } from './share.entity.js';

const DAY_MS = 86_400_000;
const LONGEST_DAYS = 400;
const MOST_OF_ONE_MAP = 50;
/** How soon after its end a share ends connections that are open. */
const SWEEP_MS = 5000;

/** What the owner of a kind of map knows of one, and says of who may do what. */
export interface Sharer {
  /** @throws unless this person has the map; what they may share it for: `null` where the teacher forbids it */
  mayShare: (id: string, accountId: string) => Promise<'write' | 'read' | null>;
  /** what those who are let in see of it, and what they may do by now */
  shown: (id: string) => Promise<{ title: string; madeBy: Person[]; legend: Legend; allows: Right }>;
}

type Which = { kind: ShareKind; id: string };
const DOCUMENTS: Record<ShareKind, (id: string) => string> = { own: ownMapDocument, work: workDocument };

/** Maps that are shared with persons and classes. Below what owns the maps, which asks here who else may come in. */
@Injectable()
export class SharesService implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly sharers = new Map<ShareKind, Sharer>();
  private sweep: NodeJS.Timeout | null = null;
  private swept: Date;

  constructor(
    private readonly data: Database,
    private readonly accounts: AccountsService,
    private readonly classes: ClassesService,
    private readonly live: LiveService,
    private readonly clock: Clock,
  ) {
    this.swept = clock.now();
  }

  onApplicationBootstrap(): void {
    this.sweep = setInterval(() => void this.endWhatIsOver(), SWEEP_MS);
    this.sweep.unref();
  }

  onApplicationShutdown(): void {
    clearInterval(this.sweep ?? undefined);
  }

  register(kind: ShareKind, sharer: Sharer): void {
    this.sharers.set(kind, sharer);
  }

  private get shares() {
    return this.data.getRepository(Share);
  }

  /** What somebody may do with a map because it is shared with them; what its owner says comes before. */
  async right(kind: ShareKind, id: string, accountId: string): Promise<Right> {
    const rows = await this.sharedWith(accountId, { kind, id });
    if (rows.length === 0) return null;
    const { allows } = await this.sharerOf(kind).shown(id);
    return allows === 'write' && rows.some(({ mayEdit }) => mayEdit) ? 'write' : allows && 'read';
  }

  async of({ kind, id }: Which, account: Account): Promise<Shares> {
    const may = await this.sharerOf(kind).mayShare(id, account.id);
    const rows = await this.shares.find({
      where: { ...columnOf(kind, id), endsAt: MoreThan(this.clock.now()) },
      order: { madeAt: 'DESC' },
    });
    return { mayShare: may, shares: await this.rowsOf(rows) };
  }

  /** With whom somebody may share: the people of their classes, and those classes. */
  async targets(account: Account): Promise<ShareTargets> {
    const classes = (await this.classes.list(account)).filter(({ archived, part }) => !archived && part !== null);
    const rows =
      classes.length === 0
        ? []
        : await this.data.getRepository(Enrolment).find({
            where: { classId: In(classes.map(({ id }) => id)) },
            relations: { account: true },
          });
    const people = new Map(
      rows.map((row) => [row.accountId, { ...personOf(row.account!), isStaff: STAFF.includes(row.part) }]),
    );
    people.delete(account.id);
    return {
      people: [...people.values()].toSorted((a, b) => a.givenName.localeCompare(b.givenName)),
      classes: classes.map(({ id, name }) => ({ id, name })),
    };
  }

  async make({ kind, id }: Which, wanted: NewShare, account: Account): Promise<ShareRow> {
    const may = await this.sharerOf(kind).mayShare(id, account.id);
    if (may === null) throw conflict('Maps of this assignment are not shared with others. Ask your teacher.');
    if (wanted.mayEdit && may !== 'write')
      throw conflict('Maps of this assignment may be shown to others, and not drawn on by them. Ask your teacher.');
    const [now, endsAt] = [this.clock.now(), new Date(wanted.endsAt)];
    if (endsAt <= now) throw refused('That day is over. Choose one to come.');
    if (endsAt.getTime() > now.getTime() + LONGEST_DAYS * DAY_MS)
      throw refused(`A map is shared for ${LONGEST_DAYS} days at most. Choose an earlier day.`);
    const [accountId, classId] = [wanted.accountId ?? null, wanted.classId ?? null];
    if ((accountId === null) === (classId === null)) throw refused('Choose a person, or a class.');
    const { people, classes } = await this.targets(account);
    if (!(accountId ? people : classes).some((one) => one.id === (accountId ?? classId)))
      throw notFound(accountId ? 'person' : 'class');
    const before = await this.shares.findBy(columnOf(kind, id));
    // Shared again with the same, the newer word counts.
    const same = before.filter((one) => one.accountId === accountId && one.classId === classId);
    if (before.length - same.length >= MOST_OF_ONE_MAP)
      throw conflict(`This map is shared ${MOST_OF_ONE_MAP} times already. Take one back first.`);
    const share = this.shares.create({
      id: randomUUID(),
      ownMapId: null,
      workId: null,
      ...columnOf(kind, id),
      accountId,
      classId,
      mayEdit: wanted.mayEdit,
      madeBy: account.id,
      madeAt: now,
      endsAt,
    });
    await this.data.unit(async () => {
      if (same.length > 0) await this.shares.delete({ id: In(same.map((one) => one.id)) });
      await this.shares.insert(share);
    });
    await this.live.changed(DOCUMENTS[kind](id));
    return (await this.rowsOf([share]))[0]!;
  }

  /** From this moment on nobody comes in by it, and who is in is shown out. */
  async takeBack(id: string, account: Account): Promise<void> {
    const share = await this.shares.findOneBy({ id });
    if (!share) throw notFound('share');
    const { kind, id: mapId } = whichOf(share);
    await this.sharerOf(kind).mayShare(mapId, account.id);
    await this.shares.delete({ id });
    await this.live.changed(DOCUMENTS[kind](mapId));
  }

  /** What others share with somebody, newest first. */
  async withMe(account: Account): Promise<SharedWithMe[]> {
    const rows = await this.sharedWith(account.id);
    const people = await this.accounts.people(rows.map(({ madeBy }) => madeBy));
    const all = await Promise.all(
      rows.map(async (share): Promise<SharedWithMe[]> => {
        const { kind, id } = whichOf(share);
        const shown = await this.shownTo(share, account);
        if (!shown) return [];
        return [
          {
            id: share.id,
            title: shown.title,
            by: people.get(share.madeBy)!,
            mayEdit: shown.right === 'write',
            endsAt: share.endsAt.toISOString(),
            document: DOCUMENTS[kind](id),
          },
        ];
      }),
    );
    // One map may be shared twice with somebody, as a person and in a class.
    return [
      ...new Map(
        all
          .flat()
          .toReversed()
          .map((one) => [one.document, one]),
      ).values(),
    ].toReversed();
  }

  async detail(id: string, account: Account): Promise<SharedMapDetail> {
    const share = (await this.sharedWith(account.id)).find((one) => one.id === id);
    const shown = share && (await this.shownTo(share, account));
    if (!share || !shown) throw notFound('shared map');
    const { kind, id: mapId } = whichOf(share);
    const by = (await this.accounts.people([share.madeBy])).get(share.madeBy)!;
    return {
      id,
      title: shown.title,
      document: DOCUMENTS[kind](mapId),
      mayEdit: shown.right === 'write',
      by,
      madeBy: shown.madeBy,
      legend: shown.legend as unknown as Record<string, unknown>,
      endsAt: share.endsAt.toISOString(),
    };
  }

  /** The map of a share, for somebody it is shared with. @throws where it is not */
  async mapOf(id: string, accountId: string): Promise<{ document: string; legend: Legend }> {
    const share = (await this.sharedWith(accountId)).find((one) => one.id === id);
    const shown = share && (await this.sharerOf(whichOf(share).kind).shown(whichOf(share).id));
    if (!share || !shown?.allows) throw notFound('shared map');
    const { kind, id: mapId } = whichOf(share);
    return { document: DOCUMENTS[kind](mapId), legend: shown.legend };
  }

  private async shownTo(share: Share, { id: accountId }: Account) {
    const { kind, id } = whichOf(share);
    const shown = await this.sharerOf(kind).shown(id);
    const right = await this.right(kind, id, accountId);
    return right && { ...shown, right };
  }

  /** Shares with somebody that hold now, newest first. */
  private async sharedWith(accountId: string, which?: Which): Promise<Share[]> {
    const holds = { ...(which && columnOf(which.kind, which.id)), endsAt: MoreThan(this.clock.now()) };
    const classes = await this.data
      .getRepository(Enrolment)
      .find({ where: { accountId, schoolClass: { archivedAt: IsNull() } } });
    const rows = await this.shares.find({
      where: [
        { ...holds, accountId },
        ...(classes.length > 0 ? [{ ...holds, classId: In(classes.map(({ classId }) => classId)) }] : []),
      ],
      order: { madeAt: 'DESC' },
    });
    return rows.filter(({ madeBy }) => madeBy !== accountId);
  }

  private async rowsOf(rows: readonly Share[]): Promise<ShareRow[]> {
    const people = await this.accounts.people(rows.flatMap(({ accountId }) => accountId ?? []));
    const names = await this.classes.names(rows.flatMap(({ classId }) => classId ?? []));
    return rows.map(({ id, accountId, classId, mayEdit, endsAt }) => ({
      id,
      person: accountId === null ? null : people.get(accountId)!,
      className: classId === null ? null : names.get(classId)!,
      mayEdit,
      endsAt: endsAt.toISOString(),
    }));
  }

  /** Who is in by a share whose day is over is shown out. */
  private async endWhatIsOver(): Promise<void> {
    const [since, now] = [this.swept, this.clock.now()];
    const over = await this.shares.findBy({ endsAt: Between(since, now) }).catch(() => null);
    // The database is away: what was over meanwhile is looked for again.
    if (over === null) return;
    this.swept = now;
    for (const share of over) {
      const { kind, id } = whichOf(share);
      await this.live.changed(DOCUMENTS[kind](id));
    }
  }

  private sharerOf(kind: ShareKind): Sharer {
    return this.sharers.get(kind)!;
  }
}

const columnOf = (kind: ShareKind, id: string): { ownMapId: string } | { workId: string } =>
  kind === 'own' ? { ownMapId: id } : { workId: id };
const whichOf = ({ ownMapId, workId }: Share): Which =>
  ownMapId !== null ? { kind: 'own', id: ownMapId } : { kind: 'work', id: workId! };
