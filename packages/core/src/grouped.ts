/** The items by a key of each, keys in the order they come up, items in the order they have. */
export function grouped<T, K>(items: readonly T[], key: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of items) {
    const own = key(item);
    const group = groups.get(own);
    if (group) group.push(item);
    else groups.set(own, [item]);
  }
  return groups;
}
