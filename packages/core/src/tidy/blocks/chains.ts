import { besides, fromAbove } from './blocks.js';
import type { Block, Gaps, Slot, Twig } from './blocks.js';
import type { Place } from '../layers/layered.js';

/** How much lower each of a row stands than the one before it: a chain leads downward all along, canvas units. */
export const SLOPE = 2;
const MOST_ACROSS = 14;

/**
 * A chain that turns at the end of a row and comes back in the next, in rows of two, of three, and so on; what hangs from its
 * end stands below that.
 * @param chain from its head; each hangs from the one before it
 * @param end what the last of them holds, in its shapes; null where it is the chain's own end
 */
export function winding(
  chain: readonly Twig[],
  end: { twig: Twig; shapes: readonly Block[] } | null,
  gaps: Gaps,
): Block[] {
  const most = Math.min(MOST_ACROSS, chain.length - 1);
  return Array.from({ length: Math.max(0, most - 1) }, (_, i) => i + 2).flatMap((across) => {
    const rows = inRows(chain, across, gaps);
    return end ? end.shapes.map((block) => withEnd(rows, fromAbove(block, end.twig, gaps))) : [blockOf(rows, null, 0)];
  });
}

interface Rows {
  chain: readonly Twig[];
  at: Place[];
  words: (Place | null)[];
}

function inRows(chain: readonly Twig[], across: number, gaps: Gaps): Rows {
  const [, ...hanging] = chain;
  const most = (of: readonly number[]): number => Math.max(0, ...of);
  const [width, height] = [most(chain.map((one) => one.width)), most(chain.map((one) => one.height))];
  const step = {
    x: width + Math.max(gaps.lead, ...hanging.map((one) => besides(one, gaps))),
    y: height + SLOPE * (across - 1) + most(hanging.map((one) => fromAbove(leafless, one, gaps).head.y)),
  };
  const at = chain.map((_, i): Place => {
    const [row, along] = [Math.floor(i / across), i % across];
    const column = row % 2 === 0 ? along : across - 1 - along;
    return { x: width / 2 + column * step.x, y: height / 2 + row * step.y + along * SLOPE };
  });
  const words = chain.map((one, i): Place | null => {
    const before = at[i - 1];
    if (!one.words || !before) return null;
    const [{ x, y }, last] = [at[i]!, chain[i - 1]!];
    if (i % across === 0) return { x, y: (before.y + last.height / 2 + y - one.height / 2) / 2 - 4 };
    const way = x > before.x ? 1 : -1;
    const [from, to] = [before.x + (way * last.width) / 2, x - (way * one.width) / 2];
    return { x: (from + to) / 2 - way * 4, y: (before.y + y) / 2 };
  });
  return { chain, at, words };
}
/** What has no size hangs by its words alone. */
const leafless: Block = { width: 0, height: 0, head: { x: 0, y: 0 }, put: () => undefined };

/** With what hangs from the last, straight below it. */
function withEnd(rows: Rows, slot: Slot): Block {
  return blockOf(rows, slot, Math.max(0, slot.head.x - rows.at.at(-1)!.x));
}

function blockOf({ chain, at, words }: Rows, slot: Slot | null, shift: number): Block {
  const last = { ...at.at(-1)!, height: chain.at(-1)!.height };
  const below = last.y + last.height / 2;
  const sizes = at.map(({ x, y }, i) => ({ right: x + chain[i]!.width / 2, bottom: y + chain[i]!.height / 2 }));
  const left = slot ? last.x - slot.head.x : 0;
  return {
    width: shift + Math.max(...sizes.map(({ right }) => right), slot ? left + slot.width : 0),
    height: Math.max(...sizes.map(({ bottom }) => bottom), slot ? below + slot.height : 0),
    head: { x: shift + at[0]!.x, y: at[0]!.y },
    put: (seat, into) => {
      const placed = ({ x, y }: Place): Place => ({ x: seat.x + seat.across * (x + shift), y: seat.y + seat.down * y });
      chain.forEach(({ box }, i) => {
        into.places[box] = placed(at[i]!);
        const own = words[i];
        if (i > 0) into.words[box] = own ? placed(own) : null;
      });
      slot?.put({ ...seat, ...placed({ x: left, y: below }) }, into);
    },
  };
}
