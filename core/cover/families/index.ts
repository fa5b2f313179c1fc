import type { Family } from './registry';
import * as all from './all';

export { familyOf } from './registry';

/** Every family, in the order they are offered: from the lightest to the largest. */
export const FAMILIES: readonly Family[] = Object.values(all).sort((a, b) => a.rank - b.rank);

/** Their keys; a garden's covers name one each. */
export const FAMILY_KEYS: readonly string[] = FAMILIES.map((f) => f.key);
