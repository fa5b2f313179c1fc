import { treat } from '../../answers/bars';
import { stiffSheet } from '../../../catalog/catalog';
import { BARE } from '../../assembly/bare';
import { cropUnder, soilZ } from '../../assembly/crop';
import { dimension } from '../../assembly/dimension';
import { plywoodEnd } from '../../parts/ends';
import { nest } from '../../parts/nested';
import { hoopDimensions } from '../../assembly/hoopDimensions';
import { guardPvc } from '../../parts/guard';
import { framedSheet } from '../../parts/framedSheet';
import { type HoopFrame, hoopFrame } from '../../parts/hoopFrame';
import { enclosedArea, area, pathLength } from '../../../base/geometry';
import { some, use } from '../../assembly/pieces';
import type { Assembly, HardwareUse } from '../../assembly/types';
import { INSIDE_CLEARANCE_MM } from '../../../site/survey';
import type { BuildSite } from '../../../site/buildSite';
import type { Result } from '../../../base/result';
import type { LiftOffCoverAnswers } from './answers';
import { liftOffSteps } from './steps';

const HOOK_N = 350;

/** Builds the cover: a light frame on or inside the wall, hoops strapped in it, ends of plywood or folded film. */
export function assembleLiftOffCover(a: LiftOffCoverAnswers, site: BuildSite): Result<Assembly> {
  const { bed, survey } = site;
  const inside = a.sits === 'inside';
  const plywood = stiffSheet(site.catalog, a.plywood);
  const ply = a.ends === 'plywood' ? plywood.thicknessMm : 0;
  const outer = survey.frameOn.widthMm;
  const width = inside ? survey.frameIn.widthMm : outer;
  const found = hoopFrame(
    {
      ...a,
      frame: treat(site, a.frame, a.wood),
      stand: 'on edge',
      battens: a.fixing === 'battens',
    },
    {
      y0: (outer - width) / 2,
      width,
      z0: inside ? soilZ(bed) : bed.wall.heightMm,
      endMm: ply,
      insetMm: inside ? bed.wall.thicknessMm + INSIDE_CLEARANCE_MM : 0,
    },
    site,
  );
  if (!found.ok) return found;
  const f = found.value;
  const length = f.x1 - f.x0 + 2 * ply;
  const rise = Math.max(...f.line.map((p) => p.z)) - f.z0;
  const panels =
    ply === 0
      ? []
      : [f.x0 - ply, f.x1].map((x, i) =>
          plywoodEnd({ tag: `E${i + 1}`, sheet: plywood, x, line: f.line, vent: ventPlace(a.vents, i) }),
        );
  const covered = {
    line: f.line,
    x0: f.x0,
    x1: f.x1,
    lengthMm: length,
    riseMm: rise,
    widthMm: width,
    wrapMm: a.wrapMm,
  };
  const sheets = [framedSheet(a, a.ends, covered)];
  const hardware = hardwareOf(a, f, length, rise);
  const hooks = a.hooks ?? 4;
  const guard = guardPvc(a.paint, a.cover, a.pipe, f.hoops);
  const sectionM2 = enclosedArea(f.line) / 1e6;
  const members = [
    ...f.frame.rails,
    ...f.frame.endBoards,
    ...f.hoops,
    ...f.ridge.members,
    ...f.frame.ties,
    ...f.frame.battens,
  ];
  const x = f.x0;
  return nest(
    {
      ...BARE,
      members: [...members, ...f.frame.crossBoards],
      panels,
      sheets,
      hardware,
      arches: [f.arch],
      pushedRails: [
        {
          tag: 'A1',
          section: a.frame,
          across: 'thickness',
          freeLengthMm: (f.x1 - f.x0) / (a.crossTies + 1),
          pushesAtMm: f.spacingMm,
        },
      ],
      under: f.under,
      reachMm: [f.x0 + f.t, f.x1 - f.t],
      moving: [
        {
          name: 'Cover',
          memberTags: members.map((m) => m.tag),
          sheetTags: ['S1'],
          panelTags: panels.map((p) => p.tag),
          motion: 'carried',
          extraKg: 0,
          people: a.people === '2' ? 2 : 1,
        },
      ],
      footing: {
        on: inside ? 'inside the wall' : 'wall',
        stiff: true,
        lengthMm: length,
        widthMm: width,
        holdDowns: [{ what: 'hooks to the bed', count: hooks, eachN: HOOK_N, ask: 'hooks' }],
      },
      contacts: [
        ...guard.contacts,
        ...(panels.length > 0 ? [{ what: 'plywood edge' as const, guarded: a.edge === 'guarded' }] : []),
      ],
      fixing: a.fixing,
      airing: { by: panels.some((p) => p.openings.length > 0) ? 'vents' : 'lid', screened: false },
      crop: cropUnder(bed, outer, a.crop, a.rowFromEdgeMm, f.under),
      enclosure: {
        cover: a.cover,
        floorM2: (length * width) / 1e6,
        coverM2: (pathLength(f.line) * length) / 1e6 + 2 * sectionM2,
        volumeM3: (sectionM2 * length) / 1000,
        heightM: rise / 1000,
      },
      dimensions: [
        dimension('frameWidth', 'frame', 'end', 'below', 1, [x, f.y0, 0], [x, f.y0 + f.width, 0], false),
        ...hoopDimensions({
          sprung: { hoop: f.hoop, cutMm: f.cutMm },
          xs: f.xs,
          footY: f.footY,
          footZ: f.footZ,
          baseZ: f.footZ,
          heightLabel: 'crown above feet',
          startMm: f.x0 - ply,
          endMm: f.x1 + ply,
          coverLabel: 'cover',
          offsetFromMm: f.x0,
          wallMm: bed.wall.thicknessMm,
          rowFromEdgeMm: a.rowFromEdgeMm,
        }),
      ],
      steps: liftOffSteps(a, f, { sheets, panels, hardware, survey, hooks }),
      remarks: [],
    },
    a,
    site,
  );
}

