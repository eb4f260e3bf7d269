import { addTopic, readAssignment, understood } from '@ichnograph/core';
import type { ClassRow, SheetDetail, SubmissionDetail, TeacherTask, WorkDetail } from '@ichnograph/contract';
import { Person } from './client.js';

/**
 * A class of Tobias's with an assignment he writes on its sheet. A student is a newcomer of it who has drawn topics of their
 * own, one below the other.
 */
export async function classAtWork(title: string) {
  const tobias = await Person.signedIn('tobias');
  const { body: room } = await tobias.post<ClassRow>('classes', { name: title });
  const { joinCode } = (await tobias.post<{ joinCode: string }>(`classes/${room.id}/join-code`, { open: true })).body;
  const { body: sheet } = await tobias.post<SheetDetail>('assignments/sheets');
  const versions: Record<string, number> = {};
  const bodies: Record<string, object> = Object.fromEntries(
    Object.entries(sheet.parts).map(([part, { body }]) => [part, body]),
  );
  const save = async (part: string, body: object): Promise<void> => {
    const answer = await tobias.call<{ version: number }>('PUT', `assignments/${sheet.id}/sheet/${part}`, {
      version: versions[part] ?? 1,
      body,
    });
    expect(answer.status).toBe(200);
    versions[part] = answer.body.version;
  };
  const requirement = (id: string, type: string, params: object, points = 2) => ({
    id,
    type,
    params,
    level: 'must',
    points,
  });
  await save('task', { ...bodies.task, title });
  await save('requirements', { requirements: [requirement('r1', 'kind-count', { kind: 'own', min: 1 })] });
  await tobias.post(`assignments/${sheet.id}/publications`, { classId: room.id });
  const student = async (name: string, ...texts: string[]) => {
    const person = await Person.newcomer(name);
    await person.post('classes/join', { code: joinCode });
    const tasks = (await person.get<{ publicationId: string; title: string }[]>('today/student')).body;
    const { publicationId } = tasks.find((one) => one.title === title)!;
    const { body: work } = await person.post<WorkDetail>(`publications/${publicationId}/work`);
    const client = person.live(work.id);
    await client.opened();
    const { legend } = understood(readAssignment(work.assignment));
    const draw = (text: string, i: number): void => {
      const outcome = addTopic(
        client.live.snapshot,
        { text, kind: 'own', at: { x: 0, y: 120 * i } },
        { newId: () => `own-${name}-${i}`, by: '' },
        legend,
      );
      if (outcome.ok) client.live.apply(outcome.changes);
    };
    (texts.length > 0 ? texts : ['Mine']).forEach(draw);
    const handIn = async () => {
      const { live, client: key } = client;
      const answer = await person.post<SubmissionDetail>(`works/${work.id}/hand-in`, { client: key, count: live.made });
      expect(answer.status).toBe(201);
      return answer.body.id;
    };
    await client.saved();
    return { person, work, client, draw, handIn };
  };
  const task = (await tobias.get<TeacherTask[]>('today/teacher')).body.find((one) => one.title === title)!;
  return { tobias, room, id: sheet.id, bodies, save, requirement, student, publicationId: task.publicationId };
}
