/** Rows of hoops and frames of pipe, with what goes inside them and what joins their crowns. */
import { type Vec3, distance } from '../../base/geometry';
import { grouped } from '../../base/grouped';
import { depthMm, thicknessMm } from '../../catalog/sections';
import type { Section } from '../../catalog/types';
import type { ArchRow, Ridge } from '../assembly/rows';
import type { Bow, Joint, Member, SheetPart } from '../assembly/types';
import { type Bearings, freeSpan } from './bearing';
import { type StraightRun, joinedTo } from './runs';
import { isStraight } from './solid';

const xOf = (m: Member): number => (m.shape.kind === 'curve' ? (m.shape.points[0]?.[0] ?? 0) : m.shape.from[0]);

/** What runs under or over the crowns no farther off than its own depth and this, mm. */
const AT_CROWN_MM = 40;

/** What stands round a row of hoops. */
export interface Pieces {
  readonly members: readonly Member[];
  /** Joints of pieces to pieces: none of a cover. */
  readonly joints: readonly Joint[];
  readonly runs: readonly StraightRun[];
  readonly on: Bearings;
}

/** Hoops of one row: the pieces of all, and the bow that they are bent to or put together to. */
interface HoopRow {
  readonly bow: Bow;
  readonly pieces: readonly [Member, ...Member[]];
  readonly xs: readonly number[];
}

/** Rows by the bow that their pieces say they are of. */
export function rowsOf(members: readonly Member[]): readonly HoopRow[] {
  const bowed = members.flatMap((m) => (m.bow ? [{ m, bow: m.bow }] : []));
  return grouped(bowed, (x) => x.bow).map(([first, ...rest]) => {
    const pieces = [first.m, ...rest.map((x) => x.m)] as const;
    return { bow: first.bow, pieces, xs: [...new Set(pieces.map(xOf))].sort((a, b) => a - b) };
  });
}

/** What lies inside a hoop from foot to foot: a piece bent alike in the same place. */
function coreIn([hoop]: HoopRow['pieces'], members: readonly Member[]): Member | undefined {
  const crownOf = ({ shape }: Member): Vec3 | undefined =>
    shape.kind === 'curve' ? shape.points[Math.floor(shape.points.length / 2)] : undefined;
  const crown = crownOf(hoop);
  return members.find((m) => {
    const at = m.bow ? undefined : crownOf(m);
    return at && crown ? distance(at, crown) < 1 : false;
  });
}

/** What joins the crowns of hoops: a run that stands on uprights carries, one in one piece shares, all else keeps them apart. */
function ridgeOf(bow: Bow, section: Section, joined: (tag: string) => boolean, { runs, joints }: Pieces): Ridge {
  const [y, z] = [bow.footYMm + bow.hoop.spanMm / 2, bow.footZMm + bow.hoop.heightMm];
  const near = thicknessMm(section) + AT_CROWN_MM;
  const at = runs.filter(
    (r) =>
      Math.abs(r.y - y) < near &&
      Math.abs(r.z - z) < near + depthMm(r.pieces[0].section, 'width') &&
      r.pieces.some((p) => joined(p.tag)),
  );
  for (const run of at) {
    // Between the middles of its posts.
    const middles = run.posts().map(({ from, to }) => ({ from: (from + to) / 2, to: (from + to) / 2 }));
    const spanMm = freeSpan(run.toX - run.fromX, middles);
    if (spanMm !== undefined) return { kind: 'posted', section: run.pieces[0].section, spanMm };
  }
  const [first] = at;
  if (first) return first.pieces.length === 1 ? { kind: 'tied', section: first.pieces[0].section } : { kind: 'tied' };
  return joints.some((j) => j.kind === 'rope' && j.tags.some(joined)) ? { kind: 'tied' } : { kind: 'none' };
}

/** A row of hoops, or of frames of straight pipe, as strength is judged by it. */
export function archRow({ bow, pieces, xs }: HoopRow, all: Pieces): ArchRow {
  const [first = 0, last = 0] = [xs[0], xs[xs.length - 1]];
  const core = coreIn(pieces, all.members);
  const { section } = pieces[0];
  const tags = pieces.map((m) => m.tag);
  return {
    ...(pieces.every(isStraight) && { what: 'Frames' }),
    tags,
    section,
    ...(core && { core: core.section }),
    ...bow,
    xsMm: xs,
    spacingMm: (last - first) / (xs.length - 1),
    cutMm: pieces.filter((m) => xOf(m) === first).reduce((sum, m) => sum + m.lengthMm, 0),
    ridge: ridgeOf(bow, section, joinedTo(tags, all.joints), all),
  };
}

/** Mesh bent over a bed: each of its wires across is a hoop, and those along keep them apart. */
export function meshArches(sheets: readonly SheetPart[], all: Pieces): readonly ArchRow[] {
  const meshes = sheets.filter((s) => s.wires);
  const wires = meshes[0]?.wires;
  if (!wires) return [];
  const { section, everyMm, cutMm, bow } = wires;
  const xs = meshes.flatMap((m) => m.faces.flatMap((f) => f.map((p) => p[0])));
  const tags = meshes.map((m) => m.tag);
  const ridge = ridgeOf(bow, section, joinedTo(tags, all.joints), all);
  return [
    {
      what: 'Wires',
      tags,
      section,
      ...bow,
      xsMm: [Math.min(...xs), Math.max(...xs)],
      spacingMm: everyMm,
      cutMm,
      ridge: ridge.kind === 'posted' ? ridge : { kind: 'tied' },
    },
  ];
}
