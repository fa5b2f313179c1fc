/** Beds with their covers, from above. */
import { memoizeByIdentity } from '../../../core/base/memoize';
import { assemblyOf } from '../../../core/garden/assemblyOf';
import { type Cover, type Garden, isInUse } from '../../../core/garden/garden';
import { type Drawn, bounds, drawAssembly } from '../../../core/show/project';
import type { Bed } from '../../../core/site/bed';
import { type Lying, footprint, onPlot } from '../../../core/site/plotting';
import { type PlanPoint, survey } from '../../../core/site/survey';

const drawings = memoizeByIdentity<readonly Drawn[]>();

/** A cover from above, without the bed it stands on. */
export function seenFromAbove(garden: Garden, cover: Cover, bed: Bed): readonly Drawn[] {
  const built = assemblyOf(garden, cover);
  if (!built?.ok) return [];
  return drawings(built.value, [bed], () =>
    drawAssembly(built.value, bed, survey(bed), 'plan').filter((d) => d.stuff !== 'wall' && d.stuff !== 'soil'),
  );
}

/** All of a bed and of what stands out beyond it, on the plot. @param lying where the bed lies, where that is not as the garden has it */
export function reach(garden: Garden, bed: Bed, lying: Lying = bed): readonly PlanPoint[] {
  const covers = garden.covers
    .filter((c) => c.bedId === bed.id && isInUse(c))
    .flatMap((c) => {
      const shapes = seenFromAbove(garden, c, bed);
      if (shapes.length === 0) return [];
      const { u0, v0, u1, v1 } = bounds(shapes);
      return [
        { x: u0, y: v0 },
        { x: u1, y: v0 },
        { x: u1, y: v1 },
        { x: u0, y: v1 },
      ].map((p) => onPlot(lying, p));
    });
  return [...footprint({ ...bed, at: lying.at, bearingDeg: lying.bearingDeg }), ...covers];
}
