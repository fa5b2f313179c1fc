/** Covers on the demo's beds, as each kind starts. */
import type { Garden } from '../garden/garden';
import type { Assessment } from '../assessment';
import { assessCover } from '../plan';
import { firstCover } from '../explore/firstDesigns';

/** A cover of a family on the first bed of a garden that takes it. @throws when none does. */
export function onSomeBed(garden: Garden, family: string, name = 'Made-up cover'): Assessment {
  for (const bed of garden.beds) {
    const cover = firstCover(garden, bed.id, family, 'x', name);
    const made = cover && assessCover(garden, cover);
    if (made?.ok) return made.value;
  }
  throw new Error(`${family} on no bed`);
}
