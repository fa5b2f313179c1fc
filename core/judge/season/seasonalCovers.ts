/** The covers that one frame wears through the year: its own, and others in its season. */
import * as z from 'zod/mini';
import { word } from '../../base/schema';
import { isMonthDay } from '../../base/days';
import { meanOf } from '../../cover/assembly/enclosure';
import type { Assembly, Enclosure } from '../../cover/assembly/types';
import { type Catalog, coverMaterial } from '../../catalog/catalog';
import type { CoverMaterial } from '../../catalog/types';
import { inSpan } from './frost';

const monthDay = z.string().check(z.refine(isMonthDay, 'must be a month and day such as 04-15'));

/** What the frame wears from one date to the next, month and day; a key of a cover, or nothing at all. */
export const coatSchema = z.strictObject({
  coverKey: z.nullable(word(60)),
  from: monthDay,
  to: monthDay,
});
export type SeasonalCover = z.infer<typeof coatSchema>;
export const MOST_COATS = 8;

/** What is worn on a day: the coat whose span it falls in (the last said counts), or the cover's own. */
export const coatOn = (coats: readonly SeasonalCover[], date: string): SeasonalCover | undefined =>
  [...coats].reverse().find((c) => inSpan(date, c.from, c.to));

/** The air under a cover when it wears another sheet: its own is off, what stands inside it stays. */
export function enclosureIn(e: Enclosure, coat: CoverMaterial): Enclosure {
  const [main, ...more] = e.skins;
  const worn = <T extends { readonly cover: CoverMaterial }>(s: T): T =>
    s.cover.key === main.cover.key ? { ...s, cover: coat } : s;
  return { ...e, skins: [worn(main), ...more.map(worn)] };
}

/** The kinds that a frame of sheets can change between: what comes off a roll. */
export const canWear = (a: Assembly): boolean =>
  a.sheets.some((s) => s.rollKey !== null || s.cover.rolls.length > 0) && a.enclosure.skins[0].cover.rolls.length > 0;

/** The sheets of a coat: as large as those of the cover's own, laid in their place. */
export function coatSheets(a: Assembly, coat: CoverMaterial, n: number): Assembly['sheets'] {
  const [main] = a.enclosure.skins;
  return a.sheets
    .filter((s) => s.cover.key === main.cover.key)
    .map((s, i) => ({
      tag: `C${10 * n + i + 1}`,
      part: `${s.part}, ${coat.name}`,
      cover: coat,
      rollKey: null,
      across: s.across,
      along: s.along,
      // It is not drawn: it lies where the cover's own does.
      faces: [],
    }));
}

/** The cover with the sheets of its coats beside its own: one for each other cover that is worn. */
export function withCoats(a: Assembly, coats: readonly SeasonalCover[], catalog: Catalog): Assembly {
  if (coats.length === 0 || !canWear(a)) return a;
  const own = a.enclosure.skins[0].cover.key;
  const keys = [...new Set(coats.flatMap((c) => (c.coverKey === null || c.coverKey === own ? [] : [c.coverKey])))];
  const more = keys.flatMap((key, n) => coatSheets(a, coverMaterial(catalog, key), n));
  return more.length > 0 ? { ...a, sheets: [...a.sheets, ...more] } : a;
}

/** What a coat costs and gives: part of the light it lets through, and how many degrees a night stays milder. */
export function coatWorth(e: Enclosure): { readonly light: number; readonly frostHelpC: number } {
  const shut = e.open ? 0 : 1;
  return {
    light: meanOf(e, ({ cover, inner }) => cover.light * (inner?.light ?? 1)),
    frostHelpC: shut * meanOf(e, ({ cover, inner }) => cover.frostHelpC + (inner?.frostHelpC ?? 0)),
  };
}
