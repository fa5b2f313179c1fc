import { HOLLOW, TUNNEL } from '../../testing/weather';
import { phraseText } from '../../base/figure';
import { draughtOf } from '../climate/airing';
import { USUAL_TENDING } from '../climate/operation';
import { type RehearsalAsk, rehearse, rehearseMany } from './rehearsal';

const ASK: RehearsalAsk = {
  place: HOLLOW,
  model: TUNNEL,
  tending: USUAL_TENDING,
  limits: { killingC: -60, hotC: 60 },
  cropName: 'kale',
  snow: undefined,
  gust: undefined,
  brushing: 'never',
};
const SEED = 'winter 1';
const units = { length: 'cm', temperature: 'C', currency: 'EUR' } as const;

test('the same seed is the same winter, another seed another one', () => {
  expect(rehearse(ASK, 2026, SEED)).toEqual(rehearse(ASK, 2026, SEED));
  expect(rehearse(ASK, 2026, 'winter 2').days).not.toEqual(rehearse(ASK, 2026, SEED).days);
  const { days } = rehearse(ASK, 2026, SEED);
  expect([days[0]?.date, days.length]).toEqual(['2026-11-01', 166]);
});

test('what can bear everything stands, and what lives anywhere lives', () => {
  const w = rehearse(ASK, 2026, SEED);
  expect([w.cover, w.crop, w.sums.livedDays]).toEqual([undefined, undefined, 166]);
  expect(w.sums.mostSnowKgPerM2).toBeGreaterThan(5);
});

test('snow folds what bears less than lies on it, once; brushed in time it stands', () => {
  const weak = { ...ASK, snow: { middle: 8, deviation: 0 } };
  const w = rehearse(weak, 2026, SEED);
  expect(w.cover).toBe('folded');
  expect(w.events.filter((e) => e.kind === 'folded')).toHaveLength(1);
  const brushed = rehearse({ ...weak, brushing: 'at once' }, 2026, SEED);
  expect(brushed.cover).toBeUndefined();
  expect(brushed.sums.brushed).toBeGreaterThan(3);
  expect(brushed.sums.mostSnowKgPerM2).toBeLessThan(8);
  // One that folds under less than is ever brushed is not brushed any more, nor one that a gust has taken.
  const at = { ...ASK, brushing: 'at once' } as const;
  const flimsy = rehearse({ ...at, snow: { middle: 0.5, deviation: 0 } }, 2026, SEED);
  expect([flimsy.cover, flimsy.sums.brushed]).toEqual(['folded', 0]);
  const blown = rehearse({ ...at, gust: { middle: 1, deviation: 0 } }, 2026, SEED);
  expect([blown.cover, blown.sums.brushed]).toEqual(['blown', 0]);
  const mornings = rehearse({ ...ASK, brushing: 'mornings' }, 2026, SEED);
  expect(mornings.events.filter((e) => e.kind === 'brushed')).toHaveLength(mornings.sums.brushed);
});

test('a gust takes what holds less, and then the night is as it is outside', () => {
  const crop = { killingC: -9, hotC: 60 };
  const w = rehearse({ ...ASK, gust: { middle: 5, deviation: 0 }, limits: crop }, 2026, SEED);
  expect(w.cover).toBe('blown');
  expect(w.crop).toBe('killed');
  const word = w.events.find((e) => e.kind === 'killed');
  expect(phraseText(word?.text ?? [], units)).toMatch(/^Kale dies at −\d+ °C with the cover down/);
  const [blown, killed] = ['blown', 'killed'].map((k) => w.events.findIndex((e) => e.kind === k));
  expect(blown).toBeLessThan(killed ?? -1);
});

test('the first night below what kills ends the crop; nights near it are told', () => {
  const w = rehearse({ ...ASK, limits: { killingC: -7, hotC: 60 } }, 2026, SEED);
  expect(w.crop).toBe('killed');
  const first = w.days.findIndex((d) => d.lowC < -7);
  expect(w.sums.livedDays).toBe(first);
  expect(w.events.find((e) => e.kind === 'killed')?.date).toBe(w.days[first]?.date);
  expect(w.sums.nearNights).toBe(w.days.slice(0, first).filter((d) => d.lowC < -5.5).length);
});

test('what is shut all winter scalds what likes it cool; opened it does not', () => {
  const cool = { ...ASK, limits: { killingC: -60, hotC: 3 }, tending: { ...USUAL_TENDING, open: null } };
  expect(rehearse(cool, 2026, SEED).crop).toBe('cooked');
  const vent = draughtOf([{ name: 'lid', m2: 2, lowM: 0, highM: 0.6, by: 'hand' }]);
  const aired = {
    ...cool,
    model: { ...TUNNEL, draught: { ...TUNNEL.draught, hand: vent } },
    tending: { ...USUAL_TENDING, fromC: -30 },
  };
  expect(rehearse(aired, 2026, SEED).sums.livedDays).toBeGreaterThan(rehearse(cool, 2026, SEED).sums.livedDays);
});

test('many winters: every one is counted, the band holds the middle, and strength is drawn anew', () => {
  const heard: number[] = [];
  const many = rehearseMany(
    { ...ASK, snow: { middle: 24, deviation: 0.3 }, limits: { killingC: -16, hotC: 60 } },
    2026,
    12,
    (n) => heard.push(n),
  );
  const sum = (r: Readonly<Record<string, number>>): number => Object.values(r).reduce((a, b) => a + b, 0);
  expect([sum(many.cover), sum(many.crop), heard.length]).toEqual([12, 12, 12]);
  expect(many.cover.folded).toBeGreaterThan(0);
  expect(many.cover.stood).toBeGreaterThan(0);
  expect(many.bands).toHaveLength(166);
  for (const b of many.bands) expect(b.low <= b.middle && b.middle <= b.high).toBe(true);
});
