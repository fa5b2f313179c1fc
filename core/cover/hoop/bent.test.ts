import fc from 'fast-check';
import { NO_ROOM, bentHoop } from './bent';

const held = { kind: 'fixed', angleDeg: 90 } as const;
const house = (span: number, leg: number, rise: number) => [
  { y: 0, z: 0 },
  { y: 0, z: leg },
  { y: span / 2, z: leg + rise },
  { y: span, z: leg },
  { y: span, z: 0 },
];

test('a right-angle bend gains 2 r tan(45) - r pi/2', () => {
  const made = bentHoop(
    [
      { y: 0, z: 0 },
      { y: 0, z: 500 },
      { y: 500, z: 500 },
    ],
    100,
    held,
  );
  if (made === NO_ROOM) throw new Error('no room');
  const [bend] = made.bends;
  expect(bend?.angleDeg).toBeCloseTo(90, 9);
  expect(bend?.setbackMm).toBeCloseTo(100, 9);
  expect(bend?.arcMm).toBeCloseTo(50 * Math.PI, 9);
  expect(bend?.gainMm).toBeCloseTo(200 - 50 * Math.PI, 9);
  expect(bend?.atMm).toBeCloseTo(400, 9);
  expect(made.hoop.lengthMm).toBeCloseTo(1000 - (200 - 50 * Math.PI), 9);
});

test('bends that would overlap are refused', () => {
  expect(bentHoop(house(300, 60, 100), 140, held)).toBe(NO_ROOM);
});

test('for any house shape: the pipe is the corner path less the gains, and the ends stand where they were asked for', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 700, max: 3000, noNaN: true }),
      fc.double({ min: 250, max: 1200, noNaN: true }),
      fc.double({ min: 120, max: 900, noNaN: true }),
      fc.double({ min: 0, max: 120, noNaN: true }),
      (span, leg, rise, radius) => {
        const made = bentHoop(house(span, leg, rise), radius, held);
        if (made === NO_ROOM) return;
        const path = 2 * leg + 2 * Math.hypot(span / 2, rise);
        const gains = made.bends.reduce((sum, b) => sum + b.gainMm, 0);
        expect(made.hoop.lengthMm).toBeCloseTo(path - gains, 6);
        expect(made.hoop.spanMm).toBeCloseTo(span, 6);
        expect(made.hoop.heightMm).toBeLessThanOrEqual(leg + rise + 1e-6);
        const last = made.hoop.points[made.hoop.points.length - 1];
        expect(last?.z).toBeCloseTo(0, 6);
        // All bends together turn the pipe from up to down.
        expect(made.bends.reduce((sum, b) => sum + b.angleDeg, 0)).toBeCloseTo(180, 6);
        // Marks run along the pipe in order, and inside it.
        made.bends.forEach((b, i) => {
          const before = made.bends[i - 1];
          expect(b.atMm).toBeGreaterThanOrEqual((before ? before.atMm + before.arcMm : 0) - 1e-6);
          expect(b.atMm + b.arcMm).toBeLessThanOrEqual(made.hoop.lengthMm + 1e-6);
        });
      },
    ),
  );
});
