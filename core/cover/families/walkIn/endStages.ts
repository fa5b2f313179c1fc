/** Framed ends of a house, strapped to their hoops, and the doors in them. */
import { DOOR_PLAY_MM } from './ends';
import { amount, phrase } from '../../../base/figure';
import { endsOf } from '../../assembly/pieces';
import type { Member, SheetPart, Stage } from '../../assembly/types';
import type { Opening } from '../../assembly/openings';
import { MINUTES, countKind, sayCount, stage, tagList } from '../../guide/stage';
import { evenly, joint } from '../../joints';
import { CAUTIONS } from '../../joints/cautions';
import type { WalkInAnswers } from './answers';
import type { House } from './frame';

/** Plates, studs, jambs and headers of both ends. */
export function endStage(a: WalkInAnswers, h: House, ends: readonly Member[]): Stage {
  const studs = ends.filter((m) => m.ends[1] === 'curve');
  const foot = ends.flatMap((m) => endsOf([m]).slice(0, 1));
  const tops = studs.flatMap((m) => endsOf([m]).slice(1));
  const shut = a.doors === 'none';
  return stage({
    id: 'ends',
    title: 'Frame the ends',
    view: 'end',
    pieces: ends,
    work: [
      `Bottom plates on the ${h.bolts ? 'end walls of the bed' : 'ground'} inside the end hoops; studs plumb on them, their tops trimmed to the hoop and strapped to it.`,
      !shut &&
        phrase`Jambs and header round the door: ${amount(a.doorWidthMm, 'length')} by ${amount(a.doorHeightMm, 'length')} and ${amount(DOOR_PLAY_MM, 'length')} of room all round.`,
    ],
    tools: ['level', 'hand saw'],
    joints: [
      ...joint('buttScrew', 'end frames', 'Frames of the ends', ends, foot, { with: { screw: 'screw-3' } }),
      ...joint('uStrap', 'studs', 'Studs to the end hoops, two each', [...studs, ...h.endHoops.flat()], tops, {
        count: 2 * studs.length,
      }),
    ],
    checks: [shut ? 'Every stud plumb' : 'Jambs plumb, header level, both diagonals of the opening equal'],
    cautions: [CAUTIONS.saw],
    minutes: MINUTES.start + ends.length * 8,
  });
}

const stilesOf = (door: readonly Member[]): readonly Member[] => door.filter((m) => m.part === 'Door stile');
/** Of each door the stile that it hangs by. */
const hungBy = (door: readonly Member[]): readonly Member[] => stilesOf(door).filter((_, i) => i % 2 === 0);

/** The doors made and hung; nothing where there is none. */
export function doorStages(a: WalkInAnswers, door: readonly Member[], film: readonly SheetPart[]): readonly Stage[] {
  if (door.length === 0) return [];
  const stiles = stilesOf(door);
  const doors = stiles.length / 2;
  const hung = hungBy(door);
  const rails = door.filter((m) => m.part === 'Door rail');
  const along = hung.flatMap((m) => (m.shape.kind === 'straight' ? evenly(m.shape.from, m.shape.to, 3) : []));
  const hinges = joint('doorHinge', 'door hinges', 'Three to a door', hung, along, { count: 3 * doors });
  const round = doors * 2 * 2 * (a.doorWidthMm + a.doorHeightMm);
  return [
    stage({
      id: 'door',
      title: doors === 2 ? 'Make and hang both doors' : 'Make and hang the door',
      view: 'end',
      pieces: [...door, ...film],
      work: [
        'Two stiles, three rails between them, a plate on every corner.',
        phrase`Film on both faces, ${tagList(film)}, folded round the frame and stapled every ${amount(75, 'byEye')}.`,
        `${sayCount(countKind(hinges, 'doorHinge'), 'doorHinge')} in all. It swings outward, away from the prevailing wind, and latches from both sides.`,
      ],
      tools: ['level', 'stapler'],
      joints: [
        ...joint('buttScrew', 'door frames', 'Frame of each door', door, endsOf(rails)),
        ...joint('plate', 'door corners', 'Corners of each door', door, endsOf(stiles), { count: 4 * doors }),
        ...hinges,
        ...joint('staple', 'door film', 'Film round the frame of each door', [...film, ...door], endsOf(stiles), {
          count: Math.ceil(round / 75),
        }),
        ...joint('doorLatch', 'door latches', 'One to a door', door, [], { count: doors }),
        ...joint('handle', 'door handles', 'One to a door', door, [], { count: doors }),
      ],
      checks: ['It swings free and latches', 'Nothing stands in its swing'],
      minutes: door.length * 8 + 20,
    }),
  ];
}

/** Doors to walk through. */
export function doorOpenings(
  a: WalkInAnswers,
  door: readonly Member[],
  film: readonly SheetPart[],
): readonly Opening[] {
  const hung = hungBy(door);
  return hung.flatMap((stile, i): readonly Opening[] => {
    const [from, to] = endsOf([stile]);
    const letter = stile.tag.replace(/\d$/, '');
    const own = [...door.filter((m) => m.tag.startsWith(letter)), ...film.slice(2 * i, 2 * i + 2)];
    return from && to
      ? [
          {
            name: hung.length === 1 ? 'Door' : `Door ${i + 1}`,
            by: 'door',
            tags: own.map((p) => p.tag),
            line: [from, to],
            travel: { deg: 110 },
            airM2: (a.doorWidthMm * a.doorHeightMm) / 1e6,
            shut: ['door latches'],
            open: [],
            reachedFrom: 'inside',
          },
        ]
      : [];
  });
}
