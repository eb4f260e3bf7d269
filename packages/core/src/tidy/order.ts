import { seeded } from '../random.js';

/** A slot of a layer and what it is tied to in the layers above and below, by number. */
export interface Tied {
  above: readonly number[];
  below: readonly number[];
}
type Layers = readonly (readonly number[])[];

const SWEEPS = 12;
/** How many places a slot may be sifted at once. */
const REACH = 24;
/** How often the best order is shaken and mended, fewer where there is more to do, so that the whole takes about as long. */
const SHAKES = { most: 12, work: 25_000 } as const;

/**
 * The slots of each layer in an order in which few ties cross: barycentres swept down and up (Sugiyama, Tagawa and Toda
 * 1981), each slot then sifted to its best place in its layer (Matuszewski, Schönfeld and Molitor 1999), from several first
 * orders; the best is shaken a few times and sifted again. What nothing decides stays in the person's order.
 */
export function orderLayers(layers: Layers, slots: readonly Tied[]): number[][] {
  const order = new Order(layers, slots);
  let least = order.crossings();
  let best = order.copy();
  const keep = (): void => {
    const count = order.crossings();
    if (count < least) [least, best] = [count, order.copy()];
  };
  for (const start of [layers, byDepth(layers, slots)]) {
    order.set(start);
    for (let sweep = 0; sweep < SWEEPS && least > 0; sweep++) {
      order.sweep(sweep % 2 === 0);
      if (sweep % 4 === 3) order.sift();
      keep();
    }
    order.sift();
    keep();
  }
  const random = seeded(1);
  const work = layers.reduce((sum, layer) => sum + layer.length ** 2, 1);
  const shakes = Math.min(SHAKES.most, Math.round(SHAKES.work / work));
  for (let i = 0; i < shakes && least > 0; i++) {
    order.set(best);
    order.shake(random);
    order.sweep(i % 2 === 0);
    order.sweep(i % 2 === 1);
    order.sift();
    keep();
  }
  return best;
}

/** An order of slots in layers while it is being changed. */
class Order {
  private layers: number[][] = [];
  private readonly places: Int32Array;

  constructor(
    layers: Layers,
    private readonly slots: readonly Tied[],
  ) {
    this.places = new Int32Array(slots.length);
    this.set(layers);
  }

  set(layers: Layers): void {
    this.layers = layers.map((layer) => [...layer]);
    for (const layer of this.layers) this.place(layer);
  }

  copy(): number[][] {
    return this.layers.map((layer) => [...layer]);
  }

  private place(layer: readonly number[]): void {
    for (let i = 0; i < layer.length; i++) this.places[layer[i]!] = i;
  }

  /** Each layer by the mean place of what its slots are tied to, above or below. */
  sweep(isDown: boolean): void {
    const { layers, places, slots } = this;
    for (let i = 1; i < layers.length; i++) {
      const layer = layers[isDown ? i : layers.length - 1 - i]!;
      const centres = layer.map((slot) => {
        const tied = isDown ? slots[slot]!.above : slots[slot]!.below;
        let sum = 0;
        for (const other of tied) sum += places[other]!;
        return tied.length > 0 ? sum / tied.length : -1;
      });
      // What is tied to nothing on that side keeps its place; the others stand in the places that are left.
      const free = [...layer.keys()]
        .filter((at) => centres[at]! >= 0)
        .sort((a, b) => centres[a]! - centres[b]! || a - b)
        .map((at) => layer[at]!);
      let next = 0;
      centres.forEach((centre, at) => {
        if (centre >= 0) layer[at] = free[next++]!;
      });
      this.place(layer);
    }
  }

  /** Every slot in turn to where in its layer it crosses least, until nothing is gained. */
  sift(): void {
    for (let better = true, rounds = 0; better && rounds < 6; rounds++) {
      better = false;
      for (const layer of this.layers) better = this.siftLayer(layer) || better;
    }
  }

  private siftLayer(layer: number[]): boolean {
    if (layer.length < 2) return false;
    // Only this layer moves: what its slots are tied to stays where it is.
    const ends = layer.map((slot): Ends => {
      const { above, below } = this.slots[slot]!;
      return { above: this.sorted(above), below: this.sorted(below) };
    });
    let better = false;
    for (const slot of [...layer]) {
      const at = this.places[slot]!;
      const own = ends[at]!;
      // What is gained by standing left of each further one to the left, and right of each to the right.
      const walk = (step: 1 | -1): { gain: number; to: number } => {
        let [gain, most, to] = [0, 0, at];
        for (let i = at + step; i >= 0 && i < layer.length && Math.abs(i - at) <= REACH; i += step) {
          const other = ends[i]!;
          gain += step * (lead(own.above, other.above) + lead(own.below, other.below));
          if (gain > most) [most, to] = [gain, i];
        }
        return { gain: most, to };
      };
      const [left, right] = [walk(-1), walk(1)];
      const { gain, to } = left.gain > right.gain ? left : right;
      if (gain <= 0) continue;
      layer.splice(at, 1);
      layer.splice(to, 0, slot);
      ends.splice(at, 1);
      ends.splice(to, 0, own);
      for (let i = Math.min(at, to); i <= Math.max(at, to); i++) this.places[layer[i]!] = i;
      better = true;
    }
    return better;
  }

  /** Moves a few slots of every layer to places of chance. */
  shake(random: () => number): void {
    for (const layer of this.layers) {
      const moves = Math.ceil(layer.length / 12);
      for (let i = 0; i < moves && layer.length > 2; i++) {
        const [slot] = layer.splice(Math.floor(random() * layer.length), 1);
        layer.splice(Math.floor(random() * (layer.length + 1)), 0, slot!);
      }
      this.place(layer);
    }
  }

  private sorted(list: readonly number[]): number[] {
    return list.map((slot) => this.places[slot]!).sort((a, b) => a - b);
  }

  /** All crossings between neighbouring layers (Barth, Mutzel and Jünger 2004, with a binary indexed tree). */
  crossings(): number {
    const { layers, slots } = this;
    let count = 0;
    for (let l = 0; l + 1 < layers.length; l++) {
      const size = layers[l + 1]!.length;
      const tree = new Int32Array(size + 1);
      let seen = 0;
      for (const slot of layers[l]!) {
        const ends = this.sorted(slots[slot]!.below);
        for (const end of ends) {
          let upTo = 0;
          for (let i = end + 1; i > 0; i -= i & -i) upTo += tree[i]!;
          count += seen - upTo;
        }
        for (const end of ends) for (let i = end + 1; i <= size; i += i & -i) tree[i]! += 1;
        seen += ends.length;
      }
    }
    return count;
  }
}

interface Ends {
  above: readonly number[];
  below: readonly number[];
}
/**
 * Pairs of ends of which the first's lies right of the second's, less those the other way round: what is gained by letting
 * both change places. Both lists are sorted.
 */
function lead(first: readonly number[], second: readonly number[]): number {
  let count = 0;
  let [below, upTo] = [0, 0];
  for (let i = 0; i < first.length; i++) {
    const end = first[i]!;
    while (below < second.length && second[below]! < end) below++;
    while (upTo < second.length && second[upTo]! <= end) upTo++;
    count += below - (second.length - upTo);
  }
  return count;
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
