import type { INestApplication } from '@nestjs/common';
import { emptyMap, writeAssignment, writeMap } from '@ichnograph/core';
import type { AccountsService } from '@ichnograph/server';
import {
  actOf,
  Acts,
  ClassesService,
  Comments,
  GroupsService,
  OwnMapsService,
  PublicationsService,
  SharesService,
  SheetsService,
  Threads,
} from '@ichnograph/server';
import type { DemoClock } from '../demo-clock.js';
import { CLASS_11, STUDENTS_11 } from '../people.js';
import { DemoStudent } from '../student.js';
import { crossing } from './assignment.js';
import { stages } from './works.js';

type Account = NonNullable<Awaited<ReturnType<AccountsService['byId']>>>;

/** Technology 11: four groups of three; one has handed in, one is at work, two have not begun. */
export async function loadCrossing(
  app: INestApplication,
  clock: DemoClock,
  people: ReadonlyMap<string, Account>,
): Promise<void> {
  clock.at(-8, '09:00');
  const maren = people.get('maren')!;
  const classes = app.get(ClassesService);
  const { id: classId } = await classes.create(CLASS_11.name);
  await app.get(Acts).once(actOf(people.get('halina')!.id), 'enrol', async () => {
    for (const [name, part] of Object.entries(CLASS_11.staff))
      await classes.enrol(classId, { accountId: people.get(name)!.id, part });
    for (const { name } of STUDENTS_11)
      await classes.enrol(classId, { accountId: people.get(name)!.id, part: 'student' });
    return classId;
  });
  const id = await app.get(SheetsService).bringIn(writeAssignment(crossing), actOf(maren.id));
  const due = clock.at(6, '14:00').toISOString();
  clock.at(-5, '10:00');
  const publicationId = await app.get(PublicationsService).publish(id, { classId, due }, actOf(maren.id));
  const groups = [0, 1, 2, 3].map((g) => STUDENTS_11.slice(3 * g, 3 * g + 3).map(({ name }) => people.get(name)!));
  await app.get(GroupsService).set(
    publicationId,
    groups.map((members) => members.map(({ id: one }) => one)),
    maren.id,
  );
  const drawn = async (members: readonly Account[], days: number): Promise<DemoStudent> => {
    // They draw on one map, one after the other: what one drew the next one knows.
    const ids = new Map<string, string>();
    let last: DemoStudent | null = null;
    for (const [i, account] of members.entries()) {
      clock.at(days, `1${i + 3}:10`);
      last = new DemoStudent(app, account, ids);
      await last.begin(publicationId);
      await last.draw(stages[i]!);
    }
    return last!;
  };
  const ready = await drawn(groups[0]!, -2);
  clock.at(-1, '08:45');
  await ready.handIn('We measured the stream ourselves.');
  const [dmitri, esther] = groups[1]!.slice(0, 2) as [Account, Account];
  const atWork = await drawn([dmitri, esther], -1);
  const day = (days: number): string => clock.at(days, '12:00').toISOString().slice(0, 10);
  await atWork.giveTask('Ford with stepping stones', { state: 'under way', due: day(3), who: [esther.id] });
  await atWork.giveTask('Timber footbridge', { state: 'to do', due: day(5), who: [dmitri.id, esther.id] });
  await talk(app, clock, atWork, dmitri, esther);
  await shareList(app, clock, classId, esther);
}

/** What two of a group said to one another while they drew; their teacher has not read it yet. */
async function talk(
  app: INestApplication,
  clock: DemoClock,
  atWork: DemoStudent,
  asks: Account,
  answers: Account,
): Promise<void> {
  const threads = app.get(Threads);
  clock.at(-1, '15:20');
  const { workId } = atWork;
  const target = atWork.topicCalled('Timber footbridge');
  const text = '@Esther, did you measure how high the stream stood in March?';
  const thread = await threads.begin(workId, { anchor: 'topic', target, text }, actOf(asks.id));
  clock.at(-1, '15:40');
  await app.get(Comments).answer(thread, 'Up to the second step. I will add a reason for it.', actOf(answers.id));
  for (const { id } of [asks, answers]) await threads.read(workId, clock.now(), id);
}

/** A map of one of them for the whole class to draw on. */
async function shareList(app: INestApplication, clock: DemoClock, classId: string, owner: Account): Promise<void> {
  const ids = ['measure', 'width', 'banks', 'flood', 'users'];
  const words = [
    'What to measure at the stream',
    'Width from bank to bank',
    'How firm the banks are',
    'Height of the last flood',
    'Who crosses in an hour',
  ];
  const topics = ids.map((id, i) => ({
    id,
    text: words[i]!,
    kind: null,
    x: i === 0 ? 0 : (i - 2.5) * 230,
    y: i === 0 ? 0 : 140,
    width: 190,
    height: 40,
  }));
  const links = ids.slice(1).map((to, i) => ({
    id: `to-${to}`,
    from: 'measure',
    to,
    phrase: ['begins with the', 'asks', 'asks for the', 'asks'][i]!,
    kind: null,
  }));
  const map = writeMap({ ...emptyMap(), title: words[0]!, topics, links });
  const id = await app.get(OwnMapsService).begin({ title: words[0]!, map }, actOf(owner.id));
  const endsAt = clock.at(20, '16:00').toISOString();
  clock.at(-1, '16:00');
  await app.get(SharesService).make({ kind: 'own', id }, { classId, mayEdit: true, endsAt }, owner);
}
