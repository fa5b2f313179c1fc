/** A brief that asks for less, or for more, of one thing. */
import { MM_PER_INCH } from '../../base/length';
import type { Garden } from '../../garden/garden';
import { designSnow, snowDepthMm } from '../../judge/strength/snow';
import { type Brief, PURPOSES } from '../../site/brief';

/** Wet snow that weighs as much as what is asked for at a place, mm. */
export const placeSnowMm = (site: Garden['site']): number =>
  snowDepthMm(designSnow(site.snow, site.exposure, site).groundPa, 'wet');

/** Whether the place asks for more by itself: without the wish that would come in its stead. */
export function placeAsksMore({ site }: Garden, brief: Brief, id: string): boolean {
  if (id === 'gust') return brief.gustMPerS !== null && site.gustMPerS > brief.gustMPerS;
  if (id !== 'snow' || brief.wetSnowMm === null) return false;
  return placeSnowMm(site) > brief.wetSnowMm;
}

/** The next step of a wish that asks for more, and how it is said; nothing where there is none. */
export function tighten(brief: Brief, id: string, metric: boolean): Brief | undefined {
  const rounded = (mm: number): number => {
    const step = metric ? 50 : 2 * MM_PER_INCH;
    return Math.max(step, Math.round(mm / step) * step);
  };
  if (id === 'snow' && brief.wetSnowMm !== null && brief.wetSnowMm > 0)
    return { ...brief, wetSnowMm: rounded(brief.wetSnowMm * 1.5) };
  if (id === 'cold' && brief.coldestC !== null) return { ...brief, coldestC: brief.coldestC - 3 };
  if (id === 'gust' && brief.gustMPerS !== null) return { ...brief, gustMPerS: brief.gustMPerS + 5 };
  return undefined;
}

/** Wishes that the garden itself is changed for, or that say what is measured: without them everything is weighed anew. */
const WEIGHED_ANEW = new Set(['headroom', 'snow', 'gust', 'carry']);
export const weighsTheSame = (id: string): boolean => !WEIGHED_ANEW.has(id);

/** A brief without one of its wishes. */
export function drop(brief: Brief, id: string): Brief | undefined {
  const [word, rest] = [id.split(' ')[0], id.slice(id.indexOf(' ') + 1)];
  if (id === 'one hand') return { ...brief, oneHand: false };
  if (word === 'use') return { ...brief, use: brief.use.filter((k) => k !== rest) };
  if (word === 'not') return { ...brief, notMaterials: brief.notMaterials.filter((k) => k !== rest) };
  if (id in PURPOSES) return { ...brief, purposes: brief.purposes.filter((p) => p !== id) };
  const field = FIELD[id];
  return field && { ...brief, [field]: Array.isArray(brief[field]) ? [] : null };
}
const FIELD: Readonly<Record<string, keyof Brief>> = {
  headroom: 'crops',
  cold: 'coldestC',
  snow: 'wetSnowMm',
  gust: 'gustMPerS',
  price: 'price',
  hours: 'hours',
  lift: 'liftKg',
  carry: 'carryMm',
  store: 'storeMm',
  reach: 'reach',
  hands: 'hands',
  tools: 'without',
};
