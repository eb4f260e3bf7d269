type Matrix = readonly (readonly number[])[];

const CLOSE = 1e-12;

/**
 * Non-negative least squares with a ridge: w ≥ 0 minimising |Xw − y|² + ridge·|w − towards|² (Lawson and Hanson 1974, active
 * sets, on the normal equations; the ridge makes them positive definite and the answer unique).
 * @param rows X, one row an observation
 * @returns w, one a column
 */
export function nonNegativeLeastSquares(
  rows: Matrix,
  observed: readonly number[],
  { ridge, towards }: { ridge: number; towards: readonly number[] },
): number[] {
  const columns = towards.map((_, i) => i);
  const normal = columns.map((i) =>
    columns.map((j) => rows.reduce((sum, row) => sum + row[i]! * row[j]!, i === j ? ridge : 0)),
  );
  const right = columns.map((i) => rows.reduce((sum, row, r) => sum + row[i]! * observed[r]!, ridge * towards[i]!));
  let weights = columns.map(() => 0);
  const free = new Set<number>();
  // Each round frees one weight or gives some up; no set of free ones comes twice, since each fits better than the last.
  for (;;) {
    const slopes = columns.map((i) => right[i]! - columns.reduce((sum, j) => sum + normal[i]![j]! * weights[j]!, 0));
    const [steepest] = columns
      .filter((i) => !free.has(i) && slopes[i]! > CLOSE)
      .sort((a, b) => slopes[b]! - slopes[a]!);
    if (steepest === undefined) return weights;
    free.add(steepest);
    for (;;) {
      const wanted = solved(normal, right, [...free]);
      const below = [...free].filter((i) => wanted[i]! <= 0);
      if (below.length === 0) {
        weights = wanted;
        break;
      }
      // As far towards it as all stay non-negative; those that reach 0 are given up.
      const step = Math.min(...below.map((i) => weights[i]! / (weights[i]! - wanted[i]!)));
      weights = weights.map((weight, i) => (free.has(i) ? weight + step * (wanted[i]! - weight) : 0));
      for (const i of below) if (weights[i]! <= CLOSE) free.delete(i);
      weights = weights.map((weight, i) => (free.has(i) ? weight : 0));
    }
  }
}

/** Solves the equations of some columns by Cholesky's decomposition; all other weights are 0. */
function solved(normal: Matrix, right: readonly number[], chosen: readonly number[]): number[] {
  const lower: number[][] = [];
  chosen.forEach((i, r) => {
    lower.push([]);
    for (let c = 0; c <= r; c++) {
      const rest = normal[i]![chosen[c]!]! - dot(lower[r]!, lower[c]!, c);
      lower[r]!.push(c === r ? Math.sqrt(rest) : rest / lower[c]![c]!);
    }
  });
  const half: number[] = [];
  chosen.forEach((i, r) => half.push((right[i]! - dot(lower[r]!, half, r)) / lower[r]![r]!));
  const answer = chosen.map(() => 0);
  for (let r = chosen.length - 1; r >= 0; r--) {
    let rest = half[r]!;
    for (let c = r + 1; c < chosen.length; c++) rest -= lower[c]![r]! * answer[c]!;
    answer[r] = rest / lower[r]![r]!;
  }
  const weights = right.map(() => 0);
  chosen.forEach((i, r) => {
    weights[i] = answer[r]!;
  });
  return weights;
}

const dot = (a: readonly number[], b: readonly number[], length: number): number => {
  let sum = 0;
  for (let i = 0; i < length; i++) sum += a[i]! * b[i]!;
  return sum;
};
