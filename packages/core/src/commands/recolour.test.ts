import { applyChanges } from '../map/changes.js';
import { contrast, darkShade } from '../map/colour.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { BRANCH_FILLS, branchFill, colourBranch, colourBranches } from './recolour.js';

const assignment = assignmentOf();
const map = mapOf(
  [
    topic('root', { kind: 'root' }),
    topic('a', { kind: 'own' }),
    topic('a1', { kind: 'part' }),
    topic('b', { kind: 'own' }),
    topic('aim', { kind: 'target' }),
  ],
  [link('root', 'a'), link('a', 'a1'), link('root', 'b'), link('b', 'a1'), link('a1', 'aim', { kind: 'shows' })],
);
const filled = (outcome: ReturnType<typeof colourBranches>) =>
  applyChanges(map, outcome.ok ? outcome.changes : []).topics.map(({ fill }) => fill);

const painted = (ids: string[]) => ({
  ...map,
  topics: map.topics.map((one) => (ids.includes(one.id) ? { ...one, fill: '#f6dcd2' } : one)),
});

test('each branch gets a fill of its own, down to its leaves; the root and what stands beside keep theirs', () =>
  expect(filled(colourBranches(map, assignment))).toEqual([
    undefined,
    BRANCH_FILLS[0],
    BRANCH_FILLS[0],
    BRANCH_FILLS[1],
    undefined,
  ]));

test('a palette is taken in its order and begins anew; the links of each branch follow where that is asked for', () => {
  const outcome = colourBranches(map, assignment, { fills: ['#cfe0dc'], lines: true });
  expect(filled(outcome)).toEqual([undefined, '#cfe0dc', '#cfe0dc', '#cfe0dc', undefined]);
  const dressed = applyChanges(map, outcome.ok ? outcome.changes : []);
  const dark = darkShade('#cfe0dc');
  // What a topic of two branches also hangs by, and what stands beside the structure, keep theirs.
  expect(dressed.links.map(({ colour }) => colour)).toEqual([dark, dark, dark, undefined, undefined]);
});

test('one branch gets the fill that is wanted', () =>
  expect(filled(colourBranch(map, ['b'], { fill: '#f6dcd2' }, assignment))).toEqual([
    undefined,
    undefined,
    undefined,
    '#f6dcd2',
    undefined,
  ]));

test.each([
  ['looks that are fixed', { ...assignment, looks: 'fixed' as const }, 'looksFixed'],
  ['a fill that says the kind', { ...assignment, styleMode: 'free' as const }, 'fillSaysKind'],
])('%s are not painted over', (_, rules, code) => {
  expect(colourBranches(map, rules)).toMatchObject({ ok: false, code });
  expect(colourBranch(map, ['a'], { fill: '#ffffff' }, rules)).toMatchObject({ ok: false, code });
  expect(branchFill(painted(['a', 'a1']), 'a', rules)).toBeUndefined();
});

test('where the outline says the kind, the fill is free', () => {
  const free = {
    ...assignment,
    styleMode: 'free' as const,
    legend: { ...assignment.legend, readBy: ['outline' as const] },
  };
  expect(colourBranches(map, free)).toMatchObject({ ok: true });
  expect(branchFill(painted(['a', 'a1']), 'a', free)).toBe('#f6dcd2');
});

test('nothing to colour is said', () => {
  expect(colourBranches(mapOf([]), assignment)).toMatchObject({ ok: false });
  expect(colourBranches(mapOf([topic('x')]), assignment)).toMatchObject({ ok: false, code: 'noBranches' });
});

test('a branch’s links are drawn in a dark shade of it where that is wanted; lines beside the structure are not', () => {
  const outcome = colourBranch(map, ['a'], { fill: '#f6dcd2', lines: true }, assignment);
  const { links } = applyChanges(map, outcome.ok ? outcome.changes : []);
  const coloured = links.flatMap(({ id, colour }) => (colour ? [[id, colour] as const] : []));
  expect(coloured.map(([id]) => id)).toEqual(['root-a', 'a-a1']);
  for (const fill of [...BRANCH_FILLS, '#ffffff', '#000000', 'none'])
    expect(contrast(darkShade(fill), '#ffffff')).toBeGreaterThanOrEqual(3);
  expect(new Set(BRANCH_FILLS.map(darkShade)).size).toBe(BRANCH_FILLS.length);
});

test.each([
  ['shares its fill with what hangs from it', ['a', 'a1'], 'a', '#f6dcd2'],
  ['shares its fill with what it hangs from', ['a', 'a1'], 'a1', '#f6dcd2'],
  ['is a main branch as another that has a fill', ['a', 'b'], 'b', '#f6dcd2'],
  ['was filled alone', ['a'], 'a', undefined],
  ['has no fill', ['a'], 'b', undefined],
  ['is not there', ['a', 'a1'], null, undefined],
] as const)('what grows on a topic takes its fill, or not: it %s', (_, ids, from, fill) =>
  expect(branchFill(painted([...ids]), from, assignment)).toBe(fill),
);
