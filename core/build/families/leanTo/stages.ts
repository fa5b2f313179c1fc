import { amount, phrase } from '../../../base/figure';
import type { BuildSite } from '../../../site/buildSite';
import { endsOf } from '../../assembly/pieces';
import type { Stages } from '../../guide/built';
import { MINUTES, countKind, sayCount, stage, tagList } from '../../guide/stage';
import { evenly, joint, heldRound, spread } from '../../joints';
import { CAUTIONS } from '../../joints/cautions';
import { setOnWall } from '../../parts/frameStages';
import { glazeStage, hangStage, lidFrameStages } from '../../parts/lidStages';
import type { Lids } from '../../parts/slopedLid';
import type { LeanToAnswers } from './answers';
import type { LeanToFrame } from './frame';
import { filmSkin, glazedSkin } from './skin';

const WALL_ANCHORS_APART_MM = 500;

/** The lean-to in building order: cut, front and ends, wall plate, rafters, cover, flashing, shutters. */
export function leanToStages(a: LeanToAnswers, f: LeanToFrame, shutters: Lids, site: BuildSite): Stages {
  const { x0, x1, z0, width, sill, header, wallPlate, endSills, studs, posts, rafters } = f;
  const sills = [...sill.members, ...endSills];
  const low = [...sills, ...header.members, ...studs, ...posts];
  const framing = [...low, ...wallPlate.members, ...rafters];
  const uprights = [...studs, ...posts];
  const onWall = [...wallPlate.members, ...posts];
  const film = a.glazing === 'film';
  const skin = a.glazing === 'film' ? filmSkin(a, f, framing, site) : glazedSkin(a.glazing, f, framing, site);
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
      ...evenly([x0 + 100, width, f.plateZ], [x1 - 100, width, f.plateZ], Math.max(0, anchors - 2 * posts.length)),
      ...endsOf(posts).slice(0, anchors),
    ],
    { ask: 'wallAnchors', with: { wall: a.wall }, usual },
  );
  const flashing = joint(
    'flashing',
    'flashing',
    'Cover to the wall: along the top and down both ends',
    [...low, ...wallPlate.members],
    spread([x0, width, f.roof.top(width)], [x1, width, f.roof.top(width)], 1000),
    { count: Math.ceil((x1 - x0 + 2 * f.highMm) / 1000) },
  );
  return [
    'cut',
    stage({
      id: 'front',
      title: 'Set sills and front on the bed',
      view: 'side',
      pieces: set.pieces,
      work: [
        ...set.work,
        `Screw sills, studs and header together and set them on the wall of the bed. ${sayCount(countKind(brackets, 'bracket'), 'bracket')}.`,
        `Stand the posts ${tagList(posts)} against the wall on the end sills.`,
      ],
      tools: ['level', 'square'],
      joints: [
        ...joint(
          'buttScrew',
          'sills',
          'Front sill to the end sills',
          sills,
          endSills.flatMap((m) => endsOf([m]).slice(0, 1)),
          {
            with: { screw: 'screw-3' },
          },
        ),
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
        `Two people: hold ${tagList(wallPlate.members)} on the posts and drill through plate and posts: ${sayCount(countKind(anchored, 'wallAnchor'), 'wallAnchor')}, ${a.wall === 'masonry' ? 'in sound bricks' : 'into the studs'}.`,
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
    stage({
      id: 'rafters',
      title: 'Hang the rafters',
      view: 'end',
      pieces: rafters,
      work: [
        phrase`Saw both ends of every rafter at ${amount(f.roof.deg, 'angle')} off square, both the same way.`,
        `Fix a hanger at every mark and hang ${tagList(rafters)} in them: tops level with the wall plate, and in line with the outer edge of the header.`,
      ],
      tools: ['hand saw', 'bevel gauge'],
      joints: joint(
        'hanger',
        'rafter ends',
        'Rafters to the header and the wall plate',
        [...rafters, ...header.members, ...wallPlate.members],
        endsOf(rafters),
      ),
      checks: ['A straight board laid on any three rafters touches all of them'],
      cautions: [CAUTIONS.saw],
      minutes: MINUTES.start + rafters.length * MINUTES.place,
    }),
    stage({
      id: 'cover',
      title: 'Cover roof and ends',
      view: 'end',
      pieces: skin.pieces,
      work: [
        ...skin.work,
        'Press the flashing tape on a dry wall, along the top and down both ends, half of it on the cover.',
      ],
      tools: film ? ['knife'] : ['fine saw', 'knife'],
      joints: [...skin.joints, ...flashing],
      checks: ['Water poured on the wall runs over the roof, not behind it'],
      cautions: [CAUTIONS.knife, CAUTIONS.ladder, film && CAUTIONS.windyFilm],
      minutes: MINUTES.start + skin.pieces.filter((p) => !('section' in p)).length * MINUTES.sheet,
    }),
    ...lidFrameStages(shutters),
    glazeStage(shutters),
    hangStage(shutters, 'Hold the shutters against the header, the same lap all along.'),
  ];
}
