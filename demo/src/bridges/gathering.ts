import type { INestApplication } from '@nestjs/common';
import { actOf, GatheringsService, Ideas } from '@ichnograph/server';
import type { AccountsService } from '@ichnograph/server';
import { randomUUID } from 'node:crypto';
import type { DemoClock } from '../demo-clock.js';

type Account = NonNullable<Awaited<ReturnType<AccountsService['byId']>>>;

/** What the class knew before it began, in its own words. */
const THEN: [name: string, text: string][] = [
  ['amara', 'Cables'],
  ['bastian', 'they carry cars'],
  ['chidi', 'Arches'],
  ['dalia', 'cable'],
  ['emre', 'Concrete'],
  ['freya', 'an arch'],
  ['goran', 'Pillars'],
  ['hana', 'Steel'],
  ['ilse', 'They must not fall down'],
  ['juno', 'Arch'],
  ['kofi', 'Weight'],
  ['leila', 'pilars'],
  ['mateus', 'steel'],
  ['noor', 'Trusses'],
  ['priya', 'My uncle builds them'],
  ['rosa', 'the weight'],
  ['uma', 'Cables'],
];
/** And what it knew yesterday. */
const NOW: [name: string, text: string][] = [
  ['amara', 'Tension'],
  ['chidi', 'arches push sideways'],
  ['dalia', 'tension'],
  ['freya', 'Compression'],
  ['goran', 'Piers'],
  ['juno', 'Abutments'],
  ['kofi', 'dead load'],
  ['noor', 'Trusses'],
  ['rosa', 'Dead loads'],
  ['uma', 'cables'],
  ['viggo', 'compression'],
  ['wren', 'Abutment'],
];
const GROUPS: Record<string, string[]> = {
  Parts: ['Cables', 'Arches', 'an arch', 'Arch', 'Pillars', 'Trusses', 'Piers', 'Abutments'],
  Forces: ['Weight', 'Tension', 'Compression', 'dead load'],
};
const TAKEN = ['Cables', 'Trusses', 'Piers', 'Abutments', 'Tension', 'Compression'];
const HIDDEN = ['My uncle builds them'];

/** A question that was put to the class twice, and is open still. */
export async function loadGathering(
  app: INestApplication,
  clock: DemoClock,
  classId: string,
  people: ReadonlyMap<string, Account>,
): Promise<void> {
  const [gatherings, ideas] = [app.get(GatheringsService), app.get(Ideas)];
  const maren = people.get('maren')!;
  clock.at(-12, '08:20');
  const question = 'What do you know about bridges?';
  const id = await gatherings.begin({ classId, question, anonymous: true }, actOf(maren.id));
  const send = async (all: readonly [string, string][], days: number): Promise<void> => {
    for (const [i, [name, text]] of all.entries()) {
      clock.at(days, `08:${22 + Math.floor(i / 6)}`);
      await ideas.send(id, { text }, actOf(people.get(name)!.id));
    }
  };
  await send(THEN, -12);
  await gatherings.change(id, { round: 2 }, maren.id);
  await send(NOW, -1);
  const groups = Object.keys(GROUPS).map((name) => ({ id: randomUUID(), name }));
  await gatherings.change(id, { groups }, maren.id);
  const idsOf = async (texts: readonly string[]): Promise<string[]> =>
    (await gatherings.detail(id, maren)).ideas.filter(({ text }) => texts.includes(text)).map((one) => one.id);
  for (const group of groups)
    await ideas.arrange(id, { as: 'sort', ids: await idsOf(GROUPS[group.name]!), group: group.id }, maren.id);
  const [arch] = await idsOf(['Arches']);
  const arches = (await idsOf(['an arch', 'Arch'])).filter((one) => one !== arch);
  if (arches.length > 0) await ideas.arrange(id, { as: 'merge', ids: arches, into: arch! }, maren.id);
  await ideas.arrange(id, { as: 'take', ids: [arch!, ...(await idsOf(TAKEN))] }, maren.id);
  await ideas.arrange(id, { as: 'hide', ids: await idsOf(HIDDEN) }, maren.id);
}
