import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  assignmentOf,
  differsInWordingOnly,
  isSheetPart,
  readAssignment,
  sameAssignment,
  SHEET_PARTS,
  sheetOf,
  writeAssignment,
} from '@ichnograph/core';
import type { Assignment as AssignmentBody, Sheet, SheetPart as PartName, TopicMap } from '@ichnograph/core';
import type { Snapshot } from '@ichnograph/livemap';
import { referenceDocument, starterDocument } from '@ichnograph/contract';
import type { AssignmentDetail, SavePart, SheetDetail, SheetNow, SheetPartState } from '@ichnograph/contract';
import { Database } from '../common/database.js';
import type { Account } from '../accounts/index.js';
import { AccountsService } from '../accounts/index.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Assignment, AssignmentsService, Revisions } from '../assignments/index.js';
import { Clock } from '../common/clock.js';
import { isTaken } from '../common/database-errors.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { WhoIsHere } from '../common/who-is-here.js';
import { filledWith, LiveService, Snapshots, UpdateLog } from '../live/index.js';
import { understoodFile } from './understood-file.js';
import { SheetPart } from './sheet-part.entity.js';

/** Whose standing rules a sheet is, or which revision of such it begins with. */
export type RulesOfSheet = Partial<Pick<Assignment, 'rulesOf' | 'follows'>>;
type Maps = Pick<AssignmentBody, 'starter' | 'reference'>;

/** Assignments while they are written: parts that are saved one by one, and maps that are live documents. */
@Injectable()
export class SheetsService {
  private readonly whoIsHere = new WhoIsHere();

  constructor(
    private readonly data: Database,
    private readonly assignments: AssignmentsService,
    private readonly revisions: Revisions,
    private readonly accounts: AccountsService,
    private readonly acts: Acts,
    private readonly log: UpdateLog,
    private readonly snapshots: Snapshots,
    private readonly clock: Clock,
    live: LiveService,
  ) {
    const rightTo = async (assignmentId: string, accountId: string) =>
      (await this.assignments.mayChange(assignmentId, accountId)) ? ('write' as const) : null;
    live.register('starter', rightTo);
    live.register('reference', rightTo);
    assignments.onUnshare(async (id) => {
      await live.changed(starterDocument(id));
      await live.changed(referenceDocument(id));
    });
  }

  /** Begins a sheet. @returns the assignment's id */
  begin(sheet: Sheet, maps: Maps, named: Named, rules: RulesOfSheet = {}): Promise<string> {
    return this.acts.once(named, 'begin an assignment', async () => {
      const id = randomUUID();
      await this.data.manager.insert(Assignment, {
        id,
        ownerId: named.accountId,
        title: sheet.task.title,
        createdAt: this.clock.now(),
        rulesOf: null,
        follows: null,
        archivedAt: null,
        ...rules,
      });
      await this.write(id, sheet, maps, named.accountId);
      return id;
    });
  }

  /** Takes an assignment file in as a new sheet. Refuses by path and reason. */
  bringIn(file: Record<string, unknown>, named: Named): Promise<string> {
    const body = understoodFile(readAssignment(file));
    return this.begin(sheetOf(body), body, named);
  }

  private async write(assignmentId: string, sheet: Sheet, maps: Maps, changedBy: string): Promise<void> {
    const changedAt = this.clock.now();
    for (const part of SHEET_PARTS)
      await this.data.manager.insert(SheetPart, {
        assignmentId,
        part,
        version: 1,
        body: sheet[part],
        changedBy,
        changedAt,
      });
    await this.log.create(starterDocument(assignmentId), filledWith(maps.starter));
    await this.log.create(referenceDocument(assignmentId), filledWith(maps.reference));
  }

  /** What is written of an assignment, as whoever may change it sees it. */
  async open(id: string, account: Account): Promise<SheetDetail> {
    await this.assignments.changeable(id, account.id);
    await this.ensure(id);
    const [row, parts] = await Promise.all([this.assignments.row(id, account.id), this.parts(id)]);
    const people = await this.accounts.people(parts.map(({ changedBy }) => changedBy));
    return {
      ...row,
      parts: Object.fromEntries(
        parts.map(({ part, version, body, changedBy, changedAt }): [string, SheetPartState] => [
          part,
          {
            version,
            body: body as Record<string, unknown>,
            changedBy: people.get(changedBy)!,
            changedAt: changedAt.toISOString(),
          },
        ]),
      ),
    };
  }

  /** Saves a part of a sheet, unless somebody saved it since the version that was changed. @returns its new version */
  async save(id: string, part: string, { version, body }: SavePart, account: Account): Promise<number> {
    const { rulesOf } = await this.assignments.changeable(id, account.id);
    if (!SHEET_PARTS.includes(part as PartName)) throw notFound('part of the sheet');
    const name = part as PartName;
    if (!isSheetPart(name, body))
      throw refused('This part of the sheet was not saved: something in it is too long, or is not what belongs there.');
    const saved = await this.data.unit(async () => {
      const { affected } = await this.data.manager.update(
        SheetPart,
        { assignmentId: id, part: name, version },
        { version: version + 1, body, changedBy: account.id, changedAt: this.clock.now() },
      );
      if (!affected) return this.savedBefore(id, name, { version, body }, account.id);
      if (name === 'task') await this.data.manager.update(Assignment, { id }, { title: (body as Sheet['task']).title });
      return version + 1;
    });
    // What is in force of a class's rules changes by amending alone: sheets are compared with it to the letter.
    if (!rulesOf) await this.correct(id);
    return saved;
  }

  /** What is written. */
  async written(id: string): Promise<Sheet> {
    await this.ensure(id);
    return asSheet(await this.parts(id));
  }

