import { seeded } from '../../random.js';
import { LayerOrder } from './layer-order.js';
import type { Layers, Passing, Tied } from './layer-order.js';

const SWEEPS = 12;
/** How often what is sifted and led anew is looked at again. */
const MENDS = 6;
/** How often the best order is shaken and mended, fewer where there is more to do, so that the whole takes about as long. */
const SHAKES = { least: 8, share: 0.25, most: 300 } as const;
/** How many layers are shaken at a time, less one. */
const SHAKEN = 4;
/** How far beyond them ties are led anew. */
const LED = 8;

/**
 * The slots of each layer in an order in which few ties cross: barycentres swept down and up (Sugiyama, Tagawa and Toda
 * 1981), each slot then sifted to its best place in its layer (Matuszewski, Schönfeld and Molitor 1999) and each tie that
 * passes layers led anew between all others, its slots together, where it crosses least; from several first orders. The best
 * is shaken a few times and mended again. What nothing decides stays in the person's order.
 */
export function orderLayers(layers: Layers, slots: readonly Tied[], passing: readonly Passing[]): number[][] {
  const order = new LayerOrder(layers, slots);
  let least = order.crossings();
  let best = order.copy();
  const keep = (): void => {
    const count = order.crossings();
    if (count < least) [least, best] = [count, order.copy()];
  };
  const mend = (): void => {
    for (let round = 0, count = Infinity; round < MENDS; round++) {
      order.sift();
      for (const tie of passing) order.route(tie);
      const now = order.crossings();
      if (now >= count) break;
      count = now;
    }
    keep();
  };
  for (const start of [layers, byDepth(layers, slots)]) {
    order.set(start);
    for (let sweep = 0; sweep < SWEEPS && least > 0; sweep++) {
      order.sweep(sweep % 2 === 0);
      if (sweep % 4 === 3) order.sift();
      keep();
    }
    mend();
  }
  order.set(best);
  // The best is shaken in a few layers at a time, and mended there.
  const random = seeded(1);
  const passed = passing.reduce((sum, { own }) => sum + own.length, 0);
  const shakes = Math.min(SHAKES.most, SHAKES.least + Math.round(passed * SHAKES.share));
  for (let i = 0; i < shakes && least > 0; i++) {
    const first = Math.floor(random() * layers.length);
    const last = Math.min(layers.length - 1, first + SHAKEN);
    const within = (more: number): [number, number] => [
      Math.max(0, first - more),
      Math.min(layers.length - 1, last + more),
    ];
    const before = order.copy(...within(LED));
    order.shake(random, first, last);
    order.sift(...within(1));
    for (const tie of passing) if (order.passes(tie, first, last)) order.route(tie, ...within(LED));
    order.sift(...within(1));
    const count = order.crossings();
    if (count >= least) order.set(before, within(LED)[0]);
    else [least, best] = [count, order.copy()];
  }
  mend();
  return best;
}

/** As a search in depth from above comes to them: what hangs together stands together. */
function byDepth(layers: Layers, slots: readonly Tied[]): number[][] {
  const seen = new Set<number>();
  const layerOf = new Map(layers.flatMap((layer, l) => layer.map((slot): [number, number] => [slot, l])));
  const order: number[][] = layers.map(() => []);
  for (const start of layers.flat()) {
    const waiting = [start];
    for (let slot = waiting.pop(); slot !== undefined; slot = waiting.pop()) {
      if (seen.has(slot)) continue;
      seen.add(slot);
      order[layerOf.get(slot)!]!.push(slot);
      const { above, below } = slots[slot]!;
      waiting.push(...above.toReversed(), ...below.toReversed());
    }
  }
  return order;
}
