import type { Cover } from '../../garden/garden';
import { demoGarden } from '../../garden/demo';
import { quickPrice } from '../../cut';
import { assessCover } from '../../plan';
import { NOTHING_SAID } from '../../site/brief';
import {
  type ScoredDesign,
  meritsFor,
  coverKey,
  withViolation,
  nextDesigns,
  scoreDesign,
  withFewerHolds,
  createEvaluator,
} from './evaluator';
import { changesThatHelp, gardenFor, wishesOf } from './wishes';

const garden = demoGarden();
const cover = (id: string): Cover => {
  const found = garden.covers.find((c) => c.id === id);
  if (!found) throw new Error(id);
  return found;
};
const built = (of: Cover) => {
  const o = assessCover(garden, of);
  if (!o.ok) throw new Error(o.faults[0]?.message);
  return o.value;
};
const tunnel = cover('salad-tunnel');

const weighed = (misses: ScoredDesign['misses']): ScoredDesign => ({
  figures: meritsFor(built(tunnel), NOTHING_SAID, 50),
  misses,
  violation: Object.values(misses).reduce((sum, m) => sum + m, 0),
  tight: [],
  warnings: 0,
  price: 50,
});

describe('what is missed', () => {
  test('another word on one wish leaves the others as they are', () => {
    const w = weighed({ snow: 2, cold: 1 });
    expect(withViolation(w, 'snow', 0)).toMatchObject({ misses: { cold: 1 }, violation: 1 });
    expect(withViolation(w, 'snow', 5)).toMatchObject({ misses: { cold: 1, snow: 5 }, violation: 6 });
    expect(withViolation(w, 'price', 4)).toMatchObject({ misses: { snow: 2, cold: 1, price: 4 }, violation: 3 });
    expect(w.violation).toBe(3);
  });

  test('what may mend it is known for some wishes; one that may be mended by anything asks for anything', () => {
    const wishes = wishesOf(demoGarden(), { ...NOTHING_SAID, purposes: ['insects'], coldestC: -9, price: 90 });
    const help = (...missed: readonly string[]) =>
      changesThatHelp(wishes, Object.fromEntries(missed.map((id) => [id, 1])));
    expect(help()).toBeUndefined();
    expect(help('insects')).toEqual(new Set(['cover']));
    expect(help('insects', 'cold')).toEqual(new Set(['cover', 'inner', 'layers', 'extra', 'glazing']));
    expect(help('stands')).toEqual(new Set());
    expect(help('price')).toBeUndefined();
    expect(help('insects', 'price')).toEqual(new Set(['cover']));
  });
});

describe('figures of a design', () => {
  const o = built(tunnel);
  const f = meritsFor(o, NOTHING_SAID, 12);

  test.each([tunnel, cover('window-frame')])('are those of its outline', (of) => {
    const its = built(of);
    const figures = meritsFor(its, NOTHING_SAID, 12);
    expect(figures).toMatchObject({ price: 12, hours: its.hours.value, coldestC: its.coldest.value });
    expect(figures.wetSnowMm).toBe(Math.min(...its.judged().strengths.map((s) => s.wetSnowMm)));
    expect(figures.clearanceMm).toBe(its.assembly.crop.clearanceMm);
    expect(figures.longestMm).toBe(Math.max(...its.assembly.members.map((m) => m.lengthMm)));
    // The heaviest of its lids; nothing of a tunnel's.
    expect(figures.liftKg).toBe([0, ...its.lifts.map((l) => l.value)].sort((a, b) => b - a)[0]);
    expect(figures.liftKg > 0).toBe(its.lifts.length > 0);
  });

  test('a tenderer and taller crop takes as much off warmth and room as it is tenderer and taller', () => {
    const own = o.assembly.crop.crop;
    const tender = [...o.site.catalog.crop.values()].find(
      (c) => c.killingC > own.killingC && c.heightMm > own.heightMm,
    );
    if (!tender) throw new Error('no such crop');
    const asked = meritsFor(o, { ...NOTHING_SAID, crops: [own.key, tender.key] }, 12);
    expect(asked.coldestC - f.coldestC).toBeCloseTo(tender.killingC - own.killingC, 9);
    expect(f.clearanceMm - asked.clearanceMm).toBeCloseTo(tender.heightMm - own.heightMm, 9);
  });

  test('weighing counts what fails of good sense, adds up misses, and refuses what has no price', () => {
    const wishes = wishesOf(garden, { ...NOTHING_SAID, price: 1, hours: 0.1 });
    const w = scoreDesign(o, wishes, NOTHING_SAID);
    expect(w?.price).toBe(quickPrice(o));
    expect(Object.keys(w?.misses ?? {})).toEqual(expect.arrayContaining(['price', 'hours']));
    expect(w?.violation).toBeCloseTo(
      // All but the price, which only rules out.
      Object.entries(w?.misses ?? {}).reduce((s, [id, m]) => (id === 'price' ? s : s + m), 0),
      12,
    );
    expect(w?.warnings).toBe(o.judged().checks.filter((c) => c.verdict === 'tight').length);
    expect(scoreDesign(o, wishes, NOTHING_SAID, Infinity)).toBeUndefined();
  });

  test('are worked out once for the same answers, and nothing for what cannot be built', () => {
    const shop = createEvaluator(garden, NOTHING_SAID, wishesOf(garden, NOTHING_SAID));
    const first = shop.weigh(tunnel);
    expect(shop.weigh({ ...tunnel, id: 'another', name: 'Another' })).toBe(first);
    expect(shop.priceOf(tunnel)).toBe(first?.price);
    const none = { ...tunnel, bedId: 'nowhere', answers: { ...tunnel.answers, hoops: 7 } } as Cover;
    expect([shop.weigh(none), shop.priceOf(none), shop.outlineOf(none)]).toEqual([undefined, undefined, undefined]);
  });
});

