import { chordOf, learnLayout } from './chords';
import type { Pressed } from './chords';

const press = (key: string, code: string, held: Partial<Pressed> = {}): Pressed => ({
  key,
  code,
  ctrlKey: false,
  metaKey: false,
  altKey: false,
  shiftKey: false,
  ...held,
});

test.each<[string, Pressed, string]>([
  ['a letter', press('f', 'KeyF'), 'F'],
  ['a letter with Shift', press('F', 'KeyF', { shiftKey: true }), 'Shift+F'],
  ['a sign that needs Shift', press('?', 'Slash', { shiftKey: true }), '?'],
  ['the same sign on a French keyboard', press('?', 'KeyM', { shiftKey: true }), '?'],
  ['⌘ or Ctrl', press('z', 'KeyZ', { metaKey: true, shiftKey: true }), 'Mod+Shift+Z'],
  ['undo on AZERTY, where Z lies at W', press('z', 'KeyW', { ctrlKey: true }), 'Mod+Z'],
  ['Alt on AZERTY, where A lies at Q', press('a', 'KeyQ', { altKey: true }), 'Alt+A'],
  ['Alt on Dvorak, where J lies at C', press('j', 'KeyC', { altKey: true }), 'Alt+J'],
  ['Alt and a digit of the upper row on AZERTY', press('&', 'Digit1', { altKey: true }), 'Alt+1'],
  ['Option on a Mac writes another sign', press('∆', 'KeyJ', { altKey: true }), 'Alt+J'],
  ['Option on a Mac makes a dead key', press('Dead', 'KeyE', { altKey: true }), 'Alt+E'],
  ['keys with names', press('PageDown', 'PageDown', { altKey: true }), 'Alt+PageDown'],
  ['arrows', press('ArrowUp', 'ArrowUp', { altKey: true, shiftKey: true }), 'Alt+Shift+ArrowUp'],
])('%s', (_, pressed, chord) => {
  expect(chordOf(pressed)).toBe(chord);
});

test('AltGr writes, and is no chord', () => {
  const altGraph = { ctrlKey: true, altKey: true, getModifierState: (key: string) => key === 'AltGraph' };
  expect(chordOf(press('@', 'KeyQ', altGraph))).toBe('@');
});

test('Option on a Mac with a French layout: what was typed before tells which letter it is', () => {
  expect(chordOf(press('‡', 'KeyQ', { altKey: true }))).toBe('Alt+Q');
  learnLayout(press('a', 'KeyQ'));
  expect(chordOf(press('‡', 'KeyQ', { altKey: true }))).toBe('Alt+A');
});
