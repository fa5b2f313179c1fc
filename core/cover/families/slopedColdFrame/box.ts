import { joint } from '../../joints';
import type { Section } from '../../../catalog/types';
import { type BuildSite, stock } from '../../../site/buildSite';
import { endsOf, piece } from '../../assembly/pieces';
import { straightRun } from '../../joints/runs';
import type { BoxPlace, Joint, Member } from '../../assembly/types';
import { MM_PER_INCH } from '../../../base/length';
import { boardShape } from '../../../catalog/sections';
import { type Made, fail, ok } from '../../../base/result';

const POST = '2x2 treated';
/** Less than this of a board is no strip that holds screws. */
const LEAST_STRIP_MM = 20;
/** A taper that runs out thinner than this splits. */
const LEAST_TAPER_MM = MM_PER_INCH;

/** Where it stands, and what it is built of. */
interface BoxSite extends BoxPlace {
  readonly site: BuildSite;
  /** Of the back and the sides; and of the front. */
  readonly board: Section;
  readonly frontBoard: Section;
}

export type SlopedBox = Made<typeof buildBox>;

/** Heights of the boards of a wall, from the ground: one that reaches; else whole ones on top, and what is ripped below. */
function courseHeights(highMm: number, w: number): readonly number[] {
  const full = Math.floor(highMm / w + 1e-4);
  const rest = highMm - full * w;
  const whole = (count: number): readonly number[] => Array.from({ length: count }, () => w);
  if (rest < 0.5) return whole(full);
  if (rest >= LEAST_STRIP_MM || full === 0) return [rest, ...whole(full)];
  // A sliver holds no screw: two boards share what is left.
  return [(w + rest) / 2, (w + rest) / 2, ...whole(full - 1)];
}

/** Height of a board of a side in front and at the back, mm. */
type Course = readonly [frontMm: number, backMm: number];

/**
 * Boards of a side from the ground up: one that falls from the back's height to the front's, where a board is as wide; else whole
 * ones below it, then a ripped one or one that falls as well, so that the top one is nowhere thinner than an inch.
 */
function sideCourses(lowMm: number, highMm: number, w: number): readonly Course[] | undefined {
  const below = Math.max(0, Math.ceil(highMm / w - 1e-3) - 2);
  const whole = Array.from({ length: below }, (): Course => [w, w]);
  const [low, high] = [lowMm - below * w, highMm - below * w];
  if (low < LEAST_TAPER_MM) return undefined;
  if (high <= w + 0.5) return [...whole, [low, high]];
  if (low - w >= LEAST_TAPER_MM) return [...whole, [w, w], [low - w, high - w]];
  const under = low - LEAST_TAPER_MM;
  if (under < LEAST_STRIP_MM) return undefined;
  const lower: Course = [under, Math.max(under, high - w)];
  return [...whole, lower, [LEAST_TAPER_MM, high - lower[1]]];
}

/**
 * A box of boards, back higher than front. The lid touches the front board's outer edge and the back board's inner one,
 * so neither top needs planing. Front and back run the whole length; the sides stand between them and fall from one to the other.
 * Both tapered sides come out of one board where their two ends together are no wider than it.
 */
export function buildBox(s: BoxSite) {
  const { thicknessMm: t, widthMm: w } = boardShape(s.board);
  const depth = s.y1 - s.y0;
  if (boardShape(s.frontBoard).thicknessMm !== t)
    return fail('frontBoard', 'The front board must be as thick as the others, or the sides do not meet it.');
  if (depth < 2 * t + 150) return fail('board', 'The boards leave no room between them on so narrow a bed.');
  const slope = (s.backMm - s.frontMm) / (depth - t);
  if (slope < 0.05) return fail('back', 'Make the back higher than the front, so that rain and snow run off the lid.');
  if (slope > 1) return fail('back', 'The lid would be steeper than 45 degrees: lower the back or raise the front.');
  const low = s.frontMm + slope * t;
  const courses = sideCourses(low, s.backMm, w);
  if (!courses)
    return fail(
      'back',
      'The sides fall by more than one board: choose a wider board for them, raise the front, or lower the back.',
    );
  const fromOne = ([from, to]: Course): boolean => from + to + s.board.tool.kerfMm <= w + 0.5;
  const splices: Joint[] = [];
  const wall = (tag: string, part: string, section: Section, y: number, highMm: number): readonly Member[] => {
    const wide = boardShape(section).widthMm;
    let bottom = s.z0;
    return courseHeights(highMm, wide).flatMap((high, k) => {
      // The centre line is that of the whole board; a ripped one fills only its lower part.
      const z = bottom + wide / 2;
      bottom += high;
      const run = straightRun(`${tag}${k + 1}`, part, section, [s.x0, s.x1], [y, z], [0, 0, 1], { xs: [] });
      splices.push(...run.joints);
      return run.members.map((m): Member => (high < wide - 0.5 ? { ...m, taperMm: [high, high] } : m));
    });
  };
  const front = wall('A', 'Front board', s.frontBoard, s.y0 + t / 2, s.frontMm);
  const back = wall('B', 'Back board', s.board, s.y1 - t / 2, s.backMm);

  const falls = ([from, to]: Course): boolean => Math.abs(to - from) > 0.5;
  const sides = [s.x0 + t / 2, s.x1 - t / 2].flatMap((x, i): Member[] => {
    const letter = i === 0 ? 'C' : 'D';
    let [near, far] = [s.z0, s.z0];
    return courses.map((course, k) => {
      const [from, to] = course;
      // As the board below falls, so does this one's lower edge: its ends are plumb, and so off square by as much.
      const fall = Math.atan2(far - near, depth - 2 * t);
      const deg = (fall * 180) / Math.PI;
      // The centre line is that of the whole board, as it lies on the one below.
      const up = w / 2 / Math.cos(fall);
      const side = piece(
        `${letter}${k + 1}`,
        falls(course) ? 'Tapered side' : 'Side board',
        s.board,
        [x, s.y0 + t, near + up],
        [x, s.y1 - t, far + up],
        [0, -Math.sin(fall), Math.cos(fall)],
        {
          ...((falls(course) || from < w - 0.5) && {
            taperMm: [from * Math.cos(fall), to * Math.cos(fall)] as const,
          }),
          ...(fall > 0 && { endAnglesDeg: [-deg, deg] as const }),
          ...(falls(course) && { ends: ['taper', 'taper'] as const }),
          ...(i === 1 && falls(course) && fromOne(course) && { sawnFrom: `C${k + 1}` }),
        },
      );
      [near, far] = [near + from, far + to];
      return side;
    });
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
    /** Rise of the lid for each mm across. */
    slope,
    pairFromOne: courses.filter(falls).every(fromOne),
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
