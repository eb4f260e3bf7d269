/**
 * How deep a foreign value may be nested, counted from the member it belongs to (a topic, a link). Deeper than anything
 * the formats need, and far from where readers and databases break.
 */
export const MOST_NESTED = 12;

/** A name that sets what an object inherits, in some of the ways in which objects are made; or that is no text. */
export const isUnfitName = (name: string): boolean => name === '__proto__' || !name.isWellFormed();

export type Unfit = 'nested too deep' | 'no plain value';

/**
 * A foreign value as plain JSON: own fields only, text without halves of characters, nothing nested too deep. What cannot
 * be kept is left out and named. A value with nothing wrong comes back as the very same one.
 * @param because told of each part that is left out or changed
 */
export function plainValue(value: unknown, because: (unfit: Unfit) => void, room = MOST_NESTED): unknown {
  if (typeof value === 'string') return wellFormed(value, because);
  // A field that holds `undefined` is as good as none, and JSON has it so.
  if (value === null || value === undefined || typeof value === 'boolean' || typeof value === 'number') return value;
  if (typeof value !== 'object') return unfit('no plain value', because);
  if (room === 0) return unfit('nested too deep', because);
  if (Array.isArray(value)) return plainList(value, because, room);
  const prototype: unknown = Object.getPrototypeOf(value);
  // Bytes, dates and the like are no JSON; an object that inherits from another foreign one is taken without that.
  if (ArrayBuffer.isView(value) || value instanceof Map || value instanceof Set)
    return unfit('no plain value', because);
  return plainFields(value, prototype === Object.prototype || prototype === null, because, room);
}

function plainList(list: unknown[], because: (unfit: Unfit) => void, room: number): unknown[] {
  let changed = false;
  const kept = list.flatMap((one) => {
    const plain = plainValue(one, because, room - 1);
    changed ||= plain !== one;
    return plain === undefined ? [] : [plain];
  });
  return changed ? kept : list;
}

function plainFields(item: object, isPlain: boolean, because: (unfit: Unfit) => void, room: number): object {
  if (!isPlain) because('no plain value');
  let changed = !isPlain;
  const kept: [string, unknown][] = [];
  for (const [name, value] of Object.entries(item)) {
    const plain = isUnfitName(name) ? unfit('no plain value', because) : plainValue(value, because, room - 1);
    changed ||= plain !== value;
    if (plain !== undefined) kept.push([name, plain]);
  }
  return changed ? Object.fromEntries(kept) : item;
}

function unfit(reason: Unfit, because: (unfit: Unfit) => void): undefined {
  because(reason);
  return undefined;
}

/** Half a character (a lone surrogate) is no text that can be stored or shown: a replacement character stands for it. */
function wellFormed(text: string, because: (unfit: Unfit) => void): string {
  if (text.isWellFormed()) return text;
  because('no plain value');
  return text.toWellFormed();
}
