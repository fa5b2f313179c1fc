/** Stiff sheets between bars under snow: whether they reach, and how much they carry. */
import type { SheetSpan } from '../../build/assembly/rows';
import { amount, phrase } from '../../base/figure';
import { formulaValue } from '../../base/formula';
import { type Check, verdictOf } from './check';
import { PRACTICES, SNOW_DENSITY, type DesignSnow, driftAsEvenPa, straightShare } from './snow';
import { LEFT_OUT, type SnowStrength, UNIT_PA } from './strength';
import { moreOf } from './timberChecks';

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
export function spanCheck(span: SheetSpan, snow: DesignSnow): Check {
  const sheet = span.sheet;
  const { all: load, drift } = liesKpa(span, snow);
  if (sheet.spanAtOneKpaMm === null)
    return {
      id: 'span',
      leaf: 'stand',
      verdict: 'tight',
      text: [`${sheet.name}: its glass is not judged here. Brush snow off before it is a hand deep.`],
      figure: undefined,
      caution: LEFT_OUT[0],
      tries: [],
    };
  const most = Math.min(sheet.spanAtOneKpaMm * FARTHEST, load > 0 ? sheet.spanAtOneKpaMm / Math.cbrt(load) : Infinity);
  return {
    id: 'span',
    leaf: 'stand',
    verdict: verdictOf(most / span.spanMm),
    text: phrase`${sheet.name} spans ${amount(span.spanMm, 'length')} between bars; ${amount(most, 'length')} is the most under this snow.`,
    figure: {
      label: 'Most span of the sheet',
      value: most,
      quantity: 'length',
      formula: 'most = min(1.6 × span at 1 kPa; span at 1 kPa × ∛(1000 / snow by slope))',
      terms: [
        { name: 'span at 1 kPa', ...amount(sheet.spanAtOneKpaMm, 'length') },
        { name: 'snow by slope', ...amount(load * 1000, 'pressure') },
        ...(drift > 0 ? [{ name: 'of it, drift at the wall', ...amount(drift * 1000, 'pressure') }] : []),
      ],
      source: sheet.source,
      assumes: LEFT_OUT,
    },
    caution: LEFT_OUT[0],
    tries: [
      ...moreOf(span.asked, 6),
      ...MORE_LIDS.map((value) => ({
        label: [`Narrower lids, ${value} of them`],
        change: { kind: 'answer', id: 'lids', value } as const,
      })),
    ],
  };
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
  const working = {
    label: 'Wet snow it carries',
    quantity: 'snowDepth' as const,
    formula: `depth = (span at 1 kPa / span between bars)³ × 1000 / snow by slope × flat load pf / ${product} / (density of wet snow × 9.80665)`,
    terms: [
      { name: 'span at 1 kPa', ...amount(sheet.spanAtOneKpaMm, 'length') },
      { name: 'span between bars', ...amount(spanMm, 'length') },
      { name: 'snow by slope', ...amount(kPa * 1000, 'pressure') },
      ...(drift > 0 ? [{ name: 'of it, drift at the wall', ...amount(drift * 1000, 'pressure') }] : []),
      { name: 'flat load pf', ...amount(snow.flatPa, 'pressure') },
      { name: product, ...amount(snow.flatPerGround, 'ratio') },
      { name: 'density of wet snow', ...amount(SNOW_DENSITY.wet, 'density') },
    ],
  };
  const wetSnowMm = times > 0 && Number.isFinite(times) ? formulaValue(working) : times > 0 ? Infinity : 0;
  return {
    what: sheet.name,
    ratio: asked.flatPa > 0 ? times : Infinity,
    governs: 'sag',
    snowCase: drift > 0 ? 'drifted' : 'even',
    wetSnowMm,
    sure: undefined,
    figures: [{ ...working, value: wetSnowMm, source: `${name} snow; ${sheet.source}.`, assumes: LEFT_OUT }],
  };
}
