import { sentenceOf } from './sentence';
import fc from 'fast-check';
import { better, paretoFront } from '../../base/search';
import { phraseText } from '../../base/figure';
import { familyOf } from '../../cover/families';
import { quickPrice } from '../../cut';
import { demoGarden } from '../../garden/demo';
import type { Cover, Garden } from '../../garden/garden';
import { assessCover } from '../../plan';
import { pricedThings } from '../../show/prices';
import { buildSite } from '../../garden/buildSite';
import { type Brief, NOTHING_SAID, briefSchema } from '../../site/brief';
import { firstCover, startingCover } from '../firstDesigns';
import { type WishCost, binding, costsOf, samePrice } from './costs';
import { meritsFor, coverKey, meets, nextDesigns, emptyScoreCache, scoreIn } from './evaluator';
import { type FindOptions, briefContext, searchWholeBrief, poolsOf } from './find';
import { briefReport, readBriefJob } from './job';
import { compareDesigns } from './compareDesigns';
import { gardenFor, missOf, wishesOf } from './wishes';

const garden = demoGarden();
const units = { length: 'ftin', temperature: 'C', currency: 'USD' } as const;
const BED = 'long';
const brief = (more: Partial<Brief> = {}): Brief => ({ ...NOTHING_SAID, ...more });

/** Grids of real covers small enough to go through whole. */
const GRIDS = [
  { kind: 'a-frame', only: ['leg', 'ridge', 'slopes'] },
  { kind: 'a-frame', only: ['cover', 'ends'] },
  { kind: 'bent-conduit', only: ['pipe', 'frame', 'ridge'] },
] as const;

/** A cover of a kind that holds on the bed, to begin a grid from beside the usual one. */
const holding = (g: Garden, kind: string): Cover => {
  const cover = startingCover(g, BED, kind, `try-${kind}`, familyOf(kind).name, 'spinach');
  if (!cover) throw new Error(kind);
  return cover;
};

/** Every design of a grid, by asking its questions one inside the other: nothing of the search is used. */
function everyDesign(g: Garden, kind: string, only: readonly string[], from: Cover): readonly Cover[] {
  const family = familyOf(kind);
  const first = firstCover(g, BED, kind, `try-${kind}`, family.name);
  if (!first) throw new Error(kind);
  const seen = new Map<string, Cover>();
  const walk = (cover: Cover): void => {
    const key = JSON.stringify(cover.answers);
    if (seen.has(key)) return;
    seen.set(key, cover);
    const built = assessCover(g, cover);
    if (!built.ok) return;
    for (const q of family.questions(cover.answers, built.value)) {
      if (q.kind !== 'choice' || !only.includes(q.id)) continue;
      for (const { value } of q.options) {
        const answers = family.answer(cover.answers, q.id, value, built.value);
        if (answers.ok) walk({ ...cover, answers: answers.value } as Cover);
      }
    }
  };
  walk({ ...first, answers: { ...first.answers, crop: 'spinach' } } as Cover);
  walk(from);
  return [...seen.values()];
}

const someBrief = fc
  .record({
    wetSnowMm: fc.option(fc.integer({ min: 20, max: 200 })),
    coldestC: fc.option(fc.integer({ min: -14, max: -8 })),
    price: fc.option(fc.integer({ min: 80, max: 400 })),
    hours: fc.option(fc.integer({ min: 4, max: 20 })),
  })
  .map((said) => brief({ crops: ['spinach'], ...said }));
const somePrices = fc.array(fc.double({ min: 0.3, max: 3, noNaN: true }), { minLength: 20, maxLength: 20 });

/** The demo with every shelf empty and its prices drawn anew. */
function priced(factors: readonly number[]): Garden {
  const things = pricedThings(buildSite(garden, BED)?.catalog ?? ({} as never));
  const prices = Object.fromEntries(
    things.map((t, i) => [t.key, Math.round(100 * t.shipped * (factors[i % factors.length] ?? 1)) / 100]),
  );
  return { ...garden, prices, shelf: [], shelfFlat: [], owned: {} };
}

