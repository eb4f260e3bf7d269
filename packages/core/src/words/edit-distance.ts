/**
 * Optimal string alignment distance in code points: insertions, deletions, substitutions and swaps of neighbours, no
 * part edited twice. Stops early and returns `most + 1` once the distance must exceed `most`.
 * Source: Boytsov (2011), "Indexing methods for approximate dictionary searching", section 2.
 */
export function alignmentDistance(a: string, b: string, most: number): number {
  const [from, to] = [[...a], [...b]];
  if (Math.abs(from.length - to.length) > most) return most + 1;
  let before: number[] = [];
  let last = Array.from({ length: to.length + 1 }, (_, j) => j);
  for (let i = 1; i <= from.length; i++) {
    const row = [i];
    for (let j = 1; j <= to.length; j++) {
      const cost = from[i - 1] === to[j - 1] ? 0 : 1;
      let least = Math.min(last[j]! + 1, row[j - 1]! + 1, last[j - 1]! + cost);
      if (i > 1 && j > 1 && from[i - 1] === to[j - 2] && from[i - 2] === to[j - 1]) {
        least = Math.min(least, before[j - 2]! + 1);
      }
      row.push(least);
    }
    // A swap reaches back two rows, so only two hopeless rows running end the search.
    if (Math.min(...row) > most && Math.min(...last) > most) return most + 1;
    [before, last] = [last, row];
  }
  return Math.min(last[to.length]!, most + 1);
}
