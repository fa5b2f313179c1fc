/** The snow and the gust that a cover is judged for: those of its place, or what it was chosen for where that is more. */
import type { Brief } from '../../site/brief';
import type { Place, Snow } from '../../site/place';
import { groundPaOf } from './snow';

/** What is asked of a cover, and who asks for it. */
export interface DesignConditions {
  readonly snow: Snow;
  readonly gustMPerS: number;
  readonly snowBy: 'place' | 'wish';
  readonly gustBy: 'place' | 'wish';
}

/** The wishes that ask for strength. */
export type StrengthWishes = Pick<Brief, 'wetSnowMm' | 'gustMPerS'>;

/**
 * The greater of what a place asks and of what a cover was chosen for.
 * @param wishes of the brief that the cover was chosen by; nothing where it was by none
 * @example designConditions({ snow: { by: 'depth', depthMm: 150, kind: 'wet' }, gustMPerS: 25 }, { wetSnowMm: 200, gustMPerS: 20 }).snowBy // "wish"
 */
export function designConditions(
  place: Pick<Place, 'snow' | 'gustMPerS'>,
  wishes: StrengthWishes | null | undefined,
): DesignConditions {
  const { wetSnowMm = null, gustMPerS = null } = wishes ?? {};
  const wished = wetSnowMm === null ? undefined : ({ by: 'depth', depthMm: wetSnowMm, kind: 'wet' } as const);
  const more = wished !== undefined && groundPaOf(wished) > groundPaOf(place.snow);
  const windier = gustMPerS !== null && gustMPerS > place.gustMPerS;
  return {
    snow: more ? wished : place.snow,
    snowBy: more ? 'wish' : 'place',
    gustMPerS: windier ? gustMPerS : place.gustMPerS,
    gustBy: windier ? 'wish' : 'place',
  };
}
