import type { Vec3 } from '../../../base/geometry';
import { type Result, ok } from '../../../base/result';
import type { BuildSite } from '../../../site/buildSite';
import { alongBed, endHeight, endWidth, leader } from '../../assembly/dimension';
import { underLine } from '../../assembly/enclosure';
import { liftedOff, sideOf } from '../../assembly/openings';
import type { AssemblySpec } from '../../assembly/types';
import { built } from '../../guide/built';
import { endSheets, flapOpenings, framedSheet } from '../../parts/framedSheet';
import { guardPvcJoints } from '../../parts/guard';
import type { FittingGableAnswers } from './answers';
import { gableFrame } from './frame';
import { gableStages } from './stages';

/** Builds the gable: straight pipe and moulded fittings, posts and rafters in frames, base and ridge along. */
export function assembleFittingGable(a: FittingGableAnswers, site: BuildSite): Result<AssemblySpec> {
  const found = gableFrame(a, site);
  if (!found.ok) return found;
  const f = found.value;
  const { xs, y0, y1, span, middle, baseZ, eaveZ, ridgeZ, covered } = f;
  const { x0, x1, lengthMm } = covered;
  const sheets = [framedSheet(a, a.ends, covered), ...(a.ends === 'flap' ? endSheets(a, covered) : [])];
  const guard = guardPvcJoints(a.paint, a.cover, a.pipe, f.rafters);
  const foot: readonly [Vec3, Vec3] = [
    [x0, y0, baseZ],
    [x1, y0, baseZ],
  ];
  const first = xs[0] ?? 0;
  const rafter = f.rafters[0]?.lengthMm ?? 0;
  return ok({
    ...built(gableStages(a, f, sheets, guard), guard),
    openings: [
      ...flapOpenings(sheets.slice(1), covered),
      // The cover is unclipped at a side to reach in; the whole is carried away.
      sideOf(sheets.slice(0, 1), foot, a.eaveMm),
      liftedOff('Gable', [...f.frame, ...sheets], [(x0 + x1) / 2, y0, baseZ], 'straps', 2),
    ],
    under: f.under,
    reachMm: [x0, x1],
    footing: { on: 'wall', stiff: true, lengthMm, widthMm: site.survey.frameOn.widthMm },
    fixing: 'clips',
    enclosure: underLine(a.cover, covered.line, { lengthMm, widthMm: span, heightMm: covered.riseMm }),
    dimensions: [
      endWidth('span', 'centre to centre', first, [y0, y1], false),
      endHeight('eave', 'eave above the base', 'left', [first, y0], [baseZ, eaveZ]),
      endHeight('ridgeHeight', 'ridge above the base', 'right', [first, middle], [baseZ, ridgeZ], false),
      leader('rafter', 'rafter, cut', 'end', [first, (middle + y1) / 2, (eaveZ + ridgeZ) / 2], rafter, false),
      ...alongBed(a, site, a.extent, 'covered', { xs, label: 'frame to frame' }),
    ],
  });
}
