import { memoizeByIdentity } from '../base/memoize';
import type { Result } from '../base/result';
import type { Assembly } from '../cover/assembly/types';
import { familyOf } from '../cover/families/registry';
import { buildSite } from './buildSite';
import type { Cover, Garden } from './garden';

/** All that a cover is built of, beside its answers. */
export const builtFrom = (garden: Garden, cover: Cover): readonly unknown[] => [
  cover.family,
  garden.beds.find((b) => b.id === cover.bedId),
  garden.site,
  cover.brief,
  garden.units.stock,
  garden.catalog,
];

const assemblies = memoizeByIdentity<Result<Assembly> | undefined>();

/** A cover of a garden as it is built, laid out once for the same answers on the same bed; undefined where there is no such bed. */
export function assemblyOf(garden: Garden, cover: Cover): Result<Assembly> | undefined {
  return assemblies(cover.answers, builtFrom(garden, cover), () => {
    const site = buildSite(garden, cover.bedId, cover.brief);
    return site && familyOf(cover.family).assemble(cover.answers, site);
  });
}
