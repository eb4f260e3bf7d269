import { byCodePoints } from './code-points.js';
import type { Concept } from './concepts.js';
import { keyOf } from './reading.js';
import type { Reading, Said } from './reading.js';
import { Spellings } from './spellings.js';

/** A proposition of a class: what is said, in whose maps, and how it is spelled for people. */
export interface ClassProposition extends Said {
  label: Said;
  /** positions of the maps that hold it */
  maps: number[];
  /** how many maps hold it the other way round, and not this way */
  turned: number;
}

/** Every proposition of any map; most maps first, then by from, to, phrase. */
export function propositionsOf(
  readings: readonly Reading[],
  labelOf: (concept: Concept) => string,
): ClassProposition[] {
  const found = new Map<string, { said: Said; maps: number[]; spellings: Spellings }>();
  readings.forEach(({ propositions }, position) => {
    for (const [key, { said, links }] of propositions) {
      const own = found.get(key) ?? { said, maps: [], spellings: new Spellings() };
      found.set(key, own);
      own.maps.push(position);
      for (const { phrase } of links) own.spellings.add(phrase);
    }
  });
  return [...found.values()]
    .map(({ said, maps, spellings }): ClassProposition => {
      const { from, phrase, to } = said;
      const other = found.get(keyOf({ from: to, phrase, to: from }))?.maps ?? [];
      const held = new Set(maps);
      return {
        ...said,
        label: { from: labelOf(from), phrase: spellings.commonest, to: labelOf(to) },
        maps,
        turned: other.filter((position) => !held.has(position)).length,
      };
    })
    .sort(
      (a, b) =>
        b.maps.length - a.maps.length ||
        byCodePoints(a.from, b.from) ||
        byCodePoints(a.to, b.to) ||
        byCodePoints(a.phrase, b.phrase),
    );
}
