/** What lies on the shelf, and what is cut already. */
import type { Member } from '../../cover/assembly/types';

/** Bowed bars are cut into short pieces only; worn stuff is not planned with. */
type ShelfCondition = 'sound' | 'bowed' | 'worn';

/** A bar or pipe on hand. */
export interface ShelfBar {
  readonly id: string;
  readonly sectionKey: string;
  readonly lengthMm: number;
  readonly quantity: number;
  readonly condition: ShelfCondition;
}

/** A flat piece of something, mm; the length is along the channels of a sheet, or along the roll. */
export interface FlatStuff {
  readonly widthMm: number;
  readonly lengthMm: number;
}

/** Sheets and rolls on hand, whole or what is left of them. */
export interface ShelfSheet extends FlatStuff {
  readonly id: string;
  readonly kind: 'sheet' | 'cover';
  readonly key: string;
  readonly quantity: number;
  readonly condition: ShelfCondition;
}

/** A piece sawn already, as long as it came out. */
export interface CutDone {
  readonly tag: string;
  readonly sectionKey: string;
  readonly lengthMm: number;
}

/** A piece of sheet or roll cut already: what it was cut from, and how large it came out. */
export interface FlatDone extends FlatStuff {
  readonly tag: string;
  readonly kind: ShelfSheet['kind'];
  readonly key: string;
}

/** A piece this near to what the design asks for is the piece it asks for, mm. */
const SAME_MM = 0.6;

/** Whether a piece has been sawn at the length that the design asks for now. */
export function isCut(done: readonly CutDone[], m: Member): boolean {
  return done.some(
    (d) => d.tag === m.tag && d.sectionKey === m.section.key && Math.abs(d.lengthMm - m.lengthMm) < SAME_MM,
  );
}

/** Whether a piece of sheet or roll has been cut, either way round. */
export function isFlatCut(
  done: readonly FlatDone[],
  tag: string,
  key: string,
  widthMm: number,
  lengthMm: number,
): boolean {
  const near = (a: number, b: number): boolean => Math.abs(a - b) < SAME_MM;
  return done.some(
    (d) =>
      d.tag === tag &&
      d.key === key &&
      ((near(d.widthMm, widthMm) && near(d.lengthMm, lengthMm)) ||
        (near(d.widthMm, lengthMm) && near(d.lengthMm, widthMm))),
  );
}
