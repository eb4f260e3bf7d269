import { announce } from '../../common/announcer';
import type { KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';
import { chordOf, isWriting, writesLetter } from '../../common/chords';
import { ARROW_KEYS, goTo, isOnCanvas } from '../../map';
import { commandOf } from './list';
import type { Command, DeskHand } from './command';

/** Keys that are held for others, and say nothing by themselves. */
const ON_THEIR_OWN = new Set(['Shift', 'Control', 'Alt', 'Meta', 'CapsLock']);

/** Keys on the canvas itself. Nothing here acts while words are typed or the focus is elsewhere. */
export function onCanvasKey(event: KeyboardEvent, commands: readonly Command[], desk: DeskHand): void {
  if (!isOnCanvas(event)) return;
  const { store, actions } = desk.editor;
  const { map, selection, leading } = store.getState();
  if (leading && !ON_THEIR_OWN.has(event.key)) {
    event.preventDefault();
    event.stopPropagation();
    actions.lead(false);
    const led = commands.find(({ leader }) => leader === event.key.toUpperCase());
    if (led && (led.can?.(store.getState()) ?? true)) led.run(desk);
    return;
  }
  const way = ARROW_KEYS[event.key];
  // AltGr holds Ctrl and Alt on some keyboards, and writes a sign.
  const writes = isWriting(event);
  const command = !writes && (event.ctrlKey || event.metaKey);
  if (way && event.altKey && !writes) {
    event.preventDefault();
    if (desk.mayEdit) nudge(desk, way, event.shiftKey ? 1 : 10);
  } else if (way && !command) {
    event.preventDefault();
    goTo(map, selection, way, event.shiftKey, actions.select);
  } else if (
    desk.mayEdit &&
    selection.length === 1 &&
    !command &&
    (writes || !event.altKey) &&
    writesLetter(event) &&
    !isAsking(event)
  ) {
    // The field opens before the key takes effect: the letter goes into it, and so does whatever a dead key or an
    // input method makes of the keys that follow.
    flushSync(() => actions.typeOver(selection[0]!));
  } else {
    const wanted = commandOf(chordOf(event), 'canvas', commands, store.getState());
    if (!wanted) return;
    event.preventDefault();
    // A key that is held makes one topic, not a row of them.
    if (!event.repeat) wanted.run(desk);
  }
}

/** The key that lists the keys. */
const isAsking = ({ key, shiftKey }: KeyboardEvent): boolean => key === '?' && shiftKey;

function nudge({ editor: { store, actions } }: DeskHand, way: { x: number; y: number }, step: number): void {
  const { map, selection } = store.getState();
  const topics = map.topics.filter(({ id }) => selection.includes(id)).map(({ id }) => id);
  if (topics.length === 0) return;
  actions.move(topics, { x: way.x * step, y: way.y * step });
  announce(`${step} to the ${way.x < 0 ? 'left' : way.x > 0 ? 'right' : way.y < 0 ? 'top' : 'bottom'}.`);
}
