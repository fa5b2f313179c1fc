import type { StiffSheet } from '../../catalog/types';
import { MM_PER_INCH, formatLength } from '../../base/length';
import { type Result, fail, ok } from '../../base/result';
import { inPlace } from '../assembly/pieces';
import { FLAP_FREE, VENT_UNITS } from '../../catalog/ventUnits';
import { type Flat, type Point2, type Vec3, area, clipped, outlineSize } from '../../base/geometry';
import type { Joint, Member, Panel } from '../assembly/types';
import type { Opening } from '../assembly/openings';
import { evenly, joint } from '../joints';
import { clipPlaces } from './framedSheet';

/** A plywood end of a cover, cut to the true curve of what the sheet lies on. */
interface EndSite {
  readonly tag: string;
  readonly sheet: StiffSheet;
  /** Where its face that looks along the bed stands; its thickness grows on from there. */
  readonly x: number;
  /** The line that the cover takes over it, from the left anchor over the top to the right. */
  readonly line: readonly Point2[];
  /** A vent high up or low down, a third of its width; none below one hand of height. */
  readonly vent: 'high' | 'low' | 'none';
  /** The hole that a bought unit wants, mm; a hole as the end allows when not said. */
  readonly unit?: { readonly widthMm: number; readonly heightMm: number };
  readonly part?: string;
  readonly opening?: readonly Flat[];
}

const VENT_FROM_EDGE_MM = 60;
/** Wood left round a hole, mm. */
const EDGE_OF_HOLE_MM = 20;

/** An end of plywood: flat against the end of the frame, its upper edge the true curve. */
export function plywoodEnd(s: EndSite): Panel {
  const outline = s.line.map((p): Flat => [p.y, p.z]);
  const top = s.line.reduce((best, p) => (p.z > best.z ? p : best));
  const low = Math.min(...s.line.map((p) => p.z));
  const { uMm, vMm } = outlineSize(outline);
  const wide = s.unit?.widthMm ?? Math.min(uMm * 0.3, 500);
  const high = s.unit?.heightMm ?? Math.min(vMm * 0.3, 300);
  const ventTop = s.vent === 'low' ? low + VENT_FROM_EDGE_MM + high : low + vMm - VENT_FROM_EDGE_MM - vMm * 0.08;
  const vent: readonly Flat[] = [
    [top.y - wide / 2, ventTop - high],
    [top.y + wide / 2, ventTop - high],
    [top.y + wide / 2, ventTop],
    [top.y - wide / 2, ventTop],
  ];
  return {
    tag: s.tag,
    part: s.part ?? (s.sheet.kind === 'plywood' ? 'Plywood end' : 'Clear end'),
    sheet: s.sheet,
    at: [s.x, 0, 0],
    u: [0, 1, 0],
    v: [0, 0, 1],
    outline,
    openings: [...(s.vent !== 'none' && high > 60 ? [vent] : []), ...(s.opening ? [s.opening] : [])],
    channels: s.sheet.channels ? 'v' : undefined,
    curved: true,
  };
}

/** Both firm ends of a cover, with the vents that are asked for: high in both, or louvres low in one and high in the other. */
export function rigidEndPanels(
  sheet: StiffSheet,
  line: readonly Point2[],
  [x0, x1]: readonly [number, number],
  vents: 'vents' | 'louvres' | 'none',
): Result<readonly Panel[]> {
  const place = (end: number): EndSite['vent'] =>
    vents === 'none' ? 'none' : vents === 'louvres' && end === 0 ? 'low' : 'high';
  const panels = [x0 - sheet.thicknessMm, x1].map((x, i) =>
    plywoodEnd({
      tag: `E${i + 1}`,
      sheet,
      x,
      line,
      vent: place(i),
      ...(vents === 'louvres' && { unit: VENT_UNITS.louvre }),
    }),
  );
  return vents === 'louvres' && panels.some((p) => !holdsUnit(p))
    ? fail('vents', 'The ends are too small for the hole of a louvre: make the cover higher, or take vents with flaps.')
    : ok(panels);
}

