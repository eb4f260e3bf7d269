/** What a layout is worked out of: boxes and what joins them, by position in the lists. Canvas units. */
export interface Box {
  width: number;
  height: number;
  /** where the person has it: what stands further left or up comes first where nothing else decides */
  x: number;
  y: number;
}

export interface Tie {
  from: number;
  to: number;
  /** the room its words need; null without words */
  words: { width: number; height: number } | null;
}

export interface Graph {
  boxes: readonly Box[];
  /** no tie joins a box to itself */
  ties: readonly Tie[];
}

/** The parts of a graph that nothing joins to each other, each a list of positions; the topmost first. */
export function partsOf({ boxes, ties }: Graph): number[][] {
  const next = neighbours(boxes.length, ties);
  const seen = new Set<number>();
  const parts: number[][] = [];
  for (const start of boxes.keys()) {
    if (seen.has(start)) continue;
    const part = [start];
    seen.add(start);
    for (const at of part)
      for (const other of next[at]!)
        if (!seen.has(other)) {
          seen.add(other);
          part.push(other);
        }
    parts.push(part.sort((a, b) => a - b));
  }
  return parts;
}

function neighbours(count: number, ties: readonly Tie[]): number[][] {
  const next: number[][] = Array.from({ length: count }, () => []);
  for (const { from, to } of ties) {
    next[from]!.push(to);
    next[to]!.push(from);
  }
  return next;
}
