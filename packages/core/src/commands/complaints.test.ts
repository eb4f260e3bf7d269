import { lookAgain } from '../advice/look-again.js';
import { drawLink } from '../geometry/draw-link.js';
import { fitTopic } from '../geometry/fit.js';
import { applyChanges } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import { linkStyle, topicStyle } from '../map/style.js';
import type { TopicMap } from '../map/types.js';
import { pointsOn } from '../on-paper/page.js';
import { propositionOf } from '../propositions/sentence.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { goBackTo } from './go-back.js';
import { setLooks } from './looks.js';
import { addLink, setPhrase } from './links.js';
import { addPicture, setPicture } from './pictures.js';
import { makeGroup, withGroups } from './together.js';
import { addTopic, moveMarks, resizeTopic, setText } from './topics.js';
import { addToBank, pasteMarks, copyMarks, removeMarks } from './whole-map.js';

/** What goes wrong for people elsewhere, one after the other: here it cannot. */

const assignment = assignmentOf();
const { legend } = assignment;
let count = 0;
const maker = { newId: () => `n${++count}`, by: 'noor' };
const map = mapOf(
  [topic('a', { kind: 'part' }), topic('b', { x: 300 }), topic('c', { x: 600 })],
  [link('a', 'b'), link('b', 'c')],
);
const after = (outcome: Outcome, before: TopicMap = map): TopicMap => {
  if (!outcome.ok) throw new Error(outcome.code);
  return applyChanges(before, outcome.changes);
};

describe('a new shape takes the style of whatever was touched last', () => {
  test('it does not: its kind alone decides, whatever was changed before', () => {
    const painted = after(setLooks(map, ['a', 'a-b'], { fill: '#ff0000', colour: '#ff0000', width: 9 }, assignment));
    const made = after(addTopic(painted, { text: 'New', kind: 'part', at: { x: 0, y: 300 } }, maker, legend), painted);
    const fresh = made.topics.at(-1)!;
    expect(topicStyle(fresh, legend)).toEqual(topicStyle(topic('x', { kind: 'part' }), legend));
    const tied = after(addLink(made, { from: 'a', to: fresh.id, phrase: '', kind: 'says' }, maker), made);
    expect(linkStyle(tied.links.at(-1)!, legend)).toEqual(linkStyle(link('x', 'y', { kind: 'says' }), legend));
  });
  test('a change over several lines applies to all of them, or says why to none', () => {
    const looks = { colour: '#1f6f63', width: 3 };
    expect(
      after(setLooks(map, ['a-b', 'b-c'], looks, assignment)).links.map(({ colour, width }) => [colour, width]),
    ).toEqual([
      ['#1f6f63', 3],
      ['#1f6f63', 3],
    ]);
    expect(setLooks(map, ['a-b', 'b-c'], looks, { ...assignment, looks: 'fixed' })).toEqual({
      ok: false,
      code: 'looksFixed',
    });
  });
});

test('choosing a picture while something is selected replaces it: here it comes beside, and takes a place only when asked', () => {
  const one = after(addPicture(map, ['a'], { src: 'noto/bell', alt: '' }, legend));
  const two = after(addPicture(one, ['a'], { src: 'noto/canoe', alt: '' }, legend), one);
  expect(two.topics[0]!.pictures!.map(({ src }) => src)).toEqual(['noto/bell', 'noto/canoe']);
  const asked = after(setPicture(two, 'a', 'noto/bell', { src: 'noto/ferry' }, legend), two);
  expect(asked.topics[0]!.pictures!.map(({ src }) => src)).toEqual(['noto/ferry', 'noto/canoe']);
});

describe('text outgrows its shape, and arrows stay behind', () => {
  const words = 'a great many words that were not there before '.repeat(5).trim();
  test('a shape fits its text after every change of it, and no hand makes it too small', () => {
    const grown = after(setText(map, 'a', words, legend));
    expect(grown.topics[0]).toMatchObject(fitTopic(grown.topics[0]!, legend));
    const squeezed = after(resizeTopic(grown, 'a', { width: 10, height: 10 }, legend), grown);
    expect([squeezed.topics[0]!.width, squeezed.topics[0]!.height]).toEqual([
      grown.topics[0]!.width,
      grown.topics[0]!.height,
    ]);
  });
  test('a link ends at its topics wherever they are taken: it has no place and no angle of its own', () => {
    const moved = after(moveMarks(map, ['b'], { x: -40, y: 400 }));
    expect(moved.links).toBe(map.links);
    const [a, b] = [moved.topics[0]!, moved.topics[1]!];
    const { line } = drawLink(moved.links[0]!, a, b, legend);
    expect(Math.abs(line.at(-1)!.y - (b.y - b.height / 2))).toBeLessThan(b.height);
  });
});

test('grouped arrows misbehave: a group holds topics alone, and links follow them', () => {
  const grouped = after(makeGroup(map, ['a', 'b', 'a-b'], maker));
  expect(grouped.groups[0]!.topics).toEqual(['a', 'b']);
  const moved = after(moveMarks(grouped, withGroups(grouped, ['a']), { x: 50, y: 50 }), grouped);
  expect(moved.topics.map(({ x }) => x)).toEqual([50, 350, 600]);
  expect(moved.links).toBe(map.links);
});

test('one keystroke too many makes empty topics: none is made of nothing, and none is left empty', () => {
  expect(setText(map, 'a', '   ', legend)).toEqual({ ok: false, code: 'noWords' });
  expect(addToBank(map, '\n \n', assignment, maker)).toMatchObject({ ok: false, code: 'noTerm' });
});

test('a map is lost or drawn over: an earlier state comes back with what came after still there to go back to', () => {
  const now = after(removeMarks(map, ['b']));
  const back = after(goBackTo(now, map), now);
  expect(back.topics.map(({ id }) => id).sort()).toEqual(['a', 'b', 'c']);
  const forth = after(goBackTo(back, now), back);
  expect(forth.topics.map(({ id }) => id)).toEqual(['a', 'c']);
});

test('a copy is a copy: what is done to it leaves the first as it was', () => {
  const copied = after(pasteMarks(map, copyMarks(map, ['a', 'b']), { x: 0, y: 200 }, maker));
  const [, , , copy] = copied.topics;
  const changed = after(setText(copied, copy!.id, 'another', legend), copied);
  expect(changed.topics[0]).toBe(map.topics[0]);
});

describe('dark fills print black, and a long map too small: both are said before it is handed in', () => {
  test.each([
    ['dark', mapOf([topic('a', { fill: '#10141c' })])],
    ['small', mapOf([topic('a'), topic('b', { x: 9000 })])],
  ])('%s', (code, drawn) => expect(lookAgain(drawn, assignment).map((one) => one.code)).toContain(code));
  test('on a larger sheet its letters are larger', () => {
    const wide = mapOf([topic('a'), topic('b', { x: 2400 })]);
    expect(pointsOn(wide, legend, { paper: 'A3', sideways: true })).toBeGreaterThan(
      pointsOn(wide, legend, { paper: 'A4', sideways: true }),
    );
  });
});

test('a phrase is read in the wrong direction: the sentence is told along the arrow, while it is typed', () => {
  const typed = after(setPhrase(map, 'a-b', 'pushes on'));
  const [a, b] = map.topics;
  const { from, phrase, to } = propositionOf(typed.links[0]!, a!, b!, legend);
  expect([from, phrase, to]).toEqual(['a', 'pushes on', 'b']);
});
