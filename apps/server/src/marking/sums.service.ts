import { Injectable } from '@nestjs/common';
import {
  judgementOf,
  leftToJudge,
  markOf,
  openStoredMap,
  openStoredReport,
  ownMark,
  readForMarks,
  reviewedMark,
} from '@ichnograph/core';
import type { Assignment, MarkDetail, MarkReading, Report, Reviews, Verdict } from '@ichnograph/core';
import type { MapProposition, OwnMark, Person, VerdictRow } from '@ichnograph/contract';
import { In } from 'typeorm';
import { AccountsService } from '../accounts/index.js';
import { Revisions } from '../assignments/index.js';
import { Database } from '../common/database.js';
import { HandInService, Submission, SubmissionsService } from '../submissions/index.js';
import { JudgementEntry } from './judgement.entity.js';
import { ClassVerdict, MapVerdict } from './verdict.entities.js';
import type { VerdictEntry } from './verdict.entities.js';

/** A submission with everything that makes up its mark, as one moment has it. */
interface Material {
  submission: Submission;
  report: Report;
  reading: MarkReading;
  assignment: Assignment;
  judgements: readonly JudgementEntry[];
  /** by key: the work's own before the class's */
  verdicts: ReadonlyMap<string, VerdictEntry>;
  /** what others gave, where that counts */
  reviews: Reviews | undefined;
}

/** What of reviews counts in marks, by submission. */
type ReadReviews = (submissionIds: readonly string[]) => Promise<ReadonlyMap<string, Reviews>>;

/**
 * The one owner of a mark. Whatever changes what makes it up holds the work (`Markable`) and has it summed again here, in
 * the same unit of work; at return sum, scale, lines and verdicts are frozen together. Every list, page, paper and letter
 * reads what is kept here, and none adds up by itself.
 */
@Injectable()
export class Sums {
  private readReviews: ReadReviews = () => Promise.resolve(new Map());

  constructor(
    private readonly data: Database,
    private readonly revisions: Revisions,
    private readonly accounts: AccountsService,
    private readonly submissions: SubmissionsService,
    handIns: HandInService,
  ) {
    handIns.onKept((submissionId) => this.again([submissionId]));
  }

  /** Who hands maps out to be reviewed says what of it counts. */
  countReviews(read: ReadReviews): void {
    this.readReviews = read;
  }

  /** Sums these as everything now stands. Their works are held. @returns their marks, by submission */
  async again(submissionIds: readonly string[]): Promise<Map<string, MarkDetail>> {
    const marks = new Map<string, MarkDetail>();
    for (const material of await this.material(submissionIds)) {
      const mark = markOfMaterial(material);
      const { id } = material.submission;
      marks.set(id, mark);
      const { sum, outOf, shown } = mark;
      const ownMarks = ownMarksOf(material, mark);
      const figures = { sum, sumOutOf: outOf, notJudged: leftToJudge(mark), shown, ownMarks };
      await this.data.manager.update(Submission, { id }, figures);
    }
    return marks;
  }

  /**
   * The mark of a submission: as it was returned, else as it stands.
   * @param accountId one of its makers, whose own it is to be
   */
  async markOf(
    submission: Pick<Submission, 'id' | 'returnedAt' | 'revisionId'>,
    accountId?: string,
  ): Promise<MarkDetail> {
    const mark = await this.groupMarkOf(submission);
    if (accountId === undefined) return mark;
    const { manager } = this.data;
    const given = await manager.findOneBy(JudgementEntry, {
      submissionId: submission.id,
      kind: 'person',
      subject: accountId,
    });
    return given ? ownMark(mark, given, await this.revisions.bodyOf(submission.revisionId)) : mark;
  }

  private async groupMarkOf(submission: Pick<Submission, 'id' | 'returnedAt'>): Promise<MarkDetail> {
    const frozen = submission.returnedAt && (await this.frozen(submission.id)).returnedMark;
    if (frozen) return frozen as MarkDetail;
    const [material] = await this.material([submission.id]);
    return markOfMaterial(material!);
  }

  /** A map's propositions with their verdicts: as it was returned, else as they stand. */
  async standingOn(submission: Pick<Submission, 'id' | 'returnedAt'>): Promise<MapProposition[]> {
    const [material] = await this.material([submission.id]);
    const people = await this.accounts.people([...material!.verdicts.values()].map(({ authorId }) => authorId));
    return propositionsOf(material!, people);
  }

  /** Keeps the mark and the verdicts as they now are, for good or until the return is taken back. */
  async freeze(submissionId: string): Promise<{ mark: MarkDetail; propositions: MapProposition[] }> {
    const [material] = await this.material([submissionId]);
    const people = await this.accounts.people([...material!.verdicts.values()].map(({ authorId }) => authorId));
    const mark = (await this.again([submissionId])).get(submissionId)!;
    const propositions = propositionsOf(material!, people);
    const frozen = { returnedMark: mark, returnedVerdicts: propositions };
    await this.data.manager.update(Submission, { id: submissionId }, frozen);
    return { mark, propositions };
  }

  async thaw(submissionId: string): Promise<void> {
    await this.data.manager.update(Submission, { id: submissionId }, { returnedMark: null, returnedVerdicts: null });
    await this.again([submissionId]);
  }

