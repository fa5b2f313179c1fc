import { pathLength } from '../../base/geometry';
import { soilZ } from '../assembly/crop';
import { at, build, inch } from '../../testing/site';
import { familyOf } from '../families';
import { thicknessMm } from '../../catalog/sections';
import type { Assembly } from '../assembly/types';

const SITE = at(96, 48);
const tunnel = (more: object = {}): Assembly => build('staked-tunnel', SITE, { inner: 'fabric-30', ...more });
const inner = (a: Assembly) => a.members.filter((m) => m.part === 'Inner hoop');
const points = (m: Assembly['members'][number] | undefined) => (m?.shape.kind === 'curve' ? m.shape.points : []);
const pipeOf = ([hoop]: Assembly['members']): number => (hoop ? thicknessMm(hoop.section) : NaN);
const SOIL = soilZ(SITE.bed);

test.each([
  ['staked-tunnel', 60],
  ['staked-tunnel', 100],
  ['staked-tunnel', 200],
  ['bent-conduit', 60],
  ['bent-conduit', 150],
  ['lift-off-cover', 80],
])('under a %s the gap of %d mm is kept all round, and not wasted', (family, innerGapMm) => {
  const line = build(family, SITE).under;
  const [, hoop] = inner(build(family, SITE, { inner: 'fabric-30', innerGapMm }));
  if (!hoop) throw new Error('no hoops');
  // From the outside of the inner pipe to the underside of the outer one, point by point.
  const near = (y: number, z: number): number =>
    Math.min(
      ...line.slice(1).map((q, i) => {
        const p = line[i] ?? q;
        const [dy, dz] = [q.y - p.y, q.z - p.z];
        const f = Math.max(0, Math.min(1, ((y - p.y) * dy + (z - p.z) * dz) / (dy * dy + dz * dz || 1)));
        return Math.hypot(p.y + f * dy - y, p.z + f * dz - z);
      }),
    );
  const half = thicknessMm(hoop.section) / 2;
  const gaps = points(hoop)
    .filter((p) => p[2] > SOIL + innerGapMm + 2 * half)
    .map((p) => near(p[1], p[2]) - half);
  expect(Math.min(...gaps)).toBeGreaterThan(innerGapMm - 1);
  expect(Math.min(...gaps)).toBeLessThan(innerGapMm + 3);
});

