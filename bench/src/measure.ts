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

/**
 * Milliseconds that one call of each takes: medians over rounds in which all take turns, so that a machine that is slow
 * for a while is slow for all. A third as many rounds go before, to warm up.
 * @param calls how often each is called in a round
 */
export function timesInTurn(works: readonly { calls: number; work: () => void }[], rounds: number): number[] {
  const times = works.map((): number[] => []);
  for (let i = -Math.ceil(rounds / 3); i < rounds; i++) {
    works.forEach(({ calls, work }, w) => {
      for (let k = 0; k < calls; k++) {
        const start = performance.now();
        work();
        if (i >= 0) times[w]!.push(performance.now() - start);
      }
    });
  }
  return times.map(median);
}

export const line = (what: string, value: string, wanted = ''): void => {
  process.stdout.write(`${what.padEnd(58)} ${value.padStart(14)}  ${wanted}\n`);
};
export const title = (what: string): void => void process.stdout.write(`\n${what}\n`);
export const times = (ratio: number): string => `${ratio < 10 ? ratio.toFixed(2) : ratio.toFixed(0)} ×`;
export const ms = (value: number): string => `${value < 10 ? value.toFixed(2) : value.toFixed(0)} ms`;
