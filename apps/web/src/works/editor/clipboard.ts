import { emptyMap, ontoLegend } from '@ichnograph/core';
import type { Copied, Legend, TopicMap } from '@ichnograph/core';
import { readHere, writeHere } from '../../common/kept-here';

/** What was copied, and the words that stand for it on the system's clipboard. */
export interface Clip {
  words: string;
  copied: Copied;
  legend: Legend;
}

/** Kept by account, so that it can be pasted on another map and is gone when somebody else signs in. */
const keyOf = (account: string): string => `ichnograph:${account}:copied`;

/** Where a browser keeps nothing, or is full, what was copied can still be pasted on this map. */
export const keepClip = (account: string, clip: Clip): void => writeHere(keyOf(account), clip);
export const keptClip = (account: string): Clip | null => readHere<Clip>(keyOf(account));

/** What was copied from a map of another legend, as this one tells its kinds: by name, else by looks. */
export function ontoOwn({ copied, legend }: Clip, own: Legend): Copied {
  if (JSON.stringify(legend) === JSON.stringify(own)) return copied;
  const marks = Object.fromEntries(copied.map((one) => [one.list, one.marks])) as Partial<TopicMap>;
  const told = ontoLegend({ ...emptyMap(), ...marks, legend }, own);
  return copied.map(({ list }) => ({ list, marks: told[list] }));
}
