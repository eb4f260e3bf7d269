import type { INestApplication } from '@nestjs/common';
import { writeAssignment, writeSketch } from '@ichnograph/core';
import type { Assignment, TopicMap } from '@ichnograph/core';
import type { AccountsService } from '@ichnograph/server';
import {
  actOf,
  Acts,
  ClassesService,
  Clock,
  FilesService,
  JudgingService,
  Comments,
  Returning,
  PublicationsService,
  SharedPagesService,
  SheetsService,
  StandingService,
} from '@ichnograph/server';
import type { DemoClock } from '../demo-clock.js';
import { CLASS_7A, CLASS_8A, STUDENTS_8A } from '../people.js';
import { DemoStudent } from '../student.js';
import { ferryman, footbridge, lighthouses, rivers } from './assignments.js';
import { essayWorks } from './essays.js';
import { loadReviews } from './reviews.js';
import { knew, LANDING, landing, mira, storyWorks, teo } from './works.js';

type Account = NonNullable<Awaited<ReturnType<AccountsService['byId']>>>;
type People = ReadonlyMap<string, Account>;

/** Tobias's classes: one at work, and one of last term that is put away with all marks in. */
export async function loadEnglish(app: INestApplication, clock: DemoClock, people: People): Promise<void> {
  await lastTerm(app, clock, people);
  clock.at(-12, '08:20');
  const classId = await classOf(
    app,
    people,
    CLASS_8A,
    STUDENTS_8A.map(({ name }) => name),
  );
  const story = await give(app, people, ferryman, classId, 4);
  const essay = await give(app, people, footbridge, classId, 9);
  const tobias = people.get('tobias')!;
  await app.get(SheetsService).bringIn(writeAssignment(rivers), actOf(tobias.id));

  const draws = (name: string, map: TopicMap, days: number) => drawn(app, clock, people, story, name, map, days);
  const said = app.get(Comments);
  const returning = app.get(Returning);
  const back = await draws('mira', await withSketch(app, mira, people.get('mira')!), -4);
  clock.at(-3, '16:10');
  const first = await back.handIn('The dark water is my own idea.');
  clock.at(-2, '17:30');
  await said.addComment(
    first,
    {
      anchor: 'map',
      text: 'You read between the lines, Mira. One question: what would the ferryman say to your “shame”?',
    },
    actOf(tobias.id),
  );
  await app.get(JudgingService).judge(first, { kind: 'criterion', subject: 'c1', value: 2 }, tobias);
  await returning.return(first, actOf(tobias.id), { unjudged: true });
  const waiting = await draws('teo', teo, -2);
  clock.at(-1, '15:05');
  await waiting.handIn('');
  await draws('yara', { ...teo, title: 'Story' }, -1);
  for (const work of storyWorks) {
    const student = await draws(work.name, work.map, work.begun);
    if (work.handedIn === undefined) continue;
    clock.at(work.handedIn, '16:30');
    await student.handIn('');
  }
  await loadReviews(app, clock, story, people);
  for (const work of essayWorks) {
    const student = await drawn(app, clock, people, essay, work.name, work.map, work.begun);
    if (work.handedIn === undefined) continue;
    clock.at(work.handedIn, '07:50');
    await student.handIn(work.note ?? '');
    if (work.name === 'hedda') await shown(app, student);
  }
  await keepRules(app, clock, classId, tobias);
}

/** Hedda shows the town council her essay plan, with her name on it. */
async function shown(app: INestApplication, { workId, account }: DemoStudent): Promise<void> {
  const endsAt = new Date(app.get(Clock).now().getTime() + 60 * 24 * 3_600_000).toISOString();
  await app.get(SharedPagesService).make({ workId }, { endsAt, showsNames: true }, account);
}

