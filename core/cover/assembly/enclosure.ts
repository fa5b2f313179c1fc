import { type Point2, area, enclosedArea, pathLength } from '../../base/geometry';
import { type Catalog, coverMaterial } from '../../catalog/catalog';
import type { CoverMaterial } from '../../catalog/types';
import type { Enclosure, Panel, Skin } from './types';

/**
 * The air under a cover of one cross-section along its whole length, shut at both ends.
 * @param line the cover across the bed, mm; its ends are joined along the soil
 * @param over length covered, width and inside height, mm
 * @param inner a second layer inside the part along the bed, not at its ends
 */
export function underLine(
  cover: CoverMaterial,
  line: readonly Point2[],
  over: { readonly lengthMm: number; readonly widthMm: number; readonly heightMm: number },
  inner?: CoverMaterial,
): Enclosure {
  const sectionM2 = enclosedArea(line) / 1e6;
  const alongM2 = (pathLength(line) * over.lengthMm) / 1e6;
  return {
    skins: inner
      ? [
          { cover, inner, m2: alongM2 },
          { cover, m2: 2 * sectionM2 },
        ]
      : [{ cover, m2: alongM2 + 2 * sectionM2 }],
    floorM2: (over.lengthMm * over.widthMm) / 1e6,
    volumeM3: (sectionM2 * over.lengthMm) / 1000,
    heightM: over.heightMm / 1000,
  };
}

/** The same air with firm ends in place of the sheet there: plywood as walls, clear ones as skins of their own. */
export function withFirmEnds(e: Enclosure, ends: readonly Panel[], catalog: Catalog): Enclosure {
  if (ends.length === 0) return e;
  const [first, ...more] = e.skins;
  const m2Of = (p: Panel): number => area(p.outline) / 1e6;
  const m2 = ends.reduce((sum, p) => sum + m2Of(p), 0);
  const clear = ends.flatMap((p): readonly Skin[] =>
    p.sheet.coverKey === null ? [] : [{ cover: coverMaterial(catalog, p.sheet.coverKey), m2: m2Of(p) }],
  );
  const dark = ends.filter((p) => p.sheet.coverKey === null);
  return {
    ...e,
    skins: [{ ...first, m2: Math.max(0, first.m2 - m2) }, ...more, ...clear],
    walls: [
      ...(e.walls ?? []),
      ...dark.map((p) => ({ kind: 'plywood' as const, thicknessMm: p.sheet.thicknessMm, m2: m2Of(p) })),
    ],
  };
}

/** Area of all that lets light through, m2. */
export const coverM2 = ({ skins }: Pick<Enclosure, 'skins'>): number => skins.reduce((sum, s) => sum + s.m2, 0);

/** The mean of a figure over all skins, by their areas. */
export const meanOf = (e: Pick<Enclosure, 'skins'>, figure: (s: Skin) => number): number =>
  e.skins.reduce((sum, s) => sum + s.m2 * figure(s), 0) / coverM2(e);

/** The cover that most of it is closed with. */
export const mainCover = ({ skins }: Pick<Enclosure, 'skins'>): CoverMaterial => skins[0].cover;
