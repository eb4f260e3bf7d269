import { boxesMeet } from '../geometry/boxes.js';
import { boxOf } from '../geometry/points.js';
import { applyChanges } from '../map/changes.js';
import type { TopicMap } from '../map/types.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { gatherText } from './gather.js';

const { legend } = assignmentOf();
const gathered = (map: TopicMap, text: string, under?: string) => {
  let count = 0;
  const wanted = { at: { x: 0, y: 0 }, kind: 'part', linkKind: 'says', ...(under && { under }) };
  const { outcome, messages } = gatherText(map, text, wanted, { newId: () => `n${++count}`, by: 'noor' }, legend);
  if (!outcome.ok) return { code: outcome.code, messages, map, said: [] };
  const after = applyChanges(map, outcome.changes);
  const text_ = new Map(after.topics.map(({ id, text: words }) => [id, words]));
  return {
    code: null,
    messages,
    map: after,
    said: after.links.map(({ from, phrase, to }) => `${text_.get(from)}>${phrase}>${text_.get(to)}`),
  };
};
const apart = ({ topics }: TopicMap): boolean =>
  topics.every((one, i) => topics.slice(i + 1).every((other) => !boxesMeet(boxOf(one), boxOf(other))));
const empty = mapOf([]);

test('indented lines become a branch, laid out, one thing each', () => {
  const { map, said } = gathered(empty, 'Bridge\n  Arch\n    Keystone\n  Beam\n  arch');
  expect(map.topics.map(({ text, kind, by }) => [text, kind, by])).toEqual(
    ['Bridge', 'Arch', 'Keystone', 'Beam'].map((text) => [text, 'part', 'noor']),
  );
  expect(said).toEqual(['Bridge>>Arch', 'Arch>>Keystone', 'Bridge>>Beam']);
  expect(apart(map)).toBe(true);
});

test('twenty lines side by side stand apart from each other and from what is there, and are linked to nothing', () => {
  const there = mapOf([topic('Deck', { x: 40, y: 30 }), topic('Pier', { x: -200, y: 90 })]);
  const lines = Array.from({ length: 20 }, (_, i) => `Idea number ${i + 1}`).join('\n');
  const { map, said } = gathered(there, lines);
  expect([map.topics.length, said, apart(map)]).toEqual([22, [], true]);
  expect(map.topics.slice(0, 2)).toEqual(there.topics);
});

test('under a topic what stands outermost is linked from it, once', () => {
  const there = mapOf([topic('Bridge'), topic('Arch', { x: 300 })], [link('Bridge', 'Arch')]);
  const { said, map } = gathered(there, 'Arch\n  Keystone\nBeam', 'Bridge');
  // The arch is on the map, and linked: it is taken as it is.
  expect(said).toEqual(['Bridge>holds>Arch', 'Bridge>>Beam', 'Arch>>Keystone']);
  expect(apart(map)).toBe(true);
});

test('a table becomes topics and links; two columns have no words between', () => {
  const three = gathered(empty, 'Arch\tpushes on\tPier\nPier\tstands on\tGround\nArch\tpushes on\tPier\n');
  expect(three.said).toEqual(['Arch>pushes on>Pier', 'Pier>stands on>Ground']);
  expect(three.map.topics).toHaveLength(3);
  expect(gathered(empty, 'Arch\tPier\nPier\tArch').said).toEqual(['Arch>>Pier', 'Pier>>Arch']);
  // A tab at the margin is a level, not an empty cell.
  expect(gathered(empty, 'Arch\n\tPier').said).toEqual(['Arch>>Pier']);
  expect(apart(three.map)).toBe(true);
});

test('what is too long goes into the note, a phrase that is is cut, what is too much is left out, and both are said', () => {
  const long = gathered(empty, `${'x'.repeat(400)}\tholds\tPier`);
  const [first, second] = long.map.topics;
  expect(first!.text.length).toBeLessThan(130);
  expect([first!.note, second!.note]).toEqual(['x'.repeat(400), undefined]);
  expect(long.messages[0]).toMatchObject({ code: 'inNote', data: { text: first!.text } });
  const branch = gathered(empty, `Bridge\n  ${'a word and '.repeat(40)}\n    Pier`);
  expect(branch.map.topics[1]!.note).toBe('a word and '.repeat(40).trim());
  expect(branch.map.topics[1]!.text).toMatch(/^a word .* …$/);
  expect(branch.said[1]).toBe(`${branch.map.topics[1]!.text}>>Pier`);
  const phrase = gathered(empty, `Arch\t${'x'.repeat(400)}\tPier`);
  expect([phrase.map.links[0]!.phrase.length, phrase.messages[0]?.code]).toEqual([300, 'cut']);
  const whole = { ...empty, topics: [topic('full', { note: 'x'.repeat(2 * 1024 * 1024 - 300) })] };
  expect(gathered(whole, 'y'.repeat(400)).code).toBe('notesFull');
  const much = gathered(empty, Array.from({ length: 20_000 }, (_, i) => `t${i}`).join('\n'));
  expect([much.map.topics.length, much.messages.at(-1)?.code]).toEqual([1000, 'tooMany']);
});

test('nothing, and a topic that is gone, are refused with the reason', () => {
  expect(gathered(empty, ' \n\t\n').code).toBe('noTerm');
  expect(gathered(empty, 'Arch', 'gone').code).toBe('parentGone');
});
