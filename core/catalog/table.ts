/** One table of the catalogue: what ships with the program, and what the open garden has put in its place. */
export interface Table<T extends { readonly key: string }> {
  readonly shipped: ReadonlyMap<string, T>;
  /** Every entry in force, in the order of the catalogue. */
  readonly all: () => ReadonlyMap<string, T>;
  readonly find: (key: string) => T | undefined;
  /** The entry of a key. @throws when there is none: documents are checked before they get here. */
  readonly get: (key: string) => T;
  /** Puts other entries in force. Only `putInForce` calls it. */
  readonly put: (entries: ReadonlyMap<string, T>) => void;
}

export function table<T extends { readonly key: string }>(what: string, entries: readonly T[]): Table<T> {
  const shipped: ReadonlyMap<string, T> = new Map(entries.map((e) => [e.key, e]));
  let inForce = shipped;
  return {
    shipped,
    all: () => inForce,
    find: (key) => inForce.get(key),
    get: (key) => {
      const found = inForce.get(key);
      if (!found) throw new Error(`No ${what} "${key}" in the catalogue`);
      return found;
    },
    put: (next) => {
      inForce = next;
    },
  };
}
