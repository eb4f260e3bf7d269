import { addTopic, readAssignment, understood } from '@ichnograph/core';
import type {
  AssignmentDetail,
  ClassRow,
  Person as Account,
  SheetDetail,
  SubmissionDetail,
  WorkDetail,
} from '@ichnograph/contract';
import { Person } from './client.js';

/** A new student who has drawn one topic of their own and waits for it to be stored. */
export async function drawn(name: string) {
  const person = await Person.newcomer(name);
  const work = await person.work();
  const client = person.live(work.id);
  await client.opened();
  const outcome = addTopic(
    client.live.snapshot,
    { text: 'Loads', kind: 'family', at: { x: 0, y: 700 } },
    { newId: () => `own-${name}`, by: '' },
    understood(readAssignment(work.assignment)).legend,
  );
  if (outcome.ok) client.live.apply(outcome.changes);
  const handIn = (more: object = {}, headers: Record<string, string> = {}) =>
    person.call<SubmissionDetail>(
      'POST',
      `works/${work.id}/hand-in`,
      { client: client.client, count: client.live.made, note: '', ...more },
      headers,
    );
  return { person, work, client, handIn };
}

/**
 * A class of its own with maps handed in by newcomers, taught by Tobias with Maren beside him: what is appointed or
 * returned there is in no other test's way.
 */
export async function ownClass(name: string, students: readonly string[]) {
  const tobias = await Person.signedIn('tobias');
  const { body: room } = await tobias.post<ClassRow>('classes', { name });
  const colleagues = (await tobias.get<Account[]>('classes/colleagues')).body;
  const maren = colleagues.find(({ givenName }) => givenName === 'Maren')!.id;
  await tobias.post(`classes/${room.id}/people`, { accountId: maren, part: 'teacher' });
  const { joinCode } = (await tobias.post<{ joinCode: string }>(`classes/${room.id}/join-code`, { open: true })).body;
  const { body: sheet } = await tobias.post<SheetDetail>('assignments/sheets', { readyMade: 'timeline' });
  const { body: given } = await tobias.post<AssignmentDetail>(`assignments/${sheet.id}/publications`, {
    classId: room.id,
  });
  const publicationId = given.publications[0]!.id;
  const maps = [];
  for (const student of students) {
    const person = await Person.newcomer(student);
    await person.post('classes/join', { code: joinCode });
    const work = (await person.post<WorkDetail>(`publications/${publicationId}/work`)).body;
    const client = person.live(work.id);
    await client.opened();
    const { body } = await person.post<SubmissionDetail>(`works/${work.id}/hand-in`, {
      client: client.client,
      count: client.live.made,
    });
    client.close();
    maps.push({ person, workId: work.id, id: body.id, detail: body });
  }
  return {
    tobias,
    maren: await Person.signedIn('maren'),
    marenId: maren,
    classId: room.id,
    publicationId,
    sheetId: sheet.id,
    maps,
  };
}
