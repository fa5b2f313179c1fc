import type { Family } from './family';
import * as all from './all';

/** Every family, in the order they are offered: from the lightest to the largest. */
export const FAMILIES: readonly Family[] = Object.values(all).sort((a, b) => a.rank - b.rank);

/** Their keys; a garden's covers name one each. */
export const FAMILY_KEYS: readonly string[] = FAMILIES.map((f) => f.key);

const BY_KEY: ReadonlyMap<string, Family> = new Map(FAMILIES.map((f) => [f.key, f]));

/**
 * The family of a key.
 * @throws when there is none: documents are checked before they get here
 * @example familyOf('lean-to').assemble(familyOf('lean-to').defaults(buildSite(demoGarden(), 'wall')), buildSite(demoGarden(), 'wall')).value.members.length // 23
 */
export function familyOf(key: string): Family {
  const found = BY_KEY.get(key);
  if (!found) throw new Error(`No family "${key}"`);
  return found;
}
