import { PAST_LIMIT } from './snowStrength';
import type { EndBar } from '../../cover/assembly/rows';
import { UNDRAWN } from '../../testing/judged';
import { SHIPPED, section, spreadOf } from '../../catalog/catalog';
import { demoGarden } from '../../garden/demo';
import { assessCover } from '../../plan';
import { startingCover } from '../../explore/firstDesigns';
import type { CheckSite } from './check';
import { endBarChecks } from './endBars';

const jamb = (more: Partial<EndBar> = {}): EndBar => ({
  tag: 'E3',
  what: 'Door jambs',
  section: section(SHIPPED, '2x4'),
  spanMm: 2000,
  loadWidthMm: 800,
  ...more,
});
const checks = (bars: readonly EndBar[], gustMPerS = 30) =>
  endBarChecks({ ...UNDRAWN, endBars: bars }, {
    gustMPerS,
    exposure: 'normal',
    gustSpread: spreadOf(SHIPPED, 'gust said'),
  } as CheckSite);

test('a jamb of 2 m with 800 mm of the end on it, in 30 m/s, worked by hand', () => {
  // q = .613 x 900 x .7 = 386.2 Pa; w = .98 x 386.2 x .8 = .3028 N/mm. I = 38.1 x 88.9³ / 12 = 2,230,736 mm4.
  // Bending: w L²/8 = 151,390 N mm, x 44.45 / I = 3.0166 MPa of 6 x 1.6 = 9.6: 3.182. Sag: 5 w L⁴ / (384 x 9000 x I) = 3.142 of 11.11: 3.536.
  const [found] = checks([jamb()]);
  expect(found?.figure?.value).toBeCloseTo(3.182, 2);
  expect(found?.verdict).toBe('holds');
  expect(found?.text.join('')).toContain(PAST_LIMIT.bending);
  // As long again it is the sag: 2.5 as strong of bending, an eighth of sag: .442.
  const [long] = checks([jamb({ spanMm: 4000 })]);
  expect(long?.figure?.value).toBeCloseTo(3.536 / 8, 2);
  expect(long?.verdict).toBe('fails');
  expect(long?.text.join('')).toContain(PAST_LIMIT.sag);
  // Twice the wind, a quarter of it.
  expect(checks([jamb()], 60)[0]?.figure?.value).toBeCloseTo(3.182 / 4, 2);
});

test('how sure: what it bears may be off with the gust and the timber, and twice as strong holds in more winters', () => {
  const reliabilityOf = (loadWidthMm: number) => checks([jamb({ loadWidthMm })])[0]?.sure;
  expect(reliabilityOf(2000)?.of.low).toBeLessThan(3.182 * 0.4);
  expect(reliabilityOf(2000)?.of.high).toBeGreaterThan(3.182 * 0.4);
  expect(reliabilityOf(2500)?.of.chance).toBeLessThan(reliabilityOf(1250)?.of.chance ?? 0);
  expect(reliabilityOf(2500)?.words.join('')).toContain('winters');
});

test('of each kind the weakest speaks; in no wind nothing is said', () => {
  const all = checks([jamb(), jamb({ tag: 'E4', loadWidthMm: 1600 }), jamb({ what: 'End studs', tag: 'E6' })]);
  expect(all.map((c) => c.id)).toEqual(['end Door jambs', 'end End studs']);
  expect(all[0]?.figure?.value).toBeCloseTo(3.182 / 2, 2);
  expect(checks([jamb()], 0)).toEqual([]);
});

test('a walk-in house states its studs, jambs and header by what of the end is on them', () => {
  const garden = demoGarden();
  const cover = startingCover(garden, 'long', 'walk-in', 'x', 'X');
  const o = cover && assessCover(garden, cover);
  if (!o?.ok) throw new Error('not built');
  const { endBars, members, footing } = o.value.assembly;
  const header = endBars.find((b) => b.what === 'Door headers');
  const door = members.find((m) => m.tag === header?.tag);
  expect(header?.spanMm).toBe(door?.lengthMm);
  // Over the header half of what is up to the crown.
  const z = door?.shape.kind === 'straight' ? door.shape.from[2] : NaN;
  const crown = Math.max(...o.value.assembly.under.map((p) => p.z));
  expect(Math.abs((header?.loadWidthMm ?? NaN) - (crown - z) / 2)).toBeLessThan(25);
  // The uprights of the end with the door: half of each bay, all of them and half of both outer bays together the width of the house.
  const front = endBars.filter((b) => b.tag.startsWith('E') && b.what !== 'Door headers');
  const ys = members
    .filter((m) => front.some((b) => b.tag === m.tag))
    .map((m) => (m.shape.kind === 'straight' ? m.shape.from[1] : NaN));
  const half = (footing.widthMm - (Math.max(...ys) - Math.min(...ys))) / 2;
  expect(front.reduce((sum, b) => sum + b.loadWidthMm, 0)).toBeCloseTo(footing.widthMm - half, -1.5);
  expect(
    o.value
      .judged()
      .checks.filter((c) => c.id.startsWith('end '))
      .map((c) => c.verdict),
  ).not.toContain('fails');
});
