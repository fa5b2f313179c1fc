import type { Assessment } from '../assessment';
import { quickShop } from '../cut';
import { ENTRY_KINDS, SHIPPED, coverMaterial, cropOf, hardwareItem, section } from './catalog';
import fc from 'fast-check';
import { FAMILY_KEYS, familyOf } from '../cover/families';
import { siteOf } from '../testing/site';
import { roundLength } from './market';
import { demoGarden } from '../garden/demo';
import { type Cover, type Garden, checkGarden, emptyGarden } from '../garden/garden';
import { pricedThings, pricesCsv, readPricesCsv } from '../show/prices';
import { readGarden } from '../garden/read';
import { writeGarden } from '../garden/write';
import { assessCover } from '../plan';
import { type Entry, NOTHING_OWN, type OwnCatalog, catalogOf, entryOf, ownFigures } from './own';
import { tubeShape } from './sections';

const withOwn = (own: Partial<OwnCatalog>): Garden => ({ ...demoGarden(), catalog: { ...NOTHING_OWN, ...own } });
const figure = (kind: OwnCatalog['figures'][number]['kind'], key: string, id: string, value: number) => ({
  kind,
  key,
  figure: id,
  value,
  note: 'measured',
});
const drawn = (garden: Garden, at = 0): Assessment => {
  const made = assessCover(garden, garden.covers[at] as Cover);
  if (!made.ok) throw new Error(JSON.stringify(made.faults));
  return made.value;
};
const faultsOf = (garden: Garden): readonly string[] => {
  const read = checkGarden(garden);
  return read.ok ? [] : read.faults.map((f) => `${f.field}: ${f.message}`);
};

test('a changed figure changes every plan that leans on it, and says whose it is', () => {
  const before = drawn(demoGarden());
  const frame = before.assembly.members.find((m) => m.part.includes('board'))?.section.key ?? '2x4';
  const after = drawn(withOwn({ figures: [figure('bar', frame, 'thicknessMm', 45)] }));
  expect(section(after.site.catalog, frame)).toMatchObject({ source: 'Your own figure: measured' });
  expect(after.assembly.members.map((m) => m.lengthMm)).not.toEqual(before.assembly.members.map((m) => m.lengthMm));
  const lighter = drawn(withOwn({ figures: [figure('cover', 'film-uv', 'frostHelpC', 4)] }));
  expect(lighter.coldest.value).toBeCloseTo(before.coldest.value - 1.5, 9);
  const stiff = drawn(withOwn({ figures: [figure('material', 'pvc', 'eGPa', 4)] }));
  expect(stiff.judged().strengths[0]?.ratio).not.toBeCloseTo(before.judged().strengths[0]?.ratio ?? 0, 3);
  // Reset: the shipped plan again, figure for figure.
  expect(drawn(demoGarden()).assembly).toEqual(before.assembly);
});

test('a bar measured short keeps its price, and is cut as short as it is', () => {
  const garden = withOwn({ figures: [figure('bar', '2x4', 'lengthMm 2438 mm', 2430)] });
  garden.prices = { 'bar 2x4 2438': 1.25 };
  const line = quickShop(drawn(garden))?.lines.find((l) => l.priceKey === 'bar 2x4 2438');
  expect(line).toMatchObject({ price: 1.25, key: '2x4 2430' });
});

test('a thing of one’s own is offered beside what it is like, cut, priced, and kept in the file', () => {
  const own = {
    things: [
      { kind: 'bar' as const, key: 'own-larch', name: 'Larch 2x4', like: '2x4' },
      { kind: 'cover' as const, key: 'own-film', name: 'Neighbour’s film', like: 'film-uv' },
    ],
    figures: [figure('bar', 'own-larch', 'widthMm', 95)],
    sizes: [{ kind: 'bar' as const, key: 'own-larch', lengthMm: 4000, price: 7.3 }],
  };
  const garden = withOwn(own);
  const cover = garden.covers[0] as Cover;
  const built = drawn(garden);
  const options = familyOf(cover.family)
    .questions(cover.answers, built)
    .flatMap((q) => (q.kind === 'choice' ? q.options.map((o) => `${q.id} ${o.value}`) : []));
  expect(options).toEqual(expect.arrayContaining(['frame own-larch', 'cover own-film']));
  garden.covers[0] = { ...cover, answers: { ...cover.answers, frame: 'own-larch', cover: 'own-film' } } as Cover;
  const o = drawn(garden);
  expect(o.assembly.members.some((m) => m.section.key === 'own-larch')).toBe(true);
  expect(quickShop(o)?.lines.map((l) => l.name)).toEqual(expect.arrayContaining(['Larch 2x4', 'Neighbour’s film']));
  expect(pricedThings(catalogOf(garden.catalog, 'imperial')).map((t) => t.key)).toEqual(
    expect.arrayContaining(['bar own-larch 4000', 'bar own-larch treated 2438', 'roll own-film 10x25 ft']),
  );
  expect(readGarden(writeGarden(garden))).toEqual({ ok: true, value: garden });
  // Taken out of the catalogue while a cover is made of it: refused.
  expect(faultsOf({ ...garden, catalog: NOTHING_OWN })).toEqual(
    expect.arrayContaining(['covers[0].answers.frame: must be a board in the catalogue']),
  );
  expect(o.site.catalog.bar.get('own-larch')?.name).toBe('Larch 2x4');
  expect(SHIPPED.bar.get('own-larch')).toBeUndefined();
});