describe('hoops inside in the soil', () => {
  const [plain, a] = [build('staked-tunnel', SITE), tunnel({ innerGapMm: 100 })];
  const hoops = inner(a);
  const outer = plain.arches[0];
  const od = pipeOf(hoops);

  test('one under each outer hoop, those at the ends a gap further in; all alike, named apart', () => {
    if (!outer) throw new Error('no hoops');
    const xs = hoops.map((m) => points(m)[0]?.[0] ?? NaN);
    const want = outer.xsMm.map((x, i, all) => x + (i === 0 ? 100 : i === all.length - 1 ? -100 : 0));
    xs.forEach((x, i) => expect(x).toBeCloseTo(want[i] ?? NaN, 6));
    expect(hoops.map((m) => m.tag)).toEqual(outer.xsMm.map((_, i) => `N${i + 1}`));
    expect(new Set(hoops.map((m) => m.lengthMm)).size).toBe(1);
  });

  test('six inches of each foot in the soil', () => {
    const arc = a.steps.find((s) => s.id === 'inner');
    expect(arc?.work[0]?.[1]).toMatchObject({ value: hoops[0]?.lengthMm });
    const lowest = Math.min(...hoops.flatMap((m) => points(m).map((p) => p[2])));
    // Along the pipe, which leans out a little at its feet.
    expect(SOIL - lowest).toBeGreaterThan(inch(5.9));
    expect(SOIL - lowest).toBeLessThanOrEqual(inch(6));
    expect(hoops[0]?.lengthMm).toBeCloseTo(pathLength(points(hoops[0]).map((p) => ({ y: p[1], z: p[2] }))), 0);
  });

  test('its sheet lies over it from foot to foot and from end to end, six inches tucked in all round', () => {
    const sheet = a.sheets.find((s) => s.tag === 'SN');
    const [first, last] = [hoops[0], hoops[hoops.length - 1]].map((m) => points(m)[0]?.[0] ?? NaN);
    const high = Math.max(...hoops.flatMap((m) => points(m).map((p) => p[2]))) - SOIL;
    expect(sheet?.cover.key).toBe('fabric-30');
    expect(sheet?.along.map((l) => l.mm)).toEqual([
      expect.closeTo((last ?? 0) - (first ?? 0), 6),
      expect.closeTo(2 * high, 0),
      expect.closeTo(inch(12), 6),
    ]);
    expect(sheet?.across[1]?.mm).toBeCloseTo(inch(12), 6);
    // Over the outside of the pipe: a little more than the pipe's own middle between the feet.
    const arc = (hoops[0]?.lengthMm ?? 0) - inch(12);
    expect((sheet?.across[0]?.mm ?? 0) - arc).toBeGreaterThan(0);
    expect((sheet?.across[0]?.mm ?? 0) - arc).toBeLessThan(Math.PI * od);
  });

  test('four clips a hoop, spread over it; feet that hold against no wind', () => {
    const clips = a.joints.find((j) => j.id === 'inner clips');
    expect(clips?.places).toHaveLength(4 * hoops.length);
    const bought = a.hardware.filter((h) => h.joint.startsWith('Inner cover to its hoops'));
    expect(bought.map((h) => h.count)).toEqual([4 * hoops.length]);
    const feet = a.joints.find((j) => j.id === 'inner feet');
    expect([feet?.kind, feet?.places.length, feet?.with?.['holds']]).toEqual([
      'pipeInSoil',
      2 * hoops.length,
      'nothing',
    ]);
    expect(a.footing.holdDowns).toEqual(plain.footing.holdDowns);
    const ys = (clips?.places ?? []).slice(0, 4).map((p) => p[1]);
    expect([...ys].sort((p, q) => p - q)).toEqual(ys);
    expect((ys[0] ?? 0) + (ys[3] ?? 0)).toBeCloseTo(SITE.survey.frameOn.widthMm, -1);
  });

  test('every skin has it inside, and the crop stands under it', () => {
    expect(a.enclosure.skins.map((s) => s.inner?.key)).toEqual(plain.enclosure.skins.map(() => 'fabric-30'));
    expect(a.crop.clearanceMm).toBeLessThan(plain.crop.clearanceMm - 99);
    expect(Math.max(...a.under.map((p) => p.z))).toBeLessThan(Math.max(...plain.under.map((p) => p.z)) - 99);
  });

  test.each([
    [400, 'There is no room for a second layer'],
    [20, undefined],
  ])('a gap of %d mm: %s', (innerGapMm, fault) => {
    const family = familyOf('staked-tunnel');
    const made = family.assemble({ ...family.defaults(SITE), inner: 'fabric-30', innerGapMm }, SITE);
    expect(made.ok ? undefined : made.faults[0]).toEqual(
      fault && { field: 'innerGapMm', message: expect.stringContaining(fault) as string },
    );
  });
});

describe('hoops inside a lid', () => {
  const a = build('hinged-hoop-lid', SITE, { inner: 'fabric-30', innerOn: 'lid', innerGapMm: 100 });
  const outer = a.arches[0];
  const hoops = inner(a);

  test('beside the outer ones, toward the middle: 30 mm and a pipe from them', () => {
    const od = pipeOf(hoops);
    const moved = hoops.map((m, i) => (points(m)[0]?.[0] ?? NaN) - (outer?.xsMm[i] ?? NaN));
    const half = hoops.length / 2;
    moved.forEach((d, i) => expect(d).toBeCloseTo((i < half ? 1 : -1) * (od + 30), 6));
  });

  test('strapped and stapled to the rails, each 150 mm, and lifted with the lid', () => {
    const xs = hoops.map((m) => points(m)[0]?.[0] ?? NaN);
    const long = Math.max(...xs) - Math.min(...xs);
    const by = (id: string) => a.joints.find((j) => j.id === id);
    expect([by('inner feet')?.kind, by('inner feet')?.places.length]).toEqual(['strap', 2 * hoops.length]);
    expect(by('inner staples')?.count).toBe(2 * Math.ceil(long / 150));
    const lid = a.openings.find((o) => o.by === 'lid');
    expect(lid?.tags).toEqual(expect.arrayContaining([...hoops.map((m) => m.tag), 'SN']));
    // As high as the gap at the crown leaves it.
    const crown = Math.max(...hoops.flatMap((m) => points(m).map((p) => p[2])));
    const top = (outer?.footZMm ?? 0) + (outer?.hoop.heightMm ?? 0) - (outer ? thicknessMm(outer.section) : NaN) / 2;
    expect(top - crown - pipeOf(hoops) / 2).toBeCloseTo(100, 0);
  });
});
