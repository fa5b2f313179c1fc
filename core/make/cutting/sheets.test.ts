import { SHIPPED, stiffSheet } from '../../catalog/catalog';
import type { SheetSize } from '../../catalog/types';
import fc from 'fast-check';
import { solveSheetJob } from './sheetJob';
import { cutsInOrder, cutsText, planSheets } from './panels';
import { type SheetPiece, packSheets, sawMm, sheetBound } from './sheets';
import { rectangle } from '../../cover/assembly/pieces';

const FULL: SheetSize = { key: 'full', widthMm: 1220, lengthMm: 2440, price: 40 };
const HALF: SheetSize = { key: 'half', widthMm: 610, lengthMm: 1220, price: 13 };
const price = (s: SheetSize): number => s.price;

test('pieces on one sheet neither overlap nor leave it, and every cut runs from edge to edge', () => {
  const piece = fc.record({
    w: fc.integer({ min: 60, max: 1200 }),
    l: fc.integer({ min: 60, max: 2400 }),
    turns: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(piece, { minLength: 1, maxLength: 14 }), (list) => {
      const pieces = list.map((p, i): SheetPiece => ({ tag: `p${i}`, widthMm: p.w, lengthMm: p.l, turns: p.turns }));
      const packed = packSheets(pieces, [FULL, HALF], sawMm(3));
      if (!packed) throw new Error('all of them fit a full sheet');
      const placed = packed.flatMap((s) => s.placed.map((q) => ({ ...q, s })));
      expect(placed.map((p) => p.tag).sort()).toEqual(pieces.map((p) => p.tag).sort());
      for (const p of placed) {
        expect(p.xMm + p.widthMm).toBeLessThanOrEqual(p.s.size.widthMm + 1);
        expect(p.yMm + p.lengthMm).toBeLessThanOrEqual(p.s.size.lengthMm + 1);
        const own = pieces.find((q) => q.tag === p.tag);
        if (own && !own.turns) expect([p.widthMm, p.lengthMm]).toEqual([own.widthMm, own.lengthMm]);
        for (const q of placed) {
          if (p.tag === q.tag || p.s !== q.s) continue;
          const across = p.xMm + p.widthMm + 3 <= q.xMm + 0.1 || q.xMm + q.widthMm + 3 <= p.xMm + 0.1;
          const along = p.yMm + p.lengthMm + 3 <= q.yMm + 0.1 || q.yMm + q.lengthMm + 3 <= p.yMm + 0.1;
          expect(across || along).toBe(true);
        }
      }
    }),
  );
});

test('a small need buys a small sheet; what fits none is named', () => {
  const small = packSheets([{ tag: 'a', widthMm: 600, lengthMm: 500, turns: true }], [FULL, HALF], sawMm(3));
  expect(small?.map((s) => s.size.key)).toEqual(['half']);
  expect(
    packSheets([{ tag: 'a', widthMm: 1300, lengthMm: 1300, turns: true }], [FULL, HALF], sawMm(3)),
  ).toBeUndefined();
});

test('channels keep their way; old windows are taken as they are', () => {
  const lid = rectangle(
    'G1',
    'Glazing',
    stiffSheet(SHIPPED, 'twin-wall-6'),
    [0, 0, 0],
    [1, 0, 0],
    [0, 1, 0],
    [1000, 2000],
    'v',
  );
  const { sheets, tooLarge } = planSheets([lid], price);
  expect(tooLarge).toEqual([]);
  expect(sheets[0]?.placed[0]).toMatchObject({ widthMm: 1000, lengthMm: 2000 });
  // The same piece with its channels the other way is too wide for any sheet.
  const across = { ...lid, channels: 'u' as const, outline: lid.outline.map(([u, v]) => [u, v] as const) };
  expect(planSheets([across], price).tooLarge).toEqual([{ tag: 'G1', sheet: stiffSheet(SHIPPED, 'twin-wall-6') }]);
  expect(planSheets([{ ...lid, sheet: stiffSheet(SHIPPED, 'old-window'), channels: undefined }], price)).toEqual({
    sheets: [],
    tooLarge: [],
  });
});