test.each([
  [{ figures: [figure('bar', 'gold', 'widthMm', 5)] }, 'catalog.figures[0].key: there is no bar "gold"'],
  [{ figures: [figure('bar', '2x4', 'colour', 5)] }, 'catalog.figures[0].figure: "2x4" has no figure "colour"'],
  [
    { figures: [figure('cover', 'film-uv', 'light', 3)] },
    'catalog.figures[0].value: Light let through of UV film 6 mil must be from 0.05 to 1',
  ],
  [{ figures: [figure('bar', 'pvc-1', 'insideMm', 40)] }, 'the inside of 1 PVC must be less than its outside'],
  [{ things: [{ kind: 'item' as const, key: 'own', name: 'Nut', like: 'gold' }] }, 'catalog.things[0].like'],
  [
    { things: [{ kind: 'item' as const, key: 'strap', name: 'Nut', like: 'strap' }] },
    '"strap" is in the catalogue already',
  ],
  [{ sizes: [{ kind: 'sheet' as const, key: 'corrugated', lengthMm: 900, price: 1 }] }, 'catalog.sizes[0].widthMm'],
  [{ sizes: [{ kind: 'bar' as const, key: '2x4', lengthMm: 2438.4, price: 1 }] }, '2x4 is sold in that size already'],
])('what cannot be in a catalogue is named: %#', (own, message) => {
  expect(faultsOf(withOwn(own)).join('\n')).toContain(message);
  expect(tubeShape(section(SHIPPED, 'pvc-1')).insideMm).toBeCloseTo(26.64, 1);
});

test('whatever figure is changed within its bounds, every cover is planned or says why not', () => {
  const all = ENTRY_KINDS.flatMap((kind) =>
    [...SHIPPED[kind].values()].flatMap((entry) => ownFigures(kind, entry).map((f) => ({ kind, key: entry.key, f }))),
  );
  fc.assert(
    fc.property(fc.constantFrom(...all), fc.double({ min: 0, max: 1, noNaN: true }), ({ kind, key, f }, part) => {
      const garden = withOwn({ figures: [figure(kind, key, f.id, f.min + part * (f.max - f.min))] });
      const read = checkGarden(garden);
      if (!read.ok) return;
      expect(
        ownFigures(kind, entryOf(catalogOf(garden.catalog, 'imperial'), kind, key) as Entry).find((x) => x.id === f.id)
          ?.value,
      ).toBeCloseTo(f.min + part * (f.max - f.min), 9);
      for (const cover of read.value.covers) {
        const made = assessCover(read.value, cover);
        if (!made.ok) expect(made.faults[0]?.message.length).toBeGreaterThan(10);
      }
    }),
    { numRuns: 60 },
  );
});

test('shipped entries all have figures that can be changed, each within its own bounds', () => {
  for (const kind of ENTRY_KINDS)
    for (const entry of SHIPPED[kind].values()) {
      const figures = ownFigures(kind, entry);
      expect(new Set(figures.map((f) => f.id)).size).toBe(figures.length);
      for (const f of figures) {
        expect(f.value).toBeGreaterThanOrEqual(f.min);
        expect(f.value).toBeLessThanOrEqual(f.max);
        // Changed, it is the only one that is.
        const to = (f.min + f.max) / 2;
        const changed = ownFigures(kind, f.with(to) as Entry);
        expect(changed.map((x) => [x.label, x.value])).toEqual(
          figures.map((x) => [x.label, x.id === f.id ? to : x.value]),
        );
      }
    }
  expect(SHIPPED.cover.size).toBeGreaterThan(10);
  expect(coverMaterial(SHIPPED, 'net').uWPerM2K).toBeNull();
});

