/** Posts of a house: deep enough for the soil and the wind, stout enough at the ground, and braced against racking both ways. */
import type { PostRow } from '../../cover/assembly/rows';
import { otherPosts } from './hoopChecks';
import { depthMm, inertiaMm4, thicknessMm } from '../../catalog/sections';
import { bendingLimitMPa } from './limits';
import type { Assembly } from '../../cover/assembly/types';
import { amount, phrase, term } from '../../base/figure';
import { MM_PER_INCH } from '../../base/length';
import { worked } from '../../base/formula';
import type { BuildSite } from '../../site/buildSite';
import { aboutFeet } from './about';
import { ASK, type Check, type CheckSite, SPARE, measured, moreOf } from './check';
import { reliabilityOf, reliabilityWords } from './reliability';
import { gustPa } from './windLoads';

const LEFT_OUT = [
  'A planning aid for a light house of bent pipe: steady gust, posts that turn freely at their tops, level ground. It leaves out frost, wet hollows and old rust.',
  'A person walks into this: ask the building office and a licensed engineer.',
];
const SAFETY = 1.5;
/** A depth so much short of what is wanted is tight, no worse. */
const NEARLY = 1.1;
/** Undrained strength of a soil, Pa: our own low figures for wet garden ground within reach of a spade. */
const SOIL_PA: Readonly<Record<BuildSite['bed']['soil'], number>> = {
  soft: 10_000,
  loam: 25_000,
  clay: 40_000,
  stony: 30_000,
};
/** Width of a post that is dug in with a bag of mix, mm. */
const DUG_MM = 250;
/** Net push of wind on the standing side and on the arch of a house, as parts of its pressure. Source: ASCE/SEI 7, fig. 27.3-1 and 27.3-3, windward and lee together. */
const ON_WALL = 1.3;
const ON_ARCH = 0.6;
/** No post stands less deep: frost and feet loosen the first hand of soil. */
const LEAST_DEPTH_MM = 400;
/** Of its height above the ground a post stands at least so much in it. */
const PART = { windy: 1 / 3, calm: 1 / 4 } as const;
/** What one diagonal brace takes, by its screws, N. Source: our own low figure for two self-drilling screws in thin pipe. */
const BRACE_N = 1500;

/** Push of the wind across one bay and along the whole house, N, and where each works above the ground, mm. */
function pushes(
  p: PostRow,
  q: number,
): Readonly<Record<'across' | 'along', { readonly forceN: number; readonly heightMm: number }>> {
  const rise = p.crownMm - p.aboveMm;
  const wall = (q * ON_WALL * p.spacingMm * p.aboveMm) / 1e6;
  const arch = (q * ON_ARCH * p.spacingMm * rise) / 1e6;
  const end = q * ON_WALL * p.endM2;
  return {
    across: {
      forceN: wall + arch,
      heightMm: (wall * (p.aboveMm / 2) + arch * (p.aboveMm + rise / 2)) / Math.max(1e-9, wall + arch),
    },
    // The wind on an end works at half its height.
    along: { forceN: end, heightMm: p.crownMm / 2 },
  };
}

/**
 * Depth at which a short post that is free at its top is just pushed over, mm.
 * Source: B. B. Broms, J. Soil Mech. Found. Div. ASCE 90 (1964) 27-63, cohesive soil: d = 1.5 b + f + g, f = P / (9 c b),
 * P (h + 1.5 b + f / 2) = 2.25 b g² c.
 * @param forceN push on one post at its height, mm; widthMm of the post in the ground; soilPa its undrained strength c
 */
export function poleDepthMm(forceN: number, heightMm: number, widthMm: number, soilPa: number): number {
  const [h, b] = [heightMm / 1000, widthMm / 1000];
  const f = forceN / (9 * soilPa * b);
  const g = Math.sqrt((forceN * (h + 1.5 * b + f / 2)) / (2.25 * b * soilPa));
  return forceN > 0 ? 1000 * (1.5 * b + f + g) : 0;
}

const postsOf = (p: PostRow): number => p.tags.length / p.nailed;

/** Push on one post, N, across and along. Braces take what they can of the push along; the rest bends the posts. */
function onePost(p: PostRow, push: ReturnType<typeof pushes>): Readonly<Record<'across' | 'along', number>> {
  const braced = Math.min(push.along.forceN, (p.braces * BRACE_N) / SAFETY);
  return { across: push.across.forceN / 2, along: (push.along.forceN - braced) / postsOf(p) };
}

