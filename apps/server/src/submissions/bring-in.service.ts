import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { LIMITS, ontoLegend, readMap } from '@ichnograph/core';
import type { Assignment, Legend, TopicMap } from '@ichnograph/core';
import { workDocument } from '@ichnograph/contract';
import type { BringInMaps, BroughtMap, Person } from '@ichnograph/contract';
import { snapshotOf } from '@ichnograph/livemap';
import type * as Y from 'yjs';
import { In } from 'typeorm';

import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { DueTimes, Publication, Revisions } from '../assignments/index.js';
import { Checks } from '../checks/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { filledWith, UpdateLog } from '../live/index.js';
import { GroupsService, nameOf, Work, WorkMember } from '../works/index.js';
import { frozenRow, refuseOversize } from './frozen.js';
import { HandInService } from './hand-in.service.js';
import { Submission } from './submission.entity.js';

const BRING_IN = 'bring in maps';
/** So many maps of one class are checked at a time: others of the school hand in meanwhile. */
const AT_ONCE = 4;

/** A map as it will be handed in, with its live document and what the check said. */
interface Ready {
  studentId: string;
  members: string[];
  fileName: string;
  doc: Y.Doc;
  map: TopicMap;
  leftOut: number;
  due: Date | null;
  frozen: Awaited<ReturnType<Checks['freeze']>>;
}

/**
 * Maps that a class made elsewhere, handed in for it by whoever teaches it: each becomes a work with its live document and a
 * submission that is checked and marked as all are. All of them are made, or none.
 */
@Injectable()
export class BringInService {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly groups: GroupsService,
    private readonly revisions: Revisions,
    private readonly dueTimes: DueTimes,
    private readonly acts: Acts,
    private readonly log: UpdateLog,
    private readonly checks: Checks,
    private readonly handIns: HandInService,
    private readonly clock: Clock,
  ) {}

  async bringIn(publicationId: string, { maps }: BringInMaps, named: Named): Promise<void> {
    const publication = await this.data
      .getRepository(Publication)
      .findOne({ where: { id: publicationId }, relations: { schoolClass: true } });
    if (!publication || (await this.classes.partIn(publication.classId, named.accountId)) !== 'teacher')
      throw notFound('assignment');
    if (await this.acts.resultOf(named, BRING_IN)) return;
    if (publication.schoolClass!.archivedAt) throw conflict('This class is put away, so nothing more is handed in.');
    const roster = await this.classes.roster(publication.classId, ['student']);
    const people = new Map(roster.map((one) => [one.id, one]));
    const whose = await this.makers(publication, maps, people);
    const { revisionId } = publication;
    const assignment = await this.revisions.bodyOf(revisionId);
    const at = this.clock.now();
    const ready: Ready[] = [];
    for (let i = 0; i < maps.length; i += AT_ONCE)
      ready.push(
        ...(await Promise.all(
          maps
            .slice(i, i + AT_ONCE)
            .map((one) => this.ready(one, whose.get(one.studentId)!, publication, assignment, people, at)),
        )),
      );
    await this.acts.once(named, BRING_IN, async () => {
      const { manager } = this.data;
      for (const { studentId } of ready) await this.groups.lock(publication, studentId);
      const now = await manager.findOneByOrFail(Publication, { id: publicationId });
      if (now.revisionId !== revisionId)
        throw conflict('The assignment was changed this very moment, so nothing was brought in. Press again.');
      await this.refuseBegun(
        publication,
        ready.flatMap(({ members }) => members),
        people,
      );
      for (const one of ready) await this.keep(one, publication, named.accountId, at);
      return publicationId;
    });
  }

  /** By the student named, all who make one work with them. Nobody has two maps, and nobody's own is replaced. */
  private async makers(
    publication: Publication,
    maps: readonly BroughtMap[],
    people: ReadonlyMap<string, Person>,
  ): Promise<Map<string, string[]>> {
    const whose = new Map<string, string[]>();
    const fileOf = new Map<string, string>();
    for (const { studentId, fileName } of maps) {
      if (!people.has(studentId)) throw notFound('student');
      const members = await this.groups.togetherWith(publication, studentId);
      for (const id of members.length > 0 ? members : [studentId]) {
        const other = fileOf.get(id);
        if (other !== undefined)
          throw refused(`“${other}” and “${fileName}” would both be handed in for ${nameOf(people.get(id)!)}.`);
        fileOf.set(id, fileName);
      }
      whose.set(studentId, members.length > 0 ? members : [studentId]);
    }
    await this.refuseBegun(publication, [...fileOf.keys()], people);
    return whose;
  }

  private async refuseBegun(
    { id: publicationId }: Publication,
    accountIds: readonly string[],
    people: ReadonlyMap<string, Person>,
  ): Promise<void> {
    const begun = await this.data.manager.findBy(WorkMember, { publicationId, accountId: In([...accountIds]) });
    const [first] = begun;
    if (!first) return;
    const name = nameOf(people.get(first.accountId)!);
    throw conflict(`${name} has begun a map here already, and it stays as it is. Nothing was brought in.`);
  }

  private async ready(
    { studentId, fileName, map: sent }: BroughtMap,
    members: string[],
    publication: Publication,
    assignment: Assignment,
    people: ReadonlyMap<string, Person>,
    at: Date,
  ): Promise<Ready> {
    const { value, messages } = readMap(sent);
    if (!value) throw refused(`“${fileName}” holds no map: ${messages[0]!.path} ${messages[0]!.reason}.`);
    const author = members
      .map((id) => nameOf(people.get(id)!))
      .join(', ')
      .slice(0, LIMITS.text);
    const doc = filledWith({ ...theirs(value, assignment.legend, studentId), author });
    const { map, dropped } = snapshotOf(doc);
    refuseOversize(map);
    const due = await this.dueTimes.of(publication, members);
    // When it was made nobody knows: it is not late because its teacher brought it in after it was due.
    const context = { members, due: null, handedIn: at.toISOString() };
    const frozen = await this.checks.freeze(map, assignment, context, 'class');
    return { studentId, members, fileName, doc, map, leftOut: dropped.length, due, frozen };
  }

  private async keep(
    { members, fileName, doc, map, leftOut, due, frozen }: Ready,
    { id: publicationId, revisionId }: Publication,
    by: string,
    at: Date,
  ): Promise<void> {
    const { manager } = this.data;
    const [workId, id] = [randomUUID(), randomUUID()];
    await manager.insert(Work, { id: workId, publicationId, revisionId, state: 'handed in', begunAt: at });
    await manager.insert(
      WorkMember,
      members.map((accountId) => ({ workId, accountId, publicationId })),
    );
    await this.log.create(workDocument(workId), doc);
    await manager.insert(Submission, {
      id,
      workId,
      revisionId,
      number: 1,
      ...frozenRow(map, frozen),
      due,
      leftOut,
      note: '',
      handedInBy: by,
      handedInAt: at,
      late: false,
      broughtFrom: fileName,
    });
    await this.handIns.kept(id);
  }
}

/** A map from elsewhere as if its student had drawn it here: of the assignment's kinds, by nobody else, and from no starter. */
function theirs(map: TopicMap, legend: Legend, by: string): TopicMap {
  const told = ontoLegend(map, legend);
  const made = <T extends { by?: string; origin?: string }>({ origin: _origin, ...mark }: T) => ({ ...mark, by });
  return {
    ...told,
    topics: told.topics.map(({ parked: _parked, toComplete: _prompt, ...topic }) => made(topic)),
    links: told.links.map((link) => made(link)),
  };
}
