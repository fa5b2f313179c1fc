import { FAMILIES } from '../cover/families';
import { demoGarden, demoSite } from '../garden/demo';
import { type Cover, type Garden, newWork } from '../garden/garden';

/** The demo's beds with one cover of every kind on each, as the kind itself would start: for comparing and for tests. */
export function everyKind(): Garden {
  const garden = demoGarden();
  return {
    ...garden,
    name: 'Every kind of cover',
    covers: garden.beds.flatMap((bed) =>
      FAMILIES.map(({ key, name, defaults }): Cover => ({
        id: `${key} ${bed.id}`,
        name: `${name} on ${bed.name}`,
        bedId: bed.id,
        family: key,
        answers: defaults(demoSite(bed)),
        ...newWork(),
      })),
    ),
  };
}
