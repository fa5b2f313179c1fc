/** Rectangles on sheets, by cuts that run from edge to edge. */
/** A rectangle to cut: across and along the sheet, and whether it may be turned. */
export interface SheetPiece {
  readonly tag: string;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly turns: boolean;
}

/** Where a piece lies on its sheet, from the corner where the tape hooks. */
export interface PlacedPiece {
  readonly tag: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly lengthMm: number;
}

interface Strip {
  yMm: number;
  heightMm: number;
  freeMm: number;
}

interface OpenSheet<S extends Stock> {
  readonly size: S;
  readonly strips: Strip[];
  readonly placed: PlacedPiece[];
  endMm: number;
}

/** How wide a cut is, and by how much a piece may be too large for its place, in the unit of the sheets. */
interface SawLimits {
  readonly kerf: number;
  readonly slack: number;
}

/** A sheet that can be bought, or of which there are only so many. */
export interface Stock {
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly price: number;
  readonly available?: number | undefined;
}

/** A saw among sizes in mm: a piece may be larger than its place by less than a saw is off by. */
export const sawMm = (kerf: number): SawLimits => ({ kerf, slack: 0.5 });
type Way = readonly [widthMm: number, lengthMm: number];
const known = new WeakMap<SheetPiece, readonly Way[]>();

/** The ways a piece may lie on a sheet, the flatter strip first; asked again for every sheet that is tried. */
function ways(p: SheetPiece): readonly Way[] {
  const found = known.get(p) ?? waysOf(p);
  known.set(p, found);
  return found;
}

function waysOf(p: SheetPiece): readonly Way[] {
  const straight = [p.widthMm, p.lengthMm] as const;
  if (!p.turns) return [straight];
  const turned = [p.lengthMm, p.widthMm] as const;
  return p.lengthMm <= p.widthMm ? [straight, turned] : [turned, straight];
}

/** Puts a piece on an open sheet: in the strip that it leaves least of, or in a new one. */
function place<S extends Stock>(sheet: OpenSheet<S>, p: SheetPiece, { kerf, slack }: SawLimits): boolean {
  const lying = ways(p);
  let into: Strip | undefined;
  let least = Infinity;
  let [w, l] = [0, 0];
  for (const [wide, long] of lying)
    for (const strip of sheet.strips) {
      const waste = strip.heightMm - long;
      if (wide > strip.freeMm + slack || waste < -slack || waste >= least) continue;
      [into, least, w, l] = [strip, waste, wide, long];
    }
  if (!into)
    for (const [wide, long] of lying) {
      if (wide > sheet.size.widthMm + slack || sheet.endMm + long > sheet.size.lengthMm + slack) continue;
      into = { yMm: sheet.endMm, heightMm: long, freeMm: sheet.size.widthMm };
      [w, l] = [wide, long];
      sheet.strips.push(into);
      sheet.endMm += long + kerf;
      break;
    }
  if (!into) return false;
  sheet.placed.push({ tag: p.tag, xMm: sheet.size.widthMm - into.freeMm, yMm: into.yMm, widthMm: w, lengthMm: l });
  into.freeMm -= w + kerf;
  return true;
}

function opened<S extends Stock>(size: S): OpenSheet<S> {
  return { size, strips: [], placed: [], endMm: 0 };
}

function fits(pieces: readonly SheetPiece[], size: Stock, saw: SawLimits): boolean {
  const sheet = opened(size);
  return pieces.every((p) => place(sheet, p, saw));
}

/** Whether some sheet holds a piece by itself. */
export function holdsAlone(p: SheetPiece, sizes: readonly Stock[], saw: SawLimits): boolean {
  return sizes.some((size) => size.available !== 0 && fits([p], size, saw));
}

/**
 * Fills sheets in one order of pieces, opening the first size of the list that holds the next piece and is still there.
 * Eager: what costs nothing is opened before a piece goes on a sheet that is paid for.
 */