let able = 0;
test('on a grid that can be gone through by hand the search finds the true cheapest and the true front, for any brief at any prices', () => {
  fc.assert(
    fc.property(fc.constantFrom(...GRIDS), someBrief, somePrices, ({ kind, only }, b, factors) => {
      const g = priced(factors);
      const from = holding(garden, kind);
      const options: FindOptions = { seed: 7, only, small: 400, most: 1000, from: [from] };
      const pool = poolsOf(briefContext(g, BED, { ...b, kinds: [kind] }), [kind], options);
      const judgedIn = gardenFor(g, b);
      const truth = everyDesign(judgedIn, kind, only, from).flatMap((cover) => {
        const o = assessCover(judgedIn, cover);
        if (!o.ok) return [];
        const f = meritsFor(o.value, b, quickPrice(o.value));
        if (!Number.isFinite(f.price)) return [];
        const fails = o.value.judged().checks.some((c) => c.verdict === 'fails' || c.id === 'crowded');
        const able =
          !fails &&
          (b.wetSnowMm === null || f.wetSnowMm >= b.wetSnowMm) &&
          (b.coldestC === null || f.coldestC <= b.coldestC) &&
          (b.price === null || f.price <= b.price) &&
          (b.hours === null || f.hours <= b.hours);
        const warnings = o.value.judged().checks.filter((c) => c.verdict === 'tight').length;
        return able ? [{ violation: 0, warnings, price: f.price, figures: f }] : [];
      });
      const found = pool.map((j) => j.worth).filter(meets);
      const best = (list: readonly { violation: number; warnings: number; price: number }[]) =>
        list.reduce<(typeof list)[number] | undefined>((a, w) => (a && !better(w, a) ? a : w), undefined);
      able += Number(truth.length > 0);
      expect(best(found)?.price).toBe(best(truth)?.price);
      expect(best(found)?.warnings).toBe(best(truth)?.warnings);
      const by = ({ figures: f }: { figures: (typeof truth)[number]['figures'] }): readonly number[] => [
        f.price,
        f.hours,
        f.coldestC,
        -Math.min(f.wetSnowMm, 1e6),
        -f.clearanceMm,
        f.massKg,
      ];
      const front = (list: readonly { figures: (typeof truth)[number]['figures'] }[]) =>
        new Set(
          paretoFront(list, by).map((w) =>
            by(w)
              .map((x) => x.toFixed(6))
              .join(),
          ),
        );
      expect(front(found)).toEqual(front(truth));
    }),
    { numRuns: 8, seed: 5 },
  );
  // Most of the briefs can be met by something.
  expect(able).toBeGreaterThan(3);
}, 120_000);

const GRID: FindOptions = { seed: 1, only: GRIDS[0].only, small: 400, from: [holding(garden, 'a-frame')] };
const best = (g: Garden, b: Brief): number | undefined =>
  searchWholeBrief(g, BED, { ...b, kinds: ['a-frame'] }, GRID).kinds[0]?.best?.weighed.price;

test('asking for less never makes it dearer, dearer shops scale it, and a full shelf never makes it dearer', () => {
  const asks = brief({ crops: ['spinach'], wetSnowMm: 160, coldestC: -13 });
  const price = best(garden, asks);
  for (const id of ['snow', 'cold', 'headroom']) {
    const loose = wishesOf(garden, asks).find((w) => w.id === id)?.without;
    const then = loose && best(garden, loose);
    if (price !== undefined && then !== undefined) expect(then).toBeLessThanOrEqual(price + 1e-9);
    else expect(price).toBeUndefined();
  }
  const [once, twice] = [priced([1]), priced([2])].map((g) => best(g, asks));
  expect(once).toBeGreaterThan(0);
  expect(twice).toBeCloseTo(2 * (once ?? 0), 6);
  const plain = priced([1]);
  const shelf = { ...plain, shelf: garden.shelf, shelfFlat: garden.shelfFlat, owned: garden.owned };
  expect(best(shelf, asks) ?? Infinity).toBeLessThanOrEqual((best(plain, asks) ?? Infinity) + 1e-9);
});

