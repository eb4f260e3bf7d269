/** Milliseconds that the process has kept its processors busy, all its threads together. */
const busy = (): number => {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1000;
};

/**
 * A clock for limits on work: it stands still while the machine gives this process no time, so that nothing is said of a map
 * that is true of the machine alone. Never ahead of the clock on the wall.
 * @param free up to how many milliseconds the wall's clock alone is asked, which costs less
 */
export function busyClock(free: number, wall = () => performance.now(), used = busy): () => number {
  const [began, had] = [wall(), used()];
  return () => {
    const elapsed = wall() - began;
    return elapsed <= free ? elapsed : Math.max(free, Math.min(elapsed, used() - had));
  };
}
