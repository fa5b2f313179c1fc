import { underLine } from '../../assembly/enclosure';
import { evenly, joint } from '../../joints';
import { placeExtent } from '../../answers/place';
import { BARE } from '../../assembly/bare';
import { alongBed, endHeight, endWidth, leader } from '../../assembly/dimension';
import { endSheets, flapJoints, flapOpenings, framedSheet } from '../../parts/framedSheet';
import { guardPvc } from '../../parts/guard';
import { hoopPlaces } from '../../parts/hoops';
import { type Vec3, pathLength, placesAlong } from '../../../base/geometry';
import { sheetRun } from '../../assembly/sheetRun';
import { endsOf } from '../../assembly/pieces';
import type { Joint, Said } from '../../assembly/types';
import { liftedOff, sideOf } from '../../assembly/openings';
import type { BuildSite } from '../../../site/buildSite';
import type { Fitting } from '../../../catalog/fittings';
import { thicknessMm } from '../../../catalog/sections';
import {
  type Knot,
  type RoofAt,
  between,
  fittingJoints,
  gableOver,
  ridgeFitting,
  roofOuter,
  roofUnder,
} from '../../parts/gable';
import { type Result, fail, ok } from '../../../base/result';
import type { FittingGableAnswers } from './answers';
import { gableSteps } from './steps';

