import { amount, phrase } from '../../../base/figure';
import { type Vec3, pathLength, placesAlong } from '../../../base/geometry';
import { type Fitting, takeUpMm } from '../../../catalog/fittings';
import { endsOf } from '../../assembly/pieces';
import type { Joint, SheetPart } from '../../assembly/types';
import type { Stages } from '../../guide/built';
import { MINUTES, countKind, guardStages, namedPieces, sayCount, stage, tagList } from '../../guide/stage';
import { evenly, joint } from '../../joints';
import { CAUTIONS } from '../../joints/cautions';
import { flapJoints } from '../../parts/framedSheet';
import { fittingJoints } from '../../parts/gable';
import type { FittingGableAnswers } from './answers';
import type { GableFrame } from './frame';

const FITTING_WHERE: Readonly<Record<Exclude<Fitting, 'elbow-90'>, string>> = {
  'three-way': 'Four corners of the base and both ends of the ridge',
  tee: 'Base rails at every frame between',
  'elbow-45': 'Eaves: post to rafter',
  'four-way': 'Ridge at every frame between',
};

/** The gable in building order: cut, base, frames, ridge, strap down, paint, cover. */
export function gableStages(
  a: FittingGableAnswers,
  f: GableFrame,
  sheets: readonly SheetPart[],
  guard: readonly Joint[],
): Stages {
  const { baseRails, endRails, posts, rafters, ridges, frame, covered, xs } = f;
  const base = [...baseRails, ...endRails];
  const pinned = a.joints === 'pinned';
  const every = a.clipped === 'every';
  const fittings = fittingJoints(FITTING_WHERE, frame, f.knots);
  const [ends, last] = [[0, xs.length - 1], rafters.length - 2];
  const evenlyAlong = (count: number): readonly Vec3[] =>
    [f.y0, f.y1].flatMap((y) => evenly([covered.x0, y, f.baseZ], [covered.x1, y, f.baseZ], count));
  const strapped = a.straps ?? 2 * Math.max(2, Math.ceil(covered.lengthMm / 600));
  const where = 'Base rails to the bed wall';
  const straps = joint('strap', 'straps', where, baseRails, evenlyAlong(Math.ceil(strapped / 2)).slice(0, strapped), {
    ask: 'straps',
    with: { what: 'straps to the bed' },
  });
  const overFrame = (x: number): readonly Vec3[] =>
    placesAlong(
      covered.line.map(({ y, z }): Vec3 => [x, y, z]),
      Math.ceil(pathLength(covered.line) / 450),
    );
  const clips = joint(
    'clip',
    'clips',
    `Cover to base rails and ${every ? 'every frame' : 'end frames'}`,
    [...sheets.slice(0, 1), ...baseRails, ...rafters.filter((_, i) => every || i < 2 || i >= last)],
    [
      ...evenlyAlong(Math.ceil(covered.lengthMm / 450)),
      ...xs.filter((_, i) => every || ends.includes(i)).flatMap(overFrame),
    ],
  );
  const endFrames = ends.map((i) =>
    [posts[2 * i], rafters[2 * i], rafters[2 * i + 1], posts[2 * i + 1]].flatMap((m) => m ?? []),
  );
  return [
    'cut',
    stage({
      id: 'base',
      title: 'Push the base together',
      view: 'plan',
      pieces: base,
      work: [
        phrase`Each piece is the distance from joint to joint less what its fittings take up: ${amount(takeUpMm(a.pipe, 'tee'), 'length')} in a tee or corner, ${amount(takeUpMm(a.pipe, 'elbow-45'), 'length')} in an eave elbow. The cut list has counted it.`,
        'Mark how deep each pipe goes in, so that you see it is at the stop.',
        `Corners with ${tagList(endRails)}${baseRails.length > 2 ? `, tees between ${tagList(baseRails)}` : ` and ${tagList(baseRails)}`}, all outlets up.`,
        `Push every pipe to the stop with a twist${pinned ? ' and drive one self-drilling screw through the socket' : ''}. No glue: it comes apart for the summer.`,
      ],
      tools: ['marker'],
      joints: [
        ...namedPieces(fittings, 'fittings tee'),
        ...(pinned ? joint('tekScrew', 'pins', 'One through each socket; no glue', frame, endsOf(frame)) : []),
      ],
      checks: ['Both diagonals of the base equal', 'Every outlet points straight up'],
      minutes: MINUTES.start + base.length * 3,
    }),
    stage({
      id: 'frames',
      title: 'Stand posts and rafters',
      view: 'end',
      pieces: [...posts, ...rafters],
      work: [
        `Posts ${tagList(posts)} in the base, an eave elbow on each.`,
        `Rafters ${tagList(rafters)} in the elbows, two meeting in a ridge corner at the ends${ridges.length > 1 ? ' and in a four-way between' : ''}.`,
      ],
      tools: ['level'],
      joints: namedPieces(fittings, 'fittings elbow-45'),
      checks: ['End frames plumb'],
      minutes: MINUTES.start + (posts.length + rafters.length) * 3,
    }),
    stage({
      id: 'ridge',
      title: 'Push the ridge in',
      view: 'side',
      pieces: ridges,
      work: [`From one end to the other: ${tagList(ridges)} between the ridge corners.`],
      joints: namedPieces(fittings, 'fittings three-way', 'fittings four-way'),
      checks: ['The ridge is straight by eye from the end'],
      minutes: MINUTES.start + ridges.length * 4,
    }),
    stage({
      id: 'strap',
      title: strapped > 0 ? 'Strap it down' : 'Set it on the bed',
      view: 'side',
      pieces: base,
      work: [
        'Two people: set it on the wall.',
        strapped > 0 && `Put ${sayCount(strapped, 'strap')} over the base rails, two screws each.`,
      ],
      tools: ['driver', 'level'],
      joints: straps,
      checks: ['It sits down all round'],
      minutes: MINUTES.start + strapped * 1.8,
    }),
    ...guardStages(rafters, guard),
    stage({
      id: 'cover',
      title: 'Cover and clip it',
      view: 'end',
      pieces: sheets,
      work: [
        a.cover.kind === 'film'
          ? 'Lay the film with its outer face, usually the printed one, to the sky.'
          : 'Lay the cover over, equal on both sides.',
        `Clip it along both base rails and ${every ? 'every frame' : 'both end frames'}, ${sayCount(countKind(clips, 'clip'), 'clip')} in all.`,
        a.ends === 'flap'
          ? 'Hang a flap at each end and tuck it under.'
          : 'Fold both ends like a parcel and clip them.',
      ],
      tools: ['knife'],
      checks: ['The cover is tight, and nothing flaps'],
      cautions: [CAUTIONS.windyFilm, CAUTIONS.snow],
      joints: [...clips, ...flapJoints(sheets.slice(1), endFrames, covered)],
      minutes: sheets.length * MINUTES.sheet,
    }),
  ];
}
