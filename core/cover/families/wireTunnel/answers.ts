import { between } from '../../../base/schema';
import { MM_PER_INCH } from '../../../base/length';
import { shippedKey } from '../../../catalog/sections';
import type { Section } from '../../../catalog/types';
import { type ResolvedParameters, askedWhen, dimensioned } from '../../answers/parameter';
import { coverAnswers, oneOf, tube } from '../../answers/bars';
import { endOffset, footSpan, hoopCount, hoopShape, maxSpacing, ridge } from '../../answers/hoops';
import { bedAnswers } from '../../answers/place';
import { clippedParameter, ends, holdDowns, looseEdges, skirtUnder } from '../../answers/skin';

/** Wires that are stiff enough, with the widest span each one carries, mm. */
const WIRES: Readonly<Record<string, number>> = { 'wire-9': 48 * MM_PER_INCH, 'wire-10': 36 * MM_PER_INCH };

/** The widest span that a wire carries fabric over, mm. */
export const widestMm = (wire: Pick<Section, 'key' | 'like'>): number => WIRES[shippedKey(wire)] ?? 0;

export const wireTunnelParameters = {
  hoops: hoopCount('How many', 80),
  pipe: tube(
    'Wire',
    { 'wire-9': 'The stiffer one, for wider beds.', 'wire-10': 'Bends more easily; for narrow beds.' },
    'wire-9',
    { fits: { test: oneOf(WIRES), words: 'must be 9 or 10 gauge wire' }, changes: { pipe: ({ key }) => key } },
  ),
  // Wire comes in coils: there is no whole pipe to leave uncut.
  shape: hoopShape(['stock', 'half']),
  ridge: ridge(['none', 'rope'], 'none', 'rope'),
  ...coverAnswers('fabric-19', {
    fits: {
      test: (c) => c.kind === 'fabric' || c.kind === 'net' || c.kind === 'shade',
      words: 'must be a fabric or net: wire is too weak for film',
    },
  }),
  ...looseEdges(['ground', 'inside', 'one-battened', 'battened', 'stapled'], 8),
  clipped: clippedParameter,
  ends: ends(['gathered', 'folded'], 'gathered'),
  skirtUnder,
  weights: askedWhen(holdDowns('weights', 'Weights', 200, 'skin'), { skirtUnder: ['bags', 'bricks'] }),
  ...bedAnswers('spinach', 6),
  maxSpacingMm: maxSpacing(24),
  endOffsetMm: endOffset(3),
  spanMm: footSpan([200, 2000], 'feet', ({ bed }) =>
    Math.min(bed.inside.widthMm - 2 * MM_PER_INCH, WIRES['wire-9'] ?? 1000),
  ),
  legDepthMm: dimensioned(between(75, 600), 8 * MM_PER_INCH, 'bury'),
};

export type WireTunnelAnswers = ResolvedParameters<typeof wireTunnelParameters>;
