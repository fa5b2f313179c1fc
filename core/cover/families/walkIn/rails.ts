/** Boards from post to post along both sides of a house, that carry the hoops: few posts, and few holes to dig. */
import { type Result, fail, ok } from '../../../base/result';
import { boardShape } from '../../../catalog/sections';
import type { Section } from '../../../catalog/types';
import { type BuildSite, stock } from '../../../site/buildSite';
import { piece } from '../../assembly/pieces';
import type { CountAsked } from '../../assembly/rows';
import type { Joint, Member } from '../../assembly/types';
import { hoopMark, straightRun } from '../../joints/runs';
import type { WalkInAnswers } from './answers';

/** Posts stand no farther apart than this where their number is not said, mm: what a 2x6 carries in most gardens. */
const POSTS_APART_MM = 2440;
const BLOCK = '2x4 treated';
/** A block under a rail: as long as four screws need, and no shorter where a base board stands below it, mm. */
const BLOCK_MM = 200;
const LEAST_BLOCK_MM = 90;

/** The hoops beside which posts stand: the first, the last, and as many evenly between as are asked for. */
export function hoopsAtPosts(a: Pick<WalkInAnswers, 'railPosts'>, xs: readonly number[]): readonly number[] {
  const last = xs.length - 1;
  const long = (xs[last] ?? 0) - (xs[0] ?? 0);
  const count = Math.min(xs.length, a.railPosts ?? Math.max(2, Math.ceil(long / POSTS_APART_MM) + 1));
  return Array.from({ length: count }, (_, i) => Math.round((last * i) / (count - 1)));
}

/** The question that counts the posts of a side, as they are now: more of them shorten the rails between. */
export const askedPosts = (now: number): CountAsked => ({
  id: 'railPosts',
  now,
  words: ['post a side', 'posts a side'],
});

interface RailPlace {
  /** From where to where along the house, and where hoops stand. */
  readonly x0: number;
  readonly x1: number;
  readonly xs: readonly number[];
  /** Middle of the posts along the house. */
  readonly postXs: readonly number[];
  /** Middle of the rail of each side, and its top. */
  readonly ys: readonly [number, number];
  readonly topZ: number;
  /** Top of the board on the ground below. */
  readonly baseZ: number;
}

interface SideRails {
  readonly rails: readonly Member[];
  readonly blocks: readonly Member[];
  /** Splices of rails that no bar is long enough for. */
  readonly joints: readonly Joint[];
}

/** A rail on edge outside the posts of each side, on a block at every post; hoops are strapped to its inner face. */
export function sideRails(rail: Section, at: RailPlace, site: BuildSite): Result<SideRails> {
  const { widthMm } = boardShape(rail);
  const footZ = at.topZ - widthMm;
  const blockMm = Math.min(BLOCK_MM, footZ - at.baseZ);
  if (blockMm < LEAST_BLOCK_MM)
    return fail(
      'sidewall',
      'A side rail needs room for its blocks over the base board: raise the sidewall, or take a narrower rail.',
    );
  const { postXs } = at;
  const block = stock(site, BLOCK);
  const asked = askedPosts(postXs.length);
  const runs = at.ys.map((y, k) =>
    straightRun(`B${k + 1}`, 'Side rail', rail, [at.x0, at.x1], [y, at.topZ - widthMm / 2], [0, 0, 1], {
      // A joint of the rail falls on a post.
      xs: postXs,
    }),
  );
  const marked = (m: Member): Member => {
    const from = m.shape.kind === 'straight' ? m.shape.from[0] : 0;
    const marks = at.xs.flatMap((x, i) =>
      x >= from - 0.5 && x <= from + m.lengthMm + 0.5 ? [{ atMm: x - from, label: hoopMark(i) }] : [],
    );
    return { ...m, marks, asked };
  };
  return ok({
    rails: runs.flatMap((run) => run.members.map(marked)),
    blocks: postXs.flatMap((x, i) =>
      at.ys.map((y, k) =>
        piece(`Y${2 * i + k + 1}`, 'Rail block', block, [x, y, footZ - blockMm], [x, y, footZ], [1, 0, 0]),
      ),
    ),
    joints: runs.flatMap((run) => run.joints),
  });
}
