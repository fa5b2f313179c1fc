/** Stiff sheets between bars under snow: whether they reach, and how much they carry. */
import type { SheetSpan } from '../../cover/assembly/rows';
import type { Assembly } from '../../cover/assembly/types';
import { amount, phrase, term } from '../../base/figure';
import { worked } from '../../base/formula';
import { aboutFaces } from './about';
import { type Check, unjudged, measured, moreOf } from './check';
import { PRACTICES, SNOW_DENSITY, type DesignSnow, driftAsEvenPa, straightShare } from './snow';
import { LEFT_OUT, type SnowStrength, UNIT_PA } from './snowStrength';

/** A sheet reaches no further than so many times its span under 1 kPa, however little lies on it. */
const FARTHEST = 1.6;

/** Narrower lids, where no bars are asked for between their stiles. */
const MORE_LIDS = [2, 3, 4, 5, 6, 8, 10];

/** Snow that lies on a sheet by its slope, its drift with it, kPa. */
function liesKpa({ slopeDeg, drift }: SheetSpan, snow: DesignSnow): { readonly all: number; readonly drift: number } {
  const driftPa = drift ? driftAsEvenPa(snow, drift) : 0;
  return { all: (snow.flatPa * straightShare(snow.practice, slopeDeg) + driftPa) / 1000, drift: driftPa / 1000 };
}

/**
 * Whether stiff sheet reaches from bar to bar under snow.
 * Source: the sheet's span under 1 kPa, with the cube root of the load, as sag of a plate strip goes with w L^3 per L.
 */
export function spanCheck(a: Pick<Assembly, 'panels'>, span: SheetSpan, snow: DesignSnow): Check {
  const sheet = span.sheet;
  const { all: load, drift } = liesKpa(span, snow);
  const about = aboutFaces(a.panels.filter((p) => p.sheet.key === sheet.key));
  if (sheet.spanAtOneKpaMm === null)
    return unjudged({
      id: 'span',
      leaf: 'stand',
      about,
      under: 'snow',
      text: phrase`${sheet.name}: its glass is not judged here. Brush snow off before it is ${amount(100, 'byEye')} deep.`,
      figure: undefined,
      caution: LEFT_OUT[0],
      tries: [],
    });
  const figure = worked({
    label: 'Most span of the sheet',
    quantity: 'length',
    formula: 'most = min(1.6 × rated span; rated span × ∛(1000 / snow by slope))',
    terms: [term('rated span', sheet.spanAtOneKpaMm, 'length'), term('snow by slope', load * 1000, 'pressure')],
    besides: drift > 0 ? [term('of it, drift at the wall', drift * 1000, 'pressure')] : [],
    source: sheet.source,
    assumes: LEFT_OUT,
  });
  const most = figure.value;
  return measured({
    id: 'span',
    leaf: 'stand',
    about,
    under: 'snow',
    measure: { demand: span.spanMm, capacity: most },
    text: phrase`${sheet.name} spans ${amount(span.spanMm, 'length')} between bars; ${amount(most, 'length')} is the most under this snow.`,
    figure,
    caution: LEFT_OUT[0],
    tries: [
      ...moreOf(span.asked, 6),
      ...MORE_LIDS.map((value) => ({
        label: [`Narrower lids, ${value} of them`],
        change: { kind: 'answer', id: 'lids', value } as const,
      })),
    ],
  });
}

/**
 * Snow that stiff sheet carries between its bars, as `spanCheck` judges it.
 * @returns nothing where the sheet is not judged
 */
export function spanStrength(span: SheetSpan, asked: DesignSnow): SnowStrength | undefined {
  const { sheet, spanMm } = span;
  if (sheet.spanAtOneKpaMm === null) return undefined;
  // With no snow asked for, what it carries is still worth knowing: a unit load stands in.
  const snow = asked.flatPa > 0 ? asked : { ...asked, groundPa: UNIT_PA / asked.flatPerGround, flatPa: UNIT_PA };
  const { all: kPa, drift } = liesKpa(span, snow);
  const times = spanMm > FARTHEST * sheet.spanAtOneKpaMm ? 0 : (sheet.spanAtOneKpaMm / spanMm) ** 3 / kPa;
  const { name, product } = PRACTICES[snow.practice];
  const carried = worked({
    label: 'Wet snow it carries',
    quantity: 'snowDepth',
    formula: `depth = (rated span / span between bars)³ × 1000 / snow by slope × flat load pf / ${product} / (density of wet snow × 9.80665)`,
    terms: [
      term('rated span', sheet.spanAtOneKpaMm, 'length'),
      term('span between bars', spanMm, 'length'),
      term('snow by slope', kPa * 1000, 'pressure'),
      term('flat load pf', snow.flatPa, 'pressure'),
      term(product, snow.flatPerGround, 'ratio'),
      term('density of wet snow', SNOW_DENSITY.wet, 'density'),
    ],
    besides: drift > 0 ? [term('of it, drift at the wall', drift * 1000, 'pressure')] : [],
    source: `${name} snow; ${sheet.source}.`,
    assumes: LEFT_OUT,
  });
  // Farther apart than it ever reaches it carries nothing.
  const wetSnowMm = times > 0 ? carried.value : 0;
  return {
    what: sheet.name,
    ratio: asked.flatPa > 0 ? times : Infinity,
    governs: 'sag',
    snowCase: drift > 0 ? 'drifted' : 'even',
    wetSnowMm,
    sure: undefined,
    figures: [times > 0 ? carried : { ...carried, value: 0 }],
  };
}
