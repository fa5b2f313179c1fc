import fc from 'fast-check';
import type { Landmark } from './landmark';
import { beamOver, horizonOf, skySeen } from './horizon';
import { footprint } from './plotting';
import { isTimeZone, utcHoursAt } from './clock';

const thing = (kind: Landmark['kind'], more: Partial<Landmark> = {}): Landmark => ({
  id: kind,
  name: kind,
  kind,
  at: { xMm: -5000, yMm: -3300 },
  bearingDeg: 90,
  lengthMm: 10000,
  widthMm: 300,
  heightMm: 3000,
  ...more,
});
const HERE = { x: 0, y: 0 };

test('a wall three metres south and three high takes the sun below 45 degrees at noon, and none above it or in the north', () => {
  const h = horizonOf([thing('wall')], HERE, 0);
  expect(h[0]?.altitudeDeg[36]).toBeCloseTo(45, 9);
  expect(beamOver(h, 180, 44)).toBe(0);
  expect(beamOver(h, 180, 46)).toBe(1);
  expect(beamOver(h, 0, 5)).toBe(1);
  // Toward its end at 45 degrees of bearing it is farther: atan(3 / (3 x sqrt 2)).
  expect(h[0]?.altitudeDeg[45]).toBeCloseTo(35.26, 1);
  // Seen from as high as its top it takes nothing.
  expect(horizonOf([thing('wall')], HERE, 3000)).toEqual([]);
});

test('a tree lets some through, a path all, and together they take more', () => {
  const tree = thing('tree', { at: { xMm: -1000, yMm: -5000 }, lengthMm: 2000, widthMm: 2000, heightMm: 4000 });
  const one = horizonOf([tree], HERE, 0);
  // Its near side stands three metres off: atan(4 / 3).
  expect(one[0]?.altitudeDeg[36]).toBeCloseTo(53.13, 1);
  expect(beamOver(one, 180, 30)).toBeCloseTo(0.3, 9);
  expect(horizonOf([thing('path')], HERE, 0)).toEqual([]);
  const hedge = thing('hedge', { heightMm: 6000 });
  expect(beamOver(horizonOf([tree, hedge], HERE, 0), 180, 30)).toBeCloseTo(0.3 * 0.1, 9);
});

test('a wall anywhere is as high over each bearing as the points of its outline there', () => {
  const at = fc.integer({ min: -9000, max: 9000 });
  const wall = fc.record({ xMm: at, yMm: at, bearingDeg: fc.integer({ min: 0, max: 359 }) });
  const deg = (y: number, x: number): number => (Math.atan2(y, x) * 180) / Math.PI;
  fc.assert(
    fc.property(wall, ({ xMm, yMm, bearingDeg }) => {
      const it = thing('wall', { at: { xMm, yMm }, bearingDeg, lengthMm: 4000 });
      const altitudes = horizonOf([it], HERE, 0)[0]?.altitudeDeg ?? [];
      const corners = footprint(it);
      // Points each 2 mm of all four sides that lie within a third of a degree of a bearing.
      const there = Array.from({ length: 72 }, (): number[] => []);
      corners.forEach((a, i) => {
        const b = corners[(i + 1) % 4] ?? a;
        const n = Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / 2);
        for (let k = 0; k <= n; k++) {
          const [x, y] = [a.x + ((b.x - a.x) * k) / n, a.y + ((b.y - a.y) * k) / n];
          const bearing = (deg(x, y) + 360) % 360;
          const near = Math.round(bearing / 5);
          if (Math.abs(bearing - 5 * near) < 0.3) there[near % 72]?.push(Math.hypot(x, y));
        }
      });
      fc.pre(Math.min(...there.flat()) > 600);
      altitudes.forEach((altitude, i) => {
        const far = there[i] ?? [];
        // Beside a corner the bearing itself may just miss it.
        if (altitude === 0) return;
        expect(far.length).toBeGreaterThan(0);
        expect(altitude).toBeLessThan(deg(3000, Math.min(...far)) + 0.05);
        expect(altitude).toBeGreaterThan(deg(3000, Math.max(...far)) - 0.05);
      });
      const seen = there.filter((x) => x.length > 0).length;
      expect(altitudes.filter((x) => x > 0).length).toBeGreaterThanOrEqual(seen - 2);
    }),
    { numRuns: 40 },
  );
});

test('the part of the sky that is seen', () => {
  expect(skySeen([])).toBe(1);
  // All round to 30 degrees: sin² 30 = 1/4 is gone, of which a tree gives back three tenths.
  expect(skySeen([{ shades: 1, altitudeDeg: Array.from({ length: 72 }, () => 30) }])).toBeCloseTo(0.75, 9);
  expect(skySeen([{ shades: 0.7, altitudeDeg: Array.from({ length: 72 }, () => 30) }])).toBeCloseTo(1 - 0.175, 9);
});

test('the clock of a place: its zone with summer time, or its longitude', () => {
  const [winter, summer] = [Date.UTC(2027, 0, 15), Date.UTC(2027, 6, 15)];
  const at = (timeZone: string | null, ms: number): number => utcHoursAt({ timeZone, longitudeDeg: -72.6 }, ms);
  expect([at(null, winter), at(null, summer)]).toEqual([-5, -5]);
  expect([at('Europe/Vienna', winter), at('Europe/Vienna', summer)]).toEqual([1, 2]);
  expect(at('Asia/Kolkata', winter)).toBe(5.5);
  expect([isTimeZone('Europe/Vienna'), isTimeZone('Middle/Earth')]).toEqual([true, false]);
});

test('a tree beside the way one looks hides what its crown is wide, and nothing behind one', () => {
  // A crown of 2 m, 4 m off and 1 m beside the line south: its edge is on the line, no chord; half a metre beside, half a chord.
  const at = (offMm: number) =>
    thing('tree', { at: { xMm: offMm - 1000, yMm: -5000 }, lengthMm: 2000, widthMm: 2000, heightMm: 3000 });
  const south = (offMm: number): number | undefined => horizonOf([at(offMm)], HERE, 0)[0]?.altitudeDeg[36];
  expect(south(1001)).toBe(0);
  // sqrt(1 - .25) = .866: 3.134 m off, atan(3 / 3.134).
  expect(south(500)).toBeCloseTo((Math.atan2(3000, 4000 - Math.sqrt(750_000)) * 180) / Math.PI, 6);
  expect(horizonOf([at(0)], HERE, 0)[0]?.altitudeDeg[0]).toBe(0);
  // From under it, in its middle or beside that: it stands straight up all round.
  for (const y of [-4000, -3200, -4900])
    for (const i of [0, 18, 36, 54]) expect(horizonOf([at(0)], { x: 0, y }, 0)[0]?.altitudeDeg[i]).toBeGreaterThan(89);
});
