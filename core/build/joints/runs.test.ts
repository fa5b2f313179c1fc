import { SHIPPED, section } from '../../catalog/catalog';
import fc from 'fast-check';
import { hardwareOf } from './index';
import { type Run, straightRun } from './runs';

const run = (lengthMm: number, key: string, hoopXs: readonly number[]): Run => ({
  tag: 'R1',
  part: 'Ridge',
  section: section(SHIPPED, key),
  from: [0, 5, 7],
  to: [lengthMm, 5, 7],
  wide: [0, 0, 1],
  hoopXs,
  markHoops: true,
});

test('a short run is one piece, marked at every hoop from its tape end', () => {
  const { members, joints } = straightRun(run(1500, 'pvc-1/2', [40, 740, 1440]));
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
      const { members, joints: splices } = straightRun(run(lengthMm, key, hoops));
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
