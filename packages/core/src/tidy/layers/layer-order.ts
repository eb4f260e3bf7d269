/** A slot of a layer and what it is tied to in the layers above and below, by number. */
export interface Tied {
  above: readonly number[];
  below: readonly number[];
}
export type Layers = readonly (readonly number[])[];

/** How many places a slot may be sifted at once. */
const REACH = 24;
/** More crossings than any order has. */
const MANY = 2 ** 30;

/** The slots by which a tie passes layers, from above, and the boxes that it joins. */
export interface Passing {
  top: number;
  own: readonly number[];
  bottom: number;
}

/** An order of slots in layers while it is being changed. */
export class LayerOrder {
  private readonly layers: number[][];
  private readonly places: Int32Array;
  private readonly layerOf: Int32Array;
  /** whether a layer, or one beside it, has changed since nothing was gained by sifting it */
  private readonly isUnsifted: boolean[];
  /** crossings between each layer and the next; -1 where they are to be counted */
  private readonly crossed: Int32Array;
  /** what slots are tied to, and where in it what is above and what is below each of them begins */
  private readonly ends: Int32Array;
  private readonly endsOf: Int32Array;

  constructor(
    layers: Layers,
    private readonly slots: readonly Tied[],
  ) {
    this.layers = layers.map(() => []);
    this.places = new Int32Array(slots.length);
    this.layerOf = new Int32Array(slots.length);
    this.isUnsifted = layers.map(() => true);
    this.crossed = new Int32Array(layers.length);
    const sides = slots.flatMap(({ above, below }) => [above, below]);
    this.ends = Int32Array.from(sides.flat());
    this.endsOf = new Int32Array(sides.length + 1);
    sides.forEach((side, i) => (this.endsOf[i + 1] = this.endsOf[i]! + side.length));
    layers.forEach((layer, l) => {
      for (const slot of layer) this.layerOf[slot] = l;
    });
    this.set(layers);
  }

  /** @param first which layer the first of them is */
  set(layers: Layers, first = 0): void {
    layers.forEach((layer, i) => {
      this.layers[first + i] = [...layer];
      this.place(first + i);
    });
  }

  /** The order of some layers, or of all. */
  copy(first = 0, last = this.layers.length - 1): number[][] {
    return this.layers.slice(Math.max(0, first), last + 1).map((layer) => [...layer]);
  }

  private place(l: number): void {
    const layer = this.layers[l]!;
    for (let i = 0; i < layer.length; i++) this.places[layer[i]!] = i;
    this.changed(l);
  }

  private changed(l: number): void {
    this.crossed[l] = -1;
    if (l > 0) this.crossed[l - 1] = -1;
    for (let near = Math.max(0, l - 1); near <= l + 1 && near < this.layers.length; near++)
      this.isUnsifted[near] = true;
  }

  /** Each layer by the mean place of what its slots are tied to, above or below. */
  sweep(isDown: boolean): void {
    const { layers, places, slots } = this;
    for (let i = 1; i < layers.length; i++) {
      const l = isDown ? i : layers.length - 1 - i;
      const layer = layers[l]!;
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
      this.place(l);
    }
  }

  /** Every slot in turn to where in its layer it crosses least, until nothing is gained. */
  sift(first = 0, last = this.layers.length - 1): void {
    for (let better = true, rounds = 0; better && rounds < 6; rounds++) {
      better = false;
      for (let l = Math.max(0, first); l <= Math.min(last, this.layers.length - 1); l++)
        if (this.isUnsifted[l]) better = this.siftLayer(l) || better;
    }
  }

  private siftLayer(l: number): boolean {
    const layer = this.layers[l]!;
    this.isUnsifted[l] = false;
    let better = false;
    for (const slot of [...layer]) {
      const at = this.places[slot]!;
      const [left, right] = [this.walk(layer, at, -1), this.walk(layer, at, 1)];
      const { gain, to } = left.gain > right.gain ? left : right;
      if (gain <= 0) continue;
      layer.splice(at, 1);
      layer.splice(to, 0, slot);
      for (let i = Math.min(at, to); i <= Math.max(at, to); i++) this.places[layer[i]!] = i;
      better = true;
    }
    if (better) this.changed(l);
    return better;
  }

  /** The most that is gained by going to a place further left or right in a layer, and which it is. */
  private walk(layer: readonly number[], at: number, step: 1 | -1): { gain: number; to: number } {
    const slot = layer[at]!;
    let [gain, most, to] = [0, 0, at];
    for (let i = at + step; i >= 0 && i < layer.length && Math.abs(i - at) <= REACH; i += step) {
      const other = layer[i]!;
      gain += step * (this.lead(2 * slot, 2 * other) + this.lead(2 * slot + 1, 2 * other + 1));
      if (gain > most) [most, to] = [gain, i];
    }
    return { gain: most, to };
  }

  /**
   * Pairs of ends of which the first's lies right of the second's, less those the other way round: what is gained by letting
   * both change places.
   * @param one a side of a slot: twice its number, and one more for what is below it
   */
  private lead(one: number, other: number): number {
    const { ends, endsOf, places } = this;
    const [first, last] = [endsOf[other]!, endsOf[other + 1]!];
    let count = 0;
    for (let i = endsOf[one]!; i < endsOf[one + 1]!; i++) {
      const end = places[ends[i]!]!;
      for (let j = first; j < last; j++) {
        const beside = places[ends[j]!]!;
        if (beside < end) count++;
        else if (beside > end) count--;
      }
    }
    return count;
  }

