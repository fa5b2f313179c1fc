import { FAMILY_KEYS } from '../build/families';
import { demoGarden } from '../garden/demo';
import { outline } from '../plan';
import { firstCover } from '../start';
import { causeOf } from './causes';

const garden = demoGarden();
const lid = garden.covers.find((c) => c.family === 'hinged-hoop-lid');

test('a check on hoops points at every hoop, where it is bent most', () => {
  const o = lid && outline(garden, lid);
  if (!o?.ok) throw new Error('not built');
  const [arch] = o.value.assembly.arches;
  if (!arch) throw new Error('no hoops');
  const { tags, places } = causeOf(o.value.assembly, 'bend');
  expect(tags).toEqual(arch.tags);
  // Feet held by straps under 90 degrees or free: the crown is the tightest, half way across.
  expect(places).toHaveLength(arch.xsMm.length);
  const crown = arch.footZMm + arch.hoop.heightMm;
  for (const [i, [x, y, z]] of places.entries()) {
    expect(x).toBe(arch.xsMm[i]);
    expect(y).toBeCloseTo(arch.footYMm + arch.hoop.spanMm / 2, 3);
    expect(z).toBeCloseTo(crown, 3);
  }
});

test('the crop points at the top of its edge rows, and what is about no piece at none', () => {
  const o = lid && outline(garden, lid);
  if (!o?.ok) throw new Error('not built');
  const { crop } = o.value.assembly;
  expect(causeOf(o.value.assembly, 'crop').places.map((p) => [p[1], p[2]])).toEqual(
    crop.rowYsMm.map((y) => [y, crop.topZMm]),
  );
  expect(causeOf(o.value.assembly, 'remark 0')).toEqual({ tags: [], places: [] });
});

test.each(FAMILY_KEYS)('what fails or is tight in %s is there to be pointed at', (family) => {
  for (const bed of garden.beds) {
    const cover = firstCover(garden, bed.id, family, 'x', 'X');
    const o = cover && outline(garden, cover);
    if (!o?.ok) continue;
    const a = o.value.assembly;
    const known = new Set([...a.members, ...a.sheets, ...a.panels, ...a.blocks].map((p) => p.tag));
    for (const check of o.value.checks) {
      const { tags, places } = causeOf(a, check.id);
      expect(tags.filter((t) => !known.has(t))).toEqual([]);
      expect(places.flat().every(Number.isFinite)).toBe(true);
      if (['snow', 'bend', 'sheet', 'wind', 'crop', 'rail', 'post depth'].includes(check.id))
        expect([check.id, tags.length + places.length > 0]).toEqual([check.id, true]);
    }
  }
});
