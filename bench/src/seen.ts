import { boxesMeet, boxOf, drawLink, entersBox, meetingPoint, polyline } from '@ichnograph/core';
import type { Box, Link, Polyline, TopicMap } from '@ichnograph/core';

/** What is to be seen on a drawing that makes it hard to read. */
export interface Seen {
  crossings: number;
  throughWords: number;
  overlaps: number;
}

export function seenOf({ topics, links }: TopicMap): Seen {
  const byId = new Map(topics.map((topic) => [topic.id, topic]));
  const drawn = links.map((link) => {
    const drawing = drawLink(link, byId.get(link.from)!, byId.get(link.to)!, undefined);
    return { link, line: polyline(drawing.line), words: drawing.phrase?.box ?? null };
  });
  return seen(
    topics.map((topic) => boxOf(topic)),
    drawn,
  );
}

export interface Drawn {
  link: Link;
  line: Polyline;
  words: Box | null;
}

export function seen(topics: readonly Box[], drawn: readonly Drawn[]): Seen {
  const result = { crossings: 0, throughWords: 0, overlaps: 0 };
  const shrunk = topics.map(inner);
  topics.forEach((box, i) => {
    for (const other of shrunk.slice(i + 1)) if (boxesMeet(inner(box), other)) result.overlaps++;
  });
  drawn.forEach((one, i) => {
    if (one.words) for (const box of shrunk) if (boxesMeet(one.words, box)) result.overlaps++;
    drawn.forEach((other, j) => {
      if (i === j) return;
      if (other.words && boxesMeet(one.line.box, other.words) && entersBox(one.line, other.words))
        result.throughWords++;
      if (j <= i) return;
      if (one.words && other.words && boxesMeet(one.words, other.words)) result.overlaps++;
      const ends = [one.link.from, one.link.to];
      if (ends.includes(other.link.from) || ends.includes(other.link.to)) return;
      if (boxesMeet(one.line.box, other.line.box) && meetingPoint(one.line.points, other.line.points))
        result.crossings++;
    });
  });
  return result;
}
const inner = ({ left, top, right, bottom }: Box): Box => ({
  left: left + 0.5,
  top: top + 0.5,
  right: right - 0.5,
  bottom: bottom - 0.5,
});
