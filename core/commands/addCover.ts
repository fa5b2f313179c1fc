import type { Result } from '../base/result';
import { familyOf } from '../cover/families/registry';
import { startingCover } from '../explore/firstDesigns';
import type { Garden } from '../garden/garden';
import { type Change, notThere } from './change';
import { addDesign } from './design';

/** Puts a cover of a kind on a bed, changed from its usual design until it holds there, where that can be. */
export function addCover(garden: Garden, bedId: string, family: string, id: string): Result<Change> {
  const { name } = familyOf(family);
  const cover = startingCover(garden, bedId, family, id, name);
  return cover ? addDesign(garden, cover, id, name) : notThere('bed', bedId);
}
