import { Injectable } from '@nestjs/common';
import { carriedJudgements, isCounted, judgementOf } from '@ichnograph/core';
import type { Assignment, MarkDetail, Report, Result } from '@ichnograph/core';
import type { Judge, JudgementRow, MarkChangeRow } from '@ichnograph/contract';
import { Database } from '../common/database.js';
import type { Account } from '../accounts/index.js';
import { AccountsService } from '../accounts/index.js';
import { Revisions } from '../assignments/index.js';
import { Clock } from '../common/clock.js';
import { conflict, notFound, refused } from '../common/problem.js';
import type { Problem } from '../common/problem.js';
import { SubmissionsService } from '../submissions/index.js';
import type { Submission } from '../submissions/index.js';
import { WorksService } from '../works/index.js';
import type { Work } from '../works/index.js';
import { JudgementEntry } from './judgement.entity.js';
import { MarkChange } from './mark-change.entity.js';
import { Sums } from './sums.service.js';
import { Markable } from './markable.service.js';

/** What a teacher judges: levels of criteria, and points in place of the computer's. Each change leaves its trace. */
@Injectable()
export class JudgingService {
  constructor(
    private readonly data: Database,
    private readonly markable: Markable,
    private readonly submissions: SubmissionsService,
    private readonly sums: Sums,
    private readonly revisions: Revisions,
    private readonly accounts: AccountsService,
    private readonly works: WorksService,
    private readonly clock: Clock,
  ) {}

  /** The mark: to those who mark always, to each of the map's members their own once it is returned; null to everyone else. */
  async mark(submissionId: string, { id: accountId }: Account): Promise<MarkDetail | null> {
    const { submission, isStaff, isBlind } = await this.submissions.seen(submissionId, accountId);
    if (isBlind || (!isStaff && !submission.returnedAt)) return null;
    return this.sums.markOf(submission, isStaff ? undefined : accountId);
  }

  /** To those who mark always; to the map's members once it is returned, without what concerns another of them alone. */
  async judgements(submissionId: string, { id: accountId }: Account): Promise<JudgementRow[]> {
    const { submission, isStaff, isBlind } = await this.submissions.seen(submissionId, accountId);
    if (isBlind || (!isStaff && !submission.returnedAt)) return [];
    const all = await this.data.getRepository(JudgementEntry).findBy({ submissionId });
    const rows = isStaff ? all : all.filter(({ kind, subject }) => kind !== 'person' || subject === accountId);
    const people = await this.accounts.people(rows.map(({ authorId }) => authorId));
    return rows.map(({ kind, subject, value, reason, authorId, at }) => ({
      kind,
      subject,
      value,
      reason,
      by: people.get(authorId)!,
      at: at.toISOString(),
    }));
  }

  /** Gives a level or points, or takes back what was given. */
  async judge(submissionId: string, wanted: Judge, account: Account): Promise<void> {
    const { submission, work } = await this.markable.mine(submissionId, account.id);
    const { kind, subject, value, reason = '', seen, revision } = wanted;
    await this.data.unit(async () => {
      const now = await this.markable.moveOn(submission, 'being marked');
      if (revision !== undefined && revision !== (await this.revisions.numberOf(now.revisionId)))
        throw conflict('The assignment was changed meanwhile, so nothing was changed here. Look again, then give it.');
      const report = await this.submissions.reportOf(submissionId);
      if (kind === 'person') insistOnMember(wanted, work, now);
      else insistOnScale(wanted, report, await this.revisions.bodyOf(now.revisionId));
      const key = { submissionId, kind, subject };
      const { manager } = this.data;
      const before = await manager.findOneBy(JudgementEntry, key);
      if ((before?.value ?? null) === value && (before?.reason ?? '') === reason) return;
      if (seen !== undefined && seen !== (before?.value ?? null)) throw await this.meanwhile(before);
      const trace = { authorId: account.id, at: this.clock.now(), reason };
      if (value === null) await manager.delete(JudgementEntry, key);
      else await manager.save(JudgementEntry, { ...key, value, ...trace });
      await manager.insert(MarkChange, { ...key, before: before?.value ?? null, after: value, ...trace });
      await this.sums.again([submissionId]);
    });
    await this.works.stateChanged(submission.workId);
  }

