/** What is asked of sprung and bent hoops: snow, bend, push on the rails, sag between them, sleeves. */
import { type Catalog, fitOf, sectionsLike, sectionsWhere } from '../../catalog/catalog';
import type { CoverMaterial, Section } from '../../catalog/types';
import { worked } from '../../base/formula';
import type { Assembly } from '../../cover/assembly/types';
import type { ArchRow, PushedRail, SleeveJoint } from '../../cover/assembly/rows';
import { stiffnessNMm2, thicknessMm, tubeShape } from '../../catalog/sections';
import { type Figure, type Phrase, amount, phrase, term } from '../../base/figure';
import { bendBand, bendLimitsPercent, fibreStrainPercent } from '../../cover/hoop/strain';
import { MM_PER_INCH } from '../../base/length';
import { aboutFaces, aboutHoops, aboutJoints, aboutTags } from './about';
import { type Check, cautioned, measured, moreOf, verdictOf } from './check';
import { footThrustN } from './hoopFigures';
import { type DesignSnow, snowDepthMm } from './snow';
import { LEFT_OUT, type SnowStrength, PAST_LIMIT } from './snowStrength';
import { reliabilityWords } from './reliability';

const inch = (x: number): number => x * MM_PER_INCH;

/** Pipes to try in place of a given one: stouter, or more limber; those of the same shops first. */
function otherPipes(now: Section, stouter: boolean, catalog: Catalog): readonly Section[] {
  const size = (s: Section): number => tubeShape(s).outsideMm;
  const away = (s: Section): number => Number(s.market !== now.market);
  return sectionsLike(catalog, now)
    .filter((s) => (stouter ? size(s) > size(now) : size(s) < size(now)) && size(s) < 43)
    .sort((a, b) => away(a) - away(b) || Math.abs(size(a) - size(now)) - Math.abs(size(b) - size(now)))
    .slice(0, 3);
}

/** How sure it is that a part carries the snow asked for, in words. */
export const sureOfSnow = ({ sure }: SnowStrength, { groundPa }: DesignSnow): Check['sure'] =>
  sure && {
    of: sure,
    words: reliabilityWords(sure, ['such snow'], amount(snowDepthMm(groundPa), 'snowDepth')),
  };

/** Hoops that bear more: more of them, stouter ones, and bars inside them. */
export function stouterHoops(arch: ArchRow, catalog: Catalog): Check['tries'] {
  // Wires of mesh come as they are.
  const more = arch.section.stock.length > 0 ? Array.from({ length: 8 }, (_, i) => arch.xsMm.length + 1 + i) : [];
  return [
    ...more.map((count) => ({
      label: [`${count} ${(arch.what ?? 'Hoops').toLowerCase()}`] as Phrase,
      change: { kind: 'hoops', count } as const,
    })),
    ...otherPipes(arch.section, true, catalog).map((s) => ({
      label: [s.name] as Phrase,
      change: { kind: 'pipe', key: s.key } as const,
    })),
    ...(arch.core || !arch.sprung
      ? []
      : CORES.map(([value, label]) => ({ label: [label], change: { kind: 'answer', id: 'core', value } as const }))),
  ];
}

/** What makes hoops carry more snow. */
export const snowTries = (arch: ArchRow, catalog: Catalog): Check['tries'] => [
  { label: ['Ridge on posts'], change: { kind: 'ridge', value: 'posted' } },
  ...stouterHoops(arch, catalog),
];

