import { seeded } from '../../random.js';
import { LayerOrder } from './layer-order.js';
import type { Passing, Tied } from './layer-order.js';

const LAYERS = 6;
const WIDE = 9;

/** Layers of boxes with random ties between neighbouring ones, and some that pass from the first to the last. */
function tangled(seed: number) {
  const random = seeded(seed);
  const slots: { above: number[]; below: number[] }[] = [];
  const layers = Array.from({ length: LAYERS }, () =>
    Array.from({ length: WIDE }, () => slots.push({ above: [], below: [] }) - 1),
  );
  const tie = (above: number, below: number): void => {
    slots[above]!.below.push(below);
    slots[below]!.above.push(above);
  };
  const any = (layer: number): number => layers[layer]![Math.floor(random() * WIDE)]!;
  for (let l = 0; l + 1 < LAYERS; l++) for (let i = 0; i < 14; i++) tie(any(l), any(l + 1));
  const passing = Array.from({ length: 4 }, (): Passing => {
    const [top, bottom] = [any(0), any(LAYERS - 1)];
    const own = Array.from({ length: LAYERS - 2 }, (_, i) => {
      const slot = slots.push({ above: [], below: [] }) - 1;
      layers[i + 1]!.push(slot);
      return slot;
    });
    [top, ...own].forEach((slot, i) => tie(slot, own[i] ?? bottom));
    return { top, own, bottom };
  });
  return { layers, slots, passing, random };
}

/** Pair by pair. */
function counted(layers: readonly (readonly number[])[], slots: readonly Tied[]): number {
  let count = 0;
  for (const [l, layer] of layers.slice(0, -1).entries()) {
    const ends = layer.flatMap((slot, at) => slots[slot]!.below.map((other) => [at, layers[l + 1]!.indexOf(other)]));
    for (const [i, [from, to]] of ends.entries())
      for (const [otherFrom, otherTo] of ends.slice(i + 1)) if ((from! - otherFrom!) * (to! - otherTo!) < 0) count++;
  }
  return count;
}

test.each([1, 2, 3, 4, 5, 6])(
  'crossings are known after any change, and neither sifting nor leading makes more (%i)',
  (seed) => {
    const { layers, slots, passing, random } = tangled(seed);
    const order = new LayerOrder(layers, slots);
    const known = (): number => {
      const now = order.crossings();
      expect(now).toBe(counted(order.copy(), slots));
      return now;
    };
    known();
    for (let i = 0; i < 12; i++) {
      order.sweep(i % 2 === 0);
      order.shake(random, 1, 3);
      let least = known();
      for (const tie of passing) order.route(tie, ...(i % 3 === 0 ? ([1, 2] as const) : []));
      expect(known()).toBeLessThanOrEqual(least);
      least = known();
      order.sift(...(i % 2 === 0 ? ([0, 2] as const) : []));
      expect(known()).toBeLessThanOrEqual(least);
    }
    // What was kept of some layers can be put back.
    const before = order.copy();
    const some = order.copy(1, 3);
    order.shake(random, 1, 3);
    order.set(some, 1);
    expect(order.copy()).toEqual(before);
    expect(known()).toBe(counted(before, slots));
  },
);

test('sifting again what nothing changed beside changes nothing; all slots stay', () => {
  const { layers, slots } = tangled(7);
  const order = new LayerOrder(layers, slots);
  order.sift();
  order.sift();
  const once = order.copy();
  order.sift();
  expect(order.copy()).toEqual(once);
  expect(once.map((layer) => [...layer].sort((a, b) => a - b))).toEqual(
    layers.map((layer) => [...layer].sort((a, b) => a - b)),
  );
});
