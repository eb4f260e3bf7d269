import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import type { Account } from '../accounts/index.js';
import { AccountsKeeper, AccountsService } from '../accounts/index.js';
import { AssignmentsKeeper } from '../assignments/index.js';
import { BeginningsKeeper } from '../beginnings/index.js';
import { ClassesKeeper } from '../classes/index.js';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { conflict, notFound } from '../common/problem.js';
import { FilesKeeper, FilesService } from '../files/index.js';
import { GatheringsKeeper } from '../gatherings/index.js';
import { MarkingKeeper } from '../marking/index.js';
import { OwnMapsKeeper } from '../own-maps/index.js';
import { ReviewsKeeper } from '../reviews/index.js';
import { SharedPagesKeeper } from '../shared-pages/index.js';
import { SharesKeeper } from '../shares/index.js';
import { SheetsKeeper } from '../sheets/index.js';
import { ShowingsKeeper } from '../showings/index.js';
import { Submission, SubmissionsKeeper } from '../submissions/index.js';
import { VersionsKeeper } from '../versions/index.js';
import { nameOf, WorksKeeper } from '../works/index.js';

/** What is kept of a person: written out for them, and erased when they ask for it. Each feature answers for its own. */
@Injectable()
export class PersonsService {
  /** In the order in which they let go: what points at something goes before it. */
  private readonly keepers: readonly Keeper[];

  constructor(
    private readonly data: Database,
    private readonly accounts: AccountsService,
    private readonly files: FilesService,
    private readonly works: WorksKeeper,
    sharedPages: SharedPagesKeeper,
    shares: SharesKeeper,
    gatherings: GatheringsKeeper,
    showings: ShowingsKeeper,
    reviews: ReviewsKeeper,
    marking: MarkingKeeper,
    versions: VersionsKeeper,
    submissions: SubmissionsKeeper,
    ownMaps: OwnMapsKeeper,
    beginnings: BeginningsKeeper,
    sheets: SheetsKeeper,
    assignments: AssignmentsKeeper,
    fileKeeper: FilesKeeper,
    classes: ClassesKeeper,
    account: AccountsKeeper,
  ) {
    this.keepers = [
      sharedPages,
      shares,
      gatherings,
      showings,
      reviews,
      marking,
      versions,
      submissions,
      works,
      ownMaps,
      beginnings,
      sheets,
      assignments,
      fileKeeper,
      classes,
      account,
    ];
  }

  /** Everything that bears this person's name or was made by them, as one JSON value. */
  async kept(id: string): Promise<object> {
    await this.person(id);
    const all = [];
    for (const keeper of this.keepers.toReversed()) all.push(await keeper.kept(id));
    return Object.assign({}, ...all) as object;
  }

  /**
   * Takes a person's name and password away, and them out of every class. What they handed in stays, without the name; what
   * they never handed in, and made alone, goes.
   */
  async erase(id: string, by: Account): Promise<void> {
    await this.person(id);
    if (id === by.id) throw conflict('Nobody erases themselves. Another administrator does it.');
    const erasure = await this.erasureOf(id);
    const gone = await this.data.unit(async () => {
      const contents = await this.files.forget(id, (hash) => this.isStillNamed(hash, erasure));
      for (const keeper of this.keepers) await keeper.erase(erasure);
      return contents;
    });
    for (const keeper of this.keepers) await keeper.afterwards?.(erasure);
    await this.files.sweep(gone);
  }

  private async isStillNamed(hash: string, erasure: Erasure): Promise<boolean> {
    for (const keeper of this.keepers) if (await keeper.stillNames?.(hash, erasure)) return true;
    return false;
  }

  private async erasureOf(accountId: string): Promise<Erasure> {
    const works = await this.works.of(accountId);
    const rows = await this.data
      .getRepository(Submission)
      .find({ where: { workId: In(works.map(({ id }) => id)) }, select: { id: true, workId: true } });
    const handedIn = new Set(rows.map(({ workId }) => workId));
    const goes = works.filter(({ id, members }) => !handedIn.has(id) && members!.length === 1);
    return {
      accountId,
      gone: goes.map(({ id }) => id),
      left: new Map(
        works
          .filter((work) => !goes.includes(work))
          .map(({ id, members }) => {
            const others = members!.filter((one) => one.accountId !== accountId);
            return [id, others.map(({ account }) => nameOf(account!)).join(', ')];
          }),
      ),
    };
  }

  private async person(id: string): Promise<Account> {
    const account = await this.accounts.byId(id);
    if (!account) throw notFound('person');
    return account;
  }
}
