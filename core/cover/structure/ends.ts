/** Studs, jambs and headers in an end that the wind leans on. */
import type { ArchRow, EndBar, PostRow } from '../assembly/rows';
import type { AssemblySpec, Panel, SheetPart } from '../assembly/types';
import { panelFaces } from '../assembly/solids';
import { partName } from './bars';
import type { Bearings } from './bearing';
import type { StraightRun } from './runs';
import { directionOf, isUpright, lengthOf } from './solid';

/** An upright no farther from an end belongs to it, mm. */
export const IN_END_MM = 150;
/** Shorter ones any stud on sale bears in any wind, mm. */
const SHORT_MM = 900;

/** Upright sheet or panel across the bed: where along it, and how high. */
interface EndFace {
  readonly x: number;
  readonly topZ: number;
  readonly ys: readonly [from: number, to: number];
}

function endFaces(sheets: readonly SheetPart[], panels: readonly Panel[]): readonly EndFace[] {
  const faces = [...sheets.flatMap((s) => s.faces), ...panels.map((p) => panelFaces(p)[0])];
  return faces.flatMap((f) => {
    const xs = f.map((p) => p[0]);
    const x = Math.min(...xs);
    const ys = f.map((p) => p[1]);
    const [from, to, topZ] = [Math.min(...ys), Math.max(...ys), Math.max(...f.map((p) => p[2]))];
    return Math.max(...xs) - x < 1 ? [{ x, topZ, ys: [from, to] }] : [];
  });
}

/** Joints that hold an upright by itself: it is a post, and no stud of an end. */
const STAND_ALONE = ['post', 'wallBolt', 'wallAnchor'];

/**
 * Bars of framed ends, each with what of the end leans on it: uprights half of both bays beside them, headers half of what is over
 * them. What swings in a frame is a door, and is none of them.
 */
export function endBarsOf(
  on: Bearings,
  pieces: Pick<AssemblySpec, 'sheets' | 'panels' | 'openings' | 'joints'>,
  arches: readonly ArchRow[],
  posts: readonly PostRow[],
  runs: readonly StraightRun[],
): readonly EndBar[] {
  // Most covers have no upright that is long enough to ask.
  if (!on.straight.some((m) => isUpright(m) && lengthOf(m) > SHORT_MM)) return [];
  const faces = endFaces(pieces.sheets, pieces.panels);
  const moves = new Set(pieces.openings.flatMap((o) => o.tags));
  const joined = new Set(pieces.joints.flatMap((j) => j.tags));
  const alone = new Set([
    ...posts.flatMap((p) => p.tags),
    // What holds up a ridge or a header is a post too.
    ...runs.flatMap((run) => run.posts().flatMap((r) => r.on ?? [])),
    ...pieces.joints.filter((j) => STAND_ALONE.includes(j.kind)).flatMap((j) => j.tags),
  ]);
  const inEnds = on.straight.flatMap((m) => {
    // A lath that holds the sheet to a stud is joined to nothing else.
    if (moves.has(m.tag) || !joined.has(m.tag)) return [];
    const [end] = faces.filter((f) => Math.abs(f.x - m.shape.from[0]) < IN_END_MM).sort((a, b) => b.topZ - a.topZ);
    return end ? [{ m, end }] : [];
  });
  const uprights = inEnds.filter(({ m }) => isUpright(m));
  const edges = arches.flatMap((a) => [a.footYMm, a.footYMm + a.hoop.spanMm]);
  const studs = uprights.filter(({ m }) => !alone.has(m.tag) && lengthOf(m) > SHORT_MM);
  const bars = studs.map(({ m, end }): EndBar => {
    const y = m.shape.from[1];
    const inSameEnd = uprights.filter((u) => Math.abs(u.end.x - end.x) < IN_END_MM);
    const ys = [...(edges.length > 0 ? edges : end.ys), ...inSameEnd.map((u) => u.m.shape.from[1])];
    const [left, right] = [Math.max(...ys.filter((v) => v < y - 1)), Math.min(...ys.filter((v) => v > y + 1))];
    return {
      tag: m.tag,
      what: partName(m, 2),
      section: m.section,
      spanMm: lengthOf(m),
      loadWidthMm: (right - left) / 2,
    };
  });
  const ofStuds = new Set(studs.map(({ m }) => m.tag));
  const headers = inEnds.flatMap(({ m, end }): readonly EndBar[] => {
    const level = Math.abs(directionOf(m)[1]) > 0.999;
    const between = on.endsOn(m).every((e) => e.some((t) => ofStuds.has(t)));
    if (!level || !between) return [];
    const loadWidthMm = (end.topZ - m.shape.from[2]) / 2;
    return [{ tag: m.tag, what: partName(m, 2), section: m.section, spanMm: lengthOf(m), loadWidthMm }];
  });
  return [...bars, ...headers];
}
