/** What hoops stand on: rails that they push apart and load, and posts. */
import type { Vec3 } from '../../base/geometry';
import { thicknessMm } from '../../catalog/sections';
import type { ArchRow, BeamRow, PostRow, PushedRail } from '../assembly/rows';
import type { Joint } from '../assembly/types';
import type { Pieces } from './arches';
import { bendingSide, partName } from './bars';
import { type Bearings, type Rest, freeSpan } from './bearing';
import { type StraightRun, joinedTo } from './runs';
import { type Straight, directionOf, isIn, isStraight, isUpright } from './solid';

/** A foot is strapped or screwed no farther from its rail or post than its own thickness and this, mm. */
const BESIDE_MM = 12;

const feetOf = ({ xsMm, footYMm, footZMm, hoop }: ArchRow): readonly Vec3[] =>
  xsMm.flatMap((x) => [footYMm, footYMm + hoop.spanMm].map((y): Vec3 => [x, y, footZMm]));

/** Runs that the feet of hoops are joined to. */
export function railsUnder(arch: ArchRow, { runs, joints, on }: Pieces): readonly StraightRun[] {
  const joined = joinedTo(arch.tags, joints);
  const feet = feetOf(arch);
  const slackMm = thicknessMm(arch.section) + BESIDE_MM;
  return runs.filter((run) =>
    run.pieces.some((p) => {
      const solid = joined(p.tag) ? on.solid(p.tag) : undefined;
      return solid ? feet.some((foot) => isIn(solid, foot, slackMm)) : false;
    }),
  );
}

/** Where a run cannot give sideways: at pieces across the bed that it meets, and at posts. */
function heldAt(run: StraightRun, on: Bearings): readonly number[] {
  const own = new Set(run.pieces.map((p) => p.tag));
  const meets = new Set(run.pieces.flatMap((p) => on.endsOn(p).flat()));
  return on.straight.flatMap((m) => {
    const across = Math.abs(directionOf(m)[1]) > 0.9;
    const holds = across
      ? meets.has(m.tag) || on.endsOn(m).some((end) => end.some((t) => own.has(t)))
      : isUpright(m) && run.joined(m.tag) && !own.has(m.tag);
    return holds ? [m.shape.from[0]] : [];
  });
}

/**
 * Rails that sprung hoops push apart, the ones that give most: from where they are held to where they are held next.
 * @param under the runs that its feet are joined to
 */
export function pushedBy(arch: ArchRow, under: readonly StraightRun[], on: Bearings): readonly PushedRail[] {
  if (!arch.sprung) return [];
  const rails = under.map((run): PushedRail => {
    const xs = [...new Set(heldAt(run, on))].sort((a, b) => a - b);
    const [piece] = run.pieces;
    return {
      tags: run.pieces.map((p) => p.tag),
      section: piece.section,
      // The push is level: it bends an upright board by its thickness.
      across: bendingSide(piece) === 'width' ? 'thickness' : 'width',
      freeLengthMm: xs.length > 1 ? Math.max(...xs.slice(1).map((x, i) => x - (xs[i] ?? x))) : run.toX - run.fromX,
      pushesAtMm: arch.spacingMm,
      ...(piece.asked && { asked: piece.asked }),
    };
  });
  const [most] = [...rails].sort((a, b) => b.freeLengthMm - a.freeLengthMm);
  return most ? [{ ...most, tags: rails.flatMap((r) => r.tags) }] : [];
}

/** Rails that carry hoops between posts: each bears half of what lies over the hoops. */
export function ladenRails(arch: ArchRow, under: readonly StraightRun[], on: Bearings): readonly BeamRow[] {
  const rails = under.flatMap((run) => {
    const spanMm = run.liesAlong() ? undefined : freeSpan(run.toX - run.fromX, postsAt(run, on));
    return spanMm === undefined ? [] : [{ run, spanMm }];
  });
  const [worst] = [...rails].sort((a, b) => b.spanMm - a.spanMm);
  if (!worst) return [];
  const [piece] = worst.run.pieces;
  return [
    {
      tags: rails.flatMap(({ run }) => run.pieces.map((p) => p.tag)),
      what: partName(piece, rails.length),
      section: piece.section,
      across: bendingSide(piece),
      spanMm: worst.spanMm,
      loadWidthMm: arch.hoop.spanMm / 2,
      slopeDeg: 0,
      gable: true,
      ...(piece.asked && { asked: piece.asked }),
    },
  ];
}

