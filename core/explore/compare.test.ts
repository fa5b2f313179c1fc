import { TEST_FIGURES } from '../testing/design';
import { reasons } from './merits';
import { withThumbnail } from '../show/thumbnail';
import { demoGarden } from '../garden/demo';
import { candidates } from './compare';

const garden = demoGarden();

test('every family is tried on every bed, and says why when it does not go there', () => {
  for (const bed of garden.beds)
    for (const c of candidates(garden, bed.id, 'spinach')) {
      if ('cover' in c) {
        const m = c.merits;
        expect(m.price).toBeGreaterThan(5);
        expect(withThumbnail(c).shapes.length).toBeGreaterThan(3);
        expect(m.hours).toBeGreaterThan(0.5);
        expect(m.massKg).toBeGreaterThan(0.1);
        expect(c.tools.length).toBeGreaterThan(2);
      } else expect(c.fault.length).toBeGreaterThan(10);
    }
  expect(candidates(garden, 'nowhere', 'spinach')).toEqual([]);
});

test('each is told of as soon as it is worked out, in the order in which they are handed back', () => {
  const told: string[] = [];
  const all = candidates(garden, 'long', 'spinach', (c) => told.push(c.key));
  expect(told).toEqual(all.map((c) => c.key));
});

test('reasons are true of the figures', () => {
  const cheap = {
    ...TEST_FIGURES,
    price: 10,
    wetSnowMm: 20,
    coldestC: -10,
    clearanceMm: -5,
    heightMm: 500,
    hours: 1,
    massKg: 1,
  };
  const stout = {
    ...TEST_FIGURES,
    price: 90,
    wetSnowMm: 200,
    coldestC: -12,
    clearanceMm: 50,
    heightMm: 900,
    hours: 6,
    massKg: 20,
  };
  expect(reasons(cheap, [cheap, stout])).toEqual({
    good: ['the cheapest here', 'the quickest to build', 'the lightest'],
    bad: ['too low for this crop', 'carries the least snow'],
  });
  expect(reasons(stout, [cheap, stout]).good).toEqual([
    'carries the most snow',
    'the warmest night',
    'the most room over the crop',
  ]);
  // What is not judged is neither best nor worst.
  expect(reasons({ ...cheap, wetSnowMm: NaN }, [{ ...cheap, wetSnowMm: NaN }, stout]).bad).not.toContain(
    'carries the least snow',
  );
  expect(reasons(stout, [stout]).good).toEqual([]);
});
