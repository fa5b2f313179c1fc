import type { BentHoop, Elastica } from '../hoop/types';
import type { HoopShape, RidgeSchool } from '../answers/hoops';
import type { Span } from '../answers/place';
import type { CoverMaterial, Section } from '../../catalog/types';
import { boardShape, thicknessMm } from '../../catalog/sections';
import { type BuildSite, stock } from '../../site/buildSite';
import type { Bend } from '../hoop/bent';
import { type Result, fail, ok } from '../../base/result';
import { type TimberFrame, type FrameChoices, buildFrame } from './frame';
import { type CrossBoards, crossBoards } from './crossBoards';
import { type FramedCover, PULL_MM } from './framedSheet';
import { type RailFoot, hoopMembers, hoopPlaces, outerFace, springOnRail, underHoop } from './hoops';
import { type Point2, type Vec3, pathLength } from '../../base/geometry';
import { evenly } from '../joints';
import { sheetRun } from '../assembly/sheetRun';
import { type RidgeBuilt, buildRidge } from './ridge';
import { type HoopMeasured, hoopDimensions } from '../assembly/hoopDimensions';
import type { Dimension, Member } from '../assembly/types';
import type { WholePlace } from './hungWhole';

/** What a row of hoops in a rectangular frame is made of. */
interface HoopFrameChoices {
  readonly extent: Span;
  readonly pipe: Section;
  readonly shape: HoopShape;
  readonly hoops: number | null;
  readonly maxSpacingMm: number;
  readonly endOffsetMm: number;
  readonly cover: CoverMaterial;
  readonly roll: string | null;
  readonly frame: Section;
  readonly stand: 'on edge' | 'flat';
  /** How it is jointed, where it is hinged along a long side. */
  readonly joint?: FrameChoices['joint'];
  readonly meet?: FrameChoices['meet'];
  readonly crossTies: number;
  readonly ridge: RidgeSchool;
  readonly battens: boolean;
  /** Over folded ends that are stapled down. */
  readonly endBattens: boolean;
  readonly corner: FrameChoices['corner'];
  readonly wrapMm: number;
}

/** Where the frame stands: on the wall, or down inside it. */
interface HoopFramePlace {
  readonly y0: number;
  readonly width: number;
  readonly z0: number;
  /** Kept free at both ends, for a plywood end. */
  readonly endMm: number;
  /** Length of a frame that stands down inside the wall, as the survey has it; undefined for one on the wall. */
  readonly insideMm?: number;
  /** Where sprung hoops stand on the rails; in straps inside them when not said. */
  readonly feet?: Pick<RailFoot, 'on' | 'spanMm' | 'footZ'>;
  /** How far they stand out beyond the rails. */
  readonly outward?: number;
  /** A hoop bent beforehand; without it the pipe is sprung. */
  readonly bent?: (spanMm: number) => Result<{
    readonly hoop: BentHoop;
    readonly bends: readonly Bend[];
    /** Straight leg in the rail's blind hole. */
    readonly legMm: number;
  }>;
}

/** The frame, its hoops and the line the cover takes over them. */
export interface HoopFrame {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly width: number;
  readonly z0: number;
  readonly t: number;
  readonly railTop: number;
  /** Over all, firm ends included, mm; and what its cover goes over. */
  readonly lengthMm: number;
  readonly covered: FramedCover;
  readonly hoop: Elastica | BentHoop;
  readonly cutMm: number;
  readonly bends: readonly Bend[];
  readonly xs: readonly number[];
  readonly spacingMm: number;
  readonly footY: number;
  readonly footZ: number;
  /** What of a hoop its foot holds, mm. */
  readonly heldMm: number;
  readonly frame: TimberFrame;
  readonly across: CrossBoards;
  readonly hoops: readonly Member[];
  readonly ridge: RidgeBuilt;
  readonly line: readonly Point2[];
  readonly under: readonly Point2[];
}

/** A hoop as it stands on its rails. */
type Standing = Pick<HoopFrame, 'hoop' | 'cutMm' | 'bends' | 'footZ' | 'heldMm'>;

