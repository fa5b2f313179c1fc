import type { BentHoop, Elastica, Feet } from '../hoop/types';
import type { HoopShape } from '../answers/hoops';
import type { Section } from '../../catalog/types';
import { thicknessMm } from '../../catalog/sections';
import { hoopCurve } from '../hoop/curve';
import { solveHoop } from '../hoop/elastica';
import { type Result, fail, ok } from '../../base/result';
import type { Point2, Vec3 } from '../../base/geometry';
import type { Bow, Member } from '../assembly/types';

export interface SprungHoop {
  readonly hoop: Elastica;
  /** Pipe to cut: the sprung part and both tails. */
  readonly cutMm: number;
}

/** A question about hoops that only the family can answer. */
export interface HoopSite {
  readonly feet: Feet;
  readonly spanMm: number;
  /** Straight pipe below the sprung part at each foot: over a rod, or in the soil. */
  readonly tailMm: number;
  /** The part of the tail that stands above the base from which height is measured. */
  readonly tailAboveMm: number;
  /** Across-size of the sheet that a hoop would need, and the widest roll to be had. */
  readonly sheetAcrossMm: (hoop: Elastica) => number;
  readonly widestRollMm: number;
}

/** Pipe of a hoop that is a little more than half a circle, over that of half a one. */
const OVER_HALF = 1.1;

function longestStock(pipe: Section): number {
  return Math.max(...pipe.stock.map((s) => s.lengthMm));
}

/** Tallest hoop whose sheet is no wider than the roll, by bisection on the pipe's length. */
function sheetLimited(site: HoopSite, longestMm: number): Result<Elastica> {
  const at = (lengthMm: number): Result<Elastica> => solveHoop(site.feet, { spanMm: site.spanMm, lengthMm });
  let low = site.spanMm * 1.03;
  let high = Math.max(low, longestMm);
  const lowest = at(low);
  if (!lowest.ok) return lowest;
  if (site.sheetAcrossMm(lowest.value) > site.widestRollMm)
    return fail(
      'roll',
      'No roll is wide enough for this span, however low the hoop. Choose a wider roll or a narrower span.',
    );
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    const hoop = at(middle);
    if (hoop.ok && site.sheetAcrossMm(hoop.value) <= site.widestRollMm) low = middle;
    else high = middle;
  }
  return at(low);
}

/**
 * The hoop that a school of height gives on these feet.
 * @returns the sprung shape and the pipe to cut, or a fault naming the field
 */
export function springHoop(shape: HoopShape, pipe: Section, site: HoopSite): Result<SprungHoop> {
  const tails = 2 * site.tailMm;
  const longest = longestStock(pipe);
  const solved = ((): Result<Elastica> => {
    switch (shape.by) {
      case 'half-circle':
        return solveHoop(site.feet, { spanMm: site.spanMm, lengthMm: (Math.PI / 2) * site.spanMm });
      case 'over-half':
        return solveHoop(site.feet, { spanMm: site.spanMm, lengthMm: OVER_HALF * (Math.PI / 2) * site.spanMm });
      case 'length':
        return solveHoop(site.feet, { spanMm: site.spanMm, lengthMm: shape.lengthMm - tails });
      case 'height':
        return solveHoop(site.feet, { spanMm: site.spanMm, heightMm: shape.heightMm - site.tailAboveMm });
      case 'stock':
      case 'half': {
        // Cut on the middle line, each half gives up half of what the saw takes.
        const ofOne = (mm: number): number => (shape.by === 'half' ? (mm - pipe.tool.kerfMm) / 2 : mm);
        const fits = pipe.stock
          .map((s) => ofOne(s.lengthMm))
          .sort((a, b) => a - b)
          .find((l) => l - tails > site.spanMm * 1.15 && l - tails < site.spanMm * 3);
        if (fits === undefined)
          return fail(
            'shape',
            `No ${shape.by === 'half' ? 'half' : 'whole'} pipe suits this span: it would stand too flat or too tall. Say how long it is cut.`,
          );
        return solveHoop(site.feet, { spanMm: site.spanMm, lengthMm: fits - tails });
      }
      case 'sheet':
        return sheetLimited(site, longest - tails);
    }
  })();
  if (!solved.ok) return solved;
  const cutMm = solved.value.lengthMm + tails;
  if (cutMm > longest + 0.5)
    return fail(
      'pipeLength',
      `The hoop needs more pipe than the longest ${pipe.name} on sale. Make it lower or narrower.`,
    );
  return ok({ hoop: solved.value, cutMm });
}

/** How the foot of a hoop is held on a rail, and the board beside it, mm. */
export interface RailFoot {
  /** Which side of the board the pipe is strapped to; `both` where two screws hold it to the board. */
  readonly on: 'inner face' | 'outer face' | 'both';
  readonly spanMm: number;
  /** Where the end of the pipe stands, and where the board ends. */
  readonly footZ: number;
  readonly boardTopZ: number;
}

/** A hoop sprung on rails: the free part, and the straight part that the board holds upright below it. */
interface RailHoop extends SprungHoop {
  readonly footZ: number;
  readonly heldMm: number;
}

/**
 * The hoop that springs from a strap on a rail. It turns freely in the strap, unless it would lean into the board: then the board
 * holds it upright, and it is free only above it.
 * @param rest as for springHoop, the sheet by where the free part begins
 */
