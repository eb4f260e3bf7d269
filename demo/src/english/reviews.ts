import type { INestApplication } from '@nestjs/common';
import { actOf, ReviewsService, RoundsService } from '@ichnograph/server';
import type { AccountsService } from '@ichnograph/server';
import type { DemoClock } from '../demo-clock.js';

type Account = NonNullable<Awaited<ReturnType<AccountsService['byId']>>>;

/** What three of them said so far of the maps they were given, one after the other. */
const SAID: [name: string, level: number, words: string][] = [
  ['anouk', 1, 'I like that the bell stands in the middle. Your links say “is about” three times: what do they do?'],
  ['cato', 2, 'The trouble and the way out are easy to find. I would have put the lantern with the girl.'],
  ['farida', 1, 'Good people. I could not read what the flood has to do with the ferryman.'],
];

/** The class looks at one another's stories; three of twelve reviews are sent, none is released. */
export async function loadReviews(
  app: INestApplication,
  clock: DemoClock,
  publicationId: string,
  people: ReadonlyMap<string, Account>,
): Promise<void> {
  const [rounds, reviews] = [app.get(RoundsService), app.get(ReviewsService)];
  clock.at(-1, '17:00');
  const plan = { each: 2, criteria: true, sentences: true, notes: false, share: 0.2, apart: [] };
  await rounds.begin(publicationId, plan, actOf(people.get('tobias')!.id));
  for (const [i, [name, level, words]] of SAID.entries()) {
    const reviewer = people.get(name)!;
    const [task] = await reviews.tasks(reviewer.id);
    const { id, version, propositions, assignment } = await reviews.detail(task!.id, reviewer);
    const { criteria } = assignment as { criteria: { id: string }[] };
    const verdicts = Object.fromEntries(
      propositions.slice(0, 4).map(({ key }, k) => [key, (k + i) % 3 === 2 ? ('shaky' as const) : ('sound' as const)]),
    );
    const levels = Object.fromEntries(criteria.map((one) => [one.id, level]));
    clock.at(-1, `18:1${i}`);
    await reviews.save(id, { version, levels, verdicts, words }, reviewer);
    await reviews.send(id, reviewer);
  }
}
