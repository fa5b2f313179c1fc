import { amount, phrase } from '../../../base/figure';
import * as z from 'zod/mini';
import { between } from '../../../base/schema';
import { MM_PER_INCH } from '../../../base/length';
import {
  type ResolvedParameters,
  choice,
  countOrAuto,
  countParameter,
  dimensioned,
  length,
  withinRange,
  height,
} from '../../answers/parameter';
import { anyBar, board, coverAnswers, oneOf, sold, tube } from '../../answers/bars';
import { hoopCount, hoopShape, maxSpacing } from '../../answers/hoops';
import { cropParameter, extra, rowFromEdge } from '../../answers/place';
import { divided, fixing, holdDowns, paint } from '../../answers/skin';

const FOOT = 12 * MM_PER_INCH;
/** Path round the bed, mm. */
const PATH_MM = 24 * MM_PER_INCH;

/** Sizes that such a house of bent pipe is built in, mm. */
const LIMITS = { width: [3 * FOOT, 14 * FOOT], length: [4 * FOOT, 40 * FOOT] } as const;

const limited = (x: number, [low, high]: readonly [number, number]): number => Math.min(high, Math.max(low, x));

/** A size of the house: typed in the drawing, within what such houses are built in. */
const size = (
  dimension: string,
  [low, high]: readonly [number, number],
  first: Parameters<typeof dimensioned<number>>[1],
) =>
  dimensioned<number>(between(low, high), first, dimension, {
    dimensions: {
      [dimension]: (valueMm: number) =>
        withinRange(
          dimension,
          valueMm,
          [low, high],
          `A house of bent pipe is from ${Math.round(low / FOOT)} to ${Math.round(high / FOOT)} ft that way (${(low / 1000).toFixed(1)} to ${(high / 1000).toFixed(1)} m).`,
        ),
    },
  });

/** Pipes that stand as posts. */
const POSTS: Readonly<Record<string, string>> = {
  'emt-1/2': 'Goes into 3/4 PVC.',
  'emt-3/4': 'Goes into 1 PVC.',
  'steel-3/4': 'Stiff; check that the hoop goes over.',
  'steel-1': 'Goes into 1-1/4 PVC.',
  'emt-1': 'Lighter; rattles in 1-1/4 PVC.',
  'steel-1-1/4': 'The stoutest; joined to 1-1/4 PVC by a short sleeve.',
  'emt-1-1/4': 'Goes into 1-1/2 PVC.',
};

