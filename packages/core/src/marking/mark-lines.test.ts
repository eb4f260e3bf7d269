import fc from 'fast-check';
import type { Criterion, MarkRules } from '../map/types.js';
import type { Result } from '../requirements/types.js';
import { markLines } from './mark-lines.js';
import { markWords } from './mark-words.js';
import type { StructuralScore } from './structural-score.js';
import { PLAIN_MARKS, sumOf } from './sum.js';
import type { Judgement } from './sum.js';

const DAY = 24 * 3600 * 1000;
const due = new Date('2026-03-01T12:00:00Z');

const results = fc.array(
  fc
    .record({
      outOf: fc.integer({ min: 0, max: 9 }),
      share: fc.integer({ min: 0, max: 4 }),
      level: fc.constantFrom('must' as const, 'should' as const, 'extra' as const),
      applies: fc.boolean(),
    })
    .map(({ outOf, share, level, applies }) => ({
      id: '',
      type: 'all-connected' as const,
      level,
      status: applies ? ('partly' as const) : ('not-applicable' as const),
      fraction: applies ? share / 4 : null,
      points: applies ? (outOf * share) / 4 : 0,
      outOf,
      figures: {},
      evidence: [],
      code: 'is',
    })),
  { maxLength: 8 },
);
const criteria: Criterion[] = ['c1', 'c2'].map((id) => ({
  id,
  name: id,
  levels: [0, 2, 5].map((points) => ({ name: `${points}`, points, description: '' })),
}));
const structure: StructuralScore = {
  score: 31,
  propositions: ['a', 'b'],
  levels: [['a'], ['b']],
  crossLinks: ['b'],
  examples: [],
};

test('what makes a mark up adds up to the sum, whatever was judged, asked for and late', () => {
  fc.assert(
    fc.property(
      results,
      fc.record({ c1: fc.constantFrom(0, 1, 2, undefined), c2: fc.constantFrom(0, 1, 2, undefined) }),
      fc.record({ sound: fc.nat(20), shaky: fc.nat(20) }),
      fc.record({ propositions: fc.boolean(), structural: fc.boolean(), late: fc.boolean(), days: fc.nat(6) }),
      (made, levels, verdicts, asked) => {
        const all = made.map((one, i): Result => ({ ...one, id: `r${i}` }));
        const marks: MarkRules = {
          ...PLAIN_MARKS,
          propositions: asked.propositions ? { points: 7, full: 12 } : null,
          structural: asked.structural
            ? { points: 10, full: 60, proposition: 1, level: 5, crossLink: 10, example: 1, exampleKinds: [] }
            : null,
          late: asked.late ? { perDay: 0.1, most: 0.3 } : null,
        };
        const judgement: Judgement = {
          points: all[0] && all[0].status !== 'not-applicable' ? { r0: all[0].outOf } : {},
          levels: Object.fromEntries(Object.entries(levels).filter(([, level]) => level !== undefined)) as never,
          verdicts: { ...verdicts, toJudge: 0 },
          ...(asked.structural && { structural: structure.score }),
        };
        const times = { due, handedIn: new Date(due.getTime() + asked.days * DAY - DAY / 2) };
        const sum = sumOf({ results: all }, { criteria, marks }, judgement, times);
        const lines = markLines({ results: all }, { criteria, marks }, judgement, sum, structure);
        expect(lines.reduce((total, { points }) => total + points, 0)).toBeCloseTo(sum.sum);
        expect(lines.reduce((total, { outOf }) => total + (outOf ?? 0), 0)).toBeCloseTo(sum.outOf);
      },
    ),
  );
});

test('a line says how: what is given by hand, what is not judged yet, what was counted', () => {
  const judgement = {
    points: { r0: 1 },
    levels: { c1: 1 },
    verdicts: { sound: 3, shaky: 1, toJudge: 2 },
    structural: 31,
  };
  const marks: MarkRules = {
    ...PLAIN_MARKS,
    propositions: { points: 7, full: 12 },
    structural: { points: 10, full: 60, proposition: 1, level: 5, crossLink: 10, example: 1, exampleKinds: [] },
  };
  const one = { id: 'r0', level: 'must', status: 'partly', fraction: 0, points: 0, outOf: 2 } as Result;
  const sum = sumOf({ results: [one] }, { criteria, marks }, judgement, { due: null, handedIn: due });
  const lines = markLines({ results: [one] }, { criteria, marks }, judgement, sum, structure);
  expect(lines.map(({ what, how }) => [what, how])).toEqual([
    ['Requirements', 'one given by hand'],
    ['c1', '2'],
    ['c2', 'not judged yet'],
    ['Sentences', '3 sound, 1 shaky; 12 sound give all'],
    ['Structure', '2 sound sentences, 2 levels, 1 cross-links, 0 examples: 31 of 60'],
  ]);
});

test('a mark is said as its scale has it', () => {
  expect(
    [
      { as: 'points', sum: 12.5, outOf: 20 },
      { as: 'percent', percent: 62.5 },
      { as: 'named', name: 'secure' },
      { as: 'named', name: null },
      { as: 'pass', passed: true },
      { as: 'pass', passed: false },
    ].map((mark) => markWords(mark as never)),
  ).toEqual(['12.5 of 20', '62.5 %', 'secure', 'under every threshold', 'passed', 'not passed']);
});
