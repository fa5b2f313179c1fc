/** A garden kept in order: what is copied, moved in its list, taken away. Each gives the lists that change. */
import { freshName } from '../base/ids';
import type { Bed } from '../site/bed';
import type { Landmark } from '../site/landmark';
import { plotExtent } from '../site/plotting';
import { type Cover, type Garden, newWork } from './garden';

const names = (list: readonly { readonly name: string }[]): readonly string[] => list.map((x) => x.name);

/** A list with an entry put in after one that is in it. */
function inserted<T extends { readonly id: string }>(list: readonly T[], after: string, entry: T): T[] {
  return list.toSpliced(list.findIndex((x) => x.id === after) + 1, 0, entry);
}

/** The same cover once more, after the first one: its design, without what was built and cut of it. */
export function withCopiedCover(garden: Garden, id: string, newId: string): Pick<Garden, 'covers'> {
  const cover = garden.covers.find((c) => c.id === id);
  if (!cover) return garden;
  const name = freshName(cover.name, names(garden.covers));
  return { covers: inserted(garden.covers, id, designOf(cover, newId, name)) };
}

/** A cover's design under another name: what was built and cut of it, and where it stands, stay with the first. */
const designOf = (cover: Cover, id: string, name: string): Cover => ({
  ...cover,
  ...newWork(),
  kept: cover.kept,
  coats: cover.coats,
  tending: cover.tending,
  brief: cover.brief,
  id,
  name,
});

/** The design of a cover once more, to be changed for next year; what it is now is what its changes are measured against. */
export function withNextYear(garden: Garden, id: string, newId: string): Pick<Garden, 'covers'> {
  const cover = garden.covers.find((c) => c.id === id);
  if (!cover) return garden;
  const name = freshName(`${cover.name}, next year`, names(garden.covers));
  const copy = { ...designOf(cover, newId, name), kept: cover.answers, state: { is: 'next-year' as const } } as Cover;
  return { covers: inserted(garden.covers, id, copy) };
}

/** Where a copy lies: a path beyond the far side of the first one. */
const beyond = (garden: Garden, thing: Bed | Landmark): Bed['at'] => {
  const { y0, y1 } = plotExtent(thing);
  return { ...thing.at, yMm: thing.at.yMm + y1 - y0 + garden.plot.pathMm };
};

/** The same landmark once more, a path beyond its far side. */
export function withCopiedLandmark(garden: Garden, id: string, newId: string): Pick<Garden, 'landmarks'> {
  const of = garden.landmarks.find((l) => l.id === id);
  if (!of) return garden;
  const copy: Landmark = {
    ...of,
    id: newId,
    name: freshName(of.name, names(garden.landmarks)),
    at: beyond(garden, of),
  };
  return { landmarks: inserted(garden.landmarks, id, copy) };
}

/**
 * The same bed once more, a path beyond its far side.
 * @param coverIds ids for copies of its covers; none where only the bed is copied
 */
export function withCopiedBed(
  garden: Garden,
  id: string,
  newId: string,
  coverId?: (of: Cover) => string,
): Pick<Garden, 'beds' | 'covers'> {
  const bed = garden.beds.find((b) => b.id === id);
  if (!bed) return garden;
  const copy: Bed = { ...bed, id: newId, name: freshName(bed.name, names(garden.beds)), at: beyond(garden, bed) };
  const taken = [...names(garden.covers)];
  const copies = garden.covers
    .filter((c) => c.bedId === id && coverId)
    .map((c): Cover => {
      const name = freshName(c.name, taken);
      taken.push(name);
      return { ...designOf(c, coverId?.(c) ?? c.id, name), bedId: newId };
    });
  return { beds: inserted(garden.beds, id, copy), covers: [...garden.covers, ...copies] };
}

/** Without a bed and the covers on it. */
export const withoutBed = (garden: Garden, id: string): Pick<Garden, 'beds' | 'covers'> => ({
  beds: garden.beds.filter((b) => b.id !== id),
  covers: garden.covers.filter((c) => c.bedId !== id),
});

/**
 * A list with one entry moved past its neighbour.
 * @param among the entries that it is ordered among; the others keep their places
 */
export function withMoved<T extends { readonly id: string }>(
  list: readonly T[],
  id: string,
  by: -1 | 1,
  among: (entry: T) => boolean = () => true,
): T[] {
  const at = list.findIndex((x) => x.id === id);
  const step = (i: number): number => {
    const next = list[i + by];
    return next && !among(next) ? step(i + by) : i + by;
  };
  const to = step(at);
  const [here, there] = [list[at], list[to]];
  return here && there ? list.with(at, there).with(to, here) : [...list];
}
