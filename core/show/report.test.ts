import { highsSolver } from '../make/cutting/highs';
import highsLoader from 'highs';
import { demoGarden } from '../garden/demo';
import { type Plan, plan } from '../plan';
import { planReport } from './report';

let lid: Plan;
let tunnel: Plan;
beforeAll(async () => {
  const solver = highsSolver(await highsLoader());
  const garden = demoGarden();
  const made = ['winter-lid', 'salad-tunnel'].map((id) => {
    const cover = garden.covers.find((c) => c.id === id);
    const p = cover && plan(garden, cover, solver);
    if (!p?.ok) throw new Error(id);
    return p.value;
  });
  [lid, tunnel] = made as [Plan, Plan];
});

test('it is plain data: what is written and read again is the same', () => {
  const report = planReport(lid);
  expect(JSON.parse(JSON.stringify(report))).toEqual(JSON.parse(JSON.stringify(planReport(lid))));
  const walk = (value: unknown): void => {
    if (typeof value === 'number') expect(Number.isFinite(value)).toBe(true);
    else if (value !== null && typeof value === 'object') Object.values(value).forEach(walk);
    else expect(['string', 'boolean', 'undefined', 'object']).toContain(typeof value);
  };
  walk(report);
});

test('every piece, sheet, bar and step of the plan is in it, under its own tag', () => {
  const r = planReport(lid);
  expect(r.cover).toEqual({ id: 'winter-lid', name: lid.cover.name, family: lid.cover.family, bed: lid.site.bed.name });
  expect(r.assembly.members.map((m) => [m.tag, m.section, m.lengthMm])).toEqual(
    lid.assembly.members.map((m) => [m.tag, m.section.key, m.lengthMm]),
  );
  expect(r.sheets.map((s) => s.tag)).toEqual(lid.assembly.sheets.map((s) => s.tag));
  for (const s of r.sheets) {
    const sum = (lines: readonly { readonly mm: number }[]): number => lines.reduce((all, l) => all + l.mm, 0);
    expect(s.acrossMm).toBeCloseTo(sum(s.across), 9);
    expect(s.alongMm).toBeCloseTo(sum(s.along), 9);
  }
  const sawn = r.cuts.flatMap((c) => c.bars.flatMap((b) => b.pieces.map((p) => p.tag))).sort();
  const straight = lid.assembly.members.map((m) => m.tag).sort();
  expect(sawn).toEqual(straight);
  expect(r.steps).toHaveLength(lid.assembly.steps.length);
  for (const s of r.steps) for (const line of [...s.work, ...s.checks]) expect(typeof line).toBe('string');
});

test('its hoops, strengths and prices are those of the plan', () => {
  const r = planReport(tunnel);
  const [arch] = tunnel.assembly.arches;
  expect(r.assembly.hoop).toMatchObject({
    count: arch?.tags.length,
    spacingMm: arch?.spacingMm,
    cutMm: arch?.cutMm,
    heightMm: arch?.hoop.heightMm,
  });
  expect(r.strength.map((s) => [s.what, s.governs, s.wetSnowMm])).toEqual(
    tunnel.judged().strengths.map((s) => [s.what, s.governs, Number.isFinite(s.wetSnowMm) ? s.wetSnowMm : null]),
  );
  expect(r.shopping.lines.reduce((sum, l) => sum + l.paid, 0)).toBeCloseTo(r.shopping.paid, 6);
  expect(r.shopping.currency).toBe(tunnel.garden.units.currency);
  expect(r.lifts).toEqual(tunnel.lifts.map((f) => ({ what: f.label, kg: f.value })));
  expect([r.hours, r.coldestNightC]).toEqual([tunnel.hours.value, tunnel.coldest.value]);
});

test('each check has its own mends beside it, sets stand apart, and no mend is lost', () => {
  const r = planReport(lid);
  expect(r.checks.map((c) => [c.id, c.verdict])).toEqual(lid.judged().checks.map((c) => [c.id, c.verdict]));
  const told = r.checks.reduce((sum, c) => sum + c.mends.length, 0) + r.mends.length;
  expect(told).toBe(lid.mends.length);
  // A set of changes belongs to no one check.
  const [some] = lid.mends;
  const brings = { gives: 'tight', loosens: ['bend'] } as const;
  const set = { ...some, checkId: undefined, label: ['Two changes at once'], cost: 7, ...brings } as typeof some;
  const withSet = planReport({
    ...lid,
    mends: [...lid.mends.filter((m) => m.checkId !== undefined), ...(set ? [set] : [])],
  });
  expect(withSet.mends).toEqual([{ label: 'Two changes at once', cost: 7, ...brings }]);
  const [failing] = r.checks.filter((c) => c.verdict === 'fails');
  expect(failing?.mends.length).toBeGreaterThan(0);
  expect(failing?.text).toMatch(/\d/);
  // How sure a check is goes along where it says so.
  expect(r.checks.filter((c) => 'sure' in c).length).toBe(lid.judged().checks.filter((c) => c.sure).length);
});

test('what lies over the air is told by its key, a second layer only where there is one', () => {
  const { enclosure } = planReport(lid).assembly;
  const [skin] = lid.assembly.enclosure.skins;
  expect(enclosure.coverKey).toBe(skin.cover.key);
  expect('innerKey' in enclosure).toBe(skin.inner !== undefined);
  expect(enclosure.coverM2).toBeCloseTo(
    lid.assembly.enclosure.skins.reduce((sum, s) => sum + s.m2, 0),
    9,
  );
  expect(enclosure.skins).toHaveLength(lid.assembly.enclosure.skins.length);
});
