/** How lids and roofs are glazed: in how many sheets, on how many bars, and what light and warmth they give. */
import type { CoverMaterial } from '../../catalog/types';
import { type Catalog, coverMaterial, stiffSheet } from '../../catalog/catalog';
import type { BuildSite } from '../../site/buildSite';
import { MM_PER_INCH } from '../../base/length';

/** What a lid is glazed with; film goes on both faces of its frame. */
export type Glazing = 'old-window' | 'twin-wall-6' | 'corrugated' | 'film-both';

/** What is glazed with what, of the sheets that are sold where it stands. */
interface GlazedSite {
  readonly site: BuildSite;
  readonly glazing: Glazing;
}

/** Screws of stiff sheet stand so far apart, mm. */
export const GLAZING_SCREWS_MM = 250;

/** Corrugated sheets lap by one wave. */
export const LAP_MM = 2 * MM_PER_INCH;

/** How wide one glazing sheet covers along the lid. */
export function paneWidth({ site, glazing }: GlazedSite): number {
  if (glazing === 'old-window' || glazing === 'film-both') return Infinity;
  const widest = Math.max(...stiffSheet(site.catalog, glazing).sizes.map((x) => x.widthMm));
  return glazing === 'corrugated' ? widest - LAP_MM : widest;
}

/** More sheets than this are no lid. */
const MOST_PANES = 60;

/**
 * How many sheets a lid is glazed with, and how many bars lie under it: every joint of two sheets on a bar, no sheet wider than is
 * sold, and all of them about as wide, so that no strip is left over.
 * @param each length of the lid, and w width of its stiles, mm
 */
export function panesAndBars(
  s: GlazedSite & { readonly bars: number | null },
  each: number,
  w: number,
): { readonly panes: number; readonly bars: number } {
  const most = s.glazing === 'corrugated' ? paneWidth(s) + LAP_MM : paneWidth(s);
  const lap = s.glazing === 'corrugated' ? LAP_MM : 0;
  for (let panes = 1; ; panes++) {
    const inner = (each - w) / panes + (panes > 2 ? lap : 0);
    const outer = panes === 1 ? each : (each - w) / panes + w / 2 + lap / 2;
    // A sheet narrower than the stile it lies on is too large however many there are: the checks say so.
    if (panes < MOST_PANES && Math.max(outer, panes > 2 ? inner : 0) > most + 0.5) continue;
    const wanted = Math.max(s.bars ?? 0, panes - 1);
    return { panes, bars: panes * Math.ceil((wanted + 1) / panes) - 1 };
  }
}

/** The cover that lids of a glazing are, in the table of light and warmth. */
export function glazingCover(catalog: Catalog, glazing: Glazing): CoverMaterial {
  return coverMaterial(
    catalog,
    glazing === 'film-both' ? 'film-double' : (stiffSheet(catalog, glazing).coverKey ?? 'glass'),
  );
}