/** The greater of both pushes on one post, and the height at which it works. */
function worst(p: PostRow, q: number): { readonly each: number; readonly heightMm: number } {
  const push = pushes(p, q);
  const { across, along } = onePost(p, push);
  return across >= along
    ? { each: across, heightMm: push.across.heightMm }
    : { each: along, heightMm: push.along.heightMm };
}

function bendings(a: Pick<Assembly, 'members'>, p: PostRow, site: CheckSite): readonly Check[] {
  const push = pushes(p, gustPa(site.gustMPerS, site.exposure));
  const { across, along } = onePost(p, push);
  return [bending('across', push.across, across, a, p, site), bending('along', push.along, along, a, p, site)];
}

/** Whether two bolts hold a post to the wall of its bed when the wind pushes the house across: the upper one is pulled, the lower one turned about. */
function boltCheck(
  a: Pick<Assembly, 'members'>,
  p: PostRow,
  bolts: NonNullable<PostRow['bolts']>,
  site: CheckSite,
): Check {
  const { across } = pushes(p, gustPa(site.gustMPerS, site.exposure));
  const figure = worked({
    label: 'Pull on the upper bolt of a post',
    quantity: 'force',
    formula: 'pull = push on one post × (at a height of − lower bolt above the ground) / between the bolts',
    terms: [
      term('push on one post', across.forceN / 2, 'force'),
      term('at a height of', across.heightMm, 'length'),
      term('lower bolt above the ground', bolts.lowMm, 'length'),
      term('between the bolts', bolts.apartMm, 'length'),
    ],
    besides: [term('one bolt holds', bolts.eachN, 'force'), term('safety', SAFETY, 'ratio')],
    source: 'Statics of a post turned about its lower bolt; strength of a bolt from the catalogue.',
    assumes: [
      ...LEFT_OUT,
      'The wall of the bed and its corners hold: bolts are no stouter than the boards they go through.',
    ],
  });
  return measured({
    id: 'post bolts',
    leaf: 'stand',
    about: aboutFeet(a, p.tags),
    under: 'gust',
    measure: { demand: figure.value, capacity: bolts.eachN, margin: SAFETY },
    text: phrase`Wind from the side pulls the upper bolt of each post with ${amount(figure.value, 'force')}; one bolt holds ${amount(bolts.eachN, 'force')}.`,
    figure,
    caution: ASK,
    tries: [
      ...morePosts(p),
      LOWER,
      { label: ['Timber posts dug in'], change: { kind: 'answer', id: 'posts', value: 'timber' } },
    ],
  });
}

const LOWER: Check['tries'][number] = {
  label: phrase`Lower by ${amount(150, 'length')}`,
  change: { kind: 'higher', byMm: -150 },
};

/** More posts: by their own number, or a hoop more with two of them. */
const morePosts = (p: PostRow): Check['tries'] =>
  p.asked
    ? moreOf(p.asked, 4)
    : [1, 2, 3, 4]
        .map((more) => postsOf(p) / 2 + more)
        .map((count) => ({ label: [`${count} hoops`], change: { kind: 'hoops', count } as const }));

/** Every check of a row of posts. */
export function postChecks(a: Pick<Assembly, 'members'>, p: PostRow, site: CheckSite): readonly Check[] {
  return [p.bolts ? boltCheck(a, p, p.bolts, site) : depthCheck(a, p, site), ...bendings(a, p, site)];
}

/** Whether posts stand deep enough in their soil for the wind. */
function depthCheck(a: Pick<Assembly, 'members'>, p: PostRow, site: CheckSite): Check {
  const { soil } = site.site.bed;
  const q = gustPa(site.gustMPerS, site.exposure);
  const { each, heightMm } = worst(p, q);
  const widthMm = p.set === 'dug' ? DUG_MM : thicknessMm(p.section);
  const byWind = poleDepthMm(SAFETY * each, heightMm, widthMm, SOIL_PA[soil]);
  const byHeight = p.aboveMm * (site.site.windy ? PART.windy : PART.calm);
  const need = Math.max(LEAST_DEPTH_MM, byHeight, byWind);
  // By hands: six inches or 150 mm.
  const hand = site.site.market === 'imperial' ? 6 * MM_PER_INCH : 150;
  const deeper = [3, 4, 5, 6, 7, 8, 9].map((n) => n * hand).filter((mm) => mm > p.depthMm + 1);
  return measured({
    id: 'post depth',
    leaf: 'stand',
    about: aboutFeet(a, p.tags),
    under: 'gust',
    // Soil is no exact thing: a tenth less than is wanted is tight; a millimetre less is none.
    measure: { demand: need, capacity: p.depthMm + 1, margin: 1 / NEARLY, spare: NEARLY },
    text: phrase`Posts stand ${amount(p.depthMm, 'length')} in ${SOIL_WORDS[soil]}; for the gust asked for ${amount(need, 'length')} are wanted.`,
    figure: worked({
      label: 'Depth that the posts want',
      quantity: 'length',
      formula: 'depth = max(least; by its height; by the wind, after Broms)',
      terms: [
        term('least', LEAST_DEPTH_MM, 'length'),
        term('by its height', byHeight, 'length'),
        term('by the wind, after Broms', byWind, 'length'),
      ],
      besides: [
        term('push on one post', each, 'force'),
        term('at a height of', heightMm, 'length'),
        term('width in the ground', widthMm, 'length'),
        term('strength of the soil', SOIL_PA[soil], 'pressure'),
        term('safety', SAFETY, 'ratio'),
      ],
      source:
        'Short free post in cohesive soil: B. B. Broms, J. Soil Mech. Found. Div. ASCE 90 (1964); a third of the height above ground where it is windy, a quarter elsewhere (trade practice). Soil strengths are our own low figures.',
      assumes: LEFT_OUT,
    }),
    caution: ASK,
    tries: [
      ...deeper.map((toMm) => ({
        label: phrase`${amount(toMm, 'length')} deep`,
        change: { kind: 'deeper', toMm } as const,
      })),
      { label: ['Dug in, with post mix'], change: { kind: 'answer', id: 'posts', value: 'dug' } },
    ],
  });
}

