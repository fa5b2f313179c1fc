import { demoGarden } from '../garden/demo';
import { evaluate } from '../evaluate';
import { amount } from '../base/figure';
import { designsFor, mostHelped, playWinter, rehearsalOf } from './rehearse';
import { simulatedWeather } from '../judge/weather/simulated';
import { warmerBy } from './warmer';
import { notableDays } from '../judge/weather/days';
import { climatePlace, airOf } from '../air';
import { shownClimate } from '../show/dayCurve';
import { logCsv } from '../show/log';
import { newEntry } from '../garden/log';
import { checkGarden } from '../garden/garden';
import { logSpread } from '../judge/strength/reliability';

const garden = demoGarden();
const outlineOf = (id: string) => {
  const cover = garden.covers.find((c) => c.id === id);
  const o = cover && evaluate(garden, cover);
  if (!o?.ok) throw new Error(id);
  return o.value;
};
const lid = outlineOf('winter-lid');
const year = simulatedWeather(climatePlace(garden, 0), 'tests', Date.parse('2026-07-01T05:00:00Z'), 8760);

test('a cover meets the winter with the strength that Stand tells of it', () => {
  const ask = rehearsalOf(lid, 2026, 'mornings');
  const least = Math.min(...lid.judged().strengths.map((s) => s.wetSnowMm));
  // Wet snow of 400 kg/m3.
  expect(ask.snow?.middle).toBeCloseTo(0.4 * least, 9);
  // As surely as its check tells; where that tells nothing, off by a fifth.
  const weakest = lid.judged().strengths.find((s) => s.wetSnowMm === least);
  if (!weakest?.sure) throw new Error('not told how sure');
  expect(ask.snow?.deviation).toBeCloseTo(logSpread(weakest.sure).deviation, 9);
  const bearing = (strengths: ReturnType<typeof lid.judged>['strengths']) => ({
    ...lid,
    judged: () => ({ ...lid.judged(), strengths }),
  });
  const unsure = bearing(lid.judged().strengths.map((s) => ({ ...s, sure: undefined })));
  expect(rehearsalOf(unsure, 2026, 'mornings').snow?.deviation).toBe(0.2);
  // One that may bear nothing at all has no logarithm.
  const nothing = lid.judged().strengths.map((s) => ({ ...s, sure: s.sure && { ...s.sure, low: 0 } }));
  expect(rehearsalOf(bearing(nothing), 2026, 'mornings').snow?.deviation).toBe(0.2);
  // What no snow folds is left out; where nothing can be folded no snow does.
  const firm = lid.judged().strengths.map((s) => ({ ...s, wetSnowMm: Infinity }));
  expect(rehearsalOf(bearing([...firm, ...lid.judged().strengths]), 2026, 'mornings').snow).toEqual(ask.snow);
  expect(rehearsalOf(bearing(firm), 2026, 'mornings').snow).toBeUndefined();
  expect(ask.gust?.middle).toBeGreaterThan(garden.site.gustMPerS);
  // Loads go with the square of a gust: its logarithm is off by half of theirs.
  const wind = lid.judged().checks.find((c) => c.id === 'wind')?.sure?.of;
  if (!wind) throw new Error('not told how sure');
  expect(ask.gust?.deviation).toBeCloseTo(logSpread(wind).deviation / 2, 9);
  expect(ask.gust?.middle).toBeCloseTo(garden.site.gustMPerS * Math.exp(logSpread(wind).middle / 2), 9);
  expect(ask.limits).toMatchObject({ killingC: -7, hotC: 25 });
});

test('the change that helps most leaves the same winter no worse, and is a design that can be built', () => {
  const { winter, aged, helped } = playWinter(lid, 2026, 'winter 1', 'mornings');
  expect(winter.crop).toBe('killed');
  expect(helped).toBeDefined();
  // 166 days of winter, of nine to eleven hours of daylight.
  expect(aged.map((l) => l.coverKey)).toEqual([lid.assembly.enclosure.skins[0].cover.key]);
  expect(aged[0]?.hours).toBeGreaterThan(166 * 9);
  expect(aged[0]?.hours).toBeLessThan(166 * 11.5);
  expect(helped?.winter.sums.livedDays).toBeGreaterThanOrEqual(winter.sums.livedDays);
  if (helped?.answers)
    expect(evaluate(garden, { ...lid.cover, answers: helped.answers } as typeof lid.cover).ok).toBe(true);
});

