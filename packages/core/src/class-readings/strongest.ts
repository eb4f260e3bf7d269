import type { Concept } from './concepts.js';
import type { Tie } from './composite.js';

export type StrongTie = Pick<Tie, 'a' | 'b' | 'maps'>;

/**
 * The strongest structure of a composite: the Pathfinder network for r = ∞ and q = n − 1 (Schvaneveldt 1990), where a tie
 * is the shorter the more maps draw it. A tie stays unless a path of ties that more maps draw joins its ends too; so ties are
 * taken by how many draw them, and those that join what stronger ones have joined already are left out.
 * @param ties most maps first
 */
export function strongestOf(ties: readonly Tie[]): StrongTie[] {
  const parts = new Parts();
  const kept: StrongTie[] = [];
  for (let at = 0; at < ties.length;) {
    const { maps } = ties[at]!;
    const alike = ties.slice(at).filter((tie) => tie.maps === maps);
    // Ties that equally many draw do not outdo each other: all are looked at before any of them joins.
    const strong = alike.filter(({ a, b }) => parts.of(a) !== parts.of(b));
    kept.push(...strong.map(({ a, b }) => ({ a, b, maps })));
    for (const { a, b } of strong) parts.join(a, b);
    at += alike.length;
  }
  return kept;
}

/** Which concepts hang together so far. */
class Parts {
  private readonly above = new Map<Concept, Concept>();

  of(concept: Concept): Concept {
    let top = concept;
    for (let next = this.above.get(top); next !== undefined; next = this.above.get(top)) top = next;
    if (top !== concept) this.above.set(concept, top);
    return top;
  }

  join(a: Concept, b: Concept): void {
    const [one, other] = [this.of(a), this.of(b)];
    if (one !== other) this.above.set(one, other);
  }
}
