import { Injectable } from '@nestjs/common';
import { grouped } from '@ichnograph/core';
import type { MarkerHere, OwnMark, Person, Pile, PileEntry } from '@ichnograph/contract';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import { Account, AccountsService, personOf } from '../accounts/index.js';
import { Publication } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { notFound } from '../common/problem.js';
import { WhoIsHere } from '../common/who-is-here.js';
import { LookedAt, Submission, submissionRowOf } from '../submissions/index.js';
import { Work, WorkMember, WorksService } from '../works/index.js';
import { Threads } from './threads.service.js';
import { JudgementEntry } from './judgement.entity.js';

/** A work with its members and the newest thing handed in of it, no bodies. */
interface Standing {
  work: Work;
  members: Person[];
  newest: Submission | undefined;
}

/** What came of an assignment in a class: the pile to mark, and the same in numbers for Today. */
@Injectable()
export class PileService {
  private readonly whoIsHere = new WhoIsHere<string>();

  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly works: WorksService,
    private readonly accounts: AccountsService,
    private readonly threads: Threads,
    private readonly clock: Clock,
  ) {}

  /** Every student of the class with what came of the assignment, in the roster's order. */
  async pile(publicationId: string, accountId: string): Promise<Pile> {
    const publication = await this.data.getRepository(Publication).findOne({
      where: { id: publicationId },
      relations: { revision: true, schoolClass: true },
    });
    if (!publication || !(await this.classes.isStaff(publication.classId, accountId))) throw notFound('assignment');
    return {
      publicationId,
      assignmentId: publication.assignmentId,
      title: publication.revision!.title,
      className: publication.schoolClass!.name,
      due: publication.due?.toISOString() ?? null,
      marksSecond: publication.secondMarkerId === accountId,
      entries: (await this.entries([publication], accountId)).get(publicationId)!,
    };
  }

  /** Notes that somebody has a map before them. @returns the others who mark the same pile, and where they are */
  async here(workId: string, accountId: string): Promise<MarkerHere[]> {
    const { work, isStaff } = await this.works.seen(workId, accountId);
    if (!isStaff) throw notFound('map');
    const here = this.whoIsHere.note(work.publicationId, accountId, workId, this.clock.now().getTime());
    const others = here.filter((one) => one.accountId !== accountId);
    const people = await this.accounts.people(others.map((one) => one.accountId));
    return others.map((one) => ({ person: people.get(one.accountId)!, workId: one.place }));
  }

  /** The piles of several publications at once, by publication. */
  async entries(publications: readonly Publication[], accountId: string): Promise<Map<string, PileEntry[]>> {
    const [standings, rosters] = await Promise.all([
      this.standings(publications.map(({ id }) => id)),
      this.classes.rosters(publications.map(({ classId }) => classId)),
    ]);
    const newest = [...standings.values()].flat().flatMap((one) => one.newest?.id ?? []);
    const open = publications
      .filter(({ secondMarkerId }) => secondMarkerId !== accountId)
      .flatMap(({ id }) => (standings.get(id) ?? []).map(({ work }) => work.id));
    const [looked, felt, unread] = await Promise.all([
      this.lookedAt(newest, accountId),
      this.felt(newest),
      this.threads.unread(open, accountId),
    ]);
    return new Map(
      publications.map(({ id, classId, secondMarkerId }) => [
        id,
        entriesOf(rosters.get(classId) ?? [], standings.get(id) ?? [], {
          looked,
          felt,
          unread,
          isBlind: secondMarkerId === accountId,
        }),
      ]),
    );
  }

  /** Which of these submissions this person has opened. */
  private async lookedAt(submissionIds: readonly string[], accountId: string): Promise<ReadonlySet<string>> {
    if (submissionIds.length === 0) return new Set();
    const rows = await this.data.getRepository(LookedAt).findBy({ submissionId: In([...submissionIds]), accountId });
    return new Set(rows.map(({ submissionId }) => submissionId));
  }

  /** Marks given by feel, by submission. */
  private async felt(submissionIds: readonly string[]): Promise<ReadonlyMap<string, number>> {
    if (submissionIds.length === 0) return new Map();
    const rows = await this.data
      .getRepository(JudgementEntry)
      .findBy({ submissionId: In([...submissionIds]), kind: 'feel' });
    return new Map(rows.map(({ submissionId, value }) => [submissionId, value]));
  }

  private async standings(publicationIds: readonly string[]): Promise<Map<string, Standing[]>> {
    const works =
      publicationIds.length === 0
        ? []
        : await this.data.getRepository(Work).findBy({ publicationId: In([...publicationIds]) });
    if (works.length === 0) return new Map();
    const ids = works.map(({ id }) => id);
    const [members, newest] = await Promise.all([this.members(ids), this.newest(ids)]);
    return grouped(
      works.map((work) => ({ work, members: members.get(work.id) ?? [], newest: newest.get(work.id) })),
      ({ work }) => work.publicationId,
    );
  }

  private async members(workIds: readonly string[]): Promise<Map<string, Person[]>> {
    const rows = await this.data
      .createQueryBuilder()
      .select(['m.work_id AS workId', 'a.id AS id', 'a.given_name AS givenName', 'a.family_name AS familyName'])
      .from(WorkMember, 'm')
      .innerJoin(Account, 'a', 'a.id = m.account_id')
      .where('m.work_id IN (:...workIds)', { workIds })
      .getRawMany<Person & { workId: string }>();
    const byWork = grouped(rows, ({ workId }) => workId);
    return new Map([...byWork].map(([workId, people]) => [workId, people.map(personOf)]));
  }

  private async newest(workIds: readonly string[]): Promise<Map<string, Submission>> {
    const newest = await this.data
      .getRepository(Submission)
      .createQueryBuilder('s')
      .where('s.work_id IN (:...workIds)', { workIds })
      .andWhere((query) => {
        const later = query.subQuery().select('1').from(Submission, 'l').where('l.work_id = s.work_id');
        return `NOT EXISTS ${later.andWhere('l.number > s.number').getQuery()}`;
      })
      .getMany();
    return new Map(newest.map((submission) => [submission.workId, submission]));
  }
}