test('a cover that snow folds is helped by brushing, which costs nothing; who brushes at once is told no such thing', () => {
  const weak = { ...lid, strengths: lid.judged().strengths.map((s) => ({ ...s, wetSnowMm: 60 })) };
  const { winter, helped } = playWinter(weak, 2026, 'winter 2', 'never');
  expect(winter.cover).toBe('folded');
  expect(helped).toMatchObject({ brushing: 'at once', cost: 0, answers: undefined });
  expect(helped?.winter.cover).toBeUndefined();
  expect(playWinter(weak, 2026, 'winter 2', 'at once').helped?.brushing).toBeUndefined();
});

test('other designs are tried where they may help: warmer ones for the crop, firmer ones for the cover, of each the first four', () => {
  const high = amount(150, 'length');
  const tries = [
    { label: ['Higher by ', high], change: { kind: 'higher', byMm: 150 } },
    // It has no rods: that is no change of it.
    { label: ['Rods'], change: { kind: 'rod', key: 'rebar-1/2' } },
    ...[4, 5, 6, 7].map((n) => ({ label: [`${n} hoops`], change: { kind: 'hoops', count: n } })),
  ];
  const of = (id: string) => ({ id, tries });
  const o = {
    ...lid,
    judged: () => ({ ...lid.judged(), checks: [of('snow'), { id: 'wind', tries: [...tries].reverse() }, of('rows')] }),
  } as unknown as typeof lid;
  const warm = [1, 2, 3, 4, 5].map((n) => ({ question: 'Extra warmth', label: `Jug ${n}`, answers: { n } }) as never);
  const sums = { nearNights: 0 };
  const labels = (winter: object) => designsFor(o, { sums, ...winter } as never, () => warm).map((d) => d.label);
  const warmer = [1, 2, 3, 4].map((n) => [`Extra warmth: jug ${n}`]);
  // Against wind as against snow, each with its own first four.
  const firmer = [['Higher by ', high], ['4 hoops'], ['5 hoops'], ['7 hoops'], ['6 hoops'], ['5 hoops'], ['4 hoops']];
  expect(labels({})).toEqual([]);
  expect(labels({ crop: 'killed' })).toEqual(warmer);
  expect(labels({ sums: { nearNights: 1 } })).toEqual(warmer);
  // A crop that was lost to heat is not kept by warmth.
  expect(labels({ crop: 'cooked' })).toEqual([]);
  expect(labels({ cover: 'folded' })).toEqual(firmer);
  expect(labels({ cover: 'folded', crop: 'killed' })).toEqual([...warmer, ...firmer]);
  const [higher] = designsFor(o, { sums, cover: 'folded' } as never, () => []);
  expect(higher?.answers).toMatchObject({ shape: { by: 'height' } });
});

test('most helped is what ends best, of as good ones the cheapest, and only where it helps by more than a night', () => {
  const sums = { livedDays: 100, nearNights: 3, hotHours: 0 } as never;
  const end = (more: object) => ({ cover: undefined, crop: undefined, sums, ...more }) as never;
  const change = (name: string, cost: number, winter: never) =>
    ({ label: [name], cost, winter, answers: {}, brushing: undefined }) as const;
  const lost = end({ crop: 'killed' });
  // A crop that dies counts 1000 less 5 for each day it lived; a cover that falls 2000; a near night 1; ten hot hours 1.
  const [lives, cheaper, later, falls] = [
    change('lives', 9, end({})),
    change('lives too', 5, end({})),
    change('later', 1, end({ crop: 'killed', sums: { livedDays: 120, nearNights: 3, hotHours: 0 } })),
    change('falls', 0, end({ cover: 'folded' })),
  ];
  expect(mostHelped(lost, [later, lives, cheaper, falls])).toBe(cheaper);
  expect(mostHelped(lost, [cheaper, falls, lives])).toBe(cheaper);
  expect(mostHelped(lost, [falls, later])).toBe(later);
  expect(mostHelped(lost, [falls])).toBeUndefined();
  // One night fewer is not worth telling, two are.
  const nights = (n: number, hotHours = 0) => end({ sums: { livedDays: 100, nearNights: n, hotHours } });
  expect(mostHelped(nights(3), [change('one', 0, nights(2))])).toBeUndefined();
  expect(mostHelped(nights(3), [change('two', 0, nights(1))])?.label).toEqual(['two']);
  expect(mostHelped(nights(3, 30), [change('cooler', 0, nights(3, 10))])?.label).toEqual(['cooler']);
});

