import type { Assignment, Topic, TopicMap } from '@ichnograph/core';
import type { KeyboardEvent } from 'react';
import { announce } from '../../common/announcer';
import { chordOf } from '../../common/chords';
import { readAloud } from '../reading/reading-line';

interface Way {
  x: number;
  y: number;
}

export const ARROW_KEYS: Record<string, Way> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

type Select = (ids: readonly string[]) => void;

/** Whether a key was meant for the canvas, and not for something that lies on it. */
export const isOnCanvas = ({ target, currentTarget }: KeyboardEvent): boolean =>
  target === currentTarget ||
  (target as Element).closest('.react-flow__node, .react-flow__edge, .react-flow__pane') !== null;

/** Says what was chosen, to those who do not see it. */
export const selectAloud =
  (map: TopicMap, assignment: Assignment, select: Select, more: (id: string) => string): Select =>
  (ids) => {
    select(ids);
    const last = ids.at(-1);
    if (last) announce([readAloud(map, assignment, last), more(last)].filter((words) => words !== '').join('. '));
  };

/** The nearest topic in a direction, straight ahead counting double. */
function nextTopic(topics: readonly Topic[], from: Way, way: Way): Topic | undefined {
  let [best, least] = [undefined as Topic | undefined, Infinity];
  for (const topic of topics) {
    const [dx, dy] = [topic.x - from.x, topic.y - from.y];
    const ahead = dx * way.x + dy * way.y;
    const aside = Math.abs(dx * way.y) + Math.abs(dy * way.x);
    if (ahead <= 1) continue;
    const cost = ahead + 2 * aside;
    if (cost < least) [best, least] = [topic, cost];
  }
  return best;
}

/** Goes from the last chosen topic the way of an arrow; from nothing to the first. */
export function goTo(map: TopicMap, selection: readonly string[], way: Way, add: boolean, select: Select): void {
  const chosen = map.topics.filter(({ id }) => selection.includes(id));
  const from = chosen.find(({ id }) => id === selection.at(-1)) ?? chosen.at(-1);
  const next = from ? nextTopic(map.topics, from, way) : map.topics[0];
  if (next) select(add ? [...selection.filter((id) => id !== next.id), next.id] : [next.id]);
}

/** Goes round the links of the selected topic, or of the link's own start. */
export function nextLink(map: TopicMap, selection: readonly string[], select: Select): void {
  const [id] = selection;
  const current = map.links.find((link) => link.id === id);
  const hub = current?.from ?? id;
  const links = map.links.filter(({ from, to }) => from === hub || to === hub);
  const next = links[(links.findIndex((link) => link.id === id) + 1) % Math.max(1, links.length)];
  if (next) select([next.id]);
  else announce('This topic has no links yet.');
}

/**
 * The keys of a map that is there to be read: arrows choose, Alt+J goes along links, Escape lets go.
 * @param more what else is told of what was chosen
 */
export function onReadingKey(
  event: KeyboardEvent,
  map: TopicMap,
  assignment: Assignment,
  selection: readonly string[],
  onSelect: Select,
  more: (id: string) => string = () => '',
): void {
  if (!isOnCanvas(event) || event.ctrlKey || event.metaKey) return;
  const select = selectAloud(map, assignment, onSelect, more);
  const way = ARROW_KEYS[event.key];
  if (way && !event.altKey) goTo(map, selection, way, event.shiftKey, select);
  else if (chordOf(event) === 'Alt+J') nextLink(map, selection, select);
  else if (event.key === 'Escape' && selection.length > 0) onSelect([]);
  else return;
  event.preventDefault();
}
