/** What bars and hoops bear for good: themselves, and the cover on them. */
import { GRAVITY } from '../../base/gravity';
import { massKg } from '../../catalog/sections';
import type { Section } from '../../catalog/types';
import type { Assembly } from '../assembly/types';

/** An assembly whose rows know what each mm of a hoop or bar weighs, with every cover and stiff sheet that it wears. */
export function weighed(a: Assembly): Assembly {
  // Each stuff once: what covers an end beside a side does not lie on it too.
  const worn = new Map([
    ...a.sheets.map((s) => [s.cover.key, s.cover.kgPerM2] as const),
    ...a.spans.map((s) => [s.sheet.key, s.sheet.kgPerM2] as const),
  ]);
  const kgPerM2 = [...worn.values()].reduce((sum, kg) => sum + kg, 0);
  const weighsNPerMm = (sections: readonly Section[], widthMm: number): number =>
    // What is sold as a sheet, as the wires of mesh are, weighs with that.
    GRAVITY * (sections.reduce((kg, s) => kg + (s.stock.length > 0 ? massKg(s, 1) : 0), 0) + (kgPerM2 * widthMm) / 1e6);
  return {
    ...a,
    arches: a.arches.map((r) => ({
      ...r,
      weighsNPerMm: weighsNPerMm(r.core ? [r.section, r.core] : [r.section], r.spacingMm),
    })),
    beams: a.beams.map((r) => ({ ...r, weighsNPerMm: weighsNPerMm([r.section], r.loadWidthMm) })),
  };
}
