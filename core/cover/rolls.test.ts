import fc from 'fast-check';
import type { SheetPart } from '../assembly/types';
import { planRolls } from './rolls';

const FOOT = 304.8;
const sheet = (tag: string, acrossMm: number, alongMm: number, rollKey: string | null = null): SheetPart => ({
  tag,
  part: 'Cover',
  coverKey: 'film-uv',
  rollKey,
  across: [{ what: 'all', mm: acrossMm }],
  along: [{ what: 'all', mm: alongMm }],
  faces: [],
});
const price = (roll: { price: number }): number => roll.price;

test('the cheapest roll that fits is chosen, and what is left is said', () => {
  const { rolls } = planRolls([sheet('S1', 9 * FOOT, 16 * FOOT)], price);
  expect(rolls[0]?.roll.key).toBe('film-uv 10x25 ft');
  expect(rolls[0]?.leftMm).toBeCloseTo(9 * FOOT, 6);
});

test('two flaps lie side by side', () => {
  const { rolls } = planRolls(
    [sheet('S1', 9 * FOOT, 16 * FOOT), sheet('S2', 4 * FOOT, 3 * FOOT), sheet('S3', 4 * FOOT, 3 * FOOT)],
    price,
  );
  expect(rolls.length).toBe(1);
  expect(rolls[0]?.leftMm).toBeGreaterThanOrEqual(5 * FOOT - 1);
});

test('a sheet wider than every roll is named with what it needs', () => {
  const { rolls, tooWide } = planRolls([sheet('S1', 21 * FOOT, 60 * FOOT)], price);
  expect(rolls).toEqual([]);
  expect(tooWide).toEqual([{ tag: 'S1', needMm: 21 * FOOT, widestMm: 20 * FOOT }]);
  expect(planRolls([sheet('S1', 11 * FOOT, 26 * FOOT, 'film-uv 10x50 ft')], price).tooWide.length).toBe(1);
});

test('sheets never overlap and never leave their roll', () => {
  const any = fc.record({
    across: fc.double({ min: 300, max: 3000, noNaN: true }),
    along: fc.double({ min: 300, max: 7000, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(any, { minLength: 1, maxLength: 7 }), (list) => {
      const { rolls, tooWide } = planRolls(
        list.map((s, i) => sheet(`S${i}`, s.across, s.along)),
        price,
      );
      expect(tooWide).toEqual([]);
      expect(rolls.flatMap((r) => r.placed.map((p) => p.tag)).sort()).toEqual(list.map((_, i) => `S${i}`).sort());
      for (const { roll, placed } of rolls)
        placed.forEach((p, i) => {
          expect(p.atMm + p.runMm).toBeLessThanOrEqual(roll.lengthMm + 1);
          expect(p.sideMm + p.widthMm).toBeLessThanOrEqual(roll.widthMm + 1);
          for (const q of placed.slice(i + 1)) {
            const apart =
              p.atMm + p.runMm <= q.atMm + 1 ||
              q.atMm + q.runMm <= p.atMm + 1 ||
              p.sideMm + p.widthMm <= q.sideMm + 1 ||
              q.sideMm + q.widthMm <= p.sideMm + 1;
            expect(apart).toBe(true);
          }
        });
    }),
  );
});
