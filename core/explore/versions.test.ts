import { checkStatus } from '../judge/strength/check';
import { withThumbnail } from '../show/thumbnail';
import highsLoader from 'highs';
import { highsSolver } from '../make/cutting/highs';
import type { IntegerSolver } from '../make/cutting/linearProgram';
import { familyOf } from '../cover/families';
import { demoGarden } from '../garden/demo';
import { siteOf } from '../testing/site';
import type { Cover, Garden } from '../garden/garden';
import { assessCover, plan } from '../plan';
import { firstCover } from './firstDesigns';
import { versionsOf } from './versions';

const garden = demoGarden();
let solver: IntegerSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});
const of = (index: number, g: Garden = garden) => versionsOf(g, g.covers[index] as Cover, solver);

test('bent conduit is tried in place of plastic pipe alone', () => {
  const ids = (key: string): readonly string[] => {
    const cover = firstCover(garden, 'long', key, 'x', 'X') as Cover;
    return versionsOf({ ...garden, covers: [cover] }, cover, solver).map((v) => v.id);
  };
  // Wire, timber, and conduit itself.
  for (const key of ['wire-tunnel', 'a-frame', 'bent-conduit']) expect(ids(key)).not.toContain('conduit');
  expect(ids('staked-tunnel')).toContain('conduit');
});

test('the present one first, then what one would try: each built, priced and told apart', () => {
  const versions = of(0);
  expect(versions.map((v) => v.id)).toEqual(['now', 'more', 'fewer', 'pipe', 'posted', 'conduit']);
  const [now, more, fewer, pipe] = versions;
  // The price that every other place shows.
  const shown = plan(garden, garden.covers[0] as Cover, solver);
  expect(now?.merits.price).toBe(shown.ok && shown.value.shopping.paid);
  expect(pipe?.label).toBe('Of 3/4 PVC');
  expect(more?.pieces).toBeGreaterThan(now?.pieces ?? 0);
  expect(fewer?.pieces).toBeLessThan(now?.pieces ?? 0);
  expect(more?.merits.wetSnowMm).toBeGreaterThan(now?.merits.wetSnowMm ?? 0);
  expect(versions.some((v) => v.ills.length > 0)).toBe(true);
  for (const v of versions) {
    expect(v.merits.price).toBeGreaterThan(0);
    expect(v.used).toBeLessThanOrEqual(v.merits.price + 0.01);
    expect(withThumbnail(v).shapes.length).toBeGreaterThan(3);
    const built = assessCover(garden, v.cover);
    const ills = built.ok ? built.value.judged().checks.filter((c) => c.verdict !== 'holds') : [];
    expect(v.ills).toEqual(ills.map((c) => ({ status: checkStatus(c), text: c.text })));
  }
});

test('of one that stands on triangles one more and one fewer are tried as well', () => {
  const cover = firstCover(garden, 'long', 'a-frame', 'x', 'X') as Cover;
  const versions = versionsOf({ ...garden, covers: [cover] }, cover, solver);
  const pairs = (id: string) => versions.find((v) => v.id === id)?.outline.assembly.beams[0]?.asked?.now ?? 0;
  const now = pairs('now');
  expect(now).toBeGreaterThan(2);
  expect([pairs('more'), pairs('fewer')]).toEqual([now + 1, now - 1]);
  expect(versions.slice(1, 3).map((v) => v.label)).toEqual([`${now + 1} triangles`, `${now - 1} triangles`]);
});

test('boards, pipes and panes are its pieces', () => {
  const [now] = of(garden.covers.findIndex((c) => c.id === 'window-frame'));
  const { members = [], panels = [] } = now?.outline.assembly ?? {};
  expect(panels.length).toBeGreaterThan(0);
  expect(now?.pieces).toBe(members.length + panels.length);
});

test('a kept version stands beside the present one, when they differ', () => {
  const g = structuredClone(garden);
  const cover = g.covers[0] as Cover;
  cover.kept = { ...cover.answers } as never;
  expect(of(0, g).some((v) => v.id === 'kept')).toBe(false);
  Object.assign(cover.answers, { hoops: 7 });
  const kept = of(0, g).find((v) => v.id === 'kept');
  expect(kept?.cover.answers).toEqual(cover.kept);
});

test('every cover of the garden has at least itself, and nothing that cannot be built', () => {
  garden.covers.forEach((_, i) => expect(of(i)[0]?.id).toBe('now'));
  const broken = structuredClone(garden);
  Object.assign(broken.covers[0]?.answers ?? {}, { shape: { by: 'height', heightMm: 5900 } });
  expect(of(0, broken)).toEqual([]);
});

test('a rival of another kind stands beside it, built and priced on the same bed; taking it keeps the cover’s own name', () => {
  const cover = garden.covers[0] as Cover;
  const rival = { family: 'a-frame', answers: familyOf('a-frame').defaults(siteOf(3251, 1118)) as never, coats: [] };
  const [found] = versionsOf(garden, cover, solver, [rival]).filter((v) => v.id.startsWith('rival'));
  expect(found?.label).toBe(`Rival: ${familyOf('a-frame').name.toLowerCase()}`);
  expect(found?.cover).toMatchObject({ id: cover.id, name: cover.name, bedId: cover.bedId, family: 'a-frame' });
  // Nothing of the work that was done on the other is said of it.
  expect(found?.cover.build.done).toEqual([]);
  expect(found?.merits.price).toBeGreaterThan(10);
  // What does not go on the bed is not shown.
  const tall = familyOf('staked-tunnel').defaults(siteOf(3251, 1118));
  const never = {
    ...rival,
    family: 'staked-tunnel',
    answers: { ...tall, shape: { by: 'height', heightMm: 5900 } } as never,
  };
  expect(versionsOf(garden, cover, solver, [never]).some((v) => v.id === 'rival-0')).toBe(false);
});