describe('what differs by one change', () => {
  const o = built(tunnel);

  test('the same design has one key, whatever it is called; a coat or an answer is another', () => {
    expect(coverKey({ ...tunnel, id: 'x', name: 'X', bedId: 'y' })).toBe(coverKey(tunnel));
    expect(coverKey({ ...tunnel, coats: [{ coverKey: null, from: '05-01', to: '09-01' }] })).not.toBe(coverKey(tunnel));
    expect(coverKey({ ...tunnel, answers: { ...tunnel.answers, hoops: 5 } } as Cover)).not.toBe(coverKey(tunnel));
  });

  test('each move changes something, and only what was asked for where that is said', () => {
    const all = nextDesigns(tunnel, o, NOTHING_SAID);
    expect(new Set(all.map(coverKey)).has(coverKey(tunnel))).toBe(false);
    const changed = (m: Cover): readonly string[] =>
      Object.entries(m.answers)
        .filter(([key, v]) => JSON.stringify(v) !== JSON.stringify((tunnel.answers as Record<string, unknown>)[key]))
        .map(([key]) => key);
    const pipes = nextDesigns(tunnel, o, NOTHING_SAID, ['pipe']);
    expect(pipes.length).toBeGreaterThan(0);
    expect(new Set(pipes.flatMap(changed))).toEqual(new Set(['pipe']));
    // What is missed is insects alone: its cover, and heights, and what failing checks ask for.
    const forInsects = nextDesigns(tunnel, o, NOTHING_SAID, undefined, new Set(['cover']));
    expect(forInsects.length).toBeLessThan(all.length);
    expect(forInsects.some((m) => changed(m).includes('cover'))).toBe(true);
    expect(forInsects.some((m) => changed(m).includes('pipe'))).toBe(false);
  });

  test('counts are tried one and two to either side, within what is allowed', () => {
    const question = { ...tunnel, answers: { ...tunnel.answers, hoops: 5 } } as Cover;
    const hoops = nextDesigns(question, built(question), NOTHING_SAID, ['hoops']);
    expect(hoops.map((m) => (m.answers as { hoops: number }).hoops)).toEqual([3, 7, 4, 6]);
    expect(withFewerHolds(question).map((m) => (m.answers as { hoops: number }).hoops)).toEqual([3, 4]);
    const least = { ...tunnel, answers: { ...tunnel.answers, hoops: 2 } } as Cover;
    const more = nextDesigns(least, built(least), NOTHING_SAID, ['hoops']);
    expect(more.map((m) => (m.answers as { hoops: number }).hoops)).toEqual([4, 3]);
    // Of many, half of them first: 7 less 3, and 3 more.
    const many = { ...tunnel, answers: { ...tunnel.answers, hoops: 7 } } as Cover;
    const halved = nextDesigns(many, built(many), NOTHING_SAID, ['hoops']);
    expect(halved.map((m) => (m.answers as { hoops: number }).hoops)).toEqual([4, 10, 5, 9, 6, 8]);
    // What is counted by itself has none to take away.
    expect(withFewerHolds({ ...tunnel, answers: { ...tunnel.answers, hoops: null } } as Cover)).toEqual([]);
  });

  test('the garden of a brief is the same where nothing is said of snow, gust or car', () => {
    expect(gardenFor(garden, NOTHING_SAID).site).toEqual(garden.site);
  });
});
