import { boxesMeet, boxOf, drawLink, drawnPart, entersBox, meetingPoint, polyline } from '@ichnograph/core';
import type { Assignment, TopicMap } from '@ichnograph/core';

/**
 * The geometric requirements as one would first write them: everything with everything, no index, no box around a line.
 * Kept to be compared with; answers what each counts.
 */
export const ALL_PAIRS: Record<string, (map: TopicMap, assignment: Assignment) => number> = {
  'few-crossings': ({ topics, links }, { legend }) => {
    const topicById = new Map(topics.map((topic) => [topic.id, topic]));
    const lines = links.map((link) => drawnPart(link, topicById.get(link.from)!, topicById.get(link.to)!, legend));
    let found = 0;
    links.forEach((one, a) => {
      for (let b = a + 1; b < links.length; b++) {
        const other = links[b]!;
        if (one.from === other.from || one.from === other.to || one.to === other.from || one.to === other.to) continue;
        if (meetingPoint(lines[a]!, lines[b]!)) found++;
      }
    });
    return found;
  },
  'no-overlaps': ({ topics }) => {
    const boxes = topics.map((topic) => boxOf(topic));
    const flagged = new Set<number>();
    boxes.forEach((one, a) => {
      for (let b = a + 1; b < boxes.length; b++) {
        const other = boxes[b]!;
        const wide = Math.min(one.right, other.right) - Math.max(one.left, other.left);
        const high = Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top);
        if (wide > 0 && high > 0) flagged.add(a).add(b);
      }
    });
    return flagged.size;
  },
  'clear-text': ({ topics, links }, { legend }) => {
    const topicById = new Map(topics.map((topic) => [topic.id, topic]));
    const boxes = topics.map((topic) => boxOf(topic, -4));
    return links.filter((link) => {
      const line = polyline(drawnPart(link, topicById.get(link.from)!, topicById.get(link.to)!, legend));
      return topics.some(
        ({ id, z = 1, fill }, t) =>
          id !== link.from && id !== link.to && !(z >= (link.z ?? 0) && fill !== 'none') && entersBox(line, boxes[t]!),
      );
    }).length;
  },
  'clear-phrases': ({ topics, links }, { legend }) => {
    const topicById = new Map(topics.map((topic) => [topic.id, topic]));
    const drawn = links.map((link) => {
      const ends = [topicById.get(link.from)!, topicById.get(link.to)!] as const;
      return {
        line: polyline(drawnPart(link, ...ends, legend)),
        box: drawLink(link, ...ends, legend).phrase?.box ?? null,
      };
    });
    const topicBoxes = topics.map((topic) => boxOf(topic));
    return drawn.filter(
      ({ box }, i) =>
        box &&
        (topicBoxes.some((topic) => boxesMeet(box, topic)) ||
          drawn.some(
            (other, k) => k !== i && ((other.box && boxesMeet(box, other.box)) || entersBox(other.line, box)),
          )),
    ).length;
  },
};
