import type { BentHoop } from '../../hoop/types';
import { treat } from '../../answers/bars';
import type { Section } from '../../../catalog/types';
import { stiffSheet } from '../../../catalog/catalog';
import { BARE } from '../../assembly/bare';
import { cropUnder } from '../../assembly/crop';
import { dimension } from '../../assembly/dimension';
import { plywoodEnd } from '../../parts/ends';
import { endSheets, framedSheet } from '../../parts/framedSheet';
import { nest } from '../../parts/nested';
import { hoopDimensions } from '../../assembly/hoopDimensions';
import { type HoopFrame, hoopFrame } from '../../parts/hoopFrame';
import { enclosedArea, pathLength } from '../../../base/geometry';
import { some, use } from '../../assembly/pieces';
import { straightRun } from '../../assembly/runs';
import type { Assembly, HardwareUse, Member } from '../../assembly/types';
import { type BuildSite, stock } from '../../../site/buildSite';
import { boardShape, thicknessMm } from '../../../catalog/sections';
import { type Bend, NO_ROOM, bentHoop } from '../../hoop/bent';
import { type Result, fail, ok } from '../../../base/result';
import { type BentConduitAnswers, bendRadiusMm } from './answers';
import { bentSteps } from './steps';

const PLYWOOD = 'plywood-3/8';
const FURRING = '1x3';
const ANCHOR_N = 400;

/**
 * The hoop through two legs, two shoulders and a crown, with the crown's rounded top at the height asked for.
 * The corner of the crown lies above its rounded top by r (1 / cos s - 1), s the slope of the roof, found by bisection.
 */
function bend(
  a: BentConduitAnswers,
  spanMm: number,
): Result<{ readonly hoop: BentHoop; readonly bends: readonly Bend[]; readonly legMm: number }> {
  const radius = bendRadiusMm(a.pipe);
  const roof = a.crownMm - a.shoulderMm;
  const half = spanMm / 2;
  const top = (slope: number): number => half * Math.tan(slope) - radius * (1 / Math.cos(slope) - 1);
  let low = 0.03;
  let high = 1.25;
  if (roof < top(low) || roof > top(high))
    return fail('height', 'The crown must stand above the shoulders, and less than a steeple: change its height.');
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (top(middle) < roof) low = middle;
    else high = middle;
  }
  const rise = half * Math.tan(low);
  const made = bentHoop(
    [
      { y: 0, z: 0 },
      { y: 0, z: a.shoulderMm },
      { y: half, z: a.shoulderMm + rise },
      { y: spanMm, z: a.shoulderMm },
      { y: spanMm, z: 0 },
    ],
    radius,
    { kind: 'held', angleDeg: 90 },
  );
  if (made === NO_ROOM)
    return fail('shoulder', 'There is no straight left between the bends: raise the shoulders or widen the frame.');
  const cut = made.hoop.lengthMm + 2 * a.legDepthMm;
  const longest = Math.max(...a.pipe.stock.map((bar) => bar.lengthMm));
  if (cut > longest + 0.5)
    return fail('height', `The hoop needs more conduit than the longest on sale. Make it lower or narrower.`);
  return ok({ ...made, legMm: a.legDepthMm });
}

