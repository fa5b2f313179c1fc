import { joint } from '../../joints';
import type { Section } from '../../../catalog/types';
import { type BuildSite, stock } from '../../../site/buildSite';
import type { Vec3 } from '../../../base/geometry';
import { endsOf, piece } from '../../assembly/pieces';
import { straightRun } from '../../joints/runs';
import type { BoxPlace, Joint, Member } from '../../assembly/types';
import { boardShape } from '../../../catalog/sections';
import { type Result, fail, ok } from '../../../base/result';

const POST = '2x2 treated';
/** Less than this of a board is no strip that holds screws. */
const LEAST_STRIP_MM = 20;

/** Where it stands, and what it is built of. */
export interface BoxSite extends BoxPlace {
  readonly site: BuildSite;
  readonly board: Section;
}

export interface Box {
  readonly front: readonly Member[];
  readonly back: readonly Member[];
  readonly sides: readonly Member[];
  readonly posts: readonly Member[];
  readonly joints: readonly Joint[];
  /** Rise of the lid for each mm across. */
  readonly slope: number;
  readonly pairFromOne: boolean;
}

/** Heights of the boards of the front, from the ground: whole ones on top, what is ripped below. */
function courseHeights(frontMm: number, w: number): readonly number[] {
  const full = Math.floor(frontMm / w + 1e-4);
  const rest = frontMm - full * w;
  const whole = (count: number): readonly number[] => Array.from({ length: count }, () => w);
  if (rest < 0.5) return whole(full);
  if (rest >= LEAST_STRIP_MM || full === 0) return [rest, ...whole(full)];
  // A sliver holds no screw: two boards share what is left.
  return [(w + rest) / 2, (w + rest) / 2, ...whole(full - 1)];
}

/**
 * A box of boards, back higher than front. The lid touches the front board's outer edge and the back board's inner one,
 * so neither top needs planing. Front and back run the whole length; the sides stand between them.
 * The top course of each side tapers; both come out of one board where their two ends together are no wider than it.
 */
export function buildBox(s: BoxSite): Result<Box> {
  const { thicknessMm: t, widthMm: w } = boardShape(s.board);
  const depth = s.y1 - s.y0;
  if (depth < 2 * t + 150) return fail('board', 'The boards leave no room between them on so narrow a bed.');
  const slope = (s.backMm - s.frontMm) / (depth - t);
  if (slope < 0.05) return fail('back', 'Make the back higher than the front, so that rain and snow run off the lid.');
  if (slope > 1) return fail('back', 'The lid would be steeper than 45 degrees: lower the back or raise the front.');
  const drop = s.backMm - s.frontMm;
  if (drop > w + 0.5)
    return fail(
      'back',
      'The back may be higher than the front by no more than one board: choose a wider board, or raise the front.',
    );
  const courses = courseHeights(s.frontMm, w);
  const splices: Joint[] = [];
  const wall = (tag: string, part: string, y: number, heights: readonly number[]): readonly Member[] => {
    let bottom = s.z0;
    return heights.flatMap((high, k) => {
      // The centre line is that of the whole board; a ripped one fills only its lower part.
      const z = bottom + w / 2;
      bottom += high;
      const run = straightRun({
        tag: `${tag}${k + 1}`,
        part,
        section: s.board,
        from: [s.x0, y, z],
        to: [s.x1, y, z],
        wide: [0, 0, 1],
        hoopXs: [],
        markHoops: false,
      });
      splices.push(...run.joints);
      return run.members.map((m): Member => (high < w - 0.5 ? { ...m, taperMm: [high, high] } : m));
    });
  };
  const front = wall('A', 'Front board', s.y0 + t / 2, courses);
  const back = wall('B', 'Back board', s.y1 - t / 2, [...courses, drop]);

  const low = slope * t;
  const pairFromOne = low + drop + s.board.tool.kerfMm <= w + 0.5;
  const sides = [s.x0 + t / 2, s.x1 - t / 2].flatMap((x, i): Member[] => {
    const letter = i === 0 ? 'C' : 'D';
    let bottom = s.z0;
    const at = (): readonly [Vec3, Vec3] => [
      [x, s.y0 + t, bottom + w / 2],
      [x, s.y1 - t, bottom + w / 2],
    ];
    const whole = courses.map((high, k) => {
      const side = piece(`${letter}${k + 1}`, 'Side board', s.board, ...at(), [0, 0, 1], {
        ...(high < w - 0.5 && { taperMm: [high, high] as const }),
      });
      bottom += high;
      return side;
    });
    const taper = piece(`${letter}${courses.length + 1}`, 'Tapered side', s.board, ...at(), [0, 0, 1], {
      ends: ['taper', 'taper'],
      taperMm: [low, drop],
      ...(i === 1 && pairFromOne && { sawnFrom: `C${courses.length + 1}` }),
    });
    return [...whole, taper];
  });

  const corner = stock(s.site, POST);
  const post = boardShape(corner).thicknessMm;
  const posts = [
    { y: s.y0 + t + post / 2, high: s.frontMm - 8 },
    { y: s.y1 - t - post / 2, high: s.backMm - slope * post - 8 },
  ].flatMap(({ y, high }, j) =>
    [s.x0 + t + post / 2, s.x1 - t - post / 2].map((x, i) =>
      piece(`P${2 * j + i + 1}`, 'Corner post', corner, [x, y, s.z0], [x, y, s.z0 + high], [0, 1, 0]),
    ),
  );
  const boards = [...front, ...back, ...sides];
  return ok({
    front,
    back,
    sides,
    posts,
    slope,
    pairFromOne,
    joints: [
      ...joint(
        'buttScrew',
        'box',
        'Boards to the corner posts, two screws an end',
        [...boards, ...posts],
        endsOf(boards),
      ),
      ...splices,
    ],
  });
}
