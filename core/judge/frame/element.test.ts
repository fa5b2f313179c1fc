import fc from 'fast-check';
import { barPullN, barWork, beamForces, beamWork, elementWork, shortening } from './element';
import type { FrameBar, Beam } from './types';

const beam: Beam = {
  kind: 'beam',
  from: 0,
  to: 1,
  eaN: 5e4,
  eiNMm2: 3e6,
  naturalMm: 100,
  naturalAngles: [0.05, -0.08],
  tangents: [0.3, 0.1],
  hinged: [false, false],
};

/** Energy by the book: axial, and bending by the angles of both ends. */
function energy(dx: number, dy: number, r1: number, r2: number): number {
  const chord = Math.atan2(dy, dx);
  const [t1, t2] = [r1 + beam.tangents[0] - chord, r2 + beam.tangents[1] - chord];
  const [p1, p2] = [t1 - beam.naturalAngles[0], t2 - beam.naturalAngles[1]];
  const strain = Math.hypot(dx, dy) / beam.naturalMm - 1 + (2 * t1 * t1 - t1 * t2 + 2 * t2 * t2) / 30;
  return (
    (beam.eaN * beam.naturalMm * strain ** 2) / 2 + ((2 * beam.eiNMm2) / beam.naturalMm) * (p1 * p1 + p1 * p2 + p2 * p2)
  );
}

const near = fc.double({ min: -0.3, max: 0.3, noNaN: true });
const way = (u: readonly number[]): readonly [number, number, number, number] => [
  98 + (u[3] ?? 0) - (u[0] ?? 0),
  20 + (u[4] ?? 0) - (u[1] ?? 0),
  u[2] ?? 0,
  u[5] ?? 0,
];

test('a beam pushes back as its energy grows, and stiffens as its forces do', () => {
  fc.assert(
    fc.property(fc.array(near, { minLength: 6, maxLength: 6 }), (u) => {
      const at = elementWork();
      beamWork(beam, ...way(u), at);
      const step = 1e-5;
      for (let i = 0; i < 6; i++) {
        const [more, less] = [step, -step].map((d) => u.map((x, k) => (k === i ? x + d : x))) as [number[], number[]];
        const slope = (energy(...way(more)) - energy(...way(less))) / (2 * step);
        expect(Math.abs((at.force[i] ?? 0) - slope)).toBeLessThan(1e-4 * (1 + Math.abs(slope)));
        const [up, down] = [elementWork(), elementWork()];
        beamWork(beam, ...way(more), up);
        beamWork(beam, ...way(less), down);
        for (let j = 0; j < 6; j++) {
          const k = ((up.force[j] ?? 0) - (down.force[j] ?? 0)) / (2 * step);
          expect(Math.abs((at.stiffness[6 * j + i] ?? 0) - k)).toBeLessThan(1e-3 * (100 + Math.abs(k)));
        }
      }
    }),
    { numRuns: 40 },
  );
});

test('a beam tells how its pull grows; by a foreseen pull it is as stiff as by its own and the difference along it', () => {
  fc.assert(
    fc.property(fc.array(near, { minLength: 6, maxLength: 6 }), fc.integer({ min: -500, max: 500 }), (u, more) => {
      const [at, then, foreseen] = [elementWork(), elementWork(), elementWork()];
      beamWork(beam, ...way(u), at);
      const [pull = NaN, x = NaN, y = NaN, first = NaN, second = NaN] = at.pull;
      const change = [1e-6, -2e-6, 3e-6, -4e-6, 5e-6, -6e-6];
      beamWork(beam, ...way(u.map((v, i) => v + (change[i] ?? 0))), then);
      // Moves of the second end count the other way: 1 + 4, -2 - 5, turns 3 and -6 millionths.
      expect((then.pull[0] ?? NaN) - pull).toBeCloseTo(1e-6 * (5 * x - 7 * y + 3 * first - 6 * second), 4);
      beamWork(beam, ...way(u), foreseen, pull + more);
      expect([...foreseen.force]).toEqual([...at.force]);
      // Across a straight chord of length l a pull stiffens by pull / l, and by 1/30 of it for each turn against the other.
      const l = Math.hypot(way(u)[0], way(u)[1]);
      const turns = (foreseen.stiffness[17] ?? NaN) - (at.stiffness[17] ?? NaN);
      expect(turns).toBeCloseTo((-more * beam.naturalMm) / 30, 6);
      const [dx, dy] = way(u);
      const across = (k: Float64Array): number =>
        ((k[0] ?? NaN) * dy * dy - 2 * (k[1] ?? NaN) * dx * dy + (k[7] ?? NaN) * dx * dx) / (l * l);
      const [q, bend] = [beam.naturalMm / (l * l), (4 - 2 / 2 + 4 - 2 / 2) / 30];
      expect(across(foreseen.stiffness) - across(at.stiffness)).toBeCloseTo(more * (1 / l + q * bend), 4);
    }),
    { numRuns: 40 },
  );
});

test('moved and turned as it is, a beam feels nothing; a half turn more is the same', () => {
  const at = beamForces(beam, 60, 80, 0.7, 0.8);
  const turn = Math.atan2(80, 60);
  const back = beamForces(beam, 100, 0, 0.7 - turn, 0.8 - turn);
  expect(back.pullN).toBeCloseTo(at.pullN, 6);
  expect(back.m1NMm).toBeCloseTo(at.m1NMm, 6);
  expect(beamForces(beam, 60, 80, 0.7 + 2 * Math.PI, 0.8 + 2 * Math.PI).m2NMm).toBeCloseTo(at.m2NMm, 6);
  // An arc of angle a has a chord shorter by a² / 24: both ends turned by a / 2.
  expect(shortening(0.1, -0.1)).toBeCloseTo(0.2 ** 2 / 24, 12);
});

test('a bar pulls by its stretch; a tie does not push', () => {
  const bar: FrameBar = { kind: 'bar', from: 0, to: 1, eaN: 1000, naturalMm: 50 };
  expect([barPullN(bar, 30, 40), barPullN(bar, 36, 48), barPullN(bar, 24, 32)].map(Math.round)).toEqual([0, 200, -200]);
  expect(barPullN({ ...bar, kind: 'tie' }, 24, 32)).toBe(0);
  const at = elementWork();
  barWork(bar, 36, 48, at);
  // 200 N along 3-4-5.
  expect([...at.force].map((f) => Math.round(f))).toEqual([-120, -160, 0, 120, 160, 0]);
});