export function snowCheck(arch: ArchRow, strength: SnowStrength, snow: DesignSnow, catalog: Catalog): Check {
  const figure = strength.figures[0];
  const askedMm = snowDepthMm(snow.groundPa);
  const words = phrase`${arch.what ?? 'Hoops'} carry ${amount(strength.wetSnowMm, 'snowDepth')} of wet snow; you need ${amount(askedMm, 'length')}. With more${strength.snowCase === 'one-sided' ? ' on one side' : ''} ${PAST_LIMIT[strength.governs]}.${arch.hungKgPerM ? ' It bears what hangs from its ridge as well: take that down before the snow.' : ''}`;
  return measured({
    id: 'snow',
    leaf: 'stand',
    about: aboutHoops(arch),
    under: 'snow',
    measure: { demand: Number.isFinite(strength.ratio) ? 1 : 0, capacity: strength.ratio },
    sure: sureOfSnow(strength, snow),
    text: snow.flatPa === 0 ? ['No snow is asked of this cover.'] : words,
    figure,
    caution: LEFT_OUT.join(' '),
    tries: snowTries(arch, catalog),
    noMend: ['No stouter pipe, ridge or closer hoops carry that here. Brush sooner, or choose another kind of cover.'],
  });
}

/** What makes a hoop stiffer from inside, where its family asks about it. */
const CORES = [
  ['bar-3', 'A 3/8 reinforcing bar in every hoop'],
  ['bar-4', 'A 1/2 reinforcing bar in every hoop'],
] as const;

/** How hard the pipe of a sprung hoop is to bend; what is no plastic is bent to shape beforehand. */
export function bendCheck(arch: ArchRow, catalog: Catalog): readonly Check[] {
  const s = arch.section;
  const plastic = s.material.behaviour;
  if (!arch.sprung || plastic.kind !== 'plastic') return [];
  const od = thicknessMm(s);
  const strain = fibreStrainPercent(arch.hoop.maxCurvaturePerMm, od);
  const [easy, firm, hard] = bendLimitsPercent(plastic, 20);
  const band = bendBand(plastic, strain, 20);
  const figure = worked({
    label: 'Fibre strain of the bent pipe',
    quantity: 'percent',
    formula: 'strain = outside radius of the pipe / tightest bend radius',
    terms: [
      term('tightest bend radius', 1 / arch.hoop.maxCurvaturePerMm, 'length'),
      term('outside radius of the pipe', od / 2, 'length'),
    ],
    besides: [
      term('easy below', easy, 'percent'),
      term('firm below', firm, 'percent'),
      term('hard below, warm only', hard, 'percent'),
    ],
    source:
      'Planar elastica (Love, art. 262); plane sections remain plane. Bands are trade practice at 20 C, a point lower below 5 C.',
    assumes: ['A straight pipe bent cold. Old or sun-worn PVC cracks sooner.'],
  });
  const words = {
    easy: 'Pipe is easy to bend: strain ',
    firm: 'Pipe is firm to bend: strain ',
    hard: 'Pipe is hard to bend: strain ',
    'too far': 'Pipe is likely to kink or crack: strain ',
  }[band];
  return [
    measured({
      id: 'bend',
      leaf: 'stand',
      about: aboutHoops(arch),
      measure: { demand: strain, capacity: hard, spare: hard / firm },
      text: phrase`${words}${amount(strain, 'percent')} of ${amount(hard, 'percent')}.${band === 'easy' ? '' : ' Bend it only in the warm.'}`,
      figure,
      caution: 'A bent pipe that slips hits the face: wear eye protection and block the feet.',
      tries: otherPipes(arch.section, false, catalog).map((p) => ({
        label: [p.name] as Phrase,
        change: { kind: 'pipe', key: p.key } as const,
      })),
      noMend: [
        'No thinner pipe of this kind is sold here. Make the hoop wider or higher, or take another kind of cover.',
      ],
    }),
  ];
}

/** Diameter that has to go inside a sleeve, over the ribs of a rod. */
export function sleeveGapMm({ outer, inner }: Pick<SleeveJoint, 'outer' | 'inner'>): number {
  return tubeShape(outer).insideMm - (inner.overRibsMm ?? tubeShape(inner).outsideMm);
}

