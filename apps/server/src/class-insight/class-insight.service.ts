import { Injectable } from '@nestjs/common';
import { normalForm, openStoredReport, requirementSentence, writeAssignment } from '@ichnograph/core';
import type { Report, StructureFigures } from '@ichnograph/core';
import type { ClassInsight, Growth, GrowthFigures, StaysHard, WorkInClass } from '@ichnograph/contract';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import { Publication } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { notFound } from '../common/problem.js';
import { Markable } from '../marking/index.js';
import { Submission } from '../submissions/index.js';
import { ClassReadings } from '../class-readings/index.js';
import type { ReadClass } from '../class-readings/index.js';
import { membersOf } from '../works/index.js';

/** More than so many pairs nobody looks through; the most alike stand first. */
const MOST_PAIRS = 200;

/** What the maps of a class say together, for those who teach it. */
@Injectable()
export class ClassInsightService {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly markable: Markable,
    private readonly readings: ClassReadings,
  ) {}

  async of(publicationId: string, accountId: string): Promise<ClassInsight> {
    const publication = await this.markable.publication(publicationId, accountId);
    const { assignment, submissions, reading } = await this.readings.of(publication);
    const reports = await this.reports(submissions);
    const workAt = (position: number): string => submissions[position]!.workId;
    const { terms, composite, strongest, likeness } = reading.together;
    return {
      publicationId,
      assignmentId: publication.assignmentId,
      title: assignment.title,
      className: publication.schoolClass!.name,
      assignment: writeAssignment(assignment),
      works: submissions.map((one, i) => workOf(one, reports.get(one.id)!, reading.figures[i]!)),
      terms: terms.map(({ term, maps, near }) => ({ term, works: maps.map(workAt), near: near.map(workAt) })),
      composite,
      strongest,
      reference: reading.reference,
      likeness: likeness
        .filter((one) => one.likeness > 0 || one.placement > 0)
        .slice(0, MOST_PAIRS)
        .map(({ a, b, ...rest }) => ({ a: workAt(a), b: workAt(b), ...rest })),
    };
  }

  /** What became of each map between the first time it was handed in and the last; of works handed in again alone. */
  async growth(publicationId: string, accountId: string): Promise<Growth[]> {
    const publication = await this.markable.publication(publicationId, accountId);
    const newest = await this.readings.newest(publicationId);
    const again = newest.filter(({ number }) => number > 1);
    const firsts = await this.data
      .getRepository(Submission)
      .findBy({ workId: In(again.map(({ workId }) => workId)), number: 1 });
    const inOrder = again.map(({ workId }) => firsts.find((one) => one.workId === workId)!);
    const [read, first] = await Promise.all([
      this.readings.of(publication),
      this.readings.some(inOrder, publication.revisionId),
    ]);
    return again.map((one, i) => ({
      workId: one.workId,
      members: membersOf(one.work!),
      first: grownOf(inOrder[i]!, first, i),
      newest: grownOf(
        one,
        read,
        read.submissions.findIndex(({ id }) => id === one.id),
      ),
    }));
  }

  /** What students knew before a unit against after it: each one's newest map of two assignments. */
  async between(publicationId: string, earlierId: string, accountId: string): Promise<Growth[]> {
    const [later, earlier] = await Promise.all(
      [publicationId, earlierId].map(async (id) => this.readings.of(await this.markable.publication(id, accountId))),
    );
    return later!.submissions.flatMap((one, at) => {
      const members = membersOf(one.work!);
      const before = earlier!.submissions.findIndex(({ work }) =>
        membersOf(work!).some(({ id }) => members.some((member) => member.id === id)),
      );
      if (before < 0) return [];
      const first = grownOf(earlier!.submissions[before]!, earlier!, before);
      return [{ workId: one.workId, members, first, newest: grownOf(one, later!, at) }];
    });
  }

  /** Which requirements and which terms stay hard for a class, over the assignments it had. */
  async staysHard(classId: string, accountId: string): Promise<StaysHard> {
    if (!(await this.classes.isStaff(classId, accountId))) throw notFound('class');
    const publications = await this.data
      .getRepository(Publication)
      .find({ where: { classId }, order: { createdAt: 'ASC' } });
    const seen = publications.filter(({ secondMarkerId }) => secondMarkerId !== accountId);
    const read = await Promise.all(seen.map((one) => this.readings.of(one)));
    const reports = await Promise.all(read.map(({ submissions }) => this.reports(submissions)));
    const withWork = read.map((one, i) => ({ ...one, reports: [...reports[i]!.values()] }));
    const requirements = new Map<string, StaysHard['requirements'][number]>();
    const terms = new Map<string, StaysHard['terms'][number]>();
    withWork.forEach(({ assignment, reading, submissions, reports: ofClass }, at) => {
      if (submissions.length === 0) return;
      for (const requirement of assignment.requirements) {
        const { id, type } = requirement;
        const fractions = ofClass.flatMap(({ results }) => results.find((one) => one.id === id)?.fraction ?? []);
        const row = requirements.get(type) ?? { type, words: '', shares: seen.map(() => null) };
        row.words = requirementSentence(requirement, assignment);
        row.shares[at] =
          fractions.length === 0 ? null : fractions.reduce((sum, one) => sum + one, 0) / fractions.length;
        requirements.set(type, row);
      }
      for (const { term, maps } of reading.together.terms) {
        const row = terms.get(normalForm(term)) ?? { term, shares: seen.map(() => null) };
        row.shares[at] = maps.length / submissions.length;
        terms.set(normalForm(term), row);
      }
    });
    return {
      assignments: seen.map(({ id }, i) => ({ publicationId: id, title: read[i]!.assignment.title })),
      requirements: hardest([...requirements.values()]),
      terms: hardest([...terms.values()]),
    };
  }

  private async reports(submissions: readonly Submission[]): Promise<Map<string, Report>> {
    const rows = await this.data
      .getRepository(Submission)
      .find({ where: { id: In(submissions.map(({ id }) => id)) }, select: { id: true, report: true } });
    return new Map(rows.map(({ id, report }) => [id, openStoredReport(report)]));
  }
}

/** Lowest shares first, over all assignments that ask it. */
function hardest<T extends { shares: (number | null)[] }>(rows: readonly T[]): T[] {
  const mean = ({ shares }: T): number => {
    const known = shares.filter((share) => share !== null);
    return known.length === 0 ? 1 : known.reduce((sum, one) => sum + one, 0) / known.length;
  };
  return rows.toSorted((a, b) => mean(a) - mean(b));
}

const workOf = (one: Submission, report: Report, figures: StructureFigures): WorkInClass => ({
  workId: one.workId,
  submissionId: one.id,
  members: membersOf(one.work!),
  state: one.work!.state,
  late: one.late,
  number: one.number,
  mark: { sum: one.sum, outOf: one.sumOutOf, notJudged: one.notJudged },
  results: report.results.map(({ id, status, fraction }) => ({ id, status, fraction })),
  figures,
});

const grownOf = ({ id, number, earned, outOf }: Submission, { reading }: ReadClass, at: number): GrowthFigures => ({
  submissionId: id,
  number,
  earned,
  outOf,
  figures: reading.figures[at]!,
  terms: reading.together.terms.filter(({ maps }) => maps.includes(at)).length,
});