test('a higher limit on the price never brings a dearer design, and the lowest that can be met brings the same', () => {
  const asks = brief({ crops: ['lettuce'], kinds: ['staked-tunnel'] });
  const cheapest = (price: number | null): number => {
    const { offers } = searchWholeBrief(garden, BED, { ...asks, price }, { seed: 1, most: 80 });
    return Math.min(...offers.map((o) => o.weighed.price));
  };
  const free = cheapest(null);
  expect(free).toBeLessThan(200);
  for (const limit of [free, free + 5, 2 * free]) expect(cheapest(limit)).toBe(free);
  expect(cheapest(free - 0.01)).toBe(Infinity);
}, 60_000);

test('nothing is offered in which a check fails, planned afresh for what it was chosen for', () => {
  let looked = 0;
  fc.assert(
    fc.property(
      fc.constantFrom('lean-to', 'sloped-cold-frame', 'straw-bale', 'a-frame', 'staked-tunnel', 'bent-conduit'),
      fc.constantFrom('wall', 'long', 'metric'),
      fc.option(fc.integer({ min: 20, max: 400 })),
      fc.option(fc.integer({ min: 5, max: 40 })),
      (kind, bedId, wetSnowMm, gustMPerS) => {
        const b = brief({ wetSnowMm, gustMPerS, kinds: [kind] });
        const { offers } = searchWholeBrief(garden, bedId, b, { seed: 1, most: 50 });
        for (const { cover, weighed } of offers) {
          const o = assessCover(garden, { ...cover, brief: b });
          if (!o.ok) throw new Error(kind);
          looked++;
          expect(
            o.value
              .judged()
              .checks.filter((c) => c.verdict === 'fails')
              .map((c) => c.id),
          ).toEqual([]);
          // What is tight is told, and what is not judged never carries what was asked.
          expect(
            o.value
              .judged()
              .checks.filter((c) => c.verdict === 'tight')
              .map((c) => c.id),
          ).toEqual(weighed.tight);
          if (wetSnowMm !== null) expect(weighed.figures.wetSnowMm).toBeGreaterThanOrEqual(wetSnowMm);
        }
        // What holds outright stands before all that is tight somewhere.
        const firstTight = offers.findIndex((o) => o.weighed.tight.length > 0);
        if (firstTight >= 0) expect(offers.slice(firstTight).every((o) => o.weighed.tight.length > 0)).toBe(true);
      },
    ),
    { numRuns: 14, seed: 3 },
  );
  expect(looked).toBeGreaterThan(20);
}, 120_000);

test('another hoop never carries less snow', () => {
  for (const kind of ['staked-tunnel', 'wire-tunnel', 'hinged-hoop-lid', 'walk-in']) {
    const first = firstCover(garden, BED, kind, 'x', 'x');
    const carries = [3, 4, 5, 6, 8].map((hoops) => {
      const o = first && assessCover(garden, { ...first, answers: { ...first.answers, hoops } } as Cover);
      if (!o?.ok) throw new Error(kind);
      return Math.min(
        ...o.value
          .judged()
          .strengths.filter((_, i) => i < o.value.assembly.arches.length)
          .map((s) => s.wetSnowMm),
      );
    });
    carries.forEach((mm, i) => expect(mm).toBeGreaterThanOrEqual((carries[i - 1] ?? 0) - 1e-6));
  }
});

test('a brief is read back as one sentence, and each wish says itself', () => {
  const b = brief({
    crops: ['spinach', 'kale'],
    purposes: ['winter', 'insects'],
    wetSnowMm: 203.2,
    coldestC: -14,
    price: 150,
    oneHand: true,
    notKinds: ['walk-in'],
    notMaterials: ['pvc'],
  });
  expect(phraseText(sentenceOf(garden, b), units)).toBe(
    'A cover for spinach and kale, through the winter and against insects, that keeps spinach and kale alive at −14 °C, carries 8" of wet snow, costs no more than $150.00, opens with one hand and is made without PVC; no walk-in hoop house.',
  );
  expect(phraseText(sentenceOf(garden, NOTHING_SAID), units)).toBe('A cover of any kind, for anything.');
  expect(wishesOf(garden, b).map((w) => w.id)).toEqual([
    'headroom',
    'winter',
    'insects',
    'cold',
    'snow',
    'price',
    'one hand',
    'not pvc',
    'sense',
    'stands',
  ]);
  const loose = wishesOf(garden, b).flatMap((w) => (w.without ? [[w.id, w.without] as const] : []));
  // All but the two that no brief can let go of.
  expect(loose).toHaveLength(8);
  for (const [id, without] of loose) expect(wishesOf(garden, without).map((w) => w.id)).not.toContain(id);
  // What is a list is then an empty one, what is a figure none.
  const left = Object.fromEntries(loose);
  expect([left['headroom']?.crops, left['price']?.price]).toEqual([[], null]);
});