/** Uprights under a run, and those it is joined to the side of, from its start. */
function postsAt(run: StraightRun, on: Bearings): readonly Rest[] {
  return on.straight
    .filter((m) => isUpright(m) && run.joined(m.tag))
    .map((m) => m.shape.from[0] - run.fromX)
    .sort((a, b) => a - b)
    .map((mm) => ({ from: mm, to: mm }));
}

/** Pieces whose middles are nearer than this are one post, mm. */
const POST_MM = 60;
/** Joints that hold a post up. */
const SETS = ['post', 'wallBolt'];

/** Posts that hoops stand on, by themselves or by a rail between. */
export function postsUnder(
  arch: ArchRow,
  under: readonly StraightRun[],
  { joints, members }: Pieces,
  worth: { readonly endM2: number; readonly boltN: number },
): readonly PostRow[] {
  const set = joints.filter((j) => SETS.includes(j.kind));
  const rails = under.flatMap((run) => run.pieces.map((p) => p.tag));
  const carries = joinedTo([...arch.tags, ...rails], joints);
  const posts = members.filter(
    (m): m is Straight => isStraight(m) && isUpright(m) && carries(m.tag) && set.some((j) => j.tags.includes(m.tag)),
  );
  const [post] = posts;
  const how = set.find((j) => post && j.tags.includes(post.tag));
  if (!post || !how) return [];
  const topMm = Math.max(...posts.map((m) => Math.max(m.shape.from[2], m.shape.to[2])));
  const xs = posts
    .map((m) => m.shape.from[0])
    .sort((a, b) => a - b)
    .filter((x, i, all) => i === 0 || x - (all[i - 1] ?? x) > 2 * POST_MM);
  const [px, py] = post.shape.from;
  const nailed = posts.filter((m) => Math.hypot(m.shape.from[0] - px, m.shape.from[1] - py) < POST_MM).length;
  const standing = new Set(posts.map((m) => m.tag));
  const braces = members.filter(
    (m) =>
      isStraight(m) && isBrace(m) && joints.some((j) => j.tags.includes(m.tag) && j.tags.some((t) => standing.has(t))),
  );
  return [
    {
      tags: posts.map((m) => m.tag),
      nailed,
      across: Math.abs(post.shape.wide[1]) > 0.7 ? 'width' : 'thickness',
      section: post.section,
      depthMm: Math.max(0, -Math.min(post.shape.from[2], post.shape.to[2])),
      aboveMm: topMm,
      set: how.with?.['set'] === 'driven' ? 'driven' : 'dug',
      ...(how.kind === 'wallBolt' && { bolts: boltsOf(how, worth.boltN) }),
      spacingMm:
        rails.length > 0 ? ((xs[xs.length - 1] ?? 0) - (xs[0] ?? 0)) / Math.max(1, xs.length - 1) : arch.spacingMm,
      crownMm: arch.footZMm + arch.hoop.heightMm,
      endM2: worth.endM2,
      braces: braces.length,
      ...(post.asked && { asked: post.asked }),
    },
  ];
}

/** Neither upright nor level, along the house. */
const isBrace = (m: Straight): boolean => {
  const [x, y, z] = directionOf(m).map(Math.abs) as [number, number, number];
  return x > 0.1 && z > 0.1 && y < 0.1;
};

/** Two bolts through each post: how far apart, and the lower one above the ground. */
function boltsOf({ places }: Joint, eachN: number): NonNullable<PostRow['bolts']> {
  const zs = places.map((p) => p[2]);
  const lowMm = Math.min(...zs);
  return { apartMm: Math.max(...zs) - lowMm, lowMm, eachN };
}
