import { z } from 'zod';
import { issueFaults } from '../../base/issues';
import { type Result, failAll, ok } from '../../base/result';

/** A length that can be bought or taken from the shelf; `available` limits how many there are. */
const stockSchema = z.object({
  length: z.number().positive().finite(),
  price: z.number().min(0).finite(),
  available: z.number().int().min(0).optional(),
  /** No longer piece is cut from it, such as from a bowed board. */
  longestPiece: z.number().positive().finite().optional(),
});

/**
 * A cutting job for one section, any one unit of length. A bar is feasible when
 * sum(length + kerf) <= stock length + kerf.
 */
export const barJobSchema = z.object({
  kerf: z.number().min(0).finite(),
  stock: z.array(stockSchema).min(1).max(200),
  pieces: z
    .array(z.object({ length: z.number().positive().finite(), quantity: z.number().int().min(0).max(100000) }))
    .max(2000),
});

export type BarJob = z.infer<typeof barJobSchema>;

/** Checks a job from outside: shapes, and that every piece has a bar long enough. */
export function readBarJob(value: unknown): Result<BarJob> {
  const read = barJobSchema.safeParse(value);
  if (!read.success) return failAll(issueFaults(read.error.issues));
  const longest = Math.max(
    ...read.data.stock.filter((s) => s.available !== 0).map((s) => Math.min(s.length, s.longestPiece ?? Infinity)),
  );
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
