import { findNodeAtLocation, parseTree } from 'jsonc-parser';
import type { Node, ParseError } from 'jsonc-parser';

export interface PlaceInFile {
  path: string;
  reason: string;
  /** counted from 1; null where the file has no such place */
  line: number | null;
}

const STRICT = { disallowComments: true, allowTrailingComma: false };

const lineAt = (text: string, offset: number): number => text.slice(0, offset).split('\n').length;

/** Where in a file's text the values of these paths ("$.terms[3].text") stand; of a missing one, what it is missing in. */
export function placesIn(text: string, places: readonly { path: string; reason: string }[]): PlaceInFile[] {
  const tree = parseTree(text, [], STRICT);
  return places.map(({ path, reason }) => {
    const node = tree && nearest(tree, segmentsOf(path));
    return { path, reason, line: node ? lineAt(text, node.offset) : null };
  });
}

/** The line on which a text stops being JSON, counted from 1. */
export function lineOfTrouble(text: string): number {
  const errors: ParseError[] = [];
  parseTree(text, errors, STRICT);
  return lineAt(text, errors[0]?.offset ?? text.length);
}

const segmentsOf = (path: string): (string | number)[] =>
  [...path.matchAll(/\.([^.[\]]+)|\[(\d+)\]/g)].map(([, name, index]) => name ?? Number(index));

function nearest(tree: Node, segments: readonly (string | number)[]): Node | undefined {
  for (let length = segments.length; length >= 0; length--) {
    const node = findNodeAtLocation(tree, segments.slice(0, length));
    // A field stands on the line of its name.
    if (node) return node.parent?.type === 'property' ? node.parent : node;
  }
  return undefined;
}
