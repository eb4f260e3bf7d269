import { seeded } from '../random.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { CannotWeigh, learnWeights } from './learned-weights.js';
import { nonNegativeLeastSquares } from './least-squares.js';

describe('non-negative least squares', () => {
  const error = (rows: number[][], y: number[], w: number[], ridge: number, towards: number[]): number =>
    rows.reduce((sum, row, r) => sum + (row.reduce((fit, x, i) => fit + x * w[i]!, 0) - y[r]!) ** 2, 0) +
    ridge * w.reduce((sum, one, i) => sum + (one - towards[i]!) ** 2, 0);

  test.each(Array.from({ length: 30 }, (_, i) => i + 1))('no step that may be taken fits better, seed %i', (seed) => {
    const random = seeded(seed);
    const [columns, observations] = [1 + Math.floor(random() * 8), 5 + Math.floor(random() * 8)];
    const rows = Array.from({ length: observations }, () => Array.from({ length: columns }, () => random()));
    // Marks that run against the fractions push some weights to nothing.
    const y = rows.map((row) => (seed % 2 ? 1 - row[0]! : random()));
    const towards = rows[0]!.map(() => random() / columns);
    const w = nonNegativeLeastSquares(rows, y, { ridge: 0.1, towards });
    expect(Math.min(...w)).toBeGreaterThanOrEqual(0);
    const best = error(rows, y, w, 0.1, towards);
    for (let i = 0; i < columns; i++)
      for (const step of [1e-3, -1e-3]) {
        const other = w.map((one, j) => (j === i ? Math.max(0, one + step) : one));
        expect(error(rows, y, other, 0.1, towards)).toBeGreaterThanOrEqual(best - 1e-12);
      }
  });
  test('of nothing is nothing', () => {
    expect(nonNegativeLeastSquares([[], []], [1, 2], { ridge: 0.1, towards: [] })).toEqual([]);
  });
});

describe('weights learned from a teacher', () => {
  const asks = (id: string, type: string, points: number, level: 'must' | 'extra' = 'must') =>
    ({ id, type, params: {}, level, points }) as const;
  const assignment = assignmentOf({
    requirements: [
      asks('all', 'all-connected', 4),
      asks('words', 'links-labelled', 4),
      asks('x', 'no-cycles', 2, 'extra'),
    ],
  });
  /** Some of the links have words, some of the topics are joined. */
  const maps = [0, 1, 2, 3, 4, 5].map((n) =>
    mapOf(
      Array.from({ length: 6 }, (_, i) => topic(`t${i}`)),
      Array.from({ length: 5 }, (_, i) => link(`t${i}`, `t${i + 1}`, { phrase: i < n ? 'holds' : '' })),
    ),
  );
  test('who marks by words alone gives words more points', () => {
    const { weights, error, maps: fits } = learnWeights(maps, [0, 0.2, 0.4, 0.6, 0.8, 1], assignment);
    const points = Object.fromEntries(weights.map((one) => [one.requirement, one.points]));
    expect(points.words!).toBeGreaterThan(points.all!);
    expect(weights.reduce((sum, one) => sum + one.points, 0)).toBeCloseTo(10);
    expect(error).toBeGreaterThan(0);
    expect(fits.map(({ residual }) => Math.abs(residual))).toEqual(
      fits.map(({ residual }) => Math.abs(residual)).sort((a, b) => b - a),
    );
  });
  test.each<[string, number, number[], RegExp, object]>([
    ['too few maps', 4, [0, 0.1, 0.2, 0.3], /at least 5/, {}],
    ['another number of marks', 6, [0, 1], /6 maps and 2 marks/, {}],
    ['one mark for all', 5, [0.5, 0.5, 0.5, 0.5, 0.5], /same mark/, {}],
    [
      'no points but extra ones',
      5,
      [0, 1, 0, 1, 0],
      /no points/,
      { requirements: [asks('x', 'no-cycles', 2, 'extra')] },
    ],
  ])('refuses %s, and says why', (_, many, marks, words, more) => {
    const learn = () => learnWeights(maps.slice(0, many), marks, { ...assignment, ...more });
    expect(learn).toThrow(CannotWeigh);
    expect(learn).toThrow(words);
  });
});
