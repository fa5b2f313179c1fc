import { type FlatDone, type FlatStuff, type ShelfSheet, isFlatCut } from '../cutting/onHand';
import type { CoverMaterial, Roll } from '../../catalog/types';
import type { HardwareUse, SheetPart } from '../../cover/assembly/types';
import { leftovers, onShelf } from '../cutting/flat';
import { type PlacedPiece, packSheets, sawMm } from '../cutting/sheets';
import { MM_PER_INCH } from '../../base/length';

/** A sheet's cut size: the sum of its allowances, mm. */
interface CutSheetSize {
  readonly acrossMm: number;
  readonly alongMm: number;
}

/** Adds a sheet's allowances up. */
export function sheetSize(part: SheetPart): CutSheetSize {
  const total = (lines: SheetPart['across']): number => lines.reduce((sum, line) => sum + line.mm, 0);
  return { acrossMm: total(part.across), alongMm: total(part.along) };
}

/** Where a sheet, or one strip of a seamed one, is cut from a roll; `turned` lies with its long way across the roll. */
interface Placed {
  readonly tag: string;
  readonly part: string;
  readonly atMm: number;
  readonly sideMm: number;
  readonly runMm: number;
  readonly widthMm: number;
  readonly turned: boolean;
}

/** One roll and what is cut from it. */
export interface RollCut {
  readonly cover: CoverMaterial;
  readonly label: string;
  readonly roll: Roll;
  readonly fromShelf: boolean;
  readonly placed: readonly Placed[];
  /** Full-width length left on the roll. */
  readonly leftMm: number;
  /** Everything worth keeping of it. */
  readonly left: readonly FlatStuff[];
  readonly usedShare: number;
}

/** A sheet that no roll is wide enough for, made of strips that lap. */
export interface Seam {
  readonly tag: string;
  readonly cover: CoverMaterial;
  readonly strips: number;
  readonly lapMm: number;
  /** All its seams together. */
  readonly lengthMm: number;
}

/** Thread that a row of stitches takes, for each length of it. */
const STITCHES = 1.5;
/** Rows of stitches, one near each edge of the lap. */
export const SEAM_ROWS = 2;

/** What holds a seam: tape on both faces of film, rows of stitches in fabric. */
export function seamHardware(seams: readonly Seam[]): readonly HardwareUse[] {
  return seams.map((s) => {
    const film = s.cover.kind === 'film';
    const metres = s.lengthMm / 1000;
    return {
      itemKey: film ? 'seam-tape' : 'thread',
      count: Math.ceil(metres * (film ? 2 : SEAM_ROWS * STITCHES)),
      joint: film ? `Both faces of the seam in ${s.tag}` : `${SEAM_ROWS} rows of stitches in the seam of ${s.tag}`,
    };
  });
}

/** Rolls for all sheets; those that need a seam; and the tags of sheets that not even strips of a roll make. */
export interface RollPlan {
  readonly rolls: readonly RollCut[];
  readonly seams: readonly Seam[];
  readonly tooWide: readonly { readonly tag: string; readonly needMm: number; readonly widestMm: number }[];
}

const EDGE_MM = 0.5;
/** Sewn or taped seams lap 4 in. */
const LAP_MM = 4 * MM_PER_INCH;
/** More strips than this are no sheet any more. */
const MOST_STRIPS = 4;

interface Strip {
  readonly tag: string;
  readonly part: string;
  readonly acrossMm: number;
  readonly alongMm: number;
}

type Size = Pick<Roll, 'widthMm' | 'lengthMm'>;

/** Whether a piece goes on a roll, either way round. */
function holds(roll: Size, a: number, b: number): boolean {
  const fits = (across: number, along: number): boolean =>
    across <= roll.widthMm + EDGE_MM && along <= roll.lengthMm + EDGE_MM;
  return fits(a, b) || fits(b, a);
}