/** Whether one goes over the other and does not rattle. */
export function fitsIn(outer: Section, inner: Section, catalog: Catalog): boolean {
  const gap = sleeveGapMm({ outer, inner });
  const { leastMm, mostMm } = fitOf(catalog, 'sleeve');
  return gap >= leastMm - 1e-9 && gap <= mostMm + 1e-9;
}

/** Rods and pipes on sale that may stand in the place of one, no rod for a pipe; a family refuses what it does not offer. */
export const otherPosts = (s: Section, catalog: Catalog): readonly Section[] =>
  sectionsWhere(
    catalog,
    (x) =>
      x.shape.kind === 'tube' &&
      x.stock.length > 0 &&
      x.key !== s.key &&
      (x.overRibsMm === undefined || s.overRibsMm !== undefined),
  );

export function sleeveCheck(a: Pick<Assembly, 'joints'>, joint: SleeveJoint, catalog: Catalog): Check {
  const gap = sleeveGapMm(joint);
  const outer = joint.outer.name;
  const inner = joint.inner.name;
  const { leastMm, mostMm, source } = fitOf(catalog, 'sleeve');
  const insideMm = tubeShape(joint.outer).insideMm;
  const rattles = gap > mostMm + 1e-9 && joint.pinned !== true;
  const common = {
    id: `sleeve ${joint.where}`,
    leaf: 'stand',
    about: aboutJoints(a.joints.filter((j) => j.id === 'feet')),
    figure: worked({
      label: 'Sleeve fit',
      quantity: 'length',
      formula: `play = inside of ${outer} − outside of ${inner}, over ribs`,
      terms: [
        term(`inside of ${outer}`, insideMm, 'length'),
        term(`outside of ${inner}, over ribs`, insideMm - gap, 'length'),
      ],
      besides: [term('least play', leastMm, 'length'), term('most play', mostMm, 'length')],
      source: `Standard pipe sizes. ${source}.`,
      assumes: ['Real pipe varies a little: try one of each in the shop.'],
    }),
    caution: undefined,
    tries: [
      // Only real pairs, each of its own kind.
      ...otherPosts(joint.inner, catalog)
        .filter((s) => fitsIn(joint.outer, s, catalog))
        .map((s) => ({ label: [s.name] as Phrase, change: { kind: 'rod', key: s.key } as const })),
      { label: ['A short sleeve over both ends, pinned'], change: { kind: 'answer', id: 'join', value: 'adapter' } },
    ],
  } as const;
  if (rattles)
    return cautioned({
      ...common,
      verdict: 'tight',
      text: phrase`${outer} rattles on ${inner}: ${amount(gap, 'length')} of play. Shim it, or drill and pin.`,
    });
  // What goes over with the least play goes over: there is no more to spare.
  const measure = { demand: insideMm - gap + leastMm, capacity: insideMm + 1e-9, spare: 1 };
  return measured({
    ...common,
    measure,
    text:
      verdictOf(measure) === 'fails'
        ? [`${outer} does not go over ${inner}.`]
        : phrase`${outer} slides over ${inner} with ${amount(gap, 'length')} to spare.`,
  });
}

