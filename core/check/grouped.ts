/** Lists by what their members have in common. */

/** The members of a list by their key, groups and members in the order in which they come. */
export function grouped<K, T>(list: Iterable<T>, keyOf: (one: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const one of list) {
    const key = keyOf(one);
    const there = groups.get(key);
    if (there) there.push(one);
    else groups.set(key, [one]);
  }
  return groups;
}