/** A sheet in the fewest lapped strips that some roll holds, the seams along it rather than across; undefined when none does. */
function strips(
  part: SheetPart,
  rolls: readonly Size[],
): { readonly list: readonly Strip[]; readonly seam?: Seam } | undefined {
  const { acrossMm, alongMm } = sheetSize(part);
  const { tag, cover } = part;
  const most = cover.kind === 'mesh' ? 1 : MOST_STRIPS;
  for (let n = 1; n <= most; n++)
    for (const way of ['along', 'across'] as const) {
      const split = (mm: number): number => (mm + (n - 1) * LAP_MM) / n;
      const [a, l] = way === 'along' ? [split(acrossMm), alongMm] : [acrossMm, split(alongMm)];
      if (!rolls.some((roll) => holds(roll, a, l))) continue;
      if (n === 1) return { list: [{ tag, part: part.part, acrossMm, alongMm }] };
      return {
        list: Array.from({ length: n }, (_, i) => ({
          tag: `${tag}-${i + 1}`,
          part: `${part.part}, strip ${i + 1}`,
          acrossMm: a,
          alongMm: l,
        })),
        seam: { tag, cover, strips: n, lapMm: LAP_MM, lengthMm: (n - 1) * (way === 'along' ? alongMm : acrossMm) },
      };
    }
  return undefined;
}

/** A roll kept on the shelf, as a roll. */
interface Stock extends Size {
  readonly roll: Roll;
  readonly price: number;
  readonly available?: number;
}

function asPlaced(p: PlacedPiece, s: Strip): Placed {
  return {
    tag: s.tag,
    part: s.part,
    atMm: p.yMm,
    sideMm: p.xMm,
    runMm: p.lengthMm,
    widthMm: p.widthMm,
    turned: Math.abs(p.widthMm - s.acrossMm) > EDGE_MM,
  };
}

/**
 * Lays every sheet on rolls: first on those of the shelf, then on the asked one or the cheapest that hold the rest. What no roll
 * is wide enough for is made of lapped strips.
 * @param price what a roll costs in this garden
 * @param shelf rolls and pieces of them on hand
 * @param done pieces that are cut already
 */
export function planRolls(
  parts: readonly SheetPart[],
  price: (roll: Roll) => number,
  shelf: readonly ShelfSheet[] = [],
  done: readonly FlatDone[] = [],
): RollPlan {
  const groups = new Map<string, SheetPart[]>();
  for (const part of parts) {
    const key = `${part.cover.key}|${part.rollKey ?? ''}`;
    groups.set(key, [...(groups.get(key) ?? []), part]);
  }
  const rolls: RollCut[] = [];
  const seams: Seam[] = [];
  const tooWide: RollPlan['tooWide'][number][] = [];
  for (const group of groups.values()) {
    const first = group[0];
    if (!first) continue;
    const { cover, rollKey } = first;
    const bought = cover.rolls.filter((r) => rollKey === null || r.key === rollKey);
    const stock: Stock[] = [
      ...onShelf(shelf, 'cover', cover.key).map((own) => ({
        ...own,
        roll: { key: own.id, widthMm: own.widthMm, lengthMm: own.lengthMm, price: 0 },
      })),
      ...bought.map((roll) => ({ roll, widthMm: roll.widthMm, lengthMm: roll.lengthMm, price: price(roll) })),
    ];
    const wanted = new Map<string, Strip>();
    for (const part of group) {
      // A seam only where not even what can be bought is wide enough.
      const made = strips(part, stock);
      if (!made) {
        const { acrossMm, alongMm } = sheetSize(part);
        const widestMm = Math.max(0, ...stock.map((r) => r.widthMm));
        tooWide.push({ tag: part.tag, needMm: Math.min(acrossMm, alongMm), widestMm });
        continue;
      }
      if (made.seam) seams.push(made.seam);
      for (const strip of made.list)
        if (!isFlatCut(done, strip.tag, cover.key, strip.acrossMm, strip.alongMm)) wanted.set(strip.tag, strip);
    }
    const pieces = [...wanted.values()].map((s) => ({
      tag: s.tag,
      widthMm: s.acrossMm,
      lengthMm: s.alongMm,
      turns: true,
    }));
    for (const open of packSheets(pieces, stock, sawMm(0)) ?? []) {
      const { roll, available } = open.size;
      const endMm = Math.max(0, ...open.placed.map((p) => p.yMm + p.lengthMm));
      rolls.push({
        cover,
        label: `Roll ${rolls.length + 1}`,
        roll,
        fromShelf: available !== undefined,
        placed: open.placed.flatMap((p) => {
          const strip = wanted.get(p.tag);
          return strip ? [asPlaced(p, strip)] : [];
        }),
        leftMm: Math.max(0, roll.lengthMm - endMm),
        left: leftovers(roll, open.placed, 0),
        usedShare: open.placed.reduce((sum, p) => sum + p.widthMm * p.lengthMm, 0) / (roll.lengthMm * roll.widthMm),
      });
    }
  }
  return { rolls, seams, tooWide };
}