/** A house with a path round the bed. */
export const walkInParameters = {
  hoops: hoopCount('How many hoops', 60, (now) => Number(now['lengthMm'])),
  pipe: tube(
    'Hoops',
    {
      'pvc-3/4': 'Only for narrow houses without snow.',
      'pvc-1': 'Light; needs close spacing.',
      'pvc-1-1/4': 'The usual one for ten to twelve feet.',
      'pvc-1-1/2': 'Stoutest; hard to bend.',
    },
    'pvc-1-1/4',
    { changes: { pipe: ({ key }) => key } },
  ),
  post: tube('Posts', POSTS, 'steel-1', {
    when: { posts: ['driven', 'dug'] },
    fits: { test: oneOf(POSTS), words: 'must be a steel pipe or conduit that stands as a post' },
    changes: { rod: ({ key }) => (key in POSTS ? key : undefined) },
  }),
  roof: choice(
    'Hoops are',
    {
      sprung: ['Sprung', 'One long pipe over two posts: the least work, and no joints.'],
      straight: [
        'Two straight pipes and elbows',
        'A steep roof that sheds snow; short pipes go in any car, and nothing is bent.',
      ],
    },
    'sprung',
  ),
  shape: hoopShape([], true, { roof: 'sprung' }),
  core: choice(
    'Hoops cored with',
    {
      none: ['Nothing', 'The pipe alone.'],
      'bar-3': ['3/8 reinforcing bar', 'Slid in before the hoop is bent: about twice as stiff in 1 PVC.'],
      'bar-4': ['1/2 reinforcing bar', 'Stiffer yet, and heavy: bend it round a drum first.'],
      conduit: ['Conduit', 'The stoutest that slides in; bent first, and only for hoops of ten feet at the most.'],
    },
    'none',
    { when: { roof: 'sprung' } },
  ),
  posts: choice(
    'Posts are',
    {
      driven: ['Driven', 'Fast in soft soil; nothing to mix.'],
      dug: ['Dug in', 'Holds in stony or loose soil; a bag of mix each.'],
      timber: [
        'Timber, dug in',
        '4x4 posts: walls up to seven feet, boards screwed on, the hoops strapped beside them.',
      ],
      rails: [
        'Corner posts and side rails',
        '4x4 posts at the corners and a few between; a board from post to post carries the hoops. The fewest holes to dig.',
      ],
      bolted: [
        'Timber, bolted to the bed',
        'No holes to dig: two bolts each through the bed’s wall. As wide as the bed, reached into from its sides.',
      ],
    },
    'driven',
  ),
  postOf: choice(
    'Posts of',
    {
      one: ['One 4x4', 'One piece, treated: the longest-lived.'],
      'two-2x4': ['Two 2x4, nailed', 'Treated, and cheaper than a 4x4 of the same stoutness across the house.'],
      'two-2x3': ['Two 2x3, nailed', 'The least money; not treated, so the ground has them in a few years.'],
    },
    'one',
    { when: { posts: ['timber', 'bolted', 'rails'] } },
  ),
  railPosts: countOrAuto('Posts a side', [2, 20], (built) => (built?.posts[0]?.tags.length ?? 4) / 2, {
    when: { posts: 'rails' },
  }),
  rail: board('Side rail', ['2x4', '2x6', '38x89 mm', '45x145 mm'], sold('2x6'), {
    when: { posts: 'rails' },
    changes: { bar: ({ key }) => key },
  }),
  join: choice(
    'Hoop to post',
    {
      sleeve: ['Hoop over the post', 'The pipe slides over the post: nothing to buy but two screws.'],
      adapter: [
        'Short sleeve over both',
        'A piece of the next size over both ends, pinned: joins a pipe and a post that do not go over one another.',
      ],
    },
    'sleeve',
    { when: { posts: ['driven', 'dug'] } },
  ),
  sleeveMm: length('Lap with the post', [80, 600], 6 * MM_PER_INCH),
  purlins: choice(
    'Purlins',
    {
      three: ['Ridge and two sides', 'Keeps hoops apart and upright in wind.'],
      ridge: ['Ridge only', 'For short, sheltered houses.'],
    },
    'three',
  ),
  purlin: tube('Purlin of', { 'emt-3/4': 'Straight and stiff.', 'pvc-3/4': 'Cheap and light.' }, 'emt-3/4'),
  beam: choice(
    'Centre beam',
    {
      none: ['None', 'A free path in the middle; the hoops carry the snow alone.'],
      posts: ['On posts', 'A board under every crown on posts in the middle: for deep snow; you walk round the posts.'],
    },
    'none',
    { changes: { ridge: ({ value }) => (value === 'posted' ? 'posts' : undefined) } },
  ),
  hung: choice(
    'Hung from the ridge',
    {
      none: ['Nothing', 'Crops stand on their own stakes or low.'],
      light: ['Beans or cucumbers', phrase`On strings: about ${amount(4, 'massPerLength')} in full leaf.`],
      heavy: ['Tomatoes', phrase`On strings: about ${amount(10, 'massPerLength')} when they bear.`],
    },
    'none',
  ),
  crossTies: countParameter('Cross ties', [0, 30], 0),
  /** null: as high as the hoops are six tenths up. */
  tieMm: dimensioned<number | null>(z.nullable(between(300, 4000)), null, 'tieHeight'),
  braces: choice(
    'Braces along',
    {
      none: ['None', 'Posts alone keep the hoops upright: enough where it is sheltered.'],
      corners: ['In the corners', 'A diagonal in both end bays of both sides: wind on an end does not rack it.'],
    },
    'none',
  ),
  doors: choice(
    'Doors',
    {
      one: ['One end', 'Warmer; one end framed shut.'],
      two: ['Both ends', 'A through draught in summer.'],
      none: ['None', 'A low house over one bed, reached into through its rolled-up sides.'],
    },
    'one',
    { when: { posts: ['driven', 'dug', 'timber', 'rails'] } },
  ),
  doorWidthMm: length('Door width', [400, 1500], 32 * MM_PER_INCH, { when: { doors: ['one', 'two'] } }),
  doorHeightMm: length('Door height', [1000, 2200], 72 * MM_PER_INCH, { when: { doors: ['one', 'two'] } }),
  anchors: holdDowns('anchors', 'Ground anchors', 80),
  ...coverAnswers('film-uv'),
  sheets: choice(
    'Sheets',
    {
      one: ['One sheet', 'No seams; too large for one person.'],
      'roof-and-ends': ['Roof and two ends', 'Ends by themselves: easier to hang.'],
      'roof-and-curtains': ['Roof, ends, curtains', 'Smaller pieces; sides roll up by themselves.'],
    },
    'roof-and-curtains',
    { leaf: 'skin' },
  ),
  layers: choice(
    'Layers',
    {
      single: ['Single', 'Most light, least money.'],
      double: ['Double, air between', 'Loses a third less heat; costs a tenth of the light.'],
    },
    'single',
    { leaf: 'skin' },
  ),
  sides: choice(
    'Sides',
    {
      'roll-up': ['Roll up', 'Cranked up on hot days: the best air there is.'],
      fixed: ['Fixed', 'Cheaper and tighter; air through the doors.'],
    },
    'roll-up',
    { leaf: 'skin' },
  ),
  /** What the foot of a rolled side is rolled on. */
  rollBar: anyBar(
    'Roll bar',
    {
      'emt-3/4': 'Straight, and one hand rolls it.',
      'emt-1': 'For long sides.',
      'pvc-1': 'Light; bows between the clips.',
      '2x2': ['2x2 timber', 'Cheap; heavy when long.'],
      '2x4': ['2x4 timber', 'Lies by its weight; too heavy to roll alone when long.'],
    },
    'emt-3/4',
    { leaf: 'skin', when: { sides: 'roll-up' } },
  ),
  lacing: divided('Sides held by', ['rope', 'none'], 'rope'),
  fixing: fixing(['channel', 'battens', 'staples'], 'channel'),
  paint,
  crop: cropParameter('tomato'),
  extra,
  rowFromEdgeMm: rowFromEdge(10),
  lengthMm: size('coverLength', LIMITS.length, ({ survey }) =>
    limited(Math.max(12 * FOOT, survey.frameOn.lengthMm + 2 * PATH_MM), LIMITS.length),
  ),
  widthMm: size('width', LIMITS.width, ({ survey }) =>
    limited(Math.min(12 * FOOT, Math.max(10 * FOOT, survey.frameOn.widthMm + 2 * PATH_MM)), LIMITS.width),
  ),
  /** Post above the ground; the hoop begins there. */
  sidewallMm: height([100, 7 * FOOT + 10], 24 * MM_PER_INCH, 'sidewall'),
  /** null: a third of the post's length where it is windy, a quarter elsewhere. */
  depthMm: dimensioned<number | null>(z.nullable(between(200, 1500)), null, 'postDepth', {
    changes: { deeper: ({ toMm }) => toMm },
  }),
  maxSpacingMm: maxSpacing(48, [400, 2000]),
};

export type WalkInAnswers = ResolvedParameters<typeof walkInParameters>;

/** Mass of crops that hang on each metre of the ridge, kg. Source: our own middle figures for plants on strings. */
export const HUNG_KG_PER_M = { none: 0, light: 4, heavy: 10 } as const;

/** Whether it stands on timber posts, with the hoops strapped beside them or to a rail between them. */
export const onTimber = ({ posts }: Pick<WalkInAnswers, 'posts'>): boolean =>
  posts === 'timber' || posts === 'bolted' || posts === 'rails';