test('what is missed is never flat: nearer is less, at the bound it is nothing', () => {
  const bound = { figure: 'wetSnowMm', sense: 'least', value: 200 } as const;
  // 0.2 for missing it, and of the rest short / (short + 200): 100 short is a third of 0.8.
  expect(missOf(bound, 100)).toBeCloseTo(0.2 + 0.8 / 3, 9);
  expect(missOf(bound, 200)).toBe(0);
  expect(missOf({ ...bound, sense: 'most' }, 150)).toBe(0);
  fc.assert(
    fc.property(fc.double({ min: 0, max: 199, noNaN: true }), fc.double({ min: 1, max: 50, noNaN: true }), (x, by) => {
      expect(missOf(bound, x)).toBeGreaterThan(missOf(bound, x + by));
    }),
  );
});

test('summer cloth is put on as a coat where the winter cover does not keep insects out', () => {
  const b = brief({ crops: ['kale'], purposes: ['winter', 'insects'], kinds: ['staked-tunnel'] });
  const found = searchWholeBrief(garden, BED, b, { seed: 1, most: 60 });
  const offer = found.kinds[0]?.best;
  expect(offer).toBeDefined();
  const film = assessCover(garden, offer?.cover as Cover);
  const main = film.ok ? film.value.assembly.enclosure.skins[0].cover.kind : '';
  if (main === 'film') expect(offer?.cover.coats.map((c) => c.coverKey)).toContain('net');
  else expect(['fabric', 'net']).toContain(main);
});

test('a kind that cannot is ruled out by a wish in words; what missed least is kept', () => {
  const found = searchWholeBrief(garden, BED, brief({ price: 5, kinds: ['a-frame'] }), { seed: 1, most: 130 });
  const [kind] = found.kinds;
  expect(kind?.best).toBeUndefined();
  expect(phraseText(kind?.ruledOut ?? [], units)).toMatch(/^No a-frame was found that costs no more than \$5\.00/);
  expect(kind?.nearest?.weighed.misses).toHaveProperty('price');
  expect(found.offers).toEqual([]);
});

test('what wishes cost: none makes it dearer to leave out, none cheaper to ask more', () => {
  const b = brief({ crops: ['kale'], wetSnowMm: 150, kinds: ['a-frame'] });
  const found = searchWholeBrief(garden, BED, b, { seed: 1, most: 120 });
  const [offer] = found.offers;
  if (!offer) throw new Error('none');
  const run = costsOf(garden, BED, b, offer, found, { seed: 1, most: 120 });
  let last = run.next();
  while (!last.done) last = run.next();
  const wishes = last.value;
  expect(new Set(wishes.map((w) => w.how))).toEqual(new Set([...wishes.map((w) => w.how)]));
  for (const w of wishes) {
    if (w.change === undefined) continue;
    if (w.how === 'without') expect(w.change).toBeLessThanOrEqual(1e-9);
    if (w.how === 'more') expect(w.change).toBeGreaterThanOrEqual(-0.01);
    if (w.how === 'less') expect(w.change).toBeLessThan(0);
  }
  expect(wishes.some((w) => w.id === 'snow' && w.how === 'more')).toBe(true);
  for (const w of binding(wishes, offer.weighed.price)) expect(samePrice(1, 1 + (w.change ?? 0))).toBe(false);
  const more = (id: string): Brief | undefined => wishesOf(garden, b).find((w) => w.id === id)?.more;
  expect([more('snow') !== undefined, more('price')]).toEqual([true, undefined]);
}, 60_000);