function fill<S extends Stock>(
  pieces: readonly SheetPiece[],
  order: readonly S[],
  saw: SawLimits,
  eager: boolean,
): readonly OpenSheet<S>[] | undefined {
  const sheets: OpenSheet<S>[] = [];
  const left = new Map(order.map((s) => [s, s.available ?? Infinity]));
  for (const p of pieces) {
    const free = (s: S): boolean => eager && s.price === 0;
    const holds = (s: S): boolean => (left.get(s) ?? 0) > 0 && fits([p], s, saw);
    if (sheets.some((s) => free(s.size) && place(s, p, saw))) continue;
    const spare = order.find((s) => free(s) && holds(s));
    if (!spare && sheets.some((s) => place(s, p, saw))) continue;
    const size = spare ?? order.find(holds);
    if (!size) return undefined;
    left.set(size, (left.get(size) ?? 0) - 1);
    const fresh = opened(size);
    place(fresh, p, saw);
    sheets.push(fresh);
  }
  // What is on a sheet may go on a cheaper one just as well.
  const byTag = new Map(pieces.map((p) => [p.tag, p]));
  return sheets.map((s) => {
    // Laid in the order they were.
    const mine = s.placed.flatMap((q) => byTag.get(q.tag) ?? []);
    let best = s;
    for (const other of order) {
      if ((left.get(other) ?? 0) <= 0 || other.price >= best.size.price) continue;
      const moved = opened(other);
      if (mine.every((p) => place(moved, p, saw))) best = moved;
    }
    if (best !== s) {
      left.set(s.size, (left.get(s.size) ?? 0) + 1);
      left.set(best.size, (left.get(best.size) ?? 0) - 1);
    }
    return best;
  });
}

const ORDERS: readonly ((a: SheetPiece, b: SheetPiece) => number)[] = [
  (a, b) => Math.max(b.widthMm, b.lengthMm) - Math.max(a.widthMm, a.lengthMm) || b.widthMm - a.widthMm,
  (a, b) => b.widthMm * b.lengthMm - a.widthMm * a.lengthMm,
  (a, b) => Math.min(b.widthMm, b.lengthMm) - Math.min(a.widthMm, a.lengthMm) || b.lengthMm - a.lengthMm,
];

/** Pieces tried on so many sheets, in all the ways together. */
const MOST_TRIED = 300_000;

/**
 * Rectangles on sheets by two-stage guillotine strips: every order of pieces with every size tried first, and the cheapest
 * of all, then the least area. What costs nothing is always used first. Not proven best.
 * Source: shelf heuristics, E. G. Coffman, M. R. Garey, D. S. Johnson, R. E. Tarjan, SIAM J. Comput. 9 (1980) 808-826.
 * @returns undefined when some piece fits no sheet, or there are too few of them
 */
export function packSheets<S extends Stock>(
  pieces: readonly SheetPiece[],
  sizes: readonly S[],
  saw: SawLimits,
): readonly OpenSheet<S>[] | undefined {
  const free = sizes.filter((s) => s.price === 0);
  const bought = sizes.filter((s) => s.price > 0);
  const cost = (sheets: readonly OpenSheet<S>[]): number => sheets.reduce((sum, s) => sum + s.size.price, 0);
  // What is bought, that is: using up the shelf is no waste.
  const area = (sheets: readonly OpenSheet<S>[]): number =>
    sheets.reduce((sum, s) => sum + (s.size.price > 0 ? s.size.widthMm * s.size.lengthMm : 0), 0);
  let best: readonly OpenSheet<S>[] | undefined;
  let tried = 0;
  const firsts = bought.length > 0 ? bought : [undefined];
  for (const eager of free.length > 0 ? [true, false] : [false])
    for (const first of firsts)
      for (const order of ORDERS) {
        // Of very many pieces only some ways are tried; the first of each size are the best ones.
        if (best && tried > MOST_TRIED) return best;
        const rest = bought.filter((s) => s !== first).sort((a, b) => a.price - b.price);
        const found = fill([...pieces].sort(order), [...free, ...(first ? [first] : []), ...rest], saw, eager);
        tried += pieces.length * (found?.length ?? sizes.length);
        if (!found) continue;
        const better = !best || cost(found) < cost(best) - 1e-9;
        if (better || (best && cost(found) < cost(best) + 1e-9 && area(found) < area(best))) best = found;
      }
  return best;
}

/** No plan costs less: the area of all pieces at the cheapest price by area, and never less than one sheet. */
export function sheetBound(pieces: readonly SheetPiece[], sizes: readonly Stock[]): number {
  const area = pieces.reduce((sum, p) => sum + p.widthMm * p.lengthMm, 0);
  // Free sheets take off what they can hold at the most.
  const free = sizes
    .filter((s) => s.price === 0)
    .reduce((sum, s) => sum + s.widthMm * s.lengthMm * (s.available ?? Infinity), 0);
  const bought = sizes.filter((s) => s.price > 0);
  const left = area - free;
  if (left <= 0 || bought.length === 0) return 0;
  const rate = Math.min(...bought.map((s) => s.price / (s.widthMm * s.lengthMm)));
  return Math.max(left * rate, Math.min(...bought.map((s) => s.price)));
}
