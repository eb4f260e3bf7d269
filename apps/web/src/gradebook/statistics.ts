export interface Statistics {
  mean: number;
  median: number;
  least: number;
  most: number;
}

/** Of some figures; null where there are none. */
export function statisticsOf(values: readonly number[]): Statistics | null {
  if (values.length === 0) return null;
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return {
    mean: sorted.reduce((sum, value) => sum + value, 0) / sorted.length,
    median: sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2,
    least: sorted[0]!,
    most: sorted.at(-1)!,
  };
}