const SOIL_WORDS = { soft: 'soft mix', loam: 'loam', clay: 'clay', stony: 'stony soil' } as const;

/** Whether the posts stand up at the ground when the wind pushes the house across or along. */
function bending(
  way: 'across' | 'along',
  push: { readonly forceN: number; readonly heightMm: number },
  eachN: number,
  a: Pick<Assembly, 'members'>,
  p: PostRow,
  site: CheckSite,
): Check {
  const otherSide = p.across === 'width' ? 'thickness' : 'width';
  const side = p.section.shape.kind === 'tube' ? 'thickness' : way === 'across' ? p.across : otherSide;
  const limit = bendingLimitMPa(p.section.material, 'lasting');
  // Pieces nailed side by side bear together, and no more than each by itself.
  const mostNm = (p.nailed * limit * inertiaMm4(p.section, side)) / (depthMm(p.section, side) / 2) / 1000;
  const figure = worked({
    label: way === 'across' ? 'Bending of a post, wind from the side' : 'Bending of a post, wind on an end',
    quantity: 'ratio',
    formula: 'bending over its limit = safety × push on one post × at a height of / most that the post takes, N·m',
    terms: [
      term('push on one post', eachN, 'force'),
      term('at a height of', push.heightMm, 'length'),
      term('most that the post takes, N·m', mostNm, 'plain'),
      term('safety', SAFETY, 'ratio'),
    ],
    besides: [
      term(way === 'across' ? 'push on one bay' : 'push on the whole house', push.forceN, 'force'),
      ...(way === 'along' ? [term('diagonal braces', p.braces, 'count')] : []),
    ],
    source: 'Post as a cantilever from the ground; yield of the pipe. Wind after ASCE/SEI 7, fig. 27.3-1 and 27.3-3.',
    assumes: LEFT_OUT,
  });
  const ratio = figure.value > 0 ? 1 / figure.value : Infinity;
  const of = Number.isFinite(ratio)
    ? reliabilityOf(
        ([gust = 1, limit = 1]) => (SAFETY * ratio * limit) / gust ** 2,
        [site.gustSpread, p.section.spreads.limit],
      )
    : undefined;
  return measured({
    id: `post ${way}`,
    leaf: 'stand',
    about: aboutFeet(a, p.tags),
    under: 'gust',
    // The figure holds the whole safety already.
    measure: { demand: figure.value, capacity: 1, margin: 1 / SPARE },
    sure: of && { of, words: reliabilityWords(of, ['such a gust']) },
    text: phrase`${way === 'across' ? 'Wind from the side racks the house' : 'Wind on an end pushes the hoops over'}: at the ground each post bears ${amount(100 * figure.value, 'percent')} of the most it can.`,
    figure,
    caution: ASK,
    tries: [
      ...(way === 'along'
        ? [
            {
              label: ['Diagonal braces in the corners'],
              change: { kind: 'answer', id: 'braces', value: 'corners' } as const,
            },
          ]
        : []),
      ...(p.section.shape.kind === 'tube' ? otherPosts(p.section, site.site.catalog) : []).map((s) => ({
        label: [s.name],
        change: { kind: 'rod', key: s.key } as const,
      })),
      ...morePosts(p),
      LOWER,
    ],
  });
}
