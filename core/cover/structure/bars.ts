/** Bars under a cover, what they lie on in their turn, and the stiff sheets between them. */
import { dot } from '../../base/geometry';
import { grouped } from '../../base/grouped';
import type { BeamRow, SheetSpan } from '../assembly/rows';
import type { AssemblySpec, Joint, Panel } from '../assembly/types';
import { type Rest, type Bearings, freeSpan } from './bearing';
import { type RoofFace, heightOver, reachAt } from './roof';
import { type Straight, alongIt, directionOf, isAlongBed, isUpright, lengthOf, reachMm, upOf } from './solid';

/** So far over a bar a cover may lie and still lie on it, mm: rails and lath lie under a sheet. */
const OVER_MM = { sheet: 45, panel: 12 } as const;
/** A bar at the edge of its cover stands out no farther, mm. */
const EDGE_MM = 45;

/** A wall over the upper edge of a slope, mm. */
export type WallOver = NonNullable<AssemblySpec['wallOver']>;

const slopeOf = (m: Straight): number => (Math.asin(Math.abs(directionOf(m)[2])) * 180) / Math.PI;

/** The side of a section that an upright load bends. */
export const bendingSide = (m: Straight): BeamRow['across'] =>
  Math.abs(dot(m.shape.wide, upOf(m))) > 0.7 ? 'width' : 'thickness';

/** What such pieces are called: by their part, whichever of a run, side or place it is. */
export const partName = ({ part }: Straight, count: number): string => {
  const [one = part] = part.split(', ');
  return count > 1 ? `${one}s` : one;
};

/** A piece that a roof lies on: what of the roof, where the piece runs, and its share of the roof, level, mm. */
export interface Under {
  readonly piece: Straight;
  readonly over: readonly RoofFace[];
  readonly x: number;
  readonly shareMm: number;
  /** From where to where across the bed. */
  readonly ys: readonly [number, number];
}

/** A bar that spans free under a roof. */
export interface Bar extends Under {
  readonly rests: readonly Rest[];
  readonly spanMm: number;
  readonly slopeDeg: number;
}

const acrossBed = ({ shape }: Straight): Under['ys'] => [
  Math.min(shape.from[1], shape.to[1]),
  Math.max(shape.from[1], shape.to[1]),
];

/**
 * The pieces across the bed that a roof lies on. Each has half of the way to its neighbours, or to the roof's edge.
 * @param joints those of the frame, and all, with those that hold the cover to it
 */
export function piecesUnder(
  faces: readonly RoofFace[],
  on: Bearings,
  joints: { readonly frame: readonly Joint[]; readonly all: readonly Joint[] },
): readonly Under[] {
  // What only holds the cover down is joined to nothing else.
  const inFrame = new Set(joints.frame.flatMap((j) => j.tags));
  const near = on.straight.flatMap((piece) => {
    if (isUpright(piece) || isAlongBed(piece) || piece.bow || !inFrame.has(piece.tag)) return [];
    const [x, y, z] = alongIt(piece, lengthOf(piece) / 2);
    const solid = on.solid(piece.tag);
    const up = upOf(piece);
    const half = solid ? reachMm(solid, up) / up[2] : 0;
    const over = faces.filter((f) => {
      const top = heightOver(f, x, y, EDGE_MM);
      const lies = OVER_MM[f.stretched ? 'sheet' : 'panel'] / Math.cos((f.slopeDeg * Math.PI) / 180);
      return top !== undefined && top > z && top - z < half + lies;
    });
    return over.length > 0 ? [{ piece, over, x, z, ys: acrossBed(piece) }] : [];
  });
  // A sheet that is fastened to pieces lies on those; one that is only laid over them, on all.
  const fastened = new Map(
    faces.flatMap((f) => {
      const to = new Set(joints.all.filter((j) => j.tags.includes(f.tag)).flatMap((j) => j.tags));
      return near.some((u) => u.over.includes(f) && to.has(u.piece.tag)) ? [[f, to] as const] : [];
    }),
  );
  const found = near.flatMap((u) => {
    const over = u.over.filter((f) => fastened.get(f)?.has(u.piece.tag) ?? true);
    return over.length > 0 ? [{ ...u, over }] : [];
  });
  return found.map(({ z, ...u }) => {
    const alike = faces.filter((f) => u.over.some((o) => Math.abs(o.slopeDeg - f.slopeDeg) < 0.1));
    const [from, to] = reachAt(alike, u.x);
    const beside = found.filter(
      (b) =>
        Math.abs(b.z - z) < 1 &&
        b.ys[0] < u.ys[1] - 1 &&
        b.ys[1] > u.ys[0] + 1 &&
        b.x > from - EDGE_MM &&
        b.x < to + EDGE_MM,
    );
    const left = Math.max(from, ...beside.filter((b) => b.x < u.x - 1).map((b) => (b.x + u.x) / 2));
    const right = Math.min(to, ...beside.filter((b) => b.x > u.x + 1).map((b) => (b.x + u.x) / 2));
    return { ...u, shareMm: right - left };
  });
}

