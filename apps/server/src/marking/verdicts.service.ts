import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { outcomeKeyOf, keyOf } from '@ichnograph/core';
import type { ClassPropositions, GiveVerdict, MapProposition, VerdictGiven } from '@ichnograph/contract';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import { AccountsService } from '../accounts/index.js';
import { Clock } from '../common/clock.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { SubmissionsService } from '../submissions/index.js';
import { ClassReadings } from '../class-readings/index.js';
import { membersOf, WorksService } from '../works/index.js';
import { CommentAnswer } from './comment-answer.entity.js';
import { Comment } from './comment.entity.js';
import { MarkChange } from './mark-change.entity.js';
import { Markable } from './markable.service.js';
import { hashOf } from './said-hash.js';
import { Sums, verdictRowOf } from './sums.service.js';
import { ClassVerdict, MapVerdict } from './verdict.entities.js';
import type { VerdictEntry } from './verdict.entities.js';

/** A verdict as a figure of the audit trail. */
const FIGURE = { sound: 1, shaky: 0.5, wrong: 0 } as const;
const figureOf = (verdict: VerdictEntry['verdict'] | null | undefined): number | null =>
  verdict ? FIGURE[verdict] : null;

const holdsAny = (held: object, keys: readonly string[]): boolean => keys.some((key) => key in held);

type Judged = Pick<VerdictEntry, 'verdict'> | null;

/** Verdicts on what maps say: once for the whole class, or for the one map that differs. */
@Injectable()
export class Verdicts {
  constructor(
    private readonly data: Database,
    private readonly readings: ClassReadings,
    private readonly sums: Sums,
    private readonly markable: Markable,
    private readonly submissions: SubmissionsService,
    private readonly accounts: AccountsService,
    private readonly works: WorksService,
    private readonly clock: Clock,
  ) {}

  /** All that a class's maps say, most frequent first, with what was judged of it. */
  async ofClass(publicationId: string, accountId: string): Promise<ClassPropositions> {
    const publication = await this.markable.publication(publicationId, accountId);
    const { reading, submissions } = await this.readings.of(publication);
    const { assignmentId } = publication;
    const workOf = (positions: readonly number[]): string[] => positions.map((i) => submissions[i]!.workId);
    const [ofClass, ofMaps] = await Promise.all([
      this.data.getRepository(ClassVerdict).findBy({ publicationId }),
      this.data.getRepository(MapVerdict).findBy({ workId: In(submissions.map(({ workId }) => workId)) }),
    ]);
    const people = await this.accounts.people([...ofClass, ...ofMaps].map(({ authorId }) => authorId));
    const byKey = new Map(ofClass.map((one) => [one.said, one]));
    const judged = (key: string) => ({
      key,
      judged: verdictRowOf(byKey.get(key), people),
      otherwise: ofMaps
        .filter(({ said }) => said === key)
        .map((one) => ({ workId: one.workId, judged: verdictRowOf(one, people)! })),
    });
    return {
      publicationId,
      assignmentId,
      title: publication.revision!.title,
      className: publication.schoolClass!.name,
      works: submissions.map((one) => ({
        workId: one.workId,
        submissionId: one.id,
        members: membersOf(one.work!),
        complete: one.notJudged === 0,
        returned: one.returnedAt !== null,
      })),
      propositions: reading.together.propositions.map(({ from, phrase, to, label, maps, turned }) => ({
        ...judged(keyOf({ from, phrase, to })),
        ...label,
        said: { from, phrase, to },
        works: workOf(maps),
        turned,
      })),
      outcomes: reading.outcomes.map(({ target, topic, label, maps }) => ({
        ...judged(outcomeKeyOf({ target, topic })),
        ...label,
        works: workOf(maps),
      })),
    };
  }

  /** One word for every map of the class that says it, but those in which it was judged otherwise. */
  async judgeClass(publicationId: string, wanted: GiveVerdict, accountId: string): Promise<VerdictGiven> {
    const publication = await this.markable.publication(publicationId, accountId);
    const { reading } = await this.readings.of(publication);
    const said = new Map([...reading.together.propositions].map((one) => [keyOf(one), one.maps.length]));
    for (const one of reading.outcomes) said.set(outcomeKeyOf(one), one.maps.length);
    if (!wanted.keys.every((key) => said.has(key))) throw notFound('sentence on the maps of this class');
    return this.data.unit(async () => {
      const waiting = await this.markable.holdClass(publicationId);
      const held = await this.sums.heldBy(waiting);
      const touched = new Set<string>();
      for (const key of wanted.keys) {
        const id = { publicationId, saidHash: hashOf(key) };
        const before = await this.data.manager.findOneBy(ClassVerdict, id);
        this.insistSeen(wanted, before);
        await this.write(ClassVerdict, id, key, wanted, accountId);
        const holding = waiting.filter((one) => held.get(one.id)![key]);
        const differing = await this.data.manager.findBy(MapVerdict, {
          saidHash: id.saidHash,
          workId: In(holding.map(({ workId }) => workId)),
        });
        const alike = holding.filter(({ workId }) => !differing.some((one) => one.workId === workId));
        for (const one of alike) touched.add(one.id);
        await this.trace(
          alike.map((one) => one.id),
          key,
          before,
          wanted,
          accountId,
        );
      }
      await this.sums.again([...touched]);
      const holds = Math.max(...wanted.keys.map((key) => said.get(key)!));
      return {
        maps: touched.size,
        returned: Math.max(0, holds - waiting.filter((one) => holdsAny(held.get(one.id)!, wanted.keys)).length),
      };
    });
  }

