/** Beds and covers for tests: ours alone, made up. */
import { MM_PER_INCH } from '../base/length';
import type { Assembly } from '../cover/assembly/types';
import { familyOf } from '../cover/families';
import { SHIPPED } from '../catalog/catalog';
import { squareBed } from '../site/bed';
import type { BuildSite } from '../site/buildSite';
import { survey } from '../site/survey';

export const inch = (x: number): number => x * MM_PER_INCH;

/** A square bed of walls 11 in high and 1-1/2 in thick, in the shops of one system. */
export function siteOf(lengthMm: number, widthMm: number, more: Partial<BuildSite> = {}): BuildSite {
  const bed = squareBed(
    'b',
    'Bed',
    lengthMm,
    widthMm,
    { heightMm: inch(11), thicknessMm: inch(1.5) },
    { xMm: 0, yMm: 0 },
  );
  return { bed, survey: survey(bed), windy: false, market: 'imperial', catalog: SHIPPED, ...more };
}
/** The same by its outside in inches. */
export const at = (lengthIn: number, widthIn: number, windy = false): BuildSite =>
  siteOf(inch(lengthIn), inch(widthIn), { windy });

/** A family's cover on a bed, with some of its first answers changed. @throws when it cannot be built. */
export function build(family: string, site: BuildSite, more: object = {}): Assembly {
  const found = familyOf(family).assemble({ ...familyOf(family).defaults(site), ...more }, site);
  if (!found.ok) throw new Error(JSON.stringify(found.faults));
  return found.value;
}

/** How many of a counted thing an assembly takes. */
export const countItems = (a: Pick<Assembly, 'hardware'>, itemKey: string): number =>
  a.hardware.filter((h) => h.itemKey === itemKey).reduce((sum, h) => sum + h.count, 0);