  /** The same, held for the rest of a transaction: nobody saves between its being read and written over. */
  async held(assignmentId: string): Promise<Sheet> {
    await this.ensure(assignmentId);
    return asSheet(
      await this.data.manager.find(SheetPart, { where: { assignmentId }, lock: { mode: 'pessimistic_write' } }),
    );
  }

  /** Writes over some parts, inside a transaction; who has the sheet open sees it follow. */
  async replace(assignmentId: string, parts: Partial<Sheet>, by: string): Promise<void> {
    for (const [part, body] of Object.entries(parts))
      await this.data.manager
        .createQueryBuilder()
        .update(SheetPart)
        .set({ version: () => 'version + 1', body, changedBy: by, changedAt: this.clock.now() })
        .where({ assignmentId, part })
        .execute();
  }

  /** A typo in what is given out is mended at once: words that no check reads need no new revision. */
  async correct(id: string): Promise<void> {
    const newest = await this.revisions.newest(id);
    if (!newest) return;
    const [before, now] = await Promise.all([this.revisions.bodyOf(newest.id), this.frozen(id)]);
    if (sameAssignment(before, now) || !differsInWordingOnly(before, now)) return;
    if (readAssignment(writeAssignment(now)).value) await this.revisions.correct(newest.id, now);
  }

  /** Whether what is written differs from the newest revision in what a check reads. */
  async isAhead(id: string): Promise<boolean> {
    const newest = await this.revisions.newest(id);
    return newest !== null && !differsInWordingOnly(await this.revisions.bodyOf(newest.id), await this.frozen(id));
  }

  /** The same, for one who marks with it: only who may change it is told. */
  async isAheadFor(id: string, accountId: string): Promise<boolean> {
    const { mayChange } = await this.assignments.row(id, accountId);
    return mayChange && this.isAhead(id);
  }

  /** The same words that arrive again were saved the first time; other words are somebody's who was faster. */
  private async savedBefore(
    assignmentId: string,
    part: PartName,
    { version, body }: SavePart,
    accountId: string,
  ): Promise<number> {
    const now = await this.data.manager.findOneBy(SheetPart, { assignmentId, part });
    if (!now) throw notFound('assignment');
    const same = now.changedBy === accountId && JSON.stringify(now.body) === JSON.stringify(body);
    if (same && now.version === version + 1) return now.version;
    const who = (await this.accounts.people([now.changedBy])).get(now.changedBy)!;
    throw conflict(
      `${now.changedBy === accountId ? 'You' : who.givenName} changed this part meanwhile, so it was not saved over it.`,
    );
  }

  /** Notes who is there. */
  async here(id: string, account: Account): Promise<SheetNow> {
    await this.assignments.changeable(id, account.id);
    const ids = this.whoIsHere.note(id, account.id, null, this.clock.now().getTime()).map((one) => one.accountId);
    const [people, parts, ahead] = await Promise.all([this.accounts.people(ids), this.parts(id), this.isAhead(id)]);
    return {
      here: ids.flatMap((one) => people.get(one) ?? []),
      versions: Object.fromEntries(parts.map(({ part, version }) => [part, version])),
      ahead,
    };
  }

  /** Those who see an assignment see what was last given out; who writes it, what is written. */
  async detail(id: string, account: Account): Promise<AssignmentDetail> {
    const row = await this.assignments.row(id, account.id);
    const newest = row.mayChange ? null : await this.revisions.newest(id);
    return {
      ...row,
      file: writeAssignment(newest ? await this.revisions.bodyOf(newest.id) : await this.frozen(id)),
    };
  }

  /** What a copy is made of: for whoever may change it what is written, for others what was last given out. */
  async copyable(id: string, accountId: string): Promise<AssignmentBody> {
    const { mayChange } = await this.assignments.row(id, accountId);
    const newest = mayChange ? null : await this.revisions.newest(id);
    return newest ? this.revisions.bodyOf(newest.id) : this.frozen(id);
  }

  /** The assignment as its sheet and its maps stand in committed transactions. It may be incomplete. */
  async frozen(id: string): Promise<AssignmentBody> {
    const [sheet, starter, reference] = await Promise.all([
      this.written(id),
      this.snapshots.of(starterDocument(id)),
      this.snapshots.of(referenceDocument(id)),
    ]);
    return assignmentOf(sheet, { starter: frozenMap(starter), reference: frozenMap(reference) });
  }

  private parts(assignmentId: string): Promise<SheetPart[]> {
    return this.data.getRepository(SheetPart).findBy({ assignmentId });
  }

  /** An assignment from before there were sheets gets one from its newest revision. */
  private async ensure(id: string): Promise<void> {
    if (await this.data.getRepository(SheetPart).existsBy({ assignmentId: id })) return;
    const newest = await this.revisions.newest(id);
    const assignment = await this.data.getRepository(Assignment).findOneBy({ id });
    if (!newest || !assignment) throw notFound('assignment');
    const body = await this.revisions.bodyOf(newest.id);
    try {
      await this.data.unit(() => this.write(id, sheetOf(body), body, assignment.ownerId));
    } catch (error) {
      // Two opened it at once: the first one's sheet is the same.
      if (!isTaken(error)) throw error;
    }
  }
}

const asSheet = (parts: readonly SheetPart[]): Sheet =>
  Object.fromEntries(parts.map(({ part, body }) => [part, body])) as unknown as Sheet;

const frozenMap = (drawn: Snapshot | null): TopicMap | null => {
  if (!drawn) return null;
  const { map } = drawn;
  // Whose hand drew a given map is nobody's business who works on it.
  const unsigned = <T extends { by?: string | undefined }>({ by: _, ...mark }: T): Omit<T, 'by'> => mark;
  return { ...map, topics: map.topics.map(unsigned), links: map.links.map(unsigned) };
};
