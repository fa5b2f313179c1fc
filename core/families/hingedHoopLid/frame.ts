import { straightRun } from '../../assembly/runs';
import type { HardwareUse, Member, Vec3 } from '../../assembly/types';
import { boardShape, section, thicknessMm } from '../../catalog/sections';
import type { HingedHoopLidAnswers } from './answers';

const BATTEN = '1x2';
const TIE = '1x4';
const CROSS_BOARD = '1x6 treated';

/** Where the frame stands and what it must leave room for, mm. */
export interface FrameSite {
  readonly x0: number;
  readonly x1: number;
  readonly width: number;
  readonly z0: number;
  /** A rail's thickness as it stands, and its height. */
  readonly t: number;
  readonly railHeight: number;
  readonly xs: readonly number[];
  /** How far hoops stand out beyond the rails. */
  readonly outward: number;
  readonly inside: { readonly fromY: number; readonly toY: number };
  /** Ends of the cover that stand over soil, not over a wall. */
  readonly openEnds: readonly number[];
}

export interface Frame {
  readonly rails: readonly Member[];
  readonly endBoards: readonly Member[];
  readonly ties: readonly Member[];
  readonly battens: readonly Member[];
  readonly crossBoards: readonly Member[];
  readonly hardware: readonly HardwareUse[];
}

function board(tag: string, part: string, sectionKey: string, from: Vec3, to: Vec3, wide: Vec3): Member {
  return {
    tag,
    part,
    sectionKey,
    shape: { kind: 'straight', from, to, wide },
    lengthMm: Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]),
    ends: ['square', 'square'],
    holes: [],
    marks: [],
  };
}

/**
 * The lid's frame with its ties, battens and, where it ends over soil, a board across the bed.
 *
 * Corner joints: the end boards run full length to the hinge side, so the hinge rail fits between them and the lid does
 * not rack; at the opening side the front rail runs the whole length and the end boards stop against its back.
 */
export function buildFrame(a: HingedHoopLidAnswers, s: FrameSite): Frame {
  const { x0, x1, width, t, xs } = s;
  const middleY = width / 2;
  const hingeNear = a.hinges === 'near';
  const yOf = (side: 'hinge' | 'front'): number => ((side === 'hinge') === hingeNear ? t / 2 : width - t / 2);
  const z = s.z0 + s.railHeight / 2;
  const onEdge = a.stand === 'on edge';
  const up: Vec3 = [0, 0, 1];
  const rail = (tag: string, part: string, side: 'hinge' | 'front', inset: number) =>
    straightRun({
      tag,
      part,
      sectionKey: a.frame,
      from: [x0 + inset, yOf(side), z],
      to: [x1 - inset, yOf(side), z],
      wide: onEdge ? up : [0, 1, 0],
      hoopXs: xs,
      markHoops: true,
    });
  const front = rail('A1', 'Front rail', 'front', 0);
  const hinge = rail('A2', 'Hinge rail', 'hinge', t);
  const [endFrom, endTo] = hingeNear ? [0, width - t] : [t, width];
  const endBoards = [x0 + t / 2, x1 - t / 2].map((x, i) =>
    board(`A${3 + i}`, 'End board', a.frame, [x, endFrom, z], [x, endTo, z], onEdge ? up : [1, 0, 0]),
  );

  const tieThickness = thicknessMm(section(TIE));
  const ties = Array.from({ length: a.crossTies }, (_, i) => {
    const wanted = x0 + ((x1 - x0) * (i + 1)) / (a.crossTies + 1);
    // Beside the nearest hoop, so that the tie meets the push where it is.
    const nearest = xs.reduce((best, x) => (Math.abs(x - wanted) < Math.abs(best - wanted) ? x : best), xs[0] ?? x0);
    const x = nearest + thicknessMm(section(a.pipe)) / 2 + tieThickness / 2;
    return board(`T${i + 1}`, 'Cross tie', TIE, [x, t, z], [x, width - t, z], up);
  });

  const battens = (['front', 'hinge'] as const).flatMap((side, i) => {
    const out = t / 2 + thicknessMm(section(BATTEN)) / 2 + s.outward;
    const y = yOf(side) + (yOf(side) < middleY ? -out : out);
    return straightRun({
      tag: `B${i + 1}`,
      part: 'Cover batten',
      sectionKey: BATTEN,
      from: [x0, y, z],
      to: [x1, y, z],
      wide: up,
      hoopXs: xs,
      markHoops: false,
    }).members;
  });

  const below = s.z0 - boardShape(section(CROSS_BOARD)).widthMm / 2;
  const crossBoards = s.openEnds.map((x, i) =>
    board(`C${i + 1}`, 'Board across the soil', CROSS_BOARD, [x, s.inside.fromY, below], [x, s.inside.toY, below], up),
  );
  return {
    rails: [...front.members, ...hinge.members],
    endBoards,
    ties,
    battens,
    crossBoards,
    hardware: [...front.hardware, ...hinge.hardware],
  };
}
