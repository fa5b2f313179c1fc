/** Whatever answers the schema lets through, a family builds something sound or names the field that is wrong. */
import { siteOf } from '../../testing/site';
import { SHIPPED } from '../../catalog/catalog';
import { coverM2 } from '../assembly/enclosure';
import type { Answers } from '../answers/parameter';
import fc from 'fast-check';
import { squareBed } from '../../site/bed';
import { survey } from '../../site/survey';
import type { BuildSite } from '../../site/buildSite';
import { CROPS } from '../../catalog/crops';
import { sheetSize } from '../../make/rolls/rolls';
import { FAMILY_KEYS, familyOf } from '.';

const mm = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });

const sites: fc.Arbitrary<BuildSite> = fc
  .record({
    length: mm(600, 6000),
    width: mm(500, 2000),
    height: mm(0, 600),
    wall: mm(10, 90),
    windy: fc.boolean(),
    market: fc.constantFrom('imperial' as const, 'metric' as const),
  })
  .map(({ length, width, height, wall, windy, market }) => {
    const bed = squareBed('b', 'Bed', length, width, { heightMm: height, thicknessMm: wall }, { xMm: 0, yMm: 0 });
    return {
      bed: { ...bed, soilBelowRimMm: Math.min(50, height) },
      survey: survey(bed),
      windy,
      market,
      catalog: SHIPPED,
    };
  });

const shapes = fc.oneof(
  fc.constantFrom({ by: 'half-circle' }, { by: 'stock' }, { by: 'sheet' }),
  mm(300, 6000).map((lengthMm) => ({ by: 'length', lengthMm })),
  mm(60, 2500).map((heightMm) => ({ by: 'height', heightMm })),
);
const extents = fc.oneof(
  fc.constant({ kind: 'whole' }),
  fc.record({ startMm: mm(0, 2000), lengthMm: mm(300, 5000) }).map((e) => ({ kind: 'part', ...e })),
);
const any = fc.record(
  {
    shape: shapes,
    extent: extents,
    hoops: fc.oneof(fc.constant(null), fc.integer({ min: 2, max: 20 })),
    maxSpacingMm: mm(200, 2000),
    endOffsetMm: mm(0, 400),
    crop: fc.constantFrom(...CROPS.map((c) => c.key)),
    rowFromEdgeMm: mm(0, 600),
    ends: fc.constantFrom('gathered', 'folded', 'flap', 'plywood'),
    ridge: fc.constantFrom('none', 'rope', 'pipe', 'timber', 'posted'),
    feet: fc.constantFrom('rods', 'soil', 'straps', 'straps-inside', 'sockets', 'straps-outside'),
    pipe: fc.constantFrom('pvc-1/2', 'pvc-3/4', 'pvc-1', 'pvc-25', 'pe-25', 'wire-9', 'wire-10'),
    hinges: fc.constantFrom('near', 'far'),
    stand: fc.constantFrom('on edge', 'flat'),
    crossTies: fc.integer({ min: 0, max: 5 }),
    // Of families without hoops, and of the larger ones.
    heightMm: mm(200, 2000),
    frontMm: mm(60, 900),
    backMm: mm(90, 1200),
    eaveMm: mm(150, 1500),
    crownMm: mm(80, 1500),
    shoulderMm: mm(0, 900),
    legDepthMm: mm(20, 140),
    spanMm: mm(300, 2000),
    squares: fc.integer({ min: 6, max: 40 }),
    prongMm: mm(50, 145),
    sidewallMm: mm(100, 1500),
    depthMm: mm(200, 1400),
    widthMm: mm(1830, 4260),
    lengthMm: mm(1830, 12000),
    doorHeightMm: mm(1500, 2200),
    lids: fc.integer({ min: 1, max: 6 }),
    bars: fc.integer({ min: 0, max: 5 }),
    courses: fc.integer({ min: 1, max: 3 }),
    pairs: fc.integer({ min: 2, max: 12 }),
    frames: fc.integer({ min: 2, max: 12 }),
    sashAlongMm: mm(300, 1500),
    sashReachMm: mm(300, 1800),
    sashBy: fc.constantFrom('bed', 'sash'),
    glazing: fc.constantFrom('old-window', 'twin-wall-6', 'corrugated', 'film-both'),
    back: fc.constantFrom('near', 'far'),
    sits: fc.constantFrom('inside', 'on'),
    sheets: fc.constantFrom('one', 'roof-and-ends', 'roof-and-curtains'),
    sides: fc.constantFrom('fixed', 'roll-up'),
    layers: fc.constantFrom('single', 'double'),
    screen: fc.constantFrom('screen', 'none'),
    airing: fc.constantFrom('prop', 'opener'),
  },
  { requiredKeys: [] },
);