test('what keeps it warmer: each gains what it says on that night, the cheapest degree first', () => {
  const found = warmerBy(lid, year);
  expect(found.changes.map((c) => c.label)).toEqual(expect.arrayContaining(['Blanket at night', 'Film']));
  const per = found.changes.map((c) => c.cost / c.gainC);
  expect([...per].sort((a, b) => a - b)).toEqual(per);
  for (const c of found.changes) expect(c.gainC).toBeGreaterThan(0.19);
  expect(found.changes.find((c) => c.label === 'Film')?.lightLost).toBeCloseTo(0.1, 6);
  expect(found.date).toMatch(/^202[67]-(12|01|02|11|03)/);
});

test('days that stand out, and a day as a curve from midnight to midnight', () => {
  const days = notableDays(year, -5);
  expect(days.map((d) => d.key)).toEqual(['coldest', 'bright', 'hottest', 'stormy']);
  expect(days[1]?.date.slice(0, 7)).toBe('2027-03');
  expect(notableDays(year, -5, true)[1]?.name).toBe('Bright September noon');
  const climate = airOf(lid, year);
  const shown = shownClimate(lid, climate, year, '2027-03-10');
  expect(shown.curve.map((h) => h.hour)).toEqual(Array.from({ length: 25 }, (_, i) => i));
  const day = climate.days.find((d) => d.date === '2027-03-10');
  expect(Math.max(...shown.curve.map((h) => h.inC))).toBeLessThanOrEqual((day?.highC ?? NaN) + 1e-9);
  // A day that is not in the weather: the coldest night instead.
  expect(shownClimate(lid, climate, year, '1999-01-01').date).toBe(days[0]?.date);
});

test('the log as CSV, the first day first, with what a spreadsheet would run escaped', () => {
  const log = [
    { ...newEntry('b', '2027-01-02', 'winter-lid', 'reading'), insideLowC: -3, insideHighC: 9 },
    { ...newEntry('a', '2027-01-01', null, 'note'), note: '=HYPERLINK("x")' },
  ];
  const lines = logCsv({ ...garden, log })
    .trim()
    .split('\r\n');
  expect(lines[1]).toBe(`2027-01-01,,note,,,,,,"'=HYPERLINK(""x"")"`);
  expect(lines[2]).toBe('2027-01-02,Winter greens lid,reading,-3,9,,,,');
});

test('an entry that cannot be is refused by its field', () => {
  const fault = (more: object): string => {
    const r = checkGarden({ ...garden, log: [{ ...newEntry('a', '2027-01-01', null, 'reading'), ...more }] });
    return r.ok ? '' : `${r.faults[0]?.field}: ${r.faults[0]?.message}`;
  };
  expect(fault({})).toBe('');
  expect(fault({ date: '2027-02-30' })).toBe('log[0].date: must be a date such as 2027-01-15');
  expect(fault({ insideLowC: 5, insideHighC: 3 })).toBe('log[0].insideLowC: the low inside is not above the high');
  expect(fault({ insideLowC: -90 })).toContain('log[0].insideLowC: must be at least -60');
  const twice = checkGarden({
    ...garden,
    log: [newEntry('a', '2027-01-01', null, 'note'), newEntry('a', '2027-01-02', null, 'note')],
  });
  expect(twice.ok ? '' : twice.faults[0]?.field).toBe('log[1].id');
});
