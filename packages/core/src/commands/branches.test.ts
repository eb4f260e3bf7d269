import { boxesMeet } from '../geometry/boxes.js';
import { boxOf } from '../geometry/points.js';
import { applyChanges } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import type { TopicMap } from '../map/types.js';
import { assignmentOf, link, maker, mapOf, topic } from '../testing/make.js';
import { cutLoose, dropTarget, hangFrom, headsOf } from './branches.js';
import { branchOf, hangsBy } from './hanging.js';
import { bendLink, linkAll, reattach } from './links.js';
import { putBetween, splitLink } from './topics.js';

const rules = assignmentOf();
const tree = mapOf(
  [
    topic('root', { x: 0, y: 0 }),
    topic('a', { x: -200, y: 150 }),
    topic('b', { x: 200, y: 150 }),
    topic('a1', { x: -300, y: 300 }),
    topic('a2', { x: -100, y: 300 }),
  ],
  [
    link('root', 'a', { id: 'ra', phrase: 'has' }),
    link('root', 'b', { id: 'rb' }),
    link('a', 'a1', { id: 'aa1' }),
    link('a', 'a2', { id: 'aa2' }),
    link('b', 'a2', { id: 'cross' }),
  ],
);
const after = (map: TopicMap, outcome: Outcome): TopicMap => {
  if (!outcome.ok) throw new Error(outcome.code);
  return applyChanges(map, outcome.changes);
};
const at = (map: TopicMap, id: string) => map.topics.find((one) => one.id === id)!;

test('a branch is what hangs by first links; a ring hangs from its first topic', () => {
  expect(branchOf(tree, ['a'])).toEqual(['a', 'a1', 'a2']);
  expect(branchOf(tree, ['b'])).toEqual(['b']);
  const ring = mapOf(
    ['x', 'y', 'z'].map((id) => topic(id)),
    [link('z', 'x'), link('x', 'y'), link('y', 'z')],
  );
  expect(hangsBy(ring).has('x')).toBe(false);
  expect(branchOf(ring, ['x'])).toEqual(['x', 'y', 'z']);
});

test('hung elsewhere, a branch goes as a whole, with the words of the link it hung by', () => {
  const hung = after(tree, hangFrom(tree, { ids: ['a'], from: 'b', linkKind: 'says' }, maker()));
  expect(hung.links.find(({ id }) => id === 'ra')).toMatchObject({ from: 'b', to: 'a', phrase: 'has' });
  const step = { x: at(hung, 'a').x + 200, y: at(hung, 'a').y - 150 };
  for (const id of ['a1', 'a2'])
    expect([at(hung, id).x - at(tree, id).x, at(hung, id).y - at(tree, id).y]).toEqual([step.x, step.y]);
  expect(at(hung, 'a').y).toBeGreaterThan(at(hung, 'b').y);
});

test.each([
  ['from what hangs from it', { ids: ['a'], from: 'a1', linkKind: null }, 'hangsBelow'],
  ['from itself', { ids: ['a'], from: 'a', linkKind: null }, 'toItself'],
  ['from what is gone', { ids: ['a'], from: 'gone', linkKind: null }, 'endGone'],
  ['from what is linked to it already', { ids: ['a2'], from: 'b', linkKind: null }, 'linkedAlready'],
])('nothing hangs %s', (_, wanted, code) => {
  expect(hangFrom(tree, wanted, maker())).toMatchObject({ ok: false, code });
});

test('a branch that is hung elsewhere lies on nothing, however wide it is', () => {
  const full = {
    ...tree,
    topics: [...tree.topics, topic('in the way', { x: 100, y: 380 }), topic('too', { x: 300, y: 380 })],
  };
  const hung = after(full, hangFrom(full, { ids: ['a'], from: 'b', linkKind: 'says' }, maker()));
  hung.topics.forEach((one, i) => {
    for (const other of hung.topics.slice(i + 1)) expect(boxesMeet(boxOf(one), boxOf(other))).toBe(false);
  });
});

