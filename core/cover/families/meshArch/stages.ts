import { amount, phrase } from '../../../base/figure';
import { type Vec3, pathLength } from '../../../base/geometry';
import type { Joint } from '../../assembly/types';
import type { Stages } from '../../guide/built';
import { MINUTES, countKind, postWork, stage } from '../../guide/stage';
import { evenly, joint, pairsAt } from '../../joints';
import { CAUTIONS } from '../../joints/cautions';
import { skirtLines } from '../../parts/looseSheet';
import type { RidgeBuilt } from '../../parts/ridge';
import { type MeshArchAnswers, SQUARE_MM } from './answers';
import type { Arch } from './arch';

const STRAP_SPACING_MM = 1200;

/** The arch in building order: cut the mesh, set it, lay the sheets, strap them; and wire ends that are left bare. */
export function meshStages(a: MeshArchAnswers, f: Arch, ridge: RidgeBuilt): readonly [Stages, readonly Joint[]] {
  const { mesh, sheets, x0, x1, covered, count, squares, spanMm, footY, footZ, places, wires, run } = f;
  const film = a.cover.kind === 'film';
  const capped = a.caps === 'capped';
  // A panel of the whole width of the roll has no cut wires along it.
  const widest = Math.max(...f.material.rolls.map((r) => r.widthMm));
  const cutEnds = squares < Math.round(widest / SQUARE_MM) ? count * (a.squares + 1) : 0;
  const starts = mesh.map((_, p) => x0 + p * (squares - 1) * SQUARE_MM);
  const ends = starts.flatMap((x) => [x, x + squares * SQUARE_MM]);
  const sleeves =
    cutEnds > 0
      ? joint(
          'cap',
          'sleeves',
          'Cut wire ends along the mesh',
          mesh,
          ends.flatMap((x) => places.map((q): Vec3 => [x, q.y, q.z])).slice(0, cutEnds),
          { count: cutEnds, with: { of: 'wire', how: a.caps } },
        )
      : [];
  const ties = joint(
    'tie',
    'mesh ties',
    'Panels of mesh where they lap',
    mesh,
    starts.slice(0, -1).flatMap((x) => wires.map((q): Vec3 => [x + squares * SQUARE_MM, q.y, q.z])),
    { count: (count - 1) * a.squares, with: { each: 1 } },
  );
  const straps = a.straps ?? Math.max(2, Math.ceil(covered / STRAP_SPACING_MM) + 1);
  const strapXs = evenly([x0, 0, 0], [x1, 0, 0], straps).map((p) => p[0]);
  const usual = 2 * Math.ceil(covered / 1000) + 4;
  const bags = a.weights ?? usual;
  const sides = skirtLines(a.skirtMm, run);
  const tiesMade = countKind(ties, 'tie');
  const posts = ridge.members.filter((m) => m.part === 'Ridge post');
  const stages = [
    stage({
      id: 'cut',
      title: 'Cut the mesh by whole squares',
      view: 'side',
      pieces: mesh,
      work: [
        'Stand on the roll as you unroll it: it springs back.',
        `Count ${a.squares} squares from prong to prong and ${squares} along the bed, and cut just past the wire.`,
        'At both feet cut away the last wire that runs along the bed: its prongs go into the soil.',
        cutEnds > 0 && capped && `Push a sleeve on each of the ${cutEnds} cut ends along the mesh.`,
      ],
      tools: ['bolt cutter', 'gloves', 'eye protection'],
      checks: [`Every prong as long as its neighbours`],
      cautions: [CAUTIONS.wire],
      joints: capped ? sleeves : [],
      minutes: MINUTES.start + mesh.length * 20,
    }),
    stage({
      id: 'set',
      title: 'Bend it over the bed',
      view: 'end',
      pieces: mesh,
      work: [
        phrase`Stretch two strings ${amount(spanMm, 'length')} apart inside the walls.`,
        phrase`Two people: stand one side’s prongs on its string, bend the mesh over, stand the other side’s, and tread both ${amount(a.prongMm, 'length')} into the soil.`,
        tiesMade > 0 && `Lap the panels by one square and tie them with ${tiesMade} ties.`,
      ],
      tools: ['string', 'tape', 'gloves'],
      checks: [phrase`The crown stands ${amount(f.rise, 'length')} above the soil all along`],
      cautions: [CAUTIONS.bend, CAUTIONS.rods],
      joints: [
        ...joint(
          'prong',
          'prongs',
          'Prongs of the mesh in the soil',
          mesh,
          pairsAt(f.prongXs, [footY, footY + spanMm], footZ),
        ),
        ...ties,
      ],
      minutes: MINUTES.start + mesh.length * 15,
    }),
    ...(ridge.members.length > 0
      ? [
          stage({
            id: 'ridge',
            title: 'Stand the ridge under it',
            view: 'side',
            pieces: ridge.members,
            work: [
              'Saw the board and its posts from the cut list, at its marks.',
              ...postWork(posts),
              'Lift the board under the crown until every wire lies on it, and staple each wire down.',
            ],
            tools: ['hand saw', 'tape', 'level'],
            checks: ['The board is level, and no wire stands off it'],
            joints: ridge.joints,
            minutes: MINUTES.start + ridge.members.length * (MINUTES.boardCut + MINUTES.place),
          }),
        ]
      : []),
    stage({
      id: 'cover',
      title: 'Lay both sheets and strap them',
      view: 'end',
      pieces: sheets,
      work: [
        film ? 'Film with its outer face, usually the printed one, to the sky.' : 'Lay the sheets along the bed.',
        phrase`One sheet on each side, ${a.edges === 'ground' ? 'over the wall and down its outside, its skirt on the ground' : 'tucked in on the soil'}, lapping ${amount(a.overlapMm, 'length')} at the crown; the side away from the wind lies under.`,
        `Throw ${straps} straps of rope over, a bag on both ends of each. Weight skirts and ends with ${bags} bags.`,
        'To reach in or to air, loosen a strap and part the sheets at the crown.',
      ],
      tools: ['knife'],
      checks: ['The sheets part and close at the crown without coming out from under the straps'],
      cautions: [CAUTIONS.windyFilm, CAUTIONS.snow],
      joints: [
        ...joint(
          'lacing',
          'straps',
          'Straps over the sheets',
          sheets,
          strapXs.map((x): Vec3 => [x, footY + spanMm / 2, footZ + f.rise]),
          { count: Math.ceil((straps * (pathLength(run.line) + 1200)) / 1000), with: { screws: 0 } },
        ),
        ...joint(
          'bag',
          'strap weights',
          'On both ends of every strap',
          sheets,
          strapXs.flatMap((x) => sides.map(({ y, z }): Vec3 => [x, y, z])),
          { with: { what: 'bags on the straps' } },
        ),
        ...joint(
          'bag',
          'weights',
          'On the skirts and ends',
          sheets,
          sides.flatMap(({ y, z }) => evenly([x0, y, z], [x1, y, z], Math.ceil(bags / 2))).slice(0, bags),
          { ask: 'weights', with: { what: 'weights on the skirts' }, usual },
        ),
      ],
      minutes: sheets.length * MINUTES.sheet + straps * 3,
    }),
  ];
  return [stages, sleeves];
}
