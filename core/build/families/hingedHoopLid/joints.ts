import { type Vec3, pathLength } from '../../../base/geometry';
import { MM_PER_INCH } from '../../../base/length';
import type { Joint, Panel, SheetPart } from '../../assembly/types';
import { evenly, joint, pairsAt } from '../../joints';
import { hingeCount } from '../../joints/hinge';
import { guardPvc } from '../../parts/guard';
import { coveringJoints } from '../../parts/framedHoops';
import type { HoopFrame } from '../../parts/hoopFrame';
import type { HingedHoopLidAnswers } from './answers';

/** Longer lids want a stay at each end, mm. */
const LONG_MM = 96 * MM_PER_INCH;

interface LidParts {
  readonly panels: readonly Panel[];
  readonly sides: readonly Joint[];
  readonly sheets: readonly SheetPart[];
  /** Where straps, sockets and screws hold the feet. */
  readonly feetZ: number;
}

const FEET = {
  'straps-inside': 'strap',
  'straps-outside': 'strap',
  sockets: 'socket',
  screwed: 'throughScrew',
  holes: 'blindHole',
} as const;

/** Everything that fastens, hangs, latches and holds the lid. */
export function lidJoints(a: HingedHoopLidAnswers, f: HoopFrame, p: LidParts, windy: boolean): readonly Joint[] {
  const { frame, hoops, x0, x1, width, z0 } = f;
  const far = a.hinges === 'far';
  const [hingeY, frontY] = far ? [width, 0] : [0, width];
  const along = (y: number, count: number, inset = 100): readonly Vec3[] =>
    evenly([x0 + inset, y, z0], [x1 - inset, y, z0], count);
  const feetAt = pairsAt(f.xs, [f.footY, f.footY + f.hoop.spanMm], p.feetZ);
  const kind = FEET[a.feet];
  const rails = {
    hinge: frame.rails.filter((m) => m.tag.startsWith('A2')),
    front: frame.rails.filter((m) => m.tag.startsWith('A1')),
  };
  return [
    ...frame.joints,
    // A strap here holds a hoop in its lid; hinges and latches hold the lid to the bed.
    ...joint(kind, 'feet', 'Hoop feet to the rails', [...hoops, ...frame.rails], feetAt, {
      with: { holds: 'nothing' },
    }),
    ...(a.feet === 'straps-outside' ? joint('cap', 'caps', 'Pipe ends outside the frame', hoops, feetAt) : []),
    ...f.ridge.joints,
    ...p.sides,
    ...guardPvc(a.paint, a.cover, a.pipe, hoops),
    ...coveringJoints(f, { fixing: 'battens', edge: a.edge, louvres: a.vents === 'louvres' }, p, {
      kind: 'strap',
      eachEnd: 3,
      staples: a.ends === 'folded' ? (2 * width) / 100 : p.panels.length > 0 ? (2 * pathLength(f.line)) / 250 : 0,
    }),
    ...joint('roundedEdge', 'corners rounded', 'Outer corners of the frame', frame.endBoards, [], { count: 4 }),
    ...joint('hinge', 'hinges', 'Hinge rail to the bed', rails.hinge, along(hingeY, hingeCount(x1 - x0))),
    ...joint('handle', 'handle', 'Front rail, in the middle', rails.front, along(frontY, 1)),
    ...joint('latch', 'latches', 'Front rail to the bed', rails.front, along(frontY, a.latches ?? (windy ? 2 : 1)), {
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