/** Without the letters that went with them. */
const ownMarksOf = ({ ownMarks }: Submission): OwnMark[] =>
  (ownMarks ?? []).map(({ accountId, sum, shown }) => ({ accountId, sum, shown }));

/** Those of the roster, and behind them works of people who have left: what was handed in stays to be marked. */
function entriesOf(
  roster: readonly Person[],
  standings: readonly Standing[],
  {
    looked,
    felt,
    unread,
    isBlind,
  }: {
    looked: ReadonlySet<string>;
    felt: ReadonlyMap<string, number>;
    unread: ReadonlyMap<string, number>;
    isBlind: boolean;
  },
): PileEntry[] {
  const byPerson = new Map(standings.flatMap((one) => one.members.map(({ id }) => [id, one] as const)));
  const here = roster.map((person) => byPerson.get(person.id) ?? person);
  const left = standings.filter(
    (one) => one.newest && !one.members.some(({ id }) => roster.some((person) => person.id === id)),
  );
  // A group's work stands once, under its first member.
  return [...new Set([...here, ...left])].map((one): PileEntry => {
    if (!('work' in one))
      return {
        workId: null,
        state: 'not begun',
        late: false,
        left: false,
        unread: 0,
        members: [personOf(one)],
        submission: null,
      };
    const { work, members, newest } = one;
    return {
      workId: work.id,
      state: work.state,
      late: newest?.late ?? false,
      left: left.includes(one),
      unread: unread.get(work.id) ?? 0,
      members,
      submission: newest
        ? {
            ...submissionRowOf(newest, { isStaff: true, isBlind }),
            flags: newest.flags,
            lookedAt: looked.has(newest.id),
            broughtFrom: newest.broughtFrom,
            feel: isBlind ? null : (felt.get(newest.id) ?? null),
            own: isBlind ? [] : ownMarksOf(newest),
          }
        : null,
    };
  });
}