  /** A word for one map, another than the class's; null goes back to the class's. */
  async judgeMap(submissionId: string, wanted: GiveVerdict, accountId: string): Promise<void> {
    const { submission } = await this.markable.mine(submissionId, accountId);
    await this.data.unit(async () => {
      const now = await this.markable.moveOn(submission, 'being marked');
      const standing = new Map((await this.sums.standingOn(now)).map((one) => [one.key, one]));
      if (!wanted.keys.every((key) => standing.has(key))) throw notFound('sentence on this map');
      for (const key of wanted.keys) {
        const before = standing.get(key)!.judged;
        this.insistSeen(wanted, before);
        const id = { workId: submission.workId, saidHash: hashOf(key) };
        await this.write(MapVerdict, id, key, wanted, accountId);
        await this.trace([submissionId], key, before, wanted, accountId);
      }
      await this.sums.again([submissionId]);
    });
    await this.works.stateChanged(submission.workId);
  }

  /** The propositions of one map: to those who mark as they stand, to its members as they were returned. */
  async ofMap(submissionId: string, accountId: string): Promise<MapProposition[]> {
    const { submission, isStaff, isBlind } = await this.submissions.seen(submissionId, accountId);
    if (isBlind || (!isStaff && !submission.returnedAt)) return [];
    return this.sums.standingOn(submission);
  }

  /** Puts what verdicts say to their students among the comments of a map that goes back, where it can be answered. */
  async speak(submissionId: string, propositions: readonly MapProposition[]): Promise<void> {
    const { manager } = this.data;
    const spoken = await manager.findBy(Comment, { submissionId, ofVerdict: true });
    const remarks = propositions.flatMap(({ links, judged }) =>
      judged && judged.remark.trim() !== '' ? [{ target: links[0]!, judged }] : [],
    );
    for (const { target, judged } of remarks) {
      const words = { text: judged.remark, authorId: judged.by.id, at: new Date(judged.at) };
      // One that was answered before its return was taken back is said again in its place.
      const before = spoken.find((one) => one.target === target);
      if (before) await manager.update(Comment, { id: before.id }, words);
      else
        await manager.insert(Comment, {
          id: randomUUID(),
          submissionId,
          anchor: 'proposition',
          target,
          ...words,
          removedAt: null,
          ofVerdict: true,
        });
    }
  }

  /** Takes back what `speak` put there; what somebody answered stays, with its answer. */
  async unsay(submissionId: string): Promise<void> {
    const { manager } = this.data;
    const spoken = await manager.findBy(Comment, { submissionId, ofVerdict: true });
    if (spoken.length === 0) return;
    const answered = await manager.findBy(CommentAnswer, { commentId: In(spoken.map(({ id }) => id)) });
    const silent = spoken.filter(({ id }) => !answered.some(({ commentId }) => commentId === id));
    if (silent.length > 0) await manager.delete(Comment, { id: In(silent.map(({ id }) => id)) });
  }

  private insistSeen({ seen, verdict }: GiveVerdict, before: Judged): void {
    const is = before?.verdict ?? 'none';
    if (seen === undefined || seen === is || (verdict ?? 'none') === is) return;
    throw conflict(
      is === 'none'
        ? 'The verdict was taken back meanwhile, so nothing was changed. Look again, then give it.'
        : `This was judged ${is} meanwhile, so nothing was changed. Look again, then give it.`,
    );
  }

  private async write(
    entity: typeof ClassVerdict | typeof MapVerdict,
    id: object,
    said: string,
    { verdict, thin = false, remark = '' }: GiveVerdict,
    authorId: string,
  ): Promise<void> {
    if (verdict === null) await this.data.manager.delete(entity, id);
    else if (thin && verdict === 'wrong')
      throw refused('What is true but says too little is not wrong. Choose one of the two.');
    else await this.data.manager.save(entity, { ...id, said, verdict, thin, remark, authorId, at: this.clock.now() });
  }

  private async trace(
    submissionIds: readonly string[],
    subject: string,
    judged: Judged,
    { verdict, remark = '' }: GiveVerdict,
    authorId: string,
  ): Promise<void> {
    const [before, after] = [figureOf(judged?.verdict), figureOf(verdict)];
    if (before === after || submissionIds.length === 0) return;
    const at = this.clock.now();
    const kept = { kind: 'verdict' as const, subject: subject.slice(0, 2000), before, after, reason: remark };
    await this.data.manager.insert(
      MarkChange,
      submissionIds.map((submissionId) => ({ submissionId, ...kept, authorId, at })),
    );
  }
}
