import type { Bed } from './bed';

/** How much of what a rod, a prong, a post or an anchor holds in loam it holds in other soil. */
export const SOIL_HOLDS: Readonly<Record<Bed['soil'], number>> = { soft: 0.5, loam: 1, clay: 1.2, stony: 0.8 };
export const SOIL_SOURCE = 'Our own middle figures, loam as one: soft mix half, clay a fifth more, stony a fifth less.';
