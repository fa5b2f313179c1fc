import { holdsN } from '../../catalog/catalog';
import type { CoverMaterial, Section } from '../../catalog/types';
import type { Glazing } from './glazing';
import type { LidSite } from './lidSite';
import { type Lids, slopedLids } from './slopedLid';

/** What is answered of lids that hang on hinges. */
export interface HungLidAnswers {
  readonly overhangMm: number;
  readonly lids: number;
  readonly glazing: Glazing;
  readonly lidFrame: Section;
  readonly bars: number | null;
  readonly cover: CoverMaterial;
  readonly roll: string | null;
  readonly latches: number | null;
  readonly stays: number | null;
  readonly people: '1' | '2';
  readonly airing: 'prop' | 'opener';
  readonly openers: number;
}

/** A wax opener pushes at about a third of the way from hinge to handle, but no farther out than its arm. */
const ARM_MM = 350;
const ARM_OF_DEPTH = 0.35;
const OPENER_LIFTS_KG = 7;

/**
 * Lids that hang on hinges, as they were answered; the rest of what `slopedLids` asks is the family's own.
 * @param depthMm from the back of the box to its front
 */
export function hungLids(
  a: HungLidAnswers,
  depthMm: number,
  own: Pick<LidSite, 'x0' | 'x1' | 'back' | 'front' | 'site' | 'safetyFilm' | 'screened' | 'called'> & {
    /** The net under the lids lies in the way of an opener's arm. */
    readonly behindScreen: boolean;
  },
): Lids {
  const { behindScreen, ...place } = own;
  const armMm = Math.min(ARM_MM, depthMm * ARM_OF_DEPTH);
  return slopedLids({
    ...place,
    overhangMm: a.overhangMm,
    lids: a.lids,
    glazing: a.glazing,
    frame: a.lidFrame,
    bars: a.bars,
    cover: a.cover,
    roll: a.roll,
    // A wax opener lifts only an unlatched lid.
    latches: a.latches ?? (a.airing === 'opener' ? 0 : own.site.windy ? 2 : 1),
    stays: a.stays ?? 1,
    people: a.people === '2' ? 2 : 1,
    opener:
      a.airing === 'opener'
        ? { armMm, liftsKg: OPENER_LIFTS_KG, holdsN: holdsN(own.site.catalog, 'opener'), behindScreen }
        : undefined,
    openers: a.openers,
    hinged: true,
  });
}
