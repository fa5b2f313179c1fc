import fc from 'fast-check';
import { demoGarden } from './demo';
import { checkGarden } from './garden';
import { readGarden } from './read';
import { fileOf, writeGarden } from './write';
import { salvage } from './salvage';

test('a sound garden is read whole', () => {
  expect(salvage(demoGarden())).toEqual({ garden: demoGarden(), left: [] });
});

test('what does not read is left out by name, and what it carried with it', () => {
  const demo = demoGarden();
  const [first, second] = demo.beds;
  const found = {
    ...demo,
    name: 7,
    beds: [{ ...first, wall: 'high' }, second],
    covers: [...demo.covers, { id: 'new', family: 'of-tomorrow' }],
    prices: { 'bar 2x4 2438': -1 },
    tomorrow: true,
  };
  const { garden, left } = salvage(found);
  expect(garden.name).toBe('A garden without a name');
  expect(garden.beds).toEqual([second]);
  // Covers of the bed that does not read have nowhere to stand.
  expect(garden.covers).toEqual(demo.covers.filter((c) => c.bedId === second?.id));
  expect(garden.prices).toEqual({});
  const fields = left.map((f) => f.field);
  expect(fields).toEqual(expect.arrayContaining(['name', 'beds[0].wall', 'prices.bar 2x4 2438', 'covers[0].bedId']));
});

test('whatever is stored, what comes of it is a sound garden, and its file is never lost', () => {
  fc.assert(
    fc.property(
      fc.anything(),
      fc.dictionary(fc.constantFrom('beds', 'covers', 'catalog', 'site', 'shelf'), fc.anything()),
      (any, parts) => {
        for (const found of [any, parts, { ...demoGarden(), ...parts }])
          expect(checkGarden(salvage(found).garden).ok).toBe(true);
      },
    ),
    { numRuns: 150 },
  );
  expect(fileOf(demoGarden())).toBe(writeGarden(demoGarden()));
  expect(fileOf({ format: 'of tomorrow' })).toBe('{\n  "format": "of tomorrow"\n}\n');
  expect(readGarden(fileOf(demoGarden())).ok).toBe(true);
});
