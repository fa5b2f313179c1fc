/** What a cover can do that is no figure: be reached into, be opened with one hand, serve a purpose. */
import type { Assessment } from '../../assessment';
import type { CoverMaterial } from '../../catalog/types';
import type { Opening } from '../../cover/assembly/openings';
import { countOfJoint } from '../../cover/joints/kind';
import type { Brief, Purpose } from '../../site/brief';

/** What one hand opens, kg at the hand. Source: our own figure, a full watering can of half the size. */
const ONE_HAND_KG = 5;
/** Fastenings that one hand undoes and does again each day. Source: our own figure, a latch at each end of a lid and its handle. */
const ONE_HAND_UNDOES = 3;
/** Milder by so much at the least a cover must keep a night to be for winter or spring, C. */
const HELP_C = { winter: 2, spring: 1 } as const;
/** Summer cloth by what it is for. */
const CLOTH: Readonly<Record<'insects' | 'sun', readonly CoverMaterial['kind'][]>> = {
  // Fleece keeps them off too, and warms and shades the crop all summer: nobody who asks for a net means it.
  insects: ['net'],
  sun: ['shade'],
};

/** Whether a cloth does for a purpose. */
export const doesFor = (cover: Pick<CoverMaterial, 'kind'>, purpose: 'insects' | 'sun'): boolean =>
  CLOTH[purpose].includes(cover.kind);

/** Openings through which a hand comes to the plants. */
const doors = (o: Assessment): readonly Opening[] => o.assembly.openings.filter((x) => x.reachedFrom !== 'none');
/** Whether a hand reaches the plants from there. */
export function reaches(o: Assessment, from: NonNullable<Brief['reach']>): boolean {
  const ways = new Set(doors(o).map((x) => x.reachedFrom));
  if (ways.has('inside')) return true;
  return from === 'both sides'
    ? ways.has('both sides') || (ways.has('near') && ways.has('far'))
    : ways.has(from) || (from !== 'ends' && ways.has('both sides'));
}
/** Weight at the hand of what must be lifted to open it; nothing for a skirt, a flap or a door. */
function inHandKg(o: Assessment, opening: Opening): number {
  const i = o.assembly.moving.findIndex((part) => part.name === opening.name);
  return i < 0 ? 0 : (o.lifts[i]?.value ?? 0);
}
/** What has to be undone to open it, and done again to shut it: clips, weights, latches, of each as many as there are. */
const undone = (o: Assessment, opening: Opening): number =>
  o.assembly.joints.filter((j) => opening.shut.includes(j.id)).reduce((sum, j) => sum + countOfJoint(j), 0);
/** Whether something of it opens with one hand. */
export const withOneHand = (o: Assessment): boolean =>
  doors(o).some(
    (x) => x.lift?.motion !== 'carried' && inHandKg(o, x) <= ONE_HAND_KG && undone(o, x) <= ONE_HAND_UNDOES,
  );

/** Whether it keeps nights milder, by its own cover. */
const keepsWarm = (o: Assessment, leastC: number): boolean => o.assembly.crop.crop.killingC - o.coldest.value >= leastC;
/** Whether it does what it is for. */
export function serves(o: Assessment, purpose: Purpose): boolean {
  if (purpose === 'winter' || purpose === 'spring') return keepsWarm(o, HELP_C[purpose]);
  const worn = [
    o.assembly.enclosure.skins[0].cover,
    ...o.cover.coats.flatMap((c) => o.site.catalog.cover.get(c.coverKey ?? '') ?? []),
  ];
  return worn.some((cover) => doesFor(cover, purpose));
}
