import type { INestApplication } from '@nestjs/common';
import { writeAssignment } from '@ichnograph/core';
import type { AccountsService } from '@ichnograph/server';
import { actOf, Acts, ClassesService, GroupsService, PublicationsService, SheetsService } from '@ichnograph/server';
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
  await drawn(groups[1]!.slice(0, 2), -1);
}