describe('the cheapest of all ways, then the least area', () => {
  const square = (n: number, mm: number): readonly SheetPiece[] =>
    Array.from({ length: n }, (_, i) => ({ tag: `p${i}`, widthMm: mm, lengthMm: mm, turns: true }));
  const size = (mm: number, cost: number) => ({ widthMm: mm, lengthMm: mm, price: cost });
  test.each([
    // Two of 900 go on one of 2000 for 15, or on two of 1000 for 16, which are half of it: the money counts first.
    ['dearer is not taken for being less', square(2, 900), [size(2000, 15), size(1000, 8)], [2000]],
    ['nor whichever is tried first', square(2, 900), [size(1000, 8), size(2000, 15)], [2000]],
    // At 7.5 each they cost the same: 2 m2 are less than 4.
    ['of one price the less', square(2, 900), [size(2000, 15), size(1000, 7.5)], [1000, 1000]],
    ['whichever is tried first', square(2, 900), [size(1000, 7.5), size(2000, 15)], [1000, 1000]],
    ['of two sheets at one price the smaller', square(1, 900), [size(1200, 10), size(1000, 10)], [1000]],
  ] as const)('%s', (_, pieces, sizes, wanted) => {
    expect(packSheets(pieces, sizes, sawMm(3))?.map((s) => s.size.widthMm)).toEqual([...wanted]);
  });
});

test('sheets on hand are cut first, as many as there are', () => {
  const piece = (tag: string): SheetPiece => ({ tag, widthMm: 600, lengthMm: 1200, turns: false });
  const shelf = { widthMm: 610, lengthMm: 1220, price: 0, available: 1 };
  const packed = packSheets([piece('a'), piece('b')], [{ ...HALF }, shelf], sawMm(3));
  expect(packed?.map((s) => s.size.price).sort((a, b) => a - b)).toEqual([0, 13]);
  expect(packSheets([piece('a'), piece('b')], [shelf], sawMm(3))).toBeUndefined();
});

test('cuts in order: across into strips first, then along each strip', () => {
  const packed = packSheets(
    [
      { tag: 'a', widthMm: 500, lengthMm: 1000, turns: false },
      { tag: 'b', widthMm: 600, lengthMm: 1000, turns: false },
      { tag: 'c', widthMm: 1220, lengthMm: 400, turns: false },
    ],
    [FULL],
    sawMm(3),
  );
  const sheet = packed?.[0];
  const cuts = cutsInOrder(FULL, sheet?.placed ?? []);
  const across = cuts.filter((c) => c.way === 'across');
  expect(cuts.slice(0, across.length)).toEqual(across);
  expect(across.map((c) => c.atMm)).toEqual([400, 1403]);
  expect(cuts.slice(across.length).map((c) => [c.strip, c.atMm])).toEqual([
    [2, 600],
    [2, 1103],
  ]);
});

test('a piece shorter than its strip is trimmed last, and said so', () => {
  const [sheet] =
    packSheets(
      [
        { tag: 'a', widthMm: 500, lengthMm: 800, turns: false },
        { tag: 'b', widthMm: 500, lengthMm: 700, turns: false },
      ],
      [FULL],
      sawMm(3),
    ) ?? [];
  const blanks = sheet?.placed ?? [];
  expect(cutsInOrder(FULL, blanks).at(-1)).toEqual({ way: 'across', atMm: 700, strip: 1, piece: 'b' });
  expect(cutsText({ size: FULL, blanks }, 'mm')).toBe(
    'across at 800 mm; then along strip 1 at 500 mm, strip 1 at 1003 mm; then across b at 700 mm',
  );
});

