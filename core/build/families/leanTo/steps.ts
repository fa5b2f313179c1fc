import { amount } from '../../../base/figure';
import type { Survey } from '../../../site/survey';
import type { Joint, Member, SaidStep } from '../../assembly/types';
import { type Saying, MINUTES, countKind, cutStep, named, sayCount, step, tagList } from '../../guide/step';
import { CAUTIONS } from '../../joints/cautions';
import { packerWork, setOnBed, tagsOf } from '../../parts/frameSteps';
import { glazeStep, hangStep, lidFrameStep } from '../../parts/lidSteps';
import type { Lids } from '../../parts/slopedLid';
import type { LeanToAnswers } from './answers';
import type { LeanToFrame } from './frame';
import type { Skin } from './skin';

interface Built {
  readonly frame: LeanToFrame;
  readonly skin: Skin;
  readonly shutters: Lids;
  readonly crossBoards: readonly Member[];
  readonly joints: readonly Joint[];
  readonly survey: Survey;
  readonly slopeDeg: number;
}

/** The lean-to in building order: cut, wall plate, front and ends, rafters, cover, flashing, shutters. */
export function leanToSteps(a: LeanToAnswers, b: Built): readonly SaidStep[] {
  const { frame, skin, shutters, joints } = b;
  const wall = frame.plates.filter((m) => m.tag.startsWith('W'));
  const posts = frame.uprights.filter((m) => m.part === 'Wall post');
  const low = [...frame.plates.filter((m) => !m.tag.startsWith('W')), ...frame.uprights];
  const set = setOnBed(low, b.crossBoards, joints, packerWork(b.survey));
  const film = a.glazing === 'film';
  const coverWork: readonly Saying[] = film
    ? [
        'Roof film first, its outer face, usually the printed one, to the sky: staple along the wall plate, pull down over the header and staple there.',
        ['Then the ends. Wrap every edge ', amount(a.wrapMm, 'length'), ` and screw ${tagList(skin.battens)} over it.`],
      ]
    : [
        'Tape both open ends of every sheet. Channels run down the slope, and upright in the ends.',
        'Lay the roof sheets with their joints on rafters and three fingers over the header; then the ends under them.',
        ...(skin.panels.filter((g) => g.part === 'Roof glazing').length > 1
          ? ['Press a joining strip over every joint of the roof before its screws go in.']
          : []),
        'Drill 2 mm wider than the screws and screw until the washer just grips.',
      ];
  return [
    cutStep([
      ...frame.plates,
      ...frame.uprights,
      ...frame.rafters,
      ...skin.battens,
      ...shutters.members,
      ...b.crossBoards,
    ]),
    step({
      id: 'front',
      title: 'Set sills and front on the bed',
      view: 'side',
      tags: set.tags,
      work: [
        ...set.work,
        `Screw sills, studs and header together and set them on the wall of the bed. ${sayCount(countKind(joints, 'bracket'), 'bracket')}.`,
        `Stand the posts ${tagList(posts)} against the wall on the end sills.`,
      ],
      tools: ['level', 'square'],
      joints: [
        ...named(joints, 'sills', 'uprights', 'anchors'),
        ...set.joints,
        ...joints.filter((j) => ['splices A1', 'splices A2'].includes(j.id)),
      ],
      checks: ['The header is level, and the front stands plumb'],
      minutes: MINUTES.start + low.length * MINUTES.place,
    }),
    step({
      id: 'wall',
      title: 'Fix the wall plate',
      view: 'side',
      tags: tagsOf([...wall, ...posts]),
      work: [
        ['Mark the top of the plate on the wall, level, ', amount(a.backMm, 'length'), ' above the bed.'],
        `Two people: hold ${tagList(wall)} on the posts and drill through plate and posts: ${sayCount(countKind(joints, 'wallAnchor'), 'wallAnchor')}, ${a.wall === 'masonry' ? 'in sound bricks' : 'into the studs'}.`,
      ],
      tools: ['level', 'chalk line'],
      joints: [...named(joints, 'wall anchors'), ...joints.filter((j) => j.id === 'splices W1')],
      checks: [
        'A straight board laid from plate to plate touches both all along',
        'Nothing moves when you hang on the plate',
      ],
      cautions: [CAUTIONS.ladder],
      minutes: MINUTES.start,
    }),
    step({
      id: 'rafters',
      title: 'Hang the rafters',
      view: 'end',
      tags: tagsOf(frame.rafters),
      work: [
        ['Saw both ends of every rafter at ', amount(b.slopeDeg, 'angle'), ' off square, both the same way.'],
        `Fix a hanger at every mark and hang ${tagList(frame.rafters)} in them: tops level with the wall plate, and in line with the outer edge of the header.`,
      ],
      tools: ['hand saw', 'bevel gauge'],
      joints: named(joints, 'rafter ends'),
      checks: ['A straight board laid on any three rafters touches all of them'],
      cautions: [CAUTIONS.saw],
      minutes: MINUTES.start + frame.rafters.length * MINUTES.place,
    }),
    step({
      id: 'cover',
      title: 'Cover roof and ends',
      view: 'end',
      tags: tagsOf([...skin.panels, ...skin.sheets, ...skin.battens]),
      work: [
        ...coverWork,
        'Press the flashing tape on a dry wall, along the top and down both ends, half of it on the cover.',
      ],
      tools: film ? ['knife'] : ['fine saw', 'knife'],
      joints: named(joints, 'roof glazing', 'staples', 'battens', 'flashing'),
      checks: ['Water poured on the wall runs over the roof, not behind it'],
      cautions: [CAUTIONS.knife, CAUTIONS.ladder, ...(film ? [CAUTIONS.windyFilm] : [])],
      minutes: MINUTES.start + (skin.panels.length + skin.sheets.length) * MINUTES.sheet,
    }),
    ...lidFrameStep(shutters),
    glazeStep(film ? 'film-both' : a.glazing, shutters),
    hangStep(shutters, ['Hold the shutters against the header, the same lap all along.']),
  ];
}
