import { lengthInBoth } from '../../../base/length';
import type { Vec3 } from '../../../base/geometry';
import { type Result, fail, ok } from '../../../base/result';
import { stiffSheet } from '../../../catalog/catalog';
import { boardShape, thicknessMm } from '../../../catalog/sections';
import { type BuildSite, stock } from '../../../site/buildSite';
import { treat } from '../../answers/bars';
import { endHeight, endWidth } from '../../assembly/dimension';
import { sideOf } from '../../assembly/openings';
import type { Member, AssemblySpec } from '../../assembly/types';
import { built, piecesOf } from '../../guide/built';
import { type Bend, NO_ROOM, bentHoop } from '../../hoop/bent';
import { plywoodEnd, ventOpenings } from '../../parts/ends';
import { withHoles } from '../../parts/frame';
import { framedHoops } from '../../parts/framedHoops';
import { endSheets, flapOpenings, framedSheet } from '../../parts/framedSheet';
import { packerWork, setOnBed } from '../../parts/frameStages';
import { type HoopFrame, frameDimensions, framePlace, timberHoopFrame } from '../../parts/hoopFrame';
import { hangWhole } from '../../parts/hungWhole';
import { addInnerTunnel } from '../../parts/innerTunnel';
import { type BentConduitAnswers, bendRadiusMm } from './answers';
import { bentStages, bracketedStage, furringStages } from './stages';

const PLYWOOD = 'plywood-3/8';
const FURRING = '1x3';

type Bent = Exclude<ReturnType<typeof bentHoop>, typeof NO_ROOM>;

/** The flattest and the steepest roof that is bent, radians. */
const SLOPES = [0.03, 1.25] as const;

