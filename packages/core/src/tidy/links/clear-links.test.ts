import { boxesMeet, entersBox } from '../../geometry/boxes.js';
import { drawLink } from '../../geometry/draw-link.js';
import { boxOf, distanceToSegment, polyline } from '../../geometry/points.js';
import type { Link, Topic } from '../../map/types.js';
import { link, topic } from '../../testing/make.js';
import { clearLinks } from './clear-links.js';
import { Ground } from './ways.js';

/** How many words lie on topics, on other words, or under a line, as drawn. */
function hidden(topics: readonly Topic[], links: readonly Link[]): number {
  const byId = new Map(topics.map((one) => [one.id, one]));
  const drawn = links.map((one) => {
    const { line, phrase } = drawLink(one, byId.get(one.from)!, byId.get(one.to)!, undefined);
    return { line: polyline(line), words: phrase?.box };
  });
  return drawn.filter(
    ({ words }, i) =>
      words &&
      (topics.some((one) => boxesMeet(words, boxOf(one))) ||
        drawn.some((other, o) => o !== i && entersBox(other.line, words)) ||
        drawn.some((other, o) => o !== i && other.words && boxesMeet(words, other.words))),
  ).length;
}

function cleared(topics: readonly Topic[], links: readonly Link[]) {
  const { courses, unreadable } = clearLinks(topics, links, new Set(links.map(({ id }) => id)), { legend: undefined });
  return { links: links.map((one) => ({ ...one, ...courses.get(one.id) })), unreadable };
}

test('two that are near each other and linked both ways in long words make room for both', () => {
  const topics = [topic('a'), topic('b', { x: 10, y: 140 })];
  const links = [link('a', 'b', { phrase: 'hands its load on to' }), link('b', 'a', { phrase: 'pushes outward on' })];
  expect(hidden(topics, links)).toBe(2);
  const now = cleared(topics, links);
  expect(now.unreadable).toBe(0);
  expect(hidden(topics, now.links)).toBe(0);
});

test('the lines that ways are chosen by run where they are drawn, however long', () => {
  const [from, to] = [topic('from'), topic('to', { x: 2600, y: 900 })];
  const [one] = [link('from', 'to', { phrase: 'carries' })];
  const ways = new Ground([from, to], undefined, () => [], false, false).moreWaysOf(one);
  expect(ways.length).toBeGreaterThan(100);
  for (const { route, line } of ways) {
    const drawn = drawLink({ ...one, ...route }, from, to, undefined).line;
    const off = drawn
      .slice(1, -1)
      .map((point) =>
        Math.min(...line.points.slice(1).map((end, i) => distanceToSegment(point, line.points[i]!, end))),
      );
    expect(Math.max(0, ...off)).toBeLessThan(1.2);
  }
});

test('where there is no room it says of how many links that is so', () => {
  const topics = [topic('a'), topic('b', { x: 130 })];
  const [one] = [link('a', 'b', { phrase: 'hands its load on to', route: 'straight' })];
  const { unreadable, courses } = clearLinks(topics, [one], new Set([one.id]), { legend: undefined, keepRoutes: true });
  expect([unreadable, courses.get(one.id)!.route]).toEqual([1, 'straight']);
});
