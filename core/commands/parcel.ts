/** One cover to be handed on: a garden with its bed, its place, its prices and nothing else; and put into another garden. */
import type { Draft } from 'immer';
import { type Change, change, notThere } from './change';
import { type Result, fail, ok } from '../base/result';
import { freshName } from '../base/ids';
import { quickShop } from '../cut';
import { evaluate } from '../evaluate';
import { type Cover, type Garden, emptyGarden, newWork } from '../garden/garden';
import type { Bed } from '../site/bed';
import { freeSpot } from '../site/plotting';

/**
 * A cover by itself, as a garden that holds no more than it needs.
 * @returns a fault where there is no such cover
 * @example parcelOf(demoGarden(), 'winter-lid').value.covers.length // 1
 */
export function parcelOf(garden: Garden, coverId: string): Result<Garden> {
  const cover = garden.covers.find((c) => c.id === coverId);
  const bed = garden.beds.find((b) => b.id === cover?.bedId);
  if (!cover || !bed) return notThere('cover', coverId);
  const built = evaluate(garden, cover);
  const lines = (built.ok && quickShop(built.value)?.lines) || [];
  // Of the prices those that this cover is bought at.
  const prices = Object.fromEntries(
    lines.flatMap(({ key }) => {
      const price = garden.prices[key];
      return price === undefined ? [] : [[key, price] as const];
    }),
  );
  return ok({
    ...emptyGarden(cover.name),
    units: garden.units,
    site: garden.site,
    catalog: garden.catalog,
    prices,
    beds: [{ ...bed, at: { xMm: 0, yMm: 0 } }],
    // `kept` is for whoever goes on working on it.
    covers: [{ ...cover, ...newWork() }],
  });
}

/** A cover put in, by the id it got. */
interface PutIn extends Change {
  readonly coverId: string;
}

/**
 * Puts the cover of a parcel into a garden, on a copy of its bed beside the others. The garden's own prices, place and catalogue stay.
 * @param newId gives ids that are not there yet
 * @returns a fault where the garden cannot hold it, as when the cover is of a pipe that only its own catalogue has
 */
export function putParcelIn(garden: Garden, parcel: Garden, newId: () => string): Result<PutIn> {
  const [bed] = parcel.beds;
  const [cover] = parcel.covers;
  if (!bed || !cover) return fail('link', 'There is no cover in it.');
  const names = (list: readonly { readonly name: string }[]): readonly string[] => list.map((x) => x.name);
  const ownBed: Bed = {
    ...bed,
    id: newId(),
    name: freshName(bed.name, names(garden.beds)),
    at: freeSpot([...garden.beds, ...garden.landmarks], garden.plot.pathMm),
  };
  const own: Cover = {
    ...cover,
    ...newWork(),
    id: newId(),
    bedId: ownBed.id,
    name: freshName(cover.name, names(garden.covers)),
  };
  const put = change(garden, `Put ${cover.name} in`, (g) => {
    g.beds.push(ownBed as Draft<Bed>);
    g.covers.push(own as Draft<Cover>);
  });
  return put.ok ? ok({ ...put.value, coverId: own.id }) : put;
}
