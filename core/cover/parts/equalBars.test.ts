import { NOTHING_OWN, catalogOf } from '../../catalog/own';
import { sectionJobs } from '../../make/cutting/bars';
import { bestFitDecreasing } from '../../make/cutting/bestFitDecreasing';
import type { Assembly } from '../assembly/types';
import { at, build } from '../../testing/site';

const IN = 25.4;
const middle = { ...at(96, 48), catalog: catalogOf({ ...NOTHING_OWN, halves: 'middle' as const }, 'imperial') };
const inches = (mm: number): number => Math.round((mm / IN) * 1e4) / 1e4;
const battens = (a: Assembly) => a.members.filter((m) => m.part === 'End batten');
/** Bars of 1x2 for the end battens alone, by the quick rule. */
const bars = (a: Assembly): number =>
  sectionJobs({ members: battens(a) }, {}, [], []).reduce(
    (n, { job }) => n + (bestFitDecreasing(job)?.bars.length ?? NaN),
    0,
  );

test('two four-foot battens come out of one of eight feet, each half a kerf short, and the cut step says so', () => {
  const [full, half] = [build('hinged-hoop-lid', at(96, 48)), build('hinged-hoop-lid', middle)];
  expect(battens(full).map((m) => inches(m.lengthMm))).toEqual([48, 48]);
  expect(bars(full)).toBe(2);
  // (96 - 1/8) / 2.
  for (const m of battens(half)) expect(m.lengthMm / IN).toBeCloseTo(47.9375, 9);
  expect(bars(half)).toBe(1);
  const cut = half.steps
    .find((s) => s.id === 'cut')
    ?.work.flat()
    .join('');
  expect(cut).toContain('B3, B4: two out of one bar, sawn on its middle line');
  expect(
    full.steps
      .find((s) => s.id === 'cut')
      ?.work.flat()
      .join(''),
  ).not.toContain('middle line');
});

test('what is sold in that length, what is not square and what fits twice as it is stay as they are', () => {
  // Rods of 24 in are sold so; pairs of 47 in fit with the saw.
  const rods = build('staked-tunnel', middle).members.filter((m) => m.part === 'Driven rod');
  expect(new Set(rods.map((m) => inches(m.lengthMm)))).toEqual(new Set([24]));
  const shorter = build('hinged-hoop-lid', { ...at(96, 47), catalog: middle.catalog });
  expect(battens(shorter).map((m) => inches(m.lengthMm))).toEqual([47, 47]);
});
