import { SHIPPED, coverMaterial } from '../../catalog/catalog';
import fc from 'fast-check';
import type { SheetPart } from '../../cover/assembly/types';
import { planRolls, seamHardware } from './rolls';

const FOOT = 304.8;
const sheet = (tag: string, acrossMm: number, alongMm: number, rollKey: string | null = null): SheetPart => ({
  tag,
  part: 'Cover',
  cover: coverMaterial(SHIPPED, 'film-uv'),
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

test('a sheet as wide and as long as a roll comes off it whole, to half a millimetre, either way round', () => {
  const whole = (across: number, along: number): boolean => {
    const { rolls, seams } = planRolls([sheet('S1', across, along, 'film-uv 10x25 ft')], price);
    return rolls.length === 1 && seams.length === 0;
  };
  const [w, l] = [10 * FOOT, 25 * FOOT];
  expect([whole(w, l), whole(w + 0.4, l + 0.4), whole(l, w)]).toEqual([true, true, true]);
  expect([whole(w + 0.6, l), whole(w, l + 0.6)]).toEqual([false, false]);
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
  const { rolls, tooWide } = planRolls([sheet('S1', 90 * FOOT, 130 * FOOT)], price);
  expect(rolls).toEqual([]);
  expect(tooWide).toEqual([{ tag: 'S1', needMm: 90 * FOOT, widestMm: 20 * FOOT }]);
  // Mesh is not sewn.
  const mesh = { ...sheet('M1', 8 * FOOT, 60 * FOOT), cover: coverMaterial(SHIPPED, 'mesh') };
  expect(planRolls([mesh], price).tooWide.length).toBe(1);
});

test('a sheet wider than every roll is made of lapped strips, with what holds the seam', () => {
  const { rolls, seams, tooWide } = planRolls([sheet('S1', 21 * FOOT, 60 * FOOT)], price);
  expect(tooWide).toEqual([]);
  const lapMm = 4 * 25.4;
  expect(seams).toEqual([
    { tag: 'S1', cover: coverMaterial(SHIPPED, 'film-uv'), strips: 2, lapMm, lengthMm: 60 * FOOT },
  ]);
  const strips = rolls.flatMap((r) => r.placed);
  expect(strips.map((p) => p.tag).sort()).toEqual(['S1-1', 'S1-2']);
  expect(strips.reduce((sum, p) => sum + (p.turned ? p.runMm : p.widthMm), 0)).toBeCloseTo(21 * FOOT + lapMm, 6);
  expect(seamHardware(seams)).toEqual([{ itemKey: 'seam-tape', count: 37, joint: 'Both faces of the seam in S1' }]);
  // The roll that is asked for is used, with a seam where it is too narrow.
  expect(planRolls([sheet('S1', 11 * FOOT, 26 * FOOT, 'film-uv 10x50 ft')], price).seams.length).toBe(1);
});

test('what is on the shelf is cut first, worn stuff is not, and what is cut is planned no more', () => {
  const own = (id: string, widthFt: number, lengthFt: number, condition: 'sound' | 'worn' = 'sound') => ({
    id,
    kind: 'cover' as const,
    key: 'film-uv',
    widthMm: widthFt * FOOT,
    lengthMm: lengthFt * FOOT,
    quantity: 1,
    condition,
  });
  const parts = [sheet('S1', 9 * FOOT, 16 * FOOT), sheet('S2', 4 * FOOT, 3 * FOOT)];
  const { rolls } = planRolls(parts, price, [own('old', 12, 20, 'worn'), own('rest', 4, 5)]);
  expect(rolls.map((r) => [r.fromShelf, r.placed.map((p) => p.tag)])).toEqual([
    [false, ['S1']],
    [true, ['S2']],
  ]);
  expect(rolls[1]?.roll.key).toBe('rest');
  const done = [{ tag: 'S1', kind: 'cover' as const, key: 'film-uv', widthMm: 16 * FOOT, lengthMm: 9 * FOOT }];
  expect(planRolls(parts, price, [], done).rolls.flatMap((r) => r.placed.map((p) => p.tag))).toEqual(['S2']);
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

test('however large the sheet, strips with their laps make it whole, and each fits its roll', () => {
  const side = fc.double({ min: 1000, max: 20000, noNaN: true });
  fc.assert(
    fc.property(side, side, (across, along) => {
      const { rolls, seams, tooWide } = planRolls([sheet('S1', across, along)], price);
      if (tooWide.length > 0) return;
      const strips = rolls.flatMap((r) => r.placed.map((p) => ({ ...p, roll: r.roll })));
      const [seam] = seams;
      expect(strips).toHaveLength(seam?.strips ?? 1);
      for (const p of strips) expect(p.widthMm).toBeLessThanOrEqual(p.roll.widthMm + 1);
      // Laps are the only film that is under film.
      const film = strips.reduce((sum, p) => sum + p.widthMm * p.runMm, 0);
      expect(film).toBeCloseTo(across * along + (seam ? seam.lengthMm * seam.lapMm : 0), -2);
      expect(seam ? seam.strips >= 2 && seam.strips <= 4 : true).toBe(true);
    }),
  );
});

test('what holds a seam: tape on both faces of film, two rows of thread in fabric, half as long again as the rows', () => {
  const seam = { tag: 'S1', strips: 2, lapMm: 101.6, lengthMm: 9900 };
  const [film, fabric] = ['film-uv', 'fabric-30'].map(
    (key) => seamHardware([{ ...seam, cover: coverMaterial(SHIPPED, key) }])[0],
  );
  // 9.9 m, twice: 20 m of tape. 9.9 x 2 x 1.5 = 29.7: 30 m of thread.
  expect([film?.itemKey, film?.count]).toEqual(['seam-tape', 20]);
  expect([fabric?.itemKey, fabric?.count]).toEqual(['thread', 30]);
});

test('a sheet that is wanted off a roll of its own is cut from that one, whatever the others are cut from', () => {
  const { rolls } = planRolls(
    [sheet('S1', 5 * FOOT, 6 * FOOT, 'film-uv 20x50 ft'), sheet('S2', 5 * FOOT, 6 * FOOT)],
    price,
  );
  const from = Object.fromEntries(rolls.flatMap((r) => r.placed.map((p) => [p.tag, r.roll.key])));
  expect(from['S1']).toBe('film-uv 20x50 ft');
  expect(from['S2']).not.toBe('film-uv 20x50 ft');
});
