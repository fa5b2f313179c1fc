import * as z from 'zod/mini';
import { between, upTo, whole } from '../../base/schema';
import { issueFaults } from '../../base/issues';
import { type Result, fail, failAll, ok } from '../../base/result';

/** Longest bar or piece, and highest price, in whatever unit: beyond, sums lose the last tenth of a millimetre. */
export const LARGEST = 1e7;
/** Most kinds of bar, most kinds of piece, and most pieces in all, of one job. */
const MOST_STOCKS = 2500;
const MOST_KINDS = 2000;
export const MOST_PIECES = 1_000_000;

const lengthOf = upTo(LARGEST);
/** A length that can be bought or taken from the shelf; `available` limits how many there are. */
const stockSchema = z.object({
  length: lengthOf,
  price: between(0, LARGEST),
  available: z.optional(whole(0, MOST_PIECES)),
  /** No longer piece is cut from it, such as from a bowed board. */
  longestPiece: z.optional(lengthOf),
});

/**
 * A cutting job for one section, any one unit of length. A bar is feasible when
 * sum(length + kerf) <= stock length + kerf.
 */
const barJobSchema = z.object({
  kerf: between(0, LARGEST),
  stock: z.array(stockSchema).check(z.minLength(1), z.maxLength(MOST_STOCKS)),
  pieces: z.array(z.object({ length: lengthOf, quantity: whole(0, MOST_PIECES) })).check(z.maxLength(MOST_KINDS)),
});

export type BarJob = z.infer<typeof barJobSchema>;

/** Checks a job from outside: shapes, and that every piece has a bar long enough. */
export function readBarJob(value: unknown): Result<BarJob> {
  const read = barJobSchema.safeParse(value);
  if (!read.success) return failAll(issueFaults(read.error.issues));
  const total = read.data.pieces.reduce((sum, p) => sum + p.quantity, 0);
  if (total > MOST_PIECES) return fail('pieces', `${total} in all; at most ${MOST_PIECES} are cut at once`);
  const longest = read.data.stock
    .filter((s) => s.available !== 0)
    .reduce((most, s) => Math.max(most, Math.min(s.length, s.longestPiece ?? Infinity)), 0);
  if (longest === 0 && total > 0) return fail('stock', 'must have a bar to cut from: none is available');
  const faults = read.data.pieces.flatMap((piece, i) =>
    piece.quantity > 0 && piece.length > longest + 1e-6
      ? [
          {
            field: `pieces[${i}].length`,
            message: `no bar is long enough for ${piece.length}; the longest is ${longest}`,
          },
        ]
      : [],
  );
  return faults.length > 0 ? failAll(faults) : ok(read.data);
}
