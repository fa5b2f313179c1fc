/** What a check is about, in the drawing: the pieces that it judges, and the place where it goes wrong first. */
import type { Vec3 } from '../base/geometry';
import { hoopCurve } from '../build/hoop/curve';
import { memberPoints } from '../build/assembly/solids';
import type { ArchRow } from '../build/assembly/rows';
import type { Assembly } from '../build/assembly/types';
import { holdsDown } from '../build/joints';

export interface Cause {
  /** Pieces, sheets and panels that it is about, by tag. */
  readonly tags: readonly string[];
  readonly places: readonly Vec3[];
}

const NONE: Cause = { tags: [], places: [] };
type Finder = (a: Assembly) => Cause;

/** Where each hoop of a row is bent most: there its fibres stretch most, and there it folds. */
function tightest(arch: ArchRow): readonly Vec3[] {
  const curve = hoopCurve(arch.hoop, 60);
  const most = Math.max(...curve.map((p) => Math.abs(p.curvature)));
  const at = curve.filter((p) => Math.abs(p.curvature) > most * (1 - 1e-6));
  const ends = at.length > 2 ? [at[Math.floor(at.length / 2)]] : at;
  return arch.xsMm.flatMap((x) =>
    ends.flatMap((p) => (p ? [[x, arch.footYMm + p.y, arch.footZMm + p.z] as const] : [])),
  );
}

const middleOf = (a: Assembly, tags: readonly string[]): readonly Vec3[] =>
  a.members
    .filter((m) => tags.includes(m.tag))
    .flatMap((m) => {
      const points = memberPoints(m);
      const [from, to] = [points[0], points[points.length - 1]];
      return from && to ? [[(from[0] + to[0]) / 2, (from[1] + to[1]) / 2, (from[2] + to[2]) / 2] as const] : [];
    });

const pieces = (a: Assembly, tags: readonly string[]): Cause => ({ tags, places: middleOf(a, tags) });

/** Joints of some ids, and what they join. */
function joints(a: Assembly, wanted: (kind: string, id: string) => boolean): Cause {
  const found = a.joints.filter((j) => wanted(j.kind, j.id));
  return { tags: [...new Set(found.flatMap((j) => j.tags))], places: found.flatMap((j) => j.places) };
}

const openings: Finder = (a) => ({
  tags: a.openings.flatMap((o) => o.tags),
  places: a.openings.map((o) => [
    (o.line[0][0] + o.line[1][0]) / 2,
    (o.line[0][1] + o.line[1][1]) / 2,
    (o.line[0][2] + o.line[1][2]) / 2,
  ]),
});

const sheets: Finder = (a) => ({ tags: a.sheets.map((s) => s.tag), places: [] });
const hoops: Finder = (a) => ({
  tags: a.arches.flatMap((r) => r.tags),
  places: a.arches.flatMap(tightest),
});
const posts: Finder = (a) => {
  const tags = a.posts.flatMap((p) => p.tags);
  return {
    tags,
    places: a.members
      .filter((m) => tags.includes(m.tag))
      .flatMap((m) => (m.shape.kind === 'straight' ? [[m.shape.from[0], m.shape.from[1], 0] as const] : [])),
  };
};

/** Both lower ends of a sheet as the end view draws it. */
const sheetEnds: Finder = (a) => ({
  tags: a.sheets.map((s) => s.tag),
  places: a.sheets.flatMap(({ run = [] }) => [run[0], run[run.length - 1]].flatMap((p) => (p ? [p] : []))),
});

/** The upper corners of the crop at its edge rows, over the middle of the bed. */
const crop: Finder = (a) => ({
  tags: [],
  places: a.crop.rowYsMm.map((y) => [(a.reachMm[0] + a.reachMm[1]) / 2, y, a.crop.topZMm]),
});

const held: Finder = (a) => joints({ ...a, joints: a.joints.filter(holdsDown) }, () => true);

/** Checks by the first word of their id. */
const BY_ID: Readonly<Record<string, Finder>> = {
  snow: hoops,
  bend: hoops,
  bulge: hoops,
  'bare pvc': hoops,
  blown: hoops,
  drift: (a) =>
    a.arches.length > 0
      ? hoops(a)
      : pieces(
          a,
          a.beams.flatMap((b) => b.tags),
        ),
  sag: sheets,
  sail: sheets,
  wear: sheets,
  'no uv': sheets,
  'white film': sheets,
  'huge sheet': sheets,
  insects: sheets,
  sheet: sheetEnds,
  staples: (a) => joints(a, (kind) => kind === 'staple'),
  rail: (a) =>
    pieces(
      a,
      a.pushedRails.map((r) => r.tag),
    ),
  post: posts,
  end: (a) =>
    pieces(
      a,
      a.endBars.map((b) => b.tag),
    ),
  lift: (a) =>
    pieces(
      a,
      a.moving.flatMap((m) => m.memberTags),
    ),
  opener: openings,
  'latched opener': openings,
  'screen and arm': openings,
  'way in': sheets,
  latch: (a) => joints(a, (kind) => kind === 'latch'),
  stay: (a) => joints(a, (kind) => kind === 'stay'),
  wind: held,
  push: held,
  crop,
  vents: openings,
  cooks: openings,
  animals: openings,
  span: (a) => ({ tags: a.panels.map((p) => p.tag), places: [] }),
};

/**
 * What a check points at; nothing where it is about no piece.
 * @param id the id of the check
 */
export function causeOf(a: Assembly, id: string): Cause {
  if (id.startsWith('beam ')) {
    const row = a.beams.find((b) => id === `beam ${b.what}`);
    return row ? pieces(a, row.tags) : NONE;
  }
  if (id.startsWith('sleeve ')) return joints(a, (_, j) => j === 'feet');
  const found = BY_ID[id] ?? BY_ID[id.split(' ')[0] ?? ''];
  return found?.(a) ?? NONE;
}
