import type { Joint, SaidStep, SheetPart } from '../../assembly/types';
import { amount } from '../../../base/figure';
import { CAUTIONS } from '../../joints/cautions';
import { tagsOf } from '../../parts/frameSteps';
import { MINUTES, countKind, named, postWork, step } from '../../guide/step';
import type { RidgeBuilt } from '../../parts/ridge';
import type { MeshArchAnswers } from './answers';

interface Built {
  readonly mesh: readonly SheetPart[];
  readonly sheets: readonly SheetPart[];
  readonly joints: readonly Joint[];
  readonly ridge: RidgeBuilt;
  readonly spanMm: number;
  readonly squares: number;
  readonly straps: number;
  readonly riseMm: number;
}

/** The arch in building order: cut the mesh, set it, lay the sheets, strap them. */
export function meshSteps(a: MeshArchAnswers, b: Built): readonly SaidStep[] {
  const film = a.cover.kind === 'film';
  const ties = countKind(b.joints, 'tie');
  const cutEnds = countKind(b.joints, 'cap');
  const bags = countKind(named(b.joints, 'weights'), 'bag');
  return [
    step({
      id: 'cut',
      title: 'Cut the mesh by whole squares',
      view: 'side',
      tags: tagsOf(b.mesh),
      work: [
        'Stand on the roll as you unroll it: it springs back.',
        `Count ${a.squares} squares from prong to prong and ${b.squares} along the bed, and cut just past the wire.`,
        'At both feet cut away the last wire that runs along the bed: its prongs go into the soil.',
        ...(cutEnds > 0 && a.caps === 'capped'
          ? [`Push a sleeve on each of the ${cutEnds} cut ends along the mesh.`]
          : []),
      ],
      tools: ['bolt cutter', 'gloves', 'eye protection'],
      checks: [`Every prong as long as its neighbours`],
      cautions: [CAUTIONS.wire],
      joints: a.caps === 'capped' ? named(b.joints, 'sleeves') : [],
      minutes: MINUTES.start + b.mesh.length * 20,
    }),
    step({
      id: 'set',
      title: 'Bend it over the bed',
      view: 'end',
      tags: tagsOf(b.mesh),
      work: [
        ['Stretch two strings ', amount(b.spanMm, 'length'), ' apart inside the walls.'],
        [
          'Two people: stand one side’s prongs on its string, bend the mesh over, stand the other side’s, and tread both ',
          amount(a.prongMm, 'length'),
          ' into the soil.',
        ],
        ...(ties > 0 ? [`Lap the panels by one square and tie them with ${ties} ties.`] : []),
      ],
      tools: ['string', 'tape', 'gloves'],
      checks: [['The crown stands ', amount(b.riseMm, 'length'), ' above the soil all along']],
      cautions: [CAUTIONS.bend, CAUTIONS.rods],
      joints: named(b.joints, 'prongs', 'mesh ties'),
      minutes: MINUTES.start + b.mesh.length * 15,
    }),
    ...(b.ridge.members.length > 0
      ? [
          step({
            id: 'ridge',
            title: 'Stand the ridge under it',
            view: 'side',
            tags: tagsOf(b.ridge.members),
            work: [
              'Saw the board and its posts as the Saw shows, from the marks.',
              ...postWork(b.ridge.members.filter((m) => m.part === 'Ridge post')),
              'Lift the board under the crown until every wire lies on it, and staple each wire down.',
            ],
            tools: ['hand saw', 'tape', 'level'],
            checks: ['The board is level, and no wire stands off it'],
            joints: b.ridge.joints,
            minutes: MINUTES.start + b.ridge.members.length * (MINUTES.boardCut + MINUTES.place),
          }),
        ]
      : []),
    step({
      id: 'cover',
      title: 'Lay both sheets and strap them',
      view: 'end',
      tags: tagsOf(b.sheets),
      work: [
        [film ? 'Film with its outer face, usually the printed one, to the sky.' : 'Lay the sheets along the bed.'],
        [
          a.edges === 'ground'
            ? 'One sheet on each side, over the wall and down its outside, its skirt on the ground, lapping '
            : 'One sheet on each side, tucked in on the soil, lapping ',
          amount(a.overlapMm, 'length'),
          ' at the crown; the side away from the wind lies under.',
        ],
        `Throw ${b.straps} straps of rope over, a bag on both ends of each. Weight skirts and ends with ${bags} bags.`,
        'To reach in or to air, loosen a strap and part the sheets at the crown.',
      ],
      tools: ['knife'],
      checks: ['The sheets part and close at the crown without coming out from under the straps'],
      cautions: [CAUTIONS.windyFilm, CAUTIONS.snow],
      joints: named(b.joints, 'straps', 'strap weights', 'weights'),
      minutes: b.sheets.length * MINUTES.sheet + b.straps * 3,
    }),
  ];
}
