import { demoGarden } from './files/demo';
import { candidates, measuresOf, reasons } from './compare';

const garden = demoGarden();

test('every family is tried on every bed, and says why when it does not go there', () => {
  for (const bed of garden.beds)
    for (const c of candidates(garden, bed.id, 'spinach')) {
      if ('outline' in c) {
        const m = measuresOf(c.outline, 10);
        expect(m.hours).toBeGreaterThan(0.5);
        expect(m.massKg).toBeGreaterThan(0.1);
        expect(c.tools.length).toBeGreaterThan(2);
      } else expect(c.faults[0]?.message.length).toBeGreaterThan(10);
    }
  expect(candidates(garden, 'nowhere', 'spinach')).toEqual([]);
});

test('reasons are true of the figures', () => {
  const cheap = { price: 10, wetSnowMm: 20, coldestC: -10, clearanceMm: -5, hours: 1, massKg: 1 };
  const stout = { price: 90, wetSnowMm: 200, coldestC: -12, clearanceMm: 50, hours: 6, massKg: 20 };
  expect(reasons(cheap, [cheap, stout])).toEqual({
    good: ['the cheapest here', 'the quickest to build', 'the lightest'],
    bad: ['too low for this crop', 'carries the least snow'],
  });
  expect(reasons(stout, [cheap, stout]).good).toEqual(['carries the most snow', 'the warmest night']);
  expect(reasons(stout, [stout]).good).toEqual([]);
});
