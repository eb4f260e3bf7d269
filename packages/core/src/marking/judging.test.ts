import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { pathOf } from '../propositions/running-text.js';
import { agreementOf } from './agreement.js';
import { markLines } from './mark-lines.js';
import { evidenceOf, fillBlanks } from './remark-blanks.js';
import { readHeld } from '../class-readings/class-together.js';
import { NOVAK_GOWIN, scoredStructureOf, structuralScoreOf } from './structural-score.js';
import type { Verdict } from './verdicts.js';
import { PLAIN_MARKS, sumOf } from './sum.js';
import { countVerdicts } from './verdicts.js';

describe('agreement of two markers', () => {
  const works = (...pairs: [number, number][]) => pairs.map(([first, second]) => ({ first, second }));
  test('is undefined under two works, 1 when all is the same, and weighs far apart more than near', () => {
    expect(agreementOf(works([1, 1]), 3)).toBeNull();
    expect(agreementOf(works([1, 1], [1, 1]), 3)).toBe(1);
    expect(agreementOf(works([0, 0], [1, 1], [2, 2]), 3)).toBe(1);
    expect(agreementOf(works([0, 2], [2, 0]), 3)).toBe(-1);
    const near = agreementOf(works([0, 1], [1, 1], [2, 2], [0, 0]), 3)!;
    const far = agreementOf(works([0, 2], [1, 1], [2, 2], [0, 0]), 3)!;
    expect(near).toBeGreaterThan(far);
  });
  test('is Cohen’s example by hand: observed ÷ by chance', () => {
    // Levels 0 0 1 1 against 0 1 1 1: observed 1/4; by chance ½·¾ + ½·¼ = ½.
    expect(agreementOf(works([0, 0], [0, 1], [1, 1], [1, 1]), 2)).toBeCloseTo(0.5, 12);
  });
});

describe('the score of a structure', () => {
  const map = mapOf(
    [
      topic('Bridge', { kind: 'root' }),
      topic('Loads'),
      topic('Shapes'),
      topic('Arch'),
      topic('Wind'),
      topic('Mill Lane', { kind: 'own' }),
    ],
    [
      link('Bridge', 'Loads'),
      link('Bridge', 'Shapes'),
      link('Shapes', 'Arch'),
      link('Loads', 'Wind'),
      link('Wind', 'Arch', { phrase: 'shakes' }),
      link('Arch', 'Mill Lane'),
    ],
  );
  const scoring = { points: 10, full: 50, ...NOVAK_GOWIN, exampleKinds: ['own'] };
  const assignment = assignmentOf();
  const scoreWhere = (verdictOf: (key: string) => Verdict | undefined) =>
    structuralScoreOf(readHeld(map, assignment), scoredStructureOf(map, assignment, scoring), scoring, verdictOf);
  test('counts what was judged sound: sentences, levels, cross-links, examples', () => {
    const all = scoreWhere(() => 'sound');
    expect([all.propositions.length, all.levels.length, all.crossLinks, all.examples]).toEqual([
      6,
      3,
      ['Wind-Arch'],
      ['Mill Lane'],
    ]);
    expect(all.score).toBe(6 + 3 * 5 + 10 + 1);
  });
  test('a level counts as far as sound sentences lead to it; nothing judged is nothing', () => {
    const some = scoreWhere((key) => (key.includes('shake') ? 'wrong' : 'sound'));
    expect([some.crossLinks, some.levels.length]).toEqual([[], 3]);
    const cut = scoreWhere((key) => (key.includes('bridg') ? 'shaky' : 'sound'));
    expect([cut.levels.length, cut.propositions.length]).toEqual([0, 4]);
    expect(scoreWhere(() => undefined).score).toBe(0);
  });
  test('is a part of the mark, capped, and stands in its lines, which add up', () => {
    const marks = { ...PLAIN_MARKS, propositions: { points: 6, full: 4 }, structural: scoring };
    const report = {
      results: [
        { id: 'r', status: 'met', level: 'must', points: 3, outOf: 4, evidence: [], figures: {}, fraction: 0.75 },
        { id: 'x', status: 'met', level: 'extra', points: 1, outOf: 1, evidence: [], figures: {}, fraction: 1 },
      ],
    } as never;
    const judgement = {
      points: {},
      levels: {},
      verdicts: { sound: 2, shaky: 2, toJudge: 5 },
      structural: 20,
    };
    const due = new Date('2026-01-01T00:00:00Z');
    const late = { ...marks, late: { perDay: 0.1, most: 0.5 } };
    const handedIn = new Date('2026-01-01T05:00:00Z');
    const sum = sumOf(report, { criteria: [], marks: late }, judgement, { due, handedIn });
    expect(sum).toMatchObject({ ofPropositions: 4.5, ofStructure: 4, outOf: 20, late: 2, propositionsToJudge: 5 });
    const structure = scoreWhere(() => 'sound');
    const lines = markLines(report, { criteria: [], marks: late }, judgement, sum, structure);
    expect(lines.map(({ what }) => what)).toEqual([
      'Requirements',
      'Extra',
      'Sentences',
      'Structure',
      'Taken off for being late',
    ]);
    expect(lines.reduce((total, { points }) => total + points, 0)).toBeCloseTo(sum.sum, 12);
    const full = sumOf(
      report,
      { criteria: [], marks },
      { ...judgement, structural: 500 },
      { due: null, handedIn: null },
    );
    expect(full.ofStructure).toBe(10);
  });
});

