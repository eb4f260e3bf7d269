import { Injectable } from '@nestjs/common';
import { Clock } from '../common/clock.js';
import { Problem } from '../common/problem.js';

/** How many wrong ones are free, how long the next one then waits, and how much longer each one more: milliseconds. */
interface Patience {
  free: number;
  first: number;
  grows: number;
  most: number;
}
const SECOND = 1000;
const MINUTE = 60 * SECOND;

/**
 * One name from one address, one known device and one account have ten, then waits that double. An address has as many as a
 * classroom of 35 behind it needs for its usual mistakes; after that strangers there wait, a little longer each time, and
 * never so long that a school is locked out.
 */
const PATIENCE = {
  'name and address': { free: 10, first: 4 * SECOND, grows: 2, most: 5 * MINUTE },
  device: { free: 10, first: 4 * SECOND, grows: 2, most: 5 * MINUTE },
  address: { free: 100, first: SECOND, grows: 1.1, most: 20 * SECOND },
  password: { free: 10, first: 4 * SECOND, grows: 2, most: 5 * MINUTE },
  'join code': { free: 10, first: 4 * SECOND, grows: 2, most: 5 * MINUTE },
  found: { free: 20, first: 4 * SECOND, grows: 2, most: 5 * MINUTE },
} as const satisfies Record<string, Patience>;
type Counted = keyof typeof PATIENCE;

/** What was wrong is forgotten after so long without another. */
const FORGOTTEN = 10 * MINUTE;
/** Keys that are remembered at the most; the oldest go first. */
const MOST_KEYS = 100_000;

interface Wrong {
  count: number;
  last: number;
}

/** Counts wrong passwords and codes, and makes who goes on trying wait longer and longer. */
@Injectable()
export class Tries {
  private readonly wrong = new Map<string, Wrong>();

  constructor(private readonly clock: Clock) {}

  /**
   * One try: counted before it is made, so that many at once are counted too, and not counted when it was right.
   * @throws a refusal where it has to wait
   */
  async one<T>(keys: Partial<Record<Counted, string>>, attempt: () => Promise<T | null>): Promise<T | null> {
    const counted = Object.entries(keys) as [Counted, string][];
    const now = this.clock.now().getTime();
    const wait = Math.max(0, ...counted.map(([what, key]) => this.waitOf(what, key, now)));
    if (wait > 0) throw tooOften(wait);
    for (const [what, key] of counted) this.count(what, key, now);
    const found = await attempt();
    if (found !== null) for (const [what, key] of counted) this.takeBack(what, key);
    return found;
  }

  private waitOf(what: Counted, key: string, now: number): number {
    const { free, first, grows, most }: Patience = PATIENCE[what];
    const before = this.wrong.get(`${what} ${key}`);
    if (!before || before.count < free || now - before.last > FORGOTTEN) return 0;
    return before.last + Math.min(most, first * grows ** (before.count - free)) - now;
  }

  private count(what: Counted, key: string, now: number): void {
    const name = `${what} ${key}`;
    const before = this.wrong.get(name);
    const count = before && now - before.last <= FORGOTTEN ? before.count : 0;
    this.wrong.delete(name);
    this.wrong.set(name, { count: count + 1, last: now });
    if (this.wrong.size > MOST_KEYS) this.wrong.delete(this.wrong.keys().next().value!);
  }

  private takeBack(what: Counted, key: string): void {
    const before = this.wrong.get(`${what} ${key}`);
    if (before) before.count -= 1;
  }
}

function tooOften(wait: number): Problem {
  const seconds = Math.ceil(wait / SECOND);
  const minutes = Math.ceil(seconds / 60);
  const words =
    seconds < 60
      ? seconds === 1
        ? 'a second'
        : `${seconds} seconds`
      : minutes === 1
        ? 'a minute'
        : `${minutes} minutes`;
  return new Problem(429, 'Too many tries', `That was tried too often. Wait ${words}, then try again.`);
}
