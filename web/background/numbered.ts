/** Numbers in place of large things: what is asked of a garden or a weather is told apart by them, and the thing is found again. */
export function numbered<T extends WeakKey>(): {
  readonly numberOf: (thing: T) => number;
  readonly of: (number: number) => T | undefined;
} {
  const numbers = new WeakMap<T, number>();
  const things = new Map<number, WeakRef<T>>();
  let last = 0;
  return {
    numberOf: (thing) => {
      const known = numbers.get(thing);
      if (known !== undefined) return known;
      numbers.set(thing, ++last);
      things.set(last, new WeakRef(thing));
      // What is gone needs no number.
      for (const [n, ref] of things) if (!ref.deref()) things.delete(n);
      return last;
    },
    of: (number) => things.get(number)?.deref(),
  };
}