  /**
   * Leads a tie through the layers that it passes where it crosses least, all of it at once: the shortest way over the gaps.
   * Given some layers, it stays as it is in all others.
   */
  route(tie: Passing, first = 0, last = this.layers.length - 1): void {
    const { top, own, bottom } = this.within(tie, first, last);
    if (own.length === 0) return;
    const { places } = this;
    const before = own.map((slot) => places[slot]!);
    const passed = own.map((slot) => this.layers[this.layerOf[slot]!]!);
    own.forEach((_, i) => this.takeOut(passed[i]!, before[i]!));
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
      if (place !== before[i]) this.changed(this.layerOf[own[i]!]!);
      if (i > 0) place = ways[i - 1]![place]!;
    }
  }

  private within({ top, own, bottom }: Passing, first: number, last: number): Passing {
    const from = own.findIndex((slot) => this.layerOf[slot]! >= first);
    const to = own.findLastIndex((slot) => this.layerOf[slot]! <= last);
    if (from < 0 || to < from) return { top, own: [], bottom };
    return { top: own[from - 1] ?? top, own: own.slice(from, to + 1), bottom: own[to + 1] ?? bottom };
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
    // Of those further left the ends beyond it are crossed, of those further right the ends before it: first as steps.
    for (let from = 0; from < above.length; from++) {
      if (from === at) continue;
      for (const other of this.slots[above[from]!]!.below) {
        const to = this.places[other]!;
        if (below[to] !== other) continue;
        if (from < at) costs[0]! += 1;
        costs[to + 1]! += from < at ? -1 : 1;
      }
    }
    return summed(costs);
  }

  /** What a tie to a place of the layer below crosses, for each place of this one. */
  private toFixed(above: readonly number[], at: number): Int32Array {
    const costs = new Int32Array(above.length + 1);
    for (let from = 0; from < above.length; from++)
      for (const other of this.slots[above[from]!]!.below) {
        const to = this.places[other]!;
        if (to < at) costs[0]! += 1;
        if (to !== at) costs[from + 1]! += to > at ? 1 : -1;
      }
    return summed(costs);
  }

  /** The least of all ways from the places of one layer to each of the next; of equal ones that from where it was. */
  private over(above: readonly number[], below: readonly number[], costs: Int32Array, before: number) {
    const columns = below.length + 1;
    const least = new Int32Array(columns).fill(MANY);
    const from = new Int32Array(columns);
    // How many ends lie left of both places; ties of what has been taken out are none.
    const both = new Int32Array(columns);
    for (let p = 0; p <= above.length; p++) {
      if (p > 0)
        for (const other of this.slots[above[p - 1]!]!.below) {
          const to = this.places[other]!;
          if (below[to] === other) for (let q = to + 1; q < columns; q++) both[q]! += 1;
        }
      const base = costs[p]! + both[columns - 1]!;
      // Of ways that cost as much it stays where it was, else it is the first.
      const yields = p === before ? 0 : 1;
      for (let q = 0; q < columns; q++) {
        const one = base - 2 * both[q]!;
        if (one + yields > least[q]!) continue;
        least[q] = one;
        from[q] = p;
      }
    }
    for (let q = 0; q < columns; q++) least[q]! += both[q]!;
    return { least, from };
  }

  /** Moves a few slots of some layers to places of chance. */
  shake(random: () => number, first: number, last: number): void {
    for (let l = first; l <= last; l++) {
      const layer = this.layers[l]!;
      const moves = Math.ceil(layer.length / 12);
      for (let i = 0; i < moves && layer.length > 2; i++) {
        const [slot] = layer.splice(Math.floor(random() * layer.length), 1);
        layer.splice(Math.floor(random() * (layer.length + 1)), 0, slot!);
      }
      this.place(l);
    }
  }

  private sorted(list: readonly number[]): number[] {
    return list.map((slot) => this.places[slot]!).sort((a, b) => a - b);
  }

  /** All crossings between neighbouring layers (Barth, Mutzel and Jünger 2004, with a binary indexed tree). */
  crossings(): number {
    let count = 0;
    for (let l = 0; l + 1 < this.layers.length; l++) {
      if (this.crossed[l]! < 0) this.crossed[l] = this.crossingsBelow(l);
      count += this.crossed[l]!;
    }
    return count;
  }

  private crossingsBelow(l: number): number {
    const size = this.layers[l + 1]!.length;
    const tree = new Int32Array(size + 1);
    let [count, seen] = [0, 0];
    for (const slot of this.layers[l]!) {
      const ends = this.sorted(this.slots[slot]!.below);
      for (const end of ends) {
        let upTo = 0;
        for (let i = end + 1; i > 0; i -= i & -i) upTo += tree[i]!;
        count += seen - upTo;
      }
      for (const end of ends) for (let i = end + 1; i <= size; i += i & -i) tree[i]! += 1;
      seen += ends.length;
    }
    return count;
  }
}

/** What steps come to, from the first on. */
function summed(steps: Int32Array): Int32Array {
  for (let i = 1; i < steps.length; i++) steps[i]! += steps[i - 1]!;
  return steps;
}
