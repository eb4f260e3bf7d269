import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { openStoredReport, writeAssignment } from '@ichnograph/core';
import type { Report, StructureFigures } from '@ichnograph/core';
import type { ClassInsight, Growth, GrowthFigures, WorkInClass } from '@ichnograph/contract';
import { DataSource, In } from 'typeorm';
import { Markable } from '../marking/index.js';
import { Submission } from '../submissions/index.js';
import { ClassReadings } from '../together/index.js';
import type { ReadClass } from '../together/index.js';
import { membersOf } from '../works/index.js';

/** More than so many pairs nobody looks through; the most alike stand first. */
const MOST_PAIRS = 200;

/** What the maps of a class say together, for those who teach it. */
@Injectable()
export class ClassInsightService {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
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

  private async reports(submissions: readonly Submission[]): Promise<Map<string, Report>> {
    const rows = await this.data
      .getRepository(Submission)
      .find({ where: { id: In(submissions.map(({ id }) => id)) }, select: { id: true, report: true } });
    return new Map(rows.map(({ id, report }) => [id, openStoredReport(report)]));
  }
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
