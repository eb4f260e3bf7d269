import { emptyMap } from '@ichnograph/core';
import type { Reading, TopicMap } from '@ichnograph/core';
import { fillDocument } from '@ichnograph/livemap';
import * as Y from 'yjs';
import { refused } from '../common/problem.js';

/** A new live document with a map in it; with none, an empty one. */
export function filledWith(map: TopicMap | null): Y.Doc {
  const doc = new Y.Doc();
  fillDocument(doc, map ?? emptyMap());
  return doc;
}

/** What was understood of a file that somebody brought in. Refuses by path and reason. */
export function understoodFile<T>({ value, messages }: Reading<T>): T {
  if (value) return value;
  const [first] = messages;
  throw refused(`This file was not taken: ${first?.path} ${first?.reason}.`, messages.slice(0, 20));
}
