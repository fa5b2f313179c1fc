/** Snow that a wall beside the bed gathers on a cover that is not built for it. */
import type { Assembly } from '../../cover/assembly/types';
import { amount, phrase, term } from '../../base/figure';
import { worked } from '../../base/formula';
import type { Bed } from '../../site/bed';
import type { Obstacle } from '../../site/plotting';
import { beamStrength } from './beam';
import { aboutHoops, aboutTags } from './about';
import { ASK, type Check, type CheckSite, measured } from './check';
import { snowTries, sureOfSnow } from './hoopChecks';
import { type DesignSnow, type DriftBeside, SNOW_DENSITY, driftAtPa, driftOf, snowDepthMm } from './snow';
import { BRUSH_AT, hoopStrength } from './snowStrength';
import { beamTries } from './timberChecks';

/** Less than this is no depth that anybody sees. */
const LEAST_BRUSHED_MM = 15;

/** The wall or fence beside a bed, where the drift of it reaches the cover. */
export function driftBeside({ gapMm, heightMm }: Obstacle, { wall }: Bed, snow: DesignSnow): DriftBeside | undefined {
  const wallMm = heightMm - wall.heightMm;
  return gapMm < driftOf(snow, wallMm).reachMm ? { gapMm, wallMm } : undefined;
}

/**
 * How hoops and bars bear the drift of the wall or fence beside them, on top of the even snow. It fails only where nobody brushes: what is
 * brushed after a fall does not gather.
 */
export function driftCheck(a: Assembly, site: CheckSite): readonly Check[] {
  const { arches, beams } = a;
  const { beside, snow, snowSpread } = site;
  if (!beside || beams.some((b) => b.drift)) return [];
  const at = driftBeside(beside, site.site.bed, snow);
  if (!at) return [];
  const { gapMm, wallMm } = at;
  const drift = driftOf(snow, wallMm);
  const atEdgePa = driftAtPa(drift, gapMm);
  const moreMm = snowDepthMm(atEdgePa);
  const { catalog } = site.site;
  const hoops = arches.map((arch) => ({
    strength: hoopStrength(arch, snow, snowSpread, false, at),
    about: () => aboutHoops(arch),
    tries: () => snowTries(arch, catalog),
  }));
  const bars = beams.map((beam) => {
    const runMm = beam.spanMm * Math.cos((beam.slopeDeg * Math.PI) / 180);
    const strength = beamStrength({ ...beam, drift: { wallMm, runMm, by: 'slope' } }, snow, snowSpread);
    return { strength, about: () => aboutTags(a, beam.tags), tries: () => beamTries(beam, catalog) };
  });
  const [worst] = [...hoops, ...bars].sort((x, y) => x.strength.ratio - y.strength.ratio);
  // Where nothing is judged nothing is told of the drift either.
  if (!worst) return [];
  const { what, ratio } = worst.strength;
  const brushMm = snowDepthMm(BRUSH_AT * ratio * (snow.flatPa + atEdgePa));
  const figure = worked({
    label: 'Wet snow more beside the wall',
    quantity: 'snowDepth',
    formula: 'depth = drift at the edge / (density of wet snow × 9.80665)',
    terms: [term('drift at the edge', atEdgePa, 'pressure'), term('density of wet snow', SNOW_DENSITY.wet, 'density')],
    besides: [
      term('drift at the wall', drift.peakPa, 'pressure'),
      term('reaches from the wall', drift.reachMm, 'length'),
      term('wall over the edge', wallMm, 'length'),
      term('wall to the bed', gapMm, 'length'),
      term('even snow', snow.flatPa, 'pressure'),
      term('times both together are borne', ratio, 'times'),
    ],
    source: snow.practice === 'en' ? 'EN 1991-1-3, sec. 6.2' : 'ASCE/SEI 7, secs. 7.7 and 7.8',
    assumes: ['The wall runs along the bed. Nothing of the drift slides off.'],
  });
  const before =
    brushMm < LEAST_BRUSHED_MM
      ? ['as soon as any lies there.']
      : phrase`before ${amount(brushMm, 'snowDepth')} lies there.`;
  const brush = phrase`${site.brushed ? ': brush that edge' : ', and the snow is left to lie (Air). It would have to be brushed'} ${before}`;
  return [
    measured({
      id: 'drift',
      leaf: 'stand',
      about: worst.about(),
      under: 'snow',
      measure: { demand: Number.isFinite(ratio) ? 1 : 0, capacity: ratio, ...(site.brushed && { mild: true }) },
      text: phrase`Snow drifts against ${beside.name}, ${amount(gapMm, 'length')} from this bed: about ${amount(moreMm, 'snowDepth')} of wet snow lies at that edge beside what falls, and none any more ${amount(drift.reachMm - gapMm, 'length')} farther in. ${what} ${what.endsWith('s') ? 'bear' : 'bears'} ${amount(ratio, 'times')} times both together${ratio < 1.25 ? brush : '.'}`,
      figure,
      sure: sureOfSnow(worst.strength, snow),
      caution: ASK,
      tries: worst.tries(),
    }),
  ];
}
