import { endHeight, endWidth } from '../../assembly/dimension';
import { wholeLid } from '../../assembly/openings';
import type { AssemblySpec } from '../../assembly/types';
import { built, piecesOf } from '../../guide/built';
import { guardPvcJoints } from '../../parts/guard';
import { hoopCurve } from '../../hoop/curve';
import { rigidEndPanels, ventOpenings } from '../../parts/ends';
import { withHoles } from '../../parts/frame';
import { endSheets, flapOpenings, framedSheet } from '../../parts/framedSheet';
import { frameDimensions, timberHoopFrame, railOf } from '../../parts/hoopFrame';
import { framedHoops } from '../../parts/framedHoops';
import { addInnerTunnel } from '../../parts/innerTunnel';
import { stiffSheet } from '../../../catalog/catalog';
import { thicknessMm } from '../../../catalog/sections';
import { type Result, fail, ok } from '../../../base/result';
import type { BuildSite } from '../../../site/buildSite';
import type { HingedHoopLidAnswers } from './answers';
import { sidePurlins } from './sides';
import { hangStage, lidStages } from './stages';

/** How deep hoops stand in holes of the rail, and less than which they do not stand, mm. */
const HOLE_MM = 65;
const LEAST_HOLE_MM = 35;

/** Builds the lid: a frame the size of the bed, hoops in it, ridge, cover, hinges along one long side. */
export function assembleHingedHoopLid(a: HingedHoopLidAnswers, site: BuildSite): Result<AssemblySpec> {
  // Firm ends stand outside the end boards, flush with the bed.
  const firm = stiffSheet(site.catalog, a.plywood);
  const ply = a.ends === 'plywood' ? firm.thicknessMm : 0;
  const width = site.survey.frameOn.widthMm;
  const { t, highMm } = railOf(a.frame, a.stand);
  const z0 = site.bed.wall.heightMm;
  const railTop = z0 + highMm;
  const od = thicknessMm(a.pipe);
  const feet = (
    {
      'straps-inside': { spanMm: width - 2 * t - od, footZ: z0 + 10, on: 'inner face' },
      sockets: { spanMm: width - t, footZ: railTop, on: 'inner face' },
      'straps-outside': { spanMm: width + od, footZ: z0 + 10, on: 'outer face' },
      // Bored to a finger over the bottom of the rail, which holds it upright.
      holes: { spanMm: width - t, footZ: Math.max(z0 + 10, railTop - HOLE_MM), on: 'both' },
      // Two screws, 1 and 3 in from the end, hold it to the board.
      screwed: { spanMm: width - 2 * t - od, footZ: z0 + 10, on: 'both' },
    } as const
  )[a.feet];
  if (a.feet === 'holes' && (od > t - 12 || railTop - feet.footZ < LEAST_HOLE_MM))
    return fail(
      'feet',
      'The rail is too thin or too low for such holes: choose a thicker board on edge, or thinner pipe.',
    );
  const found = timberHoopFrame(
    {
      ...a,
      joint: a.hinges === 'near' ? 'hinged near' : 'hinged far',
      meet: a.corners,
      battens: true,
      endBattens: a.ends === 'folded',
      corner: { screw: 'screw-3', each: highMm > 60 ? 3 : 2 },
      wrapMm: a.battenWrapMm,
    },
    { y0: 0, width, z0, endMm: ply, feet, outward: a.feet === 'straps-outside' ? od : 0 },
    site,
  );
  if (!found.ok) return found;
  const frame =
    a.feet === 'holes'
      ? { ...found.value.frame, rails: found.value.frame.rails.map((m) => withHoles(m, od)) }
      : found.value.frame;
  const f = { ...found.value, frame };
  const { hoop, hoops, covered } = f;
  const centre = hoopCurve(hoop, 200).map((p) => ({ y: f.footY + p.y, z: f.footZ + p.z }));
  const sided = sidePurlins(a, hoops, { under: f.under, centre }, [f.footZ + hoop.heightMm / 3, f.xs], width);
  if (!sided.ok) return sided;
  const sheets = [framedSheet(a, a.ends, covered), ...(a.ends === 'flap' ? endSheets(a, covered) : [])];
  const made = ply === 0 ? ok([]) : rigidEndPanels(firm, f.line, [f.x0, f.x1], a.vents);
  if (!made.ok) return made;
  const panels = made.value;
  const guard = guardPvcJoints(a.paint, a.cover, a.pipe, hoops);
  const stages = lidStages(a, f, { panels, sides: sided.value, sheets, guard }, feet.footZ);
  const first = f.xs[0] ?? f.x0;
  return addInnerTunnel(
    {
      ...framedHoops(a.cover, f, panels, 'wall', site),
      ...built([...stages, hangStage(a, f, site)], guard),
      openings: [
        wholeLid('Lid', piecesOf(stages), { ...f, y1: width }, a.hinges, a.people === '2' ? 2 : 1, {
          shut: ['latches'],
          open: ['stays'],
        }),
        ...flapOpenings(sheets.slice(1), covered),
        ...ventOpenings(panels, a.vents),
      ],
      fixing: 'battens',
      dimensions: [
        endWidth('frameWidth', 'frame', first, [0, width], false),
        endHeight('wallHeight', 'bed wall', 'left', [first, 0], [0, z0], false),
        ...frameDimensions(a, site, f, {
          baseZ: f.footZ,
          heightLabel: f.heldMm > 0 ? 'crown above the rail' : 'crown above feet',
          coverLabel: 'frame',
        }),
      ],
      remarks:
        a.feet === 'straps-outside'
          ? ['Pipe ends stand outside the frame: cap every one, they are sharp and at face height when you kneel.']
          : [],
    },
    a,
    site,
    a.innerOn === 'lid' ? { rails: frame.rails, baseZ: z0 + 10, spanMm: width - 2 * t - od } : undefined,
  );
}
