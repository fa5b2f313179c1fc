/** Snow that a wall beside the bed gathers on a cover that is not built for it. */
import type { Assembly } from '../../build/assembly/types';
import { type Figure, amount, phrase } from '../../base/figure';
import type { Bed } from '../../site/bed';
import type { Beside } from '../../site/plotting';
import { beamStrength } from './beam';
import { ASK, type Check, type CheckSite, sureIn, verdictOf } from './check';
import { snowTries, sureOfSnow } from './hoopChecks';
import { type DesignSnow, type DriftBeside, SNOW_DENSITY, driftAtPa, driftOf, snowDepthMm } from './snow';
import { BRUSH_AT, hoopStrength } from './strength';
import { beamTries } from './timberChecks';

/** Less than this is no depth that anybody sees. */
const LEAST_BRUSHED_MM = 15;

/** The wall or fence beside a bed, where the drift of it reaches the cover. */
export function driftBeside({ gapMm, heightMm }: Beside, { wall }: Bed, snow: DesignSnow): DriftBeside | undefined {
  const wallMm = heightMm - wall.heightMm;
  return gapMm < driftOf(snow, wallMm).reachMm ? { gapMm, wallMm } : undefined;
}

/**
 * How hoops and bars bear the drift of the wall or fence beside them, on top of the even snow. It fails only where nobody brushes: what is
 * brushed after a fall does not gather.
 */
export function driftCheck({ arches, beams }: Assembly, site: CheckSite): readonly Check[] {
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
    tries: () => snowTries(arch, catalog),
  }));
  const bars = beams.map((beam) => {
    const runMm = beam.spanMm * Math.cos((beam.slopeDeg * Math.PI) / 180);
    const strength = beamStrength({ ...beam, drift: { wallMm, runMm, by: 'slope' } }, snow, snowSpread);
    return { strength, tries: () => beamTries(beam, catalog) };
  });
  // Where nothing is judged nothing is told of the drift either.
  if (hoops.length + bars.length === 0) return [];
  const worst = [...hoops, ...bars].sort((a, b) => a.strength.ratio - b.strength.ratio)[0];
  const { what, ratio } = worst?.strength ?? { what: 'The cover', ratio: Infinity };
  const brushMm = snowDepthMm(BRUSH_AT * ratio * (snow.flatPa + atEdgePa));
  const figure: Figure = {
    label: 'Wet snow more beside the wall',
    value: moreMm,
    quantity: 'snowDepth',
    formula: 'depth = drift at the edge / (density of wet snow × 9.80665)',
    terms: [
      { name: 'drift at the edge', ...amount(atEdgePa, 'pressure') },
      { name: 'density of wet snow', ...amount(SNOW_DENSITY.wet, 'density') },
      { name: 'drift at the wall', ...amount(drift.peakPa, 'pressure') },
      { name: 'reaches from the wall', ...amount(drift.reachMm, 'length') },
      { name: 'wall over the edge', ...amount(wallMm, 'length') },
      { name: 'wall to the bed', ...amount(gapMm, 'length') },
      { name: 'even snow', ...amount(snow.flatPa, 'pressure') },
      { name: 'times both together are borne', ...amount(ratio, 'times') },
    ],
    source: snow.practice === 'en' ? 'EN 1991-1-3, sec. 6.2' : 'ASCE/SEI 7, secs. 7.7 and 7.8',
    assumes: ['The wall runs along the bed. Nothing of the drift slides off.'],
  };
  const before =
    brushMm < LEAST_BRUSHED_MM
      ? ['as soon as any lies there.']
      : phrase`before ${amount(brushMm, 'snowDepth')} lies there.`;
  const brush = phrase`${site.brushed ? ': brush that edge' : ', and the snow is left to lie (Air). It would have to be brushed'} ${before}`;
  return [
    {
      id: 'drift',
      leaf: 'stand',
      verdict: site.brushed && ratio < 1.25 ? 'tight' : verdictOf(ratio),
      text: phrase`Snow drifts against ${beside.name}, ${amount(gapMm, 'length')} from this bed: with what is asked, about ${amount(moreMm, 'snowDepth')} of wet snow more lies at that edge, less and less for ${amount(drift.reachMm - gapMm, 'length')}. ${what} ${what.endsWith('s') ? 'bear' : 'bears'} ${amount(ratio, 'times')} times both together${ratio < 1.25 ? brush : '.'}`,
      figure,
      ...sureIn(worst && sureOfSnow(worst.strength, snow)),
      caution: ASK,
      tries: worst?.tries() ?? [],
    },
  ];
}
