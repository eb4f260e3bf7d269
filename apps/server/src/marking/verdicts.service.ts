import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { countsVerdicts, outcomeKeyOf, PLAIN_MARKS, keyOf } from '@ichnograph/core';
import type { Held } from '@ichnograph/core';
import type {
  ClassPropositions,
  GiveVerdict,
  MapProposition,
  Person,
  VerdictGiven,
  VerdictRow,
} from '@ichnograph/contract';
import { DataSource, In } from 'typeorm';
import type { EntityManager } from 'typeorm';
import { AccountsService } from '../accounts/index.js';
import { Publication, Revisions } from '../assignments/index.js';
import { Clock } from '../common/clock.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { inTransaction } from '../common/transaction.js';
import { Submission, SubmissionsService } from '../submissions/index.js';
import { ClassReadings } from '../together/index.js';
import { membersOf, WorksService } from '../works/index.js';
import { Comment } from './comment.entity.js';
import { Judgements } from './judgements.service.js';
import { MarkChange } from './mark-change.entity.js';
import { Markable } from './markable.service.js';
import { hashOf } from './said-hash.js';
import { ClassVerdict, MapVerdict } from './verdict.entities.js';
import type { VerdictEntry } from './verdict.entities.js';

/** A verdict as a figure of the audit trail. */
const FIGURE = { sound: 1, shaky: 0.5, wrong: 0 } as const;
const figureOf = (verdict: VerdictEntry['verdict'] | null | undefined): number | null =>
  verdict ? FIGURE[verdict] : null;

