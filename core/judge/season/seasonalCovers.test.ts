import { SHIPPED, coverMaterial } from '../../catalog/catalog';
import { checkGarden } from '../../garden/garden';
import { demoGarden } from '../../garden/demo';
import { evaluate } from '../../evaluate';
import { airOf, climatePlace, wornOf } from '../../air';
import { rehearsalOf } from '../../explore/rehearse';
import { simulatedWeather } from '../weather/simulated';
import { rehearse } from './rehearsal';
import type { Garden } from '../../garden/garden';
import { coatOn, coatSheets, coatWorth, enclosureIn } from './seasonalCovers';

const COATS = [
  { coverKey: 'fabric-30', from: '04-15', to: '06-01' },
  { coverKey: 'net', from: '06-01', to: '08-15' },
  { coverKey: null, from: '08-15', to: '10-01' },
];
const worn = (coats: Garden['covers'][number]['coats'], id = 'winter-lid') => {
  const garden = demoGarden();
  const covers = garden.covers.map((c) => (c.id === id ? { ...c, coats } : c));
  const cover = covers.find((c) => c.id === id);
  const o = cover && evaluate({ ...garden, covers }, cover);
  if (!o?.ok) throw new Error(id);
  return o.value;
};

test('each other coat is a sheet of its own, cut from a roll; the same cover twice is cut once; nothing is no sheet', () => {
  const [plain, dressed] = [worn([]), worn([...COATS, { coverKey: 'net', from: '10-01', to: '11-01' }])];
  const more = dressed.assembly.sheets.filter((s) => !plain.assembly.sheets.some((p) => p.tag === s.tag));
  expect(more.map((s) => [s.cover.key, s.tag])).toEqual([
    ['fabric-30', 'C1'],
    ['net', 'C11'],
  ]);
  const size = (s: { across: readonly { mm: number }[]; along: readonly { mm: number }[] } | undefined) =>
    [s?.across, s?.along].map((a) => a?.reduce((sum, x) => sum + x.mm, 0));
  // Ten to a cover that is worn: the second sheet of the first one is C2.
  const [main] = plain.assembly.sheets;
  if (!main) throw new Error('no sheet');
  const two = { ...plain.assembly, sheets: [main, { ...main, tag: 'S2' }] };
  expect(coatSheets(two, coverMaterial(SHIPPED, 'net'), 1).map((s) => s.tag)).toEqual(['C11', 'C12']);
  for (const s of more) expect(size(s)).toEqual(size(plain.assembly.sheets[0]));
  expect(dressed.rolls.rolls.map((r) => r.roll.key.split(' ')[0])).toEqual(
    expect.arrayContaining(['fabric-30', 'net', 'film-uv']),
  );
  // The frame and its checks are what they were.
  expect(dressed.judged().checks.map((c) => c.id)).toEqual(plain.judged().checks.map((c) => c.id));
});

test('what is worn on a day, and what it is worth', () => {
  expect(coatOn(COATS, '2027-05-01')?.coverKey).toBe('fabric-30');
  expect(coatOn(COATS, '2027-06-01')?.coverKey).toBe('net');
  expect(coatOn(COATS, '2027-09-01')?.coverKey).toBeNull();
  expect(coatOn(COATS, '2027-12-01')).toBeUndefined();
  const { enclosure } = worn([]).assembly;
  expect(coatWorth(enclosure)).toEqual({ light: 0.9, frostHelpC: 2.5 });
  expect(coatWorth(enclosureIn(enclosure, coverMaterial(SHIPPED, 'fabric-30')))).toEqual({ light: 0.8, frostHelpC: 2 });
});

test('the climate wears the coat of the day', () => {
  const on = wornOf(worn(COATS));
  expect(on('2027-05-01').faces[0]?.light).toBe(0.8);
  expect(on('2027-12-01').faces[0]?.light).toBe(0.9);
  expect(on('2027-07-01').leaksPerHour).toBe(3000);
  expect(on('2027-09-01').faces[0]?.light).toBe(1);
  expect(on('2027-05-02')).toBe(on('2027-05-01'));
});

test('air follows the coat: a net is cooler than film, nothing at all is as outside, and the days before a change are untouched', () => {
  const [plain, dressed] = [worn([]), worn(COATS)];
  const weather = simulatedWeather(
    climatePlace(plain.garden, 0),
    'coats',
    Date.parse('2027-04-01T05:00:00Z'),
    24 * 180,
  );
  const [film, coats] = [plain, dressed].map((o) => airOf(o, weather, { ...o.cover.tending, open: null }).days);
  const day = (days: typeof film, date: string) => days?.find((d) => d.date === date);
  expect(day(coats, '2027-04-10')?.highC).toBe(day(film, '2027-04-10')?.highC);
  const mean = (days: typeof film, from: string, to: string) => {
    const some = (days ?? []).filter((d) => d.date >= from && d.date < to);
    return some.reduce((sum, d) => sum + d.highC - d.outHighC, 0) / some.length;
  };
  expect(mean(film, '2027-06-05', '2027-08-10')).toBeGreaterThan(mean(coats, '2027-06-05', '2027-08-10') + 5);
  for (const d of coats ?? [])
    if (d.date > '2027-08-16' && d.date < '2027-09-25') {
      expect(Math.abs(d.highC - d.outHighC)).toBeLessThan(1.5);
      expect(Math.abs(d.lowC - d.outLowC)).toBeLessThan(1.5);
    }
});

test('no snow folds and no wind takes a frame that wears nothing', () => {
  const bare = worn([{ coverKey: null, from: '10-01', to: '05-01' }]);
  const weak = { snow: { middle: 1, deviation: 0 }, gust: { middle: 1, deviation: 0 } };
  const end = (o: typeof bare) => rehearse({ ...rehearsalOf(o, 2026, 'never'), ...weak }, 2026, 'winter 1').cover;
  expect(end(worn([]))).toBeDefined();
  expect(end(bare)).toBeUndefined();
});

test('a coat of no cover, on no date, is refused by its field', () => {
  const garden = demoGarden();
  const fault = (coats: unknown): string => {
    const r = checkGarden({ ...garden, covers: garden.covers.map((c, i) => (i === 0 ? { ...c, coats } : c)) });
    return r.ok ? '' : `${r.faults[0]?.field}: ${r.faults[0]?.message}`;
  };
  expect(fault([{ coverKey: 'velvet', from: '04-01', to: '05-01' }])).toBe(
    'covers[0].coats[0].coverKey: must be a sheet or cover in the catalogue',
  );
  expect(fault([{ coverKey: 'net', from: '02-30', to: '05-01' }])).toContain(
    'covers[0].coats[0].from: must be a month and day such as 04-15',
  );
  expect(fault(Array.from({ length: 9 }, () => COATS[0]))).toContain('covers[0].coats');
});
