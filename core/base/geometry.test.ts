import { SHIPPED, section } from '../catalog/catalog';
import fc from 'fast-check';
import { solveHoop } from '../cover/hoop/elastica';
import { outerFace } from '../cover/parts/hoops';
import {
  add,
  clipped,
  cross,
  distance,
  dot,
  enclosedArea,
  pathLength,
  scale,
  subtract,
  tautOutline,
  unit,
} from './geometry';

test('the way from one point to another is one long; from a point to itself it is along x', () => {
  expect(unit([1, 2, 3], [1, 6, 6])).toEqual([0, 0.8, 0.6000000000000001]);
  expect(unit([4, 4, 4], [4, 4, 4])).toEqual([1, 0, 0]);
});

test('vectors by hand', () => {
  const [a, b] = [[1, 2, 3] as const, [4, 5, 7] as const];
  // 2 x 7 - 3 x 5, 3 x 4 - 1 x 7, 1 x 5 - 2 x 4.
  expect(cross(a, b)).toEqual([-1, 5, -3]);
  // 4 + 10 + 21; the one across both is square to both.
  expect([dot(a, b), dot(cross(a, b), a), dot(cross(a, b), b)]).toEqual([35, 0, 0]);
  expect([add(a, b), subtract(b, a), scale(a, -2)]).toEqual([
    [5, 7, 10],
    [3, 3, 4],
    [-2, -4, -6],
  ]);
  // 9 + 9 + 16 = 34.
  expect(distance(a, b)).toBeCloseTo(Math.sqrt(34), 12);
});

const corner = (y: number, z: number) => ({ y, z });

test('a sheet over a box runs up, across and down', () => {
  const line = tautOutline([corner(0, 10), corner(20, 10), corner(10, 5)], [corner(0, 0), corner(20, 0)]);
  expect(line).toEqual([corner(0, 0), corner(0, 10), corner(20, 10), corner(20, 0)]);
  expect(pathLength(line)).toBe(40);
  expect(enclosedArea(line)).toBe(200);
});

test('over any sprung hoop it is at least as long as the half of its hull, and it grows with the pipe', () => {
  const across = (lengthMm: number): number => {
    const hoop = solveHoop({ kind: 'pinned' }, { spanMm: 1000, lengthMm });
    if (!hoop.ok) throw new Error('no hoop');
    return pathLength(
      tautOutline(outerFace(hoop.value, section(SHIPPED, 'pvc-1/2'), 0, 0), [corner(-11, 0), corner(1011, 0)]),
    );
  };
  fc.assert(
    fc.property(fc.double({ min: 1030, max: 3200, noNaN: true }), (lengthMm) => {
      expect(across(lengthMm)).toBeGreaterThan(lengthMm);
      expect(across(lengthMm)).toBeLessThan(lengthMm + 120);
      expect(across(lengthMm + 20)).toBeGreaterThan(across(lengthMm));
    }),
  );
});

test('a line is cut off at the edges of a page, at both ends, whichever way it runs', () => {
  const page = [0, 0, 100, 50] as const;
  const cut = (a: readonly [number, number], b: readonly [number, number]) =>
    clipped(a, b, page)
      ?.flat()
      .map((x) => Math.round(x * 1e6) / 1e6);
  // Through the page aslant: y = 10 + x / 2 leaves it at x = 80.
  expect(cut([-20, 0], [200, 110])).toEqual([0, 10, 80, 50]);
  expect(cut([200, 110], [-20, 0])).toEqual([80, 50, 0, 10]);
  // Upright and level, within, past it and along its edge.
  expect(cut([30, -5], [30, 70])).toEqual([30, 0, 30, 50]);
  expect(cut([10, 20], [40, 20])).toEqual([10, 20, 40, 20]);
  expect(clipped([-5, -1], [105, -1], page)).toBeUndefined();
  expect(clipped([120, 0], [120, 50], page)).toBeUndefined();
  expect(clipped([-10, 20], [-1, 20], page)).toBeUndefined();
});

test('what is left of a line lies on it and on the page, and no more of it does', () => {
  const place = fc.tuple(fc.integer({ min: -200, max: 200 }), fc.integer({ min: -200, max: 200 }));
  fc.assert(
    fc.property(place, place, (a, b) => {
      const within = ([x, y]: readonly number[]): boolean =>
        (x ?? 0) > -1e-6 && (x ?? 0) < 100 + 1e-6 && (y ?? 0) > -1e-6 && (y ?? 0) < 50 + 1e-6;
      const at = (t: number): readonly [number, number] => [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];
      const inside = Array.from({ length: 401 }, (_, i) => at(i / 400)).filter(within);
      const cut = clipped(a, b, [0, 0, 100, 50]);
      const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
      if (!cut) return expect(inside.length).toBeLessThan(3);
      const [p, q] = cut;
      expect([p, q].every(within)).toBe(true);
      for (const [x, y] of [p, q])
        expect(Math.abs((x - a[0]) * (b[1] - a[1]) - (y - a[1]) * (b[0] - a[0]))).toBeLessThan(
          1e-6 * (1 + length * length),
        );
      // As long as what lies inside, to a step.
      expect(Math.abs(Math.hypot(q[0] - p[0], q[1] - p[1]) - (inside.length * length) / 400)).toBeLessThan(
        length / 150 + 1e-6,
      );
    }),
  );
});
