import { isSheetPart } from '../sheet/sheet.js';
import type { SheetRequirement } from '../sheet/sheet.js';
import { emptySheet } from '../sheet/empty-sheet.js';
import { followRules, RULE_PARTS, rulesOf, sheetFrom } from './standing-rules.js';
import type { StandingRules } from './standing-rules.js';

const asks = (id: string, points = 1): SheetRequirement => ({
  id,
  type: 'all-connected',
  params: {},
  level: 'must',
  points,
});
const rules = (requirements: SheetRequirement[], more: Partial<StandingRules> = {}): StandingRules => ({
  ...rulesOf(emptySheet()),
  ...more,
  requirements: { requirements },
});
const followed = (mine: SheetRequirement[], before: SheetRequirement[], after: SheetRequirement[]) => {
  const { rules: made, changes } = followRules(rules(mine), rules(before), rules(after));
  return {
    points: made.requirements.requirements.map(({ id, points }) => [id, points]),
    changes: changes.map(({ id, does }) => [id, does]),
  };
};

test('a sheet begins with its class’s rules and is a sheet', () => {
  const kept = rules([asks('rule-1')], { criteria: { criteria: [{ id: 'rule-c', name: 'Insight', levels: [] }] } });
  const sheet = sheetFrom(kept, 'de');
  expect(rulesOf(sheet)).toEqual(kept);
  expect(sheet.task).toMatchObject({ title: '', language: 'de' });
  for (const part of RULE_PARTS) expect(isSheetPart(part, sheet[part])).toBe(true);
});

test('what reads as the rules had it follows them', () => {
  expect(followed([asks('a'), asks('b'), asks('own')], [asks('a'), asks('b')], [asks('a', 3), asks('c')])).toEqual({
    points: [
      ['a', 3],
      ['own', 1],
      ['c', 1],
    ],
    changes: [
      ['a', 'changed'],
      ['b', 'removed'],
      ['c', 'added'],
    ],
  });
});

test('what was made otherwise by hand stays, and is said only where the rules moved', () => {
  expect(followed([asks('a', 5)], [asks('a')], [asks('a')])).toEqual({ points: [['a', 5]], changes: [] });
  expect(followed([asks('a', 5)], [asks('a')], [asks('a', 2)])).toEqual({
    points: [['a', 5]],
    changes: [['a', 'kept']],
  });
  expect(followed([asks('a', 5)], [asks('a')], [])).toEqual({ points: [['a', 5]], changes: [['a', 'kept']] });
  // Taken out by hand: it does not come back, changed or not.
  expect(followed([], [asks('a')], [asks('a')])).toEqual({ points: [], changes: [] });
  expect(followed([], [asks('a')], [asks('a', 2)])).toEqual({ points: [], changes: [['a', 'kept']] });
  // Made the same by hand as it was amended to be.
  expect(followed([asks('a', 2)], [asks('a')], [asks('a', 2)]).changes).toEqual([]);
});

test('the sheet’s own order stays, and following twice changes nothing more', () => {
  const [mine, before, after] = [
    [asks('b'), asks('a')],
    [asks('a'), asks('b')],
    [asks('a', 2), asks('b'), asks('c')],
  ];
  expect(followed(mine, before, after).points.map(([id]) => id)).toEqual(['b', 'a', 'c']);
  const once = followRules(rules(mine), rules(before), rules(after)).rules;
  expect(followRules(once, rules(after), rules(after))).toEqual({ rules: once, changes: [] });
});

test('the legend follows kind by kind, and as a whole in what it says of all kinds', () => {
  const before = rules([]);
  const { legend } = before;
  const kinds = legend.legend.topicKinds;
  const paler = { ...kinds[1]!, fill: '#eeeeee' };
  const after = rules([], {
    legend: {
      ...legend,
      looks: 'fixed',
      legend: { ...legend.legend, readBy: ['fill'], topicKinds: [kinds[0]!, paler, ...kinds.slice(2)] },
    },
  });
  const mine = rules([], {
    legend: {
      ...legend,
      legend: { ...legend.legend, topicKinds: [{ ...kinds[0]!, name: 'Bridge' }, ...kinds.slice(1)] },
    },
  });
  const { rules: made, changes } = followRules(mine, before, after);
  expect(changes).toEqual([
    { of: 'legend', does: 'changed' },
    { of: 'topic kind', id: kinds[1]!.id, does: 'changed' },
  ]);
  expect(made.legend.looks).toBe('fixed');
  expect(made.legend.legend.readBy).toEqual(['fill']);
  expect(made.legend.legend.topicKinds.slice(0, 2)).toEqual([{ ...kinds[0]!, name: 'Bridge' }, paler]);
  const free = rules([], { legend: { ...legend, styleMode: 'free' } });
  const stays = followRules(free, before, after);
  expect(stays.rules.legend.styleMode).toBe('free');
  expect(stays.rules.legend.looks).toBe(legend.looks);
  expect(stays.changes[0]).toEqual({ of: 'legend', does: 'kept' });
});