test('what the search weighed stands for its wishes: the costs are those of a search that knows nothing', () => {
  const b = brief({
    crops: ['kale'],
    purposes: ['winter'],
    coldestC: -8,
    price: 230,
    hours: 30,
    hands: 1,
    kinds: ['staked-tunnel'],
  });
  const known = emptyScoreCache();
  const found = searchWholeBrief(garden, BED, b, { seed: 1, most: 60, known });
  const [offer] = found.offers;
  if (!offer) throw new Error('none');
  expect(known.weighed.size).toBeGreaterThanOrEqual(found.judged);
  const end = (options: Omit<Parameters<typeof costsOf>[5], 'seed'>, chosen = offer) => {
    const run = costsOf(garden, BED, b, chosen, found, { seed: 1, most: 60, ...options });
    for (;;) {
      const { value, done } = run.next();
      if (done) return value;
    }
  };
  const told = (list: readonly WishCost[]) => list.map((w) => [w.id, w.how, w.change, w.cover?.answers]);
  const cold = end({});
  expect(told(end({ known }))).toEqual(told(cold));
  expect(cold.map((w) => w.id)).toEqual(
    expect.arrayContaining(['headroom', 'winter', 'cold', 'price', 'hours', 'hands']),
  );
  // All but the one in hand proven dearer than thought: nothing left out is dearer, and no little less is told that saves nothing.
  const inHand = coverKey(offer.cover);
  const dearer = end({ known, prove: (cover) => (coverKey(cover) === inHand ? 50 : 1000) });
  expect(dearer.filter((w) => w.how === 'without').every((w) => w.change === undefined || w.change <= 0)).toBe(true);
  expect(dearer.some((w) => w.how === 'less')).toBe(false);
  expect(dearer.filter((w) => w.how === 'more').every((w) => w.change === undefined || w.change >= 0)).toBe(true);
  // What the search has proven is not proven once more.
  const asksFor: string[] = [];
  end({ known, prove: (cover) => void asksFor.push(coverKey(cover)) }, { ...offer, provenPrice: 40 });
  expect(asksFor).not.toContain(inHand);
  expect(new Set(asksFor).size).toBe(asksFor.length);
  // Every answer does all that its own brief asks.
  for (const { cover, brief: asks } of cold) {
    const ask = briefContext(garden, BED, asks);
    if (cover) expect(scoreIn(ask.garden, cover, ask.wishes, asks)?.w.misses).toEqual({});
  }
  // Proven prices take the place of quick ones, on both sides: all a tenth dearer, all changes a tenth larger.
  const price = (cover: Cover) => scoreIn(garden, cover, [], b)?.w.price ?? NaN;
  const proven = end({ known, prove: (cover) => 1.1 * price(cover) });
  proven.forEach((w, i) => {
    const { change } = cold[i] as WishCost;
    if (change === undefined) expect(w.change).toBeUndefined();
    else expect(w.change).toBeCloseTo(1.1 * change, 6);
  });
}, 60_000);

test('a design of one’s own is held against another, wish by wish', () => {
  const own = garden.covers.find((c) => c.id === 'winter-lid');
  const other = firstCover(garden, BED, 'staked-tunnel', 'x', 'Tunnel');
  if (!own || !other) throw new Error();
  const b = brief({ crops: ['spinach'], oneHand: true, price: 10 });
  const held = compareDesigns(garden, BED, b, own, other);
  expect(held?.wishes.map((w) => [w.id, w.own.meets, w.other.meets])).toEqual([
    ['headroom', true, true],
    ['price', false, false],
    ['one hand', false, false],
    ['sense', true, true],
    ['stands', held?.own.misses['stands'] === undefined, held?.other.misses['stands'] === undefined],
  ]);
  expect(compareDesigns(garden, 'nowhere', b, own, other)).toBeUndefined();
});

