import { evenly, joint, pairsAt } from '../../joints';
import { treat } from '../../answers/bars';
import { stiffSheet } from '../../../catalog/catalog';
import { BARE } from '../../assembly/bare';
import { soilZ } from '../../assembly/crop';
import { endWidth } from '../../assembly/dimension';
import { firmEnds, ventOpenings } from '../../parts/ends';
import { coveringJoints, framedHoops } from '../../parts/framedHoops';
import { nest } from '../../parts/nested';
import { guardPvc } from '../../parts/guard';
import { framedSheet } from '../../parts/framedSheet';
import { packerWork, setOnBed } from '../../parts/frameSteps';
import { hangWhole } from '../../parts/hungWhole';
import { type HoopFrame, framePlace, hoopFrame, frameDimensions } from '../../parts/hoopFrame';
import { type Vec3, pathLength } from '../../../base/geometry';
import type { Joint, Panel, Said, SheetPart } from '../../assembly/types';
import { liftedOff } from '../../assembly/openings';
import type { BuildSite } from '../../../site/buildSite';
import { type Result, ok } from '../../../base/result';
import type { LiftOffCoverAnswers } from './answers';
import { liftOffSteps } from './steps';

/** Builds the cover: a light frame on or inside the wall, hoops strapped in it, ends of plywood or folded film. */
export function assembleLiftOffCover(a: LiftOffCoverAnswers, site: BuildSite): Result<Said> {
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
      endBattens: a.ends === 'folded',
      corner: { screw: 'screw-2-1/2', each: 2 },
    },
    {
      y0: (outer - width) / 2,
      width,
      z0: inside ? soilZ(bed) : bed.wall.heightMm,
      endMm: ply,
      ...(inside && { insideMm: survey.frameIn.lengthMm }),
    },
    site,
  );
  if (!found.ok) return found;
  const f = found.value;
  const made = ply === 0 ? ok([]) : firmEnds(plywood, f.line, [f.x0, f.x1], a.vents);
  if (!made.ok) return made;
  const panels = made.value;
  const sheets = [framedSheet(a, a.ends, f.covered)];
  const guard = guardPvc(a.paint, a.cover, a.pipe, f.hoops);
  const own = jointsOf(a, f, { panels, sheets, guard });
  const members = [
    ...f.frame.rails,
    ...f.frame.endBoards,
    ...f.hoops,
    ...f.ridge.members,
    ...f.frame.ties,
    ...f.frame.battens,
  ];
  const set = setOnBed(
    [...f.frame.rails, ...f.frame.endBoards, ...f.frame.ties],
    f.frame.crossBoards,
    own,
    inside ? ['Rake the soil level along the walls where the frame will stand.'] : packerWork(survey),
  );
  const hung =
    a.mount === 'hinged'
      ? hangWhole(a, 'Cover', [...members, ...sheets, ...panels], framePlace(f, f.frame.rails), site, set)
      : undefined;
  const joints = [...own, ...(hung?.joints ?? [])];
  const x = f.x0;
  const middle: Vec3 = [(f.x0 + f.x1) / 2, f.y0 + f.width / 2, f.z0];
  return nest(
    {
      ...BARE,
      members: [...members, ...f.frame.crossBoards, ...(hung?.members ?? [])],
      panels,
      sheets,
      joints,
      openings: [
        ...ventOpenings(panels, a.vents),
        hung?.opening ??
          liftedOff('Cover', [...members, ...sheets, ...panels], middle, 'hooks', a.people === '2' ? 2 : 1),
      ],
      ...framedHoops(a.cover, f, panels, inside ? 'inside the wall' : 'wall', site),
      fixing: a.fixing,
      dimensions: [
        endWidth('frameWidth', 'frame', x, [f.y0, f.y0 + f.width], false),
        ...frameDimensions(a, site, f, { baseZ: f.footZ, heightLabel: 'crown above feet', coverLabel: 'cover' }),
      ],
      steps: liftOffSteps(a, f, { sheets, panels, joints, set, hung }),
    },
    a,
    site,
  );
}

interface CoverParts {
  readonly panels: readonly Panel[];
  readonly sheets: readonly SheetPart[];
  readonly guard: readonly Joint[];
}

/** Everything that holds the cover together, airs it and hooks it to its bed. */
function jointsOf(a: LiftOffCoverAnswers, f: HoopFrame, c: CoverParts): readonly Joint[] {
  const y1 = f.y0 + f.width;
  const feetAt = pairsAt(f.xs, [f.footY, f.footY + f.hoop.spanMm], f.footZ);
  const sides = [f.y0, y1].flatMap((y) =>
    evenly([f.x0 + 150, y, f.z0], [f.x1 - 150, y, f.z0], Math.ceil((a.hooks ?? 4) / 2)),
  );
  const ends = [f.x0, f.x1].map((x): Vec3 => [x, (f.y0 + y1) / 2, f.railTop]);
  return [
    ...f.frame.joints,
    ...joint('strap', 'feet', 'Hoop feet to the rails', [...f.hoops, ...f.frame.rails], feetAt, {
      with: { holds: 'nothing' },
    }),
    ...f.ridge.joints,
    ...c.guard,
    ...coveringJoints(f, { ...a, louvres: a.vents === 'louvres' }, c, {
      kind: 'strap',
      eachEnd: 3,
      staples: c.panels.length > 0 ? (2 * pathLength(f.line)) / 250 : (2 * (f.width + 2 * f.covered.riseMm)) / 150,
    }),
    ...(a.mount === 'carried'
      ? [
          ...joint('handle', 'handles', 'One at each end, to carry by', f.frame.endBoards, ends),
          ...joint('hook', 'hooks', 'Frame to the bed wall', f.frame.rails, sides.slice(0, a.hooks ?? 4), {
            ask: 'hooks',
          }),
        ]
      : []),
  ];
}
