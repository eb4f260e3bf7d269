import { applyChanges } from '../map/changes.js';
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

test('each branch gets a fill of its own, down to its leaves; the root and what stands beside keep theirs', () =>
  expect(filled(colourBranches(map, assignment))).toEqual([
    undefined,
    BRANCH_FILLS[0],
    BRANCH_FILLS[0],
    BRANCH_FILLS[1],
    undefined,
  ]));

test('one branch gets the fill that is wanted', () =>
  expect(filled(colourBranch(map, ['b'], '#f6dcd2', assignment))).toEqual([
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
  expect(colourBranch(map, ['a'], '#ffffff', rules)).toMatchObject({ ok: false, code });
  expect(branchFill(topic('p', { fill: '#ffffff' }), rules)).toBeUndefined();
});

test('where the outline says the kind, the fill is free', () => {
  const free = {
    ...assignment,
    styleMode: 'free' as const,
    legend: { ...assignment.legend, readBy: ['outline' as const] },
  };
  expect(colourBranches(map, free)).toMatchObject({ ok: true });
  expect(branchFill(topic('p', { fill: '#f6dcd2' }), free)).toBe('#f6dcd2');
});

test('nothing to colour is said', () => {
  expect(colourBranches(mapOf([]), assignment)).toMatchObject({ ok: false });
  expect(colourBranches(mapOf([topic('x')]), assignment)).toMatchObject({ ok: false, code: 'noBranches' });
});
