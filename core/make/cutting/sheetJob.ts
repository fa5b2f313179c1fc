import * as z from 'zod/mini';
import { between, upTo, whole } from '../../base/schema';
import { issueFaults } from '../../base/issues';
import { type Result, fail, failAll, ok } from '../../base/result';
import { LARGEST, MOST_PIECES } from './job';
import { type PlacedPiece, type SheetPiece, holdsAlone, packSheets, sheetBound } from './sheets';

/** Most pieces of one job: each is laid by itself. */
const MOST_SHEET_PIECES = 5000;

const side = upTo(LARGEST);

/** A cutting job in two dimensions, any one unit of length. `turns` is whether a piece may lie the other way; it may when not said. */
const sheetJobSchema = z.object({
  kerf: between(0, LARGEST),
  sheets: z
    .array(
      z.object({
        width: side,
        length: side,
        price: between(0, LARGEST),
        available: z.optional(whole(0, MOST_PIECES)),
      }),
    )
    .check(z.minLength(1), z.maxLength(100)),
  pieces: z
    .array(
      z.object({
        width: side,
        length: side,
        quantity: whole(0, 2000),
        turns: z._default(z.boolean(), true),
      }),
    )
    .check(z.maxLength(500)),
});

/** A plan of sheets: what it costs, where every piece lies, and what no plan goes below. */
interface SheetAnswer {
  readonly cost: number;
  readonly sheets: readonly {
    readonly width: number;
    readonly length: number;
    readonly price: number;
    readonly pieces: readonly PlacedPiece[];
  }[];
  readonly bound: number;
  readonly proven: boolean;
}

/** Reads a job from outside and cuts it; a fault names the piece that fits no sheet. */
export function solveSheetJob(value: unknown): Result<SheetAnswer> {
  const read = sheetJobSchema.safeParse(value);
  if (!read.success) return failAll(issueFaults(read.error.issues));
  const job = read.data;
  const total = job.pieces.reduce((sum, p) => sum + p.quantity, 0);
  if (total > MOST_SHEET_PIECES)
    return fail('pieces', `${total} in all; at most ${MOST_SHEET_PIECES} are laid out at once`);
  const stock = job.sheets.map((s) => ({
    widthMm: s.width,
    lengthMm: s.length,
    price: s.price,
    available: s.available,
  }));
  // Whatever the unit, no more than what sums are off by.
  const saw = { kerf: job.kerf, slack: 1e-9 * Math.max(...job.sheets.map((s) => Math.max(s.width, s.length))) };
  const kinds = job.pieces.map((p, i) => ({ widthMm: p.width, lengthMm: p.length, turns: p.turns, i, n: p.quantity }));
  const faults = kinds
    .filter((k) => k.n > 0 && !holdsAlone({ ...k, tag: '' }, stock, saw))
    .map((k) => ({ field: `pieces[${k.i}]`, message: `no sheet holds ${k.widthMm} by ${k.lengthMm}` }));
  if (faults.length > 0) return failAll(faults);
  const pieces: readonly SheetPiece[] = kinds.flatMap((k) =>
    Array.from({ length: k.n }, (_, n) => ({
      tag: `${k.i + 1}.${n + 1}`,
      widthMm: k.widthMm,
      lengthMm: k.lengthMm,
      turns: k.turns,
    })),
  );
  const packed = packSheets(pieces, stock, saw);
  if (!packed) return failAll([{ field: 'sheets', message: 'there are not enough sheets for all pieces' }]);
  const cost = packed.reduce((sum, s) => sum + s.size.price, 0);
  const bound = sheetBound(pieces, stock);
  return ok({
    cost,
    sheets: packed.map((s) => ({
      width: s.size.widthMm,
      length: s.size.lengthMm,
      price: s.size.price,
      pieces: s.placed,
    })),
    bound,
    proven: cost <= bound + 1e-9,
  });
}
