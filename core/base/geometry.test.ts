import { SHIPPED, section } from '../catalog/catalog';
import fc from 'fast-check';
import { solveHoop } from '../build/hoop/elastica';
import { outerFace } from '../build/parts/hoops';
import { enclosedArea, pathLength, tautOutline } from './geometry';

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
