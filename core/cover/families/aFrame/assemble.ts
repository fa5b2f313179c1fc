import type { Vec3 } from '../../../base/geometry';
import { type Result, ok } from '../../../base/result';
import type { BuildSite } from '../../../site/buildSite';
import { alongBed, endHeight, endWidth, leader } from '../../assembly/dimension';
import { underLine } from '../../assembly/enclosure';
import { sheetRun } from '../../assembly/sheetRun';
import type { AssemblySpec } from '../../assembly/types';
import { built } from '../../guide/built';
import { endSheets, flapOpenings, framedSheet } from '../../parts/framedSheet';
import type { AFrameAnswers } from './answers';
import { triangleFrame } from './frame';
import { aFrameStages } from './stages';

/** Builds the frame: triangles of two legs against a ridge board, side rails on their feet, cover over all. */
export function assembleAFrame(a: AFrameAnswers, site: BuildSite): Result<AssemblySpec> {
  const found = triangleFrame(a, site);
  if (!found.ok) return found;
  const f = found.value;
  const { x0, x1, z0, xs, width, rail, topY } = f;
  const over = { lengthMm: x1 - x0, widthMm: width };
  const low = f.onSlope(0, rail.thicknessMm);
  const far = { y: width - low.y, z: low.z };
  const line = sheetRun(
    [low, f.onSlope(rail.widthMm, rail.thicknessMm), { y: topY, z: z0 + a.heightMm }].flatMap((p) => [
      p,
      { y: width - p.y, z: p.z },
    ]),
    [low, far],
  );
  const covered = { ...over, line, x0, x1, riseMm: a.heightMm, wrapMm: a.wrapMm };
  const sheets = [framedSheet(a, a.ends, covered), ...(a.ends === 'flap' ? endSheets(a, covered) : [])];
  const first = xs[0] ?? x0;
  const legMm = f.legs[0]?.lengthMm ?? 0;
  const middleOfLeg: Vec3 = [first, width - topY * 0.45, z0 + a.heightMm * 0.45];
  return ok({
    ...built(aFrameStages(a, f, covered, sheets, site)),
    openings: flapOpenings(sheets.slice(1), covered).map((o) => ({ ...o, open: ['flap ties'] })),
    under: f.under,
    reachMm: [x0, x1],
    footing: { on: 'wall', stiff: true, ...over },
    fixing: a.fixing,
    enclosure: underLine(a.cover, line, { ...over, heightMm: a.heightMm }),
    dimensions: [
      endWidth('frameWidth', 'frame', first, [0, width], false),
      endHeight('height', 'ridge above the wall', 'left', [first, 0], [z0, z0 + a.heightMm]),
      leader('legLength', 'leg, long points', 'end', middleOfLeg, legMm, false),
      ...alongBed(a, site, [x0, x1], 'frame', { xs, label: 'leg to leg' }),
    ],
  });
}
