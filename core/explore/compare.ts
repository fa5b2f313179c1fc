import type { Quantity } from '../base/amount';
import { type Phrase, amount } from '../base/figure';
import { coverM2, mainCover } from '../cover/assembly/enclosure';
import type { Assessment } from '../assessment';
import { partsKg } from '../judge/weights';
import { quickPrice } from '../cut';
import { FAMILY_KEYS, familyOf } from '../cover/families';
import type { Cover, Garden } from '../garden/garden';
import { carriedMm } from '../judge/strength/snowStrength';
import { assessCover } from '../plan';
import { startingCover } from './firstDesigns';

/** What families are compared by. */
export interface Measures {
  /** By the quick cutting rule; the cut plan may find a cheaper way. */
  readonly price: number;
  /** NaN where nothing of it is judged; Infinity where snow slides off. */
  readonly wetSnowMm: number;
  readonly coldestC: number;
  readonly clearanceMm: number;
  readonly heightMm: number;
  readonly hours: number;
  readonly massKg: number;
}

/** How warm a kind of cover keeps its bed. */
export type Warmth = 'airy' | 'mild' | 'warm' | 'warmest';

interface Kind {
  readonly key: string;
  readonly name: string;
  readonly sentence: string;
}

/** A family tried on a bed with its own first answers; or why it does not go there. All plain data. */
export type Candidate =
  | (Kind & {
      readonly cover: Cover;
      readonly outline: Assessment;
      readonly measures: Measures;
      readonly warmth: Warmth;
      readonly tools: readonly string[];
    })
  | (Kind & { readonly fault: string });

/** One that goes on the bed. */
export type Standing = Extract<Candidate, { cover: Cover }>;

/**
 * Every family on one bed, for one crop: worked out from the families themselves.
 * @returns one a family, with its outline and measures, or with the reason it cannot stand there; none where there is no such bed
 * @example candidates(demoGarden(), 'long', 'spinach').length // 13
 * @param onEach is told of each as soon as it is worked out
 */
export function candidates(
  garden: Garden,
  bedId: string,
  cropKey: string,
  onEach: (one: Candidate) => void = () => undefined,
): readonly Candidate[] {
  const told = (one: Candidate): readonly Candidate[] => {
    onEach(one);
    return [one];
  };
  return FAMILY_KEYS.flatMap((key): readonly Candidate[] => {
    const { name, sentence } = familyOf(key);
    const cover = startingCover(garden, bedId, key, `try-${key}`, name, cropKey);
    if (!cover) return [];
    const found = assessCover(garden, cover);
    if (!found.ok) return told({ key, name, sentence, fault: found.faults[0]?.message ?? '' });
    const o = found.value;
    return told({
      key,
      name,
      sentence,
      cover,
      outline: o,
      measures: measuresOf(o),
      warmth: warmthOf(o),
      tools: toolsOf(o),
    });
  });
}

/** Tools that the steps of a cover ask for, each once, without the size of a bit. */
export function toolsOf(o: Assessment): readonly string[] {
  const all = o.assembly.steps.flatMap((s) => s.tools).map((tool) => (tool.startsWith('drill') ? 'drill' : tool));
  return [...new Set(all)].sort();
}

/** By the heat that its cover loses and the frost it keeps off. */
function warmthOf(o: Assessment): Warmth {
  const { enclosure } = o.assembly;
  const { uWPerM2K, frostHelpC } = mainCover(enclosure);
  if (uWPerM2K === null) return frostHelpC < 2 ? 'airy' : 'mild';
  if (uWPerM2K <= 4.5) return 'warmest';
  return coverM2(enclosure) / enclosure.floorM2 < 1.8 ? 'warm' : 'mild';
}

/** The measures of an outline. */
export function measuresOf(o: Assessment): Measures {
  const { under, crop } = o.assembly;
  const { barsKg, sheetsKg } = partsKg(o.assembly);
  return {
    price: quickPrice(o),
    wetSnowMm: carriedMm(o.judged().strengths, o.judged().unjudged),
    coldestC: o.coldest.value,
    clearanceMm: crop.clearanceMm,
    heightMm: Math.max(...under.map((p) => p.z)),
    hours: o.hours.value,
    massKg: barsKg + sheetsKg,
  };
}

/** A figure of a comparison as it is read; snow alone may be without end, or unknown. */
export const designMeasures = (value: number, quantity: Quantity): Phrase =>
  Number.isFinite(value) ? [amount(value, quantity)] : [Number.isNaN(value) ? 'not judged' : 'slides off'];

/** Reasons for and against, each true of the figures beside those of the others. */
export function reasons(
  own: Measures,
  all: readonly Measures[],
): { readonly good: readonly string[]; readonly bad: readonly string[] } {
  const best = (pick: (m: Measures) => number, highest: boolean): boolean => {
    const known = all.map(pick).filter((x) => !Number.isNaN(x));
    const mine = pick(own);
    // What all share sets none apart.
    return known.some((x) => x !== mine) && known.every((x) => (highest ? mine >= x : mine <= x));
  };
  const good = [
    ...(best((m) => m.price, false) ? ['the cheapest here'] : []),
    ...(best((m) => m.wetSnowMm, true) ? ['carries the most snow'] : []),
    ...(best((m) => -m.coldestC, true) ? ['the warmest night'] : []),
    ...(best((m) => m.clearanceMm, true) ? ['the most room over the crop'] : []),
    ...(best((m) => m.hours, false) ? ['the quickest to build'] : []),
    ...(best((m) => m.massKg, false) ? ['the lightest'] : []),
  ];
  const bad = [
    ...(own.clearanceMm < 0 ? ['too low for this crop'] : []),
    ...(best((m) => m.price, true) ? ['the dearest here'] : []),
    ...(Number.isNaN(own.wetSnowMm) ? ['what snow it carries is not judged'] : []),
    ...(best((m) => m.wetSnowMm, false) ? ['carries the least snow'] : []),
    ...(best((m) => m.hours, true) ? ['takes the longest'] : []),
    ...(best((m) => m.massKg, true) ? ['the heaviest'] : []),
  ];
  return { good, bad };
}
