import type { Member } from '../assembly/types';
import type { SectionBar } from './bars';

/** A piece sawn already, as long as it came out. */
export interface CutDone {
  readonly tag: string;
  readonly sectionKey: string;
  readonly lengthMm: number;
}

/** What ticking off changes: a cover's sawn pieces, and the bars on hand. Drafts of a garden fit. */
export interface SawBench {
  readonly covers: { readonly id: string; cut: CutDone[] }[];
  shelf: { id: string; sectionKey: string; lengthMm: number; quantity: number }[];
}

/** Shorter than this is firewood, mm. */
export const KEPT_OFFCUT_MM = 200;
/** A piece this near to what the design asks for is the piece it asks for, mm. */
const SAME_MM = 0.6;

/** Whether a piece has been sawn at the length that the design asks for now. */
export function isCut(done: readonly CutDone[], m: Member): boolean {
  return done.some(
    (d) => d.tag === m.tag && d.sectionKey === m.sectionKey && Math.abs(d.lengthMm - m.lengthMm) < SAME_MM,
  );
}

/** Sawn pieces that the design has since moved away from: by tag, with what it asks for now. */
export function outgrown(
  done: readonly CutDone[],
  members: readonly Member[],
): readonly { readonly done: CutDone; readonly now: Member | undefined }[] {
  return done
    .map((d) => ({ done: d, now: members.find((m) => m.tag === d.tag) }))
    .filter(({ done: d, now }) => !now || !isCut([d], now));
}

/** Which cover a piece of the plan belongs to, and its own tag there. */
export type Owner = (tag: string) => { readonly coverId: string; readonly tag: string } | undefined;

function putOnShelf(bench: SawBench, id: string, sectionKey: string, lengthMm: number): void {
  if (lengthMm < KEPT_OFFCUT_MM) return;
  const same = bench.shelf.find((b) => b.sectionKey === sectionKey && Math.abs(b.lengthMm - lengthMm) < 0.05);
  if (same) same.quantity += 1;
  else bench.shelf.push({ id, sectionKey, lengthMm: Math.round(lengthMm * 10) / 10, quantity: 1 });
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
  if (bar.fromShelf) {
    const used = bench.shelf.find(
      (b) => b.sectionKey === sectionKey && b.quantity > 0 && Math.abs(b.lengthMm - bar.lengthMm) < 0.05,
    );
    if (used) used.quantity -= 1;
    bench.shelf = bench.shelf.filter((b) => b.quantity > 0);
  }
  putOnShelf(bench, id, sectionKey, bar.offcutMm);
}

/**
 * A sawn piece came out wrong: it is to be cut again, and what there is of it becomes an offcut.
 * @param realMm how long it came out
 */
export function spoil(bench: SawBench, coverId: string, tag: string, realMm: number, id: string): void {
  const cover = bench.covers.find((c) => c.id === coverId);
  const piece = cover?.cut.find((d) => d.tag === tag);
  if (!cover || !piece) return;
  cover.cut = cover.cut.filter((d) => d !== piece);
  putOnShelf(bench, id, piece.sectionKey, realMm);
}