test('several are hung at once, each with its own branch; what hangs from one of them goes with it', () => {
  expect(headsOf(tree, ['a1', 'a', 'b'])).toEqual(['a', 'b']);
  const more = { ...tree, topics: [...tree.topics, topic('new', { x: 600, y: 0 })] };
  const hung = after(more, hangFrom(more, { ids: ['a', 'a1', 'b'], from: 'new', linkKind: 'says' }, maker()));
  expect(hung.links.filter(({ from }) => from === 'new').map(({ id }) => id)).toEqual(['ra', 'rb']);
  expect(hung.links.find(({ id }) => id === 'aa1')).toMatchObject({ from: 'a', to: 'a1' });
  hung.topics.forEach((one, i) => {
    for (const other of hung.topics.slice(i + 1)) expect(boxesMeet(boxOf(one), boxOf(other))).toBe(false);
  });
  // One that cannot go keeps all where they are.
  expect(hangFrom(more, { ids: ['b', 'a'], from: 'a1', linkKind: null }, maker())).toMatchObject({
    code: 'hangsBelow',
  });
});

test('a topic that is there is put between two, with the link’s words on the way to it', () => {
  const more = { ...tree, topics: [...tree.topics, topic('new')] };
  const put = after(more, putBetween(more, { id: 'new', link: 'ra' }, maker()));
  expect(put.links.find(({ id }) => id === 'ra')).toMatchObject({ from: 'root', to: 'new', phrase: 'has' });
  expect(put.links.at(-1)).toMatchObject({ from: 'new', to: 'a', phrase: '' });
  expect(putBetween(tree, { id: 'a', link: 'ra' }, maker())).toMatchObject({ code: 'toItself' });
  expect(putBetween(tree, { id: 'a2', link: 'rb' }, maker())).toMatchObject({ ok: true });
  expect(putBetween(tree, { id: 'b', link: 'ra' }, maker())).toMatchObject({ code: 'linkedAlready' });
  expect(putBetween(tree, { id: 'gone', link: 'ra' }, maker())).toMatchObject({ code: 'topicGone' });
  expect(putBetween(tree, { id: 'b', link: 'gone' }, maker())).toMatchObject({ code: 'linkGone' });
});

test('cut loose, a branch keeps what is in it', () => {
  const loose = after(tree, cutLoose(tree, ['a']));
  expect(loose.links.map(({ id }) => id)).toEqual(['rb', 'aa1', 'aa2', 'cross']);
  expect(cutLoose(tree, ['root'])).toMatchObject({ code: 'hangsFromNothing' });
});

test('a drop finds the topmost topic that is not in the hand', () => {
  expect(dropTarget(tree, ['a'], { x: 200, y: 150 })?.id).toBe('b');
  expect(dropTarget(tree, ['b'], { x: 200, y: 150 })).toBeUndefined();
});

test('a link is taken to another topic, never onto itself or beside one that is there', () => {
  expect(after(tree, reattach(tree, 'rb', 'to', 'a1')).links[1]).toMatchObject({ from: 'root', to: 'a1' });
  expect(reattach(tree, 'rb', 'to', 'root')).toMatchObject({ code: 'toItself' });
  expect(reattach(tree, 'rb', 'to', 'a')).toMatchObject({ code: 'linkedAlready' });
});

test('all are linked to one, or one to all, but for those that are already', () => {
  const ids = ['root', 'a', 'b'];
  const linked = after(tree, linkAll(tree, { ids, one: 'b', way: 'to one', kind: 'says' }, maker()));
  expect(linked.links.slice(5)).toMatchObject([{ from: 'a', to: 'b', kind: 'says' }]);
  expect(linkAll(tree, { ids, one: 'root', way: 'from one', kind: null }, maker())).toMatchObject({
    code: 'allLinked',
  });
});

test('a topic in between takes the link’s words on the way to it', () => {
  const split = after(tree, splitLink(tree, 'ra', { text: 'Means', kind: 'own' }, maker(), rules.legend));
  const between = split.topics.at(-1)!;
  expect(split.links.find(({ id }) => id === 'ra')).toMatchObject({ from: 'root', to: between.id, phrase: 'has' });
  expect(split.links.at(-1)).toMatchObject({ from: between.id, to: 'a', phrase: '' });
});

test('a straight link that is bent becomes a curve, within what a link may hold, and not where looks are fixed', () => {
  expect(after(tree, bendLink(tree, 'ra', { bend: 3 }, rules)).links[0]).toMatchObject({ bend: 1, route: 'curved' });
  expect(after(tree, bendLink(tree, 'ra', { phraseAt: -1 }, rules)).links[0]!.phraseAt).toBe(0);
  const fixed = { ...rules, styleMode: 'guided', looks: 'fixed' } as const;
  expect(bendLink(tree, 'ra', { bend: 0.3 }, fixed)).toMatchObject({ code: 'looksFixed' });
});
