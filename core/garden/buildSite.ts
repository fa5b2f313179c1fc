import { catalogOf } from '../catalog/own';
import { type StrengthWishes, designConditions } from '../judge/strength/designConditions';
import type { BuildSite } from '../site/buildSite';
import { isWindy } from '../site/place';
import { survey } from '../site/survey';
import type { Garden } from './garden';

/**
 * The bed a cover stands on, what the place asks of it, and what this garden can buy; undefined when there is no such bed.
 * @param wishes what the cover on it was chosen for
 * @example buildSite(demoGarden(), 'wall').windy // true
 */
export function buildSite(garden: Garden, bedId: string, wishes: StrengthWishes | null = null): BuildSite | undefined {
  const bed = garden.beds.find((b) => b.id === bedId);
  return (
    bed && {
      bed,
      survey: survey(bed),
      windy: isWindy(designConditions(garden.site, wishes).gustMPerS),
      market: garden.units.stock,
      catalog: catalogOf(garden.catalog, garden.units.stock),
    }
  );
}
