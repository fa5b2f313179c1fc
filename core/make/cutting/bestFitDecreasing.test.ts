/** The quick rule, by hand: what it cuts, from which bars, and what it does with very many pieces. */
import fc from 'fast-check';
import { bestFitDecreasing, costOf, onCheapest, stuffOf } from './bestFitDecreasing';
import type { BarJob } from './job';

const job = (more: Partial<BarJob> = {}): BarJob => ({
  kerf: 3,
  stock: [{ length: 2400, price: 4 }],
  pieces: [{ length: 797, quantity: 3 }],
  ...more,
});
const cuts = (of: BarJob) => bestFitDecreasing(of)?.bars.map((b) => [b.stockLength, ...b.pieces]);

test('longest first, each where it fits best; the saw takes its width between two, not after the last', () => {
  // 3 x 797 + 2 x 3 = 2397 of 2400; a fourth begins another bar.
  expect(cuts(job())).toEqual([[2400, 797, 797, 797]]);
  expect(cuts(job({ pieces: [{ length: 797, quantity: 4 }] }))).toHaveLength(2);
  // 800 three times and two kerfs are 2406: only two.
  expect(cuts(job({ pieces: [{ length: 800, quantity: 3 }] }))).toEqual([
    [2400, 800, 800],
    [2400, 800],
  ]);
  // 1500 and 1300 open two bars with 900 and 1100 left, less a kerf: 880 goes where least is left over.
  expect(
    cuts(
      job({
        pieces: [
          { length: 880, quantity: 1 },
          { length: 1300, quantity: 1 },
          { length: 1500, quantity: 1 },
        ],
      }),
    ),
  ).toEqual([
    [2400, 1500, 880],
    [2400, 1300],
  ]);
});

test('a bar is chosen by its price for what goes into it, as long as there are any', () => {
  const stock = [
    { length: 2400, price: 4 },
    { length: 3000, price: 4.5, available: 1 },
    { length: 1000, price: 0, available: 1 },
  ];
  // The free one first where it is long enough; 4.5 / 3000 is less than 4 / 2400 while so much is left to cut.
  expect(cuts(job({ stock, pieces: [{ length: 990, quantity: 7 }] }))).toEqual([
    [1000, 990],
    [3000, 990, 990, 990],
    [2400, 990, 990],
    [2400, 990],
  ]);
  // A bowed bar gives no piece longer than it says.
  const bowed = [
    { length: 2400, price: 1, longestPiece: 700 },
    { length: 2400, price: 4 },
  ];
  expect(
    cuts(
      job({
        stock: bowed,
        pieces: [
          { length: 700, quantity: 1 },
          { length: 701, quantity: 1 },
        ],
      }),
    ),
  ).toEqual([[2400, 701, 700]]);
  expect(
    bestFitDecreasing(
      job({ stock: [{ length: 2400, price: 4, available: 1 }], pieces: [{ length: 1300, quantity: 2 }] }),
    ),
  ).toBeUndefined();
});

test('very many pieces are cut bar after bar alike, and every one of them is cut', () => {
  const many = job({
    stock: [
      { length: 2400, price: 4 },
      { length: 3600, price: 5.5, available: 700 },
    ],
    pieces: [
      { length: 1190, quantity: 2000 },
      { length: 590, quantity: 1500 },
      { length: 2390, quantity: 100 },
    ],
  });
  const plan = bestFitDecreasing(many);
  if (!plan) throw new Error('none');
  const all = plan.bars.flatMap((b) => b.pieces);
  for (const { length, quantity } of many.pieces) expect(all.filter((l) => l === length)).toHaveLength(quantity);
  for (const b of plan.bars) expect(b.pieces.reduce((sum, l) => sum + l + 3, -3)).toBeLessThanOrEqual(b.stockLength);
  expect(plan.bars.filter((b) => b.stockLength === 3600).length).toBeLessThanOrEqual(700);
  // Not a third more than all the stuff that there is at its cheapest.
  const stuff = many.pieces.reduce((sum, p) => sum + p.length * p.quantity, 0);
  expect(plan.cost).toBeLessThan((1.33 * stuff * 5.5) / 3600);
  expect([plan.cost, plan.proven, plan.bound]).toEqual([costOf(plan.bars), false, 0]);
  // So many that its one kind of bar runs out.
  expect(bestFitDecreasing({ ...many, stock: [{ length: 2400, price: 4, available: 900 }] })).toBeUndefined();
});

test('one by one or alike, the same job comes to nearly the same', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 150, max: 2300 }), { minLength: 1, maxLength: 6 }), (lengths) => {
      const each = (quantity: number) =>
        bestFitDecreasing(job({ pieces: lengths.map((length) => ({ length, quantity })) }));
      const few = each(Math.floor(2900 / lengths.length));
      const lots = each(Math.ceil(3100 / lengths.length));
      if (!few || !lots) throw new Error('a bar holds each');
      expect(lots.cost / lots.bars.flatMap((b) => b.pieces).length).toBeLessThan(
        1.4 * (few.cost / few.bars.flatMap((b) => b.pieces).length),
      );
    }),
    { numRuns: 3 },
  );
});

test('a plan costs and measures what its bars do', () => {
  const bars = [
    { stockLength: 2400, price: 0.1, stock: 0, pieces: [1] },
    { stockLength: 2400, price: 0.1, stock: 0, pieces: [1] },
    { stockLength: 3000, price: 0.2, stock: 1, pieces: [1] },
  ];
  expect([costOf(bars), stuffOf(bars), costOf([]), stuffOf([])]).toEqual([0.4, 7800, 0, 0]);
});

test('every bar ends as the cheapest that holds its pieces, and of one price the shortest', () => {
  const plan = (stock: BarJob['stock'], quantity: number) => {
    const of = { kerf: 3, stock, pieces: [{ length: 600, quantity }] };
    const quick = bestFitDecreasing(of);
    const found = quick && onCheapest(of, quick);
    return [found?.cost, found?.bars.map((b) => b.stockLength).sort((a, b) => a - b)];
  };
  // By the length the long one is cheaper, and yet holds one piece of 600 and its cut alone.
  const stakes = [
    { length: 600, price: 2.7 },
    { length: 900, price: 3.9 },
    { length: 1200, price: 5 },
  ];
  expect(plan(stakes, 3)).toEqual([8.1, [600, 600, 600]]);
  // Of short ones there are two: the third comes out of what is next cheapest.
  expect(plan([{ length: 600, price: 2.7, available: 2 }, ...stakes.slice(1)], 3)).toEqual([9.3, [600, 600, 900]]);
  // A shorter bar that is dearer is not taken.
  expect(plan([...stakes.slice(1), { length: 700, price: 6 }], 1)).toEqual([3.9, [900]]);
  expect(
    plan(
      [
        { length: 1000, price: 4 },
        { length: 900, price: 4 },
      ],
      1,
    ),
  ).toEqual([4, [900]]);
});