/** The bars that span free: of what a roof lies on, and of what that lies on all along in its turn. */
export function barsOf(under: readonly Under[], on: Bearings): readonly Bar[] {
  const direct = new Set(under.map((u) => u.piece.tag));
  const laid = new Map<string, Under[]>();
  for (const u of under)
    for (const r of on.restsOf(u.piece))
      if (r.on !== undefined && !direct.has(r.on) && r.to - r.from > lengthOf(u.piece) / 2)
        laid.set(r.on, [...(laid.get(r.on) ?? []), u]);
  const borne = on.straight.flatMap((piece): readonly Under[] => {
    const over = laid.get(piece.tag);
    const [first] = over ?? [];
    if (!over || !first || isUpright(piece) || isAlongBed(piece)) return [];
    const shareMm = over.reduce((sum, u) => sum + u.shareMm, 0);
    return [{ piece, over: first.over, x: piece.shape.from[0], ys: acrossBed(piece), shareMm }];
  });
  return [...under, ...borne].flatMap((u): readonly Bar[] => {
    const rests = on.restsOf(u.piece);
    const spanMm = on.liesAlong(u.piece) ? undefined : freeSpan(lengthOf(u.piece), rests);
    return spanMm === undefined ? [] : [{ ...u, rests, spanMm, slopeDeg: slopeOf(u.piece) }];
  });
}

const rises = ({ piece }: Bar): number => Math.sign(directionOf(piece)[1] * directionOf(piece)[2]);

/** Rows of bars that are alike, the one that is bent most standing for all. */
export function barRows(bars: readonly Bar[], wall: WallOver | undefined): readonly BeamRow[] {
  const key = ({ piece, slopeDeg }: Bar): string =>
    [piece.part.split(' ')[0], piece.section.key, bendingSide(piece), slopeDeg.toFixed(1)].join(' ');
  const bent = ({ shareMm, spanMm }: Bar): number => shareMm * spanMm ** 2;
  return grouped(bars, key).map((row): BeamRow => {
    const { piece, spanMm, shareMm, slopeDeg } = row.reduce((most, b) =>
      bent(b) > bent(most) * (1 + 1e-6) ? b : most,
    );
    return {
      tags: row.map((b) => b.piece.tag),
      what: partName(piece, row.length),
      section: piece.section,
      across: bendingSide(piece),
      spanMm,
      loadWidthMm: shareMm,
      slopeDeg,
      gable: new Set(row.map(rises)).size > 1,
      ...(wall && { drift: { ...wall, by: 'slope' as const } }),
      ...(piece.asked && { asked: piece.asked }),
    };
  });
}

/** Stiff sheets between the pieces under them; one that lies on its own edges alone spans its whole width. */
export function spansOf(
  panels: readonly Panel[],
  faces: readonly RoofFace[],
  under: readonly Under[],
  wall: WallOver | undefined,
): readonly SheetSpan[] {
  const each = panels.flatMap((p): readonly SheetSpan[] => {
    const face = faces.find((f) => f.tag === p.tag);
    if (!face) return [];
    const mine = under.filter((u) => u.over.some((f) => f.tag === p.tag)).sort((a, b) => a.x - b.x);
    const gaps = mine.slice(1).map((u, i) => u.x - (mine[i]?.x ?? u.x));
    const asked = mine.find((u) => u.piece.asked)?.piece.asked;
    return [
      {
        sheet: p.sheet,
        spanMm: gaps.length > 0 ? Math.max(...gaps) : face.toX - face.fromX,
        slopeDeg: face.slopeDeg,
        ...(wall && { drift: { ...wall, by: 'strip' as const } }),
        ...(asked && { asked }),
      },
    ];
  });
  return grouped(each, (s) => `${s.sheet.key} ${s.slopeDeg.toFixed(1)}`).map((row) =>
    row.reduce((most, s) => (s.spanMm > most.spanMm ? s : most)),
  );
}
