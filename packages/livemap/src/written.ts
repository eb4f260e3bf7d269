import diff from 'fast-diff';
import * as Y from 'yjs';

/** Fields that people write in, two at once perhaps: each letter is kept by itself. */
const WRITTEN: readonly string[] = ['text', 'phrase', 'note'];
export const isWritten = (field: string): boolean => WRITTEN.includes(field);

/** Writes into a text what differs from what is wanted, and no more (Myers 1986, by words where letters alone would be chance). */
export function rewrite(text: Y.Text, wanted: string): void {
  // A text without embedded marks is one run of words.
  let at = 0;
  for (const [what, words] of diff(text.toJSON(), wanted, undefined, true)) {
    if (what === diff.EQUAL) at += words.length;
    else if (what === diff.DELETE) text.delete(at, words.length);
    else {
      text.insert(at, words);
      at += words.length;
    }
  }
}

/** What two made of the same words, and where a place in one's own has come to. */
export interface Merged {
  words: string;
  /** @param place between the letters of one's own words, in UTF-16 units */
  at: (place: number) => number;
}

/**
 * What somebody else made of some words and what one is making of them oneself, merged letter by letter: as the document
 * itself would, had both been written into it at once.
 */
export function mergedWords(before: string, theirs: string, mine: string): Merged {
  if (theirs === mine) return { words: mine, at: (place) => place };
  const [other, own] = [textOf(1, before), textOf(2)];
  Y.applyUpdate(own.doc!, Y.encodeStateAsUpdate(other.doc!));
  rewrite(other, theirs);
  rewrite(own, mine);
  const both = textOf(3);
  for (const one of [other, own]) Y.applyUpdate(both.doc!, Y.encodeStateAsUpdate(one.doc!));
  return {
    words: both.toJSON(),
    at: (place) => {
      const letter = Y.createRelativePositionFromTypeIndex(own, place, -1);
      return Y.createAbsolutePositionFromRelativePosition(letter, both.doc!)?.index ?? place;
    },
  };
}

function textOf(client: number, words = ''): Y.Text {
  const doc = new Y.Doc();
  doc.clientID = client;
  const text = doc.getText('words');
  if (words !== '') text.insert(0, words);
  return text;
}