/** One row of an offset table: heights of the lower and the upper edge over a place along the base. */
interface Offset {
  readonly atMm: number;
  readonly fromMm: number;
  readonly toMm: number;
}

/**
 * Heights of an outline over its lowest level, at even steps along its width: enough to draw it full size with a tape.
 * @param stepMm distance between measured places; both ends and the highest point are always given
 */
export function offsetTable(outline: readonly Flat[], stepMm = 2 * MM_PER_INCH): readonly Offset[] {
  const us = outline.map((c) => c[0]);
  const left = Math.min(...us);
  const right = Math.max(...us);
  const base = Math.min(...outline.map((c) => c[1]));
  const top = outline.reduce((best, c) => (c[1] > best[1] ? c : best));
  const steps = Math.floor((right - left) / stepMm + 1e-6);
  const places = [...Array.from({ length: steps + 1 }, (_, i) => i * stepMm), top[0] - left, right - left];
  const sorted = [...new Set(places.map((x) => Math.round(x * 100) / 100))].sort((a, b) => a - b);
  return sorted.map((atMm) => {
    const heights = crossings(outline, left + atMm).map((z) => z - base);
    return { atMm, fromMm: Math.min(...heights), toMm: Math.max(...heights) };
  });
}

/** Whether a hole of a bought unit lies inside an end, with wood all round it. */
function holdsUnit(p: Panel): boolean {
  return p.openings.every((hole) =>
    hole.every(([u, v]) => {
      const heights = crossings(p.outline, u);
      return v > Math.min(...heights) + EDGE_OF_HOLE_MM && v < Math.max(...heights) - EDGE_OF_HOLE_MM;
    }),
  );
}

/** Where an upright line through an outline crosses its edges; nowhere where it passes by. */
function crossings(outline: readonly Flat[], u: number): readonly number[] {
  const found: number[] = [];
  outline.forEach(([u0, v0], i) => {
    const [u1, v1] = outline[(i + 1) % outline.length] ?? [u0, v0];
    if (u < Math.min(u0, u1) - 0.02 || u > Math.max(u0, u1) + 0.02) return;
    if (Math.abs(u1 - u0) < 0.02) found.push(v0, v1);
    else found.push(v0 + (v1 - v0) * Math.max(0, Math.min(1, (u - u0) / (u1 - u0))));
  });
  return found;
}

/** One printed page of a template: which part of the outline it shows, and how the pages join. */
export interface TemplatePage {
  readonly column: number;
  readonly row: number;
  readonly leftMm: number;
  readonly bottomMm: number;
}

/** Paper sizes, and the bar by which a printed page is measured, mm: a length that is easy to read off a rule sold with such paper. */
export const PAPERS = {
  letter: {
    name: 'Letter',
    widthMm: 8.5 * MM_PER_INCH,
    heightMm: 11 * MM_PER_INCH,
    barMm: 4 * MM_PER_INCH,
    unit: 'in',
  },
  a4: { name: 'A4', widthMm: 210, heightMm: 297, barMm: 100, unit: 'mm' },
} as const;
export type PaperKey = keyof typeof PAPERS;
const MARGIN_MM = 12;

/** What of a page is printed on, mm. */
export function printedArea(paper: PaperKey): { readonly widthMm: number; readonly heightMm: number } {
  const { widthMm, heightMm } = PAPERS[paper];
  return { widthMm: widthMm - 2 * MARGIN_MM, heightMm: heightMm - 2 * MARGIN_MM };
}

/** What is written over the bar of a page. */
export const barWords = (paper: PaperKey): string =>
  `${formatLength(PAPERS[paper].barMm, PAPERS[paper].unit)}: measure it before you trust the page`;

