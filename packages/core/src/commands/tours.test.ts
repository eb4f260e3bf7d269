import { applyChanges } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import type { TopicMap } from '../map/types.js';
import { stopView, tourLine, tourStops, usualStops } from '../outline/tour.js';
import { link, mapOf, topic } from '../testing/make.js';
import { addStops, makeTour, moveStop, nameTour, removeStop, removeTour, sayAtStop } from './tours.js';

const maker = { newId: () => 't', by: 'juno' };
const map = mapOf(
  [topic('a'), topic('b', { x: 300 }), topic('c', { x: 600, y: 200 })],
  [link('a', 'b'), link('b', 'c')],
);
const after = (now: TopicMap, outcome: Outcome): TopicMap => {
  if (!outcome.ok) throw new Error(outcome.code);
  return applyChanges(now, outcome.changes);
};
const begun = after(map, makeTour(map, ' Way ', ['c', 'a', 'gone'], maker));
const stops = (now: TopicMap): string => now.tours[0]!.stops.map(({ topic: id }) => id).join('');

test('a tour begins with what was chosen, and its stops are added, moved, taken away', () => {
  expect(begun.tours).toEqual([
    {
      id: 't',
      title: 'Way',
      stops: [
        { topic: 'c', words: '' },
        { topic: 'a', words: '' },
      ],
    },
  ]);
  expect(stops(after(begun, addStops(begun, 't', ['b'])))).toBe('cab');
  expect(stops(after(begun, addStops(begun, 't', ['b', 'c'], 0)))).toBe('cbca');
  expect(stops(after(begun, moveStop(begun, 't', 1, 0)))).toBe('ac');
  expect(moveStop(begun, 't', 1, 2)).toEqual({ ok: true, changes: [] });
  expect(stops(after(begun, removeStop(begun, 't', 0)))).toBe('a');
  expect(after(begun, removeTour(begun, 't')).tours).toEqual([]);
});

test('words are said at a stop, and no longer than there is room', () => {
  expect(after(begun, sayAtStop(begun, 't', 1, 'Here it begins.')).tours[0]!.stops[1]!.words).toBe('Here it begins.');
  expect(sayAtStop(begun, 't', 1, 'x'.repeat(5001))).toMatchObject({ code: 'noteTooLong' });
  expect(after(begun, nameTour(begun, 't', 'Other')).tours[0]!.title).toBe('Other');
  expect(nameTour(begun, 't', 'x'.repeat(301))).toMatchObject({ code: 'titleTooLong' });
  for (const refusal of [nameTour(begun, 'x', ''), removeTour(begun, 'x'), addStops(begun, 'x', ['a'])])
    expect(refusal).toMatchObject({ code: 'tourGone' });
});

test('what is no longer on the map is passed over, and its words stay stored', () => {
  const less = { ...begun, topics: begun.topics.filter(({ id }) => id !== 'c') };
  expect(tourStops(less, less.tours[0]!).map(({ at, topic: { id } }) => [at, id])).toEqual([[1, 'a']]);
});

test('its line goes from middle to middle, and a topic that is gone to twice bears both numbers', () => {
  const twice = after(begun, addStops(begun, 't', ['c']));
  const line = tourLine(twice, twice.tours[0]!);
  expect(line.points).toEqual([
    { x: 600, y: 200 },
    { x: 0, y: 0 },
    { x: 600, y: 200 },
  ]);
  expect(line.numbers).toEqual([
    { x: 550, y: 180, words: '1, 3' },
    { x: -50, y: -20, words: '2' },
  ]);
});

test('without a choice it leads from what all hangs from through its branches', () => {
  expect(usualStops(map)).toEqual(['a', 'b']);
});

test('a stop is seen with what hangs from it, never closer than can be borne, and its topic stands in the middle', () => {
  for (const one of map.topics) {
    const { left, right, top, bottom } = stopView(map, one);
    expect([(left + right) / 2, (top + bottom) / 2]).toEqual([one.x, one.y]);
    expect(right - left).toBeGreaterThanOrEqual(420);
  }
  const { right } = stopView(map, map.topics[0]!);
  expect(right).toBeGreaterThan(350);
});
