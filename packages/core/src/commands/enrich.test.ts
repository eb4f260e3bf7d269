import { drawMark } from '../drawn/drawn.js';
import { signsOf } from '../drawn/topic-signs.js';
import { applyChanges } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import { bankChips } from '../map/bank.js';
import type { TopicMap } from '../map/types.js';
import { assignmentOf, maker, mapOf, topic } from '../testing/make.js';
import {
  addWebAddress,
  clearMarks,
  removeWebAddress,
  setBankNote,
  setNote,
  setSequence,
  setSource,
  setTask,
  toggleMark,
  webAddress,
} from './enrich.js';
import { goBackTo } from './go-back.js';

const map = mapOf([topic('a'), topic('b', { note: 'There.' })]);
const after = (before: TopicMap, outcome: Outcome): TopicMap => {
  if (!outcome.ok) throw new Error(outcome.code);
  return applyChanges(before, outcome.changes);
};

test('notes and sources are written, taken away when empty, and have limits', () => {
  expect(after(map, setNote(map, 'a', 'An **arch**')).topics[0]!.note).toBe('An **arch**');
  expect(after(map, setNote(map, 'b', '  ')).topics[1]!.note).toBeUndefined();
  expect(after(map, setSource(map, 'a', ' p. 12 ')).topics[0]!.source).toBe('p. 12');
  expect(setNote(map, 'a', 'x'.repeat(20_001))).toMatchObject({ code: 'noteTooLong' });
  expect(setNote(map, 'gone', '')).toMatchObject({ code: 'topicGone' });
});

test.each([
  ['example.org/arch', 'https://example.org/arch'],
  ['http://example.org', 'http://example.org'],
  ['mailto:noor@alder-quay.example', 'mailto:noor@alder-quay.example'],
  ['example.org:8080/a', 'https://example.org:8080/a'],
  ['javascript:alert(1)', null],
  ['data:text/html,hi', null],
  ['file:///etc/passwd', null],
  ['https://somebody@example.org', null],
  ['two words', null],
  ['', null],
  ['word', null],
])('the address %j is opened as %j', (text, url) => {
  expect(webAddress(text)).toBe(url);
});

test('an address is there once, and is taken away again', () => {
  const added = after(map, addWebAddress(map, 'a', 'example.org', 'Arches'));
  expect(added.topics[0]!.weblinks).toEqual([{ url: 'https://example.org', title: 'Arches' }]);
  expect(addWebAddress(added, 'a', 'https://example.org', '')).toMatchObject({ code: 'addressThere' });
  expect(addWebAddress(map, 'a', 'javascript:1', '')).toMatchObject({ code: 'noAddress' });
  expect(after(added, removeWebAddress(added, 'a', 'https://example.org')).topics[0]!.weblinks).toBeUndefined();
});

test('a place in a sequence is a number, and goes', () => {
  const placed = after(map, setSequence(map, 'a', 1889, 'spring 1889'));
  expect(placed.topics[0]).toMatchObject({ sequence: 1889, when: 'spring 1889' });
  expect(after(placed, setSequence(placed, 'a', null)).topics[0]!.sequence).toBeUndefined();
  expect(setSequence(map, 'a', Number('soon'))).toMatchObject({ code: 'noNumber' });
});

test('marks go on all that are chosen, then off all, and all marks off in one step', () => {
  const one = after(map, toggleMark(map, ['a'], 'done'));
  const both = after(one, toggleMark(one, ['a', 'b'], 'done'));
  expect(both.topics.map(({ marks }) => marks)).toEqual([['done'], ['done']]);
  expect(after(both, toggleMark(both, ['a', 'b'], 'done')).topics.every(({ marks }) => !marks)).toBe(true);
  expect(after(both, clearMarks(both, [])).topics.every(({ marks }) => !marks)).toBe(true);
  expect(clearMarks(map, [])).toMatchObject({ code: 'noMarks' });
});

test('what a topic bears has a sign, drawn by core', () => {
  const rich = topic('r', { note: 'n', source: 's', weblinks: [{ url: 'https://a.b' }], marks: ['done', 'unknown'] });
  expect(signsOf(rich)).toEqual(['note', 'source', 'address', 'done']);
  const scene = { legend: undefined, topicById: new Map() };
  const signs = (of: typeof rich): number =>
    drawMark('topics', of, scene)!.shapes.filter((shape) => shape.draw === 'path' && shape.part === 'sign').length;
  expect([signs(rich), signs(topic('plain'))]).toEqual([8, 0]);
  const timed = drawMark('topics', topic('t', { sequence: 1889 }), scene)!.shapes.at(-1);
  expect(timed).toMatchObject({ draw: 'words', lines: [{ text: '1889' }] });
});

test('a given term says why it waits, and is still one chip; placed, the reason goes with it', () => {
  const assignment = { ...assignmentOf(), terms: [{ text: 'Arch' }] };
  const said = after(map, setBankNote(map, { own: undefined, text: 'Arch' }, ' it fits twice ', maker()));
  const [chip, ...others] = bankChips(said, assignment);
  expect(others).toEqual([]);
  expect(chip).toMatchObject({ text: 'Arch', note: 'it fits twice', noteEntry: said.wordBank[0]!.id });
  expect(chip!.own).toBeUndefined();
});

test('gone back to, a map is what it was, and what stands in both keeps its id', () => {
  const then = mapOf([topic('a', { text: 'Arch' }), topic('c')]);
  const now = mapOf([topic('a', { text: 'Vault', fill: '#ffffff' }), topic('b')]);
  const back = after(now, goBackTo(now, then));
  expect(new Map(back.topics.map(({ id, text, fill }) => [id, [text, fill]]))).toEqual(
    new Map(then.topics.map(({ id, text, fill }) => [id, [text, fill]])),
  );
  expect(goBackTo(then, then)).toMatchObject({ code: 'asItIs' });
});

test('a topic is made a task, changed, and none any more; the same again changes nothing', () => {
  const open = { state: 'to do', due: '2026-12-05', who: ['p1'] } as const;
  const one = after(map, setTask(map, 'a', { ...open, who: ['p1'] }));
  expect(one.topics[0]!.task).toEqual(open);
  expect(setTask(one, 'a', { ...open, who: ['p1'] })).toEqual({ ok: true, changes: [] });
  const done = after(one, setTask(one, 'a', { state: 'done', who: [] }));
  expect(done.topics[0]!.task).toEqual({ state: 'done' });
  expect(after(done, setTask(done, 'a', null)).topics[0]).not.toHaveProperty('task');
  expect([setTask(map, 'a', null), setTask(map, 'gone', null).ok]).toEqual([{ ok: true, changes: [] }, false]);
});
