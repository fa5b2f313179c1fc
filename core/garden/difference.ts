/** What differs between two gardens, each thing by its path of keys and ids: what undo, the journal, other tabs and the worker go by. */

/** From the garden's root to a value: keys of objects, ids of list entries. */
export type FieldPath = readonly string[];

/** One thing that is another than before; undefined where it is not there. */
export interface GardenChange {
  readonly path: FieldPath;
  readonly was: unknown;
  readonly is: unknown;
  /** Of an entry that comes into a list or leaves it: its place there. */
  readonly at?: number;
}

/** Stands for the order of a list whose entries have ids, among its entries. */
const ORDER = '\u0000order';
type Entries = ReadonlyMap<string, unknown>;

/** The parts of an object by key, of a list of things with ids by id; undefined for what is one value. */
function entriesOf(value: unknown): Entries | undefined {
  if (typeof value !== 'object' || value === null) return undefined;
  if (!Array.isArray(value)) return new Map(Object.entries(value));
  const ids = value.map((entry: unknown) => (entry as { readonly id?: unknown } | null)?.id);
  if (ids.some((id) => typeof id !== 'string') || new Set(ids).size < ids.length) return undefined;
  return new Map<string, unknown>([...ids.map((id, i) => [id as string, value[i] as unknown] as const), [ORDER, ids]]);
}

/** Whether two JSON values say the same. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const [of, to] = [Object.entries(a), new Map<string, unknown>(Object.entries(b))];
  return of.length === to.size && of.every(([key, value]) => to.has(key) && same(value, to.get(key)));
}

/** The order of a list's entries among those that both ways have; adding and taking away do not change it. */
function orderChange(path: FieldPath, was: Entries, is: Entries): readonly GardenChange[] {
  const [before, after] = [was.get(ORDER), is.get(ORDER)] as (readonly string[] | undefined)[];
  if (!before || !after) return [];
  const kept = (ids: readonly string[], other: Entries): readonly string[] => ids.filter((id) => other.has(id));
  const moved = !same(kept(before, is), kept(after, was));
  return moved ? [{ path: [...path, ORDER], was: before, is: after }] : [];
}

/**
 * Everything that differs, as finely as it can be told.
 * @param depth no finer than so many steps from the root
 * @example changesBetween({ a: { b: 1 } }, { a: { b: 2 } }) // [{ "path": ["a", "b"], "was": 1, "is": 2 }]
 */
export function changesBetween(
  was: unknown,
  is: unknown,
  depth = Infinity,
  path: FieldPath = [],
): readonly GardenChange[] {
  if (same(was, is)) return [];
  const [before, after] = [entriesOf(was), entriesOf(is)];
  if (!before || !after || Array.isArray(was) !== Array.isArray(is) || path.length >= depth) return [{ path, was, is }];
  const keys = new Set([...before.keys(), ...after.keys()]);
  keys.delete(ORDER);
  return [
    ...[...keys].flatMap((key) => {
      const [from, to] = [before.get(key), after.get(key)];
      const ids = (from === undefined ? after : before).get(ORDER) as readonly string[] | undefined;
      return ids && (from === undefined || to === undefined)
        ? [{ path: [...path, key], was: from, is: to, at: ids.indexOf(key) }]
        : changesBetween(from, to, depth, [...path, key]);
    }),
    ...orderChange(path, before, after),
  ];
}

const within = (path: FieldPath, whole: FieldPath): boolean => whole.every((step, i) => path[i] === step);
export const touch = (a: FieldPath, b: FieldPath): boolean => within(a, b) || within(b, a);

/**
 * A value with one of its parts changed; parts that are not touched are shared.
 * @param after the value as it was after the change, that gives what is no longer there to be changed
 */
function withChange(value: unknown, [step, ...rest]: FieldPath, change: GardenChange, after: unknown): unknown {
  if (step === undefined) return change.is;
  const inner = rest.length === 0 ? change.is : entriesOf(after)?.get(step);
  if (Array.isArray(value)) {
    const list = value as readonly { readonly id: string }[];
    if (step === ORDER) {
      const place = new Map((change.is as readonly string[]).map((id, i) => [id, i]));
      return list.toSorted((a, b) => (place.get(a.id) ?? list.length) - (place.get(b.id) ?? list.length));
    }
    const at = list.findIndex((entry) => entry.id === step);
    if (inner === undefined && rest.length === 0) return list.filter((_, i) => i !== at);
    if (at >= 0) return list.with(at, withChange(list[at], rest, change, inner) as { id: string });
    if (inner === undefined) return list;
    // What was taken away meanwhile comes back with the change to it, where it was.
    const place = rest.length === 0 ? change.at : (entriesOf(after)?.get(ORDER) as readonly string[]).indexOf(step);
    return list.toSpliced(place ?? list.length, 0, inner as { id: string });
  }
  const object = (value ?? {}) as Readonly<Record<string, unknown>>;
  if (inner === undefined && rest.length === 0) {
    return Object.fromEntries(Object.entries(object).filter(([key]) => key !== step));
  }
  if (!(step in object)) return inner === undefined ? object : { ...object, [step]: inner };
  return { ...object, [step]: withChange(object[step], rest, change, inner) };
}

/** A value with changes made to it, but for those within the paths left out. */
export function withChanges<T>(
  onto: T,
  changes: readonly GardenChange[],
  after?: T,
  leave: readonly FieldPath[] = [],
): T {
  return changes
    .filter((change) => !leave.some((path) => touch(change.path, path)))
    .reduce<unknown>((value, change) => withChange(value, change.path, change, after), onto) as T;
}

/** The way back: what leads from where the changes ended to where they began. */
export function inverted(changes: readonly GardenChange[]): readonly GardenChange[] {
  const back = changes.map((change) => ({ ...change, was: change.is, is: change.was }));
  // What came leaves first: places count what was there before.
  return [...back.filter((c) => c.is === undefined), ...back.filter((c) => c.is !== undefined)];
}