test('prices of one’s own things go out as CSV and come back the same, whatever they are called', () => {
  const catalog = catalogOf(
    {
      ...NOTHING_OWN,
      things: [{ kind: 'item', key: '=own', name: '=2+5 nuts, "brass"', like: 'strap' }],
      sizes: [{ kind: 'sheet', key: 'corrugated', widthMm: 660, lengthMm: 4267, price: 44 }],
    },
    'imperial',
  );
  const prices = { 'pack =own': 3.2, 'sheet corrugated 660x4267 mm': 41.5 };
  const text = pricesCsv(catalog, prices);
  // No cell begins as a formula does.
  for (const row of text.split('\r\n')) expect(row.split(',').some((cell) => /^"?[=+@]/.test(cell))).toBe(false);
  expect(readPricesCsv(catalog, text)).toEqual({ ok: true, value: prices });
});

test('gardens with different figures, planned by turns, each give what they give alone', () => {
  const heavy = withOwn({
    figures: [figure('bar', '2x4', 'widthMm', 95), figure('tool', 'circular saw', 'kerfMm', 6)],
  });
  const plain = demoGarden();
  const alone = [heavy, plain].map((g) => JSON.stringify(planOf(g)));
  const turns = [heavy, plain, heavy, plain].map((g) => drawn(g));
  const cuts = turns.map((o) => JSON.stringify([o.assembly, o.judged().checks, quickShop(o)]));
  expect(cuts[0]).toBe(alone[0]);
  expect(cuts[2]).toBe(cuts[0]);
  expect(cuts[3]).toBe(cuts[1]);
  expect(cuts[0]).not.toBe(cuts[1]);
  expect([heavy, plain].map((g) => JSON.stringify(planOf(g)))).toEqual(alone);
  // Writing or checking one garden changes nothing of the other.
  writeGarden(heavy);
  checkGarden(heavy);
  expect(JSON.stringify(planOf(plain))).toBe(alone[1]);
  // An own catalogue is built once, and the shipped one is never touched.
  expect(catalogOf(heavy.catalog, 'imperial')).toBe(catalogOf(heavy.catalog, 'imperial'));
  expect(SHIPPED.bar.get('2x4')?.shape).toMatchObject({ widthMm: 3.5 * 25.4 });
  function planOf(garden: Garden): unknown {
    const o = drawn(garden);
    return [o.assembly, o.judged().checks, quickShop(o)];
  }
});

test.each(['constructor', '__proto__', 'toString'])(
  'a thing of one’s own cannot be called %s, nor can a price',
  (key) => {
    const own = {
      ...emptyGarden('G'),
      catalog: { ...NOTHING_OWN, things: [{ kind: 'item', key, name: 'X', like: 'strap' }] },
    };
    expect(checkGarden(own)).toMatchObject({ ok: false, faults: [{ field: 'catalog.things[0].key' }] });
    const owned = Object.defineProperty({}, key, { value: 3, enumerable: true });
    const read = readGarden(JSON.stringify({ ...emptyGarden('G'), owned }));
    // A record may also leave such a key out.
    expect(read.ok ? Object.keys(read.value.owned) : read.faults[0]?.field).toEqual(read.ok ? [] : `owned.${key}`);
  },
);

test('a metric shop sells metric screws and rolls; a garden’s own lies over them', () => {
  const catalog = catalogOf(NOTHING_OWN, 'metric');
  expect(hardwareItem(catalog, 'screw-1-5/8').name).toBe('exterior screw 4 x 40 mm');
  expect(hardwareItem(SHIPPED, 'screw-1-5/8').name).toBe('exterior screw 1-5/8 in');
  for (const c of catalog.cover.values())
    for (const r of c.kind === 'mesh' ? [] : c.rolls) {
      expect([r.key, r.widthMm % 100, r.lengthMm % 1000]).toEqual([r.key, 0, 0]);
      expect(r.key).toContain(' m');
    }
  expect(catalog.cover.get('film-uv')?.rolls.map((r) => r.widthMm)).toEqual([2000, 3000, 4000, 4000, 6000, 6000, 8000]);
  // Every cover off a roll in one market is off a roll in the other, and every thing has its name.
  expect([...catalog.cover.values()].map((c) => c.rolls.length > 0)).toEqual(
    [...SHIPPED.cover.values()].map((c) => c.rolls.length > 0),
  );
  expect([...catalog.item.keys()]).toEqual([...SHIPPED.item.keys()]);
  const own = {
    ...NOTHING_OWN,
    sizes: [{ kind: 'cover' as const, key: 'film-uv', widthMm: 5000, lengthMm: 10000, price: 50 }],
  };
  expect(catalogOf(own, 'metric').cover.get('film-uv')?.rolls.at(-1)?.widthMm).toBe(5000);
});

test('what is sold longer than can be carried is left there, or cut at the shop where nothing shorter is sold', () => {
  const catalog = catalogOf({ ...NOTHING_OWN, carryMm: 7 * 304.8 }, 'imperial');
  // 2x4 come from 8 ft on, 3/4 PVC in 10 and 20 ft: the shorter one of each is cut to what goes in.
  const stock = (key: string) => catalog.bar.get(key)?.stock.map((s) => [Math.round(s.lengthMm / 30.48) / 10, s.price]);
  const eight = SHIPPED.bar.get('2x4')?.stock[0]?.price ?? 0;
  expect(stock('2x4')).toEqual([[7, eight]]);
  expect(stock('pvc-3/4')?.map(([ft]) => ft)).toEqual([7]);
  // Two of four feet come out of one of eight.
  const small = catalogOf({ ...NOTHING_OWN, carryMm: 4 * 304.8 }, 'imperial');
  expect(small.bar.get('2x4')?.stock.map((s) => [Math.round(s.lengthMm), s.price])).toEqual([[1219, eight / 2]]);
  // 2x4 and 4x4 ft of twin-wall go in; 4x8 ft stays there.
  expect(catalog.sheet.get('twin-wall-6')?.sizes.map((s) => s.key)).toEqual([
    'twin-wall-6 2x4 ft',
    'twin-wall-6 4x4 ft',
  ]);
  expect(catalog.sheet.get('corrugated')?.sizes.every((s) => s.lengthMm <= 7 * 304.8)).toBe(true);
  // Every piece of every kind then comes out of what is carried, or the cover says what is too long.
  const garden = withOwn({ carryMm: 7 * 304.8 });
  garden.covers.forEach((c) => {
    const made = assessCover(garden, c);
    if (!made.ok) return expect(made.faults[0]?.message).toMatch(/longer than any|needs more/);
    return expect(Math.max(...made.value.assembly.members.map((m) => m.lengthMm))).toBeLessThan(7 * 304.8 + 0.1);
  });
  expect(checkGarden({ ...garden, catalog: { ...garden.catalog, carryMm: 100 } })).toMatchObject({
    ok: false,
    faults: [{ field: 'catalog.carryMm' }],
  });
});

test('lengths come down to what a builder of the market says, or up where they must not be less', () => {
  expect([254, 76.2, 355.6, 914.4, 1828.8].map((mm) => roundLength(mm, 'metric'))).toEqual([250, 75, 350, 900, 1800]);
  // 450 mm is 17.72 in: 17-1/2 or 17-3/4. 950 mm is 37.4 in: 37.
  expect(
    [roundLength(450, 'imperial'), roundLength(450, 'imperial', 'up'), roundLength(950, 'imperial')].map(
      (mm) => mm / 25.4,
    ),
  ).toEqual([17.5, 17.75, 37].map((x) => expect.closeTo(x, 9)));
  // What is round stays as it is, whichever way.
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 200 }),
      fc.constantFrom('imperial' as const, 'metric' as const),
      (n, market) => {
        const once = roundLength(n * 13, market);
        expect(roundLength(once, market)).toBeCloseTo(once, 9);
        expect(roundLength(once, market, 'up')).toBeCloseTo(once, 9);
        expect(once).toBeLessThanOrEqual(n * 13 + 1e-6);
      },
    ),
  );
});

