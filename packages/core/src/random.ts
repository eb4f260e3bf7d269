import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** 0 ≤ number < 1, the next at every call. Chance is always passed in, so that what used it can be done again. */
export type Random = () => number;

/** A sequence that the seed alone decides, on every machine. */
export function seeded(seed: number): Random {
  const generator = xoroshiro128plus(seed);
  return () => uniformFloat64(generator);
}

/** One of a list that is not empty. */
export const pick = <T>(list: readonly T[], random: Random): T => list[Math.floor(random() * list.length)]!;

/** The list in a new order, by Fisher and Yates; the list given is left as it is. */
export function shuffled<T>(list: readonly T[], random: Random): T[] {
  const order = [...list];
  for (let i = order.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [order[i], order[j]] = [order[j]!, order[i]!];
  }
  return order;
}
