import type { BeamRow } from '../../cover/assembly/rows';
import { SHIPPED, spreadOf } from '../../catalog/catalog';
import { stiffnessNMm2 } from '../../catalog/sections';
import type { Spread } from '../../catalog/types';
import { term } from '../../base/figure';
import { worked } from '../../base/formula';
import { type DesignSnow, PRACTICES, SNOW_DENSITY, driftAsEvenPa, snowOf, straightShare } from './snow';
import { bendingLimitMPa } from './limits';
import { MOST_SAG, perNewtonMm } from './simpleBeam';
import { LEFT_OUT, type SnowStrength, UNIT_PA, snowSure } from './snowStrength';

/**
 * Snow on a sloped bar between two supports, as a part of the flat load.
 * Gables of this size may carry all of it on one slope: I pg on the lee side for slopes of 2.4 to 30.3 degrees.
 * Source: ASCE/SEI 7, fig. 7.4-1c and sec. 7.6.1 (eave to ridge 20 ft or less). EN 1991-1-3, sec. 5.3.3: drifted, one slope has all of
 * its even load and the other half.
 */
function loadFactor(beam: BeamRow, snow: DesignSnow): { readonly factor: number; readonly oneSided: boolean } {
  const even = straightShare(snow.practice, beam.slopeDeg);
  const lee = snow.practice === 'asce' && beam.gable && beam.slopeDeg > 2.4 && beam.slopeDeg < 30.3;
  const oneSided = lee ? snow.importanceFactor / snow.flatPerGround : 0;
  return oneSided > even ? { factor: oneSided, oneSided: true } : { factor: even, oneSided: false };
}

/** A bar under snow, and how many times that it would bear. */
export interface BeamUnder {
  /** Part of the flat load by slope; drift as an even load, Pa; and which case of snow that is. */
  readonly lies: number;
  readonly driftPa: number;
  readonly snowCase: SnowStrength['snowCase'];
  /** What bends it, snow and its own weight with the cover, N/mm; how far it sags, and may, mm. */
  readonly perMm: number;
  readonly ownPerMm: number;
  readonly sagMm: number;
  readonly mostSagMm: number;
  /** Snow that it bears by stress, and by sag, over this one. */
  readonly bending: number;
  readonly sagging: number;
}

/**
 * One of a row of straight bars under snow: a simply supported beam under an even load.
 * Limits: span / 180 and the design bending stress of the section.
 * @see perNewtonMm
 */
export function beamUnder(beam: BeamRow, snow: DesignSnow): BeamUnder {
  const s = beam.section;
  const slope = (beam.slopeDeg * Math.PI) / 180;
  const { factor: lies, oneSided } = loadFactor(beam, snow);
  const driftPa = beam.drift ? driftAsEvenPa(snow, beam.drift) : 0;
  const snowCase = driftPa > 0 ? 'drifted' : oneSided ? 'one-sided' : 'even';
  // Load falls by level area; only its part across the bar bends it.
  const snowPerMm = ((snow.flatPa * lies + driftPa) * beam.loadWidthMm * Math.cos(slope) ** 2) / 1e6;
  const ownPerMm = (beam.weighsNPerMm ?? 0) * Math.cos(slope);
  const perMm = snowPerMm + ownPerMm;
  const { stressMPa, sagMm } = perNewtonMm(s, beam.across, beam.spanMm, 'weeks');
  const limit = bendingLimitMPa(s.material, 'snow');
  const mostSagMm = beam.spanMm * MOST_SAG;
  const times = (bears: number): number => (snowPerMm > 0 ? Math.max(0, bears - ownPerMm) / snowPerMm : Infinity);
  return {
    lies,
    driftPa,
    snowCase,
    perMm,
    ownPerMm,
    sagMm: perMm * sagMm,
    mostSagMm,
    bending: times(limit / stressMPa),
    sagging: times(mostSagMm / sagMm),
  };
}

