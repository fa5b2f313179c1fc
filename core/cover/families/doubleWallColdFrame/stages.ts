import { amount, phrase } from '../../../base/figure';
import type { Vec3 } from '../../../base/geometry';
import { MM_PER_INCH } from '../../../base/length';
import { coverMaterial } from '../../../catalog/catalog';
import { boardShape } from '../../../catalog/sections';
import { type BuildSite, stock } from '../../../site/buildSite';
import { endsOf, piece } from '../../assembly/pieces';
import type { Member, SheetPart, Stage } from '../../assembly/types';
import { MINUTES, countKind, sayCount, stage, tagList } from '../../guide/stage';
import { joint, heldRound, spreadAlong } from '../../joints';
import { CAUTIONS } from '../../joints/cautions';
import { type SetDown, setStage } from '../../parts/frameStages';
import type { DoubleWallColdFrameAnswers } from './answers';
import { type WallSite, type Walls, wallBraces, wallSheets } from './walls';

const POCKET = '1x4';
const BRACE = '1x2';
const POCKET_MM = 300;

/** Round the four walls, mm. */
const perimeterOf = (s: WallSite): number => 2 * (s.x1 - s.x0 + s.y1 - s.y0);

/** The walls in building order: screwed together, stood up, and skinned on both faces. */
export function wallStages(
  a: DoubleWallColdFrameAnswers,
  s: WallSite,
  walls: Walls,
  site: BuildSite,
): readonly Stage[] {
  const { all, studs } = walls;
  const braces = a.braces === 'corners' ? wallBraces(walls, stock(site, BRACE)) : [];
  const skins = wallSheets(s, walls, a.cover, a.roll);
  const perimeter = perimeterOf(s);
  const stapled = 4 * perimeter + 2 * studs.reduce((sum, m) => sum + m.lengthMm, 0);
  return [
    stage({
      id: 'walls',
      title: 'Screw the four walls together',
      view: 'side',
      pieces: all,
      work: [
        'Lay each pair of plates side by side and mark the studs across both, as drawn.',
        `Front ${tagList(walls.front)}, back ${tagList(walls.back)}: two screws through the plates into each end of every stud.`,
        `Sides ${tagList(walls.sides)}: the top plate slopes; bevel the tops of the studs to it if you like them tight.`,
      ],
      tools: ['square', 'tape'],
      joints: walls.joints,
      checks: ['Diagonals of front and back equal'],
      minutes: MINUTES.start + all.length * 2,
    }),
    stage({
      id: 'corners',
      title: 'Stand the walls up and screw the corners',
      view: 'plan',
      pieces: [...all, ...braces],
      work: [
        'Sides between front and back, flush at the bottom; four screws a corner.',
        braces.length > 0 &&
          `Saw notches for ${tagList(braces)} in the inner faces of the studs, from the foot of the corner stud to the head of the next, and screw them in flush.`,
        'Round every outer edge with a rasp.',
      ],
      tools: ['level'],
      joints: [
        ...walls.corners,
        ...joint(
          'buttScrew',
          'braces',
          'Braces to the plates, two screws an end',
          [...braces, ...all],
          endsOf(braces),
          {
            with: { screw: 'screw-1-5/8' },
          },
        ),
        ...joint('roundedEdge', 'edges', 'Every outer edge of the walls', all, [], { count: 4 }),
      ],
      checks: ['Both diagonals of the box equal', 'No edge sharp enough to cut film'],
      minutes: MINUTES.start + 10,
    }),
    stage({
      id: 'skins',
      title: 'Skin both faces',
      view: 'end',
      pieces: skins,
      work: [
        phrase`Outer skin first, its outer face, usually the printed one, outward: staple it to the top plate every ${amount(100, 'byEye')}, pull down, staple below and up every stud.`,
        phrase`Then the inner one. The air between them is ${amount(walls.gapMm, 'length')} thick: it is what keeps warmth.`,
        a.tape === 'tape' && 'Lay clear tape over every stapled edge, pressed on dry film in the warm.',
      ],
      tools: ['knife'],
      joints: [
        ...joint(
          'staple',
          'wall skins',
          'Both skins to both plates and every stud',
          [...skins, ...all],
          spreadAlong(studs, 100),
          { count: Math.ceil(stapled / 100), ...(a.tape !== 'tape' && { alone: 'tape' }) },
        ),
        ...(a.tape === 'tape'
          ? joint('tapedEdge', 'edge tape', 'Over the stapled edges of both skins', skins, [], {
              count: Math.ceil((4 * perimeter) / 1000),
            })
          : []),
      ],
      checks: ['Both skins are tight and nowhere touch'],
      cautions: [CAUTIONS.windyFilm, CAUTIONS.knife],
      minutes: skins.length * MINUTES.sheet,
    }),
  ];
}

