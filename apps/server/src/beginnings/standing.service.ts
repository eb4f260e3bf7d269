import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { emptySheet, followRules, rulesOf, sameAssignment, sheetFrom, sheetOf } from '@ichnograph/core';
import type { RuleChange, Sheet, StandingRules } from '@ichnograph/core';
import type { ClassName, RulesForAssignment, RulesPreview } from '@ichnograph/contract';
import { In, IsNull } from 'typeorm';
import { Database } from '../common/database.js';
import type { Account } from '../accounts/index.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Assignment, AssignmentsService, Revision, Revisions } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { isTaken } from '../common/database-errors.js';
import { notFound, refused } from '../common/problem.js';
import { PublicationsService, SheetsService } from '../sheets/index.js';

/**
 * The standing rules of classes. They are written on a sheet like an assignment's; its newest revision is what is in force,
 * and from that the assignments of the class begin and, when it is amended, follow.
 */
@Injectable()
export class StandingService {
  constructor(
    private readonly data: Database,
    private readonly assignments: AssignmentsService,
    private readonly sheets: SheetsService,
    private readonly publications: PublicationsService,
    private readonly revisions: Revisions,
    private readonly classes: ClassesService,
    private readonly acts: Acts,
  ) {}

  /** The sheet of a class's rules, begun now if there is none. @returns the assignment's id */
  async open(classId: string, account: Account): Promise<string> {
    if ((await this.classes.partIn(classId, account.id)) !== 'teacher') throw notFound('class');
    const find = () => this.data.getRepository(Assignment).findOneBy({ rulesOf: classId });
    const there = await find();
    if (there) return there.id;
    const { name } = await this.classes.byId(classId);
    const sheet = emptySheet();
    const task = { ...sheet.task, title: `Standing rules of ${name}` };
    const act = { accountId: account.id, act: randomUUID() };
    try {
      return await this.sheets.begin({ ...sheet, task }, NO_MAPS, act, { rulesOf: classId });
    } catch (error) {
      // Two teachers opened them at once: the first one's sheet is theirs both.
      if (!isTaken(error)) throw error;
      return (await find())!.id;
    }
  }

  /** A sheet that begins with what is in force in a class; an empty one where nothing is. */
  async beginning(classId: string, accountId: string): Promise<{ sheet: Sheet; follows: string | null }> {
    if ((await this.classes.partIn(classId, accountId)) !== 'teacher') throw notFound('class');
    const rules = await this.data.getRepository(Assignment).findOneBy({ rulesOf: classId });
    const inForce = rules && (await this.revisions.newest(rules.id));
    if (!inForce) return { sheet: emptySheet(), follows: null };
    const body = await this.revisions.bodyOf(inForce.id);
    return { sheet: sheetFrom(rulesOf(sheetOf(body)), body.language), follows: inForce.id };
  }

  /** The classes one teaches in which rules are in force. */
  async inForce(accountId: string): Promise<ClassName[]> {
    const classIds = await this.classes.classIdsOf(accountId, ['teacher']);
    const rules = await this.data.getRepository(Assignment).findBy({ rulesOf: In(classIds) });
    const names = await this.classes.namesOf(classIds);
    const inForce: ClassName[] = [];
    for (const { id, rulesOf: classId } of rules)
      if (await this.revisions.newest(id)) inForce.push({ classId: classId!, className: names.get(classId!)! });
    return inForce;
  }

  /** Which assignments began with these rules, and what amending them as they are written would change on each. */
  async preview(id: string, accountId: string): Promise<RulesPreview> {
    await this.rules(id, accountId);
    const [newest, next] = await Promise.all([this.revisions.newest(id), this.publications.complete(id)]);
    const rules = rulesOf(sheetOf(next));
    const followers = await this.followers(id);
    const rows = await this.assignments.rows(followers, accountId);
    const assignments: RulesForAssignment[] = [];
    for (const [i, { title, owner, mayChange, publications }] of rows.entries()) {
      const follower = followers[i]!;
      const { changes } = await this.followed(follower, rules, await this.sheets.written(follower.id));
      assignments.push({ id: follower.id, title, owner, mayChange, given: publications.length, changes });
    }
    return {
      revision: newest?.number ?? 0,
      differs: newest === null || !sameAssignment(await this.revisions.bodyOf(newest.id), next),
      assignments,
    };
  }

  /** Puts the rules in force as they are written, and lets these assignments take them over. */
  async amend(id: string, following: readonly string[], named: Named): Promise<void> {
    await this.rules(id, named.accountId);
    for (const one of following) await this.assignments.changeable(one, named.accountId);
    const next = await this.publications.complete(id);
    const rules = rulesOf(sheetOf(next));
    await this.acts.once(named, 'amend standing rules', async () => {
      const revisionId = await this.publications.revisionOf(id, next);
      for (const follower of await this.followers(id))
        if (following.includes(follower.id)) await this.follow(follower, revisionId, rules, named.accountId);
      return revisionId;
    });
    for (const one of following) await this.sheets.correct(one);
  }

  /** Lets one assignment take over what is in force now. */
  async catchUp(id: string, named: Named): Promise<void> {
    const assignment = await this.assignments.changeable(id, named.accountId);
    const followed =
      assignment.follows && (await this.data.getRepository(Revision).findOneBy({ id: assignment.follows }));
    const newest = followed && (await this.revisions.newest(followed.assignmentId));
    if (!newest) throw refused('This assignment began with no standing rules.');
    const rules = rulesOf(sheetOf(await this.revisions.bodyOf(newest.id)));
    await this.acts.once(named, 'follow standing rules', async () => {
      await this.follow(assignment, newest.id, rules, named.accountId);
      return id;
    });
    await this.sheets.correct(id);
  }

  private async follow(follower: Assignment, revisionId: string, rules: StandingRules, by: string): Promise<void> {
    const followed = await this.followed(follower, rules, await this.sheets.held(follower.id));
    if (followed.changes.some(({ does }) => does !== 'kept'))
      await this.sheets.replace(follower.id, followed.rules, by);
    await this.data.manager.update(Assignment, { id: follower.id }, { follows: revisionId });
  }

  private async followed(
    { follows }: Assignment,
    rules: StandingRules,
    sheet: Sheet,
  ): Promise<{ rules: StandingRules; changes: RuleChange[] }> {
    const before = rulesOf(sheetOf(await this.revisions.bodyOf(follows!)));
    return followRules(rulesOf(sheet), before, rules);
  }

  private async followers(id: string): Promise<Assignment[]> {
    const all = await this.data.manager.find(Revision, { where: { assignmentId: id }, select: { id: true } });
    return this.data.manager.find(Assignment, {
      where: { follows: In(all.map((one) => one.id)), archivedAt: IsNull() },
      order: { createdAt: 'DESC' },
    });
  }

  private async rules(id: string, accountId: string): Promise<void> {
    const { rulesOf: classId } = await this.assignments.changeable(id, accountId);
    if (!classId) throw notFound('standing rules');
  }
}

const NO_MAPS = { starter: null, reference: null };