  /** What these hold of what is said, by submission. */
  async heldBy(submissions: readonly Submission[]): Promise<Map<string, MarkReading['held']>> {
    const bodies = await this.bodies(submissions.map(({ id }) => id));
    const held = new Map<string, MarkReading['held']>();
    for (const one of bodies) held.set(one.id, (await this.readingOf(one)).held);
    return held;
  }

  private async frozen(id: string): Promise<Submission> {
    return this.data
      .getRepository(Submission)
      .findOneOrFail({ where: { id }, select: { id: true, returnedMark: true, returnedVerdicts: true } });
  }

  /** A few statements, however many submissions. */
  private async material(submissionIds: readonly string[]): Promise<Material[]> {
    if (submissionIds.length === 0) return [];
    const submissions = await this.bodies(submissionIds);
    const { manager } = this.data;
    const judgements = await manager.findBy(JudgementEntry, { submissionId: In([...submissionIds]) });
    const publications = [...new Set(submissions.map(({ work }) => work!.publicationId))];
    const ofClass = await manager.findBy(ClassVerdict, { publicationId: In(publications) });
    const ofMaps = await manager.findBy(MapVerdict, { workId: In(submissions.map(({ workId }) => workId)) });
    const reviews = await this.readReviews(submissionIds);
    const all: Material[] = [];
    for (const submission of submissions) {
      const { id, workId, work } = submission;
      const standing: VerdictEntry[] = [
        ...ofClass.filter(({ publicationId }) => publicationId === work!.publicationId),
        ...ofMaps.filter((one) => one.workId === workId),
      ];
      all.push({
        submission,
        report: openStoredReport(submission.report),
        reading: await this.readingOf(submission),
        assignment: await this.revisions.bodyOf(submission.revisionId),
        judgements: judgements.filter(({ submissionId }) => submissionId === id),
        verdicts: submission.returnedVerdicts
          ? returnedEntries(submission.returnedVerdicts as MapProposition[])
          : new Map(standing.map((one) => [one.said, one])),
        reviews: reviews.get(id),
      });
    }
    return all;
  }

  private bodies(ids: readonly string[]): Promise<Submission[]> {
    return this.data.getRepository(Submission).find({
      where: { id: In([...ids]) },
      relations: { work: true },
      select: {
        id: true,
        workId: true,
        revisionId: true,
        due: true,
        handedInAt: true,
        returnedAt: true,
        report: true,
        reading: true,
        returnedVerdicts: true,
        work: { id: true, publicationId: true },
      },
    });
  }

  /** Made when a map is checked; one from before that was kept is read now, and kept. */
  private async readingOf({ id, revisionId, reading }: Submission): Promise<MarkReading> {
    if (reading) return reading as MarkReading;
    const { map } = await this.submissions.bodies(id);
    const read = readForMarks(openStoredMap(map), await this.revisions.bodyOf(revisionId));
    await this.data.manager.update(Submission, { id }, { reading: read });
    return read;
  }
}

function markOfMaterial({
  submission,
  report,
  reading,
  assignment,
  judgements,
  verdicts,
  reviews,
}: Material): MarkDetail {
  const judgement = judgementOf(judgements);
  const mark = markOf(
    report,
    reading,
    assignment,
    judgement,
    (key): Verdict | undefined => verdicts.get(key)?.verdict,
    { due: submission.due, handedIn: submission.handedInAt },
  );
  return reviews ? reviewedMark(mark, reviews, assignment, judgement) : mark;
}

/** The marks of those of a group who have another than the group. */
function ownMarksOf({ judgements, assignment }: Material, group: MarkDetail): OwnMark[] | null {
  const own = judgements.filter(({ kind }) => kind === 'person');
  if (own.length === 0) return null;
  return own.map((given) => {
    const { sum, shown } = ownMark(group, given, assignment);
    return { accountId: given.subject, sum, shown };
  });
}

const propositionsOf = (
  { reading, verdicts, submission }: Material,
  people: ReadonlyMap<string, Person>,
): MapProposition[] => {
  const returned = submission.returnedVerdicts as MapProposition[] | null;
  const frozen = new Map(returned?.map((one) => [one.key, one]));
  return Object.entries(reading.held).map(
    ([key, links]) =>
      frozen.get(key) ?? {
        key,
        links,
        judged: returned ? null : verdictRowOf(verdicts.get(key), people),
        own: verdicts.get(key) instanceof MapVerdict,
      },
  );
};

/** Verdicts that went back with a map, as the sum asks for them. */
const returnedEntries = (propositions: readonly MapProposition[]): Map<string, VerdictEntry> =>
  new Map(
    propositions.flatMap(({ key, judged, own }): [string, VerdictEntry][] => {
      if (!judged) return [];
      const { verdict, thin, remark, by, at } = judged;
      const entry = Object.assign(own ? new MapVerdict() : new ClassVerdict(), {
        said: key,
        verdict,
        thin,
        remark,
        authorId: by.id,
        at: new Date(at),
      });
      return [[key, entry]];
    }),
  );

export const verdictRowOf = (
  entry: VerdictEntry | undefined,
  people: ReadonlyMap<string, Person>,
): VerdictRow | null =>
  entry
    ? {
        verdict: entry.verdict,
        thin: entry.thin,
        remark: entry.remark,
        by: people.get(entry.authorId)!,
        at: entry.at.toISOString(),
      }
    : null;
