import { readFileSync } from 'node:fs';
import { solveArch } from './frame';

const known = JSON.parse(readFileSync('core/judge/proof/frames.cases.json', 'utf8')) as {
  linear: { name: string; value: number; tolerance: number }[];
};

const R = 500;
const N = 80;
const points = Array.from({ length: N + 1 }, (_, i) => {
  const a = Math.PI - (Math.PI * i) / N;
  return { y: R * Math.cos(a), z: R * Math.sin(a) };
});
const stiff = { points, eiNMm2: 1e7, eaN: 1e9, feet: 'pinned', crownSpringNPerMm: 0 } as const;
const planLoad = points.map((p, i) => ((points[i + 1] ?? p).y - (points[i - 1] ?? p).y) / 2);

test('two-hinged semicircle, point load at the crown', () => {
  const loadsN = points.map((_, i) => (i === N / 2 ? 1 : 0));
  const answer = solveArch({ ...stiff, loadsN });
  expect(Math.abs(answer.thrustN - (known.linear[0]?.value ?? NaN))).toBeLessThan(known.linear[0]?.tolerance ?? 0);
  // Statics: crown moment = P R / 2 - H R, sagging, so it takes the pipe's own curve away.
  expect(answer.momentsNMm[N / 2]).toBeCloseTo(-(0.5 * R - answer.thrustN * R), 0);
  expect(answer.momentsNMm[0]).toBeCloseTo(0, 3);
});

test('two-hinged semicircle, load per unit of plan length', () => {
  const answer = solveArch({ ...stiff, loadsN: planLoad });
  expect(Math.abs(answer.thrustN / R - (known.linear[1]?.value ?? NaN))).toBeLessThan(known.linear[1]?.tolerance ?? 0);
});

test('a stiff prop takes load off the arch', () => {
  const free = solveArch({ ...stiff, loadsN: planLoad });
  const propped = solveArch({ ...stiff, loadsN: planLoad, crownSpringNPerMm: 1e6 });
  expect(propped.crownSpringForceN).toBeGreaterThan(0.2 * 2 * R);
  expect(propped.thrustN).toBeLessThan(free.thrustN);
});

test('fixed feet carry moment', () => {
  const answer = solveArch({ ...stiff, feet: 'fixed', loadsN: planLoad });
  expect(Math.abs(answer.momentsNMm[0] ?? 0)).toBeGreaterThan(100);
});