  /** Two mark one map: the later is told what the earlier gave, and nothing is written over it. */
  private async meanwhile(before: JudgementEntry | null): Promise<Problem> {
    if (!before) return conflict('This was taken back meanwhile, so nothing was changed. Look again, then give it.');
    const by = (await this.accounts.people([before.authorId])).get(before.authorId)!;
    return conflict(`${by.givenName} judged this meanwhile, so nothing was changed. Look again, then give it.`);
  }

  /** What was judged under one revision, taken over into the next; what does not hold there is to be judged again. */
  async carry(submissionId: string, before: Assignment, after: Assignment, results: readonly Result[]): Promise<void> {
    const { manager } = this.data;
    const rows = await manager.findBy(JudgementEntry, { submissionId });
    const carried = carriedJudgements(judgementOf(rows), before.criteria, after.criteria, results);
    for (const { kind, subject, value, reason, authorId } of rows) {
      if (kind === 'feel' || kind === 'person') continue;
      const now = (kind === 'result' ? carried.points : carried.levels)[subject] ?? null;
      if (now === value) continue;
      const key = { submissionId, kind, subject };
      if (now === null) await manager.delete(JudgementEntry, key);
      else await manager.update(JudgementEntry, key, { value: now });
      await manager.insert(MarkChange, { ...key, before: value, after: now, reason, authorId, at: this.clock.now() });
    }
  }

  /** Every change of a mark, oldest first; for those who teach the class. */
  async trail(submissionId: string, account: Account): Promise<MarkChangeRow[]> {
    await this.markable.mine(submissionId, account.id);
    const rows = await this.data.getRepository(MarkChange).find({ where: { submissionId }, order: { id: 'ASC' } });
    const people = await this.accounts.people(rows.map(({ authorId }) => authorId));
    return rows.map(({ kind, subject, before, after, reason, authorId, at }) => ({
      kind,
      subject,
      before,
      after,
      reason,
      by: people.get(authorId)!,
      at: at.toISOString(),
    }));
  }
}

/** Points more or fewer are for one of a group, at most as many as there are, and with a reason. */
function insistOnMember({ subject, value, reason }: Judge, { members }: Work, { sumOutOf }: Submission): void {
  if (members!.length < 2 || !members!.some(({ accountId }) => accountId === subject)) throw notFound('member');
  if (value === null) return;
  if (Math.abs(value) > sumOutOf)
    throw refused(`Up to ${sumOutOf} points more or fewer than the group's can be given.`, [
      { path: '$.value', reason: 'is outside its scale' },
    ]);
  insistOnReason(reason);
}

function insistOnReason(reason: string | undefined): void {
  if (!reason?.trim())
    throw refused('Say why: your student reads it beside the points.', [{ path: '$.reason', reason: 'is missing' }]);
}

/** Marks outside their scale are refused, with the scale. */
function insistOnScale({ kind, subject, value, reason }: Judge, { results }: Report, { criteria }: Assignment): void {
  if (kind === 'criterion') {
    const criterion = criteria.find(({ id }) => id === subject);
    if (!criterion) throw notFound('criterion');
    if (value !== null && (!Number.isInteger(value) || value < 0 || value >= criterion.levels.length))
      throw refused(`“${criterion.name}” has ${criterion.levels.length} levels.`, [
        { path: '$.value', reason: 'is none of its levels' },
      ]);
    return;
  }
  if (kind === 'feel') {
    if (subject !== 'whole') throw notFound('mark');
    if (value !== null && (value < 0 || value > 1))
      throw refused('A mark by feel is 0 to 100 per cent.', [{ path: '$.value', reason: 'is outside its scale' }]);
    return;
  }
  const result = results.find(({ id }) => id === subject);
  if (!result || !isCounted(result)) throw notFound('result');
  if (value === null) return;
  if (value < 0 || value > result.outOf)
    throw refused(`Here 0 to ${result.outOf} points can be given.`, [
      { path: '$.value', reason: 'is outside its scale' },
    ]);
  insistOnReason(reason);
}
