/** Pieces along the bed that bars or hoops stand on: headers, plates, ridges and rails. */
import { grouped } from '../../base/grouped';
import type { BeamRow } from '../assembly/rows';
import type { Joint } from '../assembly/types';
import { type Bar, type WallOver, bendingSide, partName } from './bars';
import { type Rest, type Bearings, freeSpan } from './bearing';
import type { RoofFace } from './roof';
import { type Straight, isAlongBed } from './solid';

/** Whether something shares a joint with one of these. */
export function joinedTo(tags: readonly string[], joints: readonly Joint[]): (tag: string) => boolean {
  const own = new Set(tags);
  const found = new Set(joints.filter((j) => j.tags.some((t) => own.has(t))).flatMap((j) => j.tags));
  return (tag) => found.has(tag);
}

/** Pieces end to end along the bed. */
export interface StraightRun {
  readonly pieces: readonly [Straight, ...Straight[]];
  readonly fromX: number;
  readonly toX: number;
  readonly y: number;
  readonly z: number;
  /** Whether something shares a joint with it. */
  readonly joined: (tag: string) => boolean;
  /** What it rests on, from its start, mm; worked out when it is asked. */
  readonly rests: () => readonly Rest[];
  /** The uprights that it is joined to the tops of, from its start. */
  readonly posts: () => readonly Rest[];
  /** It rests all along. */
  readonly liesAlong: () => boolean;
}

/** Every run along the bed. @param joints of pieces to pieces */
export function runsOf(on: Bearings, joints: readonly Joint[]): readonly StraightRun[] {
  const along = on.straight.filter((m) => isAlongBed(m) && !m.bow);
  const line = (m: Straight): string =>
    [m.section.key, m.part.split(', ')[0], Math.round(m.shape.from[1]), Math.round(m.shape.from[2])].join(' ');
  return grouped(along, line).map((pieces): StraightRun => {
    const xs = pieces.flatMap((m) => [m.shape.from[0], m.shape.to[0]]);
    const fromX = Math.min(...xs);
    const own = new Set(pieces.map((m) => m.tag));
    const restsOf = (m: Straight): readonly Rest[] => {
      const [a, b] = [m.shape.from[0] - fromX, m.shape.to[0] - fromX];
      return on.restsOf(m).flatMap((r): readonly Rest[] => {
        if (r.on !== undefined && own.has(r.on)) return [];
        const [from, to] = a < b ? [a + r.from, a + r.to] : [a - r.to, a - r.from];
        return [{ ...r, from, to }];
      });
    };
    const [first] = pieces;
    const joined = joinedTo([...own], joints);
    const rests = (): readonly Rest[] => pieces.flatMap(restsOf).sort((a, b) => a.from - b.from);
    return {
      pieces,
      fromX,
      toX: Math.max(...xs),
      y: first.shape.from[1],
      z: first.shape.from[2],
      joined,
      rests,
      posts: () => rests().filter((r) => r.on !== undefined && on.isUpright(r.on) && joined(r.on)),
      liesAlong: () => pieces.every(on.liesAlong),
    };
  });
}

/** Level width of roof that a run has of the bars on it: half of the way to the other edge of the roof, and all that stands out past it. */
function carriedMm(run: StraightRun, bars: readonly Bar[], faces: readonly RoofFace[]): number {
  const sides = [
    { onSide: (y: number) => y < run.y, edgeMm: run.y - Math.min(...faces.map((f) => f.fromY)) },
    { onSide: (y: number) => y > run.y, edgeMm: Math.max(...faces.map((f) => f.toY)) - run.y },
  ];
  return sides.reduce((sum, { onSide, edgeMm }) => {
    const spans = bars.some((b) => onSide((b.ys[0] + b.ys[1]) / 2));
    return sum + Math.max(0, spans ? edgeMm / 2 : edgeMm);
  }, 0);
}

/**
 * Runs that bars rest on and that span free between what they rest on themselves. One that only the bars hold up, as the ridge of
 * leaning legs, bears the strip of roof beside it: half of it, the bars the other.
 */
export function runRows(
  runs: readonly StraightRun[],
  bars: readonly Bar[],
  faces: readonly RoofFace[],
  wall: WallOver | undefined,
): readonly BeamRow[] {
  return runs.flatMap((run): readonly BeamRow[] => {
    const own = new Set(run.pieces.map((m) => m.tag));
    const mine = bars.filter((b) => b.rests.some((r) => r.on !== undefined && own.has(r.on)));
    if (mine.length === 0 || run.liesAlong()) return [];
    const rests = run.rests();
    const spanMm = freeSpan(run.toX - run.fromX, rests);
    if (spanMm === undefined) return [];
    const [piece] = run.pieces;
    const held = rests.every((r) => mine.some((b) => b.piece.tag === r.on));
    const widthMm = carriedMm(run, mine, faces);
    return [
      {
        tags: [...own],
        what: partName(piece, 1),
        section: piece.section,
        across: bendingSide(piece),
        spanMm,
        loadWidthMm: held ? widthMm / 2 : widthMm,
        slopeDeg: 0,
        gable: false,
        ...(wall && { drift: { ...wall, by: 'far end' as const } }),
        ...(piece.asked && { asked: piece.asked }),
      },
    ];
  });
}