/** How many times a load a bar bears. */
export const timesBorne = ({ bending, sagging }: BeamUnder): number => Math.min(bending, sagging);

/** How many times a snow may lie until a bar bears no more; beside a wall the drift of each depth with it. */
export function timesUntil(beam: BeamRow, snow: DesignSnow): number {
  if (!beam.drift) return timesBorne(beamUnder(beam, snow));
  const bears = (times: number): boolean => timesBorne(beamUnder(beam, snowOf(snow, times * snow.flatPa))) >= 1;
  let [low, high] = [0, 1];
  while (high < 1e6 && bears(high)) [low, high] = [high, 2 * high];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    if (bears(middle)) low = middle;
    else high = middle;
  }
  return low;
}

/** Snow that a row of straight bars carries, by bending stress and by sag. @see beamUnder */
export function beamStrength(
  beam: BeamRow,
  asked: DesignSnow,
  weight: Spread = spreadOf(SHIPPED, 'snow wet'),
): SnowStrength {
  const snow = asked.flatPa > 0 ? asked : { ...asked, groundPa: 0, flatPa: UNIT_PA };
  const under = beamUnder(beam, snow);
  const { lies, driftPa, snowCase, perMm, ownPerMm, mostSagMm, bending, sagging } = under;
  const ei = stiffnessNMm2(beam.section, 'weeks', beam.across);
  const ratio = timesBorne(under);
  const most = driftPa > 0 ? timesUntil(beam, snow) : ratio;
  const { name, product } = PRACTICES[snow.practice];
  const times = driftPa > 0 ? 'how many times it may lie, its drift with it,' : 'least of both ratios';
  const carried = worked({
    label: 'Wet snow it carries',
    quantity: 'snowDepth',
    formula: `depth = ${times} × flat load pf / ${product} / (density of wet snow × 9.80665)`,
    terms: [
      term(times, most, 'ratio'),
      term('flat load pf', snow.flatPa, 'pressure'),
      term(product, snow.flatPerGround, 'ratio'),
      term('density of wet snow', SNOW_DENSITY.wet, 'density'),
    ],
    besides: [
      ...(driftPa > 0 ? [term('least of both ratios', ratio, 'ratio')] : []),
      term(
        'ratio by bending, most stress / (span² depth / 16 I), less the bar and its cover, / snow',
        bending,
        'ratio',
      ),
      term('ratio by sag, most sag / (5 span⁴ / 384 EI), less the bar and its cover, / snow', sagging, 'ratio'),
      term('span between supports', beam.spanMm, 'length'),
      term('width of cover on one bar', beam.loadWidthMm, 'length'),
      term('slope', beam.slopeDeg, 'angle'),
      term('snow on one bar', (perMm - ownPerMm) * 1000, 'loadPerLength'),
      term('the bar and its cover, across it', ownPerMm * 1000, 'loadPerLength'),
      term('part of the flat load by slope', lies, 'ratio'),
      ...(driftPa > 0 ? [term('drift against the wall, as an even load', driftPa, 'pressure')] : []),
      term('stiffness EI after weeks', ei / 1e6, 'stiffness'),
      term('most sag', mostSagMm, 'length'),
    ],
    source: `${name} snow, ${snowCase} case; simply supported beam. Stopped by ${bending < sagging ? 'bending' : 'sag'}.`,
    assumes: LEFT_OUT,
  });
  return {
    what: beam.what,
    ratio: asked.flatPa > 0 ? ratio : Infinity,
    governs: bending < sagging ? 'bending' : 'sag',
    snowCase,
    wetSnowMm: carried.value,
    sure:
      asked.flatPa > 0 && Number.isFinite(ratio)
        ? snowSure(
            beam.section,
            weight,
            (stiffness, stands, times) => Math.min(bending * stands, sagging * stiffness) / times,
          )
        : undefined,
    figures: [carried],
  };
}