/** A few of them at a time: answers drawn blindly all at once contradict one another. */
const shared = fc
  .tuple(any, fc.integer({ min: 0, max: 5 }))
  .map(([more, turn]) => Object.fromEntries(Object.entries(more).filter((_, i) => (i + turn) % 6 === 0)));

/** Defaults with those of the random answers that the family knows and its questions allow. */
function mixed(key: (typeof FAMILY_KEYS)[number], site: BuildSite, more: Answers): Answers {
  const defaults = familyOf(key).defaults(site);
  const choices = new Map(
    familyOf(key)
      .questions(defaults, { site, assembly: undefined })
      .flatMap((q) => (q.kind === 'choice' ? [[q.id, q.options.map((o) => o.value)] as const] : [])),
  );
  let answers = defaults;
  for (const [id, value] of Object.entries(more)) {
    if (!(id in defaults) || !(choices.get(id)?.includes(String(value)) ?? true)) continue;
    const tried = { ...answers, [id]: value };
    // Only what a garden file may hold gets as far as being built.
    const { schema, against } = familyOf(key);
    if (schema.safeParse(tried).success && against(tried, site.catalog).length === 0) answers = tried;
  }
  return answers;
}

test.each(FAMILY_KEYS)('%s builds or says why not', (key) => {
  let stood = 0;
  fc.assert(
    fc.property(sites, shared, (site, more) => {
      const result = familyOf(key).assemble(mixed(key, site, more as Answers), site);
      if (!result.ok) {
        expect(result.faults[0]?.field).toMatch(/^\w+$/);
        expect(result.faults[0]?.message.length).toBeGreaterThan(12);
        return;
      }
      stood++;
      const a = result.value;
      for (const m of a.members) {
        expect(Number.isFinite(m.lengthMm)).toBe(true);
        expect(m.lengthMm).toBeGreaterThan(0);
        expect(m.lengthMm).toBeLessThanOrEqual(Math.max(...m.section.stock.map((b) => b.lengthMm)) + 0.5);
      }
      for (const s of a.sheets) {
        const { acrossMm, alongMm } = sheetSize(s);
        expect(Number.isFinite(acrossMm + alongMm)).toBe(true);
        for (const line of [...s.across, ...s.along]) expect(line.mm).toBeGreaterThanOrEqual(0);
      }
      for (const h of a.hardware) {
        expect(Number.isInteger(h.count)).toBe(true);
        expect(h.count).toBeGreaterThan(0);
      }
      for (const d of a.dimensions) expect(Number.isFinite(d.valueMm)).toBe(true);
      expect(Number.isFinite(a.crop.clearanceMm)).toBe(true);
      expect(a.enclosure.volumeM3).toBeGreaterThan(0);
      expect(coverM2(a.enclosure)).toBeGreaterThan(a.enclosure.floorM2 * 0.9);
    }),
    { numRuns: 150 },
  );
  // Most beds and answers must lead to something.
  expect(stood).toBeGreaterThan(20);
});

test.each(FAMILY_KEYS)('%s refuses answers that its schema does not know, and keeps the old ones', (key) => {
  const bed = squareBed('b', 'Bed', 2400, 1200, { heightMm: 280, thicknessMm: 38 }, { xMm: 0, yMm: 0 });
  const site: BuildSite = { bed, survey: survey(bed), windy: false, market: 'imperial', catalog: SHIPPED };
  const here = { site, assembly: undefined };
  const family = familyOf(key);
  const answers = family.defaults(site);
  for (const q of family.questions(answers, here)) {
    // A roll's name is the shop's; one that is not on sale is said by the check of the sheet.
    if (q.id === 'roll') continue;
    const wrong = q.kind === 'choice' ? 'gold' : -1e9;
    expect(family.answer(answers, q.id, wrong, here)).toMatchObject({ ok: false, faults: [{ field: q.id }] });
  }
  expect(family.answer(answers, 'nonsense', 'x', here).ok).toBe(false);
  expect(family.dimension(answers, 'nonsense', 100, here)).toMatchObject({
    ok: false,
    faults: [{ field: 'nonsense' }],
  });
  expect(family.dimension(answers, 'rowFromEdge', -4, here).ok).toBe(false);
  expect(family.dimension(answers, 'spacing', 1, here).ok).toBe(false);
});

test('first answers keep to their own ranges on a bed of any size, and lead to a cover or to a fault that names a field', () => {
  const side = fc.double({ min: 300, max: 20000, noNaN: true });
  fc.assert(
    fc.property(side, side, fc.constantFrom(...FAMILY_KEYS), (lengthMm, widthMm, key) => {
      const site = siteOf(lengthMm, widthMm);
      const family = familyOf(key);
      const first = family.defaults(site);
      expect(family.schema.safeParse(first).error?.issues ?? []).toEqual([]);
      const built = family.assemble(first, site);
      if (!built.ok) for (const f of built.faults) expect([f.field, f.message]).not.toContain('');
    }),
    { numRuns: 600 },
  );
});
