import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { smallestMend } from './smallest-mend.js';

const needs = (type: string, params: object = {}, more: object = {}) =>
  assignmentOf({ ...more, requirements: [{ id: 'r', type, params, level: 'must', points: 2 }] as never });
const loose = () =>
  mapOf(
    [
      topic('Bridge', { kind: 'root' }),
      topic('Arch', { y: 100 }),
      topic('Pier', { y: 200 }),
      topic('Deck', { y: 300 }),
    ],
    [link('Bridge', 'Arch')],
  );

test('one edit that meets a requirement is said to be the fewest', () => {
  const map = mapOf([topic('Bridge', { kind: 'root' }), topic('Arch', { y: 100 })]);
  const mend = smallestMend(map, needs('all-connected'), 'r');
  expect(mend).toEqual({ edits: [{ do: 'link', from: 'Arch', phrase: '', to: 'Bridge' }], fewest: true });
});

test('two are the fewest where every single one was tried; what was done meets it when checked again', () => {
  const mend = smallestMend(loose(), needs('all-connected'), 'r');
  expect(mend).toMatchObject({ fewest: true });
  expect(mend!.edits).toHaveLength(2);
});

test('a missing term is placed, or a topic that only it could be is renamed', () => {
  const map = mapOf([topic('Bridge', { kind: 'root' }), topic('Arch', { y: 100 })], [link('Bridge', 'Arch')]);
  const assignment = needs('all-terms-present', {}, { terms: [{ text: 'Arch' }, { text: 'Keystone' }] });
  expect(smallestMend(map, assignment, 'r')).toEqual({
    edits: [{ do: 'place', term: 'Keystone', under: 'Bridge' }],
    fewest: true,
  });
});

test('the words of the reference come before any others', () => {
  const map = mapOf(
    [topic('Bridge', { kind: 'root' }), topic('Arch', { y: 100 }), topic('Pier', { y: 200 })],
    [link('Bridge', 'Arch')],
  );
  const reference = mapOf(
    [topic('p', { text: 'Pier' }), topic('a', { text: 'Arch' })],
    [link('p', 'a', { phrase: 'carries' })],
  );
  expect(smallestMend(map, needs('all-connected', {}, { reference }), 'r')!.edits).toEqual([
    { do: 'link', from: 'Pier', phrase: 'carries', to: 'Arch' },
  ]);
});

test('nothing is found where it is met, does not apply, is not asked for, or time is up', () => {
  const met = mapOf([topic('Bridge', { kind: 'root' }), topic('Arch')], [link('Bridge', 'Arch')]);
  expect(smallestMend(met, needs('all-connected'), 'r')).toBeNull();
  expect(smallestMend(met, needs('all-connected'), 'other')).toBeNull();
  expect(smallestMend(met, needs('all-terms-present'), 'r')).toBeNull();
  expect(smallestMend(loose(), needs('all-connected'), 'r', {}, () => true)).toBeNull();
});

test('more than two are a short way, and not called the fewest', () => {
  const map = mapOf([
    topic('Bridge', { kind: 'root' }),
    ...['a', 'b', 'c', 'd'].map((id, i) => topic(id, { y: 100 * i + 100 })),
  ]);
  const mend = smallestMend(map, needs('all-connected'), 'r')!;
  expect([mend.edits.length, mend.fewest]).toEqual([4, false]);
});
