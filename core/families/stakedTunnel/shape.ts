import { soilZ } from '../../assembly/crop';
import { type HoopSite, type SprungHoop, outerFace, springHoop } from '../../assembly/hoops';
import { type Point2, pathLength, tautOutline } from '../../assembly/outline';
import { coverMaterial } from '../../catalog/covers';
import { section, thicknessMm } from '../../catalog/sections';
import type { Elastica, Feet } from '../../hoop/elastica';
import { type Result, ok } from '../../result';
import { MM_PER_INCH } from '../../units/length';
import type { BuildSite } from '../family';
import type { StakedTunnelAnswers } from './answers';

/** Rods stand this far inside the bed's wall, so that they can be driven. */
const ROD_FROM_WALL_MM = 25;
/** Sheet to pull by. */
export const PULL_MM = 2 * MM_PER_INCH;

interface Foot {
  readonly feet: Feet;
  readonly spanMm: number;
  readonly baseZ: number;
  /** Straight pipe above and below the base. */
  readonly aboveMm: number;
  readonly belowMm: number;
}

/** What the tunnel's feet, span and height come to. */
export interface TunnelShape extends Foot {
  readonly sprung: SprungHoop;
  readonly footY: number;
  readonly footZ: number;
  readonly outline: (hoop: Elastica) => readonly Point2[];
}

function footing(a: StakedTunnelAnswers, { bed }: BuildSite): Foot {
  const od = thicknessMm(section(a.pipe));
  const inside = bed.inside.widthMm;
  const soil = soilZ(bed);
  if (a.feet === 'straps')
    return {
      feet: { kind: 'loose' },
      spanMm: a.spanMm ?? inside - od,
      baseZ: bed.wall.heightMm,
      aboveMm: 0,
      belowMm: Math.min(150, bed.wall.heightMm),
    };
  const spanMm = a.spanMm ?? inside - 2 * ROD_FROM_WALL_MM - od;
  return a.feet === 'rods'
    ? { feet: { kind: 'held', angleDeg: 90 }, spanMm, baseZ: soil, aboveMm: a.rodShownMm, belowMm: 0 }
    : { feet: { kind: 'loose' }, spanMm, baseZ: soil, aboveMm: 0, belowMm: a.buryMm };
}

/** Springs the hoop on its feet and says how the sheet lies over it. */
export function tunnelShape(a: StakedTunnelAnswers, site: BuildSite): Result<TunnelShape> {
  const foot = footing(a, site);
  const footY = (site.survey.frameOn.widthMm - foot.spanMm) / 2;
  const footZ = foot.baseZ + foot.aboveMm;
  const r = thicknessMm(section(a.pipe)) / 2;
  const outline = (hoop: Elastica): readonly Point2[] =>
    tautOutline(outerFace(hoop, a.pipe, footY, footZ), [
      { y: footY - r, z: foot.baseZ },
      { y: footY + foot.spanMm + r, z: foot.baseZ },
    ]);
  const rolls = coverMaterial(a.cover).rolls.filter((roll) => a.roll === null || roll.key === a.roll);
  const hoopSite: HoopSite = {
    feet: foot.feet,
    spanMm: foot.spanMm,
    tailMm: foot.aboveMm + foot.belowMm,
    tailAboveMm: foot.aboveMm,
    sheetAcrossMm: (hoop) => pathLength(outline(hoop)) + 2 * a.skirtMm + PULL_MM,
    widestRollMm: Math.max(0, ...rolls.map((roll) => roll.widthMm)),
  };
  const sprung = springHoop(a.shape, a.pipe, hoopSite);
  return sprung.ok ? ok({ ...foot, sprung: sprung.value, footY, footZ, outline }) : sprung;
}