export function springOnRail(
  shape: HoopShape,
  pipe: Section,
  foot: RailFoot,
  rest: Pick<HoopSite, 'widestRollMm'> & { readonly sheetAcrossMm: (hoop: Elastica, footZ: number) => number },
): Result<RailHoop> {
  const { on, spanMm, footZ, boardTopZ } = foot;
  const site = (feet: Feet, z: number, tailMm: number): HoopSite => ({
    feet,
    spanMm,
    tailMm,
    tailAboveMm: 0,
    sheetAcrossMm: (hoop) => rest.sheetAcrossMm(hoop, z),
    widestRollMm: rest.widestRollMm,
  });
  const heldMm = Math.max(0, boardTopZ - footZ);
  const held = (): Result<RailHoop> => {
    const hoop = springHoop(shape, pipe, site({ kind: 'fixed', angleDeg: 90 }, boardTopZ, heldMm));
    return hoop.ok ? ok({ ...hoop.value, footZ: boardTopZ, heldMm }) : hoop;
  };
  if (on === 'both') return held();
  const free = springHoop(shape, pipe, site({ kind: 'pinned' }, footZ, 0));
  if (!free.ok) return free;
  const leansIn = free.value.hoop.footAngleDeg < 90 - 0.01;
  const leansOut = free.value.hoop.footAngleDeg > 90 + 0.01;
  const through = on === 'outer face' ? leansIn : leansOut;
  return through ? held() : ok({ ...free.value, footZ, heldMm: 0 });
}

/** Hoop places between two ends: the given number, or as many as keep them no further apart than asked. */
export function hoopPlaces(
  startMm: number,
  endMm: number,
  endOffsetMm: number,
  count: number | null,
  maxSpacingMm: number,
): Result<readonly number[]> {
  const first = startMm + endOffsetMm;
  const run = endMm - endOffsetMm - first;
  if (run < 100) return fail('endOffset', 'The end hoops would meet: make the end offset smaller.');
  const bays = count === null ? Math.max(1, Math.ceil(run / maxSpacingMm - 1e-6)) : count - 1;
  return ok(Array.from({ length: bays + 1 }, (_, i) => first + (run * i) / bays));
}

/** Where hoops of a row stand, mm: the left foot of what is free, and the straight pipe below it. */
interface HoopsAt {
  readonly footY: number;
  readonly footZ: number;
  readonly tailMm: number;
  /** Of hoops that bear the cover: whether they are sprung, and where their height is measured from. */
  readonly bears?: Pick<Bow, 'sprung' | 'baseZMm'>;
}

/** Hoops as members, tags H1, H2 ..., with straight tails along the feet's own direction. */
export function hoopMembers(
  sprung: { readonly hoop: Elastica | BentHoop; readonly cutMm: number },
  pipe: Section,
  xs: readonly number[],
  { footY, footZ, tailMm, bears }: HoopsAt,
): readonly Member[] {
  const curve = hoopCurve(sprung.hoop, 64);
  const first = curve[0];
  const lean = first ? first.angle : Math.PI / 2;
  const dy = Math.cos(lean) * tailMm;
  const dz = Math.sin(lean) * tailMm;
  const line = [
    ...(tailMm > 0 ? [{ y: -dy, z: -dz }] : []),
    ...curve,
    ...(tailMm > 0 ? [{ y: sprung.hoop.spanMm + dy, z: -dz }] : []),
  ];
  const bow = bears && { hoop: sprung.hoop, ...bears, footYMm: footY, footZMm: footZ };
  return xs.map((x, i) => ({
    tag: `H${i + 1}`,
    part: 'Hoop',
    section: pipe,
    shape: { kind: 'curve', points: line.map((p): Vec3 => [x, footY + p.y, footZ + p.z]) },
    lengthMm: sprung.cutMm,
    ends: ['square', 'square'],
    holes: [],
    marks: [],
    ...(bow && { bow }),
  }));
}

/** A face of a hoop's pipe in the cross-section of the bed: so far outward of its centre line, square to it. */
function face(
  hoop: Elastica | BentHoop,
  steps: number,
  outMm: number,
  footY: number,
  footZ: number,
): readonly Point2[] {
  return hoopCurve(hoop, steps).map((p) => ({
    y: footY + p.y - outMm * Math.sin(p.angle),
    z: footZ + p.z + outMm * Math.cos(p.angle),
  }));
}

/** The outer face of a hoop's pipe, which the sheet lies on. */
export const outerFace = (hoop: Elastica | BentHoop, pipe: Section, footY: number, footZ: number): readonly Point2[] =>
  face(hoop, 64, thicknessMm(pipe) / 2, footY, footZ);

/** The underside of a row of hoops, that headroom is measured to. */
export const underHoop = (hoop: Elastica | BentHoop, pipe: Section, footY: number, footZ: number): readonly Point2[] =>
  face(hoop, 200, -thicknessMm(pipe) / 2, footY, footZ);

/** The first and the last of a row of hoops. */
export const endsOfRow = (hoops: readonly Member[]): readonly Member[] =>
  hoops.filter((h) => h === hoops[0] || h === hoops[hoops.length - 1]);
