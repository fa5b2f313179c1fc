import { logSpread } from './reliability';
import { UNDRAWN, shown } from '../../testing/judged';
import { SHIPPED, section, spreadOf } from '../../catalog/catalog';
import type { PostRow } from '../../cover/assembly/rows';
import { at, build } from '../../testing/site';
import type { CheckSite } from './check';
import { poleDepthMm, postChecks } from './posts';
import { gustPa } from './windLoads';

const site = (gustMPerS: number, more: Partial<CheckSite['site']> = {}): CheckSite =>
  ({
    gustMPerS,
    gustSpread: spreadOf(SHIPPED, 'gust said'),
    exposure: 'normal',
    site: { ...at(128, 44), ...more },
  }) as CheckSite;

const row = (more: Partial<PostRow> = {}): PostRow => ({
  tags: ['P1', 'P2', 'P3', 'P4', 'P5', 'P6'],
  nailed: 1,
  across: 'width',
  section: section(SHIPPED, 'steel-1'),
  depthMm: 600,
  aboveMm: 600,
  set: 'driven',
  spacingMm: 1200,
  crownMm: 2100,
  endM2: 5,
  braces: 0,
  ...more,
});
const check = (id: string, gust: number, more: Partial<PostRow> = {}, where: Partial<CheckSite['site']> = {}) => {
  const found = postChecks(UNDRAWN, row(more), site(gust, where)).find((c) => c.id === id);
  if (!found) throw new Error(id);
  return found;
};
const term = (c: ReturnType<typeof check>, name: string): number => shown(c.figure)[name] ?? NaN;

test('a pole is as deep as Broms says: more for more push, less in firmer soil or a wider hole', () => {
  // 500 N a metre up on .25 m in 25 kPa: f = 500 / 56250 = .0089; 500 (1 + .375 + .0044) = 2.25 x .25 x 25000 g², g = .2214.
  expect(poleDepthMm(500, 1000, 250, 25_000)).toBeCloseTo(1000 * (0.375 + 0.00889 + 0.22146), 0);
  expect(poleDepthMm(1000, 1000, 250, 25_000)).toBeGreaterThan(605);
  expect(poleDepthMm(500, 1000, 250, 40_000)).toBeLessThan(605);
  expect(poleDepthMm(500, 1000, 33, 25_000)).toBeGreaterThan(605);
  expect(poleDepthMm(0, 1000, 33, 25_000)).toBe(0);
});

test('wind from the side, worked by hand', () => {
  // At 30 m/s: q is 386.2 Pa. 1.3 q on .6 x 1.2 m at .3 m up, .6 q on 1.5 x 1.2 m at 1.35 m up.
  const q = gustPa(30, 'normal');
  const [wall, arch] = [1.3 * q * 0.72, 0.6 * q * 1.8];
  const c = check('post across', 30);
  expect(term(c, 'push on one post')).toBeCloseTo((wall + arch) / 2, 6);
  expect(term(c, 'at a height of')).toBeCloseTo((1000 * (wall * 0.3 + arch * 1.35)) / (wall + arch), 6);
  // 1 in steel pipe, 1.315 x 1.049 in: I = pi / 64 (33.4^4 - 26.64^4) mm4, 240 MPa at 16.7 mm.
  const i = (Math.PI / 64) * ((1.315 * 25.4) ** 4 - (1.049 * 25.4) ** 4);
  const most = (240 * i) / (1.315 * 12.7) / 1000;
  expect(term(c, 'most that the post takes, N·m')).toBeCloseTo(most, 3);
  expect(c.figure?.value).toBeCloseTo((1.5 * (wall * 0.3 + arch * 1.35)) / 2 / most, 6);
});

test('wind on an end is shared by all posts, and braces take their part of it first', () => {
  const force = 1.3 * gustPa(30, 'normal') * 5;
  expect(term(check('post along', 30), 'push on one post')).toBeCloseTo(force / 6, 6);
  // Two braces of 1500 N, a half more wanted: 2000 of 2510 N.
  expect(term(check('post along', 30, { braces: 2 }), 'push on one post')).toBeCloseTo((force - 2000) / 6, 6);
  expect(term(check('post along', 30, { braces: 4 }), 'push on one post')).toBeCloseTo(0, 6);
});

