import fc from 'fast-check';
import { fitToWindow, letterSpot, nameBox, nameBoxes, toPlot, plotToScreen, wayOnPlot, zoomed } from './view';

const size = { width: 800, height: 600 };
const corners = [
  { x: 0, y: 0 },
  { x: 8000, y: 0 },
  { x: 8000, y: 2000 },
  { x: 0, y: 2000 },
];
const degrees = fc.double({ min: 0, max: 360, noNaN: true });

test('what is fitted is seen whole, whichever way is up', () => {
  fc.assert(
    fc.property(degrees, (up) => {
      const v = fitToWindow(corners, up, size);
      for (const p of corners) {
        const [x, y] = plotToScreen(v, p);
        expect(x).toBeGreaterThan(50);
        expect(x).toBeLessThan(size.width - 50);
        expect(y).toBeGreaterThan(50);
        expect(y).toBeLessThan(size.height - 50);
      }
    }),
  );
});

test('with east up, what lies east is higher on the screen', () => {
  const v = fitToWindow(corners, 90, size);
  const [[, near], [, far]] = [plotToScreen(v, { x: 0, y: 0 }), plotToScreen(v, { x: 8000, y: 0 })];
  expect(far).toBeLessThan(near);
});

test('a point of the screen and of the plot are the same one both ways, also while it is looked at nearer', () => {
  fc.assert(
    fc.property(degrees, fc.integer({ min: 0, max: 800 }), fc.integer({ min: 0, max: 600 }), (up, x, y) => {
      const v = fitToWindow(corners, up, size);
      const [sx, sy] = plotToScreen(v, toPlot(v, x, y));
      expect(Math.hypot(sx - x, sy - y)).toBeLessThan(1e-6);
      const at = toPlot(v, x, y);
      const [zx, zy] = plotToScreen(zoomed(v, 1.4, [x, y]), at);
      expect(Math.hypot(zx - x, zy - y)).toBeLessThan(1e-6);
      const way = wayOnPlot(v, 30, -40);
      expect(Math.hypot(way.x, way.y)).toBeCloseTo(50 / v.scale, 6);
    }),
  );
});

test('an empty plot and a single point are seen at a size one can work at', () => {
  for (const points of [[], [{ x: 5, y: 5 }]]) {
    const { scale } = fitToWindow(points, 0, size);
    expect(scale).toBeGreaterThan(0.05);
    expect(scale).toBeLessThan(1);
  }
});

test('a name stands under its thing, or over it where something is in the way', () => {
  const wall = { x0: 100, y0: 100, x1: 400, y1: 120 };
  const spot = (others: Parameters<typeof nameBox>[2]) => letterSpot(nameBox(wall, 'House wall', others));
  expect(spot([])).toEqual([250, 137]);
  const bed = { x0: 150, y0: 122, x1: 350, y1: 200 };
  expect(spot([bed])).toEqual([250, 93]);
  // In the way on both sides, it stays under it.
  expect(spot([bed, { ...bed, y0: 20, y1: 98 }])).toEqual([250, 137]);
});

test('no name stands on another where there is room over its thing', () => {
  const boxes = new Map([
    ['bed', { x0: 100, y0: 150, x1: 200, y1: 200 }],
    ['hedge', { x0: 60, y0: 60, x1: 80, y1: 200 }],
  ]);
  const things = [
    { id: 'bed', name: 'Long bed' },
    { id: 'hedge', name: 'Hornbeam hedge' },
    { id: 'gone', name: 'Nowhere' },
  ];
  const names = nameBoxes(things, boxes);
  expect([...names.keys()]).toEqual(['bed', 'hedge']);
  // Under the bed; the hedge's would lie on it, and so stands over the hedge.
  expect(names.get('bed')?.y0).toBe(203);
  expect(names.get('hedge')?.y1).toBe(57);
});
