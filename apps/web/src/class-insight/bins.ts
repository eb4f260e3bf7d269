export interface Bin {
  label: string;
  /** positions of the values that fall into it */
  indices: number[];
}

const MOST_BINS = 10;

/**
 * Values in bins of one width: whole figures by themselves where they are few, else at most ten of a round width.
 * @param range the least and the most that could be; left out, what there is
 */
export function binsOf(values: readonly number[], range?: readonly [number, number]): Bin[] {
  if (values.length === 0) return [];
  const [least, most] = range ?? [Math.floor(Math.min(...values)), Math.ceil(Math.max(...values))];
  const width = roundUp((most - least) / MOST_BINS);
  const isWhole = !range && width === 1;
  const start = Math.floor(least / width) * width;
  const count = Math.max(1, Math.ceil((most - start + (isWhole ? 1 : 0)) / width));
  const bins = Array.from({ length: count }, (_, i): Bin => {
    const from = start + i * width;
    return { label: isWhole ? String(from) : `${from}–${from + width}`, indices: [] };
  });
  // The highest value belongs to the last bin, not to one of its own.
  values.forEach((value, i) => bins[Math.min(count - 1, Math.floor((value - start) / width))]!.indices.push(i));
  return bins;
}

/** The next of 1, 2, 5, 10, 20 … */
function roundUp(width: number): number {
  for (let size = 1; ; size *= 10) for (const step of [1, 2, 5]) if (step * size >= width) return step * size;
}

export function spreadOf(values: readonly number[]): { least: number; middle: number; most: number } {
  const sorted = [...values].sort((a, b) => a - b);
  return { least: sorted[0] ?? 0, middle: sorted[Math.floor(sorted.length / 2)] ?? 0, most: sorted.at(-1) ?? 0 };
}

/** In words, where one of some figures lies among the others. */
export function placeIn(values: readonly number[], at: number): string {
  const own = values[at]!;
  const [below, above] = [values.filter((one) => one < own).length, values.filter((one) => one > own).length];
  const others = values.length - 1;
  if (others === 0) return 'the only map';
  if (below === 0 && above === 0) return 'as all others have';
  if (above === 0) return below === others ? 'the most of all' : `as much as any, more than ${below} of ${others}`;
  return below === 0 ? `less than ${above} of ${others}` : `more than ${below} of ${others}, less than ${above}`;
}
