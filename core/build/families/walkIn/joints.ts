import type { Vec3 } from '../../../base/geometry';
import { endsOf } from '../../assembly/pieces';
import type { Joint, Member, SheetPart } from '../../assembly/types';
import type { Opening } from '../../assembly/openings';
import { evenly, joint, pairsAt, spreadAlong } from '../../joints';
import { batteningOf } from '../../parts/frame';
import { clipPlaces } from '../../parts/framedSheet';
import { type WalkInAnswers, onTimber } from './answers';
import type { House } from './frame';

/** What a house is made of beside its posts and hoops. */
export interface HouseParts {
  readonly house: House;
  readonly ends: readonly Member[];
  readonly door: readonly Member[];
  readonly doors: number;
  readonly rollBars: readonly Member[];
  readonly rollSplices: readonly Joint[];
  readonly sheets: readonly SheetPart[];
  /** Film of the doors: two sheets each. */
  readonly doorSheets: readonly SheetPart[];
  readonly battens: readonly Member[];
  /** Over the film on the studs and jambs of the ends. */
  readonly endBattens: readonly Member[];
  readonly anchors: number;
  readonly guard: readonly Joint[];
}

/** Everything that holds the house together. */
export function houseJoints(a: WalkInAnswers, p: HouseParts): readonly Joint[] {
  return [...frameJoints(a, p), ...endJoints(a, p), ...coverJoints(a, p), ...sideJoints(a, p), ...groundJoints(p)];
}

/** Posts in the ground, hoops sleeved over them, purlins, boards and ties. */
function frameJoints(a: WalkInAnswers, { house: h, guard }: HouseParts): readonly Joint[] {
  const feet = pairsAt(h.xs, [h.y0, h.y1], a.sidewallMm);
  const ground = feet.map(([x, y]): Vec3 => [x, y, 0]);
  const crossings = h.purlins.flatMap((m) => {
    const [from, to] = endsOf([m]);
    return from && to
      ? h.xs
          .filter((x) => x >= from[0] - 1 && x <= to[0] - (to[0] < h.x1 - 1 ? 1 : -1))
          .map((x): Vec3 => [x, from[1], from[2]])
      : [];
  });
  const timber = onTimber(a);
  const runs = (a.purlins === 'three' ? 2 : 0) + (h.beam.length > 0 || h.ridgePipes.length > 0 ? 0 : 1);
  const n = h.xs.length;
  return [
    ...(h.bolts
      ? joint(
          'wallBolt',
          'posts',
          'Posts to the bed’s wall, two each',
          h.posts,
          ground.flatMap(([x, y]) => [0, h.bolts?.apartMm ?? 0].map((up): Vec3 => [x, y, (h.bolts?.lowMm ?? 0) + up])),
        )
      : joint('post', 'posts', 'Posts in the ground', h.posts, ground, {
          with: { set: timber ? 'dug' : a.posts, depthMm: h.depthMm, what: 'posts in the soil' },
        })),
    ...(timber
      ? joint('uStrap', 'feet', 'Two straps at each hoop foot, to its post', [...h.hoops, ...h.posts], feet, {
          count: 2 * feet.length,
          with: { screw: 'screw-1-5/8' },
        })
      : joint(
          'tekScrew',
          'feet',
          h.adapters.length > 0
            ? 'Through each sleeve, two into the hoop and two into its post'
            : 'Two through each hoop foot into its post',
          [...h.hoops, ...h.adapters, ...h.posts],
          feet,
          { with: { each: h.adapters.length > 0 ? 4 : 2 } },
        )),
    ...joint('tekScrew', 'braces', 'Braces to the posts, two an end', [...h.braces, ...h.posts], endsOf(h.braces), {
      with: { each: 2 },
    }),
    ...joint('crossing', 'purlins', 'Purlins to every hoop', [...h.purlins, ...h.hoops], crossings, {
      count: runs * n,
    }),
    ...joint(
      timber ? 'buttScrew' : 'uStrap',
      'boards',
      `Base and hip boards to the posts${timber ? ', two screws each' : ''}`,
      [...h.boards, ...h.posts],
      feet,
      {
        count: h.boards.some((m) => m.part.startsWith('Hip')) ? 4 * n : 2 * n,
        with: { screw: timber ? 'screw-3' : 'screw-1-5/8' },
      },
    ),
    ...joint('buttScrew', 'cross ties', 'Cross ties to the hoops', [...h.ties, ...h.hoops], endsOf(h.ties)),
    ...h.joints,
    ...guard,
  ];
}

