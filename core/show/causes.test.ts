import { FAMILY_KEYS } from '../build/families';
import { demoGarden } from '../garden/demo';
import type { Cover } from '../garden/garden';
import { outline } from '../plan';
import { firstCover } from '../start';
import { hoopCurve } from '../build/hoop/curve';
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

test.each([
  ['bent-conduit', {}, 1],
  // Low between upright feet it is bent most at both sides, where it turns over.
  ['hinged-hoop-lid', { feet: 'holes', shape: { by: 'height', heightMm: 330 } }, 2],
])('a hoop of %s with %j is looked at where it is bent most', (family, answers, each) => {
  const cover = firstCover(garden, 'long', family, 'x', 'X');
  const o = cover && outline(garden, { ...cover, answers: { ...cover.answers, ...answers } } as Cover);
  if (!o?.ok) throw new Error('not built');
  const [arch] = o.value.assembly.arches;
  if (!arch) throw new Error('no hoops');
  const curve = hoopCurve(arch.hoop, 60);
  const most = Math.max(...curve.map((p) => Math.abs(p.curvature)));
  const { places } = causeOf(o.value.assembly, 'bend');
  expect(places).toHaveLength(each * arch.xsMm.length);
  for (const [, y, z] of places) {
    const there = curve.find((p) => Math.hypot(arch.footYMm + p.y - y, arch.footZMm + p.z - z) < 1e-6);
    expect(Math.abs(there?.curvature ?? 0)).toBeCloseTo(most, 9);
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

test('each check points at what it judges, and at nothing else', () => {
  const o = lid && outline(garden, lid);
  if (!o?.ok) throw new Error('not built');
  const a = o.value.assembly;
  const of = (id: string) => causeOf(a, id);
  const kinds = (id: string) => [
    ...new Set(of(id).places.flatMap((p) => a.joints.filter((j) => j.places.some((q) => q === p)).map((j) => j.kind))),
  ];
  // The demo's lid: five latches, each a hook with its eye, and its stays.
  expect([of('latch').places.length, kinds('latch')]).toEqual([5, ['latch']]);
  // Two stays, one at each end.
  expect([of('stay').places.length, kinds('stay')]).toEqual([2, ['stay']]);
  expect(kinds('staples')).toEqual(['staple']);
  expect(kinds('sleeve hoop over post')).not.toContain('latch');
  // What holds against wind is what holds the lid on its bed: hinges and latches, not the straps of its own hoops, staples or stays.
  expect(kinds('wind').sort()).toEqual(['hinge', 'latch']);
  // Each lies on one of the long boards.
  expect([...of('wind').tags].sort()).toEqual(['A1', 'A2']);
  expect([of('latch').tags, of('stay').tags]).toEqual([['A1'], ['A3', 'A4']]);
  expect(of('push')).toEqual(of('wind'));
  expect(of('snow').tags).toEqual(a.arches.flatMap((r) => r.tags));
  expect([of('sag').places, of('sag').tags]).toEqual([[], a.sheets.map((s) => s.tag)]);
  const opening = a.openings[0];
  if (!opening) throw new Error('no opening');
  // The lid turns about its hinge line: half way along it.
  expect(of('opener').places[0]).toEqual([
    (opening.line[0][0] + opening.line[1][0]) / 2,
    (opening.line[0][1] + opening.line[1][1]) / 2,
    (opening.line[0][2] + opening.line[1][2]) / 2,
  ]);
  expect(of('lift Lid').tags).toEqual(a.moving.flatMap((m) => m.memberTags));
});

test('what wind does to the ends of a house points at the uprights and headers of their frames', () => {
  const cover = firstCover(garden, 'long', 'walk-in', 'x', 'X');
  const o = cover && outline(garden, cover);
  if (!o?.ok) throw new Error('not built');
  const a = o.value.assembly;
  const framed = a.members.filter((m) => ['Door jamb', 'Door header', 'End stud'].includes(m.part));
  expect(framed.length).toBeGreaterThan(4);
  expect([...causeOf(a, 'end').tags].sort()).toEqual(framed.map((m) => m.tag).sort());
});

test('a sheet that ends short is pointed at on both sides of the bed', () => {
  const tunnel = garden.covers.find((c) => c.id === 'salad-tunnel');
  const o = tunnel && outline(garden, tunnel);
  if (!o?.ok) throw new Error('not built');
  const ends = causeOf(o.value.assembly, 'sheet').places.map((p) => p[1]);
  expect(ends).toHaveLength(2 * o.value.assembly.sheets.length);
  // The bed is 1,200 mm wide, and the sheet comes down outside the hoops that stand in it.
  expect(Math.max(...ends) - Math.min(...ends)).toBeGreaterThan(900);
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
