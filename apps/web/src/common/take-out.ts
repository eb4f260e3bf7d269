import { tell } from './told';
import { putBack } from './lists';

/** Takes members out of a list of the sheet, says so, and lets them be put back where they stood. */
export function takeOut<T>(
  list: readonly T[],
  isOne: (one: T) => boolean,
  { change, keyOf, words }: { change: (make: (all: T[]) => T[]) => void; keyOf: (one: T) => string; words: string },
): void {
  const gone = list.map((item, at) => ({ item, at })).filter(({ item }) => isOne(item));
  if (gone.length === 0) return;
  change((all) => all.filter((one) => !isOne(one)));
  tell(words, () => change((all) => putBack(all, gone, keyOf)));
}