/** Builds a rectangular frame with a row of hoops in it. */
export function timberHoopFrame(a: HoopFrameChoices, place: HoopFramePlace, site: BuildSite): Result<HoopFrame> {
  const { survey } = site;
  const [startMm, endMm] = a.extent;
  const whole = (at: number, edge: number): boolean => Math.abs(at - edge) < 1;
  const inset = place.insideMm === undefined ? 0 : (survey.frameOn.lengthMm - place.insideMm) / 2;
  const x0 = startMm + (whole(startMm, 0) ? inset : 0) + place.endMm;
  const x1 = endMm - (whole(endMm, survey.frameOn.lengthMm) ? inset : 0) - place.endMm;
  const { y0, width, z0 } = place;
  const y1 = y0 + width;
  const { t, highMm } = railOf(a.frame, a.stand);
  if (width - 2 * t < 200)
    return fail(
      'frame',
      `The boards leave no room between them on so narrow a bed. ${a.stand === 'flat' ? 'Stand them on edge, or use' : 'Use'} a thinner board.`,
    );
  const railTop = z0 + highMm;
  const od = thicknessMm(a.pipe);
  const outward = place.outward ?? 0;

  const feet = place.feet ?? { on: 'inner face' as const, spanMm: width - 2 * t - od, footZ: z0 + 10 };
  const spanMm = place.bent ? width - t : feet.spanMm;
  const footY = y0 + (width - spanMm) / 2;
  const rolls = a.cover.rolls.filter((roll) => a.roll === null || roll.key === a.roll);
  const outline = (hoop: Elastica | BentHoop, footZ: number): readonly Point2[] =>
    sheetRun(
      [...outerFace(hoop, a.pipe, footY, footZ), { y: y0, z: railTop }, { y: y1, z: railTop }],
      [
        { y: y0 - outward, z: z0 },
        { y: y1 + outward, z: z0 },
      ],
    );
  const stands = (): Result<Standing> => {
    const bent = place.bent?.(spanMm);
    if (bent?.ok) {
      const { hoop, bends, legMm } = bent.value;
      return ok({ hoop, bends, cutMm: hoop.lengthMm + 2 * legMm, footZ: railTop, heldMm: legMm });
    }
    if (bent) return bent;
    const sprung = springOnRail(
      a.shape,
      a.pipe,
      { ...feet, boardTopZ: railTop },
      {
        sheetAcrossMm: (hoop, foot) => pathLength(outline(hoop, foot)) + 2 * a.wrapMm + PULL_MM,
        widestRollMm: Math.max(0, ...rolls.map((roll) => roll.widthMm)),
      },
    );
    return sprung.ok ? ok({ ...sprung.value, bends: [] }) : sprung;
  };
  const standing = stands();
  if (!standing.ok) return standing;
  const { hoop, cutMm, bends, footZ, heldMm } = standing.value;
  const found = hoopPlaces(x0, x1, Math.max(a.endOffsetMm, t + od / 2), a.hoops, a.maxSpacingMm);
  if (!found.ok) return found;
  const xs = found.value;
  const n = xs.length;
  const spacingMm = ((xs[n - 1] ?? x1) - (xs[0] ?? x0)) / (n - 1);
  const open = [...(whole(startMm, 0) ? [] : [x0]), ...(whole(endMm, survey.frameOn.lengthMm) ? [] : [x1])];
  const frame = buildFrame(
    {
      site,
      frame: a.frame,
      stand: a.stand,
      joint: a.joint ?? 'between',
      ...(a.meet && { meet: a.meet }),
      crossTies: a.crossTies,
      battens: a.battens,
      endBattens: a.endBattens,
      corner: a.corner,
    },
    {
      x0,
      x1,
      y0,
      width,
      z0,
      t,
      railHeight: highMm,
      xs,
      pipeMm: od,
      outward,
    },
  );
  const hoops = hoopMembers({ hoop, cutMm }, a.pipe, xs, {
    footY,
    footZ,
    tailMm: heldMm,
    bears: { sprung: !place.bent, baseZMm: footZ },
  });
  const ridge = buildRidge(
    a.ridge,
    {
      site,
      pipe: a.pipe,
      hoopXs: xs,
      y: y0 + width / 2,
      crownZ: footZ + hoop.heightMm,
      post: { section: stock(site, '2x2'), xs: [x0 + t / 2, x1 - t / 2], footZ: railTop, inSoilMm: 0 },
    },
    hoops,
  );
  const line = outline(hoop, footZ);
  const lengthMm = x1 - x0 + 2 * place.endMm;
  const riseMm = Math.max(...line.map((p) => p.z)) - z0;
  return ok({
    x0,
    x1,
    y0,
    width,
    z0,
    t,
    railTop,
    lengthMm,
    covered: { line, x0, x1, lengthMm, riseMm, widthMm: width, wrapMm: a.wrapMm },
    hoop,
    cutMm,
    bends,
    xs,
    spacingMm,
    footY,
    footZ,
    heldMm,
    frame,
    // A frame that stands down on the soil needs no board under its end.
    across: crossBoards('C', place.insideMm === undefined ? open : [], site),
    hoops,
    ridge,
    line,
    under: underHoop(hoop, a.pipe, footY, footZ),
  });
}

/** A rail's thickness as it stands, and its height, mm. */
export function railOf(frame: Section, stand: 'on edge' | 'flat'): { readonly t: number; readonly highMm: number } {
  const { thicknessMm: thin, widthMm: wide } = boardShape(frame);
  return stand === 'on edge' ? { t: thin, highMm: wide } : { t: wide, highMm: thin };
}

/** The dimensions of hoops on a frame. */
export function frameDimensions(
  a: { readonly rowFromEdgeMm: number },
  site: BuildSite,
  f: HoopFrame,
  said: Pick<HoopMeasured, 'baseZ' | 'heightLabel' | 'coverLabel'>,
): readonly Dimension[] {
  return hoopDimensions(a, site, {
    ...said,
    sprung: f,
    xs: f.xs,
    footY: f.footY,
    footZ: f.footZ,
    startMm: (f.x0 + f.x1 - f.lengthMm) / 2,
    endMm: (f.x0 + f.x1 + f.lengthMm) / 2,
    offsetFromMm: f.x0,
  });
}

/** So many places along the feet of both long rails, a hand in from the ends. */
export const alongRails = ({ x0, x1, y0, width, z0 }: HoopFrame, count: number): readonly Vec3[] =>
  [y0, y0 + width].flatMap((y) => evenly([x0 + 150, y, z0], [x1 - 150, y, z0], Math.ceil(count / 2))).slice(0, count);

/** Where a frame stands that is hinged as a whole. */
export function framePlace(f: HoopFrame, rails: readonly Member[]): WholePlace {
  return {
    x0: f.x0,
    x1: f.x1,
    y0: f.y0,
    y1: f.y0 + f.width,
    z0: f.z0,
    along: { near: onSide(rails, f, true), far: onSide(rails, f, false) },
    ends: f.frame.endBoards,
  };
}

/** The rails of one long side. */
function onSide(rails: readonly Member[], f: Pick<HoopFrame, 'y0' | 'width'>, near: boolean): readonly Member[] {
  return rails.filter((m) => m.shape.kind === 'straight' && m.shape.from[1] < f.y0 + f.width / 2 === near);
}
