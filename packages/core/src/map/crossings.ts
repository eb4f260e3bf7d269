import { eachCandidate, meetingPoint } from '../geometry/meetings.js';
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
  const found: Crossing[] = [];
  eachCandidate(
    lines,
    (a, b) => {
      const [one, other] = [links[a]!, links[b]!];
      if (other.from === one.from || other.from === one.to || other.to === one.from || other.to === one.to) return;
      const at = meetingPoint(lines[a]!.points, lines[b]!.points);
      if (at) found.push({ links: [one, other], at });
    },
    index.pulse,
  );
  return found;
}
