import type { Topic, TopicMap } from '@ichnograph/core';
import type { KeyboardEvent } from 'react';
import { announce } from '../app/announcer';
import { readAloud } from '../map';
import type { Editor } from './editor';

const ARROW_KEYS: Record<string, { x: number; y: number }> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** The shortcuts of the canvas, for the page that shows them. */
export const CANVAS_SHORTCUTS: [keys: string, what: string][] = [
  ['Arrow keys', 'Go to the next topic that way; with Shift, add it to the selection'],
  ['Alt + arrow keys', 'Move the selected topics; with Shift, one unit at a time'],
  ['Tab', 'Grow a topic from the selected one'],
  ['Enter', 'Make a sibling of the selected topic; on a link, type its words'],
  ['F2, or just type', 'Change the words of what is selected'],
  ['Alt + K', 'Link the selected topic to another'],
  ['Alt + J', 'Go to the next link of the selected topic'],
  ['Insert', 'Make a topic in the middle of the view'],
  ['Delete', 'Delete what is selected'],
  ['Ctrl + Z, Ctrl + Shift + Z', 'Undo, redo'],
  ['Ctrl + C, X, V, D', 'Copy, cut, paste, duplicate'],
  ['Ctrl + A', 'Select everything'],
  ['Escape', 'Select nothing; once more, leave the canvas'],
];

/** The nearest topic in a direction, straight ahead counting double. */
function nextTopic(
  topics: readonly Topic[],
  from: { x: number; y: number },
  way: { x: number; y: number },
): Topic | undefined {
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

/** Keys on the canvas itself. Nothing here acts while words are typed or the focus is elsewhere. */
export function onCanvasKey(
  event: KeyboardEvent,
  { store, actions, assignment }: Editor,
  centre: () => { x: number; y: number },
  mayEdit: boolean,
): void {
  if (
    event.target !== event.currentTarget &&
    !(event.target as Element).closest('.react-flow__node, .react-flow__edge, .react-flow__pane')
  )
    return;
  const { map, selection } = store.getState();
  const topics = map.topics.filter(({ id }) => selection.includes(id));
  const command = event.ctrlKey || event.metaKey;
  const take = (act: () => void): void => {
    event.preventDefault();
    act();
  };
  const select = (ids: readonly string[]): void => {
    actions.select(ids);
    const last = ids.at(-1);
    if (last) announce(readAloud(map, assignment.legend, last));
  };
  const way = ARROW_KEYS[event.key];

  if (event.key === 'Escape')
    return take(() => (selection.length > 0 ? actions.select([]) : (event.currentTarget as HTMLElement).blur()));
  if (way && event.altKey && mayEdit)
    return take(() => {
      const step = event.shiftKey ? 1 : 10;
      if (topics.length > 0)
        actions.move(
          topics.map(({ id }) => id),
          { x: way.x * step, y: way.y * step },
        );
    });
  if (way && !command) return take(() => goTo(map, topics, way, event.shiftKey, select));
  if (event.altKey && event.key.toLowerCase() === 'j') return take(() => nextLink(map, selection, select));
  if (!mayEdit) return;
  if (event.altKey && event.key.toLowerCase() === 'k' && topics.length === 1) return take(() => actions.askLink(true));
  if (command) return commandKey(event, actions, take);
  if (event.altKey) return;
  if (event.key === 'Insert') return take(() => actions.make(centre()));
  if (event.key === 'Delete' || event.key === 'Backspace') return take(() => actions.remove());
  if (event.key === 'Tab' && !event.shiftKey && topics.length === 1 && selection.length === 1)
    return take(() => actions.grow(false));
  if (selection.length !== 1) return;
  const [id] = selection as [string];
  if (event.key === 'Enter') return take(() => (topics.length === 1 ? actions.grow(true) : actions.edit(id)));
  if (event.key === 'F2') return take(() => actions.edit(id));
  if (event.key.length === 1 && event.key !== ' ') return take(() => actions.editFrom(id, event.key));
}

function goTo(
  map: TopicMap,
  chosen: readonly Topic[],
  way: { x: number; y: number },
  add: boolean,
  select: (ids: readonly string[]) => void,
): void {
  const from = chosen.at(-1);
  const next = from ? nextTopic(map.topics, from, way) : map.topics[0];
  if (next) select(add ? [...new Set([...chosen.map(({ id }) => id), next.id])] : [next.id]);
}

/** Goes round the links of the selected topic, or of the link's own start. */
function nextLink(map: TopicMap, selection: readonly string[], select: (ids: readonly string[]) => void): void {
  const [id] = selection;
  const current = map.links.find((link) => link.id === id);
  const hub = current?.from ?? id;
  const links = map.links.filter(({ from, to }) => from === hub || to === hub);
  const next = links[(links.findIndex((link) => link.id === id) + 1) % Math.max(1, links.length)];
  if (next) select([next.id]);
  else announce('This topic has no links yet.');
}

function commandKey(event: KeyboardEvent, actions: Editor['actions'], take: (act: () => void) => void): void {
  switch (event.key.toLowerCase()) {
    case 'z':
      return take(event.shiftKey ? actions.redo : actions.undo);
    case 'y':
      return take(actions.redo);
    case 'a':
      return take(actions.selectAll);
    case 'c':
      return take(actions.copy);
    case 'x':
      return take(() => {
        actions.copy();
        actions.remove();
      });
    case 'v':
      return take(() => actions.paste());
    case 'd':
      return take(actions.duplicate);
  }
}
