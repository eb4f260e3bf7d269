import type { Link } from '../../map/types.js';
import type { Sort } from './block-shapes.js';
import { clearLinks } from '../links/clear-links.js';
import type { Frame } from '../frame.js';
import { framed } from './framed.js';
import type { Framed } from './framed.js';
import { partsOf } from '../graph.js';
import { centreOf, movedTo, partOf, settled } from '../tidied.js';
import type { Drawing, Tidied, TidyWay } from '../tidied.js';

/** How much more the links of a drawing that is better otherwise may cost, and of one that moves less. */
const [AS_CLEAR, CLEAR_ENOUGH] = [1.15, 2];
/** What of the largest letters is kept for lines that are clearer; for words without lines over them more is given up. */
const LARGE = 0.88;
/** How many drawings in blocks are looked at. */
const [FEW, MOST] = [4, 16];
/** How many more words may be under lines in a drawing that comes near the best. */
const NEAR = 2;
/** With more links than this that are hard to read, no other drawing is likely to have none. */
const FAR = 4;
/** How many links across the branches are led through all that are looked at. */
const LOOKED_AT = 80;

/** Whether most of what is drawn hangs on trunks already. */
export const isInBlocks = (links: readonly Link[]): boolean =>
  links.filter(({ route }) => route === 'elbow').length > links.length / 2;

const SORTS: Record<TidyWay, Sort> = { downward: 'below', sideways: 'beside', outward: 'around', timeline: 'below' };

/** In blocks that fill a frame, of several drawings the one whose links are the clearest; null where none can be made. */
export function blocked(tidied: Tidied, frame: Frame): Drawing | null {
  const { map, topics, inside, moving, graph, legend, keepRoutes, way, pulse } = tidied;
  const roots = partsOf(graph).map((part) => part[centreOf(partOf(graph, part).graph, part, topics, legend)]!);
  const drawn = (laid: Framed, isPolished: boolean) => {
    const { places } = settled(map, topics, { places: laid.topics, ways: [] });
    const set = new Map(inside.flatMap(({ id }, i) => (laid.courses[i] ? [[id, laid.courses[i]] as const] : [])));
    const clear = clearLinks(
      movedTo(map, topics, places),
      map.links.map((link) => ({ ...link, ...set.get(link.id) })),
      new Set(moving.flatMap(({ id }) => (set.has(id) ? [] : [id]))),
      { legend, keepRoutes, corridors: true, isPolished, ...(pulse && { pulse }) },
    );
    const { unclear, unreadable, covered, cost } = clear;
    return { laid, places, courses: new Map([...set, ...clear.courses]), unclear, unreadable, covered, cost };
  };
  const drawings: ReturnType<typeof drawn>[] = [];
  const stays = isInBlocks(inside);
  const across = moving.length - (topics.length - roots.length);
  const [few, most] = [FEW, MOST].map((count) => Math.max(1, Math.min(count, Math.round(LOOKED_AT / (1 + across)))));
  for (const laid of framed({ topics, links: inside, graph, roots, legend, keepRoutes }, frame, SORTS[way], stays)) {
    drawings.push(drawn(laid, false));
    // Among a few the links are the clearest; many are looked at where words would have lines over them.
    if (drawings.length >= (drawings.at(-1)!.covered === 0 ? few! : most!)) break;
  }
  const best = clearest(drawings, stays ? CLEAR_ENOUGH : AS_CLEAR);
  if (!best || best.unreadable === 0) return best ?? null;
  // What is hard to read is looked at more closely, in the drawings that come near.
  const near = stays ? [] : drawings.filter((one) => one !== best && one.covered <= best.covered + NEAR);
  let clearer: typeof best | null = null;
  for (const { laid } of [best, ...near].slice(0, most)) {
    const polished = drawn(laid, true);
    if (polished.unreadable < (clearer?.unreadable ?? Infinity)) clearer = polished;
    if (polished.unreadable === 0 || polished.unreadable > FAR) break;
  }
  return clearer;
}

interface Looked {
  laid: Framed;
  covered: number;
  cost: number;
}

/** Of those that hide the fewest words, if they can be large, the first whose links cost little more than any's. */
function clearest<T extends Looked>(drawings: readonly T[], more: number): T | undefined {
  const fewest = Math.min(...drawings.map(({ covered }) => covered));
  const readable = drawings.filter(({ covered }) => covered === fewest);
  const large = readable.filter(({ laid }) => laid.share >= LARGE);
  const chosen = large.length > 0 ? large : readable;
  const least = Math.min(...chosen.map(({ cost }) => cost));
  return chosen.find(({ cost }) => cost <= more * least);
}
