import { Injectable } from '@nestjs/common';
import { WORK_STATES, workDocument } from '@ichnograph/contract';
import { isSameMap, openStoredMap } from '@ichnograph/core';
import type { StudentTask, TaskOnMap, TeacherTask, WorkState } from '@ichnograph/contract';
import { In, IsNull } from 'typeorm';
import { Database } from '../common/database.js';
import { DueTimes, Publication } from '../assignments/index.js';
import { ClassesService, STAFF } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { Snapshots } from '../live/index.js';
import { commentCounts, PileService, Threads } from '../marking/index.js';
import { Submission } from '../submissions/index.js';
import { GroupsService, membersOf, Work } from '../works/index.js';

/** What the page Today shows: to a student what is due and came back, to a teacher what waits. */
@Injectable()
export class TodayService {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly piles: PileService,
    private readonly threads: Threads,
    private readonly dueTimes: DueTimes,
    private readonly groups: GroupsService,
    private readonly clock: Clock,
    private readonly snapshots: Snapshots,
  ) {}

  async forStudent(accountId: string): Promise<StudentTask[]> {
    const all = await this.publications(await this.classes.classIdsOf(accountId, ['student']));
    const now = this.clock.now();
    const publications = all.filter(({ opensAt }) => opensAt === null || opensAt <= now);
    const works =
      publications.length === 0
        ? []
        : await this.data.getRepository(Work).find({
            where: { publicationId: In(publications.map(({ id }) => id)), members: { accountId } },
          });
    const submissions = await this.submissionsOf(works);
    const returned = submissions.filter(({ returnedAt }) => returnedAt);
    const remarks = await commentCounts(
      this.data,
      returned.map(({ id }) => id),
    );
    const unread = await this.threads.unread(
      works.map(({ id }) => id),
      accountId,
    );
    const makers = await this.groups.makers(
      publications.map(({ id }) => id),
      accountId,
    );
    const dues = await this.dueTimes.each(publications, (id) => makers.get(id) ?? []);
    const changed = await this.changedSince(works, submissions);
    return publications.map(({ id, revision, schoolClass }): StudentTask => {
      const due = dues.get(id) ?? null;
      const work = works.find(({ publicationId }) => publicationId === id);
      const newest = submissions.filter(({ workId }) => workId === work?.id).at(-1);
      const back = returned.filter(({ workId }) => workId === work?.id).at(-1);
      return {
        publicationId: id,
        workId: work?.id ?? null,
        title: revision!.title,
        focusQuestion: revision!.focusQuestion,
        className: schoolClass!.name,
        due: due?.toISOString() ?? null,
        state: work?.state ?? 'not begun',
        handedIn: newest?.handedInAt.toISOString() ?? null,
        late: newest?.late ?? false,
        returnedAt: back?.returnedAt?.toISOString() ?? null,
        submissionId: (back ?? newest)?.id ?? null,
        changedSince: work !== undefined && changed.has(work.id),
        unread: work ? (unread.get(work.id) ?? 0) : 0,
        remarks: back ? (remarks.get(back.id) ?? 0) : 0,
      };
    });
  }

  /** The works that wait to be marked and look otherwise by now than they were handed in. */
  private async changedSince(works: readonly Work[], submissions: readonly Submission[]): Promise<Set<string>> {
    const waiting = works.filter(({ state }) => state === 'handed in');
    const newest = new Map(submissions.map(({ workId, id }) => [workId, id]));
    const ids = waiting.flatMap(({ id }) => newest.get(id) ?? []);
    if (ids.length === 0) return new Set();
    const handedIn = await this.data
      .getRepository(Submission)
      .find({ select: { id: true, workId: true, map: true }, where: { id: In(ids) } });
    const now = await this.snapshots.ofAll(
      waiting.map(({ id }) => workDocument(id)),
      'now',
    );
    const isChanged = ({ workId, map }: Submission): boolean => {
      const drawn = now.get(workDocument(workId));
      return drawn !== undefined && !isSameMap(openStoredMap(map), drawn.map);
    };
    return new Set(handedIn.filter(isChanged).map(({ workId }) => workId));
  }

  /**
   * What is still to be done on the maps that somebody draws with others: theirs first, then what nobody has taken, each by its
   * day.
   */
  async tasks(accountId: string): Promise<TaskOnMap[]> {
    const publications = await this.publications(await this.classes.classIdsOf(accountId, ['student']));
    if (publications.length === 0) return [];
    const works = await this.data.getRepository(Work).find({
      where: {
        publicationId: In(publications.map(({ id }) => id)),
        members: { accountId },
        state: In(['in progress', 'handed in']),
      },
    });
    const shared = await this.data.getRepository(Work).find({
      where: { id: In(works.map(({ id }) => id)) },
      relations: { members: { account: true } },
    });
    const groups = shared.filter(({ members }) => members!.length > 1);
    const drawn = await this.snapshots.ofAll(
      groups.map(({ id }) => workDocument(id)),
      'now',
    );
    const tasks = groups.flatMap((work) => {
      const publication = publications.find(({ id }) => id === work.publicationId)!;
      return (drawn.get(workDocument(work.id))?.map.topics ?? []).flatMap(({ id, text, task }): TaskOnMap[] => {
        if (!task || task.state === 'done') return [];
        const who = membersOf(work).filter((member) => task.who?.includes(member.id));
        const mine = who.some((one) => one.id === accountId);
        if (who.length > 0 && !mine) return [];
        const { title } = publication.revision!;
        const { name: className } = publication.schoolClass!;
        return [
          { workId: work.id, topicId: id, text, title, className, state: task.state, due: task.due ?? null, who, mine },
        ];
      });
    });
    const LAST = '9999';
    return tasks.toSorted((a, b) => Number(b.mine) - Number(a.mine) || (a.due ?? LAST).localeCompare(b.due ?? LAST));
  }

  /** The same entries as in the pile, counted: what the one shows, the other says. */
  async forTeacher(accountId: string): Promise<TeacherTask[]> {
    const publications = await this.publications(await this.classes.classIdsOf(accountId, STAFF));
    const piles = await this.piles.entries(publications, accountId);
    return publications.map(({ id, assignmentId, revision, schoolClass, due }): TeacherTask => {
      const entries = piles.get(id)!;
      const counts = Object.fromEntries(WORK_STATES.map((state) => [state, 0])) as Record<WorkState, number>;
      for (const { state } of entries) counts[state] += 1;
      const waiting = entries
        .filter(({ state }) => state === 'handed in' || state === 'being marked')
        .flatMap(({ submission }) => submission?.handedInAt ?? []);
      return {
        publicationId: id,
        assignmentId,
        title: revision!.title,
        className: schoolClass!.name,
        due: due?.toISOString() ?? null,
        counts,
        unread: entries.reduce((sum, entry) => sum + entry.unread, 0),
        oldestWaiting: waiting.sort()[0] ?? null,
      };
    });
  }

  private async publications(classIds: readonly string[]): Promise<Publication[]> {
    if (classIds.length === 0) return [];
    return this.data.getRepository(Publication).find({
      where: {
        classId: In([...classIds]),
        schoolClass: { archivedAt: IsNull() },
        assignment: { archivedAt: IsNull() },
      },
      relations: { revision: true, schoolClass: true },
      order: { due: 'ASC', createdAt: 'ASC' },
    });
  }

  private async submissionsOf(works: readonly Work[]): Promise<Submission[]> {
    if (works.length === 0) return [];
    return this.data
      .getRepository(Submission)
      .find({ where: { workId: In(works.map(({ id }) => id)) }, order: { number: 'ASC' } });
  }
}
