import type { Member } from '../../cover/assembly/types';
import type { SectionBar } from './bars';
import { type CutDone, type FlatDone, type FlatStuff, type ShelfBar, type ShelfSheet, isCut } from './onHand';

type Changeable<T> = { -readonly [K in keyof T]: T[K] };

/** What ticking off changes: what is cut of each cover, and what is on hand. Drafts of a garden fit. */
interface SawBench {
  readonly covers: { readonly id: string; cut: CutDone[]; cutFlat: FlatDone[] }[];
  shelf: (Changeable<ShelfBar> & { where: string })[];
  shelfFlat: (Changeable<ShelfSheet> & { where: string })[];
}

/** Shorter than this is firewood, mm. */
export const KEPT_OFFCUT_MM = 200;
/** Sawn pieces that the design has since moved away from: by tag, with what it asks for now. */
export function outgrown(
  done: readonly CutDone[],
  members: readonly Member[],
): readonly { readonly done: CutDone; readonly now: Member | undefined }[] {
  return done
    .map((d) => ({ done: d, now: members.find((m) => m.tag === d.tag) }))
    .filter(({ done: d, now }) => !now || !isCut([d], now));
}

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** Which cover a piece of the plan belongs to, and its own tag there. */
export type Owner = (tag: string) => { readonly coverId: string; readonly tag: string } | undefined;

const newOnShelf = { condition: 'sound', where: '' } as const;

function putOnShelf(bench: SawBench, id: string, sectionKey: string, lengthMm: number): void {
  if (lengthMm < KEPT_OFFCUT_MM) return;
  const same = bench.shelf.find(
    (b) => b.sectionKey === sectionKey && b.condition === 'sound' && Math.abs(b.lengthMm - lengthMm) < 0.05,
  );
  if (same) same.quantity += 1;
  else bench.shelf.push({ id, sectionKey, lengthMm: tenth(lengthMm), quantity: 1, ...newOnShelf });
}

function putFlatOnShelf(bench: SawBench, id: string, of: Pick<FlatDone, 'kind' | 'key'>, size: FlatStuff): void {
  const { kind, key } = of;
  const [widthMm, lengthMm] = [tenth(size.widthMm), tenth(size.lengthMm)];
  bench.shelfFlat.push({ id, kind, key, widthMm, lengthMm, quantity: 1, ...newOnShelf });
}

/**
 * Ticks a whole bar off: its pieces are sawn, a bar from the shelf is gone from it, and what is left goes on the shelf.
 * @param id a fresh id for the offcut
 */
export function cutBar(bench: SawBench, sectionKey: string, bar: SectionBar, owner: Owner, id: string): void {
  for (const piece of bar.pieces) {
    const owned = owner(piece.tag);
    const cover = bench.covers.find((c) => c.id === owned?.coverId);
    if (owned && cover) cover.cut.push({ tag: owned.tag, sectionKey, lengthMm: piece.lengthMm });
  }
  const used = bench.shelf.find((b) => b.id === bar.shelfId);
  if (used) used.quantity -= 1;
  bench.shelf = bench.shelf.filter((b) => b !== used || b.quantity > 0);
  putOnShelf(bench, id, sectionKey, bar.offcutMm);
}

/** A sheet or roll as it is ticked off. */
export interface FlatCut {
  readonly kind: ShelfSheet['kind'];
  readonly key: string;
  /** Of the shelf's, when it came from there. */
  readonly shelfId: string | undefined;
  readonly placed: readonly (FlatStuff & { readonly tag: string })[];
  readonly left: readonly FlatStuff[];
}

/**
 * Ticks a whole sheet or roll off, as a bar is.
 * @param fresh gives fresh ids for what is left
 */
export function cutFlat(bench: SawBench, cut: FlatCut, owner: Owner, fresh: () => string): void {
  const { kind, key } = cut;
  for (const { tag, widthMm, lengthMm } of cut.placed) {
    const owned = owner(tag);
    const cover = bench.covers.find((c) => c.id === owned?.coverId);
    if (owned && cover) cover.cutFlat.push({ tag: owned.tag, kind, key, widthMm, lengthMm });
  }
  const used = bench.shelfFlat.find((s) => s.id === cut.shelfId);
  if (used) used.quantity -= 1;
  bench.shelfFlat = bench.shelfFlat.filter((s) => s !== used || s.quantity > 0);
  for (const size of cut.left) putFlatOnShelf(bench, fresh(), cut, size);
}

/**
 * A sawn piece came out wrong: it is to be cut again, and what there is of it becomes an offcut.
 * @param realMm how long it came out
 */
export function spoil(bench: SawBench, coverId: string, tag: string, realMm: number, id: string): void {
  const cover = bench.covers.find((c) => c.id === coverId);
  const piece = cover?.cut.find((d) => d.tag === tag);
  const flat = cover?.cutFlat.find((d) => d.tag === tag);
  if (cover && piece) {
    cover.cut = cover.cut.filter((d) => d !== piece);
    putOnShelf(bench, id, piece.sectionKey, realMm);
  } else if (cover && flat) {
    cover.cutFlat = cover.cutFlat.filter((d) => d !== flat);
    putFlatOnShelf(bench, id, flat, { widthMm: flat.widthMm, lengthMm: realMm });
  }
}
