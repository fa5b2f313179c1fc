/** What a search has come to, from designs made up by their figures. */
import type { Merits } from '../merits';
import { phraseText } from '../../base/figure';
import type { Cover } from '../../garden/garden';
import { type Searched, answerOf } from './answer';
import type { ScoredDesign } from './evaluator';
import type { Wish } from './wishes';
import { TEST_FIGURES } from '../../testing/design';

const cover = (name: string): Cover => ({ family: 'made-up', answers: { name }, coats: [] }) as unknown as Cover;

interface Made extends Partial<Merits> {
  readonly misses?: Readonly<Record<string, number>>;
  readonly warnings?: number;
}
const design = (name: string, { misses = {}, warnings = 0, ...figures }: Made = {}) => {
  const violation = Object.values(misses).reduce((sum, m) => sum + m, 0);
  const all = { ...TEST_FIGURES, ...figures };
  return {
    s: cover(name),
    worth: { figures: all, misses, tight: [], violation, warnings, price: all.price } satisfies ScoredDesign,
  };
};
type Design = ReturnType<typeof design>;
const kind = (key: string, best: Design | undefined, pool: readonly Design[], whole = true): Searched => ({
  key,
  name: `Made-up ${key}`,
  state: {
    best,
    cheapest: pool.reduce<Design | undefined>((a, b) => (a && a.worth.price <= b.worth.price ? a : b), undefined),
    pool,
    effort: 1,
    whole,
    phase: 'done',
  },
  settled: true,
});
const wish = (id: string, does: string): Wish => ({ id, thing: [id], does: [does], miss: () => 0 });
const WISHES = [wish('snow', 'carries 30 cm'), wish('hand', 'opens with one hand')];
const DONE = { judged: 9, full: true, done: true };
const nameOf = (o: { readonly cover: Cover } | undefined): unknown => o?.cover.answers['name'];
const found = (...all: readonly Searched[]) => answerOf(WISHES, all, DONE);
const offered = (...all: readonly Searched[]): readonly unknown[] => found(...all).offers.map(nameOf);

test('what something else beats in everything is not offered; the cheapest comes first', () => {
  const a = design('cheap', { price: 90, hours: 9 });
  const b = design('quick', { price: 110, hours: 5 });
  const beaten = design('beaten', { price: 120, hours: 6 });
  expect(offered(kind('x', a, [beaten, b, a]))).toEqual(['cheap', 'quick']);
  // Each figure by itself keeps a dearer one on the list: warmer, stronger, roomier, lighter.
  const better = [{ coldestC: -14 }, { wetSnowMm: 250 }, { clearanceMm: 150 }, { massKg: 15 }].map((more, i) =>
    design(`better ${i}`, { price: 100 + i, ...more }),
  );
  const base = design('base', { price: 95 });
  expect(offered(kind('x', base, [base, ...better]))).toEqual(['base', 'better 0', 'better 1', 'better 2', 'better 3']);
  // The other way about each is beaten.
  const worse = [{ coldestC: -10 }, { wetSnowMm: 150 }, { clearanceMm: 50 }, { massKg: 25 }, { hours: 9 }].map(
    (more, i) => design(`worse ${i}`, { price: 100 + i, ...more }),
  );
  expect(offered(kind('x', base, [base, ...worse]))).toEqual(['base']);
});

test('what a builder would not tell apart is offered once: by the coin, half an hour, half a degree, an inch, a kilogram', () => {
  const base = design('base', { price: 100.2 });
  const alike = design('alike', {
    price: 100.4,
    hours: 8.2,
    coldestC: -12.2,
    wetSnowMm: 205,
    clearanceMm: 105,
    massKg: 19.8,
  });
  expect(offered(kind('x', base, [alike, base]))).toEqual(['base']);
  // Of two alike the cheaper; half an hour sets them apart.
  const dearer = design('dearer', { price: 100.4, hours: 7 });
  const cheaper = design('cheaper', { price: 100.3, hours: 7 });
  expect(offered(kind('x', base, [dearer, cheaper]))).toEqual(['cheaper']);
  expect(offered(kind('x', base, [design('slower', { price: 95, hours: 8.4 }), base]))).toEqual(['slower', 'base']);
  // Snow beyond 1.5 m is no reason any more.
  const deep = design('deep', { price: 100, wetSnowMm: 1500 });
  expect(offered(kind('x', deep, [deep, design('deeper', { price: 105, wetSnowMm: 4000 })]))).toEqual(['deep']);
  // Of two alike the best of its kind is told, though another is listed before it.
  const other = design('alike', { price: 100.2 });
  expect(offered(kind('x', other, [design('of its kind', { price: 100.3 }), other]))).toEqual(['alike']);
});

test('the best of every kind is offered, beaten or not; what misses a wish is not; what is tight stands behind', () => {
  const a = design('a', { price: 90 });
  const b = design('b', { price: 95, hours: 10 });
  expect(offered(kind('x', a, [a]), kind('y', b, [b]))).toEqual(['a', 'b']);
  const weak = design('weak', { price: 50, misses: { snow: 0.4 } });
  const warned = design('warned', { price: 60, warnings: 1 });
  // What holds outright stands first; what is tight somewhere comes after, though it is cheaper.
  expect(offered(kind('x', a, [weak, warned, a]))).toEqual(['a', 'warned']);
  // Where its kind has nothing better it is offered as it is.
  expect(offered(kind('x', warned, [warned]))).toEqual(['warned']);
});

test('a kind that cannot: why, in the words of the wish missed most, and what comes nearest', () => {
  const near = design('near', { misses: { snow: 0.2, hand: 0.7 } });
  const other = design('other', { misses: { snow: 0.9 } });
  const said = (s: Searched): string | undefined => {
    const [k] = found(s).kinds;
    return k?.ruledOut && phraseText(k.ruledOut, { length: 'cm', temperature: 'C', currency: 'USD' });
  };
  const alone = kind('x', near, [near, other]);
  expect(found(alone).kinds[0]).toMatchObject({ key: 'x', best: undefined });
  expect(nameOf(found(alone).kinds[0]?.nearest)).toBe('near');
  // Another of them opens with one hand: it is the two together.
  expect(said(alone)).toBe('No made-up x opens with one hand and does the rest too.');
  expect(said(kind('x', near, [near]))).toBe('No made-up x opens with one hand.');
  expect(said(kind('x', near, [near], false))).toBe('No made-up x was found that opens with one hand.');
  expect(said(kind('x', undefined, []))).toBe('No made-up x can be built here.');
  // Of what has not been looked into yet nothing is said.
  expect(said({ ...kind('x', undefined, []), state: undefined })).toBeUndefined();
  // Not looked into yet, nothing is said of it; nor of one that can.
  expect(said({ ...alone, settled: false })).toBeUndefined();
  const can = design('can');
  expect(said(kind('x', can, [can]))).toBeUndefined();
  expect(found(kind('x', can, [can])).kinds[0]?.nearest).toBeUndefined();
  // One that does all but costs too much is ruled out by its price.
  const dear = design('dear', { misses: { snow: 0.3 } });
  expect(said(kind('x', dear, [dear]))).toBe('No made-up x carries 30 cm.');
});

test('of very many all that nothing beats stay', () => {
  const many = Array.from({ length: 40 }, (_, i) => design(`n ${i}`, { price: 100 + i, hours: 50 - i }));
  expect(offered(kind('x', many[0], many))).toHaveLength(40);
});
