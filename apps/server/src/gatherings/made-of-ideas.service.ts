import { Injectable } from '@nestjs/common';
import {
  assignmentOf,
  bankOfIdeas,
  isSheetPart,
  newTerms,
  OWN_LEGEND,
  sheetOfIdeas,
  starterFrom,
  treeOfIdeas,
  writeMap,
} from '@ichnograph/core';
import type { Taken } from '@ichnograph/core';
import type { Idea, MadeRow, MakeOfIdeas } from '@ichnograph/contract';
import { actOf, Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import type { Account } from '../accounts/index.js';
import { AssignmentsService } from '../assignments/index.js';
import { Database } from '../common/database.js';
import { conflict } from '../common/problem.js';
import { OwnMapsService } from '../own-maps/index.js';
import { SharesService } from '../shares/index.js';
import { SheetsService } from '../sheets/index.js';
import type { Gathering } from './gathering.entity.js';
import { GatheringsService } from './gatherings.service.js';
import { ideasOf } from './idea-rows.js';

/** What a class said, made into something to work with: in one act, all or nothing. */
@Injectable()
export class MadeOfIdeasService {
  constructor(
    private readonly data: Database,
    private readonly gatherings: GatheringsService,
    private readonly assignments: AssignmentsService,
    private readonly sheets: SheetsService,
    private readonly ownMaps: OwnMapsService,
    private readonly shares: SharesService,
    private readonly acts: Acts,
  ) {}

  /** Of the ideas that were taken; where none was, of all that are not hidden. */
  async make(gatheringId: string, wanted: MakeOfIdeas, account: Account, named: Named): Promise<MadeRow> {
    const gathering = await this.gatherings.led(gatheringId, account.id);
    const shown = (await ideasOf(this.data, gatheringId)).filter(({ hidden }) => !hidden);
    const chosen = shown.filter(({ taken }) => taken);
    const ideas = chosen.length > 0 ? chosen : shown;
    if (ideas.length === 0) throw conflict('No idea has come in yet, so nothing can be made of them.');
    const taken = takenOf(gathering, ideas);
    const id = await this.acts.once(named, 'make of ideas', () => this.made(gathering, taken, wanted, account, named));
    return { id, as: wanted.as, ideas: ideas.length };
  }

  private async made(
    { classId, language }: Gathering,
    taken: Taken,
    { as, assignmentId, mayEdit, endsAt }: MakeOfIdeas,
    account: Account,
    { accountId }: Named,
  ): Promise<string> {
    // One act for whoever asked: what it is made of are acts of the server's own.
    const inside = () => actOf(accountId);
    switch (as) {
      case 'bank':
        return this.sheets.begin(sheetOfIdeas(taken, 'bank', language), NO_MAPS, inside());
      case 'starter': {
        const sheet = sheetOfIdeas(taken, 'starter', language);
        const starter = starterFrom(assignmentOf(sheet, NO_MAPS));
        return this.sheets.begin(sheet, { starter, reference: null }, inside());
      }
      case 'terms': {
        await this.assignments.changeable(assignmentId!, account.id);
        const { terms, legend } = await this.sheets.held(assignmentId!);
        const more = newTerms(terms.terms, bankOfIdeas(taken, legend.legend));
        if (more.length === 0) throw conflict('That assignment has all of these terms already.');
        const all = { terms: [...terms.terms, ...more] };
        if (!isSheetPart('terms', all)) throw conflict('That assignment has no room for so many terms.');
        await this.sheets.replace(assignmentId!, { terms: all }, account.id);
        return assignmentId!;
      }
      case 'map': {
        const map = starterFrom({ ...treeOfIdeas(taken, OWN_LEGEND), legend: OWN_LEGEND });
        const whole = writeMap({ ...map, legend: OWN_LEGEND });
        const id = await this.ownMaps.begin({ title: taken.question, map: whole }, inside());
        await this.shares.make({ kind: 'own', id }, { classId, mayEdit: mayEdit!, endsAt: endsAt! }, account);
        return id;
      }
    }
  }
}

const NO_MAPS = { starter: null, reference: null };

function takenOf({ question, groups }: Gathering, ideas: readonly Idea[]): Taken {
  const nameOf = new Map(groups.map(({ id, name }) => [id, name]));
  return {
    question,
    groups: groups.map(({ name }) => name),
    // What most said comes first.
    ideas: ideas
      .toSorted((a, b) => b.people - a.people)
      .map(({ text, words, group }) => ({
        text,
        otherWords: words,
        group: group === null ? null : (nameOf.get(group) ?? null),
      })),
  };
}
