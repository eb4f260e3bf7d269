import { Injectable } from '@nestjs/common';
import { countsVerdicts, countVerdicts, PLAIN_MARKS } from '@ichnograph/core';
import type { Assignment, Judgement, Report, StructuralScore, Verdict } from '@ichnograph/core';
import { In } from 'typeorm';
import type { EntityManager } from 'typeorm';
import { figuresOfMark, Submission } from '../submissions/index.js';
import { ClassReadings } from '../together/index.js';
import { Work } from '../works/index.js';
import { WorkerPool } from '../workers/index.js';
import { JudgementEntry } from './judgement.entity.js';
import { hashOf } from './said-hash.js';
import { ClassVerdict, MapVerdict } from './verdict.entities.js';
import type { VerdictEntry } from './verdict.entities.js';

const PATIENCE = 20_000;
type Marked = Pick<Submission, 'id' | 'workId' | 'revisionId' | 'due' | 'handedInAt'>;

/** What was judged, with what was counted of the map's structure where that is asked for. */
interface Judged extends Judgement {
  structure: StructuralScore | null;
}

/** What was judged of a submission so far, and the mark that comes of it. */
@Injectable()
export class Judgements {
  constructor(
    private readonly readings: ClassReadings,
    private readonly workers: WorkerPool,
  ) {}

  async of(manager: EntityManager, submission: Marked, assignment: Assignment): Promise<Judged> {
    const rows = await manager.findBy(JudgementEntry, { submissionId: submission.id });
    const valuesOf = (kind: JudgementEntry['kind']): Record<string, number> =>
      Object.fromEntries(rows.filter((row) => row.kind === kind).map(({ subject, value }) => [subject, value]));
    const judged: Judged = { points: valuesOf('result'), levels: valuesOf('criterion'), structure: null };
    if (!countsVerdicts(assignment.marks ?? PLAIN_MARKS)) return judged;
    const keys = Object.keys(await this.readings.heldBy(submission));
    const verdicts = await this.verdictsOn(manager, submission.workId, keys);
    const counts = countVerdicts(keys, (key) => verdicts.get(key)?.verdict);
    return { ...judged, verdicts: counts, ...(await this.structural(submission, assignment, verdicts)) };
  }

  /** The verdicts that hold in a work, its own before the class's, by key. */
  async verdictsOn(
    manager: EntityManager,
    workId: string,
    keys: readonly string[],
  ): Promise<Map<string, VerdictEntry>> {
    if (keys.length === 0) return new Map();
    const saidHash = In(keys.map(hashOf));
    const { publication } = await manager.findOneOrFail(Work, {
      where: { id: workId },
      relations: { publication: true },
    });
    const [ofClass, own] = await Promise.all([
      manager.findBy(ClassVerdict, { assignmentId: publication!.assignmentId, saidHash }),
      manager.findBy(MapVerdict, { workId, saidHash }),
    ]);
    return new Map<string, VerdictEntry>([...ofClass, ...own].map((one) => [one.said, one]));
  }

  /** Keeps the sum as it now is beside the submission, for lists. */
  async sum(manager: EntityManager, submission: Marked, report: Report, assignment: Assignment): Promise<void> {
    const figures = figuresOfMark(report, assignment, await this.of(manager, submission, assignment), submission);
    await manager.update(Submission, { id: submission.id }, figures);
  }

  private async structural(
    { id }: Marked,
    assignment: Assignment,
    verdicts: ReadonlyMap<string, VerdictEntry>,
  ): Promise<Pick<Judged, 'structural' | 'structure'>> {
    if (!assignment.marks?.structural) return { structure: null };
    const [map] = await this.readings.mapsOf([{ id }]);
    const known = Object.fromEntries([...verdicts].map(([key, { verdict }]): [string, Verdict] => [key, verdict]));
    const scored = await this.workers.run('structural', { map: map!, assignment, verdicts: known }, PATIENCE);
    return { structure: scored, ...(scored && { structural: scored.score }) };
  }
}
