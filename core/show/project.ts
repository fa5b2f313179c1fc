import { blockCorners, boardCorners, memberPoints, panelFaces } from '../cover/assembly/solids';
import { type Flat, type Vec3, type View, area, flatten, hull, wrapped } from '../base/geometry';
import type { Bed } from '../site/bed';
import type { Survey } from '../site/survey';
import { tubeShape } from '../catalog/sections';
import type { Assembly, Member, Panel } from '../cover/assembly/types';

/** What a shape on paper stands for; the drawing chooses its look by this. */
export type Stuff =
  | 'timber'
  | 'pipe'
  | 'rod'
  | 'film'
  | 'film line'
  | 'mesh'
  | 'plywood'
  | 'glazing'
  | 'opening'
  | 'straw'
  | 'wall'
  | 'soil';

/** One shape of a drawing. A line has a true width; an area has none. */
export interface Drawn {
  readonly stuff: Stuff;
  readonly tag: string;
  /** Pieces that lie exactly behind it. */
  readonly behind?: readonly string[];
  readonly points: readonly Flat[];
  /** True width of a pipe drawn along its points; undefined for areas. */
  readonly widthMm: number | undefined;
}

/** A sheet is drawn thicker than it is, so that its line is seen. */
const LINE_MM = 4;

/** Nobody sees a line leave its way by so little, mm. */
const UNSEEN_MM = 0.3;

/**
 * A line without the points that lie on its way: seen from the side a hoop is straight. Every point passed over leaves a cone of ways that
 * it lies on, narrower the further off it is (J. Sklansky and V. Gonzalez, Pattern Recognition 12, 1980).
 */
export function thinned(points: readonly Flat[]): readonly Flat[] {
  const [first] = points;
  if (!first) return [];
  const kept = [first];
  let from = first;
  let last: Flat | undefined;
  // The cone about the way to the first of them, and how far off the furthest is.
  let [towards, low, high, far] = [NaN, 0, 0, 0];
  for (const p of points.slice(1)) {
    const [dx, dy] = [p[0] - from[0], p[1] - from[1]];
    const turn = Number.isNaN(towards) ? 0 : wrapped(Math.atan2(dy, dx) - towards);
    if (last && (Math.hypot(dx, dy) < far - UNSEEN_MM || turn < low || turn > high)) {
      kept.push(last);
      from = last;
      [towards, far] = [NaN, 0];
    }
    last = p;
    const [ex, ey] = [p[0] - from[0], p[1] - from[1]];
    const off = Math.hypot(ex, ey);
    far = Math.max(far, off);
    if (off <= UNSEEN_MM) continue;
    const wide = Math.asin(UNSEEN_MM / off);
    if (Number.isNaN(towards)) [towards, low, high] = [Math.atan2(ey, ex), -wide, wide];
    else {
      const at = wrapped(Math.atan2(ey, ex) - towards);
      [low, high] = [Math.max(low, at - wide), Math.min(high, at + wide)];
    }
  }
  if (last) kept.push(last);
  return kept;
}

/** How near a point is to whoever looks. */
const DEPTH: Readonly<Record<View, (p: Vec3) => number>> = {
  end: ([x]) => -x,
  side: ([, y]) => -y,
  plan: ([, , z]) => z,
};

function drawMember(member: Member, view: View): Drawn {
  const s = member.section;
  const flat = (p: Vec3): Flat => flatten(p, view);
  if (s.shape.kind === 'board')
    return { stuff: 'timber', tag: member.tag, points: hull(boardCorners(member).map(flat)), widthMm: undefined };
  const rod = s.material.behaviour.kind !== 'plastic' && tubeShape(s).insideMm === 0;
  return {
    stuff: rod ? 'rod' : 'pipe',
    tag: member.tag,
    points: thinned(memberPoints(member).map(flat)),
    widthMm: tubeShape(s).outsideMm,
  };
}

