import { evenly, joint, pairsAt } from '../../joints';
import { treat } from '../../answers/bars';
import type { Section } from '../../../catalog/types';
import { stiffSheet } from '../../../catalog/catalog';
import { BARE } from '../../assembly/bare';
import { endHeight, endWidth } from '../../assembly/dimension';
import { plywoodEnd, ventOpenings } from '../../parts/ends';
import { clipPlaces, endSheets, flapOpenings, framedSheet } from '../../parts/framedSheet';
import { coveringJoints, framedHoops } from '../../parts/framedHoops';
import { nest } from '../../parts/nested';
import { type HoopFrame, framePlace, hoopFrame, frameDimensions } from '../../parts/hoopFrame';
import { type Vec3, pathLength } from '../../../base/geometry';
import { hoopMark, straightRun } from '../../joints/runs';
import type { Joint, Member, Panel, Said, SheetPart } from '../../assembly/types';
import { sideOf } from '../../assembly/openings';
import { type BuildSite, stock } from '../../../site/buildSite';
import { boardShape, thicknessMm } from '../../../catalog/sections';
import { type Bend, NO_ROOM, bentHoop } from '../../hoop/bent';
import { type Result, fail, ok } from '../../../base/result';
import { withHoles } from '../../parts/frame';
import { packerWork, setOnBed } from '../../parts/frameSteps';
import { hangWhole } from '../../parts/hungWhole';
import { type BentConduitAnswers, bendRadiusMm } from './answers';
import { bentSteps } from './steps';

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
export function assembleBentConduit(a: BentConduitAnswers, site: BuildSite): Result<Said> {
  const { bed, survey } = site;
  const rail = boardShape(a.frame);
  const od = thicknessMm(a.pipe);
  if (a.legDepthMm > rail.widthMm - 10)
    return fail(
      'legDepth',
      'A blind hole leaves at least 10 mm of wood below it: make the legs shorter or the rail wider.',
    );
  if (od > rail.thicknessMm - 12)
    return fail('pipe', 'The rail is too thin for holes of this size: choose a thicker board or thinner conduit.');
  const plywood = stiffSheet(site.catalog, PLYWOOD);
  const ply = a.ends === 'plywood' ? plywood.thicknessMm : 0;
  const width = survey.frameOn.widthMm;
  const found = hoopFrame(
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
  const f = found.value;
  const hoops = f.hoops.map((h) => ({ ...h, marks: bendMarks(f.bends, a.legDepthMm) }));
  const rails = f.frame.rails.map((r) => withHoles(r, a.legDepthMm, od));
  const furring = furringOf(a, f, od, stock(site, FURRING));
  const panels = [f.x0 - ply, f.x1]
    .slice(0, ply > 0 ? 2 : 0)
    .map((x, i) => plywoodEnd({ tag: `E${i + 1}`, sheet: plywood, x, line: f.line, vent: 'high' }));
  const sheets = [framedSheet(a, a.ends, f.covered), ...(a.ends === 'flap' ? endSheets(a, f.covered) : [])];
  const own = jointsOf(a, { ...f, hoops }, { furring, panels, sheets });
  const whole = [...rails, ...f.frame.endBoards, ...hoops, ...furring.members, ...f.frame.ties, ...f.frame.battens];
  const set = setOnBed([...rails, ...f.frame.endBoards, ...f.frame.ties], f.frame.crossBoards, own, packerWork(survey));
  const hung =
    a.mount === 'hinged'
      ? hangWhole(a, 'Frame', [...whole, ...panels, ...sheets], framePlace(f, rails), site, set)
      : undefined;
  const joints = [...own, ...(hung?.joints ?? [])];
  const x = f.xs[0] ?? f.x0;
  const foot = [f.x0, f.x1].map((at): Vec3 => [at, f.y0, f.z0]) as [Vec3, Vec3];
  const dims = frameDimensions(a, site, f, {
    baseZ: f.railTop,
    heightLabel: 'crown above the rail',
    coverLabel: 'frame',
  }).map((d) => (d.id === 'pipeLength' ? { ...d, label: 'conduit, cut' } : d));
  return nest(
    {
      ...BARE,
      members: [...whole, ...f.frame.crossBoards, ...(hung?.members ?? [])],
      panels,
      sheets,
      joints,
      openings: [
        ...(hung ? [hung.opening] : []),
        ...ventOpenings(panels, 'vents'),
        ...flapOpenings(sheets.slice(1), f.covered),
        // A clipped cover is lifted at its side; a battened one, or one in its channel for the season, stays shut there.
        ...(a.fixing === 'clips' ? [sideOf(sheets.slice(0, 1), foot, a.shoulderMm)] : []),
      ],
      ...framedHoops(a.cover, f, panels, 'wall', site),
      arches: [{ ...f.arch, ridge: furring.members.length > 0 ? { kind: 'tied' } : { kind: 'none' } }],
      fixing: a.fixing,
      dimensions: [
        endWidth('frameWidth', 'frame', x, [0, width], false),
        endHeight('shoulder', 'shoulder above the rail', 'left', [x, f.footY], [f.railTop, f.railTop + a.shoulderMm]),
        ...dims,
      ],
      steps: bentSteps(a, { f, hoops, rails, furring: furring.members, sheets, panels, joints, set, hung }),
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

/** Strips along the hoops, under the crown and inside both shoulders: they keep the hoops apart and carry the film. */
function furringOf(a: BentConduitAnswers, f: HoopFrame, od: number, strip: Section): Furring {
  if (a.ridge === 'none') return { members: [], joints: [] };
  const { thicknessMm: t, widthMm: w } = boardShape(strip);
  const first = f.xs[0] ?? f.x0;
  const last = f.xs[f.xs.length - 1] ?? f.x1;
  const crownZ = f.footZ + f.hoop.heightMm - od / 2 - t / 2;
  const shoulderZ = f.footZ + a.shoulderMm * 0.6;
  const inset = od / 2 + t / 2;
  const places = [
    { tag: 'R1', part: 'Furring ridge', y: f.footY + f.hoop.spanMm / 2, z: crownZ, wide: [0, 1, 0] as const },
    ...(a.shoulderMm * 0.6 > w
      ? [
          { tag: 'R2', part: 'Side strip', y: f.footY + inset, z: shoulderZ, wide: [0, 0, 1] as const },
          { tag: 'R3', part: 'Side strip', y: f.footY + f.hoop.spanMm - inset, z: shoulderZ, wide: [0, 0, 1] as const },
        ]
      : []),
  ];
  const runs = places.map((p) =>
    straightRun(p.tag, p.part, strip, [first - od / 2, last + od / 2], [p.y, p.z], p.wide, {
      xs: f.xs,
      mark: hoopMark,
    }),
  );
  const members = runs.flatMap((r) => r.members);
  const crossings = places.flatMap((p) => f.xs.map((x): Vec3 => [x, p.y, p.z]));
  return {
    members,
    joints: [
      ...joint('tekScrew', 'furring', 'Furring to every hoop', [...members, ...f.hoops], crossings),
      ...runs.flatMap((r) => r.joints),
    ],
  };
}

interface Furring {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
}

interface CoverParts {
  readonly furring: Furring;
  readonly panels: readonly Panel[];
  readonly sheets: readonly SheetPart[];
}

/** Everything that holds the frame together, covers it and fixes it to its bed. */
function jointsOf(a: BentConduitAnswers, f: HoopFrame, c: CoverParts): readonly Joint[] {
  const legs = pairsAt(f.xs, [f.footY, f.footY + f.hoop.spanMm], f.railTop);
  const endHoops = [f.hoops[0], f.hoops[f.hoops.length - 1]].flatMap((m) => m ?? []);
  const anchors = a.anchors ?? 2 * Math.max(2, Math.ceil(f.lengthMm / 1200));
  const sides = [f.y0, f.y0 + f.width].flatMap((y) =>
    evenly([f.x0 + 150, y, f.z0], [f.x1 - 150, y, f.z0], Math.ceil(anchors / 2)),
  );
  const folded = a.ends === 'folded' && a.fixing !== 'clips';
  return [
    ...f.frame.joints,
    ...joint('tekScrew', 'legs', 'Through the rail into each leg', [...f.hoops, ...f.frame.rails], legs),
    ...c.furring.joints,
    ...coveringJoints(f, { ...a, louvres: false }, c, { kind: 'uStrap', eachEnd: 5, staples: 0 }),
    ...(folded
      ? joint(
          'clip',
          'end clips',
          'Folded ends to the end hoops',
          [...c.sheets, ...endHoops],
          clipPlaces(endHoops, Math.ceil(pathLength(f.line) / 450)),
        )
      : []),
    ...(a.mount === 'fixed'
      ? joint('bracket', 'anchors', 'Frame to the bed wall', f.frame.rails, sides.slice(0, anchors), { ask: 'anchors' })
      : []),
  ];
}
