import { panelAreaM2 } from './assembly/pieces';
import { coverMaterial } from './catalog/covers';
import { massKg, section } from './catalog/sections';
import { stiffSheet } from './catalog/sheets';
import { sheetSize } from './cover/rolls';
import type { BoundFamily } from './families';
import { FAMILY_KEYS, type FamilyKey, familyOf } from './families';
import type { Cover, Garden } from './files/garden';
import { type Outline, buildSite, outline } from './plan';
import type { Fault } from './result';

/** A family tried on a bed with its own first answers; or why it does not go there. */
export type Candidate =
  | {
      readonly key: FamilyKey;
      readonly family: BoundFamily;
      readonly outline: Outline;
      readonly tools: readonly string[];
    }
  | { readonly key: FamilyKey; readonly family: BoundFamily; readonly faults: readonly Fault[] };

/** A cover of a family on a bed, with the family's first answers. */
export function firstCover(garden: Garden, bedId: string, key: FamilyKey, id: string, name: string): Cover | undefined {
  const site = buildSite(garden, bedId);
  if (!site) return undefined;
  const answers = familyOf(key).defaults(site);
  // Answers come from the family of this very key, so the pair is sound.
  return { id, name, bedId, family: key, answers, kept: null, build: { at: 0, done: [] } } as unknown as Cover;
}

/** Every family on one bed, for one crop: worked out from the families themselves. */
export function candidates(garden: Garden, bedId: string, cropKey: string): readonly Candidate[] {
  return FAMILY_KEYS.flatMap((key): Candidate[] => {
    const family = familyOf(key);
    const cover = firstCover(garden, bedId, key, `try-${key}`, family.name);
    if (!cover) return [];
    const found = outline(garden, { ...cover, answers: { ...cover.answers, crop: cropKey } } as Cover);
    if (!found.ok) return [{ key, family, faults: found.faults }];
    return [{ key, family, outline: found.value, tools: toolsOf(found.value) }];
  });
}

/** Tools that the steps of a cover ask for, each once, without the size of a bit. */
function toolsOf(o: Outline): readonly string[] {
  const all = o.assembly.steps.flatMap((s) => s.tools).map((tool) => (tool.startsWith('drill') ? 'drill' : tool));
  return [...new Set(all)].sort();
}

/** What families are compared by. Price and weight come later than the rest, from the cut plan. */
export interface Measures {
  readonly price: number;
  /** NaN where nothing of it is judged; Infinity where snow slides off. */
  readonly wetSnowMm: number;
  readonly coldestC: number;
  readonly clearanceMm: number;
  readonly hours: number;
  readonly massKg: number;
}

/** The measures of an outline, with a price worked out elsewhere. */
export function measuresOf(o: Outline, price: number): Measures {
  const mass =
    o.assembly.members.reduce((sum, m) => sum + massKg(section(m.sectionKey), m.lengthMm), 0) +
    o.assembly.sheets.reduce((sum, s) => {
      const { acrossMm, alongMm } = sheetSize(s);
      return sum + ((acrossMm * alongMm) / 1e6) * coverMaterial(s.coverKey).kgPerM2;
    }, 0) +
    o.assembly.panels.reduce((sum, p) => sum + panelAreaM2(p) * stiffSheet(p.sheetKey).kgPerM2, 0);
  return {
    price,
    wetSnowMm: o.strengths[0]?.wetSnowMm ?? NaN,
    coldestC: o.coldest.value,
    clearanceMm: o.assembly.crop.clearanceMm,
    hours: o.hours.value,
    massKg: mass,
  };
}

/** Reasons for and against, each true of the figures beside those of the others. */
export function reasons(
  own: Measures,
  all: readonly Measures[],
): { readonly good: readonly string[]; readonly bad: readonly string[] } {
  const best = (pick: (m: Measures) => number, highest: boolean): boolean =>
    all.length > 1 &&
    all.filter((m) => !Number.isNaN(pick(m))).every((m) => (highest ? pick(own) >= pick(m) : pick(own) <= pick(m)));
  const good = [
    ...(best((m) => m.price, false) ? ['the cheapest here'] : []),
    ...(best((m) => m.wetSnowMm, true) ? ['carries the most snow'] : []),
    ...(best((m) => -m.coldestC, true) ? ['the warmest night'] : []),
    ...(best((m) => m.hours, false) ? ['the quickest to build'] : []),
    ...(best((m) => m.massKg, false) ? ['the lightest'] : []),
  ];
  const bad = [
    ...(own.clearanceMm < 0 ? ['too low for this crop'] : []),
    ...(best((m) => m.price, true) ? ['the dearest here'] : []),
    ...(best((m) => m.wetSnowMm, false) ? ['carries the least snow'] : []),
    ...(best((m) => m.hours, true) ? ['takes the longest'] : []),
  ];
  return { good, bad };
}