/** Set down and hooked to the bed. */
export function hookedStage(a: DoubleWallColdFrameAnswers, s: WallSite, walls: Walls, set: SetDown): Stage {
  const rim = heldRound([s.x0, s.x1, s.y0, s.y1, s.z0], a.anchors);
  const hooks = joint('hook', 'anchors', 'Frame to the bed wall', walls.all, rim, { ask: 'anchors' });
  return setStage(
    'Set the frame on the bed',
    set,
    [
      `Two people: set it on the wall, low side to the noon sun, and hook it down with ${sayCount(countKind(hooks, 'hook'), 'hook')}.`,
    ],
    hooks,
  );
}

/** A net across the top of the walls under the lids, and pockets that keep it off the openers' arms; nothing where none is asked for. */
export function netStages(a: DoubleWallColdFrameAnswers, s: WallSite, walls: Walls, site: BuildSite): readonly Stage[] {
  if (a.screen !== 'screen') return [];
  const { x0, x1, y0, y1 } = s;
  const pocketed = a.airing === 'opener' && a.pocket !== 'none';
  const inFront = a.pocket === 'front';
  const fromY = inFront ? y0 + walls.gapMm : y1 - walls.gapMm;
  const pockets = pocketed ? pocketBoards(a, s, fromY, walls, stock(site, POCKET)) : [];
  const under = (y: number): number => walls.plane(y) - 2;
  const net: SheetPart = {
    tag: 'N1',
    part: 'Insect net',
    cover: coverMaterial(site.catalog, 'net'),
    rollKey: null,
    across: [
      { what: 'Front to back, down the slope', mm: (y1 - y0) * Math.hypot(1, walls.slope) },
      { what: 'Stapled to both plates', mm: 2 * 2 * MM_PER_INCH },
    ],
    along: [
      { what: 'Along the frame', mm: x1 - x0 },
      { what: 'Stapled to both sides', mm: 2 * 2 * MM_PER_INCH },
    ],
    faces: [
      [
        [x0, y0, under(y0)],
        [x1, y0, under(y0)],
        [x1, y1, under(y1)],
        [x0, y1, under(y1)],
      ],
    ],
  };
  const plate = inFront ? 'front' : 'back';
  return [
    stage({
      id: 'net',
      title: pocketed ? 'Fix the net and the pocket' : 'Fix the net',
      view: 'plan',
      pieces: [net, ...pockets],
      work: [
        phrase`Staple the net across the top of the walls, tight, every ${amount(75, 'byEye')}.`,
        ...(pocketed
          ? [
              `Screw ${tagList(pockets)} to the ${plate} plate, two to a lid, the opener between them.`,
              'Cut the net between them and staple it round the pocket, so that the arm moves free.',
            ]
          : []),
      ],
      tools: ['knife'],
      joints: [
        ...joint(
          'staple',
          'net',
          'Net to the top plates',
          [net, ...walls.all],
          heldRound([x0, x1, y0, y1, s.z0], a.anchors),
          {
            count: Math.ceil(perimeterOf(s) / 75),
          },
        ),
        ...joint(
          'buttScrew',
          'pocket',
          `Pocket boards to the ${plate} plate`,
          [...pockets, ...walls[plate]],
          pockets.flatMap((m) => endsOf([m]).slice(0, 1)),
          { with: { screw: 'screw-1-5/8' } },
        ),
      ],
      checks: [
        pocketed ? 'The arm of the opener moves its whole way and touches no net' : 'No gap anywhere round the net',
      ],
      cautions: [CAUTIONS.knife],
      minutes: MINUTES.start + 10 + pockets.length * 4,
    }),
  ];
}

/** Two boards along the slope of each lid, from its back plate down or its front plate up. */
function pocketBoards(
  a: DoubleWallColdFrameAnswers,
  { x0, x1 }: WallSite,
  fromY: number,
  { slope, plane }: Walls,
  board: Parameters<typeof piece>[2],
): readonly Member[] {
  const half = boardShape(board).widthMm / 2 + 4;
  const angle = Math.atan(slope);
  const normal: Vec3 = [0, -Math.sin(angle), Math.cos(angle)];
  const way = a.pocket === 'front' ? 1 : -1;
  // Clear of the wall at its upper edge as well as its lower.
  const start = fromY + way * half * Math.sin(angle);
  const at = (x: number, y: number): Vec3 => [x, y - normal[1] * half, plane(y) - normal[2] * half];
  return Array.from({ length: a.lids }, (_, i) => x0 + ((x1 - x0) * (i + 0.5)) / a.lids).flatMap((middle, i) =>
    [-90, 90].map((off, k) =>
      piece(
        `Q${2 * i + k + 1}`,
        'Pocket board',
        board,
        at(middle + off, start),
        at(middle + off, start + way * POCKET_MM * Math.cos(angle)),
        normal,
      ),
    ),
  );
}
