/** What a wish costs, from designs made up by their figures. */
import type { Merits } from '../merits';
import type { ScoredItem } from '../../base/search';
import type { Cover } from '../../garden/garden';
import { NOTHING_SAID } from '../../site/brief';
import { TEST_FIGURES } from '../../testing/design';
import { type WishCost, binding, jumpOf, samePrice } from './costs';
import type { ScoredDesign } from './evaluator';
import type { Wish } from './wishes';

type Design = ScoredItem<Cover, ScoredDesign>;
const design = (name: string, figures: Partial<Merits>, more: Partial<ScoredDesign> = {}): Design => {
  const all = { ...TEST_FIGURES, ...figures };
  const worth = { figures: all, misses: {}, tight: [], violation: 0, warnings: 0, price: all.price, ...more };
  return { s: { name } as unknown as Cover, worth };
};

describe('prices that are one', () => {
  // Three in a hundred of the larger: 3 of 100, 3.09 of 103.
  test.each([
    [100, 103, true],
    [100, 103.1, false],
    [103, 100, true],
    [0, 0, true],
    [0, 1, false],
  ])('%s and %s: %s', (a, b, same) => expect(samePrice(a, b)).toBe(same));

  const cost = (how: WishCost['how'], change: number | undefined) => ({
    id: 'snow',
    how,
    said: ['without'],
    change,
    cover: undefined,
    brief: NOTHING_SAID,
  });
  test('a wish binds where it is left out and something is saved by it, beyond the noise', () => {
    const saves = cost('without', -10);
    const all = [
      saves,
      cost('more', -10),
      cost('less', -10),
      cost('again', -10),
      cost('without', undefined),
      cost('without', -2.9),
      cost('without', 0),
      cost('without', 10),
    ];
    expect(binding(all, 100)).toEqual([saves]);
    // Of 400 twelve are noise, of 50 one and a half.
    expect(binding([saves], 400)).toEqual([]);
    expect(binding([cost('without', -2)], 50)).toHaveLength(1);
  });
});

describe('a jump: cheaper for a little less of a wish', () => {
  const snow: Wish = {
    id: 'snow',
    thing: ['20 cm of snow'],
    does: [],
    bound: { figure: 'wetSnowMm', sense: 'least', value: 200 },
    miss: () => 0,
  };
  const chosen = design('chosen', { price: 100 }).worth;
  const jump = (...pool: readonly Design[]) => jumpOf(snow, pool, chosen, NOTHING_SAID, (j) => j.worth.price - 1);
  const nameOf = (j: ReturnType<typeof jump>): unknown => (j?.priced.cover as unknown as { name?: string })?.name;

  test('the least less is taken, and of as little the cheapest; its price is the proven one', () => {
    const [far, near, nearer] = [
      design('far', { price: 50, wetSnowMm: 100 }),
      design('near', { price: 90, wetSnowMm: 180 }),
      design('as near and cheaper', { price: 80, wetSnowMm: 180 }),
    ] as const;
    expect(nameOf(jump(far, near))).toBe('near');
    expect(nameOf(jump(near, nearer, far))).toBe('as near and cheaper');
    expect(nameOf(jump(nearer, near))).toBe('as near and cheaper');
    expect(jump(near)?.priced).toMatchObject({ id: 'snow', how: 'less', to: 89 });
    // 20 short of 200: .2 and .8 of 20 in 220.
    expect(jump(near)?.gap).toBeCloseTo(0.2 + (0.8 * 20) / 220, 9);
  });

  test('nothing that does as much, costs as much, warns of more, or misses another wish', () => {
    const less = { price: 80, wetSnowMm: 180 };
    expect(jump(design('as much', { price: 80 }))).toBeUndefined();
    expect(jump(design('dearer', { price: 120, wetSnowMm: 180 }))).toBeUndefined();
    // Three in a hundred is noise.
    expect(jump(design('as dear', { price: 97.5, wetSnowMm: 180 }))).toBeUndefined();
    expect(jump(design('warned', less, { warnings: 1 }))).toBeUndefined();
    expect(jump(design('short', less, { misses: { hand: 0.3 }, violation: 0.3 }))).toBeUndefined();
    expect(nameOf(jump(design('well', less)))).toBe('well');
    // What asks for no figure has no less; a price is what all are weighed by.
    const plain: Wish = { id: 'snow', thing: [], does: [], miss: () => 0 };
    expect(jumpOf(plain, [design('well', less)], chosen, NOTHING_SAID, () => 1)).toBeUndefined();
    expect(jumpOf({ ...snow, id: 'price' }, [design('well', less)], chosen, NOTHING_SAID, () => 1)).toBeUndefined();
  });
});