function drawPanel(p: Panel, view: View): readonly Drawn[] {
  const flat = (p: Vec3): Flat => flatten(p, view);
  const stuff = p.sheet.kind;
  const [near, far] = panelFaces(p);
  const face = near.map(flat);
  // Seen on its face a panel shows its outline; seen on edge, its thickness.
  const broad = area(face) > 100;
  const points = broad ? face : hull([...near, ...far].map(flat));
  const openings = broad
    ? p.openings.map((o): Drawn => ({
        stuff: 'opening',
        tag: p.tag,
        points: panelFaces(p, o)[0].map(flat),
        widthMm: undefined,
      }))
    : [];
  return [{ stuff, tag: p.tag, points, widthMm: undefined }, ...openings];
}

function bedShapes(bed: Bed, survey: Survey, view: View): Drawn[] {
  const { lengthMm, widthMm } = survey.frameOn;
  const { heightMm: h, thicknessMm: t } = bed.wall;
  const area = (stuff: Stuff, points: readonly Flat[]): Drawn => ({ stuff, tag: '', points, widthMm: undefined });
  const box = (stuff: Stuff, u0: number, v0: number, u1: number, v1: number): Drawn =>
    area(stuff, [
      [u0, v0],
      [u1, v0],
      [u1, v1],
      [u0, v1],
    ]);
  const soilTop = h - bed.soilBelowRimMm;
  switch (view) {
    case 'end':
      return [
        box('soil', t, 0, widthMm - t, soilTop),
        box('wall', 0, 0, t, h),
        box('wall', widthMm - t, 0, widthMm, h),
      ];
    case 'side':
      return [box('wall', 0, 0, lengthMm, h)];
    case 'plan': {
      const c = survey.corners;
      const outer = [c.nearLeft, c.nearRight, c.farRight, c.farLeft].map((p): Flat => [p.x, p.y]);
      const middle: Flat = [outer.reduce((s, p) => s + p[0], 0) / 4, outer.reduce((s, p) => s + p[1], 0) / 4];
      const inner = outer.map(([u, v]): Flat => [u + Math.sign(middle[0] - u) * t, v + Math.sign(middle[1] - v) * t]);
      return [area('wall', outer), area('soil', inner)];
    }
  }
}

/** Shapes without those that others cover exactly, whose tags these keep. */
function drawnOnce(shapes: readonly Drawn[]): readonly Drawn[] {
  const seen = new Map<string, { readonly shape: Drawn; readonly behind: Set<string> }>();
  for (const d of shapes) {
    const key = `${d.stuff}${d.points.map(([u, v]) => `${Math.round(u)},${Math.round(v)}`).join(' ')}`;
    const known = seen.get(key);
    if (!known) seen.set(key, { shape: d, behind: new Set() });
    else if (d.tag !== known.shape.tag) known.behind.add(d.tag);
  }
  return [...seen.values()].map(({ shape, behind }) => (behind.size > 0 ? { ...shape, behind: [...behind] } : shape));
}

/** Whether a shape stands for one of some pieces. */
export const showsOneOf = ({ tag, behind = [] }: Drawn, tags: ReadonlySet<string>): boolean =>
  tags.has(tag) || behind.some((b) => tags.has(b));

