/**
 * Places on a line that are as near as can be to where things want to be, in their order and so far apart as they need
 * (isotonic regression by pooling adjacent violators: Barlow and others 1972).
 * @param wanted where each wants to be, and how much that counts
 * @param apart how far each must stand from the one before it; the first is not looked at
 */
export function spread(wanted: readonly { at: number; weight: number }[], apart: readonly number[]): number[] {
  // With what lies between taken off, the order is all that is left to hold.
  let offset = 0;
  const offsets = wanted.map((_, i) => (offset += i === 0 ? 0 : apart[i]!));
  const pools: { sum: number; weight: number; count: number }[] = [];
  wanted.forEach(({ at, weight }, i) => {
    let pool = { sum: (at - offsets[i]!) * weight, weight, count: 1 };
    for (let last = pools.at(-1); last && last.sum / last.weight > pool.sum / pool.weight; last = pools.at(-1)) {
      pools.pop();
      pool = { sum: last.sum + pool.sum, weight: last.weight + pool.weight, count: last.count + pool.count };
    }
    pools.push(pool);
  });
  const means = pools.flatMap(({ sum, weight, count }) => Array.from({ length: count }, () => sum / weight));
  return means.map((mean, i) => mean + offsets[i]!);
}