/** Builds the frame: rails with blind holes, conduit bent at crown and shoulders, furring along it, cover. */
export function assembleBentConduit(a: BentConduitAnswers, site: BuildSite): Result<Assembly> {
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
    },
    {
      y0: 0,
      width,
      z0: bed.wall.heightMm,
      endMm: ply,
      insetMm: 0,
      bent: (spanMm) => bend(a, spanMm),
    },
    site,
  );
  if (!found.ok) return found;
  const f = found.value;
  const hoops = f.hoops.map((h) => ({ ...h, marks: bendMarks(f.bends, a.legDepthMm) }));
  const rails = f.frame.rails.map((r) => withHoles(r, a.legDepthMm, od));
  const furring = furringOf(a, f, od, stock(site, FURRING));
  const length = f.x1 - f.x0 + 2 * ply;
  const rise = Math.max(...f.line.map((p) => p.z)) - f.z0;
  const panels = [f.x0 - ply, f.x1]
    .slice(0, ply > 0 ? 2 : 0)
    .map((x, i) => plywoodEnd({ tag: `E${i + 1}`, sheet: plywood, x, line: f.line, vent: 'high' }));
  const covered = {
    line: f.line,
    x0: f.x0,
    x1: f.x1,
    lengthMm: length,
    riseMm: rise,
    widthMm: width,
    wrapMm: a.wrapMm,
  };
  const sheets = [framedSheet(a, a.ends, covered), ...(a.ends === 'flap' ? endSheets(a, covered) : [])];
  const anchors = a.anchors ?? 2 * Math.max(2, Math.ceil(length / 1200));
  const hardware = hardwareOf(a, f, { length, anchors, furring, panels: panels.length });
  const sectionM2 = enclosedArea(f.line) / 1e6;
  const x = f.xs[0] ?? f.x0;
  const dims = hoopDimensions({
    sprung: { hoop: f.hoop, cutMm: f.cutMm },
    xs: f.xs,
    footY: f.footY,
    footZ: f.footZ,
    baseZ: f.railTop,
    heightLabel: 'crown above the rail',
    startMm: f.x0 - ply,
    endMm: f.x1 + ply,
    coverLabel: 'frame',
    offsetFromMm: f.x0,
    wallMm: bed.wall.thicknessMm,
    rowFromEdgeMm: a.rowFromEdgeMm,
  }).map((d) => (d.id === 'pipeLength' ? { ...d, typed: false, label: 'conduit, cut' } : d));
  return nest(
    {
      ...BARE,
      members: [
        ...rails,
        ...f.frame.endBoards,
        ...hoops,
        ...furring,
        ...f.frame.ties,
        ...f.frame.battens,
        ...f.frame.crossBoards,
      ],
      panels,
      sheets,
      hardware,
      arches: [{ ...f.arch, ridge: furring.length > 0 ? { kind: 'tied' } : { kind: 'none' } }],
      under: f.under,
      reachMm: [f.x0 + f.t, f.x1 - f.t],
      footing: {
        on: 'wall',
        stiff: true,
        lengthMm: length,
        widthMm: width,
        holdDowns: [{ what: 'brackets to the bed', count: anchors, eachN: ANCHOR_N, ask: 'anchors' }],
      },
      contacts: panels.length > 0 ? [{ what: 'plywood edge', guarded: a.edge === 'guarded' }] : [],
      fixing: a.fixing,
      airing: { by: panels.length > 0 ? 'vents' : 'flaps', screened: false },
      crop: cropUnder(bed, width, a.crop, a.rowFromEdgeMm, f.under),
      enclosure: {
        cover: a.cover,
        floorM2: (length * width) / 1e6,
        coverM2: (pathLength(f.line) * length) / 1e6 + 2 * sectionM2,
        volumeM3: (sectionM2 * length) / 1000,
        heightM: rise / 1000,
      },
      dimensions: [
        dimension('frameWidth', 'frame', 'end', 'below', 1, [x, 0, 0], [x, width, 0], false),
        dimension(
          'shoulder',
          'shoulder above the rail',
          'end',
          'left',
          1,
          [x, f.footY, f.railTop],
          [x, f.footY, f.railTop + a.shoulderMm],
        ),
        ...dims,
      ],
      steps: bentSteps(a, { f, hoops, rails, furring, sheets, panels, hardware, survey, anchors }),
      remarks: [],
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

function withHoles(rail: Member, depthMm: number, od: number): Member {
  return {
    ...rail,
    holes: rail.marks.map((mark) => ({
      atMm: mark.atMm,
      diameterMm: od + 1,
      what: `blind hole, ${Math.round(depthMm)} mm deep, middle of the top edge`,
    })),
  };
}

/** Strips along the hoops, under the crown and inside both shoulders: they keep the hoops apart and carry the film. */
function furringOf(a: BentConduitAnswers, f: HoopFrame, od: number, strip: Section): readonly Member[] {
  if (a.ridge === 'none') return [];
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
  return places.flatMap(
    (p) =>
      straightRun({
        tag: p.tag,
        part: p.part,
        section: strip,
        from: [first - od / 2, p.y, p.z],
        to: [last + od / 2, p.y, p.z],
        wide: p.wide,
        hoopXs: f.xs,
        markHoops: true,
      }).members,
  );
}

function hardwareOf(
  a: BentConduitAnswers,
  f: HoopFrame,
  c: {
    readonly length: number;
    readonly anchors: number;
    readonly furring: readonly Member[];
    readonly panels: number;
  },
): readonly HardwareUse[] {
  const n = f.hoops.length;
  const metres = Math.ceil((2 * c.length) / 1000);
  const curve = pathLength(f.line);
  const battenScrews = f.frame.battens.reduce((sum, b) => sum + Math.ceil(b.lengthMm / 300) + 1, 0);
  const runs = new Set(c.furring.map((m) => m.tag.slice(0, 2))).size;
  return some([
    use('screw-3', 12, 'Frame corners, three each'),
    use('tek-screw', 2 * n, 'Through the rail into each leg'),
    use('tek-screw', runs * n, 'Furring to every hoop'),
    use('corner-plate', 2 * Math.max(0, c.furring.length - runs), 'Plates over the joints of the furring'),
    use('screw-2-1/2', 4 * f.frame.ties.length, 'Cross ties, two screws an end'),
    use('screw-2-1/2', 4 * f.frame.crossBoards.length, 'Board across the soil, two screws an end'),
    use('screw-1-5/8', battenScrews, 'Cover battens, one every 300 mm'),
    use('channel', a.fixing === 'channel' ? metres : 0, 'Along both rails'),
    use('spring-wire', a.fixing === 'channel' ? metres : 0, 'In the channel'),
    use('tek-screw', a.fixing === 'channel' ? metres * 3 : 0, 'Channel to the rails'),
    use('clip', a.fixing === 'clips' ? n * 4 : Math.ceil(curve / 450) * 2, 'Cover to the hoops, a sleeve under each'),
    use('staple', 2 * Math.ceil(c.length / 150), 'Cover at the rails, until it is battened'),
    use('u-strap', c.panels * 5, 'End hoops to the plywood'),
    use('screw-1', c.panels * 10, 'Two screws a strap at the plywood'),
    use('screw-1-5/8', c.panels * Math.ceil(f.width / 200), 'Plywood to the end boards'),
    use('vent-flap', c.panels, 'One at each end'),
    use(
      'edge-guard',
      c.panels > 0 && a.edge === 'guarded' ? Math.ceil((2 * curve) / 1000) : 0,
      'Over both plywood edges',
    ),
    use('bracket', c.anchors, 'Frame to the bed wall'),
    ...f.frame.hardware,
  ]);
}
