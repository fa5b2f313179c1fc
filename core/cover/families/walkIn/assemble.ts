import { lengthInBoth } from '../../../base/length';
import { type Result, fail, ok } from '../../../base/result';
import { thicknessMm } from '../../../catalog/sections';
import type { BuildSite } from '../../../site/buildSite';
import { alongBed, endHeight, endWidth, leader } from '../../assembly/dimension';
import { underLine } from '../../assembly/enclosure';
import { endsOf } from '../../assembly/pieces';
import type { AssemblySpec } from '../../assembly/types';
import { type Stages, built } from '../../guide/built';
import { guardStages } from '../../guide/stage';
import { guardPvcJoints } from '../../parts/guard';
import { HUNG_KG_PER_M, type WalkInAnswers } from './answers';
import { anchorStage, coverStage, rollBarsOf, sideOpenings, sideStages } from './coverStages';
import { doorOpenings, doorStages, endStage } from './endStages';
import { endFrame } from './ends';
import { buildHouse, postTimber } from './frame';
import { frameStages } from './frameStages';
import { doorFilm, houseSheets } from './sheets';

/** Builds the house: posts, hoops over them, purlins, boards, framed ends with doors, sheets and roll-up sides. */
export function assembleWalkIn(answers: WalkInAnswers, site: BuildSite): Result<AssemblySpec> {
  const settled = onItsBed(answers, site);
  if (!settled.ok) return settled;
  const a = settled.value;
  const made = buildHouse(a, site);
  if (!made.ok) return made;
  const h = made.value;
  const front = endFrame(a, h, site, true, a.doors !== 'none');
  if (!front.ok) return front;
  const back = endFrame(a, h, site, false, a.doors === 'two');
  if (!back.ok) return back;
  const ends = [...front.value.frame, ...back.value.frame];
  const door = [...front.value.door, ...back.value.door];
  const doorSheets = doorFilm(a, door);
  const sheets = houseSheets(a, h);
  const rollBars = rollBarsOf(a, h);
  const guard = guardPvcJoints(a.paint, a.cover, a.pipe, h.hoops);
  const stages: Stages = [
    ...frameStages(a, h),
    endStage(a, h, ends),
    ...guardStages(h.hoops, guard),
    coverStage(a, h, ends, sheets, site),
    ...sideStages(a, h, rollBars, sheets),
    ...doorStages(a, door, doorSheets),
    anchorStage(a, h),
  ];
  const length = h.x1 - h.x0;
  const width = h.y1 - h.y0;
  const first = h.xs[0] ?? h.x0;
  const middle = (h.y0 + h.y1) / 2;
  const { bed, survey } = site;
  return ok({
    ...built(stages, guard),
    openings: [...sideOpenings(a, h, rollBars.members, sheets), ...doorOpenings(a, door, doorSheets)],
    ...(a.hung !== 'none' && { hungKgPerM: HUNG_KG_PER_M[a.hung] }),
    under: [{ y: h.y0, z: 0 }, ...h.under, { y: h.y1, z: 0 }],
    reachMm: [bed.wall.thicknessMm, survey.frameOn.lengthMm - bed.wall.thicknessMm],
    footing: { on: 'ground', stiff: false, lengthMm: length, widthMm: width },
    fixing: a.fixing,
    // The second layer lies inside the main sheet: over the roof alone where the curtains are apart.
    enclosure: underLine(
      a.cover,
      h.line,
      { lengthMm: length, widthMm: width, heightMm: h.crownZ },
      a.layers === 'double' && a.cover.kind === 'film' ? a.cover : undefined,
    ),
    dimensions: [
      leader(
        'pipeLength',
        a.roof === 'straight' ? 'pipe of a frame' : 'hoop, cut',
        'end',
        a.roof === 'straight'
          ? [first, middle + width * 0.25, h.crownZ - width * 0.25]
          : [first, middle + width * 0.3, a.sidewallMm + h.hoop.heightMm * 0.8],
        h.cutMm,
        a.roof === 'sprung',
      ),
      endWidth('width', 'post to post', first, [h.y0, h.y1], h.bolts === undefined),
      ...h.ties.slice(0, 1).map((tie) => {
        const z = endsOf([tie])[0]?.[2] ?? 0;
        return endHeight('tieHeight', 'cross tie', 'right', [first, middle], [0, z], true, 2);
      }),
      endHeight('sidewall', 'sidewall', 'left', [first, h.y0], [0, a.sidewallMm]),
      ...(h.bolts ? [] : [endHeight('postDepth', 'post in the ground', 'left', [first, h.y0], [0, -h.depthMm])]),
      endHeight('height', 'crown above the ground', 'right', [first, middle], [0, h.crownZ], a.roof === 'sprung'),
      ...alongBed(a, site, [h.x0, h.x1], 'house', { xs: h.xs, label: 'hoop to hoop' }, survey.frameOn.lengthMm).map(
        (d) => (d.id === 'coverLength' && h.bolts ? { ...d, typed: false } : d),
      ),
    ],
    remarks: [
      'A person walks into this. Ask the building office, and a licensed engineer, before you build; brush snow early, from outside.',
    ],
  });
}

/** A wall that bolts go through, and take hold of, mm. */
const BOLTED = { thickestMm: 60, lowestMm: 180 } as const;

/** A house that is bolted to its bed is as wide and as long as that, without a door; every other is as it was answered. */
function onItsBed(a: WalkInAnswers, site: BuildSite): Result<WalkInAnswers> {
  const { bed, survey } = site;
  if (a.posts !== 'bolted') return ok(a);
  const { thicknessMm: wallMm, heightMm } = bed.wall;
  if (wallMm > BOLTED.thickestMm || heightMm < BOLTED.lowestMm)
    return fail(
      'posts',
      `Posts are bolted to a board wall of up to ${lengthInBoth(BOLTED.thickestMm)}, at least ${lengthInBoth(BOLTED.lowestMm)} high: set them in the ground here.`,
    );
  if (a.sidewallMm < heightMm + a.sleeveMm)
    return fail('sidewall', 'The posts end below the feet of the hoops: raise the sidewall over the wall of the bed.');
  const r = thicknessMm(a.pipe) / 2;
  return ok({
    ...a,
    doors: 'none',
    // Posts stand against the wall outside, flush with the outside of their hoops; the ends stand on the end walls.
    widthMm: survey.frameOn.widthMm + 2 * (postTimber(a, site).acrossMm - r),
    lengthMm: survey.frameOn.lengthMm + 4 * r,
  });
}
