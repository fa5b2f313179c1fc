import fc from 'fast-check';
import type { BarJob } from './job';
import { lowerBound } from './lowerBound';

const job = (pieces: BarJob['pieces'], stock: BarJob['stock'], kerf = 3): BarJob =>
  ({ kerf, pieces, stock }) as unknown as BarJob;
const piece = (length: number, quantity: number) => ({ length, quantity }) as BarJob['pieces'][number];
const bar = (length: number, price: number, more: Partial<BarJob['stock'][number]> = {}) =>
  ({ length, price, ...more }) as BarJob['stock'][number];
const price = (b: BarJob['stock'][number]): number => b.price;

test('every piece takes its saw cut with it, and a bar is as long as a cut more: the last one falls beside it', () => {
  // Three of 997 and 3 are 3000; a bar of 2997 and 3 holds just that. One of 3 more in all does not.
  expect(lowerBound(job([piece(997, 3)], [bar(2997, 10)]), price)).toBeCloseTo(10, 1);
  expect(lowerBound(job([piece(998, 3)], [bar(2997, 10)]), price)).toBeCloseTo(20, 1);
});

test('whole bars, the cheapest mix of lengths', () => {
  // 5000 mm: one long and one short at 17 beat two long ones at 20 and three short ones at 21.
  const stock = [bar(2997, 10), bar(1997, 7)];
  expect(lowerBound(job([piece(997, 5)], stock), price)).toBeCloseTo(17, 1);
  // Six thousand: two long ones at 20; with only one of them there, three short ones at 21.
  expect(lowerBound(job([piece(997, 6)], [bar(2997, 10, { available: 1 }), bar(1997, 7)]), price)).toBeCloseTo(21, 1);
  expect(lowerBound(job([piece(997, 6)], stock), price)).toBeCloseTo(20, 1);
});

test('what is on the shelf costs nothing, as far as it goes', () => {
  expect(lowerBound(job([piece(997, 3)], [bar(2997, 0, { available: 1 }), bar(2997, 10)]), price)).toBeCloseTo(0, 1);
  expect(lowerBound(job([piece(997, 4)], [bar(2997, 0, { available: 1 }), bar(2997, 10)]), price)).toBeCloseTo(10, 1);
});

test('where all bars together are too short it is what their cheapest length would come to', () => {
  expect(lowerBound(job([piece(997, 9)], [bar(2997, 10, { available: 1 })]), price)).toBeCloseTo(30, 1);
  expect(lowerBound(job([piece(997, 9)], []), price)).toBeCloseTo(0, 1);
});

test('never above what any way to cut costs, nor below the length itself', () => {
  const size = fc.integer({ min: 50, max: 900 });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(size, fc.integer({ min: 1, max: 4 })), { minLength: 1, maxLength: 4 }),
      fc.array(fc.tuple(fc.integer({ min: 900, max: 3000 }), fc.integer({ min: 1, max: 30 })), {
        minLength: 1,
        maxLength: 3,
      }),
      (pieces, bars) => {
        const j = job(
          pieces.map(([l, n]) => piece(l, n)),
          bars.map(([l, p]) => bar(l, p)),
        );
        const least = lowerBound(j, price);
        // Each piece on the first bar that has room, of the cheapest kind by itself.
        const costs = bars.map(([l, p]) => {
          const rooms: number[] = [];
          for (const [length, n] of pieces)
            for (let i = 0; i < n; i++) {
              const at = rooms.findIndex((room) => room >= length + 3);
              if (at < 0) rooms.push(l + 3 - length - 3);
              else rooms[at] = (rooms[at] ?? 0) - length - 3;
            }
          return rooms.length * p;
        });
        expect(least).toBeLessThanOrEqual(Math.min(...costs) + 1e-9);
        const need = pieces.reduce((sum, [l, n]) => sum + n * (l + 3), 0);
        const perMm = Math.min(...bars.map(([l, p]) => p / (l + 3)));
        expect(least).toBeGreaterThanOrEqual(need * perMm - 0.02);
      },
    ),
    { numRuns: 300 },
  );
});