test.each(FAMILY_KEYS)('first answers of a %s are round in the garden’s own units', (key) => {
  for (const market of ['imperial', 'metric'] as const) {
    const site = siteOf(market === 'metric' ? 2400 : 96 * 25.4, market === 'metric' ? 1200 : 48 * 25.4, { market });
    for (const [id, value] of Object.entries(familyOf(key).defaults(site))) {
      // The feet of wire stand where the bed's wall leaves them.
      if (typeof value !== 'number' || !id.endsWith('Mm') || id === 'spanMm') continue;
      const steps = value / (market === 'metric' ? 5 : 6.35);
      expect([id, market, Math.abs(steps - Math.round(steps)) < 1e-6]).toEqual([id, market, true]);
    }
  }
});

test('a crop of one’s own is grown under a cover: its height and frost are in the checks; taken away while it grows it is missed by name', () => {
  const spinach = { ...cropOf(SHIPPED, 'spinach'), key: 'own-sorrel', name: 'sorrel', heightMm: 400, killingC: -14 };
  const garden = withOwn({ crops: [spinach] });
  const lid = garden.covers.find((c) => c.id === 'winter-lid');
  const covers = garden.covers.map((c) => (c === lid ? { ...c, answers: { ...c.answers, crop: 'own-sorrel' } } : c));
  const [before, after] = [garden.covers, covers].map((list) => {
    const cover = list.find((c) => c.id === 'winter-lid');
    const o = cover && assessCover({ ...garden, covers: list } as Garden, cover as Garden['covers'][number]);
    if (!o?.ok) throw new Error('winter-lid');
    return o.value;
  });
  // The lid stands over mizuna (300 mm, -7 C): 100 mm less air, 7 degrees more frost.
  expect((after?.assembly.crop.clearanceMm ?? 0) - (before?.assembly.crop.clearanceMm ?? 0)).toBeCloseTo(-100, 6);
  expect((before?.coldest.value ?? 0) - (after?.coldest.value ?? 0)).toBeCloseTo(7, 9);
  expect(checkGarden({ ...garden, covers }).ok).toBe(true);
  const gone = checkGarden({ ...garden, covers, catalog: NOTHING_OWN });
  expect(gone.ok ? '' : `${gone.faults[0]?.field}: ${gone.faults[0]?.message}`).toMatch(
    /answers\.crop: must be a crop in the list/,
  );
  const twice = checkGarden(withOwn({ crops: [spinach, { ...spinach, name: 'dock' }] }));
  expect(twice.ok ? '' : twice.faults[0]?.field).toBe('catalog.crops[1].key');
  const upside = checkGarden(
    withOwn({
      crops: [
        { ...spinach, killingC: 5, hotC: 12 },
        { ...spinach, key: 'own-x', killingC: 10, hotC: 10 },
      ],
    }),
  );
  expect(upside.ok ? '' : upside.faults.map((f) => f.field)).toEqual(['catalog.crops[1].hotC']);
});

