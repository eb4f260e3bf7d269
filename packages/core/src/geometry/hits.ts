import Flatbush from 'flatbush';
import type { Pulse } from './meetings.js';
import type { Box } from './points.js';

/** A thing that may be in another's way: known again by being the very same object. */
export interface Thing {
  key: object;
  box: Box;
}

/** How many of a list may be new before all of it is looked at afresh. */
const FEW = 1 / 8;

/**
 * Which of two lists of things meet, remembered from one asking to the next: only pairs with a new thing in them are
 * tested again. A first asking, or one where much is new, finds its candidates by a packed Hilbert R-tree. The answer is
 * the same either way, in the order of the lists.
 */
export class Hits<R> {
  private known = new Map<object, Map<object, R>>();
  private others = new Set<object>();

  /** @param remembers false where it is asked once: then nothing is kept */
  constructor(private readonly remembers = true) {}

  /**
   * @param test what meets of two things whose boxes do, or null; it must depend on the two objects alone
   * @param within both lists are the same one: each pair comes once, the earlier thing first
   */
  find<A extends Thing, B extends Thing>(
    as: readonly A[],
    bs: readonly B[],
    test: (a: A, b: B) => R | null,
    { within = false, pulse = () => undefined }: { within?: boolean; pulse?: Pulse } = {},
  ): { a: A; b: B; hit: R }[] {
    if (within && !this.isInOrder(as)) this.known = new Map();
    const found: { a: A; b: B; hit: R }[] = [];
    const next = new Map<object, Map<object, R>>();
    const near = this.candidates(as, bs);
    as.forEach((a, i) => {
      pulse();
      const before = this.known.get(a.key);
      const hits = this.remembers ? new Map<object, R>() : null;
      for (const k of near(a, i)) {
        if (within && k <= i) continue;
        const b = bs[k]!;
        const hit = before && this.others.has(b.key) ? (before.get(b.key) ?? null) : test(a, b);
        if (hit === null) continue;
        hits?.set(b.key, hit);
        found.push({ a, b, hit });
      }
      if (hits) next.set(a.key, hits);
    });
    if (this.remembers) {
      this.known = next;
      this.others = new Set(bs.map(({ key }) => key));
    }
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
  private candidates(as: readonly Thing[], bs: readonly Thing[]): (a: Thing, i: number) => readonly number[] {
    const fresh = bs.flatMap(({ key }, k) => (this.others.has(key) ? [] : [k]));
    const freshAs = as.filter(({ key }) => !this.known.has(key)).length;
    const isMuch = this.known.size === 0 || fresh.length > bs.length * FEW || freshAs > as.length * FEW;
    if (isMuch) {
      if (bs.length === 0) return () => [];
      const tree = new Flatbush(bs.length);
      for (const { box } of bs) tree.add(box.left, box.top, box.right, box.bottom);
      tree.finish();
      return ({ box }) => tree.search(box.left, box.top, box.right, box.bottom).sort((x, y) => x - y);
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
      return near.length < 2 ? near : near.sort((x, y) => x - y);
    };
  }
}

const isNear = (a: Box, b: Box): boolean =>
  a.left <= b.right && b.left <= a.right && a.top <= b.bottom && b.top <= a.bottom;
