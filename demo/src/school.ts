import type { INestApplication } from '@nestjs/common';
import { writeAssignment } from '@ichnograph/core';
import type { Part } from '@ichnograph/contract';
import {
  AccountsService,
  actOf,
  Acts,
  ClassesService,
  Comments,
  PublicationsService,
  Remarks,
  Returning,
  SheetsService,
  Verdicts,
} from '@ichnograph/server';
import { bridges } from './bridges/assignment.js';
import { classWorks } from './bridges/class.js';
import { KEPT_REMARKS, KOFI_JUDGED } from './bridges/marked.js';
import { loadGathering } from './bridges/gathering.js';
import { kofi } from './bridges/students/kofi.js';
import { loadCrossing } from './crossing/load.js';
import type { DemoClock } from './demo-clock.js';
import { loadEnglish } from './english/load.js';
import { CLASS_9B, DEMO_PASSWORD, SCHOOL, STAFF_PEOPLE, STUDENTS_11, STUDENTS_8A, STUDENTS_9B } from './people.js';
import { DemoStudent } from './student.js';

type Account = NonNullable<Awaited<ReturnType<AccountsService['byId']>>>;

/** @returns false where there is a school already, and then nothing is touched */
export async function loadSchool(app: INestApplication, clock: DemoClock): Promise<boolean> {
  const accounts = app.get(AccountsService);
  if (await accounts.school()) return false;
  clock.at(-21, '07:30');
  const people = await peopleOf(accounts);
  const classId = await classOf(app, people);

  clock.at(-6, '13:10');
  const maren = people.get('maren')!;
  const id = await app.get(SheetsService).bringIn(writeAssignment(bridges), actOf(maren.id));
  // First due the evening before today; the class asked for more time, and one of them for more still.
  const publications = app.get(PublicationsService);
  const [first, later, last] = (
    [
      [-1, '20:30'],
      [3, '17:00'],
      [5, '17:00'],
    ] as const
  ).map(([days, time]) => clock.at(days, time).toISOString());
  clock.at(-6, '13:10');
  const publicationId = await publications.publish(id, { classId, due: first! }, actOf(maren.id));
  await drawWorks(app, clock, publicationId, people);
  clock.at(-1, '21:40');
  await publications.change(publicationId, { due: later! }, maren.id);
  await publications.extend(publicationId, { accountId: people.get('juno')!.id, due: last! }, maren.id);
  await loadGathering(app, clock, classId, people);
  await loadEnglish(app, clock, people);
  await loadCrossing(app, clock, people);
  return true;
}

async function peopleOf(accounts: AccountsService): Promise<Map<string, Account>> {
  const [head, ...others] = [...STAFF_PEOPLE, ...STUDENTS_9B, ...STUDENTS_8A, ...STUDENTS_11].map(
    ({ who: _who, ...person }) => ({
      ...person,
      password: DEMO_PASSWORD,
    }),
  );
  const { role: _role, ...founder } = head!;
  const founded = await accounts.found({ ...founder, school: SCHOOL.name, timeZone: SCHOOL.timeZone });
  if (!founded) throw new Error('the school was founded by somebody else');
  const made = [founded];
  for (const person of others) made.push(await accounts.create(person));
  return new Map(made.map((account) => [account.name, account]));
}

async function classOf(app: INestApplication, people: Map<string, Account>): Promise<string> {
  const classes = app.get(ClassesService);
  const { id } = await classes.create(CLASS_9B.name);
  const parts: [name: string, part: Part][] = [
    ...Object.entries(CLASS_9B.staff),
    ...STUDENTS_9B.map(({ name }): [string, Part] => [name, 'student']),
  ];
  const head = actOf(people.get('halina')!.id);
  await app.get(Acts).once(head, 'enrol', async () => {
    for (const [name, part] of parts) await classes.enrol(id, { accountId: people.get(name)!.id, part });
    return id;
  });
  return id;
}

async function drawWorks(
  app: INestApplication,
  clock: DemoClock,
  publicationId: string,
  people: Map<string, Account>,
): Promise<void> {
  const student = async (name: string, days: number, time: string): Promise<DemoStudent> => {
    clock.at(days, time);
    const one = new DemoStudent(app, people.get(name)!);
    await one.begin(publicationId);
    return one;
  };
  const said = app.get(Comments);
  const returning = app.get(Returning);
  const maren = people.get('maren')!;

  const first = await student('kofi', -4, '15:05');
  await first.draw(kofi);
  clock.at(-3, '17:48');
  const handedIn = await first.handIn('I was not sure where torsion goes.');
  clock.at(-2, '10:20');
  await said.addComment(
    handedIn,
    { anchor: 'topic', target: first.topic('torsion'), text: 'Wind twists a deck: can you show that with one link?' },
    actOf(maren.id),
  );
  await said.addComment(
    handedIn,
    {
      anchor: 'topic',
      target: first.topic('live'),
      text: 'This was “Live load”. A bus is traffic, and so is a person: which word holds them all?',
    },
    actOf(maren.id),
  );
  await said.addComment(
    handedIn,
    {
      anchor: 'link',
      target: first.link('forces', 'dead'),
      text: '“Has” tells me little. What does a dead load do that a live load does not?',
    },
    actOf(maren.id),
  );
  await said.addComment(
    handedIn,
    {
      anchor: 'map',
      text: 'The parts hang together well, Kofi. Now let the forces meet them: five links between your two families would show me that you see how a load travels.',
    },
    actOf(maren.id),
  );
  await judgeSentences(app, handedIn, first, maren.id);
  for (const text of KEPT_REMARKS) await app.get(Remarks).keep({ text }, actOf(maren.id));
  await returning.return(handedIn, actOf(maren.id), { unjudged: true });

  for (const work of classWorks) {
    const one = await student(work.name, ...work.begun);
    await one.draw(work.map);
    if (!work.handedIn) continue;
    clock.at(...work.handedIn);
    const submission = await one.handIn(work.note ?? '');
    if (!work.returned) continue;
    clock.at(...work.returned.at);
    await said.addComment(submission, { anchor: 'map', text: work.returned.comment }, actOf(maren.id));
    await returning.return(submission, actOf(maren.id), { unjudged: true });
    if (!work.again) continue;
    clock.at(...work.again.at);
    await one.revise();
    await one.draw(work.again.map);
    await one.handIn(work.again.note);
  }
}

/** Sentences on the one map, found by the links that say them. */
async function judgeSentences(
  app: INestApplication,
  submissionId: string,
  student: DemoStudent,
  teacherId: string,
): Promise<void> {
  const verdicts = app.get(Verdicts);
  const said = await verdicts.ofMap(submissionId, teacherId);
  for (const { link, verdict, thin } of KOFI_JUDGED) {
    const id = student.link(...link);
    const keys = said.filter(({ links }) => links.includes(id)).map(({ key }) => key);
    await verdicts.judgeMap(submissionId, { keys, verdict, ...(thin && { thin }) }, teacherId);
  }
}