/** Everything in a view, far things first, each shape once. */
export function drawAssembly(assembly: Assembly, bed: Bed, survey: Survey, view: View): readonly Drawn[] {
  const depth = DEPTH[view];
  const flat = (p: Vec3): Flat => flatten(p, view);
  const nearest = (points: readonly Vec3[]): number =>
    points.reduce((sum, p) => sum + depth(p), 0) / Math.max(1, points.length);
  // From the end each face shows; from the side and above only the outline of a sheet does.
  const films = assembly.sheets.flatMap((sheet): Drawn[] => {
    const mesh = sheet.cover.kind === 'mesh';
    const faces = sheet.faces.map((face) => face.map(flat));
    const whole = [hull(faces.flat())];
    // A sheet that is open at its ends shows from there only as the line it takes.
    const seen = view === 'end' && faces.some((f) => area(f) > 100) ? faces : whole;
    const outlines = mesh ? faces : seen;
    return outlines.map((points) => ({ stuff: mesh ? 'mesh' : 'film', tag: sheet.tag, points, widthMm: undefined }));
  });
  const lines = assembly.sheets.flatMap((sheet): Drawn[] => {
    const points = view === 'end' ? (sheet.run ?? []).map(flat) : [];
    return points.length > 1 ? [{ stuff: 'film line', tag: sheet.tag, points, widthMm: LINE_MM }] : [];
  });
  const [from, to] = assembly.reachMm;
  const pieces = [
    ...assembly.members.map((m) => ({ at: nearest(memberPoints(m)), drawn: [drawMember(m, view)] })),
    ...assembly.panels.map((p) => ({ at: nearest(panelFaces(p)[0]), drawn: drawPanel(p, view) })),
    // From the end the bales beyond the covered length would only hide it.
    ...assembly.blocks
      .filter((b) => view !== 'end' || (b.high[0] > from + 1 && b.low[0] < to - 1))
      .map((b) => ({
        at: nearest(blockCorners(b)),
        drawn: [{ stuff: 'straw' as const, tag: b.tag, points: hull(blockCorners(b).map(flat)), widthMm: undefined }],
      })),
  ];
  const film = drawnOnce(films.filter((d) => area(d.points) > 100));
  const sorted = drawnOnce(pieces.sort((a, b) => a.at - b.at).flatMap((m) => m.drawn));
  const bedDrawn = bedShapes(bed, survey, view);
  // From the side the near wall hides what stands inside the bed.
  return view === 'side' ? [...film, ...sorted, ...bedDrawn] : [...bedDrawn, ...film, ...sorted, ...lines];
}

/** Smallest rectangle around shapes, mm. */
export function bounds(shapes: readonly Drawn[]): {
  readonly u0: number;
  readonly v0: number;
  readonly u1: number;
  readonly v1: number;
} {
  let [u0, v0, u1, v1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const shape of shapes)
    for (const [u, v] of shape.points) {
      const r = (shape.widthMm ?? 0) / 2;
      u0 = Math.min(u0, u - r);
      v0 = Math.min(v0, v - r);
      u1 = Math.max(u1, u + r);
      v1 = Math.max(v1, v + r);
    }
  return { u0, v0, u1, v1 };
}

/** Tags over what stands crosswise, seen from the side: one at each place along the bed, on its highest point. */
export function standingTags(a: Assembly): readonly { readonly tag: string; readonly at: Flat }[] {
  // A row of hoops or legs is what one counts along the bed; only what has none is named by what stands highest.
  const rows = new Set([...a.arches, ...a.beams].flatMap((r) => r.tags));
  const places = new Map<number, { tag: string; at: Flat }>();
  for (const m of a.members) {
    const points = memberPoints(m);
    const xs = points.map((p) => p[0]);
    const low = Math.min(...xs);
    if (Math.max(...xs) - low > 60) continue;
    const z = Math.max(...points.map((p) => p[2]));
    const key = Math.round(low / 40);
    const known = places.get(key);
    const before =
      known && rows.has(known.tag) !== rows.has(m.tag) ? rows.has(m.tag) : z > (known?.at[1] ?? -Infinity) + 1;
    if (before) places.set(key, { tag: m.tag, at: [low, z] });
  }
  const all = [...places.values()];
  const top = Math.max(0, ...all.map((p) => p.at[1]));
  const high = all.filter((p) => p.at[1] > top * 0.6);
  const inRows = high.filter((p) => rows.has(p.tag));
  return inRows.length > 1 ? inRows : high;
}

/** The shapes of a view, and the paper that they need. */
export interface ViewFrame {
  readonly shapes: readonly Drawn[];
  readonly widthMm: number;
  readonly heightMm: number;
  /** Left and upper edge on the paper. */
  readonly u0: number;
  readonly v1: number;
}

/** What a view of an assembly shows. */
export function viewFrame(assembly: Assembly, bed: Bed, survey: Survey, view: View): ViewFrame {
  const shapes = drawAssembly(assembly, bed, survey, view);
  const b = bounds(shapes);
  return { shapes, widthMm: b.u1 - b.u0, heightMm: b.v1 - b.v0, u0: b.u0, v1: b.v1 };
}
