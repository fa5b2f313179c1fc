import fc from 'fast-check';
import { squareBed } from './bed';
import type { Landmark } from './landmark';
import {
  bearing,
  nearestObstacle,
  plotExtent,
  footprint,
  freeSpot,
  middleOf,
  sizedTo,
  snapped,
  snappedBearing,
  turnedTo,
} from './plotting';

const bed = squareBed('b', 'Bed', 2400, 1200, { heightMm: 300, thicknessMm: 38 }, { xMm: 1000, yMm: 500 });
const tree: Landmark = {
  id: 't',
  name: 'Pear',
  kind: 'tree',
  at: { xMm: 0, yMm: 0 },
  bearingDeg: 45,
  lengthMm: 3000,
  widthMm: 3000,
  heightMm: 5000,
};

test('a bed that points east lies along x, one that points north along y, from its near left corner', () => {
  const east = plotExtent(bed);
  expect([east.x0, east.y0, east.x1, east.y1].map(Math.round)).toEqual([1000, 500, 3400, 1700]);
  // Its far side is to the left of where it points: to the west.
  const north = plotExtent({ ...bed, bearingDeg: 0 });
  expect([north.x0, north.y0, north.x1, north.y1].map(Math.round)).toEqual([-200, 500, 1000, 2900]);
});

test('a tree takes up its crown, however it is turned', () => {
  const { x, y } = middleOf(tree);
  const e = plotExtent(tree);
  expect([e.x1 - e.x0, e.y1 - e.y0]).toEqual([3000, 3000]);
  expect((e.x0 + e.x1) / 2).toBeCloseTo(x, 6);
  expect((e.y0 + e.y1) / 2).toBeCloseTo(y, 6);
});

test('turned, a thing stays about its middle and keeps its shape', () => {
  fc.assert(
    fc.property(fc.double({ min: -720, max: 720, noNaN: true }), (deg) => {
      const turned = turnedTo(bed, deg);
      expect(turned.bearingDeg).toBeGreaterThanOrEqual(0);
      expect(turned.bearingDeg).toBeLessThan(360);
      const [was, is] = [middleOf(bed), middleOf(turned)];
      expect(Math.hypot(was.x - is.x, was.y - is.y)).toBeLessThan(1e-6);
      const [a, b] = footprint(turned);
      expect(Math.hypot((a?.x ?? 0) - (b?.x ?? 0), (a?.y ?? 0) - (b?.y ?? 0))).toBeCloseTo(2400, 3);
      // From the left end to the right end it points where it says.
      const points = (Math.atan2((b?.x ?? 0) - (a?.x ?? 0), (b?.y ?? 0) - (a?.y ?? 0)) * 180) / Math.PI;
      expect(Math.abs(bearing(points - deg + 180) - 180)).toBeLessThan(1e-6);
    }),
  );
});

test('a move comes to lie a path away, edge to edge or in line, and only where it is near', () => {
  const other = { x0: 0, y0: 0, x1: 1000, y1: 2000 };
  const at = (x: number, y: number) => ({ x0: x, y0: y, x1: x + 500, y1: y + 500 });
  // 600 to the right of 1000 is 1600, 30 off; the lower edges are 20 out of line.
  expect(snapped(at(1630, 20), [other], 600, 50)).toEqual({ dx: -30, dy: -20, said: ['a path apart', 'in line'] });
  expect(snapped(at(1010, 900), [other], 600, 50)).toEqual({ dx: -10, dy: 0, said: ['edge to edge'] });
  // On the other side its right edge lies 600 off: 20 more to the left; or touches: 10 to the right.
  expect(snapped(at(-1080, 900), [other], 600, 50)).toEqual({ dx: -20, dy: 0, said: ['a path apart'] });
  expect(snapped(at(-510, 900), [other], 600, 50)).toEqual({ dx: 10, dy: 0, said: ['edge to edge'] });
  expect(snapped(at(1300, 900), [other], 600, 50)).toEqual({ dx: 0, dy: 0, said: [] });
  // Far along, nothing lies beside it to keep a path from; edges still come into line.
  expect(snapped(at(1630, 9000), [other], 600, 50)).toEqual({ dx: 0, dy: 0, said: [] });
  expect(snapped(at(490, 9000), [other], 600, 50)).toEqual({ dx: 10, dy: 0, said: ['in line'] });
  expect(snapped(at(1630, -9000), [other], 600, 50)).toEqual({ dx: 0, dy: 0, said: [] });
  // Beside it as long as no more than the path and the snap lie between: 2000 + 650 beyond it, 500 + 650 before it.
  const beside = (y: number): number => snapped(at(1630, y), [other], 600, 50).dx;
  expect([2650, 2651, -1150, -1151].map(beside)).toEqual([-30, 0, -30, 0]);
  const over = (x: number): number => snapped(at(x, 2630), [other], 600, 50).dy;
  expect([1650, 1651, -1150, -1151].map(over)).toEqual([-30, 0, -30, 0]);
});

test('of several that it is near to, the nearest draws it, in whatever order they are', () => {
  const others = [10, -30, 40].map((off) => ({ x0: 5000 + off, y0: 0, x1: 9000 + off, y1: 400 }));
  for (const all of [others, [...others].reverse()])
    expect(snapped({ x0: 5000, y0: 5000, x1: 5700, y1: 5300 }, all, 600, 60)).toMatchObject({ dx: 10, dy: 0 });
});