/** Framed ends strapped to their hoops, and doors in them. */
function endJoints(a: WalkInAnswers, { house: h, ends, door, doors, doorSheets }: HouseParts): readonly Joint[] {
  const studs = ends.filter((m) => m.ends[1] === 'curve');
  const tops = endsOf(studs).filter((_, i) => i % 2 === 1);
  const { endHoops } = h;
  const stiles = door.filter((m) => m.part === 'Door stile');
  const hung = stiles.filter((_, i) => i % 2 === 0);
  return [
    ...joint(
      'buttScrew',
      'end frames',
      'Frames of the ends',
      ends,
      ends.flatMap((m) => endsOf([m]).slice(0, 1)),
      { with: { screw: 'screw-3' } },
    ),
    ...joint('uStrap', 'studs', 'Studs to the end hoops, two each', [...studs, ...endHoops.flat()], tops, {
      count: 2 * studs.length,
    }),
    ...joint(
      'buttScrew',
      'door frames',
      'Frame of each door',
      door,
      endsOf(door.filter((m) => m.part === 'Door rail')),
    ),
    ...joint('plate', 'door corners', 'Corners of each door', door, endsOf(stiles), { count: 4 * doors }),
    ...joint(
      'doorHinge',
      'door hinges',
      'Three to a door',
      hung,
      hung.flatMap((m) => (m.shape.kind === 'straight' ? evenly(m.shape.from, m.shape.to, 3) : [])),
      { count: 3 * doors },
    ),
    ...joint(
      'staple',
      'door film',
      'Film round the frame of each door, every 75 mm',
      [...doorSheets, ...door],
      endsOf(stiles),
      { count: Math.ceil((doors * 2 * 2 * (a.doorWidthMm + a.doorHeightMm)) / 75) },
    ),
    ...joint('doorLatch', 'door latches', 'One to a door', door, [], { count: doors }),
    ...joint('handle', 'door handles', 'One to a door', door, [], { count: doors }),
  ];
}

/** The boards that film is fastened along: a rolled side at the hip, and nowhere below. */
export function fastenedTo(a: WalkInAnswers, h: House): readonly Member[] {
  const bases = h.boards.filter((m) => m.part.startsWith('Base'));
  const hips = h.boards.filter((m) => m.part.startsWith('Hip'));
  const roll = a.sides === 'roll-up';
  const curtains = a.sheets === 'roof-and-curtains';
  // Film that runs on to the roll bar is held at the hip as well, or the whole sheet rolls up.
  return [...(curtains || roll ? hips : []), ...(roll ? [] : bases)];
}

/** How film is held along boards and end hoops. */
function coverJoints(a: WalkInAnswers, { house: h, sheets, battens, ends, endBattens }: HouseParts): readonly Joint[] {
  const sideMetres = Math.ceil((fastenedTo(a, h).reduce((sum, m) => sum + m.lengthMm, 0) - 1e-6) / 1000);
  const endsMm = 2 * (h.y1 - h.y0 + 2 * h.crownZ);
  const along = spreadAlong(h.boards, 500);
  const { endHoops } = h;
  const held = [...sheets, ...h.boards, ...endHoops.flat()];
  const where = 'Along boards and end hoops';
  const hips = pairsAt(h.xs, [h.y0, h.y1], a.sidewallMm);
  return [
    ...(a.fixing === 'channel'
      ? joint('channel', 'channel', where, held, along, { count: sideMetres + Math.ceil(endsMm / 1000) })
      : [
          ...joint('staple', 'staples', 'Along the boards, one every 125 mm', [...sheets, ...h.boards], along, {
            count: 8 * sideMetres,
          }),
          // No staple holds in pipe.
          ...joint(
            'clip',
            'end clips',
            'Film round the end hoops',
            [...sheets, ...endHoops.flat()],
            clipPlaces(endHoops, Math.ceil(endsMm / 2 / 450)),
          ),
        ]),
    ...(a.layers === 'double'
      ? joint('seal', 'spacers', 'Along the purlins, between the two films', h.purlins, [], {
          count: Math.ceil(h.purlins.reduce((sum, m) => sum + m.lengthMm, 0) / 1000),
        })
      : []),
    ...joint('roundedEdge', 'edges', 'Outer edges of the boards and the end frames', [...h.boards, ...ends], [], {
      count: h.boards.length + ends.length,
      with: { how: 'guarded' },
    }),
    ...batteningOf(battens, h.boards),
    ...joint(
      'batten',
      'end battens',
      'Battens over the film on studs and jambs, one every 300 mm',
      [...endBattens, ...ends, ...sheets.filter((s) => s.part !== 'Roof' && s.part !== 'Side curtain')],
      spreadAlong(endBattens, 300),
    ),
    ...joint('clip', 'clips', 'Cover to the hoops at the hip, a sleeve under each', [...sheets, ...h.hoops], hips),
  ];
}

