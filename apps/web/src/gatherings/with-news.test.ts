import type { GatheringDetail, GatheringNews, Idea } from '@ichnograph/contract';
import { thenAndNow, withNews } from './with-news';

const idea = (id: string, persons: [number, number] = [1, 0], more: Partial<Idea> = {}): Idea => ({
  id,
  text: id,
  persons,
  people: Math.max(...persons),
  words: [id],
  group: null,
  taken: false,
  hidden: false,
  by: [],
  ...more,
});
const head = { question: 'Q', code: 'ABCDE', open: true, anonymous: true, round: 1 as const, groups: [] };
const detail = { ...head, ideas: [idea('a'), idea('b')], senders: 1, told: 4 } as unknown as GatheringDetail;
const news = (told: number, more: Partial<GatheringNews> = {}): GatheringNews => ({
  type: 'gathering',
  told,
  head,
  senders: 2,
  ideas: [],
  gone: [],
  ...more,
});

test('what is new takes the place of what was, or comes last; what is gone goes', () => {
  const now = withNews(
    detail,
    news(5, { ideas: [idea('b', [2, 0]), idea('c')], gone: ['a'], head: { ...head, open: false } }),
  )!;
  expect(now.ideas.map(({ id, persons }) => [id, persons[0]])).toEqual([
    ['b', 2],
    ['c', 1],
  ]);
  expect([now.senders, now.told, now.open]).toEqual([2, 5, false]);
});

test('what was told before is known, and after a gap all is asked for', () => {
  expect(withNews(detail, news(4, { gone: ['a'] }))).toBe(detail);
  expect(withNews(detail, news(6))).toBeNull();
});

test('then and now: what was said only before, in both rounds, only now; nothing that is hidden', () => {
  const all = [
    idea('then'),
    idea('more', [1, 4]),
    idea('both', [1, 1]),
    idea('now', [0, 2]),
    idea('no', [0, 1], { hidden: true }),
  ];
  const { onlyThen, both, onlyNow } = thenAndNow(all);
  expect([onlyThen, both, onlyNow].map((list) => list.map(({ id }) => id))).toEqual([
    ['then'],
    ['more', 'both'],
    ['now'],
  ]);
});
