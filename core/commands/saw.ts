/** Pieces cut, spoilt, and how bars are chosen. */
import type { Result } from '../base/result';
import type { Garden } from '../garden/garden';
import type { SectionBar } from '../make/cutting/bars';
import { type FlatCut, type Owner, cutBar, cutFlat, spoil } from '../make/cutting/tickOff';
import { type Change, change } from './change';

/** A whole bar of a section, as it is cut up. */
interface BarCut {
  readonly sectionKey: string;
  readonly bar: SectionBar;
}

/**
 * Ticks bars, sheets and rolls off as cut: what they were taken from is gone from the shelf, what is left of them lies there.
 * @param owner which cover a piece of the plan belongs to
 * @param freshId gives ids that are not there yet
 */
export const cutPieces = (
  garden: Garden,
  label: string,
  cuts: { readonly bars?: readonly BarCut[]; readonly flat?: readonly FlatCut[] },
  owner: Owner,
  freshId: () => string,
): Result<Change> =>
  change(garden, label, (g) => {
    for (const { sectionKey, bar } of cuts.bars ?? []) cutBar(g, sectionKey, bar, owner, freshId());
    for (const cut of cuts.flat ?? []) cutFlat(g, cut, owner, freshId);
  });

/** A piece came out short: it is to be cut again, and what there is of it, mm, goes on the shelf. */
export const spoilPiece = (
  garden: Garden,
  coverId: string,
  tag: string,
  realMm: number,
  offcutId: string,
): Result<Change> => change(garden, `Spoil ${tag}`, (g) => spoil(g, coverId, tag, realMm, offcutId));

/** Sets the longest bar or sheet that is carried home, mm; null carries any. */
export const setCarry = (garden: Garden, carryMm: number | null): Result<Change> =>
  change(garden, 'Set what is carried', (g) => void (g.catalog.carryMm = carryMm));

/** Sets whether equal pieces come at full length or halved out of one bar. */
export const setHalves = (garden: Garden, halves: Garden['catalog']['halves']): Result<Change> =>
  change(garden, 'Set how bars are halved', (g) => void (g.catalog.halves = halves));
