import Flatbush from 'flatbush';
import type { Pulse } from '../pulse.js';
import type { Box } from './points.js';

/** A thing that may be in another's way: known again by being the very same object. */
export interface Thing {
  key: object;
  box: Box;
}

interface Hit<A, B, R> {
  a: A;
  b: B;
  hit: R;
}

interface Options {
  /** both lists are the same one: each pair comes once, the earlier thing first */
  within?: boolean;
  pulse?: Pulse;
}

export interface HitFinder<R> {
  /**
   * Which of two lists of things meet, in the order of the lists.
   * @param test what meets of two things whose boxes do, or null; it must depend on the two objects alone
   */
  find<A extends Thing, B extends Thing>(
    as: readonly A[],
    bs: readonly B[],
    test: (a: A, b: B) => R | null,
    options?: Options,
  ): Hit<A, B, R>[];
}

const noPulse: Pulse = () => undefined;
const byNumber = (x: number, y: number): number => x - y;

/** Finds hits by a packed Hilbert R-tree and remembers nothing. */
export function findHits<R, A extends Thing, B extends Thing>(
  as: readonly A[],
  bs: readonly B[],
  test: (a: A, b: B) => R | null,
  { within = false, pulse = noPulse }: Options = {},
): Hit<A, B, R>[] {
  const found: Hit<A, B, R>[] = [];
  const near = nearIn(bs);
  for (let i = 0; i < as.length; i++) {
    pulse();
    const a = as[i]!;
    for (const k of near(a.box, within ? i : -1)) {
      const b = bs[k]!;
      const hit = test(a, b);
      if (hit !== null) found.push({ a, b, hit });
    }
  }
  return found;
}

/** For a box, the numbers of the things beyond a number whose boxes meet it, in order. */
function nearIn(things: readonly Thing[]): (box: Box, beyond: number) => number[] {
  if (things.length === 0) return () => [];
  const tree = new Flatbush(things.length);
  for (const { box } of things) tree.add(box.left, box.top, box.right, box.bottom);
  tree.finish();
  return ({ left, top, right, bottom }, beyond) => {
    const near = tree.search(left, top, right, bottom, beyond < 0 ? undefined : (k) => k > beyond);
    return near.length < 2 ? near : near.sort(byNumber);
  };
}

/** How many of a list may be new before all of it is looked at afresh. */
const FEW = 1 / 8;

/**
 * Remembers hits from one asking to the next: only pairs with a new thing in them are tested again. A first asking,
 * or one where much is new, finds its candidates by the tree; the answer is the same either way.
 */
export class Hits<R> implements HitFinder<R> {
  private known = new Map<object, Map<object, R>>();
  private others = new Set<object>();

  find<A extends Thing, B extends Thing>(
    as: readonly A[],
    bs: readonly B[],
    test: (a: A, b: B) => R | null,
    { within = false, pulse = noPulse }: Options = {},
  ): Hit<A, B, R>[] {
    if (within && !this.isInOrder(as)) this.known = new Map();
    const found: Hit<A, B, R>[] = [];
    const next = new Map<object, Map<object, R>>();
    const near = this.candidates(as, bs);
    as.forEach((a, i) => {
      pulse();
      const before = this.known.get(a.key);
      const hits = new Map<object, R>();
      for (const k of near(a, within ? i : -1)) {
        if (within && k <= i) continue;
        const b = bs[k]!;
        const hit = before && this.others.has(b.key) ? (before.get(b.key) ?? null) : test(a, b);
        if (hit === null) continue;
        hits.set(b.key, hit);
        found.push({ a, b, hit });
      }
      next.set(a.key, hits);
    });
    this.known = next;
    this.others = new Set(bs.map(({ key }) => key));
    return found;
  }

  /** Whether what is known stands in the order it had: a pair is remembered under the earlier of its two. */
  private isInOrder(as: readonly Thing[]): boolean {
    const before = new Map([...this.known.keys()].map((key, i) => [key, i]));
    let last = -1;
    for (const { key } of as) {
      const at = before.get(key);
      if (at === undefined) continue;
      if (at < last) return false;
      last = at;
    }
    return true;
  }

  /** For a thing, the numbers of those in the other list that it may meet, in order. */
  private candidates(as: readonly Thing[], bs: readonly Thing[]): (a: Thing, beyond: number) => readonly number[] {
    const fresh = bs.flatMap(({ key }, k) => (this.others.has(key) ? [] : [k]));
    const freshAs = as.filter(({ key }) => !this.known.has(key)).length;
    const isMuch = this.known.size === 0 || fresh.length > bs.length * FEW || freshAs > as.length * FEW;
    if (isMuch) {
      const near = nearIn(bs);
      return ({ box }, beyond) => near(box, beyond);
    }
    const numberOf = new Map(bs.map(({ key }, k) => [key, k]));
    const every = bs.map((_, k) => k);
    return (a) => {
      const before = this.known.get(a.key);
      const may = (k: number): boolean => isNear(a.box, bs[k]!.box);
      if (!before) return every.filter(may);
      const near: number[] = [];
      for (const key of before.keys()) {
        const k = numberOf.get(key);
        if (k !== undefined) near.push(k);
      }
      for (const k of fresh) if (may(k)) near.push(k);
      return near.length < 2 ? near : near.sort(byNumber);
    };
  }
}

const isNear = (a: Box, b: Box): boolean =>
  a.left <= b.right && b.left <= a.right && a.top <= b.bottom && b.top <= a.bottom;
