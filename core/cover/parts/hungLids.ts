import { holdsN } from '../../catalog/catalog';
import type { CoverMaterial, Section } from '../../catalog/types';
import type { Glazing } from './glazing';
import type { LidSite } from './lidSite';
import { type Lids, slopedLids } from './slopedLid';

/** What is answered of lids that hang on hinges. */
interface HungLidAnswers {
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
/** From the front wall it pushes so far behind the edge of the lid. */
const FRONT_IN_MM = 100;
/** How far its arm moves what it pushes, mm; no lid is opened by it beyond 60 degrees. */
const STROKE_MM = 300;
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
    readonly behindScreen?: boolean;
    /** The wall that the opener stands on; the back when not said. */
    readonly openerAt?: 'back' | 'front';
  },
): Lids {
  const { behindScreen = false, openerAt = 'back', ...place } = own;
  const armMm = openerAt === 'front' ? depthMm - FRONT_IN_MM : Math.min(ARM_MM, depthMm * ARM_OF_DEPTH);
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
        ? {
            armMm,
            liftsKg: OPENER_LIFTS_KG,
            holdsN: holdsN(own.site.catalog, 'opener'),
            behindScreen,
            opensDeg: (2 * Math.asin(Math.min(0.5, STROKE_MM / (2 * armMm))) * 180) / Math.PI,
          }
        : undefined,
    openers: a.openers,
    hinged: true,
  });
}
