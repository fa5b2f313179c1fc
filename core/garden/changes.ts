import type { Garden } from './garden';

/** What is new in a garden: whole parts, and of lists of things with ids only the things that are another. */
export interface Changes {
  readonly parts: Partial<Garden>;
  readonly lists: Readonly<Record<string, { readonly ids: readonly string[]; readonly other: readonly Identified[] }>>;
}

interface Identified {
  readonly id: string;
}

const isList = (value: unknown): value is readonly Identified[] =>
  Array.isArray(value) && value.every((x) => typeof x === 'object' && x !== null && 'id' in x);

/** What makes one garden into another that shares with it what is the same; small enough to send with every edit. */
export function changesOf(before: Garden, after: Garden): Changes {
  const parts: Record<string, unknown> = {};
  const lists: Record<string, Changes['lists'][string]> = {};
  for (const key of Object.keys(after) as (keyof Garden)[]) {
    const [was, is]: readonly [unknown, unknown] = [before[key], after[key]];
    if (was === is) continue;
    if (isList(was) && isList(is)) {
      const known = new Set<Identified>(was);
      lists[key] = { ids: is.map((x) => x.id), other: is.filter((x) => !known.has(x)) };
    } else parts[key] = is;
  }
  return { parts, lists };
}

/** The garden after the changes; what they leave alone is the same object as before. */
export function changed(before: Garden, { parts, lists }: Changes): Garden {
  const renewed = Object.entries(lists).map(([key, { ids, other }]) => {
    const was = before[key as keyof Garden] as unknown as readonly Identified[];
    const byId = new Map([...was, ...other].map((x) => [x.id, x]));
    return [key, ids.flatMap((id) => byId.get(id) ?? [])] as const;
  });
  return { ...before, ...parts, ...Object.fromEntries(renewed) };
}
