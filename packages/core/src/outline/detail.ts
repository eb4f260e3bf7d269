import { hangsBy } from '../commands/hanging.js';
import { boxesMeet } from '../geometry/boxes.js';
import { boxOf, unionOf } from '../geometry/points.js';
import type { Box, Point } from '../geometry/points.js';
import { layoutText } from '../geometry/text.js';
import type { TextLine } from '../geometry/text.js';
import { topicStyle } from '../map/style.js';
import type { Legend, Link, Topic, TopicMap } from '../map/types.js';

/** Letters that are smaller cannot be read, screen pixels; the size of headings, and how wide and high they may become. */
const [READABLE, SIZE, LINES] = [8, 13, 2] as const;
const WIDTHS = [150, 84] as const;
/** Maps of fewer topics are taken in at a glance, however small they are drawn. */
export const LARGE_MAP = 40;
/** Headings are few, or they are no help; air round each, screen pixels. */
const [MOST, AIR] = [24, 5] as const;

/** A topic that is drawn large over what hangs from it, in canvas units. */
export interface Heading {
  id: string;
  text: string;
  at: Point;
  fontSize: number;
  /** each with the left end of its baseline, around `at` */
  lines: (TextLine & Point)[];
  box: Box;
  /** around all that hangs from it */
  around: Box;
  /** the topics and links that are nearer to it than to any other heading */
  marks: string[];
}

export interface Detail {
  /** whether the words of topics and links are drawn; if not, their shapes alone */
  words: boolean;
  headings: Heading[];
}

/**
 * What of a map is drawn at a scale, so that it says something from afar too: where most topics' letters could not be read,
 * their shapes alone, and over them in letters of one size the headings that most hangs from, as many as stand clear of
 * each other.
 * @param scale screen pixels to a canvas unit
 */
export function detailAt(map: TopicMap, legend: Legend | undefined, scale: number): Detail {
  const sizes = map.topics.map((topic) => topicStyle(topic, legend).fontSize).sort((a, b) => a - b);
  const usual = sizes[sizes.length >> 1];
  if (usual === undefined || map.topics.length < LARGE_MAP || usual * scale >= READABLE)
    return { words: true, headings: [] };
  const branches = branchesOf(map);
  const headings: Heading[] = [];
  for (const branch of branches) {
    if (headings.length === MOST) break;
    const heading = placesOf(branch)
      .flatMap((at) => WIDTHS.map((wide) => headingAt(branch, at, wide, scale)))
      .find(({ box }) => headings.every((other) => !boxesMeet(box, other.box)));
    if (heading) headings.push(heading);
  }
  return { words: false, headings: withMarks(map, headings) };
}

interface Branch {
  head: Topic;
  box: Box;
  isRoot: boolean;
}

/** All topics from which something hangs, that from which most does first. */
function branchesOf(map: TopicMap): Branch[] {
  const hangs = hangsBy(map);
  const branches = new Map(
    map.topics.map((head): [string, Branch & { count: number }] => [
      head.id,
      { head, box: boxOf(head), isRoot: !hangs.has(head.id), count: 1 },
    ]),
  );
  // From the leaves up: each is whole before what it hangs from takes it in.
  for (const { id } of fromLeaves(map.topics, hangs)) {
    const { box, count } = branches.get(id)!;
    const above = branches.get(hangs.get(id)?.from ?? '');
    if (above) Object.assign(above, { box: unionOf([above.box, box])!, count: above.count + count });
  }
  return [...branches.values()].filter(({ count }) => count > 1).sort((a, b) => b.count - a.count);
}

function fromLeaves(topics: readonly Topic[], hangs: ReadonlyMap<string, Link>): Topic[] {
  const waiting = new Map(topics.map(({ id }) => [id, 0]));
  const byId = new Map(topics.map((topic) => [topic.id, topic]));
  for (const { from } of hangs.values()) waiting.set(from, waiting.get(from)! + 1);
  const order = topics.filter(({ id }) => waiting.get(id) === 0);
  for (const { id } of order) {
    const from = hangs.get(id)?.from;
    if (from === undefined) continue;
    waiting.set(from, waiting.get(from)! - 1);
    if (waiting.get(from) === 0) order.push(byId.get(from)!);
  }
  return order;
}

/** Over the middle of what hangs from it, or where it stands itself; that of all at its own place first. */
function placesOf({ head, box, isRoot }: Branch): Point[] {
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
  return isRoot ? [head, middle] : [middle, head];
}

function headingAt({ head, box: around }: Branch, { x, y }: Point, wide: number, scale: number): Heading {
  const { id, text } = head;
  const fontSize = SIZE / scale;
  const { lines, lineHeight } = layoutText(text, { fontSize, bold: true }, wide / scale);
  const shown = lines.slice(0, LINES);
  const [width, height] = [Math.max(...shown.map((line) => line.width)), shown.length * lineHeight];
  const air = AIR / scale;
  return {
    id,
    text,
    at: { x, y },
    fontSize,
    lines: shown.map((line, i) => ({
      ...line,
      x: -line.width / 2,
      y: (i + 0.5) * lineHeight - height / 2 + fontSize * 0.34,
    })),
    box: {
      left: x - width / 2 - air,
      right: x + width / 2 + air,
      top: y - height / 2 - air,
      bottom: y + height / 2 + air,
    },
    around,
    marks: [],
  };
}

function withMarks(map: TopicMap, headings: readonly Heading[]): Heading[] {
  const hangs = hangsBy(map);
  const shown = new Set(headings.map(({ id }) => id));
  const nearest = (id: string): string | undefined => {
    let at: string | undefined = id;
    while (at !== undefined && !shown.has(at)) at = hangs.get(at)?.from;
    return at;
  };
  const marks = new Map<string, string[]>(headings.map(({ id }) => [id, []]));
  for (const { id } of map.topics) marks.get(nearest(id) ?? '')?.push(id);
  for (const { id, from } of map.links) marks.get(nearest(from) ?? '')?.push(id);
  return headings.map((heading) => ({ ...heading, marks: marks.get(heading.id)! }));
}