test('how far figures may be off is the gardener’s to say, and every check’s band follows', () => {
  const sureWith = (figures: OwnCatalog['figures'], onGround = false) => {
    const own = withOwn({ figures });
    const snow = { by: 'ground', groundPa: 800 } as const;
    const garden = onGround ? { ...own, site: { ...own.site, snow } } : own;
    const made = assessCover(garden, garden.covers[0] as Cover);
    if (!made.ok) throw new Error('not built');
    const of = (id: string) => made.value.judged().checks.find((c) => c.id === id)?.sure?.of;
    return { snow: of('snow'), wind: of('wind') };
  };
  const shipped = sureWith([]);
  // Nothing known of wet snow, three times as heavy at the worst: the band is wider, its low end lower.
  const heavy = sureWith([figure('spread', 'snow wet', 'high', 3)]);
  expect(heavy.snow?.low).toBeLessThan(0.8 * (shipped.snow?.low ?? NaN));
  expect(heavy.wind).toEqual(shipped.wind);
  // Where a table says what lies on the ground it goes by how far that may be off.
  expect(sureWith([figure('spread', 'snow wet', 'high', 3)], true)).toEqual(sureWith([], true));
  const odd = sureWith([figure('spread', 'snow ground', 'high', 3)], true);
  expect(odd.snow?.low).toBeLessThan(0.8 * (sureWith([], true).snow?.low ?? NaN));
  const loose = sureWith([figure('spread', 'hold joint', 'low', 0.2)]);
  expect(loose.wind?.low ?? Infinity).toBeLessThanOrEqual(shipped.wind?.low ?? Infinity);
  expect(loose.snow).toEqual(shipped.snow);
  // Stiffness of a bar goes with its material: all pipes of PVC have it.
  const catalog = catalogOf({ ...NOTHING_OWN, figures: [figure('spread', 'stiffness pvc', 'low', 0.5)] }, 'imperial');
  expect(section(catalog, 'pvc-1').spreads.stiffness.low).toBe(0.5);
  expect(section(catalog, 'steel-1').spreads.stiffness.low).toBe(0.95);
});
