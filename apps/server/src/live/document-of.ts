import * as Y from 'yjs';

/** The document whose stored pieces these are: its compacted state and its log. */
export function documentOf(pieces: readonly Uint8Array[]): Y.Doc {
  const doc = new Y.Doc();
  doc.transact(() => {
    for (const piece of pieces) Y.applyUpdate(doc, piece);
  });
  return doc;
}
