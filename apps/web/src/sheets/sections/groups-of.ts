/**
 * People in groups of a size, numbered from `first`. Where they do not come out even, some groups are larger by one: nobody
 * is left alone.
 */
export function inGroupsOf(size: number, ids: readonly string[], first = 1): Record<string, number> {
  const groups = Math.max(1, Math.floor(ids.length / size));
  return Object.fromEntries(ids.map((id, i) => [id, first + (i % groups)]));
}
