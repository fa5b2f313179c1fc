/** A list in groups of what has the same key, each in the order it first comes. */
export function grouped<T, K>(list: readonly T[], key: (one: T) => K): readonly (readonly [T, ...T[]])[] {
  const groups = new Map<K, [T, ...T[]]>();
  for (const one of list) {
    const group = groups.get(key(one));
    if (group) group.push(one);
    else groups.set(key(one), [one]);
  }
  return [...groups.values()];
}