/** A drawn map whose sketch has been drawn. */
async function withSketch(app: INestApplication, map: TopicMap, by: Account): Promise<TopicMap> {
  const { src } = await app.get(FilesService).sketch(writeSketch(landing), 'Sketch', by.id);
  return { ...map, pictures: map.pictures.map((one) => (one.src === LANDING ? { ...one, src } : one)) };
}

/** What every assignment of the class shall have: from now on they begin with it. */
async function keepRules(app: INestApplication, clock: DemoClock, classId: string, tobias: Account): Promise<void> {
  clock.at(-1, '07:40');
  const [standing, sheets] = [app.get(StandingService), app.get(SheetsService)];
  const id = await standing.open(classId, tobias);
  const requirements = [
    { id: 'rule-r1', type: 'all-connected', params: {}, level: 'must', points: 2 },
    { id: 'rule-r2', type: 'links-labelled', params: {}, level: 'must', points: 3 },
    { id: 'rule-r3', type: 'precise-phrases', params: {}, level: 'should', points: 2 },
  ];
  const levels = [
    { name: 'not yet', points: 0, description: 'One has to guess what is meant.' },
    { name: 'in parts', points: 2, description: 'Most sentences can be read aloud.' },
    { name: 'throughout', points: 4, description: 'Every sentence can be read aloud, and is worth it.' },
  ];
  const criteria = [{ id: 'rule-c1', name: 'Clear words', levels }];
  await sheets.save(id, 'requirements', { version: 1, body: { requirements } }, tobias);
  await sheets.save(id, 'criteria', { version: 1, body: { criteria } }, tobias);
  await standing.amend(id, [], actOf(tobias.id));
}

async function lastTerm(app: INestApplication, clock: DemoClock, people: People): Promise<void> {
  clock.at(-150, '08:00');
  const names = STUDENTS_8A.slice(0, 6).map(({ name }) => name);
  const classId = await classOf(app, people, CLASS_7A, names);
  const publicationId = await give(app, people, lighthouses, classId, -145);
  const tobias = people.get('tobias')!;
  for (const [i, name] of names.entries()) {
    const student = await drawn(app, clock, people, publicationId, name, knew([i, (i * 3) % 8]), -148);
    const submission = await student.handIn('');
    clock.at(-144, '14:00');
    await app.get(Returning).return(submission, actOf(tobias.id), { unjudged: true });
  }
  clock.at(-130, '12:00');
  await app.get(ClassesService).archive(classId, new Date(clock.now()));
}

async function classOf(
  app: INestApplication,
  people: People,
  { name, teacher }: { name: string; teacher: string },
  students: readonly string[],
): Promise<string> {
  const classes = app.get(ClassesService);
  const { id } = await classes.create(name);
  await app.get(Acts).once(actOf(people.get('halina')!.id), 'enrol', async () => {
    await classes.enrol(id, { accountId: people.get(teacher)!.id, part: 'teacher' });
    for (const student of students) await classes.enrol(id, { accountId: people.get(student)!.id, part: 'student' });
    return id;
  });
  return id;
}

/** Gives an assignment to a class, due so many days from today. */
async function give(
  app: INestApplication,
  people: People,
  assignment: Assignment,
  classId: string,
  days: number,
): Promise<string> {
  const tobias = people.get('tobias')!;
  const id = await app.get(SheetsService).bringIn(writeAssignment(assignment), actOf(tobias.id));
  const due = new Date(new Date(Date.now() + days * 24 * 3_600_000).toISOString().replace(/T.*/, 'T15:00:00Z'));
  return app.get(PublicationsService).publish(id, { classId, due: due.toISOString() }, actOf(tobias.id));
}

async function drawn(
  app: INestApplication,
  clock: DemoClock,
  people: People,
  publicationId: string,
  name: string,
  map: TopicMap,
  days: number,
): Promise<DemoStudent> {
  clock.at(days, '15:40');
  const student = new DemoStudent(app, people.get(name)!);
  await student.begin(publicationId);
  await student.draw(map);
  return student;
}