test('a brief’s file is read, or each fault is named by its field; the answer is plain data', () => {
  const bed = { lengthMm: 2400, widthMm: 1200, wallHeightMm: 300, wallThicknessMm: 40 };
  const file = (more: object) => readBriefJob({ format: 'cabanon-brief', version: 1, bed, brief: {}, ...more });
  const fault = (more: object): string => {
    const r = file(more);
    return r.ok ? '' : `${r.faults[0]?.field}: ${r.faults[0]?.message}`;
  };
  expect(file({}).ok).toBe(true);
  expect(fault({ brief: { crops: ['weeds'] } })).toBe('brief.crops[0]: "weeds" is no crop in the list');
  expect(fault({ brief: { kinds: ['igloo'] } })).toContain('brief.kinds[0]: "igloo" is no kind of cover');
  expect(fault({ brief: { price: -1 } })).toContain('brief.price');
  expect(fault({ brief: { from: '10-01' } })).toContain('brief.until: say both from when and until when');
  expect(fault({ bed: undefined })).toContain('bed: give either a garden with bedId, or a bed');
  expect(fault({ site: { latitudeDeg: 95 } })).toContain('site.latitudeDeg');
  expect(fault({ version: 3 })).toContain('version');
  const whole = readBriefJob({ format: 'cabanon-brief', version: 1, garden, bedId: 'nowhere', brief: {} });
  expect(whole.ok ? '' : whole.faults[0]?.message).toContain('there is no bed "nowhere"; there are long');
  const job = file({ brief: { kinds: ['a-frame'], crops: ['spinach'] } });
  if (!job.ok) throw new Error();
  const { garden: g, bedId, brief: b } = job.value;
  const report = briefReport(briefContext(g, bedId, b), searchWholeBrief(g, bedId, b, { seed: 1, most: 40 }), [], 1);
  expect(report.designs[0]).toMatchObject({ kind: 'a-frame', priceIs: 'quick', equalToCheapest: true });
  expect(JSON.parse(JSON.stringify(report))).toEqual(report);
});

test('the same brief and seed give the same designs', () => {
  const b = brief({ crops: ['spinach'], kinds: ['a-frame'] });
  const once = (): unknown =>
    searchWholeBrief(garden, BED, b, { seed: 4, most: 50 }).offers.map((o) => [o.id, o.weighed.price]);
  expect(once()).toEqual(once());
  expect(briefSchema.parse({})).toEqual(NOTHING_SAID);
});

test('from designs that are given it goes on from each of them; with none it begins with the usual one', () => {
  const first = holding(garden, 'a-frame');
  const other = {
    ...first,
    answers: { ...first.answers, cover: 'film-uv', crop: 'kale', rowFromEdgeMm: 333 },
  } as Cover;
  const ask = briefContext(garden, BED, brief({ kinds: ['a-frame'] }));
  const keys = (from: readonly Cover[]): readonly string[] =>
    poolsOf(ask, ['a-frame'], { seed: 1, most: 30, from }).map((j) => coverKey(j.s));
  const both = keys([first, other]);
  expect(both).toContain(coverKey(first));
  expect(both).toContain(coverKey(other));
  expect(keys([])).not.toContain(coverKey(other));
});

describe('a coat for what its own cover does not do', () => {
  const first = holding(garden, 'a-frame');
  const coatsFor = (purposes: Brief['purposes'], latitudeDeg = garden.site.latitudeDeg) => {
    const there = { ...garden, site: { ...garden.site, latitudeDeg } };
    const o = assessCover(there, first);
    if (!o.ok) throw new Error('not built');
    return nextDesigns(first, o.value, brief({ purposes }))
      .filter((c) => c.coats.length > first.coats.length)
      .map((c) => c.coats[c.coats.length - 1]);
  };

  test('net against insects from mid May to mid September, shade from mid June through August', () => {
    const net = coatsFor(['insects']);
    expect(net.length).toBeGreaterThan(0);
    for (const coat of net) expect(coat).toMatchObject({ from: '05-15', to: '09-15' });
    const shade = coatsFor(['sun']);
    expect(shade.length).toBeGreaterThan(0);
    for (const coat of shade) expect(coat).toMatchObject({ from: '06-15', to: '08-31' });
  });

  test('half a year later south of the equator, and none where nothing of the kind is asked', () => {
    for (const coat of coatsFor(['insects'], -35)) expect(coat).toMatchObject({ from: '11-15', to: '03-15' });
    for (const coat of coatsFor(['sun'], -35)) expect(coat).toMatchObject({ from: '12-15', to: '02-28' });
    expect(coatsFor(['winter'])).toEqual([]);
  });
});
