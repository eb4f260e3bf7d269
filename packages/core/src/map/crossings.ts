import { meetingPoint } from '../geometry/meetings.js';
import type { Point } from '../geometry/points.js';
import type { MapIndex } from './map-index.js';
import type { Link } from './types.js';

export interface Crossing {
  links: [Link, Link];
  at: Point;
}

/** The unordered pairs of links with no end in common whose drawn parts meet, each with a point where they do. */
export function crossingsOf(index: MapIndex): Crossing[] {
  const lines = index.lines.filter(({ part }) => part.points.length > 1);
  const found = index.drawings.meetings.find(
    lines,
    lines,
    ({ link: one, part }, { link: other, part: theirs }) =>
      other.from === one.from || other.from === one.to || other.to === one.from || other.to === one.to
        ? null
        : meetingPoint(part.points, theirs.points),
    { within: true, pulse: index.pulse },
  );
  return found.map(({ a, b, hit }) => ({ links: [a.link, b.link], at: hit }));
}
