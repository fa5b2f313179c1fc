import { z } from 'zod';
import type { BuildSite } from '../../bed/buildSite';
import { COVERS } from '../../catalog/covers';
import { isTube, shippedKey } from '../../catalog/sections';
import { MM_PER_INCH } from '../../units/length';
import { sharedAnswers, weightsAnswer } from '../questions';

/** Wires that are stiff enough, with the widest span each one carries. */
export const WIRES: Readonly<Record<string, number>> = { 'wire-9': 48 * MM_PER_INCH, 'wire-10': 36 * MM_PER_INCH };

/** Whether a wire is one that the family knows a span for. */
export const isWire = (key: string): boolean => isTube(key) && shippedKey(key) in WIRES;

export const wireTunnelSchema = z.strictObject({
  ...sharedAnswers,
  pipe: z.string().refine(isWire, 'must be 9 or 10 gauge wire'),
  cover: z
    .string()
    .refine(
      (key) => ['fabric', 'net', 'shade'].includes(COVERS.find(key)?.kind ?? ''),
      'must be a fabric or net: wire is too weak for film',
    ),
  spanMm: z.number().min(200).max(2000).nullable(),
  legDepthMm: z.number().min(75).max(600),
  ridge: z.enum(['none', 'rope']),
  skirtMm: z.number().min(50).max(800),
  ends: z.enum(['gathered', 'folded']),
  weights: weightsAnswer,
});

export type WireTunnelAnswers = z.infer<typeof wireTunnelSchema>;

/** A wire tunnel that most people would set over this bed first. */
export function wireTunnelDefaults({ bed }: BuildSite): WireTunnelAnswers {
  return {
    extent: { kind: 'whole' },
    inner: null,
    innerGapMm: 100,
    pipe: 'wire-9',
    shape: { by: 'half-circle' },
    hoops: null,
    maxSpacingMm: 24 * MM_PER_INCH,
    endOffsetMm: 3 * MM_PER_INCH,
    cover: 'fabric-19',
    roll: null,
    crop: 'spinach',
    rowFromEdgeMm: 6 * MM_PER_INCH,
    spanMm: Math.min(bed.inside.widthMm - 2 * MM_PER_INCH, WIRES['wire-9'] ?? 1000),
    legDepthMm: 8 * MM_PER_INCH,
    ridge: 'none',
    skirtMm: 8 * MM_PER_INCH,
    ends: 'gathered',
    weights: null,
  };
}
