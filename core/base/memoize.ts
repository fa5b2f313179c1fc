/**
 * Work remembered by what it was made of: done again only when one of its inputs is another than last time.
 * @returns a function of an object that the result belongs to, every other input, and the work itself; what is
 * remembered goes with the object
 * @example memoizeByIdentity()({}, [1, 2], () => 1 + 2) // 3
 */
export function memoizeByIdentity<T>(): (of: object, from: readonly unknown[], work: () => T) => T {
  const known = new WeakMap<object, { readonly from: readonly unknown[]; readonly value: T }>();
  return (of, from, work) => {
    const last = known.get(of);
    if (last?.from.length === from.length && last.from.every((x, i) => x === from[i])) return last.value;
    const value = work();
    known.set(of, { from, value });
    return value;
  };
}
