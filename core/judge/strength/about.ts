/** What checks are about, in the drawing: the pieces they judge, and the places where these go wrong first. */
import type { Vec3 } from '../../base/geometry';
import { memoizeByIdentity } from '../../base/memoize';
import type { MovingPart, Opening } from '../../cover/assembly/openings';
import type { ArchRow } from '../../cover/assembly/rows';
import { memberPoints } from '../../cover/assembly/solids';
import type { Assembly, Joint, Member, SheetPart } from '../../cover/assembly/types';
import { hoopCurve } from '../../cover/hoop/curve';
import { holdsDown } from '../../cover/joints';
import type { About } from './check';

const middle = (from: Vec3, to: Vec3): Vec3 => [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2, (from[2] + to[2]) / 2];

/** Where each hoop of a row is bent most: there its fibres stretch most, and there it folds. */
function tightest(arch: ArchRow): readonly Vec3[] {
  const curve = hoopCurve(arch.hoop, 60);
  const most = Math.max(...curve.map((p) => Math.abs(p.curvature)));
  const at = curve.filter((p) => Math.abs(p.curvature) >= most * (1 - 1e-6));
  const ends = at.length > 2 ? [at[Math.floor(at.length / 2)]] : at;
  return arch.xsMm.flatMap((x) =>
    ends.flatMap((p) => (p ? [[x, arch.footYMm + p.y, arch.footZMm + p.z] as const] : [])),
  );
}

const rows = memoizeByIdentity<About>();

/** The hoops of a row, each where it is bent most. */
export const aboutHoops = (arch: ArchRow): About => rows(arch, [], () => ({ tags: arch.tags, places: tightest(arch) }));

/** Members, each at its middle. */
export const aboutMembers = (members: readonly Member[]): About => ({
  tags: members.map((m) => m.tag),
  places: members.flatMap((m) => {
    const points = memberPoints(m);
    const [from, to] = [points[0], points[points.length - 1]];
    return from && to ? [middle(from, to)] : [];
  }),
});

/** The members of some tags, each at its middle. */
export const aboutTags = ({ members }: Pick<Assembly, 'members'>, tags: readonly string[]): About =>
  aboutMembers(members.filter((m) => tags.includes(m.tag)));

/** What joints join, at their places. */
export const aboutJoints = (joints: readonly Joint[]): About => ({
  tags: [...new Set(joints.flatMap((j) => j.tags))],
  places: joints.flatMap((j) => j.places),
});

/** All that holds a cover down; the whole of it where nothing does. */
export function aboutHolds(a: Assembly): About {
  const holds = a.joints.filter(holdsDown);
  return holds.length > 0 ? aboutJoints(holds) : aboutAll(a);
}

/** What opens, at the middle of the line that it turns about or moves along. */
export const aboutOpenings = (openings: readonly Opening[]): About => ({
  tags: openings.flatMap((o) => o.tags),
  places: openings.map((o) => middle(...o.line)),
});

/** What lets air out; the whole cover where nothing does. */
export const aboutAir = (a: Assembly): About => (a.openings.length > 0 ? aboutOpenings(a.openings) : aboutAll(a));

/** A part that moves, all of it. */
export const aboutMoving = (a: Pick<Assembly, 'members'>, { memberTags, sheetTags, panelTags }: MovingPart): About => {
  const members = aboutTags(a, memberTags);
  return { ...members, tags: [...members.tags, ...sheetTags, ...panelTags] };
};

/** Posts, where they go into the ground. */
export const aboutFeet = ({ members }: Pick<Assembly, 'members'>, tags: readonly string[]): About => ({
  tags,
  places: members
    .filter((m) => tags.includes(m.tag))
    .flatMap((m) => (m.shape.kind === 'straight' ? [[m.shape.from[0], m.shape.from[1], 0] as const] : [])),
});

/** What has a tag and is drawn as a face, with no place that is worse than another. */
export const aboutFaces = (faces: readonly { readonly tag: string }[]): About => ({
  tags: faces.map((f) => f.tag),
  places: [],
});

/** The whole cover. */
export const aboutAll = ({ members, sheets, panels, blocks }: Assembly): About =>
  aboutFaces([...members, ...sheets, ...panels, ...blocks]);

/** Both lower ends of sheets, as the end view draws them. */
export const aboutEdges = (sheets: readonly SheetPart[]): About => ({
  tags: sheets.map((s) => s.tag),
  places: sheets.flatMap(({ run = [] }) => [run[0], run[run.length - 1]].flatMap((p) => (p ? [p] : []))),
});

/** The upper corners of the crop at its edge rows, over the middle of the bed. */
export const aboutCrop = ({ crop, reachMm }: Pick<Assembly, 'crop' | 'reachMm'>): About => ({
  tags: [],
  places: crop.rowYsMm.map((y) => [(reachMm[0] + reachMm[1]) / 2, y, crop.topZMm]),
});
