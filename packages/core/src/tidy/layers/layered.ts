import type { Graph } from '../graph.js';
import { orderLayers } from './order.js';
import type { Passing, Tied } from './layer-order.js';
import { ranksOf } from './ranks.js';
import { spread } from './spread.js';

export interface Place {
  x: number;
  y: number;
}

/** Canvas units between boxes of one layer, and between layers. */
const BESIDE = 26;
const BELOW = [30, 14];
const STEEPEST = 60;
/** What a line needs where it passes a layer. */
const LINE = 12;
const ROUNDS = 12;

/** What stands in a layer: a box, the words of a tie, or a tie that only passes. */
interface Slot {
  box: number | null;
  width: number;
  height: number;
  /** slots of the layer above and below that it is tied to, by number */
  above: number[];
  below: number[];
}

export interface Layout {
  /** by box, its centre */
  places: Place[];
  /** by tie, where it was given room to pass: from its `from` to its `to`, its ends left out */
  ways: Place[][];
}

/**
 * A part of a map laid out in layers from above to below, its ties' words in layers of their own between those of boxes
 * (Sugiyama, Tagawa and Toda 1981): ranks, order in each layer, places.
 */
export function layered(graph: Graph): Layout {
  const { slots, layers, slotsOfTie, passing } = slotsOf(graph, ranksOf(graph));
  const ordered = withWordLayers(orderLayers(...boxLayers(layers, slots), passing), layers, slots);
  const x = across(ordered, slots);
  const y = down(ordered, slots, x);
  const places: Place[] = graph.boxes.map(() => ({ x: 0, y: 0 }));
  slots.forEach(({ box }, slot) => {
    if (box !== null) places[box] = { x: x[slot]!, y: y[slot]! };
  });
  return { places, ways: slotsOfTie.map((own) => own.map((slot) => ({ x: x[slot]!, y: y[slot]! }))) };
}

/** Layers twice as many as ranks: in those between stand the words of ties. */
function slotsOf({ boxes, ties }: Graph, ranks: readonly number[]) {
  const layers: number[][] = Array.from({ length: 2 * Math.max(...ranks) + 1 }, () => []);
  const slots: Slot[] = [];
  const add = (layer: number, box: number | null, width: number, height: number): number => {
    layers[layer]!.push(slots.length);
    return slots.push({ box, width, height, above: [], below: [] }) - 1;
  };
  const first = [...boxes.keys()].sort((a, b) => boxes[a]!.x - boxes[b]!.x || a - b);
  const slotOf: number[] = [];
  for (const box of first) slotOf[box] = add(2 * ranks[box]!, box, boxes[box]!.width, boxes[box]!.height);
  const passing: Passing[] = [];
  const slotsOfTie = ties.map(({ from, to, words }) => {
    const isDown = ranks[from]! <= ranks[to]!;
    const [top, bottom] = isDown ? [from, to] : [to, from];
    const [start, end] = [2 * ranks[top]!, 2 * ranks[bottom]!];
    // Of several layers between, the words stand in the middle one that has no boxes.
    const middle = start + 2 * Math.floor((end - start) / 4) + 1;
    const own: number[] = [];
    let last = slotOf[top]!;
    for (let layer = start + 1; layer < end; layer++) {
      const size = layer === middle && words ? words : { width: LINE, height: 0 };
      const slot = add(layer, null, size.width, size.height);
      own.push(slot);
      slots[last]!.below.push(slot);
      slots[slot]!.above.push(last);
      last = slot;
    }
    slots[last]!.below.push(slotOf[bottom]!);
    slots[slotOf[bottom]!]!.above.push(last);
    // Every second one stands among boxes.
    passing.push({ top: slotOf[top]!, own: own.filter((_, i) => i % 2 === 1), bottom: slotOf[bottom]! });
    return isDown ? own : own.toReversed();
  });
  return { slots, layers, slotsOfTie, passing };
}

/** The layers of boxes alone, each tied to the next as through the words between: half as much to put in order. */
function boxLayers(layers: readonly number[][], slots: readonly Slot[]): [number[][], Tied[]] {
  const own = layers.filter((_, l) => l % 2 === 0);
  const tied: Tied[] = slots.map(() => ({ above: [], below: [] }));
  const past = (slot: number, side: 'above' | 'below'): number[] =>
    slots[slot]![side].map((word) => slots[word]![side][0]!);
  for (const slot of own.flat()) tied[slot] = { above: past(slot, 'above'), below: past(slot, 'below') };
  return [own, tied];
}

/** Words between two layers by where their ties begin and end together: that crosses no two that need not cross. */
function withWordLayers(ordered: number[][], layers: readonly number[][], slots: readonly Slot[]): number[][] {
  const share = new Map(
    ordered.flatMap((layer) => layer.map((slot, i): [number, number] => [slot, (i + 0.5) / layer.length])),
  );
  return layers.map((layer, l) => {
    if (l % 2 === 0) return ordered[l / 2]!;
    const at = ({ above, below }: Slot): number => share.get(above[0]!)! + share.get(below[0]!)!;
    return [...layer].sort((a, b) => at(slots[a]!) - at(slots[b]!));
  });
}

/** From the left: each slot as near as can be to the middle of what it is tied to, layer by layer, down and up again. */
function across(layers: readonly (readonly number[])[], slots: readonly Slot[]): number[] {
  const x = slots.map(() => 0);
  const apart = layers.map((layer) =>
    layer.map((slot, i) => (i === 0 ? 0 : (slots[layer[i - 1]!]!.width + slots[slot]!.width) / 2 + BESIDE)),
  );
  layers.forEach((layer, l) => {
    let at = 0;
    layer.forEach((slot, i) => (x[slot] = at += apart[l]![i]!));
    for (const slot of layer) x[slot]! -= at / 2;
  });
  for (let round = 0; round < ROUNDS; round++) {
    const isDown = round % 2 === 0;
    const isLast = round >= ROUNDS - 2;
    const way = isDown ? [...layers.keys()] : [...layers.keys()].reverse();
    for (const l of way) {
      const layer = layers[l]!;
      const wanted = layer.map((slot) => {
        const { above, below, box } = slots[slot]!;
        // At last both sides count, so that what is joined upward and downward stands between.
        const tied = isLast ? [...above, ...below] : isDown ? above : below;
        if (tied.length === 0) return { at: x[slot]!, weight: 0.1 };
        // A line that passes pulls straight; a box stands over the middle of what hangs from it.
        const weight = box === null ? 4 : 1;
        return { at: tied.reduce((sum, other) => sum + x[other]!, 0) / tied.length, weight };
      });
      spread(wanted, apart[l]!).forEach((at, i) => (x[layer[i]!] = at));
    }
  }
  return x;
}

/** From above: each layer as high as the highest in it; ties that run far to the side are given depth to do it in. */
function down(layers: readonly (readonly number[])[], slots: readonly Slot[], x: readonly number[]): number[] {
  const y = slots.map(() => 0);
  let top = 0;
  for (const [l, layer] of layers.entries()) {
    const height = Math.max(0, ...layer.map((slot) => slots[slot]!.height));
    for (const slot of layer) y[slot] = top + height / 2;
    const runs = layer.flatMap((slot) => slots[slot]!.below.map((other) => Math.abs(x[slot]! - x[other]!)));
    const slope = runs.reduce((sum, run) => sum + run, 0) / Math.max(1, runs.length);
    top += height + BELOW[l % 2]! + Math.min(STEEPEST, slope / 5);
  }
  return y;
}
