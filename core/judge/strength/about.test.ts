import { FAMILY_KEYS } from '../../cover/families';
import { demoGarden } from '../../garden/demo';
import type { Cover, Garden } from '../../garden/garden';
import { assessCover } from '../../plan';
import { firstCover } from '../../explore/firstDesigns';
import type { Opening } from '../../cover/assembly/openings';
import { aboutOpenings } from './about';
import { hoopCurve } from '../../cover/hoop/curve';
import type { Assessment } from '../../assessment';
import { type About, type CheckId, ratioOf, verdictOf } from './check';

const garden = demoGarden();

/** What a check of a design is about. @throws when it has no such check */
function aboutOf(o: Assessment, id: CheckId): About {
  const found = o.judged().checks.find((c) => c.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found.about;
}

const lid = garden.covers.find((c) => c.family === 'hinged-hoop-lid');

test('a check on hoops points at every hoop, where it is bent most', () => {
  const o = lid && assessCover(garden, lid);
  if (!o?.ok) throw new Error('not built');
  const [arch] = o.value.assembly.arches;
  if (!arch) throw new Error('no hoops');
  const { tags, places } = aboutOf(o.value, 'bend');
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
  const o = cover && assessCover(garden, { ...cover, answers: { ...cover.answers, ...answers } } as Cover);
  if (!o?.ok) throw new Error('not built');
  const [arch] = o.value.assembly.arches;
  if (!arch) throw new Error('no hoops');
  const curve = hoopCurve(arch.hoop, 60);
  const most = Math.max(...curve.map((p) => Math.abs(p.curvature)));
  const { places } = aboutOf(o.value, 'snow');
  expect(places).toHaveLength(each * arch.xsMm.length);
  for (const [, y, z] of places) {
    const there = curve.find((p) => Math.hypot(arch.footYMm + p.y - y, arch.footZMm + p.z - z) < 1e-6);
    expect(Math.abs(there?.curvature ?? 0)).toBeCloseTo(most, 9);
  }
});

test('the crop points at the top of its edge rows', () => {
  const o = lid && assessCover(garden, lid);
  if (!o?.ok) throw new Error('not built');
  const { crop } = o.value.assembly;
  expect(aboutOf(o.value, 'crop').places.map((p) => [p[1], p[2]])).toEqual(crop.rowYsMm.map((y) => [y, crop.topZMm]));
});

test('each check points at what it judges, and at nothing else', () => {
  const o = lid && assessCover(garden, lid);
  if (!o?.ok) throw new Error('not built');
  const a = o.value.assembly;
  const of = (id: CheckId) => aboutOf(o.value, id);
  const kinds = (id: CheckId) => [
    ...new Set(of(id).places.flatMap((p) => a.joints.filter((j) => j.places.some((q) => q === p)).map((j) => j.kind))),
  ];
  // The demo's lid: five latches, each a hook with its eye, and its stays.
  expect([of('latch').places.length, kinds('latch')]).toEqual([5, ['latch']]);
  // Two stays, one at each end.
  expect([of('stay').places.length, kinds('stay')]).toEqual([2, ['stay']]);
  // What holds against wind is what holds the lid on its bed: hinges and latches, not the straps of its own hoops, staples or stays.
  expect(kinds('wind').sort()).toEqual(['hinge', 'latch']);
  // Each lies on one of the long boards.
  expect([...of('wind').tags].sort()).toEqual(['A1', 'A2']);
  expect([of('latch').tags, of('stay').tags]).toEqual([['A1'], ['A3', 'A4']]);
  expect(of('push')).toEqual(of('wind'));
  expect(of('snow').tags).toEqual(a.arches.flatMap((r) => r.tags));
  expect([of('sag').places, of('sag').tags]).toEqual([[], a.sheets.map((s) => s.tag)]);
  const [lidPart] = a.moving;
  // All of what is lifted: its boards and pipes, its sheet and its panels.
  expect(of('lift Lid').tags).toEqual([
    ...(lidPart?.memberTags ?? []),
    ...(lidPart?.sheetTags ?? []),
    ...(lidPart?.panelTags ?? []),
  ]);
});

test('what opens is pointed at half way along the line that it turns about', () => {
  const line = [
    [0, 1000, 300],
    [2400, 1000, 300],
  ] as const;
  expect(aboutOpenings([{ tags: ['A1'], line } as unknown as Opening])).toEqual({
    tags: ['A1'],
    places: [[1200, 1000, 300]],
  });
});

test('what wind does to the ends of a house points at the uprights and headers of their frames', () => {
  const cover = firstCover(garden, 'long', 'walk-in', 'x', 'X');
  const o = cover && assessCover(garden, cover);
  if (!o?.ok) throw new Error('not built');
  const a = o.value.assembly;
  const framed = a.members.filter((m) => ['Door jamb', 'Door header', 'End stud'].includes(m.part));
  expect(framed.length).toBeGreaterThan(4);
  const ends = o.value.judged().checks.filter((c) => c.id.startsWith('end '));
  expect(ends.flatMap((c) => c.about.tags).sort()).toEqual(framed.map((m) => m.tag).sort());
});

test('a sheet that ends short is pointed at on both sides of the bed', () => {
  const tunnel = garden.covers.find((c) => c.id === 'salad-tunnel');
  const o = tunnel && assessCover(garden, tunnel);
  if (!o?.ok) throw new Error('not built');
  const ends = aboutOf(o.value, 'sheet').places.map((p) => p[1]);
  expect(ends).toHaveLength(2 * o.value.assembly.sheets.length);
  // The bed is 1,200 mm wide, and the sheet comes down outside the hoops that stand in it.
  expect(Math.max(...ends) - Math.min(...ends)).toBeGreaterThan(900);
});

/** A garden in wind and snow that much fails in, and one that asks for neither. */
const HARD: Garden = { ...garden, site: { ...garden.site, gustMPerS: 45, windFromDeg: 180 } };
const SOFT: Garden = {
  ...garden,
  site: { ...garden.site, gustMPerS: 0, snow: { by: 'depth', depthMm: 0, kind: 'wet' } },
};

test.each(FAMILY_KEYS)(
  'every check of %s is one record: it points at something, and its verdict follows from what is asked',
  (family) => {
    let looked = 0;
    for (const where of [garden, HARD, SOFT])
      for (const bed of where.beds) {
        const cover = firstCover(where, bed.id, family, 'x', 'X');
        const o = cover && assessCover(where, cover);
        if (!o?.ok) continue;
        const a = o.value.assembly;
        const known = new Set([...a.members, ...a.sheets, ...a.panels, ...a.blocks].map((p) => p.tag));
        for (const check of o.value.judged().checks) {
          const { id, about, verdict, figure, tries, noMend } = check;
          looked += 1;
          expect(about.tags.filter((t) => !known.has(t))).toEqual([]);
          expect(about.places.flat().every(Number.isFinite)).toBe(true);
          expect([id, about.tags.length + about.places.length > 0]).toEqual([id, true]);
          if (check.kind === 'measured') {
            const { measure } = check;
            expect([id, verdict]).toEqual([id, verdictOf(measure)]);
            expect([id, ratioOf(measure) >= 1 || measure.mild === true || verdict === 'fails']).toEqual([id, true]);
          } else expect([id, verdict]).not.toEqual([id, 'holds']);
          if (figure) expect([id, Number.isNaN(figure.value)]).toEqual([id, false]);
          if (verdict === 'fails') expect([id, tries.length > 0 || noMend !== undefined]).toEqual([id, true]);
        }
      }
    expect(looked).toBeGreaterThan(20);
  },
);

test('one rule for all verdicts: below what is wanted it fails, with a quarter to spare it holds', () => {
  const at = (capacity: number, more: object = {}) => verdictOf({ demand: 100, capacity, ...more });
  expect([99, 100, 124, 125].map((c) => at(c))).toEqual(['fails', 'tight', 'tight', 'holds']);
  // Half as much again is wanted.
  expect([149, 150, 187, 188].map((c) => at(c, { margin: 1.5 }))).toEqual(['fails', 'tight', 'tight', 'holds']);
  expect([99, 109, 110].map((c) => at(c, { spare: 1.1 }))).toEqual(['fails', 'tight', 'holds']);
  expect(at(1, { mild: true })).toBe('tight');
  // Where nothing is asked everything holds; where nothing is there nothing does.
  expect(verdictOf({ demand: 0, capacity: 0 })).toBe('holds');
  expect(at(0)).toBe('fails');
});
