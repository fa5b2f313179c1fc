import { amount, phrase } from '../../../base/figure';
import type { BuildSite } from '../../../site/buildSite';
import { endsOf } from '../../assembly/pieces';
import type { Stages } from '../../guide/built';
import { MINUTES, countKind, sayCount, stage, tagList } from '../../guide/stage';
import { evenly, joint, heldRound, spread } from '../../joints';
import { CAUTIONS } from '../../joints/cautions';
import { setOnWall } from '../../parts/frameStages';
import { glazeAndHangStages, lidFrameStages } from '../../parts/lidStages';
import { raftersStage } from '../../parts/pentRoof';
import { pentCoverStage } from '../../parts/pentSkin';
import type { Lids } from '../../parts/slopedLid';
import type { LeanToAnswers } from './answers';
import type { LeanToFrame } from './frame';

const WALL_ANCHORS_APART_MM = 500;

/** The lean-to in building order: cut, front and ends, wall plate, rafters, cover, flashing, shutters. */
export function leanToStages(a: LeanToAnswers, f: LeanToFrame, shutters: Lids, site: BuildSite): Stages {
  const { x0, x1, z0, width, sill, header, wallPlate, endSills, sills, uprights, posts, low } = f;
  const [, plateZ] = f.plateAt;
  const onWall = [...wallPlate.members, ...posts];
  const set = setOnWall(low, 'C', [x0, x1], site);
  const box = [x0, x1, 0, width, z0] as const;
  const brackets = joint('bracket', 'anchors', 'Sills to the bed wall', sills, heldRound(box, a.anchors), {
    ask: 'anchors',
    usual: heldRound(box, null).length,
  });
  const usual = Math.ceil((x1 - x0) / WALL_ANCHORS_APART_MM) + 1 + 2 * posts.length;
  const anchors = a.wallAnchors ?? usual;
  const anchored = joint(
    'wallAnchor',
    'wall anchors',
    'Wall plate and posts to the wall',
    onWall,
    [
      ...evenly([x0 + 100, width, plateZ], [x1 - 100, width, plateZ], Math.max(0, anchors - 2 * posts.length)),
      ...endsOf(posts).slice(0, anchors),
    ],
    { ask: 'wallAnchors', with: { wall: a.wall }, usual },
  );
  const flashing = joint(
    'flashing',
    'flashing',
    'Cover to the wall: along the top and down both ends',
    [...low, ...wallPlate.members],
    spread([x0, width, f.top(width)], [x1, width, f.top(width)], 1000),
    { count: Math.ceil((x1 - x0 + 2 * f.highMm) / 1000) },
  );
  const fronts = endSills.flatMap((m) => endsOf([m]).slice(0, 1));
  const [bracketed, fixed] = [countKind(brackets, 'bracket'), countKind(anchored, 'wallAnchor')];
  return [
    'cut',
    stage({
      id: 'front',
      title: 'Set sills and front on the bed',
      view: 'side',
      pieces: set.pieces,
      work: [
        ...set.work,
        `Screw sills, studs and header together and set them on the wall of the bed.${bracketed > 0 ? ` Screw them down with ${sayCount(bracketed, 'bracket')}.` : ''}`,
        `Stand the posts ${tagList(posts)} against the wall on the end sills.`,
      ],
      tools: ['level', 'square'],
      joints: [
        ...joint('buttScrew', 'sills', 'Front sill to the end sills', sills, fronts, { with: { screw: 'screw-3' } }),
        ...joint('buttScrew', 'uprights', 'Studs and posts, two screws an end', low, endsOf(uprights)),
        ...brackets,
        ...set.joints,
        ...sill.joints,
        ...header.joints,
      ],
      checks: ['The header is level, and the front stands plumb'],
      minutes: MINUTES.start + low.length * MINUTES.place,
    }),
    stage({
      id: 'wall',
      title: 'Fix the wall plate',
      view: 'side',
      pieces: onWall,
      work: [
        phrase`Mark the top of the plate on the wall, level, ${amount(a.backMm, 'length')} above the bed.`,
        fixed === 0 && `Two people: set ${tagList(wallPlate.members)} on the posts.`,
        fixed > 0 &&
          `Two people: hold ${tagList(wallPlate.members)} on the posts and drill through plate and posts: ${sayCount(fixed, 'wallAnchor')}, ${a.wall === 'masonry' ? 'in sound bricks' : 'into the studs'}.`,
      ],
      tools: ['level', 'chalk line'],
      joints: [...anchored, ...wallPlate.joints],
      checks: [
        'A straight board laid from plate to plate touches both all along',
        'Nothing moves when you hang on the plate',
      ],
      cautions: [CAUTIONS.ladder],
      minutes: MINUTES.start,
    }),
    raftersStage(f, wallPlate.members),
    pentCoverStage(f.skin, {
      work: 'Press the flashing tape on a dry wall, along the top and down both ends, half of it on the cover.',
      joints: flashing,
      check: 'Water poured on the wall runs over the roof, not behind it',
    }),
    ...lidFrameStages(shutters),
    ...glazeAndHangStages(shutters, 'Hold the shutters against the header, the same lap all along.'),
  ];
}
