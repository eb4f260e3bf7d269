import { emptyMap } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { fillDocument } from '@ichnograph/livemap';
import * as Y from 'yjs';

/** A new live document with a map in it; with none, an empty one. */
export function filledWith(map: TopicMap | null): Y.Doc {
  const doc = new Y.Doc();
  fillDocument(doc, map ?? emptyMap());
  return doc;
}