test('a move never goes farther than it may be drawn', () => {
  const edge = fc.integer({ min: -3000, max: 3000 });
  fc.assert(
    fc.property(fc.array(fc.tuple(edge, edge), { maxLength: 6 }), edge, edge, (places, x, y) => {
      const others = places.map(([x0, y0]) => ({ x0, y0, x1: x0 + 800, y1: y0 + 400 }));
      const s = snapped({ x0: x, y0: y, x1: x + 700, y1: y + 300 }, others, 600, 60);
      expect(Math.max(Math.abs(s.dx), Math.abs(s.dy))).toBeLessThanOrEqual(60);
    }),
  );
});

test('a bearing is drawn to a neighbour’s, to a right angle with it, and to the compass', () => {
  expect(snappedBearing(85, [84])).toBe(84);
  expect(snappedBearing(172.5, [84])).toBe(174);
  expect(snappedBearing(31, [])).toBe(30);
  expect(snappedBearing(359, [])).toBe(0);
  expect(snappedBearing(37, [])).toBe(37);
});

test('the next thing has a place of its own', () => {
  expect(freeSpot([], 600)).toEqual({ xMm: 0, yMm: 0 });
  const next = freeSpot([bed], 600);
  expect([next.xMm, next.yMm].map(Math.round)).toEqual([4000, 500]);
});

describe('a landmark made larger by its far right corner', () => {
  const hedge: Landmark = { ...tree, kind: 'hedge', bearingDeg: 90, lengthMm: 4000, widthMm: 600 };

  test('its near left corner stays, and its sides go along where it lies', () => {
    // Pointing east: length along x, width along y.
    expect(sizedTo(hedge, { x: 5000, y: 900 })).toEqual({ ...hedge, lengthMm: 5000, widthMm: 900 });
    // Pointing north its length runs north, and its far side lies to the west.
    expect(sizedTo({ ...hedge, bearingDeg: 0 }, { x: -700, y: 3000 })).toMatchObject({ lengthMm: 3000, widthMm: 700 });
  });

  test('no smaller than a stake, no larger than its schema takes; what is round is as wide as long', () => {
    expect(sizedTo(hedge, { x: -500, y: 400_000 })).toMatchObject({ lengthMm: 20, widthMm: 100_000 });
    const round = sizedTo({ ...tree, bearingDeg: 90 }, { x: 4000, y: 2500 });
    expect([round.lengthMm, round.widthMm]).toEqual([4000, 4000]);
  });

  test('its own corner leaves it as it is, whichever way it lies', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 20, max: 90_000 }),
        fc.integer({ min: 20, max: 90_000 }),
        (bearingDeg, lengthMm, widthMm) => {
          const lying = { ...hedge, at: { xMm: 300, yMm: -200 }, bearingDeg, lengthMm, widthMm };
          const corner = footprint(lying)[2];
          if (!corner) throw new Error('no corner');
          expect(sizedTo(lying, corner)).toEqual(lying);
        },
      ),
    );
  });
});

test('the wall or fence that stands nearest to a bed, from edge or corner', () => {
  // The bed lies from 1000 to 3400 and from 500 to 1700.
  const lying = (kind: Landmark['kind'], xMm: number, yMm: number, lengthMm: number): Landmark => ({
    ...tree,
    name: kind,
    kind,
    at: { xMm, yMm },
    bearingDeg: 90,
    lengthMm,
    widthMm: 200,
    heightMm: 2000,
  });
  const far = lying('fence', 0, 2700, 6000);
  expect(nearestObstacle(bed, [])).toBeUndefined();
  // To the right of it, running past it both ways: from its corners to the middle of the fence.
  const across = { ...lying('fence', 4400, -5000, 10_000), bearingDeg: 0 };
  const left = Math.min(...footprint(across).map((p) => p.x));
  expect(nearestObstacle(bed, [across])?.gapMm).toBeCloseTo(left - 3400, 3);
  expect(nearestObstacle(bed, [lying('hedge', 0, 1700, 6000), far])).toEqual({
    name: 'fence',
    gapMm: expect.closeTo(1000, 3),
    heightMm: 2000,
  });
  // A wall longer than the bed, along it; and one whose corner is nearest: 300 and 400 off.
  expect(nearestObstacle(bed, [far, lying('wall', 0, 1850, 6000)])?.gapMm).toBeCloseTo(150, 3);
  expect(nearestObstacle(bed, [lying('wall', 3700, 2100, 1000)])?.gapMm).toBeCloseTo(500, 3);
});

test('the nearest of several bearings wins, up to three degrees and no farther, over north too', () => {
  // 2.5 from 45 of the compass, 1 from the neighbour's 46.5 + 90.
  expect(snappedBearing(47.5, [136.5])).toBe(46.5);
  expect(snappedBearing(47.5, [])).toBe(45);
  expect(snappedBearing(48, [])).toBe(45);
  expect(snappedBearing(48.1, [])).toBeCloseTo(48.1, 9);
  expect(snappedBearing(358, [2])).toBe(0);
  expect(snappedBearing(1.4, [359])).toBe(0);
  expect(snappedBearing(-40, [])).toBe(320);
  expect(snappedBearing(50, [], 6)).toBe(45);
});
