/** What of a pressed key says which it is. */
export type Pressed = Pick<KeyboardEvent, 'key' | 'code' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'> & {
  getModifierState?: (key: 'AltGraph') => boolean;
};

/**
 * What each place of this keyboard writes, learned from the keys that are pressed plainly: where Option writes another
 * sign in place of a letter, that alone tells which letter it is on a keyboard that is not laid out as QWERTY.
 */
const written = new Map<string, string>();

export function learnLayout({ key, code, ctrlKey, metaKey, altKey }: Pressed): void {
  if (!ctrlKey && !metaKey && !altKey && /^[a-z]$/i.test(key)) written.set(code, key.toUpperCase());
}

/** AltGr writes a sign, on Windows as Ctrl and Alt together: it is no chord of anybody's. */
export const isWriting = (pressed: Pick<Pressed, 'getModifierState'>): boolean =>
  pressed.getModifierState?.('AltGraph') ?? false;

/** Whether a key writes a letter or a sign, or begins one: by itself, by a dead key, or by an input method. */
export const writesLetter = ({ key, nativeEvent }: { key: string; nativeEvent: { isComposing: boolean } }): boolean =>
  (key.length === 1 && key !== ' ') || key === 'Dead' || key === 'Process' || nativeEvent.isComposing;

/** Keys that are held together, in one order and one spelling: `Mod` is Ctrl, or ⌘ on a Mac. */
export function chordOf(pressed: Pressed): string {
  const { key, ctrlKey, metaKey, altKey, shiftKey } = pressed;
  if (isWriting(pressed)) return key;
  const name = nameOf(pressed);
  // A sign that needs Shift says so itself.
  const shift = shiftKey && (key.length > 1 || /\p{L}/u.test(name));
  return [...(ctrlKey || metaKey ? ['Mod'] : []), ...(altKey ? ['Alt'] : []), ...(shift ? ['Shift'] : []), name].join(
    '+',
  );
}

/** With Alt a keyboard may make another sign of a letter or digit; what it writes at that place says which it is. */
function nameOf({ key, code, altKey }: Pressed): string {
  const isPlain = /^[a-z0-9]$/i.test(key) || (key.length > 1 && key !== 'Dead');
  if (!altKey || isPlain) return key.length === 1 ? key.toUpperCase() : key;
  const [, letter] = /^Key(.)$/.exec(code) ?? [];
  const [, digit] = /^Digit(.)$/.exec(code) ?? [];
  return written.get(code) ?? letter ?? digit ?? (key.length === 1 ? key.toUpperCase() : key);
}

const isMac = typeof navigator !== 'undefined' && /Mac|iP(hone|ad)/.test(navigator.userAgent);
/** A chord as a person reads it. */
export const showChord = (chord: string): string =>
  chord
    .replace('Mod', isMac ? '⌘' : 'Ctrl')
    .replace(/Arrow(?=Up|Down|Left|Right)/, '')
    .replace('Delete', 'Del')
    .replace('PageDown', 'Page Down')
    .replace('PageUp', 'Page Up')
    .replaceAll('+', ' + ');
