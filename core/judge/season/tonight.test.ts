import { phraseText } from '../../base/figure';
import { HOLLOW, TUNNEL, steady } from '../../testing/weather';
import { crop } from '../../catalog/crops';
import { climateOf } from '../climate/climate';
import { USUAL_TENDING } from '../climate/operation';
import type { Weather } from '../weather/weather';
import { tonightOf } from './tonight';

const units = { length: 'cm', temperature: 'C', currency: 'EUR' } as const;
/** Two days of one weather, sun from nine to four where there is any; now is the end of the first, at midnight. */
function word(weather: Weather, cropKey: string, canOpen = true, livesToC = crop(cropKey).killingC) {
  const byDay = { ...weather, sunWPerM2: weather.sunWPerM2.map((s, i) => (i % 24 >= 9 && i % 24 < 16 ? s : 0)) };
  const row = crop(cropKey);
  const shut = climateOf(TUNNEL, byDay, HOLLOW, { ...USUAL_TENDING, open: null }, row);
  return tonightOf(shut, byDay, 24, row, (ms) => (((ms / 3_600_000 - 5) % 24) + 24) % 24, canOpen, livesToC);
}
const deeds = (t: ReturnType<typeof word>): string => t.deeds.map((d) => phraseText(d, units)).join(' ');

test('a night that kills says so, and what to do before dark', () => {
  const t = word(steady(72, { airC: -18, cloud: 0 }), 'lettuce');
  expect(t.mood).toBe('danger');
  expect(t.openAt).toBeNull();
  expect(phraseText(t.word, units)).toBe('Keep it shut; too cold tonight');
  expect(deeds(t)).toContain('Lettuce dies at −3 °C: pick what is ready, or lay a blanket');
  expect(t.low.outsideC).toBe(-18);
});

test('a mild grey day needs nothing', () => {
  const t = word(steady(72, { airC: 8, sunWPerM2: 60 }), 'kale');
  expect([t.mood, t.openAt, t.deeds.length]).toEqual(['fine', null, 0]);
});

test('a sunny warm day: opened before it is too hot, shut before the sun goes; what cannot be opened comes off', () => {
  const sunny = steady(72, { airC: 17, sunWPerM2: 700, cloud: 0 });
  const t = word(sunny, 'lettuce');
  expect(t.mood).toBe('watch');
  expect(t.openAt).toBeGreaterThanOrEqual(9);
  expect(t.shutAt).toBeGreaterThan(t.openAt ?? 99);
  expect(t.shutAt).toBeLessThanOrEqual(16);
  expect(phraseText(t.word, units)).toMatch(/^Open from \d+:00, shut by \d+:00$/);
  expect(deeds(word(sunny, 'lettuce', false))).toContain('lift the cover off');
});

test('snow and gales are said', () => {
  const w = steady(72, { airC: -2 });
  expect(deeds(word({ ...w, snowMm: w.snowMm.map(() => 5) }, 'kale'))).toContain('brush it off early, from outside');
  expect(deeds(word({ ...w, gustMPerS: w.gustMPerS.map(() => 20) }, 'kale'))).toContain('A gale: shut, latch');
});

test('a night that the usual figure calls safe and the hours do not, and one colder inside than outside, each with a word', () => {
  // Clear and still at 0: the sheet sees the sky and gets colder than the air.
  const clear = word(steady(72, { airC: -1, dewC: -12, cloud: 0, windMPerS: 0.3 }), 'lettuce', true, -5.5);
  expect(clear.low.insideC).toBeLessThan(clear.low.outsideC - 0.5);
  expect(clear.deeds).toHaveLength(2);
  // Under cloud it stays warmer than outside, and near what kills all the same.
  const grey = word(steady(72, { airC: -1.5, cloud: 1, sunWPerM2: 250 }), 'lettuce', true, -5.5);
  expect(grey.low.insideC).toBeGreaterThan(grey.low.outsideC - 0.5);
  expect(deeds(grey)).toContain('down to −5 °C outside');
  // Colder than the usual figure saves from, nothing needs explaining.
  expect(deeds(word(steady(72, { airC: -8, cloud: 1 }), 'lettuce', true, -5.5))).not.toContain('usual night');
});