test('depth: a hand of loose soil, a part of the height, and the wind; tried deeper, in mix, never in another kind', () => {
  const calm = check('post depth', 0, { aboveMm: 1800 });
  // A quarter of 1800 is 450; a third where it is windy.
  expect(calm.figure?.value).toBeCloseTo(450, 6);
  expect(check('post depth', 0, { aboveMm: 1800 }, { windy: true }).figure?.value).toBeCloseTo(600, 6);
  expect(check('post depth', 0).figure?.value).toBe(400);
  const gale = check('post depth', 40);
  expect(gale.verdict).toBe('fails');
  expect(gale.tries.map((t) => t.change)).toContainEqual({ kind: 'answer', id: 'posts', value: 'dug' });
  // By hands of six inches, from the next over 600 mm to nine of them.
  const hands = gale.tries.flatMap((t) => (t.change.kind === 'deeper' ? [Math.round(t.change.toMm / 25.4)] : []));
  expect(hands).toEqual([24, 30, 36, 42, 48, 54]);
  const metric = check('post depth', 40, {}, { market: 'metric' });
  expect(metric.tries.flatMap((t) => (t.change.kind === 'deeper' ? [t.change.toMm] : []))).toEqual([
    750, 900, 1050, 1200, 1350,
  ]);
  const offered = check('post across', 60).tries.flatMap((t) => (t.change.kind === 'rod' ? [t.change.key] : []));
  // Stouter pipe among them, and never a rod that goes inside a pipe.
  expect(offered).toContain('steel-1-1/4');
  expect(offered.filter((k) => k.startsWith('rod'))).toEqual([]);
});

test('a house never has a reinforcing rod for a post; a pipe that does not go over one is joined by a sleeve, pinned', () => {
  // 1 in PVC has 1.049 in inside and 3/4 steel pipe is 1.050 outside.
  const a = build('walk-in', at(128, 44), { pipe: 'pvc-1', post: 'steel-3/4' });
  expect(a.sleeves[0]?.inner.key).toBe('steel-3/4');
  const joined = build('walk-in', at(128, 44), { pipe: 'pvc-1', post: 'steel-3/4', join: 'adapter' });
  const sleeves = joined.members.filter((m) => m.part === 'Sleeve');
  expect(sleeves).toHaveLength(joined.posts[0]?.tags.length ?? 0);
  // The next size that goes over 1.315 in: conduit of 1-1/4, 1.38 inside and 1.51 outside; 6 in over each end.
  expect([sleeves[0]?.section.key, sleeves[0]?.lengthMm]).toEqual(['emt-1-1/4', 2 * 6 * 25.4]);
  const pins = joined.hardware.find((h) => h.joint.startsWith('Through each sleeve'));
  expect(pins?.count).toBe(4 * sleeves.length);
  // The hoop is shorter by what it no longer laps.
  const cut = (x: typeof a): number => x.members.find((m) => m.tag === 'H1')?.lengthMm ?? NaN;
  expect(cut(a) - cut(joined)).toBeCloseTo(2 * 6 * 25.4, 6);
});

test('how sure: without the margin, by the gust squared and what the pipe really yields at', () => {
  const found = check('post across', 30);
  const { low = NaN, high = NaN } = found.sure?.of ?? {};
  const [gust, limit] = [spreadOf(SHIPPED, 'gust said'), spreadOf(SHIPPED, 'limit steel')].map(logSpread) as [
    ReturnType<typeof logSpread>,
    ReturnType<typeof logSpread>,
  ];
  // 1.5 over the figure, at the middle of both; the deviations of twice the gust and of the yield, squared and added.
  expect(Math.sqrt(low * high)).toBeCloseTo(
    (1.5 / (found.figure?.value ?? NaN)) * Math.exp(limit.middle - 2 * gust.middle),
    6,
  );
  expect(Math.log(high / low) / 2 / 1.6449).toBeCloseTo(Math.hypot(2 * gust.deviation, limit.deviation), 6);
});

test('posts bolted to a bed: half of the push of a bay on each, turned about the lower bolt, worked by hand', () => {
  const bolts = { apartMm: 190, lowMm: 45, eachN: 2500 };
  // At 20 m/s, exposure normal: q. Wall 1.3 q x 1.2 x .6, at .3 m; arch .6 q x 1.2 x 1.5, at .6 + .75 m.
  const q = gustPa(20, 'normal');
  const [wall, arch] = [1.3 * q * 1.2 * 0.6, 0.6 * q * 1.2 * 1.5];
  const push = wall + arch;
  const heightMm = (wall * 300 + arch * 1350) / push;
  const c = check('post bolts', 20, { bolts });
  expect(term(c, 'push on one post')).toBeCloseTo(push / 2, 6);
  expect(c.figure?.value).toBeCloseTo(((push / 2) * (heightMm - 45)) / 190, 6);
  expect(postChecks(UNDRAWN, row({ bolts }), site(20)).map((x) => x.id)).toEqual([
    'post bolts',
    'post across',
    'post along',
  ]);
  // Six posts are three hoops: four, five, six or seven are tried, then lower, then posts in the ground.
  expect(c.tries.map((t) => t.change)).toEqual([
    ...[4, 5, 6, 7].map((count) => ({ kind: 'hoops', count })),
    { kind: 'higher', byMm: -150 },
    { kind: 'answer', id: 'posts', value: 'timber' },
  ]);
});
