import { addTopic, readAssignment, understood } from '@ichnograph/core';
import type { SubmissionDetail } from '@ichnograph/contract';
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
