import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { readAssignment, writeAssignment } from './assignment-file.js';
import { readContextText } from './context-file.js';
import { readMap, readMapText, writeMap } from './map-file.js';
import { FileRefused, understood } from './problems.js';

const file = () =>
  writeMap({
    ...mapOf([topic('a', { order: 'a0' }), topic('b')], [link('a', 'b')]),
    wordBank: [{ id: 'x', text: 'rust' }],
  }) as any;
const refusal = (read: () => unknown): [string, string] => {
  try {
    read();
  } catch (error) {
    if (error instanceof FileRefused) return [error.problems[0]!.path, error.problems[0]!.reason];
    throw error;
  }
  throw new Error('it was taken');
};

test('what is read is written again, unknown fields too, and twice the same text', () => {
  const value = { ...file(), ours: { deep: [1] } };
  value.topics[0].sparkle = 'yes';
  const text = JSON.stringify(writeMap(understood(readMap(value))));
  expect(JSON.parse(text)).toEqual(value);
  expect(JSON.stringify(writeMap(understood(readMapText(text))))).toBe(text);
});

test('live order keys and bank ids stay out of files', () => {
  expect(JSON.stringify(file())).not.toMatch(/"order"|"id":"x"/);
});

test.each<[string, (value: any) => unknown, string, RegExp]>([
  [
    'a text that is no number',
    (value) => {
      value.topics[1].x = '3';
    },
    '$.topics[1].x',
    /number/,
  ],
  [
    'too long a text',
    (value) => {
      value.topics[0].text = 'x'.repeat(301);
    },
    '$.topics[0].text',
    /300/,
  ],
  [
    'an id used twice',
    (value) => {
      value.links[0].id = 'a';
    },
    '$.links[0].id',
    /twice/,
  ],
  [
    'an end that is no topic',
    (value) => {
      value.links[0].to = 'z';
    },
    '$.links[0].to',
    /no topic/,
  ],
  [
    'a link to itself',
    (value) => {
      value.links[0].to = 'a';
    },
    '$.links[0].to',
    /itself/,
  ],
  [
    'a shape nobody knows',
    (value) => {
      value.topics[0].shape = 'heart';
    },
    '$.topics[0].shape',
    /one of/,
  ],
  [
    'a missing field',
    (value) => {
      delete value.focusQuestion;
    },
    '$.focusQuestion',
    /missing/,
  ],
  [
    'too many topics',
    (value) => {
      value.topics = Array.from({ length: 5001 }, (_, i) => topic(`t${i}`));
    },
    '$.topics',
    /5000/,
  ],
])('a map with %s is refused by path and reason', (_, spoil, path, reason) => {
  const value = structuredClone(file());
  spoil(value);
  const [at, why] = refusal(() => understood(readMap(value)));
  expect(at).toBe(path);
  expect(why).toMatch(reason);
});

test.each<[string, string, string, RegExp]>([
  ['nesting without end', `"ours":${'{"a":'.repeat(40)}1${'}'.repeat(40)}`, '$.ours', /nested more than 20/],
  ['half a character', '"ours":["\\ud800"]', '$.ours[0]', /half a character/],
  ['a name with a meaning of its own', '"__proto__":{"shape":"heart"}', '$', /__proto__/],
])('%s is refused by its place', (_, field, path, reason) => {
  const [at, why] = refusal(() => understood(readMapText(JSON.stringify(file()).replace('{', `{${field},`))));
  expect(at.startsWith(path)).toBe(true);
  expect(why).toMatch(reason);
});

test.each(['', '{', 'null', '[]', '"map"', '{"topics":[]}', '\u0000'])('%j is no map', (text) => {
  expect(refusal(() => understood(readMapText(text)))[0]).toMatch(/^\$/);
});

test('a mark at the start of the file, and colours in either case, are taken', () => {
  const value = file();
  value.topics[0].fill = '#AaBbCc';
  expect(understood(readMapText(`\ufeff${JSON.stringify(value)}`)).topics[0]!.fill).toBe('#AaBbCc');
});

test('an assignment says which of its maps is wrong', () => {
  const value = writeAssignment(assignmentOf({ starter: mapOf([topic('a')]) })) as any;
  expect(writeAssignment(understood(readAssignment(value)))).toEqual(value);
  value.starter.topics[0].width = -1;
  expect(refusal(() => understood(readAssignment(value)))[0]).toBe('$.starter.topics[0].width');
});

test.each<[string, unknown, string]>([
  ['unknown', { colour: 1 }, '$.requirements[0].params.colour'],
  ['missing', {}, '$.requirements[0].params.kind'],
  ['out of range', { kind: 'own', min: -1 }, '$.requirements[0].params.min'],
  ['not whole', { kind: 'own', max: 1.5 }, '$.requirements[0].params.max'],
])('a parameter that is %s is refused', (_, params, path) => {
  const value = writeAssignment(
    assignmentOf({
      requirements: [
        { id: 'r', type: 'kind-count', params: params as Record<string, unknown>, level: 'must', points: 1 },
      ],
    }),
  );
  expect(refusal(() => understood(readAssignment(value)))[0]).toBe(path);
});

test('a context’s instants bear an offset', () => {
  expect(
    understood(
      readContextText('{"format":"ichnograph-context","version":1,"due":"2026-01-01T10:00:00+01:00","handedIn":null}'),
    ).due,
  ).toContain('+01:00');
  expect(
    refusal(() => understood(readContextText('{"format":"ichnograph-context","version":1,"due":"tomorrow"}')))[0],
  ).toBe('$.due');
});
