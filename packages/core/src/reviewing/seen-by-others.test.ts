import { forAClass } from '../outline/for-a-class.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { forReviewers } from './for-reviewers.js';

const { legend } = assignmentOf();
const withAside = {
  ...legend,
  topicKinds: [...legend.topicKinds, { ...legend.topicKinds[0]!, id: 'aside', name: 'Aside', structural: false }],
};
const behind = {
  note: 'Zinnober',
  source: 'Zinnober',
  weblinks: [{ url: 'https://zinnober.test' }],
  files: [{ src: 'Zinnober' }],
  by: 'Zinnober',
  task: { state: 'to do', who: ['Zinnober'] } as const,
};
const map = {
  ...mapOf(
    [topic('a', behind as never), topic('b'), topic('c', { kind: 'aside', text: 'Karmesin' })],
    [link('a', 'b', { by: 'Zinnober' }), link('a', 'c')],
  ),
  author: 'Indigo',
  tours: [
    { id: 't1', title: 'One', stops: [{ topic: 'a', words: 'Zinnober' }] },
    { id: 't2', title: 'Karmesin', stops: [] },
  ],
  wordBank: [{ id: 'w1', text: 'Zinnober' }],
};

test('a class is shown what is drawn, the one tour that is played, and nothing that stands behind it', () => {
  const shown = forAClass(map, 't1');
  expect(JSON.stringify(shown)).not.toContain('Zinnober');
  expect(shown.topics.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  expect(shown.tours).toEqual([{ id: 't1', title: 'One', stops: [{ topic: 'a', words: '' }] }]);
  expect(forAClass(map, null).tours).toEqual([]);
});

test('a reviewer is shown no names, and what stands behind and beside the structure only where it is opened', () => {
  const closed = forReviewers(map, withAside, false);
  expect(JSON.stringify(closed)).not.toMatch(/Zinnober|Karmesin|Indigo/);
  expect([closed.topics.map(({ id }) => id), closed.links.map(({ to }) => to)]).toEqual([['a', 'b'], ['b']]);
  const open = forReviewers(map, withAside, true);
  expect([open.topics[0]!.note, open.topics.length, open.author]).toEqual(['Zinnober', 3, '']);
  expect(open.topics.some((one) => 'by' in one || 'task' in one)).toBe(false);
});