/** Builds the gable: straight pipe and moulded fittings, posts and rafters in frames, base and ridge along. */
export function assembleFittingGable(a: FittingGableAnswers, site: BuildSite): Result<Said> {
  const { bed, survey } = site;
  const extent = placeExtent(a.extent, survey.frameOn.lengthMm);
  if (!extent.ok) return extent;
  const { startMm, endMm } = extent.value;
  const od = thicknessMm(a.pipe);
  const r = od / 2;
  const edge = Math.max(r, Math.min(bed.wall.thicknessMm / 2, 60));
  const places = hoopPlaces(startMm, endMm, edge, a.frames, a.maxSpacingMm);
  if (!places.ok) return places;
  const xs = places.value;
  const n = xs.length;
  const spacing = ((xs[n - 1] ?? 0) - (xs[0] ?? 0)) / (n - 1);
  const [y0, y1] = [edge, survey.frameOn.widthMm - edge];
  const span = y1 - y0;
  const baseZ = bed.wall.heightMm + r;
  const eaveZ = baseZ + a.eaveMm;
  const gable = gableOver(span, a.eaveMm, { kind: 'pinned' });
  if (!gable) return fail('eave', 'There is no such gable on this bed.');
  const ridgeZ = baseZ + gable.ridgeMm;

  const end = (i: number): boolean => i === 0 || i === n - 1;
  const corner: Fitting = 'three-way';
  const base = (i: number, y: number): Knot => ({ at: [xs[i] ?? 0, y, baseZ], fitting: end(i) ? corner : 'tee' });
  const eave = (i: number, y: number): Knot => ({ at: [xs[i] ?? 0, y, eaveZ], fitting: 'elbow-45' });
  const ridge = (i: number): Knot => ({ at: [xs[i] ?? 0, (y0 + y1) / 2, ridgeZ], fitting: ridgeFitting(i, n) });
  const sides = [y0, y1];
  const posts = xs.flatMap((_, i) =>
    sides.map((y, k) => between(a.pipe, `P${2 * i + k + 1}`, 'Post', base(i, y), eave(i, y))),
  );
  const rafters = xs.flatMap((_, i) =>
    sides.map((y, k) => between(a.pipe, `Q${2 * i + k + 1}`, 'Rafter', eave(i, y), ridge(i))),
  );
  const baseRails = xs
    .slice(1)
    .flatMap((_, i) =>
      sides.map((y, k) => between(a.pipe, `A${2 * i + k + 1}`, 'Base rail', base(i, y), base(i + 1, y))),
    );
  const endRails = [0, n - 1].map((i, k) => between(a.pipe, `E${k + 1}`, 'End rail', base(i, y0), base(i, y1)));
  const ridges = xs.slice(1).map((_, i) => between(a.pipe, `R${i + 1}`, 'Ridge pipe', ridge(i), ridge(i + 1)));
  const frame = [...baseRails, ...endRails, ...posts, ...rafters, ...ridges];
  if (frame.some((m) => m.lengthMm < 20))
    return fail('eave', 'The fittings leave no pipe between them: make the eaves higher or the frames fewer.');

  const roof: RoofAt = { y0, y1, eaveZ, ridgeZ };
  const top = { y: (y0 + y1) / 2, z: ridgeZ };
  const line = sheetRun(roofOuter(roof, r), [
    { y: y0 - r, z: bed.wall.heightMm },
    { y: y1 + r, z: bed.wall.heightMm },
  ]);
  const under = roofUnder(roof, r);
  const x0 = (xs[0] ?? 0) - r;
  const x1 = (xs[n - 1] ?? 0) + r;
  const length = x1 - x0;
  const rise = ridgeZ + r - bed.wall.heightMm;
  const covered = { line, x0, x1, lengthMm: length, riseMm: rise, widthMm: span + od, wrapMm: a.wrapMm };
  const sheets = [framedSheet(a, a.ends, covered), ...(a.ends === 'flap' ? endSheets(a, covered) : [])];
  const straps = a.straps ?? 2 * Math.max(2, Math.ceil(length / 600));
  const guard = guardPvc(a.paint, a.cover, a.pipe, rafters);
  const knots = xs.flatMap((_, i) => [...sides.flatMap((y) => [base(i, y), eave(i, y)]), ridge(i)]);
  const fittings = fittingJoints(FITTING_WHERE, frame, knots);
  const sockets = endsOf(frame);
  const along = [y0, y1].map((y): readonly [Vec3, Vec3] => [
    [x0, y, baseZ],
    [x1, y, baseZ],
  ]);
  const endRafters = [...rafters.slice(0, 2), ...rafters.slice(-2)];
  /** Post, rafter, rafter, post. */
  const endFrames = [0, n - 1].map((i) =>
    [posts[2 * i], rafters[2 * i], rafters[2 * i + 1], posts[2 * i + 1]].flatMap((m) => m ?? []),
  );
  const sideClips = 2 * Math.ceil(length / 450);
  const clippedXs = a.clipped === 'every' ? xs : [xs[0], xs[xs.length - 1]].flatMap((x) => x ?? []);
  const clipsAt = [
    ...along.flatMap(([from, to]) => evenly(from, to, sideClips / 2)),
    ...clippedXs.flatMap((x) =>
      placesAlong(
        line.map(({ y, z }): Vec3 => [x, y, z]),
        Math.ceil(pathLength(line) / 450),
      ),
    ),
  ];
  const joints: readonly Joint[] = [
    ...fittings,
    ...(a.joints === 'pinned' ? joint('tekScrew', 'pins', 'One through each socket; no glue', frame, sockets) : []),
    ...joint(
      'strap',
      'straps',
      'Base rails to the bed wall',
      baseRails,
      along.flatMap(([from, to]) => evenly(from, to, Math.ceil(straps / 2))).slice(0, straps),
      { ask: 'straps', with: { what: 'straps to the bed' } },
    ),
    ...guard,
    ...joint(
      'clip',
      'clips',
      `Cover to base rails and ${a.clipped === 'every' ? 'every frame' : 'end frames'}`,
      [...sheets.slice(0, 1), ...baseRails, ...(a.clipped === 'every' ? rafters : endRafters)],
      clipsAt,
    ),
    ...flapJoints(sheets.slice(1), endFrames, covered),
  ];
  const first = xs[0] ?? 0;
  const rafter = rafters[0]?.lengthMm ?? 0;
  return ok({
    ...BARE,
    members: frame,
    sheets,
    joints,
    openings: [
      ...flapOpenings(sheets.slice(1), covered),
      // The cover is unclipped at a side to reach in; the whole is carried away.
      ...along.slice(0, 1).map((foot) => sideOf(sheets.slice(0, 1), foot, a.eaveMm)),
      liftedOff('Gable', [...frame, ...sheets], [(x0 + x1) / 2, y0, baseZ], 'straps', 2),
    ],
    arches: [
      {
        what: 'Frames',
        tags: xs.map((_, i) => `P${2 * i + 1}`),
        section: a.pipe,
        hoop: gable.hoop,
        sprung: false,
        xsMm: xs,
        spacingMm: spacing,
        footYMm: y0,
        footZMm: baseZ,
        baseZMm: baseZ,
        // Two posts and two rafters, less what the fittings take up.
        cutMm: [...posts.slice(0, 2), ...rafters.slice(0, 2)].reduce((sum, m) => sum + m.lengthMm, 0),
        ridge: { kind: 'tied' },
      },
    ],
    under,
    reachMm: [x0, x1],
    footing: { on: 'wall', stiff: true, lengthMm: length, widthMm: survey.frameOn.widthMm },
    fixing: 'clips',
    enclosure: underLine(a.cover, line, { lengthMm: length, widthMm: span, heightMm: rise }),
    dimensions: [
      endWidth('span', 'centre to centre', first, [y0, y1], false),
      endHeight('eave', 'eave above the base', 'left', [first, y0], [baseZ, eaveZ]),
      endHeight('ridgeHeight', 'ridge above the base', 'right', [first, top.y], [baseZ, ridgeZ], false),
      leader('rafter', 'rafter, cut', 'end', [first, (top.y + y1) / 2, (eaveZ + ridgeZ) / 2], rafter, false),
      ...alongBed(a, site, [startMm, endMm], 'covered', { xs, label: 'frame to frame' }),
    ],
    steps: gableSteps(a, { baseRails, endRails, posts, rafters, ridges, sheets, joints }),
  });
}

const FITTING_WHERE: Readonly<Record<Exclude<Fitting, 'elbow-90'>, string>> = {
  'three-way': 'Four corners of the base and both ends of the ridge',
  tee: 'Base rails at every frame between',
  'elbow-45': 'Eaves: post to rafter',
  'four-way': 'Ridge at every frame between',
};
