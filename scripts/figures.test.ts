/** docs/figures.md names every figure that opens to its working. */
import { readFileSync } from 'node:fs';
import type { Figure } from '../core/base/figure';
import { formulaValue } from '../core/base/formula';
import { demoGarden } from '../core/garden/demo';
import { everyKind } from '../core/testing/everyKind';
import type { Cover } from '../core/garden/garden';
import { thicknessMm } from '../core/catalog/sections';
import { fibreStrainPercent } from '../core/cover/hoop/strain';
import { footThrustN, hoopFigures } from '../core/judge/strength/hoopFigures';
import { snowDepthMm } from '../core/judge/strength/snow';
import { evaluate } from '../core/evaluate';
import type { Assessment } from '../core/assessment';

const text = readFileSync('docs/figures.md', 'utf8');
const named = new Set([...text.matchAll(/^\| ([^|]+?)\s+\|/gm)].map((m) => m[1]));

/** As the table writes it: a crop or a part of the cover by an ellipsis. */
const written = (label: string): string =>
  label
    .replace(/^.*(?= lives down to$)/, '…')
    .replace(/^[^:]+(?=: (lift at the handle|weight (carried|rolled))$)/, '…');

function designs(): readonly Assessment[] {
  const kinds = everyKind();
  return [...kinds.covers, ...demoGarden().covers].flatMap((c) => {
    const found = evaluate(kinds, c as Cover);
    return found.ok ? [found.value] : [];
  });
}

function all(): readonly Figure[] {
  return designs().flatMap((o): readonly Figure[] => [
    o.hours,
    o.coldest,
    o.air.figures.rise,
    o.air.figures.vent,
    ...o.lifts,
    ...o.judged().strengths.flatMap((s) => s.figures),
    ...o.judged().checks.flatMap((k) => k.figure ?? []),
    ...o.assembly.arches.flatMap(hoopFigures),
  ]);
}

test('every figure of every kind of cover stands in the table of docs/figures.md', () => {
  const labels = [...new Set(all().map((f) => written(f.label)))];
  expect(labels.length).toBeGreaterThan(15);
  expect(labels.filter((l) => !named.has(l))).toEqual([]);
});

test('so does every figure that a screen makes of them', () => {
  for (const file of ['web/app/Strip.tsx', 'web/places/bench/Headroom.tsx'])
    for (const [, label = ''] of readFileSync(file, 'utf8').matchAll(/(?:^\s+label: |why\()'([^']+)',/gm))
      expect([file, named.has(label)]).toEqual([file, true]);
});

/** Solved or measured in the drawing: told in words, with no sum to do. */
const IN_WORDS = new Set([
  'Widest point',
  'Angle at the foot',
  'Pipe in one hoop',
  'Bend radius',
  'Crown above the feet',
]);

test('every formula, put to its shown terms, gives its shown value', () => {
  const wrong = all().flatMap((f) => {
    if (IN_WORDS.has(f.label) && f.terms.length === 0) return [];
    const value = formulaValue(f);
    return Math.abs(value - f.value) <= 1e-6 * Math.max(1, Math.abs(f.value))
      ? []
      : [`${f.label}: shown ${f.value}, its formula gives ${value}`];
  });
  expect([...new Set(wrong)]).toEqual([]);
});

test('what a formula gives of a sprung hoop is what the curve itself has', () => {
  const arches = designs().flatMap((o) => o.assembly.arches.filter((arch) => arch.sprung));
  expect(arches.length).toBeGreaterThan(3);
  for (const arch of arches) {
    const of = Object.fromEntries(hoopFigures(arch).map((f) => [f.label, f.value]));
    expect(of['Crown above the feet']).toBeCloseTo(arch.hoop.heightMm, 6);
    expect(of['Push of one foot outward']).toBeCloseTo(footThrustN(arch), 6);
    expect(of['Fibre strain']).toBeCloseTo(
      fibreStrainPercent(arch.hoop.maxCurvaturePerMm, thicknessMm(arch.section)),
      9,
    );
  }
});

test('the snow that is shown as carried is the ratio that the verdict goes by', () => {
  const snowy = designs().flatMap((o) =>
    o
      .judged()
      .strengths.filter((s) => Number.isFinite(s.ratio) && s.snowCase !== 'drifted')
      .map((s) => ({ s, snow: o.snow })),
  );
  expect(snowy.length).toBeGreaterThan(3);
  // A drift grows with the snow: of all else the depth borne is the ratio of the depth asked.
  for (const { s, snow } of snowy) expect(s.wetSnowMm).toBeCloseTo(s.ratio * snowDepthMm(snow.groundPa), 6);
});
