import { Injectable } from '@nestjs/common';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { Problem } from '../common/problem.js';

const MINUTES_5 = 300;

/**
 * Counts wrong passwords. One name from one address has ten; an address has as many as a classroom of 35 behind it needs
 * for its usual mistakes, and fewer than somebody who tries a list of names; a change of password counts by account.
 */
const CEILINGS = {
  'name and address': { points: 10, duration: MINUTES_5 },
  address: { points: 100, duration: MINUTES_5 },
  password: { points: 10, duration: MINUTES_5 },
  found: { points: 20, duration: MINUTES_5 },
} as const;
type Ceiling = keyof typeof CEILINGS;

@Injectable()
export class Tries {
  private readonly limiters = Object.fromEntries(
    Object.entries(CEILINGS).map(([name, ceiling]) => [name, new RateLimiterMemory({ ...ceiling, keyPrefix: name })]),
  ) as Record<Ceiling, RateLimiterMemory>;

  /**
   * One try: counted before it is made, so that many at once are counted too, and not counted when it was right.
   * @throws a refusal where a ceiling is reached
   */
  async one<T>(keys: Partial<Record<Ceiling, string>>, attempt: () => Promise<T | null>): Promise<T | null> {
    const counted = Object.entries(keys) as [Ceiling, string][];
    for (const [ceiling, key] of counted) await this.count(ceiling, key);
    const found = await attempt();
    if (found !== null) await Promise.all(counted.map(([ceiling, key]) => this.limiters[ceiling].reward(key)));
    return found;
  }

  private async count(ceiling: Ceiling, key: string): Promise<void> {
    try {
      await this.limiters[ceiling].consume(key);
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error;
      const minutes = Math.max(1, Math.ceil(error.msBeforeNext / 60_000));
      throw new Problem(
        429,
        'Too many tries',
        `That was tried too often. Wait ${minutes === 1 ? 'a minute' : `${minutes} minutes`}, then try again.`,
      );
    }
  }
}
