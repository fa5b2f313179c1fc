import highsLoader from 'highs';
import { highsSolver } from '../make/cutting/highs';
import type { IntegerSolver } from '../make/cutting/linearProgram';
import { demoGarden } from '../garden/demo';
import { cutsCsv } from '../show/csv';
import { type MergeProposal, planTogether } from './together';

let solver: IntegerSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});
const garden = { ...demoGarden(), shelf: [], owned: {} };

test('several covers as one: every piece once under its own tag, and never dearer than each by itself', () => {
  const covers = garden.covers.slice(0, 4);
  const found = planTogether(garden, covers, solver);
  if (!found.ok) throw new Error(JSON.stringify(found.faults));
  const { cuts, shopping, assembly, apart, saved, sheets, rolls } = found.value;
  const cut = cuts.flatMap((c) => c.bars.flatMap((b) => b.pieces.map((p) => p.tag)));
  expect(new Set(cut).size).toBe(cut.length);
  expect(cut.sort()).toEqual(
    assembly.members
      .filter((m) => m.sawnFrom === undefined)
      .map((m) => m.tag)
      .sort(),
  );
  expect(cut.some((tag) => tag.startsWith('1.')) && cut.some((tag) => tag.startsWith('4.'))).toBe(true);
  expect(shopping.paid).toBeLessThanOrEqual(apart + 1e-9);
  expect(saved).toBeCloseTo(apart - shopping.paid, 9);
  expect(saved).toBeGreaterThan(0);
  expect(rolls.rolls.flatMap((r) => r.placed).length + sheets.sheets.flatMap((s) => s.placed).length).toBe(
    assembly.sheets.length + assembly.panels.length,
  );
  const cents = (x: number): number => Math.round(x * 100);
  expect(shopping.lines.reduce((sum, l) => sum + cents(l.paid), 0)).toBe(cents(shopping.paid));
  expect(cutsCsv(found.value)).toContain('1.A1');
});

test('a cover that cannot be built stops it, and is named', () => {
  const [first, second] = structuredClone(garden.covers);
  if (!first || !second) throw new Error('two covers');
  Object.assign(second.answers, { shape: { by: 'height', heightMm: 5900 } });
  expect(planTogether(garden, [first, second], solver)).toMatchObject({
    ok: false,
    faults: [{ message: expect.stringContaining('Salad tunnel') as string }],
  });
});

test('it hears how far it is: cover by cover without a plan, then section by section with the best so far', () => {
  const covers = garden.covers.slice(0, 2);
  const heard: (readonly [solved: number, sections: number, best: MergeProposal | undefined])[] = [];
  const found = planTogether(garden, covers, solver, (progress, best) => {
    heard.push([progress.solved, progress.sections, best()]);
  });
  if (!found.ok) throw new Error(JSON.stringify(found.faults));
  expect(heard.slice(0, 2)).toEqual([
    [0, 2, undefined],
    [1, 2, undefined],
  ]);
  const plans = heard.slice(2).flatMap(([, , best]) => (best ? [best] : []));
  expect(plans.length).toBeGreaterThan(0);
  for (const best of plans) {
    expect(best.covers.map((c) => c.id)).toEqual(covers.map((c) => c.id));
    expect(best.saved).toBeCloseTo(found.value.apart - best.shopping.paid, 9);
    // What comes later is never dearer.
    expect(found.value.shopping.paid).toBeLessThanOrEqual(best.shopping.paid + 1e-9);
  }
});
