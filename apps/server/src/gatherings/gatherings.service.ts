import { randomInt, randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { gatheringRoom } from '@ichnograph/contract';
import type { ChangeGathering, GatheringDetail, GatheringRow, NewGathering } from '@ichnograph/contract';
import { In } from 'typeorm';
import { AccountsService } from '../accounts/index.js';
import type { Account } from '../accounts/index.js';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { ClassesService, STAFF } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { isTaken } from '../common/database-errors.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { LiveService } from '../live/index.js';
import { Gathering } from './gathering.entity.js';
import { forStudents, headOf, ideasOf } from './idea-rows.js';
import { IdeaEntry } from './idea.entity.js';
import { IdeasTold } from './ideas-told.service.js';
import { SentIdea } from './sent-idea.entity.js';

/** Letters and figures that nobody takes for one another, however far from the projector. */
const SIGNS = 'ABCDEFGHJKLMNPQRTUVWXYZ2346789';
const CODE = 5;
const MOST_LISTED = 60;

/** Questions to a class: who asks, who answers, and what of them is seen. */
@Injectable()
export class GatheringsService {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly accounts: AccountsService,
    private readonly acts: Acts,
    private readonly told: IdeasTold,
    private readonly clock: Clock,
    private readonly live: LiveService,
  ) {
    live.registerRoom('gathering', async (id, accountId) => {
      const gathering = await this.gatherings.findOneBy({ id });
      const part = gathering && (await this.classes.partIn(gathering.classId, accountId));
      return part === null ? null : part === 'student' ? 'read' : 'write';
    });
  }

  private get gatherings() {
    return this.data.getRepository(Gathering);
  }

  async begin(wanted: NewGathering, named: Named): Promise<string> {
    const { classId, anonymous, language = 'en' } = wanted;
    if (!(await this.classes.isStaff(classId, named.accountId))) throw notFound('class');
    if ((await this.classes.byId(classId)).archivedAt)
      throw conflict('This class is put away, so it cannot be asked anything. Take it out again first.');
    const question = wanted.question.trim();
    if (question === '') throw refused('A question has words.', [{ path: '$.question', reason: 'is empty' }]);
    for (let tries = 1; ; tries++)
      try {
        return await this.acts.once(named, 'ask a class', async () => {
          const id = randomUUID();
          const code = Array.from({ length: CODE }, () => SIGNS[randomInt(SIGNS.length)]).join('');
          const [madeBy, madeAt] = [named.accountId, this.clock.now()];
          const how = { classId, question, anonymous, language, open: true, round: 1 as const, groups: [] };
          await this.data.manager.insert(Gathering, { id, code, madeBy, madeAt, ...how });
          return id;
        });
      } catch (error) {
        if (!isTaken(error, 'gathering') || tries === 3) throw error;
      }
  }

  /** Those of somebody's classes: what they lead, and, of what they may answer, what is open. Newest first. */
  async list(accountId: string): Promise<GatheringRow[]> {
    const [led, attended] = await Promise.all([
      this.classes.classIdsOf(accountId, STAFF),
      this.classes.classIdsOf(accountId, ['student']),
    ]);
    const rows = await this.gatherings.find({
      where: [{ classId: In(led) }, { classId: In(attended), open: true }],
      relations: { schoolClass: true },
      order: { open: 'DESC', madeAt: 'DESC' },
      take: MOST_LISTED,
    });
    const shown = rows.filter(({ schoolClass }) => schoolClass!.archivedAt === null);
    const counts = await this.counts(shown.map(({ id }) => id));
    return shown.map(({ id, classId, question, schoolClass, open, madeAt }) => ({
      id,
      question,
      className: schoolClass!.name,
      open,
      leads: led.includes(classId),
      ideas: counts.get(id) ?? 0,
      at: madeAt.toISOString(),
    }));
  }

  private async counts(ids: readonly string[]): Promise<Map<string, number>> {
    if (ids.length === 0) return new Map();
    const rows = await this.data
      .getRepository(IdeaEntry)
      .createQueryBuilder('i')
      .select(['i.gathering_id AS id', 'COUNT(*) AS count'])
      .where('i.gathering_id IN (:...ids) AND i.hidden = FALSE', { ids })
      .groupBy('i.gathering_id')
      .getRawMany<{ id: string; count: string }>();
    return new Map(rows.map(({ id, count }) => [id, Number(count)]));
  }

  /** The gathering of a code, to those of its class alone. */
  async find(typed: string, accountId: string): Promise<string> {
    const code = typed.toUpperCase().replace(/[^A-Z0-9]/g, '');
    const found = code.length === CODE ? await this.gatherings.findOneBy({ code }) : null;
    if (!found || (await this.classes.partIn(found.classId, accountId)) === null)
      throw refused('No question in a class of yours has this code. Look at it once more.');
    return found.id;
  }

  /** A gathering as somebody of its class may see it; anyone else's is not there. */
  async seen(id: string, accountId: string): Promise<{ gathering: Gathering; leads: boolean }> {
    const gathering = await this.gatherings.findOne({ where: { id }, relations: { schoolClass: true } });
    const part = gathering && (await this.classes.partIn(gathering.classId, accountId));
    if (!gathering || part === null) throw notFound('question');
    return { gathering, leads: part !== 'student' };
  }

  /** @throws unless this person leads it */
  async led(id: string, accountId: string): Promise<Gathering> {
    const { gathering, leads } = await this.seen(id, accountId);
    if (!leads) throw notFound('question');
    return gathering;
  }

  async detail(id: string, { id: accountId }: Account): Promise<GatheringDetail> {
    const { gathering, leads } = await this.seen(id, accountId);
    // Counted before it is read: what is told meanwhile is told again, and nothing is missed.
    const told = this.told.count(id);
    const [ideas, senders, students, people, mine] = await Promise.all([
      ideasOf(this.data, id),
      this.told.senders(gathering),
      this.classes.roster(gathering.classId, ['student']),
      this.accounts.people([gathering.madeBy]),
      this.data.getRepository(SentIdea).find({ where: { accountId, idea: { gatheringId: id } }, order: { at: 'ASC' } }),
    ]);
    return {
      ...headOf(gathering),
      id,
      classId: gathering.classId,
      className: gathering.schoolClass!.name,
      by: people.get(gathering.madeBy)!,
      leads,
      students: students.length,
      senders,
      language: gathering.language,
      ideas: leads ? ideas : forStudents(ideas, gathering),
      mine: mine.map((one) => ({ id: one.id, text: one.text, round: one.round, at: one.at.toISOString() })),
      told,
    };
  }

  async change(id: string, { question, groups, ...rest }: ChangeGathering, accountId: string): Promise<void> {
    await this.led(id, accountId);
    if (question?.trim() === '') throw refused('A question has words.', [{ path: '$.question', reason: 'is empty' }]);
    if (groups && new Set(groups.map((one) => one.id)).size < groups.length)
      throw refused('Two groups have the same id.');
    const left = await this.data.unit(async () => {
      await this.hold(id);
      const fields = {
        ...rest,
        ...(question !== undefined && { question: question.trim() }),
        ...(groups && { groups: groups.map((one) => ({ id: one.id, name: one.name.trim() })) }),
      };
      if (Object.keys(fields).length > 0) await this.gatherings.update({ id }, fields);
      return groups ? this.emptied(id, new Set(groups.map((one) => one.id))) : [];
    });
    this.told.changed(id, left);
  }

  /** What stood in a group that is no more stands in none. @returns those ideas */
  private async emptied(gatheringId: string, groups: ReadonlySet<string>): Promise<string[]> {
    const rows = await this.data.getRepository(IdeaEntry).findBy({ gatheringId });
    const left = rows.flatMap(({ id, groupId }) => (groupId !== null && !groups.has(groupId) ? [id] : []));
    if (left.length > 0) await this.data.manager.update(IdeaEntry, { id: In(left) }, { groupId: null });
    return left;
  }

  async remove(id: string, accountId: string): Promise<void> {
    await this.led(id, accountId);
    await this.gatherings.delete({ id });
    // Nobody may come in any more, and who is in is shown out.
    await this.live.changed(gatheringRoom(id));
  }

  /** Holds a gathering for the rest of the unit: ideas fall into heaps one after the other. */
  async hold(id: string): Promise<Gathering> {
    const gathering = await this.data.manager.findOne(Gathering, {
      where: { id },
      lock: { mode: 'pessimistic_write' },
    });
    if (!gathering) throw notFound('question');
    return gathering;
  }
}
