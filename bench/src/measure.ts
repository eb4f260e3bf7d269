/** The middle of many: noise of a busy machine pulls at the ends. */
export function quantile(times: readonly number[], share: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;
}
export const median = (times: readonly number[]): number => quantile(times, 0.5);

/** Milliseconds that one call takes: the median of `rounds`, after as many to warm up. */
export function timeOf(work: () => void, rounds: number): number {
  const times: number[] = [];
  for (let i = 0; i < 2 * rounds; i++) {
    const start = performance.now();
    work();
    if (i >= rounds) times.push(performance.now() - start);
  }
  return median(times);
}

export const line = (what: string, value: string, wanted = ''): void => {
  process.stdout.write(`${what.padEnd(58)} ${value.padStart(14)}  ${wanted}\n`);
};
export const title = (what: string): void => void process.stdout.write(`\n${what}\n`);
export const times = (ratio: number): string => `${ratio < 10 ? ratio.toFixed(2) : ratio.toFixed(0)} ×`;
export const ms = (value: number): string => `${value < 10 ? value.toFixed(2) : value.toFixed(0)} ms`;