/** Verdicts on what maps say: once for the whole class, or for the one map that differs. */
@Injectable()
export class Verdicts {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly readings: ClassReadings,
    private readonly judgements: Judgements,
    private readonly markable: Markable,
    private readonly submissions: SubmissionsService,
    private readonly revisions: Revisions,
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
      this.data.getRepository(ClassVerdict).findBy({ assignmentId }),
      this.data.getRepository(MapVerdict).findBy({ workId: In(submissions.map(({ workId }) => workId)) }),
    ]);
    const people = await this.accounts.people([...ofClass, ...ofMaps].map(({ authorId }) => authorId));
    const byKey = new Map(ofClass.map((one) => [one.said, one]));
    const judged = (key: string) => ({
      key,
      judged: rowOf(byKey.get(key), people),
      otherwise: ofMaps
        .filter(({ said }) => said === key)
        .map((one) => ({ workId: one.workId, judged: rowOf(one, people)! })),
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

  /** One word for every map of the assignment that says it, but those in which it was judged otherwise. */
  async judgeClass(publicationId: string, wanted: GiveVerdict, accountId: string): Promise<VerdictGiven> {
    const publication = await this.markable.publication(publicationId, accountId);
    const { reading } = await this.readings.of(publication);
    const known = new Set([...reading.together.propositions.map(keyOf), ...reading.outcomes.map(outcomeKeyOf)]);
    if (!wanted.keys.every((key) => known.has(key))) throw notFound('sentence on the maps of this class');
    const { assignmentId } = publication;
    const holding = await this.holding(assignmentId, wanted.keys);
    const touched = new Set<string>();
    await inTransaction(this.data, async (manager) => {
      touched.clear();
      for (const key of wanted.keys) {
        const id = { assignmentId, saidHash: hashOf(key) };
        const before = await manager.findOne(ClassVerdict, { where: id, lock: { mode: 'pessimistic_write' } });
        this.insistSeen(wanted, before);
        await this.write(manager, ClassVerdict, id, key, wanted, accountId);
        const differing = new Set(
          (
            await manager.findBy(MapVerdict, {
              saidHash: id.saidHash,
              workId: In(holding.map(({ submission }) => submission.workId)),
            })
          ).map(({ workId }) => workId),
        );
        for (const { submission, held } of holding) {
          if (!held[key] || differing.has(submission.workId)) continue;
          touched.add(submission.id);
          await this.trace(manager, submission.id, key, before, wanted, accountId);
        }
      }
      for (const { submission } of holding) if (touched.has(submission.id)) await this.sumAgain(manager, submission);
    });
    return { maps: touched.size };
  }

  /** A word for one map, another than the class's; null goes back to the class's. */
  async judgeMap(submissionId: string, wanted: GiveVerdict, accountId: string): Promise<void> {
    const { submission } = await this.markable.mine(submissionId, accountId);
    const held = await this.readings.heldBy(submission);
    if (!wanted.keys.every((key) => held[key])) throw notFound('sentence on this map');
    await inTransaction(this.data, async (manager) => {
      await this.markable.moveOn(manager, submission, 'being marked');
      const standing = await this.judgements.verdictsOn(manager, submission.workId, wanted.keys);
      for (const key of wanted.keys) {
        const before = standing.get(key) ?? null;
        this.insistSeen(wanted, before);
        const id = { workId: submission.workId, saidHash: hashOf(key) };
        await this.write(manager, MapVerdict, id, key, wanted, accountId);
        await this.trace(manager, submissionId, key, before, wanted, accountId);
      }
      await this.sumAgain(manager, submission);
    });
    await this.works.stateChanged(submission.workId);
  }

  /** The propositions of one map: to those who mark as they stand, to its members as they were returned. */
  async ofMap(submissionId: string, accountId: string): Promise<MapProposition[]> {
    const { submission, isStaff, isBlind } = await this.submissions.seen(submissionId, accountId);
    if (isBlind) return [];
    if (submission.returnedAt || !isStaff) return this.returned(submissionId);
    return this.standing(this.data.manager, submission);
  }

  private async standing(manager: EntityManager, submission: Submission): Promise<MapProposition[]> {
    const held = await this.readings.heldBy(submission);
    const verdicts = await this.judgements.verdictsOn(manager, submission.workId, Object.keys(held));
    const people = await this.accounts.people([...verdicts.values()].map(({ authorId }) => authorId));
    return Object.entries(held).map(([key, links]) => ({
      key,
      links,
      judged: rowOf(verdicts.get(key), people),
      own: verdicts.get(key) instanceof MapVerdict,
    }));
  }

  private async returned(id: string): Promise<MapProposition[]> {
    const { returnedVerdicts } = await this.data
      .getRepository(Submission)
      .findOneOrFail({ where: { id }, select: { id: true, returnedVerdicts: true } });
    return (returnedVerdicts as MapProposition[] | null) ?? [];
  }

  /** What a return carries: the verdicts as they then are, their remarks as comments that can be answered. */
  async freeze(manager: EntityManager, submission: Submission): Promise<void> {
    const propositions = (await this.standing(manager, submission)).filter(({ judged }) => judged);
    await manager.update(Submission, { id: submission.id }, { returnedVerdicts: propositions });
    const comments = propositions
      .filter(({ judged }) => judged!.remark.trim() !== '')
      .map(({ links, judged }) => ({
        id: randomUUID(),
        submissionId: submission.id,
        anchor: 'proposition' as const,
        target: links[0]!,
        text: judged!.remark,
        authorId: judged!.by.id,
        at: new Date(judged!.at),
        ofVerdict: true,
      }));
    if (comments.length > 0) await manager.insert(Comment, comments);
  }

  /** Takes back what `freeze` set. */
  async thaw(manager: EntityManager, submissionId: string): Promise<void> {
    await manager.update(Submission, { id: submissionId }, { returnedVerdicts: null });
    await manager.delete(Comment, { submissionId, ofVerdict: true });
  }

  /** What waits to be marked in any class of the assignment and says one of these. */
  private async holding(
    assignmentId: string,
    keys: readonly string[],
  ): Promise<{ submission: Submission; held: Held }[]> {
    const publications = await this.data.getRepository(Publication).findBy({ assignmentId });
    const newest = (await Promise.all(publications.map(({ id }) => this.readings.newest(id)))).flat();
    const open = newest
      .filter(({ work }) => work!.state === 'handed in' || work!.state === 'being marked')
      .sort((a, b) => (a.workId < b.workId ? -1 : 1));
    const read = await Promise.all(
      open.map(async (submission) => ({ submission, held: await this.readings.heldBy(submission) })),
    );
    return read.filter(({ held }) => keys.some((key) => held[key]));
  }

  private insistSeen({ seen, verdict }: GiveVerdict, before: VerdictEntry | null): void {
    const is = before?.verdict ?? 'none';
    if (seen === undefined || seen === is || (verdict ?? 'none') === is) return;
    throw conflict(
      is === 'none'
        ? 'The verdict was taken back meanwhile, so nothing was changed. Look again, then give it.'
        : `This was judged ${is} meanwhile, so nothing was changed. Look again, then give it.`,
    );
  }

  private async write(
    manager: EntityManager,
    entity: typeof ClassVerdict | typeof MapVerdict,
    id: object,
    said: string,
    { verdict, thin = false, remark = '' }: GiveVerdict,
    authorId: string,
  ): Promise<void> {
    if (verdict === null) await manager.delete(entity, id);
    else if (thin && verdict === 'wrong')
      throw refused('What is true but says too little is not wrong. Choose one of the two.');
    else await manager.save(entity, { ...id, said, verdict, thin, remark, authorId, at: this.clock.now() });
  }

  private async trace(
    manager: EntityManager,
    submissionId: string,
    subject: string,
    before: VerdictEntry | null,
    { verdict, remark = '' }: GiveVerdict,
    authorId: string,
  ): Promise<void> {
    const [was, is] = [figureOf(before?.verdict), figureOf(verdict)];
    if (was === is) return;
    const at = this.clock.now();
    await manager.insert(MarkChange, {
      submissionId,
      kind: 'verdict',
      subject: subject.slice(0, 2000),
      before: was,
      after: is,
      reason: remark,
      authorId,
      at,
    });
  }

  private async sumAgain(manager: EntityManager, submission: Submission): Promise<void> {
    const assignment = await this.revisions.bodyOf(submission.revisionId);
    if (!countsVerdicts(assignment.marks ?? PLAIN_MARKS)) return;
    const report = await this.submissions.reportOf(submission.id);
    await this.judgements.sum(manager, submission, report, assignment);
  }
}

const rowOf = (entry: VerdictEntry | undefined, people: ReadonlyMap<string, Person>): VerdictRow | null =>
  entry
    ? {
        verdict: entry.verdict,
        thin: entry.thin,
        remark: entry.remark,
        by: people.get(entry.authorId)!,
        at: entry.at.toISOString(),
      }
    : null;
