import fc from 'fast-check';
import { formatCoordinate, readCoordinate } from './coordinate';

test.each([
  ['71.1 W', 'longitude', -71.1],
  ['W 71.1', 'longitude', -71.1],
  ['-71,1', 'longitude', -71.1],
  ['−71.1°', 'longitude', -71.1],
  ['71.1', 'longitude', 71.1],
  // 24 of 60 minutes.
  ["42° 24' N", 'latitude', 42.4],
  ['n42°24′', 'latitude', 42.4],
  // 30 of 3,600 seconds more.
  ['42 24 30 S', 'latitude', -42.408333],
  ['0', 'latitude', 0],
] as const)('%s is a %s of %d', (text, axis, deg) => {
  const read = readCoordinate(text, axis);
  expect(read.ok && read.value).toBeCloseTo(deg, 5);
});

test.each([
  ['', 'latitude'],
  ['north', 'latitude'],
  ['44.1 W', 'latitude'],
  ['44.1 N', 'longitude'],
  ['-44 N', 'latitude'],
  ['N 44 N', 'latitude'],
  ['44 61 N', 'latitude'],
  ['90 N', 'latitude'],
  ['181', 'longitude'],
  ['4.4.1', 'latitude'],
] as const)('%s as a %s is refused, and what would be right is said', (text, axis) => {
  expect(readCoordinate(text, axis)).toMatchObject({ ok: false, faults: [{ field: axis }] });
});

test('what is written is read again, to a tenth', () => {
  fc.assert(
    fc.property(fc.double({ min: -89, max: 89, noNaN: true }), (deg) => {
      const read = readCoordinate(formatCoordinate(deg, 'latitude'), 'latitude');
      expect(read.ok && Math.abs(read.value - deg)).toBeLessThanOrEqual(0.05 + 1e-9);
    }),
  );
});
