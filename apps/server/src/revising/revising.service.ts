import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { adoptRevision, applyChanges, differsInWordingOnly, writeMap } from '@ichnograph/core';
import type { Assignment, CheckContext, Report, TopicMap } from '@ichnograph/core';
import { workDocument } from '@ichnograph/contract';
import type {
  ChangeAssignment,
  ChangeForWork,
  ChangePublication,
  ClassMap,
  RevisionPreview,
  WorkState,
} from '@ichnograph/contract';
import pLimit from 'p-limit';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { AssignmentsService, DueTimes, Publication, Revisions } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { Snapshots } from '../live/index.js';
import { PublicationsService } from '../sheets/index.js';
import { Submission, SubmissionsService } from '../submissions/index.js';
import { Checks } from '../checks/index.js';
import { membersOf, Work, WorksService } from '../works/index.js';
import { Moves } from './moves.service.js';

/** Works that are checked again at a time: as many as there are workers for it. */
const AT_ONCE = 2;
const OPEN: WorkState[] = ['in progress', 'handed in', 'being marked'];

/** Changes an assignment that a class works on: first what would come of it, then the revision, then the works. */
@Injectable()
export class RevisingService {
  constructor(
    private readonly data: Database,
    private readonly assignments: AssignmentsService,
    private readonly publications: PublicationsService,
    private readonly revisions: Revisions,
    private readonly classes: ClassesService,
    private readonly dueTimes: DueTimes,
    private readonly submissions: SubmissionsService,
    private readonly checks: Checks,
    private readonly snapshots: Snapshots,
    private readonly moves: Moves,
    private readonly workService: WorksService,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {}

  /** For each work that was begun or handed in what the sheet, as it stands, would change. Nothing is changed by asking. */
  async preview(id: string, accountId: string): Promise<RevisionPreview> {
    await this.givable(id, accountId);
    const next = await this.publications.complete(id);
    const newest = await this.revisions.newest(id);
    if (!newest) throw conflict('This assignment was not given out yet, so nothing is changed by changing it.');
    const works = await this.works(id, accountId);
    const turn = pLimit(AT_ONCE);
    const changes = await Promise.all(works.map((work) => turn(() => this.changeFor(work, next))));
    return {
      revision: newest.number,
      differs: !differsInWordingOnly(await this.revisions.bodyOf(newest.id), next),
      works: changes,
    };
  }

  /** The maps of all classes that have the assignment, for trying out what is asked. */
  async classMaps(id: string, accountId: string): Promise<ClassMap[]> {
    await this.assignments.changeable(id, accountId);
    const works = await this.works(id, accountId);
    const handedIn = await this.submissions.newestOf(
      works.filter(({ state }) => state !== 'in progress').map((work) => work.id),
    );
    const drawn = await this.snapshots.ofAll(
      works.filter((work) => !handedIn.has(work.id)).map((work) => workDocument(work.id)),
      'class',
    );
    return works.flatMap((work): ClassMap[] => {
      const map = handedIn.get(work.id) ?? drawn.get(workDocument(work.id))?.map;
      const className = work.publication!.schoolClass!.name;
      return map
        ? [{ workId: work.id, members: membersOf(work), className, state: work.state, map: writeMap(map) }]
        : [];
    });
  }

  /** Makes the sheet, as it stands, the newest revision, and moves works on to it. */
  async revise(id: string, returnedToo: boolean, named: Named): Promise<void> {
    await this.givable(id, named.accountId);
    const next = await this.publications.complete(id);
    const classIds = await this.classes.classIdsOf(named.accountId, ['teacher']);
    const given = { assignmentId: id, classId: In(classIds) };
    if (!(await this.data.getRepository(Publication).existsBy(given)))
      throw conflict('Give the assignment to a class of yours first.');
    const made = await this.acts.once(named, 'revise', async () => {
      const revisionId = await this.publications.revisionOf(id, next);
      // Held alone, each class before its works: what is judged or handed in there comes before or after.
      const publications = await this.data.manager.find(Publication, {
        where: given,
        order: { id: 'ASC' },
        lock: { mode: 'pessimistic_write' },
      });
      await this.data.manager.update(Publication, { id: In(publications.map((one) => one.id)) }, { revisionId });
      await this.data.manager
        .createQueryBuilder()
        .update(Work)
        .set({ movingTo: revisionId })
        .where('publication_id IN (:...publications) AND state IN (:...states) AND revision_id <> :revisionId', {
          publications: publications.map((one) => one.id),
          states: returnedToo ? [...OPEN, 'returned'] : OPEN,
          revisionId,
        })
        .execute();
      return revisionId;
    });
    await this.moves.to(made, named.accountId);
  }

  /** @throws unless this person may change it, and it is an assignment that a class can have */
  private async givable(id: string, accountId: string): Promise<void> {
    const { rulesOf } = await this.assignments.changeable(id, accountId);
    if (rulesOf) throw refused('Standing rules are amended, not revised.');
  }

  /** What is drawn and marked of it in the classes that this person teaches: those of colleagues are theirs. */
  private async works(assignmentId: string, accountId: string): Promise<Work[]> {
    const classId = In(await this.classes.classIdsOf(accountId, ['teacher']));
    return this.data.getRepository(Work).find({
      where: { publication: { assignmentId, classId }, state: In([...OPEN, 'returned']) },
      relations: { publication: { schoolClass: true }, members: { account: true } },
      order: { begunAt: 'ASC' },
    });
  }

  private async changeFor(work: Work, next: Assignment): Promise<ChangeForWork> {
    const members = membersOf(work);
    const old = await this.revisions.bodyOf(work.revisionId);
    const submission = await this.submissionOf(work);
    const ids = members.map((member) => member.id);
    const context = {
      members: ids,
      due: (submission ? submission.due : await this.dueTimes.of(work.publication!, ids))?.toISOString() ?? null,
      handedIn: submission?.handedInAt.toISOString() ?? null,
    };
    const [before, after] = submission
      ? await Promise.all([
          this.submissions.reportOf(submission.id),
          this.submissions.mapOf(submission.id).then((map) => this.checks.check(map, next, context, 'class')),
        ])
      : await this.ofBegun(work, old, next, context);
    return {
      workId: work.id,
      members,
      className: work.publication!.schoolClass!.name,
      state: work.state,
      before: before.earned,
      after: after.earned,
      outOf: after.outOf,
      results: otherwise(before, after),
    };
  }

  /** A map that is being drawn: as it is, and as it would be once it has moved on. */
  private async ofBegun(
    work: Work,
    old: Assignment,
    next: Assignment,
    context: CheckContext,
  ): Promise<[before: Report, after: Report]> {
    const map = await this.drawn(work);
    const moved = applyChanges(map, adoptRevision(map, old, next, { idFor: () => randomUUID() }));
    return Promise.all([
      this.checks.check(map, old, context, 'class'),
      this.checks.check(moved, next, context, 'class'),
    ]);
  }

  /** What was handed in last, unless it is being drawn again. */
  private submissionOf(work: Work): Promise<Submission | null> {
    return work.state === 'in progress'
      ? Promise.resolve(null)
      : this.data.getRepository(Submission).findOne({ where: { workId: work.id }, order: { number: 'DESC' } });
  }

  private async drawn(work: Work): Promise<TopicMap> {
    return (await this.snapshots.of(workDocument(work.id), 'class'))!.map;
  }

  /** Moves a due time, closes or opens; those who draw just then are told what they may do now. */
  async changePublication(id: string, wanted: ChangePublication, accountId: string): Promise<void> {
    await this.publications.change(id, wanted, accountId);
    await this.tell(await this.data.getRepository(Work).findBy({ publicationId: id }));
  }

  /** Puts an assignment away, with all that is given out of it, or takes it out again. */
  async changeAssignment(id: string, { archived }: ChangeAssignment, accountId: string): Promise<void> {
    await this.assignments.changeable(id, accountId);
    if (archived === undefined) return;
    await this.assignments.archive(id, archived ? this.clock.now() : null, accountId);
    await this.tell(await this.data.getRepository(Work).findBy({ publication: { assignmentId: id } }));
  }

  /** Those who draw just then may do otherwise now. */
  private async tell(works: readonly Work[]): Promise<void> {
    for (const work of works) await this.workService.stateChanged(work.id);
  }

  /** A member has read what is new. */
  async newsRead(workId: string, accountId: string): Promise<void> {
    const { isMember } = await this.workService.seen(workId, accountId);
    if (!isMember) throw notFound('map');
    await this.data.getRepository(Work).update({ id: workId }, { movedFrom: null });
  }
}

/** Results that come out otherwise; what is new has nothing before, what is gone nothing after. */
function otherwise(before: Report, after: Report): ChangeForWork['results'] {
  const pointsIn = ({ results }: Report) => new Map(results.map(({ id, points }) => [id, points]));
  const [was, is] = [pointsIn(before), pointsIn(after)];
  return [...new Set([...was.keys(), ...is.keys()])]
    .map((requirement) => ({
      requirement,
      before: was.get(requirement) ?? null,
      after: is.get(requirement) ?? null,
    }))
    .filter((one) => one.before !== one.after);
}