test('a job from outside: placed, bounded, proven where the bound is met, and faults that name the piece', () => {
  const job = {
    kerf: 3,
    sheets: [{ width: 1220, length: 2440, price: 40 }],
    pieces: [{ width: 1220, length: 1218, quantity: 2, turns: false }],
  };
  expect(solveSheetJob(job)).toMatchObject({ ok: true, value: { cost: 40, proven: true } });
  expect(solveSheetJob({ ...job, pieces: [{ width: 3000, length: 10, quantity: 1 }] })).toMatchObject({
    ok: false,
    faults: [{ field: 'pieces[0]' }],
  });
  expect(solveSheetJob({ ...job, kerf: -1 })).toMatchObject({ ok: false, faults: [{ field: 'kerf' }] });
  expect(solveSheetJob({ ...job, sheets: [{ width: 1220, length: 2440, price: 40, available: 0 }] })).toMatchObject({
    ok: false,
  });
});

test('no plan costs less than the bound', () => {
  const size = fc.record({ w: fc.integer({ min: 100, max: 1200 }), l: fc.integer({ min: 100, max: 1200 }) });
  fc.assert(
    fc.property(fc.array(size, { minLength: 1, maxLength: 12 }), (list) => {
      const pieces = list.map((p, i): SheetPiece => ({ tag: `p${i}`, widthMm: p.w, lengthMm: p.l, turns: true }));
      const packed = packSheets(pieces, [FULL, HALF], sawMm(3)) ?? [];
      const cost = packed.reduce((sum, s) => sum + s.size.price, 0);
      expect(cost).toBeGreaterThanOrEqual(sheetBound(pieces, [FULL, HALF]) - 1e-9);
    }),
  );
});

test('the bound by hand', () => {
  const side = { tag: 'a', widthMm: 1220, lengthMm: 1830, turns: true };
  // Three quarters of a full sheet at 40; a half sheet is dearer by area: 13 for a quarter of it.
  expect(sheetBound([side], [FULL, HALF])).toBeCloseTo(30, 9);
  // A small piece takes one sheet at the least.
  expect(sheetBound([{ ...side, lengthMm: 10 }], [FULL, HALF])).toBe(13);
  // Of two and a quarter full sheets half of one lies there: 1.75 to buy. Two halves hold all of one; and where nothing is sold, nothing is paid.
  const there = { ...HALF, price: 0, widthMm: 1220, available: 1 };
  expect(sheetBound([side, side, side], [FULL, there])).toBeCloseTo(70, 9);
  expect(sheetBound([side], [FULL, { ...there, available: 2 }])).toBe(0);
  expect(sheetBound([side], [there])).toBe(0);
});

test('in any unit nothing hangs over: 48 in of sheet hold no 48.4 in, and 48 in to the hair', () => {
  const job = (width: number) => ({
    kerf: 0.125,
    sheets: [{ width: 48, length: 96, price: 46 }],
    pieces: [{ width, length: 96, quantity: 1, turns: false }],
  });
  expect(solveSheetJob(job(48.4))).toMatchObject({ ok: false, faults: [{ field: 'pieces[0]' }] });
  expect(solveSheetJob(job(48))).toMatchObject({ ok: true, value: { cost: 46 } });
  // Two of 23.95 and the cut between them are 48.025: not off one sheet.
  const two = { ...job(23.95), pieces: [{ width: 23.95, length: 96, quantity: 2, turns: false }] };
  expect(solveSheetJob(two)).toMatchObject({ ok: true, value: { cost: 92 } });
});

test('where there are too few sheets for all pieces it says so, and lays out none', () => {
  const job = (available?: number) =>
    solveSheetJob({
      kerf: 0,
      sheets: [{ width: 1000, length: 2000, price: 10, ...(available !== undefined && { available }) }],
      // Two to a sheet.
      pieces: [{ width: 900, length: 900, quantity: 5 }],
    });
  expect(job(2)).toEqual({
    ok: false,
    faults: [{ field: 'sheets', message: 'there are not enough sheets for all pieces' }],
  });
  for (const enough of [3, undefined]) expect(job(enough)).toMatchObject({ ok: true, value: { cost: 30 } });
});