test('verdicts are counted by key; wrong ones count nothing and are not to judge', () => {
  const verdicts: Record<string, 'sound' | 'shaky' | 'wrong'> = { a: 'sound', b: 'shaky', c: 'wrong' };
  expect(countVerdicts(['a', 'b', 'c', 'd'], (key) => verdicts[key])).toEqual({ sound: 1, shaky: 1, toJudge: 1 });
});

describe('the blanks of remarks', () => {
  const map = mapOf([topic('Arch'), topic('Pier'), topic('Deck'), topic('Span')], [link('Arch', 'Pier')]);
  const result = (evidence: object[]) =>
    ({
      id: 'r',
      points: 2 / 3,
      outOf: 2,
      evidence: evidence.map((one) => ({ topics: [], links: [], ...one })),
    }) as never;
  test('are filled where something is known of them, and stay where not; a name is no code', () => {
    expect(fillBlanks('{name}, {topic} {nothing} {constructor}', { name: '{topic}', topic: '“Arch”' })).toBe(
      '{topic}, “Arch” {nothing} {constructor}',
    );
  });
  test('are what the evidence of one code names, with the place where the remark stands', () => {
    const of = result([
      { code: 'x', topics: ['Arch', 'Pier', 'Deck', 'Span'] },
      { code: 'y', links: ['Arch-Pier'] },
    ]);
    expect(evidenceOf(map, of, 'x')).toEqual({
      anchor: 'topic',
      target: 'Arch',
      blanks: { topic: '“Arch”, “Pier”, “Deck” and 1 more', count: '1', points: '0.67', outOf: '2' },
    });
    expect(evidenceOf(map, of, 'y')).toMatchObject({
      anchor: 'proposition',
      target: 'Arch-Pier',
      blanks: { topic: '“Arch – Pier”' },
    });
    expect(evidenceOf(map, result([{ code: 'z', term: 'Keystone' }]))).toMatchObject({
      anchor: 'result',
      target: 'r',
      blanks: { topic: '“Keystone”' },
    });
  });
});

describe('a path of links', () => {
  const map = mapOf(
    [topic('Wind'), topic('Cable'), topic('Tower'), topic('Pier')],
    [
      link('Cable', 'Tower', { phrase: 'hangs over' }),
      link('Wind', 'Cable', { phrase: 'shakes' }),
      link('Tower', 'Pier', { phrase: '' }),
      link('Wind', 'Pier'),
      link('Pier', 'Wind'),
    ],
  );
  const { legend } = assignmentOf();
  const text = (...ids: string[]) => pathOf(map, ids, legend)?.text ?? null;
  test('reads as one running text in the order of its arrows, however it was chosen', () => {
    expect(text('Cable-Tower', 'Wind-Cable', 'Tower-Pier')).toBe(
      'Wind shakes Cable, which hangs over Tower, which … Pier.',
    );
  });
  test('is none where links part, meet, run in a ring, are too few or gone', () => {
    expect(text('Wind-Cable', 'Wind-Pier')).toBeNull();
    expect(text('Tower-Pier', 'Wind-Pier')).toBeNull();
    expect(text('Wind-Pier', 'Pier-Wind')).toBeNull();
    expect(text('Wind-Cable', 'Tower-Pier')).toBeNull();
    expect(text('Wind-Cable')).toBeNull();
    expect(text('Wind-Cable', 'gone')).toBeNull();
  });
});
