import type { ShelfSheet } from './onHand';
import fc from 'fast-check';
import { leftovers, onShelf } from './flat';
import { packSheets, sawMm } from './sheets';

const SIZE = { widthMm: 1220, lengthMm: 2440, price: 40 };

test('what is left of a sheet overlaps no piece: pieces and rests together are never more than the sheet', () => {
  const side = fc.integer({ min: 60, max: 1200 });
  fc.assert(
    fc.property(
      fc.array(fc.record({ widthMm: side, lengthMm: side }), { minLength: 1, maxLength: 10 }),
      fc.constantFrom(0, 3),
      (list, kerf) => {
        const pieces = list.map((p, i) => ({ ...p, tag: `p${i}`, turns: true }));
        for (const sheet of packSheets(pieces, [SIZE], sawMm(kerf)) ?? []) {
          const rests = leftovers(SIZE, sheet.placed, kerf);
          const area = (s: { readonly widthMm: number; readonly lengthMm: number }): number => s.widthMm * s.lengthMm;
          const taken = [...sheet.placed, ...rests].reduce((sum, s) => sum + area(s), 0);
          expect(taken).toBeLessThanOrEqual(area(SIZE) + 1);
          for (const rest of rests) {
            expect(Math.min(rest.widthMm, rest.lengthMm)).toBeGreaterThanOrEqual(250);
            expect(rest.widthMm).toBeLessThanOrEqual(SIZE.widthMm);
            expect(rest.lengthMm).toBeLessThanOrEqual(SIZE.lengthMm);
          }
        }
      },
    ),
  );
});

test('a sheet cut in half leaves its other half; one cut through leaves nothing', () => {
  const at = { tag: 'a', xMm: 0, yMm: 0, widthMm: 1220 };
  expect(leftovers(SIZE, [{ ...at, lengthMm: 1217 }], 3)).toEqual([{ widthMm: 1220, lengthMm: 1220 }]);
  expect(leftovers(SIZE, [{ ...at, lengthMm: 2440 }], 3)).toEqual([]);
  // What stands beside a narrow piece is as long as the piece's strip.
  expect(leftovers(SIZE, [{ ...at, widthMm: 500, lengthMm: 2440 }], 0)).toEqual([{ widthMm: 720, lengthMm: 2440 }]);
});

test('of the shelf, only sound stuff of the right kind that is there is cut from', () => {
  const own = (id: string, more: Partial<ShelfSheet> = {}): ShelfSheet => ({
    id,
    kind: 'sheet',
    key: 'corrugated',
    widthMm: 600,
    lengthMm: 900,
    quantity: 1,
    condition: 'sound',
    ...more,
  });
  const shelf = [
    own('good', { quantity: 2 }),
    own('worn', { condition: 'worn' }),
    own('gone', { quantity: 0 }),
    own('other', { key: 'twin-wall-6' }),
    own('film', { kind: 'cover' }),
  ];
  expect(onShelf(shelf, 'sheet', 'corrugated')).toEqual([
    { id: 'good', widthMm: 600, lengthMm: 900, price: 0, available: 2 },
  ]);
});
