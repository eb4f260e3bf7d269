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
/** More crossings than any order has. */
const MANY = 2 ** 30;
/** How often what is sifted and led anew is looked at again. */
const MENDS = 6;
/** How often the best order is shaken and mended, fewer where there is more to do, so that the whole takes about as long. */
const SHAKES = { least: 8, share: 0.25, most: 300 } as const;
/** How many layers are shaken at a time, less one. */
const SHAKEN = 4;

/** The slots by which a tie passes layers, from above, and the boxes that it joins. */
export interface Passing {
  top: number;
  own: readonly number[];
  bottom: number;
}

/**
 * The slots of each layer in an order in which few ties cross: barycentres swept down and up (Sugiyama, Tagawa and Toda
 * 1981), each slot then sifted to its best place in its layer (Matuszewski, Schönfeld and Molitor 1999) and each tie that
 * passes layers led anew between all others, its slots together, where it crosses least; from several first orders. The best
 * is shaken a few times and mended again. What nothing decides stays in the person's order.
 */
export function orderLayers(layers: Layers, slots: readonly Tied[], passing: readonly Passing[]): number[][] {
  const order = new Order(layers, slots);
  let least = order.crossings();
  let best = order.copy();
  const keep = (): void => {
    const count = order.crossings();
    if (count < least) [least, best] = [count, order.copy()];
  };
  const mend = (): void => {
    for (let round = 0, count = Infinity; round < MENDS; round++) {
      order.sift();
      for (const tie of passing) order.lead(tie);
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
  // The best is shaken in a few layers at a time, and mended there.
  const random = seeded(1);
  const passed = passing.reduce((sum, { own }) => sum + own.length, 0);
  const shakes = Math.min(SHAKES.most, SHAKES.least + Math.round(passed * SHAKES.share));
  for (let i = 0; i < shakes && least > 0; i++) {
    order.set(best);
    const first = Math.floor(random() * layers.length);
    const last = Math.min(layers.length - 1, first + SHAKEN);
    order.shake(random, first, last);
    order.sift(first - 1, last + 1);
    for (const tie of passing) if (order.passes(tie, first, last)) order.lead(tie);
    order.sift(first - 1, last + 1);
    keep();
  }
  return best;
}

/** An order of slots in layers while it is being changed. */
class Order {
  private layers: number[][] = [];
  private readonly places: Int32Array;
  private readonly layerOf: Int32Array;

  constructor(
    layers: Layers,
    private readonly slots: readonly Tied[],
  ) {
    this.places = new Int32Array(slots.length);
    this.layerOf = new Int32Array(slots.length);
    layers.forEach((layer, l) => {
      for (const slot of layer) this.layerOf[slot] = l;
    });
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
  sift(first = 0, last = this.layers.length - 1): void {
    for (let better = true, rounds = 0; better && rounds < 6; rounds++) {
      better = false;
      for (let l = Math.max(0, first); l <= Math.min(last, this.layers.length - 1); l++)
        better = this.siftLayer(this.layers[l]!) || better;
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

  /** Leads a tie through the layers that it passes where it crosses least, all of it at once: the shortest way over the gaps. */
  lead({ top, own, bottom }: Passing): void {
    if (own.length === 0) return;
    const { places } = this;
    const before = own.map((slot) => places[slot]!);
    const passed = own.map((slot) => this.layers[this.layerOf[slot]!]!);
    own.forEach((slot, i) => this.takeOut(passed[i]!, before[i]!));
    // The least that it costs to be at each place of a layer, and from which place of the one above.
    let costs = this.fromFixed(this.layers[this.layerOf[top]!]!, passed[0]!, places[top]!);
    const ways: Int32Array[] = [];
    for (let i = 1; i < own.length; i++) {
      const { least, from } = this.over(passed[i - 1]!, passed[i]!, costs, before[i - 1]!);
      costs = least;
      ways.push(from);
    }
    const ends = this.toFixed(passed.at(-1)!, places[bottom]!);
    let place = before.at(-1)!;
    for (let p = 0; p < costs.length; p++) if (costs[p]! + ends[p]! < costs[place]! + ends[place]!) place = p;
    for (let i = own.length - 1; i >= 0; i--) {
      this.putIn(passed[i]!, place, own[i]!);
      if (i > 0) place = ways[i - 1]![place]!;
    }
  }

  /** Whether a tie passes one of some layers. */
  passes({ own }: Passing, first: number, last: number): boolean {
    return own.length > 0 && this.layerOf[own[0]!]! <= last && this.layerOf[own.at(-1)!]! >= first;
  }

  private takeOut(layer: number[], at: number): void {
    layer.splice(at, 1);
    for (let i = at; i < layer.length; i++) this.places[layer[i]!] = i;
  }

  private putIn(layer: number[], at: number, slot: number): void {
    layer.splice(at, 0, slot);
    for (let i = at; i < layer.length; i++) this.places[layer[i]!] = i;
  }

  /** What a tie from a place of the layer above crosses, for each place of the layer below. */
  private fromFixed(above: readonly number[], below: readonly number[], at: number): Int32Array {
    const costs = new Int32Array(below.length + 1);
    // Of those further left the ends beyond it are crossed, of those further right the ends before it.
    for (let from = 0; from < above.length; from++) {
      if (from === at) continue;
      for (const other of this.slots[above[from]!]!.below) {
        const to = this.places[other]!;
        if (below[to] !== other) continue;
        if (from < at) for (let p = 0; p <= to; p++) costs[p]! += 1;
        else for (let p = to + 1; p < costs.length; p++) costs[p]! += 1;
      }
    }
    return costs;
  }

  /** What a tie to a place of the layer below crosses, for each place of this one. */
  private toFixed(above: readonly number[], at: number): Int32Array {
    const costs = new Int32Array(above.length + 1);
    for (let from = 0; from < above.length; from++)
      for (const other of this.slots[above[from]!]!.below) {
        const to = this.places[other]!;
        if (to > at) for (let p = from + 1; p < costs.length; p++) costs[p]! += 1;
        else if (to < at) for (let p = 0; p <= from; p++) costs[p]! += 1;
      }
    return costs;
  }

  /** The least of all ways from the places of one layer to each of the next; of equal ones that from where it was. */
  private over(above: readonly number[], below: readonly number[], costs: Int32Array, before: number) {
    const [rows, columns] = [above.length + 1, below.length + 1];
    // How many ends lie left of both places; ties of what has been taken out are none.
    const both = new Int32Array(rows * columns);
    for (let p = 0; p < above.length; p++)
      for (const other of this.slots[above[p]!]!.below) {
        const to = this.places[other]!;
        if (below[to] === other) both[(p + 1) * columns + to + 1]! += 1;
      }
    for (let p = 1; p < rows; p++) {
      let row = 0;
      for (let q = 1; q < columns; q++) {
        row += both[p * columns + q]!;
        both[p * columns + q] = row + both[(p - 1) * columns + q]!;
      }
    }
    const least = new Int32Array(columns).fill(MANY);
    const from = new Int32Array(columns).fill(before);
    for (let i = 0; i < rows; i++) {
      // Where it was first: of ways that cost as much it stays.
      const p = i === 0 ? before : i <= before ? i - 1 : i;
      const row = p * columns;
      const base = costs[p]! + both[row + columns - 1]!;
      for (let q = 0; q < columns; q++) {
        const one = base - 2 * both[row + q]!;
        if (one >= least[q]!) continue;
        least[q] = one;
        from[q] = p;
      }
    }
    for (let q = 0; q < columns; q++) least[q]! += both[(rows - 1) * columns + q]!;
    return { least, from };
  }

  /** Moves a few slots of some layers to places of chance. */
  shake(random: () => number, first: number, last: number): void {
    for (const layer of this.layers.slice(first, last + 1)) {
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
