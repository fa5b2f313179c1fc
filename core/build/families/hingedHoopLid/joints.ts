import { type Vec3, pathLength } from '../../../base/geometry';
import { MM_PER_INCH } from '../../../base/length';
import type { Joint, Member, Panel, SheetPart } from '../../assembly/types';
import type { Opening } from '../../assembly/openings';
import { evenly, joint } from '../../joints';
import { plywoodJoints, ventJoints } from '../../parts/ends';
import type { Frame } from '../../parts/frame';
import { type FramedCover, fastened, flapJoints } from '../../parts/framedSheet';
import type { RidgeBuilt } from '../../parts/ridge';
import { hingeCount } from '../../joints/hinge';
import type { HingedHoopLidAnswers } from './answers';

/** Longer lids want a stay at each end, mm. */
const LONG_MM = 96 * MM_PER_INCH;
/** A lid that stands open leans back past upright, degrees. */
const OPEN_DEG = 100;

interface LidParts {
  readonly frame: Frame;
  readonly panels: readonly Panel[];
  readonly hoops: readonly Member[];
  readonly ridge: RidgeBuilt;
  readonly sides: readonly Joint[];
  readonly guard: readonly Joint[];
  readonly sheets: readonly SheetPart[];
  readonly covered: FramedCover;
  readonly x0: number;
  readonly x1: number;
  readonly width: number;
  readonly z0: number;
  readonly footY: number;
  readonly spanMm: number;
  readonly footZ: number;
  readonly xs: readonly number[];
  readonly windy: boolean;
}

const FEET = {
  'straps-inside': 'strap',
  'straps-outside': 'strap',
  sockets: 'socket',
  screwed: 'throughScrew',
  holes: 'blindHole',
} as const;

/** Everything that fastens, hangs, latches and holds the lid. */
export function lidJoints(a: HingedHoopLidAnswers, p: LidParts): readonly Joint[] {
  const { frame, hoops, sheets, covered, x0, x1, width, z0 } = p;
  const far = a.hinges === 'far';
  const [hingeY, frontY] = far ? [width, 0] : [0, width];
  const along = (y: number, count: number, inset = 100): readonly Vec3[] =>
    evenly([x0 + inset, y, z0], [x1 - inset, y, z0], count);
  const feetAt = p.xs.flatMap((x) => [p.footY, p.footY + p.spanMm].map((y): Vec3 => [x, y, p.footZ]));
  const kind = FEET[a.feet];
  const rails = {
    hinge: frame.rails.filter((m) => m.tag.startsWith('A2')),
    front: frame.rails.filter((m) => m.tag.startsWith('A1')),
  };
  const endHoops = [hoops[0], hoops[hoops.length - 1]].flatMap((m) => m ?? []);
  return [
    ...frame.joints,
    // A strap here holds a hoop in its lid; hinges and latches hold the lid to the bed.
    ...joint(kind, 'feet', 'Hoop feet to the rails', [...hoops, ...frame.rails], feetAt, {
      with: { holds: 'nothing' },
    }),
    ...(a.feet === 'straps-outside' ? joint('cap', 'caps', 'Pipe ends outside the frame', hoops, feetAt) : []),
    ...p.ridge.joints,
    ...p.sides,
    ...p.guard,
    ...fastened('battens', {
      sheets: sheets.slice(0, 1),
      rails: frame.rails,
      hoops,
      battening: frame.battening,
      cover: covered,
      railZ: z0,
      y0: 0,
      endStaples: Math.ceil(
        a.ends === 'folded' ? (2 * width) / 100 : p.panels.length > 0 ? (2 * pathLength(covered.line)) / 250 : 0,
      ),
    }),
    ...plywoodJoints(p.panels, frame.endBoards, endHoops, {
      edge: a.edge,
      widthMm: width,
      curveMm: pathLength(covered.line),
      kind: 'strap',
      eachEnd: 3,
    }),
    ...ventJoints(p.panels, a.vents === 'louvres' ? 'louvre' : 'ventFlap'),
    ...flapJoints(sheets.slice(1), endHoops, covered),
    ...joint('roundedEdge', 'corners rounded', 'Outer corners of the frame', frame.endBoards, [], { count: 4 }),
    ...joint('hinge', 'hinges', 'Hinge rail to the bed', rails.hinge, along(hingeY, hingeCount(x1 - x0))),
    ...joint('handle', 'handle', 'Front rail, in the middle', rails.front, along(frontY, 1)),
    ...joint('latch', 'latches', 'Front rail to the bed', rails.front, along(frontY, a.latches ?? (p.windy ? 2 : 1)), {
      ask: 'latches',
    }),
    ...joint(
      'stay',
      'stays',
      'Holds the lid open',
      frame.endBoards,
      along(width / 2, a.stays ?? (x1 - x0 > LONG_MM ? 2 : 1), 20),
    ),
  ];
}

/** The whole lid turns about its hinge side. */
export function lidOpening(
  a: HingedHoopLidAnswers,
  parts: readonly { readonly tag: string }[],
  { x0, x1, width, z0 }: Pick<LidParts, 'x0' | 'x1' | 'width' | 'z0'>,
): Opening {
  const y = a.hinges === 'far' ? width : 0;
  return {
    name: 'Lid',
    by: 'lid',
    tags: parts.map((p) => p.tag),
    line: [
      [x0, y, z0],
      [x1, y, z0],
    ],
    travel: { deg: OPEN_DEG },
    shut: ['latches'],
    open: ['stays'],
    reachedFrom: a.hinges === 'far' ? 'near' : 'far',
    screened: false,
    lift: {
      motion: 'hinged',
      extraKg: 0,
      people: a.people === '2' ? 2 : 1,
      hung: { alongMm: x1 - x0, reachMm: width, pitchDeg: 0, opener: undefined },
    },
  };
}
