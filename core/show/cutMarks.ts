/** Marks to cut by: a line through the work at each place, and its measure under it. */
import type { DrawnMark, Lettering } from './drawing';
import { markRows } from './labelRows';

/** Where a mark is, and its measure; in the other system under it, where that is said. */
export interface CutMark {
  readonly x: number;
  readonly figure: string;
  readonly other?: string;
}

/** Where lines begin and end and measures stand in the first row, down the page; how high a row is, and how thick a line. */
interface CutMarksAt {
  readonly top: number;
  readonly foot: number;
  readonly base: number;
  readonly row: number;
  readonly thick: number;
  /** Where the drawing begins. */
  readonly from?: number;
}

/** From the measure to the same in the other system, in sizes of its letters. */
const OTHER_UNDER = 1.13;

/** @returns the marks, and where the lowest of the measures stands */
export function cutMarks(
  list: readonly CutMark[],
  { top, foot, base, row, thick, from }: CutMarksAt,
  l: Lettering,
): { readonly marks: readonly DrawnMark[]; readonly lowest: number } {
  const wide = ({ figure, other = '' }: CutMark): number =>
    Math.max(l.widthOf(figure, l.figure), l.widthOf(other, l.other));
  const places = markRows(
    list.map((m) => ({ at: m.x, halfWidth: wide(m) / 2 })),
    from,
  );
  const placed = list.map((m, i) => ({ ...m, at: places[i]?.at ?? m.x, drop: (places[i]?.row ?? 0) * row }));
  const text = { kind: 'text', anchor: 'middle', figure: true, over: true } as const;
  return {
    lowest: base + Math.max(0, ...placed.map((m) => m.drop + (m.other === undefined ? 0 : OTHER_UNDER * l.other))),
    marks: [
      ...placed.map(({ x, drop }): DrawnMark => ({
        kind: 'line',
        from: [x, top],
        to: [x, foot + drop],
        ink: 'mark',
        thick,
      })),
      ...placed.flatMap(({ at, drop, figure, other }): readonly DrawnMark[] => [
        { ...text, at: [at, base + drop], text: figure, size: l.figure, ink: 'mark', bold: true },
        ...(other === undefined
          ? []
          : [
              {
                ...text,
                at: [at, base + OTHER_UNDER * l.other + drop],
                text: other,
                size: l.other,
                ink: 'quiet',
              } as const,
            ]),
      ]),
    ],
  };
}
