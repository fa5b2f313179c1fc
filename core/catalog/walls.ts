/** Walls that let no light through: how well they keep warmth in. */

/** Heat that a metre of it lets through, W/mK. Source: usual figures for dry softwood, plywood and straw. */
const W_PER_MK = { board: 0.12, plywood: 0.13, straw: 0.06 } as const;
export type WallKind = keyof typeof W_PER_MK;

/** What the still air on both sides of a wall resists, m2K/W (ISO 6946, level heat flow). */
const FILMS_M2K_PER_W = 0.17;

/**
 * Heat loss through a wall of a thickness, W/m2K.
 * @example wallU('board', 38) // 2.05
 */
export const wallU = (kind: WallKind, thicknessMm: number): number =>
  1 / (FILMS_M2K_PER_W + thicknessMm / 1000 / W_PER_MK[kind]);
