import { SHIPPED, section } from '../../catalog/catalog';
import fc from 'fast-check';
import { hardwareOf } from './index';
import { hoopMark, straightRun } from './runs';

const run = (lengthMm: number, key: string, xs: readonly number[]) =>
  straightRun('R1', 'Ridge', section(SHIPPED, key), [0, lengthMm], [5, 7], [0, 0, 1], { xs, mark: hoopMark });

test('a short run is one piece, marked at every hoop from its tape end', () => {
  const { members, joints } = run(1500, 'pvc-1/2', [40, 740, 1440]);
  expect(members.map((m) => m.tag)).toEqual(['R1']);
  expect(members[0]?.marks).toEqual([
    { atMm: 40, label: 'H1' },
    { atMm: 740, label: 'H2' },
    { atMm: 1440, label: 'H3' },
  ]);
  expect(joints).toEqual([]);
});

test('a run longer than any bar is joined on hoops: couplers for pipe, plates for boards', () => {
  fc.assert(
    fc.property(fc.integer({ min: 3000, max: 30000 }), fc.constantFrom('pvc-1/2', '2x2', '1x2'), (lengthMm, key) => {
      const bays = Math.ceil(lengthMm / 700);
      const hoops = Array.from({ length: bays + 1 }, (_, i) => (lengthMm * i) / bays);
      const { members, joints: splices } = run(lengthMm, key, hoops);
      const s = section(SHIPPED, key);
      const longest = Math.max(...s.stock.map((bar) => bar.lengthMm));
      expect(members.reduce((sum, m) => sum + m.lengthMm, 0)).toBeCloseTo(lengthMm, 3);
      let at = 0;
      for (const m of members) {
        expect(m.lengthMm).toBeLessThanOrEqual(longest);
        at += m.lengthMm;
        expect(hoops.some((x) => Math.abs(x - at) < 0.01)).toBe(true);
      }
      const joints = members.length - 1;
      const fixings = hardwareOf(splices).reduce((sum, h) => sum + h.count, 0);
      expect(fixings).toBe(s.shape.kind === 'tube' ? joints : 2 * joints);
    }),
  );
});

test('no piece is a sliver: joints are chosen over the whole run', () => {
  // 128 in of 1x2 in 8 ft bars over hoops with 30 mm beyond the end ones: filled from the left, the last would be 32 in
  const hoops = [30, 830, 1630, 2430, 3021, 3221];
  const lengths = run(3251, '1x2', hoops).members.map((m) => m.lengthMm);
  expect(lengths).toEqual([1630, 1621]);
  fc.assert(
    fc.property(
      fc.integer({ min: 3100, max: 20000 }),
      fc.integer({ min: 310, max: 900 }),
      fc.integer({ min: 0, max: 120 }),
      fc.constantFrom('pvc-1/2', '2x2', '1x2', 'emt-3/4'),
      (lengthMm, bayMm, overMm, key) => {
        const bays = Math.max(2, Math.round((lengthMm - 2 * overMm) / bayMm));
        const hoopXs = Array.from({ length: bays + 1 }, (_, i) => overMm + ((lengthMm - 2 * overMm) * i) / bays);
        const { members } = run(lengthMm, key, hoopXs);
        const s = section(SHIPPED, key);
        const longest = Math.max(...s.stock.map((bar) => bar.lengthMm)) - s.squareMm;
        for (const m of members) expect(m.lengthMm).toBeGreaterThanOrEqual(304.8 - 1e-6);
        // Never one more than filling bar after bar would take, joints on hoops.
        let [count, last] = [0, 0];
        while (lengthMm - last > longest) {
          const next = Math.max(...hoopXs.filter((h) => h > last && h - last <= longest));
          [count, last] = [count + 1, next];
        }
        expect(members.length).toBeLessThanOrEqual(count + 2);
        if (lengthMm - last >= 304.8) expect(members.length).toBeLessThanOrEqual(count + 1);
      },
    ),
  );
});

test('of as many pieces the cheaper bars are taken, and closer bays than a foot give pieces of a bay at least', () => {
  // 150 in of 1x2 on hoops of 30: 60 and 90 in, the nearest to halves.
  const { members } = run(3810, '1x2', [0, 762, 1524, 2286, 3048, 3810]);
  expect(members.map((m) => m.lengthMm)).toEqual([1524, 2286]);
  const close = Array.from({ length: 34 }, (_, i) => i * 100);
  for (const m of run(3300, 'pvc-1/2', close).members) expect(m.lengthMm).toBeGreaterThanOrEqual(100);
});