/** Cranks and clips of sides that roll up, and lacing over them. */
function sideJoints(a: WalkInAnswers, { house: h, rollBars, rollSplices, sheets }: HouseParts): readonly Joint[] {
  const curtains = sheets.filter((s) => s.part === 'Side curtain');
  const laced = pairsAt(h.xs, [h.y0, h.y1], a.sidewallMm / 2);
  const lacing =
    a.lacing === 'rope' && (rollBars.length > 0 || curtains.length > 0)
      ? joint('lacing', 'lacing', 'Tied down zigzag over both sides', [...h.boards, ...curtains], laced, {
          count: Math.ceil((2 * Math.hypot(a.sidewallMm, h.spacingMm) * h.xs.length) / 1000) + 4,
          with: { screws: 2 },
        })
      : [];
  if (rollBars.length === 0) return lacing;
  const length = h.x1 - h.x0;
  const bars = spreadAlong(rollBars, 300);
  const cranks = [h.y0, h.y1].map((y): Vec3 => [h.x0, y, 100]);
  return [
    ...joint('crank', 'cranks', 'One to each roll-up side', rollBars, cranks),
    ...joint('rollClip', 'roll clips', 'Film on the roll bars', rollBars, bars, { count: 2 * Math.ceil(length / 300) }),
    ...lacing,
    ...rollSplices,
  ];
}

/** Anchors at the corners and beside the base boards. */
function groundJoints({ house: h, anchors }: HouseParts): readonly Joint[] {
  const near = Math.ceil(anchors / 2);
  const places = [
    ...evenly([h.x0, h.y0, 0], [h.x1, h.y0, 0], near),
    ...evenly([h.x0, h.y1, 0], [h.x1, h.y1, 0], anchors - near),
  ];
  return joint('anchor', 'anchors', 'Corners and every other hoop', h.boards, places, { ask: 'anchors' });
}

/** Doors to walk through, and sides that roll up for air. */
export function houseOpenings(a: WalkInAnswers, p: HouseParts): readonly Opening[] {
  const { house: h, door, doorSheets, rollBars, sheets } = p;
  const rolled = rollBars.length === 0 ? [] : ['L1', 'L2'];
  const sides = rolled.map((tag, i): Opening => {
    const y = i === 0 ? h.y0 : h.y1;
    const curtain = a.sheets === 'roof-and-curtains' ? sheets.filter((s) => s.tag === `S${4 + i}`) : [];
    return {
      name: `Roll-up side ${i + 1}`,
      by: 'roll-up',
      tags: [...rollBars.filter((m) => m.tag.startsWith(tag)), ...curtain].map((x) => x.tag),
      line: [
        [h.x0, y, 0],
        [h.x0, y, a.sidewallMm],
      ],
      travel: { mm: a.sidewallMm },
      shut: a.lacing === 'rope' ? ['lacing'] : [],
      open: ['cranks'],
      // Over one bed, or with no door, one kneels outside.
      reachedFrom: a.doors === 'none' || a.widthMm < NARROW_MM ? 'both sides' : 'inside',
      screened: false,
      lift: { motion: 'rolled', extraKg: CRANK_KG, people: 1 },
    };
  });
  const stiles = door.filter((m) => m.part === 'Door stile');
  const doors = Array.from({ length: p.doors }, (_, i): Opening => {
    const hung = stiles[2 * i];
    const [from = [h.x0, h.y0, 0], to = [h.x0, h.y0, a.doorHeightMm]] = hung ? endsOf([hung]) : [];
    const letter = hung?.tag.replace(/\d$/, '') ?? '';
    return {
      name: p.doors === 1 ? 'Door' : `Door ${i + 1}`,
      by: 'door',
      tags: [...door.filter((m) => m.tag.startsWith(letter)), ...doorSheets.slice(2 * i, 2 * i + 2)].map((m) => m.tag),
      line: [from as Vec3, to as Vec3],
      travel: { deg: 110 },
      airM2: (a.doorWidthMm * a.doorHeightMm) / 1e6,
      shut: ['door latches'],
      open: [],
      reachedFrom: 'inside',
      screened: false,
    };
  });
  return [...sides, ...doors];
}

const CRANK_KG = 2;
/** A house that an arm reaches across from both sides, mm. */
const NARROW_MM = 1300;
