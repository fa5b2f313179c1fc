import type { Vec3 } from '../../../base/geometry';
import { type Result, ok } from '../../../base/result';
import { stiffSheet } from '../../../catalog/catalog';
import type { BuildSite } from '../../../site/buildSite';
import { treat } from '../../answers/bars';
import { soilZ } from '../../assembly/crop';
import { endWidth } from '../../assembly/dimension';
import { liftedOff } from '../../assembly/openings';
import type { AssemblySpec, Stage } from '../../assembly/types';
import { built, piecesOf } from '../../guide/built';
import { CAUTIONS } from '../../joints/cautions';
import { MINUTES, countKind, sayCount } from '../../guide/stage';
import { joint } from '../../joints';
import { rigidEndPanels, ventOpenings } from '../../parts/ends';
import { framedHoops } from '../../parts/framedHoops';
import { framedSheet } from '../../parts/framedSheet';
import { type SetDown, packerWork, setOnBed, setStage } from '../../parts/frameStages';
import { guardPvcJoints } from '../../parts/guard';
import { type HoopFrame, alongRails, frameDimensions, framePlace, timberHoopFrame } from '../../parts/hoopFrame';
import { hangWhole } from '../../parts/hungWhole';
import { addInnerTunnel } from '../../parts/innerTunnel';
import type { LiftOffCoverAnswers } from './answers';
import { liftOffStages } from './stages';

/** Builds the cover: a light frame on or inside the wall, hoops strapped in it, ends of plywood or folded film. */
export function assembleLiftOffCover(a: LiftOffCoverAnswers, site: BuildSite): Result<AssemblySpec> {
  const { bed, survey } = site;
  const inside = a.sits === 'inside';
  const plywood = stiffSheet(site.catalog, a.plywood);
  const ply = a.ends === 'plywood' ? plywood.thicknessMm : 0;
  const outer = survey.frameOn.widthMm;
  const width = inside ? survey.frameIn.widthMm : outer;
  const found = timberHoopFrame(
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
  const { rails, endBoards, ties } = f.frame;
  const made = ply === 0 ? ok([]) : rigidEndPanels(plywood, f.line, [f.x0, f.x1], a.vents);
  if (!made.ok) return made;
  const panels = made.value;
  const guard = guardPvcJoints(a.paint, a.cover, a.pipe, f.hoops);
  const stages = liftOffStages(a, f, { panels, sheets: [framedSheet(a, a.ends, f.covered)], guard });
  const whole = piecesOf(stages);
  const set = setOnBed(
    [...rails, ...endBoards, ...ties],
    f.across,
    inside ? ['Rake the soil level along the walls where the frame will stand.'] : packerWork(survey),
  );
  const hung = a.mount === 'hinged' ? hangWhole(a, 'Cover', whole, framePlace(f, rails), site, set) : undefined;
  const middle: Vec3 = [(f.x0 + f.x1) / 2, f.y0 + f.width / 2, f.z0];
  return addInnerTunnel(
    {
      ...framedHoops(a.cover, f, panels, inside ? 'inside the wall' : 'wall', site),
      ...built([...stages, hung?.stage ?? hookedStage(a, f, set)], guard),
      openings: [
        ...ventOpenings(panels, a.vents),
        hung?.opening ?? liftedOff('Cover', whole, middle, 'hooks', a.people === '2' ? 2 : 1),
      ],
      fixing: a.fixing,
      dimensions: [
        endWidth('frameWidth', 'frame', f.x0, [f.y0, f.y0 + f.width], false),
        ...frameDimensions(a, site, f, { baseZ: f.footZ, heightLabel: 'crown above feet', coverLabel: 'cover' }),
      ],
    },
    a,
    site,
  );
}

/** Set down to be carried away again: handles at its ends, hooks to the bed. */
function hookedStage(a: LiftOffCoverAnswers, f: HoopFrame, set: SetDown): Stage {
  const count = a.hooks ?? 4;
  const ends = [f.x0, f.x1].map((x): Vec3 => [x, f.y0 + f.width / 2, f.railTop]);
  const hooks = joint('hook', 'hooks', 'Frame to the bed wall', f.frame.rails, alongRails(f, count), { ask: 'hooks' });
  return setStage(
    'Set it on the bed',
    set,
    [
      'Screw a handle to each end, and lift it with a straight back.',
      ...(count > 0 ? [`Screw ${sayCount(countKind(hooks, 'hook'), 'hook')} on and hook the frame down.`] : []),
    ],
    [...joint('handle', 'handles', 'One at each end, to carry by', f.frame.endBoards, ends), ...hooks],
    {
      checks: count > 0 ? ['Every hook is shut'] : [],
      cautions: [CAUTIONS.snow],
      minutes: MINUTES.start + set.work.length * 5,
    },
  );
}
