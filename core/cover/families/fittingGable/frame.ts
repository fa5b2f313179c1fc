import type { Bow } from '../../assembly/types';
import { type Made, fail, ok } from '../../../base/result';
import type { Fitting } from '../../../catalog/fittings';
import { thicknessMm } from '../../../catalog/sections';
import type { BuildSite } from '../../../site/buildSite';
import { sheetRun } from '../../assembly/sheetRun';
import {
  type Knot,
  type RoofAt,
  betweenSlopes,
  gableOver,
  ridgeFitting,
  roofOuter,
  roofUnder,
} from '../../parts/gable';
import { hoopPlaces } from '../../parts/hoops';
import type { FittingGableAnswers } from './answers';

export type GableFrame = Made<typeof gableFrame>;

/** Posts and rafters in frames along the bed, rails at their feet, a ridge from frame to frame: pipe between fittings. */
export function gableFrame(a: FittingGableAnswers, site: BuildSite) {
  const { bed, survey } = site;
  const [startMm, endMm] = a.extent;
  const od = thicknessMm(a.pipe);
  const r = od / 2;
  const edge = Math.max(r, Math.min(bed.wall.thicknessMm / 2, 60));
  const places = hoopPlaces(startMm, endMm, edge, a.frames, a.maxSpacingMm);
  if (!places.ok) return places;
  const xs = places.value;
  const n = xs.length;
  const [first, last] = [xs[0] ?? 0, xs[n - 1] ?? 0];
  const [y0, y1] = [edge, survey.frameOn.widthMm - edge];
  const span = y1 - y0;
  const z0 = bed.wall.heightMm;
  const baseZ = z0 + r;
  const eaveZ = baseZ + a.eaveMm;
  const gable = gableOver(span, a.eaveMm, { kind: 'pinned' });
  if (!gable) return fail('eave', 'There is no such gable on this bed.');
  const ridgeZ = baseZ + gable.ridgeMm;

  const middle = (y0 + y1) / 2;
  const corner = (i: number): Fitting => (i === 0 || i === n - 1 ? 'three-way' : 'tee');
  const base = (i: number, y: number): Knot => ({ at: [xs[i] ?? 0, y, baseZ], fitting: corner(i) });
  const eave = (i: number, y: number): Knot => ({ at: [xs[i] ?? 0, y, eaveZ], fitting: 'elbow-45' });
  const ridge = (i: number): Knot => ({ at: [xs[i] ?? 0, middle, ridgeZ], fitting: ridgeFitting(i, n) });
  const sides = [y0, y1];
  const each = (letter: string, part: string, of: readonly number[], from: typeof base, to: typeof base) =>
    of.flatMap((_, i) =>
      sides.map((y, k) => betweenSlopes(a.pipe, `${letter}${2 * i + k + 1}`, part, from(i, y), to(i, y))),
    );
  const bow: Bow = { hoop: gable.hoop, sprung: false, footYMm: y0, footZMm: baseZ, baseZMm: baseZ };
  const posts = each('P', 'Post', xs, base, eave).map((m) => ({ ...m, bow }));
  const rafters = each('Q', 'Rafter', xs, eave, ridge).map((m) => ({ ...m, bow }));
  const baseRails = each('A', 'Base rail', xs.slice(1), base, (i, y) => base(i + 1, y));
  const endRails = [0, n - 1].map((i, k) => betweenSlopes(a.pipe, `E${k + 1}`, 'End rail', base(i, y0), base(i, y1)));
  const ridges = xs.slice(1).map((_, i) => betweenSlopes(a.pipe, `R${i + 1}`, 'Ridge pipe', ridge(i), ridge(i + 1)));
  const frame = [...baseRails, ...endRails, ...posts, ...rafters, ...ridges];
  if (frame.some((m) => m.lengthMm < 20))
    return fail('eave', 'The fittings leave no pipe between them: make the eaves higher or the frames fewer.');

  const roof: RoofAt = { y0, y1, eaveZ, ridgeZ };
  const [x0, x1] = [first - r, last + r];
  const line = sheetRun(roofOuter(roof, r), [
    { y: y0 - r, z: z0 },
    { y: y1 + r, z: z0 },
  ]);
  const covered = { line, x0, x1, lengthMm: x1 - x0, riseMm: ridgeZ + r - z0, widthMm: span + od, wrapMm: a.wrapMm };
  return ok({
    ...{ xs, y0, y1, span, middle, baseZ, eaveZ, ridgeZ, covered, hoop: gable.hoop },
    ...{ posts, rafters, baseRails, endRails, ridges, frame },
    spacingMm: (last - first) / (n - 1),
    knots: xs.flatMap((_, i) => [...sides.flatMap((y) => [base(i, y), eave(i, y)]), ridge(i)]),
    under: roofUnder(roof, r),
  });
}
