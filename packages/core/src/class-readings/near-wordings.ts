import { connectedParts } from '../map-index/graph.js';
import { grouped } from '../grouped.js';
import { slack } from '../map/terms.js';
import { alignmentDistance } from '../words/edit-distance.js';
import { byCodePoints } from './code-points.js';
import type { Said } from './reading.js';

const pairOf = ({ from, to }: Said): string => JSON.stringify([from, to].sort(byCodePoints));

/** Whether two folded phrases say nearly the same: the same words, in whatever order, or one a misspelling of the other. */
export function areNearWordings(one: string, other: string): boolean {
  const [a, b] = [wordsOf(one), wordsOf(other)];
  if (a.length === b.length && a.every((word, i) => word === b[i])) return true;
  if (one === '' || other === '') return false;
  const most = Math.min(slack(one), slack(other));
  return alignmentDistance(one, other, most) <= most;
}

const wordsOf = (folded: string): string[] => [...new Set(folded.split(' '))].sort(byCodePoints);

/**
 * Puts propositions together that join the same two concepts in near wordings, whichever way they read. Groups stand where
 * their first member stands, members keep their order.
 */
export function nearWordings<T extends Said>(propositions: readonly T[]): T[][] {
  const order = new Map(propositions.map((one, i) => [one, i]));
  return [...grouped(propositions, pairOf).values()]
    .flatMap((ofPair) => {
      const near = new Map(
        ofPair.map((one, i) => [
          String(i),
          new Set(ofPair.flatMap((other, j) => (areNearWordings(one.phrase, other.phrase) ? [String(j)] : []))),
        ]),
      );
      return connectedParts([...near.keys()], near).map((part) => part.map((i) => ofPair[Number(i)]!));
    })
    .sort((a, b) => order.get(a[0]!)! - order.get(b[0]!)!);
}