/** Where something that grows with the slope of the roof reaches a value, by bisection; undefined where it never does. */
function slopeWhere(grows: (slope: number) => number, value: number): number | undefined {
  let [low, high]: [number, number] = [...SLOPES];
  if (value < grows(low) || value > grows(high)) return undefined;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (grows(middle) < value) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * The hoop through two legs, two shoulders and a crown: as high, of as much conduit, or with its crown bent as far as is asked.
 * The corner of the crown lies above its rounded top by r (1 / cos s - 1), s the slope of the roof; the crown turns 2 s.
 */
function bend(a: BentConduitAnswers, spanMm: number): Result<Bent & { readonly legMm: number }> {
  const radius = bendRadiusMm(a.pipe);
  const half = spanMm / 2;
  const top = (slope: number): number => half * Math.tan(slope) - radius * (1 / Math.cos(slope) - 1);
  const hoop = (slope: number): Bent | typeof NO_ROOM =>
    bentHoop(
      [
        { y: 0, z: 0 },
        { y: 0, z: a.shoulderMm },
        { y: half, z: a.shoulderMm + half * Math.tan(slope) },
        { y: spanMm, z: a.shoulderMm },
        { y: spanMm, z: 0 },
      ],
      radius,
      { kind: 'fixed', angleDeg: 90 },
    );
  const cutOf = (slope: number): number => {
    const made = hoop(slope);
    return made === NO_ROOM ? Infinity : made.hoop.lengthMm + 2 * a.legDepthMm;
  };
  const stock = a.pipe.stock.map((bar) => bar.lengthMm);
  const longest = Math.max(...stock);
  const slope = ((): number | undefined => {
    switch (a.bends.by) {
      case 'height':
        return slopeWhere(top, a.crownMm - a.shoulderMm);
      case 'length':
        return slopeWhere(cutOf, a.bends.lengthMm);
      case 'stock':
        return stock.map((mm) => slopeWhere(cutOf, mm)).find((s) => s !== undefined);
      case 'jig':
        return (a.bends.crownDeg * Math.PI) / 360;
    }
  })();
  if (slope === undefined)
    return a.bends.by === 'height'
      ? fail('height', 'The crown must stand above the shoulders, and less than a steeple: change its height.')
      : fail(
          'pipeLength',
          'With so much conduit the roof would lie flat or stand like a steeple: change its length, or the height of the shoulders.',
        );
  const made = hoop(slope);
  if (made === NO_ROOM)
    return fail('shoulder', 'There is no straight left between the bends: raise the shoulders or widen the frame.');
  if (cutOf(slope) > longest + 0.5)
    return fail('height', `The hoop needs more conduit than the longest on sale. Make it lower or narrower.`);
  return ok({ ...made, legMm: a.legDepthMm });
}

/** Builds the frame: rails with blind holes, conduit bent at crown and shoulders, furring along it, cover. */
export function assembleBentConduit(a: BentConduitAnswers, site: BuildSite): Result<AssemblySpec> {
  const { bed, survey } = site;
  const rail = boardShape(a.frame);
  const od = thicknessMm(a.pipe);
  if (a.legDepthMm > rail.widthMm - 10)
    return fail(
      'legDepth',
      `A blind hole leaves at least ${lengthInBoth(10)} of wood below it: make the legs shorter or the rail wider.`,
    );
  if (od > rail.thicknessMm - 12)
    return fail('pipe', 'The rail is too thin for holes of this size: choose a thicker board or thinner conduit.');
  const plywood = stiffSheet(site.catalog, PLYWOOD);
  const ply = a.ends === 'plywood' ? plywood.thicknessMm : 0;
  const width = survey.frameOn.widthMm;
  const found = timberHoopFrame(
    {
      ...a,
      shape: { by: 'half-circle' },
      frame: treat(site, a.frame, a.wood),
      stand: 'on edge',
      ridge: 'none',
      battens: a.fixing === 'battens',
      endBattens: false,
      corner: { screw: 'screw-3', each: 3 },
    },
    { y0: 0, width, z0: bed.wall.heightMm, endMm: ply, bent: (spanMm) => bend(a, spanMm) },
    site,
  );
  if (!found.ok) return found;
  const { frame, hoops } = found.value;
  const f: HoopFrame = {
    ...found.value,
    hoops: hoops.map((h) => ({ ...h, marks: bendMarks(found.value.bends, a.legDepthMm) })),
    frame: { ...frame, rails: frame.rails.map((r) => withHoles(r, od)) },
  };
  const { rails, endBoards, ties } = f.frame;
  const furring = furringStages(a, f, stock(site, FURRING));
  const panels = [f.x0 - ply, f.x1]
    .slice(0, ply > 0 ? 2 : 0)
    .map((x, i) => plywoodEnd({ tag: `E${i + 1}`, sheet: plywood, x, line: f.line, vent: 'high' }));
  const sheets = [framedSheet(a, a.ends, f.covered), ...(a.ends === 'flap' ? endSheets(a, f.covered) : [])];
  const stages = bentStages(a, f, { panels, sheets, furring });
  const set = setOnBed([...rails, ...endBoards, ...ties], f.across, packerWork(survey));
  const hung =
    a.mount === 'hinged' ? hangWhole(a, 'Frame', piecesOf(stages), framePlace(f, rails), site, set) : undefined;
  const x = f.xs[0] ?? f.x0;
  const foot = [f.x0, f.x1].map((at): Vec3 => [at, f.y0, f.z0]) as [Vec3, Vec3];
  const dims = frameDimensions(a, site, f, {
    baseZ: f.railTop,
    heightLabel: 'crown above the rail',
    coverLabel: 'frame',
  }).map((d) => (d.id === 'pipeLength' ? { ...d, label: 'conduit, cut' } : d));
  return addInnerTunnel(
    {
      ...framedHoops(a.cover, f, panels, 'wall', site),
      ...built([...stages, hung?.stage ?? bracketedStage(a, f, set)]),
      openings: [
        ...(hung ? [hung.opening] : []),
        ...ventOpenings(panels, 'vents'),
        ...flapOpenings(sheets.slice(1), f.covered),
        // A clipped cover is lifted at its side; a battened one, or one in its channel for the season, stays shut there.
        ...(a.fixing === 'clips' ? [sideOf(sheets.slice(0, 1), foot, a.shoulderMm)] : []),
      ],
      fixing: a.fixing,
      dimensions: [
        endWidth('frameWidth', 'frame', x, [0, width], false),
        endHeight('shoulder', 'shoulder above the rail', 'left', [x, f.footY], [f.railTop, f.railTop + a.shoulderMm]),
        ...dims,
      ],
    },
    a,
    site,
  );
}

/** Where each bend starts and ends along the straight conduit, from its left end. */
function bendMarks(bends: readonly Bend[], legMm: number): Member['marks'] {
  const names = ['shoulder', 'crown', 'shoulder'];
  return bends.flatMap((b, i) => [
    { atMm: legMm + b.atMm, label: `${names[i] ?? 'bend'} starts` },
    { atMm: legMm + b.atMm + b.arcMm, label: 'ends' },
  ]);
}
