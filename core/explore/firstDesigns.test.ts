import { FAMILY_KEYS } from '../cover/families';
import { quickPrice } from '../cut';
import { demoGarden } from '../garden/demo';
import type { Cover } from '../garden/garden';
import { assessCover } from '../plan';
import { firstCover, startingCover } from './firstDesigns';

const garden = demoGarden();
describe.each(garden.beds.map((b) => b.id))('on the bed %s', (bedId) => {
  test.each(FAMILY_KEYS)('a new %s holds from the start', (key) => {
    const cover = startingCover(garden, bedId, key, 'new', 'New');
    const made = cover && assessCover(garden, cover);
    if (!made?.ok) throw new Error(made?.faults[0]?.message);
    const failing = made.value.judged().checks.filter((c) => c.verdict === 'fails');
    expect(failing.map((c) => c.id)).toEqual([]);
  });
});

test('what holds as it usually is stays as it usually is, and a crop is kept', () => {
  const mild = {
    ...garden,
    site: { ...garden.site, snow: { by: 'depth', depthMm: 20, kind: 'fresh' } as const, gustMPerS: 15 },
  };
  const usual = firstCover(mild, 'long', 'staked-tunnel', 'a', 'A');
  expect(startingCover(mild, 'long', 'staked-tunnel', 'a', 'A')).toEqual(usual);
  expect(startingCover(garden, 'long', 'hinged-hoop-lid', 'a', 'A', 'leek')?.answers['crop']).toBe('leek');
  expect(startingCover(garden, 'nowhere', 'hinged-hoop-lid', 'a', 'A')).toBeUndefined();
});

test.each(garden.beds.map((b) => b.id))('a house on the bed %s starts on the cheapest posts that hold', (bedId) => {
  const cover = startingCover(garden, bedId, 'walk-in', 'a', 'A');
  if (!cover) throw new Error('no house');
  const priced = (posts: string): number => {
    const made = assessCover(garden, { ...cover, answers: { ...cover.answers, posts } } as Cover);
    const holds = made.ok && made.value.judged().checks.every((c) => c.verdict !== 'fails');
    return made.ok && holds ? quickPrice(made.value) : Infinity;
  };
  const ways = ['driven', 'dug', 'timber', 'rails'].map(priced);
  expect(priced(String(cover.answers['posts']))).toBe(Math.min(...ways));
});

test('in deep snow it comes as near as its changes bring it, and ends', () => {
  const deep = { ...garden, site: { ...garden.site, snow: { by: 'depth', depthMm: 3000, kind: 'wet' } as const } };
  const cover = startingCover(deep, 'long', 'wire-tunnel', 'a', 'A');
  const usual = firstCover(deep, 'long', 'wire-tunnel', 'a', 'A');
  const ratio = (c: typeof cover): number => {
    const made = c && assessCover(deep, c);
    return made?.ok ? (made.value.judged().strengths[0]?.ratio ?? NaN) : NaN;
  };
  expect(ratio(cover)).toBeGreaterThan(ratio(usual));
});