function hardwareOf(a: LiftOffCoverAnswers, f: HoopFrame, length: number, rise: number): readonly HardwareUse[] {
  const n = f.hoops.length;
  const metres = Math.ceil((2 * length) / 1000);
  const curve = pathLength(f.line);
  const plywood = a.ends === 'plywood';
  const battenScrews = f.frame.battens.reduce((sum, b) => sum + Math.ceil(b.lengthMm / 300) + 1, 0);
  const aboveRail = area(f.line.map((p) => [p.y, p.z])) > 0 ? Math.ceil(curve / 250) : 0;
  return some([
    use('screw-2-1/2', 8, 'Frame corners, two each'),
    use('strap', 2 * n, 'One at each hoop foot'),
    use('screw-1', 4 * n, 'Two screws a strap'),
    ...f.ridge.hardware,
    use('screw-2-1/2', 4 * f.frame.ties.length, 'Cross ties, two screws an end'),
    use('screw-2-1/2', 4 * f.frame.crossBoards.length, 'Board across the soil, two screws an end'),
    use('screw-1-5/8', plywood ? 2 * Math.ceil(f.width / 200) : 0, 'Plywood to the end boards'),
    use('strap', plywood ? 6 : 0, 'End hoops to the plywood, three an end'),
    use('screw-1', plywood ? 12 : 0, 'Two screws a strap at the plywood'),
    use('vent-flap', plywood && a.vents === 'vents' ? 2 : 0, 'One at each end'),
    use('louvre', plywood && a.vents === 'louvres' ? 2 : 0, 'One low at one end, one high at the other'),
    use('edge-guard', plywood && a.edge === 'guarded' ? Math.ceil((2 * curve) / 1000) : 0, 'Over both plywood edges'),
    use('screw-1-5/8', battenScrews, 'Cover battens, one every 300 mm'),
    use('channel', a.fixing === 'channel' ? metres : 0, 'Along both rails'),
    use('spring-wire', a.fixing === 'channel' ? metres : 0, 'In the channel'),
    use('tek-screw', a.fixing === 'channel' ? metres * 3 : 0, 'Channel to the rails'),
    use(
      'staple',
      2 * Math.ceil(length / 150) + (plywood ? 2 * aboveRail : 2 * Math.ceil((f.width + 2 * rise) / 150)),
      'Cover at the rails and ends',
    ),
    ...guardPvc(a.paint, a.cover, a.pipe, f.hoops).hardware,
    use('handle', 2, 'One at each end, to carry by'),
    use('hook', a.hooks ?? 4, 'Frame to the bed wall'),
    ...f.frame.hardware,
  ]);
}

/** Vents high in both ends; louvres low in one and high in the other, so that air moves through. */
function ventPlace(vents: LiftOffCoverAnswers['vents'], end: number): 'high' | 'low' | 'none' {
  if (vents === 'none') return 'none';
  return vents === 'louvres' && end === 0 ? 'low' : 'high';
}
