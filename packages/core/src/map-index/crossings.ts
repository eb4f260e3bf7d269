import type { HitFinder, Thing } from '../geometry/hits.js';
import { meetingPoint } from '../geometry/meetings.js';
import type { Pulse } from '../pulse.js';
import type { Point, Polyline } from '../geometry/points.js';
import type { Link } from '../map/types.js';

/** A link with its drawn part, known again in the next map as long as nothing of it changed. */
export interface Line extends Thing {
  link: Link;
  part: Polyline;
}

export interface Crossing {
  links: [Link, Link];
  at: Point;
}

/** The unordered pairs of links with no end in common whose drawn parts meet, each with a point where they do. */
export function crossingsOf(lines: readonly Line[], meetings: HitFinder<Point>, pulse: Pulse): Crossing[] {
  const drawn = lines.filter(({ part }) => part.points.length > 1);
  const found = meetings.find(
    drawn,
    drawn,
    ({ link: one, part }, { link: other, part: theirs }) =>
      other.from === one.from || other.from === one.to || other.to === one.from || other.to === one.to
        ? null
        : meetingPoint(part.points, theirs.points),
    { within: true, pulse },
  );
  return found.map(({ a, b, hit }) => ({ links: [a.link, b.link], at: hit }));
}
