import { type CutProgress, cutAndShop } from './cut';
import { SHIPPED, section } from './catalog/catalog';
import highsLoader from 'highs';
import { highsSolver } from './make/cutting/highs';
import type { IntegerSolver } from './make/cutting/linearProgram';
import { cutsCsv, shoppingCsv, shoppingText } from './show/csv';
import { demoGarden } from './garden/demo';
import { checkGarden } from './garden/garden';
import { viewSvg } from './show/svg';
import { type Plan, assessCover, plan } from './plan';
import { planReport } from './show/report';

let solver: IntegerSolver;
let plans: Plan[];
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
  const garden = demoGarden();
  plans = garden.covers.map((cover) => {
    const made = plan(garden, cover, solver);
    if (!made.ok) throw new Error(JSON.stringify(made.faults));
    return made.value;
  });
});

test('while it is cut, the best so far is a whole plan, never cheaper than the end, section by section', () => {
  const garden = demoGarden();
  const drawn = assessCover(garden, garden.covers[0] as (typeof garden.covers)[0]);
  if (!drawn.ok) throw new Error('drawn');
  const heard: CutProgress[] = [];
  const costs: number[] = [];
  const done = cutAndShop(drawn.value, solver, (p) => {
    heard.push(p);
    costs.push(p.best()?.shopping.paid ?? NaN);
  });
  if (!done.ok) throw new Error('cut');
  expect(heard.map((p) => p.solved)).toEqual(done.value.cuts.map((_, i) => i));
  expect(heard.every((p) => p.sections === done.value.cuts.length && p.nextPieces > 0)).toBe(true);
  for (const cost of costs) expect(cost).toBeGreaterThanOrEqual(done.value.shopping.paid - 0.005);
});

test('every member is cut once, at its own length, and marks count the kerf', () => {
  for (const p of plans) {
    const pieces = p.cuts.flatMap((c) => c.bars.flatMap((b) => b.pieces));
    const cut = p.assembly.members.filter((m) => m.sawnFrom === undefined);
    expect(pieces.map((x) => x.tag).sort()).toEqual(cut.map((m) => m.tag).sort());
    for (const piece of pieces)
      expect(piece.lengthMm).toBeCloseTo(p.assembly.members.find((m) => m.tag === piece.tag)?.lengthMm ?? 0, 0);
    for (const cut of p.cuts) {
      expect(cut.proven).toBe(true);
      for (const bar of cut.bars) {
        let at = bar.squareMm;
        for (const piece of bar.pieces) {
          expect(piece.markMm).toBeCloseTo(at + piece.lengthMm, 6);
          at = piece.markMm + cut.kerfMm;
        }
        expect(bar.pieces[bar.pieces.length - 1]?.markMm).toBeLessThanOrEqual(bar.lengthMm + 0.1);
      }
    }
  }
});

test('the shopping list adds up to the cent and buys whole packs of what is not owned', () => {
  for (const { shopping } of plans) {
    const cents = (x: number): number => Math.round(x * 100);
    expect(shopping.lines.reduce((sum, l) => sum + cents(l.paid), 0)).toBe(cents(shopping.paid));
    expect(shopping.lines.reduce((sum, l) => sum + cents(l.used), 0)).toBe(cents(shopping.used));
    expect(shopping.used).toBeLessThanOrEqual(shopping.paid);
    for (const l of shopping.lines) {
      if (l.unit === 'piece') expect(l.uses.reduce((sum, u) => sum + u.count, 0)).toBe(l.need);
      expect(l.leftOver).toBeGreaterThanOrEqual(0);
    }
  }
  const lid = plans[0]?.shopping.lines;
  expect(lid?.find((l) => l.key === 'screw-3')).toMatchObject({ need: 12, owned: 40, packs: 0, paid: 0 });
  expect(lid?.find((l) => l.key === 'handle')?.packs).toBe(0);
});

test('bars on the shelf are used first and cost nothing', () => {
  const pipe = plans[0]?.cuts.find((c) => c.section.key === 'pvc-1/2');
  expect(pipe?.bars.filter((b) => b.fromShelf).length).toBe(2);
  const bought = plans[0]?.shopping.lines.find((l) => l.key.startsWith('pvc-1/2'));
  expect(bought?.packs).toBe(1);
});