/** Pages that a panel needs at full size, its openings with it; those that no edge crosses are left out. */
export function templatePages(
  { outline, openings }: Pick<Panel, 'outline' | 'openings'>,
  paper: PaperKey,
): readonly TemplatePage[] {
  const { widthMm, heightMm } = printedArea(paper);
  const left = Math.min(...outline.map((c) => c[0]));
  const bottom = Math.min(...outline.map((c) => c[1]));
  const { uMm, vMm } = outlineSize(outline);
  const pages: TemplatePage[] = [];
  for (let row = 0; row * heightMm < vMm; row++)
    for (let column = 0; column * widthMm < uMm; column++) {
      const [u, v] = [left + column * widthMm, bottom + row * heightMm];
      const crossed = [outline, ...openings].some((ring) =>
        ring.some((p, i) => clipped(p, ring[(i + 1) % ring.length] ?? p, [u, v, u + widthMm, v + heightMm])),
      );
      if (crossed) pages.push({ column, row, leftMm: u, bottomMm: v });
    }
  return pages;
}

interface PlywoodFixing {
  readonly edge: 'guarded' | 'bare';
  readonly widthMm: number;
  /** Length of the curved edge. */
  readonly curveMm: number;
  /** What straps the end hoop to the plywood, and how many an end. */
  readonly kind: 'strap' | 'uStrap';
  readonly eachEnd: number;
}

/** Plywood ends screwed to their end boards, the end hoops strapped to them, and their edges guarded or bare. */
export function plywoodJoints(
  panels: readonly Panel[],
  endBoards: readonly Member[],
  endHoops: readonly Member[],
  f: PlywoodFixing,
): readonly Joint[] {
  if (panels.length === 0) return [];
  const edges = panels.flatMap((p) => p.outline.map((c) => inPlace(p, c)));
  const foot = panels.flatMap((p) => {
    const us = p.outline.map((c) => c[0]);
    const low = Math.min(...p.outline.map((c) => c[1]));
    return evenly(inPlace(p, [Math.min(...us), low]), inPlace(p, [Math.max(...us), low]), Math.ceil(f.widthMm / 200));
  });
  return [
    ...joint('buttScrew', 'plywood', 'Plywood to the end boards', [...panels, ...endBoards], foot, {
      with: { screw: 'screw-1-5/8', each: 1 },
    }),
    ...joint(
      f.kind,
      'end hoops',
      'End hoops to the plywood',
      [...panels, ...endHoops],
      clipPlaces(endHoops, f.eachEnd),
      { with: { holds: 'nothing' } },
    ),
    ...joint('edgeGuard', 'edges guarded', 'Over both plywood edges', panels, edges, {
      count: Math.ceil((2 * f.curveMm) / 1000),
      with: { how: f.edge },
    }),
  ];
}

/** A flap or a louvre in every opening of the ends. */
export function ventJoints(panels: readonly Panel[], kind: 'ventFlap' | 'louvre'): readonly Joint[] {
  return joint(kind, 'vents', 'In the openings of the ends', panels, panels.flatMap(ventMiddles));
}

function ventMiddles(p: Panel): readonly Vec3[] {
  return p.openings.map((o) => {
    const [us, vs] = [o.map((c) => c[0]), o.map((c) => c[1])];
    return inPlace(p, [(Math.min(...us) + Math.max(...us)) / 2, (Math.min(...vs) + Math.max(...vs)) / 2]);
  });
}

/** Vents in the ends as openings: for air alone, and louvres by themselves. */
export function ventOpenings(panels: readonly Panel[], kind: 'vents' | 'louvres' | 'none'): readonly Opening[] {
  const free = (hole: readonly Flat[]): number =>
    kind === 'louvres' ? VENT_UNITS.louvre.freeM2 : (FLAP_FREE * area(hole)) / 1e6;
  return panels.flatMap((p) =>
    ventMiddles(p).map((at, i): Opening => ({
      airM2: free(p.openings[i] ?? []),
      name: kind === 'louvres' ? 'Louvre' : 'Vent',
      by: kind === 'louvres' ? 'louvre' : 'vent',
      tags: [p.tag],
      line: [at, [at[0], at[1] + 100, at[2]]],
      travel: { deg: 80 },
      shut: ['vents'],
      open: [],
      reachedFrom: 'none',
      ...(i > 0 && { name: `Vent ${i + 1}` }),
    })),
  );
}
