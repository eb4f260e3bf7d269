import { candidatePairs, meetingPoint } from '../geometry/meetings.js';
import type { Point } from '../geometry/points.js';
import type { MapIndex } from './map-index.js';
import type { Link } from './types.js';

export interface Crossing {
  links: [Link, Link];
  at: Point;
}

/** The unordered pairs of links with no end in common whose drawn parts meet, each with a point where they do. */
export function crossingsOf(index: MapIndex): Crossing[] {
  const { links } = index.map;
  const lines = links.map((link) => index.drawnPart(link));
  return candidatePairs(lines).flatMap(([a, b]): Crossing[] => {
    const [one, other] = [links[a]!, links[b]!];
    if ([other.from, other.to].some((end) => end === one.from || end === one.to)) return [];
    const at = meetingPoint(lines[a]!, lines[b]!);
    return at ? [{ links: [one, other], at }] : [];
  });
}
