/** A drawing as a list of marks, laid out once and painted on a screen or on paper. */
import type { Flat } from '../base/geometry';

/** What something drawn is; each painter has its own colours or hatching for it. */
export type Fill = 'timber' | 'pipe' | 'film' | 'left over' | 'none';
/** Marks to cut by stand out; what is said beside is quiet. */
export type Ink = 'ink' | 'mark' | 'quiet';

/** One thing to paint, in the drawing's own units from its upper left corner, down the page. */
export type DrawnMark =
  | { readonly kind: 'outline'; readonly points: readonly Flat[]; readonly fill: Fill }
  | { readonly kind: 'line'; readonly from: Flat; readonly to: Flat; readonly ink: Ink; readonly thick: number }
  | { readonly kind: 'hole'; readonly at: Flat; readonly radius: number }
  | {
      readonly kind: 'text';
      /** On the base line of its letters. */
      readonly at: Flat;
      readonly text: string;
      readonly size: number;
      readonly ink: Ink;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly bold?: true;
      /** A measure: figures as wide as one another. */
      readonly figure?: true;
      /** It may stand over lines, and is kept clear of them. */
      readonly over?: true;
    };

/** Marks and the room that they take. */
export interface MarkList {
  readonly width: number;
  readonly height: number;
  readonly marks: readonly DrawnMark[];
}

/** Sizes of letters where a drawing is painted, and how wide words are there. */
export interface Lettering {
  readonly tag: number;
  readonly smallTag: number;
  readonly figure: number;
  /** The same measure in the other system. */
  readonly other: number;
  readonly quiet: number;
  readonly widthOf: (text: string, size: number, bold?: boolean) => number;
}

/** On a screen letters are measured by a mean width: figures and tags are nearly all as wide as one another. */
export const ON_SCREEN: Lettering = {
  tag: 14,
  smallTag: 12,
  figure: 13.5,
  other: 11.5,
  quiet: 12.5,
  widthOf: (text, size) => text.length * size * 0.62,
};

export const box = (x: number, y: number, width: number, height: number): readonly Flat[] => [
  [x, y],
  [x + width, y],
  [x + width, y + height],
  [x, y + height],
];