test('a changed price changes the plan', () => {
  const garden = demoGarden();
  const cover = garden.covers[0];
  if (!cover) throw new Error('no cover');
  const dear = plan({ ...garden, prices: { 'pack hinge': 50 } }, cover, solver);
  expect(dear.ok && dear.value.shopping.paid).toBeCloseTo((plans[0]?.shopping.paid ?? 0) + 2 * (50 - 5.6), 2);
});

test('files for others: CSV that no spreadsheet runs, SVG, a report that is plain JSON', () => {
  const p = plans[0];
  if (!p) throw new Error('no plan');
  const evil = {
    ...p,
    cuts: p.cuts.map((c) => ({
      ...c,
      bars: c.bars.map((b) => ({ ...b, pieces: b.pieces.map((x) => ({ ...x, part: '=cmd()' })) })),
    })),
  };
  expect(cutsCsv(evil)).toContain("'=cmd()");
  expect(cutsCsv(p).trim().split('\r\n').length).toBe(1 + p.assembly.members.length);
  expect(shoppingCsv(p)).toContain(`Total,,,,,,,${p.shopping.paid}`);
  const words = shoppingText(p);
  for (const l of p.shopping.lines.filter((x) => x.packs > 0)) expect(words).toContain(`${l.packs} × ${l.name}`);
  expect(words).toMatch(/^Lumber\n {2}\d+ × /);
  expect(words.trim().endsWith(p.shopping.paid.toFixed(2))).toBe(true);
  for (const view of ['end', 'side', 'plan'] as const) expect(viewSvg(p, view)).toMatch(/^<svg [\s\S]*<\/svg>\n$/);
  const report = planReport(p);
  expect(JSON.parse(JSON.stringify(report))).toEqual(report);
  expect(report.strength[0]?.wetSnowMm).toBeGreaterThan(0);
});

test('a bed that is not there is a fault, not a crash', () => {
  const garden = demoGarden();
  const cover = garden.covers[0];
  if (!cover) throw new Error('no cover');
  expect(assessCover(garden, { ...cover, bedId: 'gone' })).toMatchObject({ ok: false, faults: [{ field: 'bedId' }] });
});

test('figures say why', () => {
  for (const p of plans)
    for (const figure of [
      p.hours,
      p.coldest,
      p.air.figures.rise,
      p.air.figures.vent,
      ...p.judged().strengths.flatMap((s) => s.figures),
      ...p.lifts,
    ]) {
      // Something is reckoned from something, and somebody says so.
      expect(figure.formula).toMatch(/ = .*[a-z]/);
      expect(figure.source).toMatch(/[A-Z].*\.$/);
      expect(figure.terms.every((t) => Number.isFinite(t.value))).toBe(true);
      expect(new Set(figure.terms.map((t) => t.name)).size).toBe(figure.terms.length);
      expect(figure.assumes.join(' ')).toMatch(/planning aid|plan|person|Dry|Whole|opener|plants/);
    }
  expect(section(SHIPPED, '2x4').stock.length).toBeGreaterThan(2);
});

test('a shelf as full as a garden may have it, and a board too short to be squared, stop no plan', () => {
  const garden = demoGarden();
  const [cover] = garden.covers;
  const row = { id: 's', sectionKey: '2x4', quantity: 1, condition: 'sound' as const, where: '' };
  const shelf = Array.from({ length: 2000 }, (_, i) => ({ ...row, id: `s${i}`, lengthMm: 6 + i * 1.3 }));
  const read = checkGarden({ ...garden, shelf });
  if (!read.ok || !cover) throw new Error(JSON.stringify(read));
  const full = plan(read.value, cover, solver);
  const bare = plan({ ...garden, shelf: [] }, cover, solver);
  if (!full.ok || !bare.ok) throw new Error('both can be built');
  const boards = (p: typeof full) => (p.ok ? p.value.cuts : []).find((c) => c.section.key === '2x4');
  expect(boards(full)?.bars.some((b) => b.fromShelf)).toBe(true);
  expect(boards(full)?.cost).toBeLessThan(boards(bare)?.cost ?? 0);
});