export function railCheck(a: Pick<Assembly, 'members'>, rail: PushedRail, arch: ArchRow): Check {
  const thrust = Math.max(0, footThrustN(arch));
  const ei = stiffnessNMm2(rail.section, 'fresh', rail.across);
  const limit = Math.min(inch(0.5), rail.freeLengthMm / 100);
  const figure = worked({
    label: 'Bow of the long rail',
    quantity: 'length',
    formula: 'bow = 5 × thrust of one foot / spacing × free length of the rail⁴ / (384 × stiffness EI of the rail)',
    terms: [
      term('thrust of one foot', thrust, 'force'),
      term('spacing', rail.pushesAtMm, 'length'),
      term('free length of the rail', rail.freeLengthMm, 'length'),
      term('stiffness EI of the rail', ei / 1e6, 'stiffness'),
    ],
    source: 'Simply supported beam; thrust = E I (2K / length)² of the elastica, fresh pipe.',
    assumes: ['The corners and ties do not give.'],
  });
  const bow = figure.value;
  return measured({
    id: 'rail',
    leaf: 'stand',
    about: aboutTags(a, rail.tags),
    measure: { demand: bow, capacity: limit },
    text: phrase`Long rails bow ${bow < inch(1 / 16) ? 'less than ' : ''}${amount(Math.max(bow, inch(1 / 16)), 'length')} under the push of the hoops; ${amount(limit, 'length')} is the most.`,
    figure,
    caution: undefined,
    tries: rail.asked
      ? moreOf(rail.asked, 6)
      : [1, 2, 3, 4, 5, 6].map((count) => ({
          label: [`${count} cross ${count === 1 ? 'tie' : 'ties'}`] as Phrase,
          change: { kind: 'ties', count } as const,
        })),
  });
}

/** Stretch and weight of polyethylene film. Source: trade figures for low-density film, 150 to 250 MPa fresh, half of it after weeks. */
const FILM = { ePa: 100e6, densityKgPerM3: 920 } as const;

/**
 * How deep film sinks between two hoops under snow: a stretched sheet that hangs as a parabola.
 * Source: strain = 8/3 (f / s)², tension = q s² / 8 f, tension = E t strain; so
 * f = s ∛(3 q s / 64 E t).
 */
function pocket(film: CoverMaterial, spacingMm: number, snow: DesignSnow): Figure {
  const thicknessMm = (film.kgPerM2 / FILM.densityKgPerM3) * 1000;
  return worked({
    label: 'Pocket in the film between hoops',
    quantity: 'length',
    formula: 'depth = spacing × ∛(3 × flat load pf × spacing / (64 × stretch of the film × its thickness))',
    terms: [
      term('spacing', spacingMm, 'length'),
      term('flat load pf', snow.flatPa, 'pressure'),
      term('stretch of the film', FILM.ePa, 'pressure'),
      term('its thickness', thicknessMm, 'length'),
    ],
    source:
      'A sheet held along two lines, stretched as it sinks: parabola of an even load. E 100 MPa after weeks, our own low figure.',
    assumes: ['Pulled straight and level at the crown, and held from hoop to hoop; slack film sinks deeper.'],
  });
}

export function sagCheck(a: Pick<Assembly, 'sheets'>, arch: ArchRow, snow: DesignSnow): Check {
  const film = a.sheets.find((s) => s.cover.kind === 'film')?.cover;
  const tied = arch.ridge.kind !== 'none';
  const limit = snow.flatPa > 0 && !tied ? inch(24) : inch(tied ? 48 : 36);
  const hoops = arch.xsMm.length;
  const sinks = film && snow.flatPa > 0 ? pocket(film, arch.spacingMm, snow) : undefined;
  return measured({
    id: 'sag',
    leaf: 'stand',
    about: aboutFaces(a.sheets),
    under: 'snow',
    measure: { demand: arch.spacingMm, capacity: limit, spare: 1.1 },
    text: phrase`${arch.what ?? 'Hoops'} stand ${amount(arch.spacingMm, 'length')} apart. ${tied ? 'With' : 'Without'} a ridge, water and snow collect in the cover where they stand more than ${amount(limit, 'length')} apart.${sinks ? phrase` Under the snow asked for the film sinks ${amount(sinks.value, 'length')} at the crown.` : ''}`,
    figure: sinks,
    caution: undefined,
    tries: [
      { label: ['Tie a ridge'], change: { kind: 'ridge', value: 'tied' } },
      ...Array.from({ length: 12 }, (_, i) => ({
        label: [`${hoops + 1 + i} ${(arch.what ?? 'Hoops').toLowerCase()}`] as Phrase,
        change: { kind: 'hoops', count: hoops + 1 + i } as const,
      })),
    ],
  });
}
