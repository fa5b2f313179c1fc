import { HOLLOW, TUNNEL } from '../../testing/weather';
import { draughtOf } from '../climate/airing';
import { EVENINGS, type Decision, type TrainerAsk, foreseen, trained, trainerFrom } from './trainer';

const vent = draughtOf([{ name: 'lid', m2: 1.5, lowM: 0, highM: 0.5, by: 'hand' }]);
const ASK: TrainerAsk = {
  place: HOLLOW,
  model: { ...TUNNEL, draught: { ...TUNNEL.draught, hand: vent } },
  limits: { killingC: -8, hotC: 20 },
  cropName: 'lettuce',
  foldsKgPerM2: undefined,
  from: trainerFrom(HOLLOW.latitudeDeg, 2026),
  seed: 'evenings 3',
};
const NOTHING: Decision = { blanket: false, open: false, brush: false };
const play = (decision: Decision, n = EVENINGS) =>
  trained(
    ASK,
    Array.from({ length: n }, () => decision),
  );

test('five days in March, one outcome for each evening that was decided', () => {
  expect(ASK.from).toBe('2027-03-05');
  expect(trainerFrom(-37, 2026)).toBe('2026-09-05');
  expect(play({ blanket: false, open: false, brush: false }).map((o) => o.date)).toEqual([
    '2027-03-05',
    '2027-03-06',
    '2027-03-07',
    '2027-03-08',
    '2027-03-09',
  ]);
  expect(play({ blanket: false, open: false, brush: false }, 2)).toEqual(
    play({ blanket: false, open: false, brush: false }).slice(0, 2),
  );
  expect(trained(ASK, [])).toEqual([]);
});

test('a blanket makes the night milder, an open lid the day cooler, and neither is done to a day before it', () => {
  const [bare, blanket, open] = [
    play({ blanket: false, open: false, brush: false }),
    play({ blanket: true, open: false, brush: false }),
    play({ blanket: false, open: true, brush: false }),
  ];
  const mean = (list: typeof bare, of: 'lowC' | 'highC'): number =>
    list.reduce((s, o) => s + o.day[of], 0) / list.length;
  expect(mean(blanket, 'lowC')).toBeGreaterThan(mean(bare, 'lowC') + 0.5);
  expect(mean(open, 'highC')).toBeLessThan(mean(bare, 'highC') - 1);
  const late = trained(ASK, [
    ...Array.from({ length: 4 }, () => ({ blanket: false, open: false, brush: false })),
    { blanket: true, open: true, brush: false },
  ]);
  late.slice(0, 3).forEach((o, i) => expect(o.day).toEqual(bare[i]?.day));
});

test('what would have been better is one other decision, and does the day less harm', () => {
  const harsh: TrainerAsk = { ...ASK, limits: { killingC: -4, hotC: 8 } };
  const nothing = trained(
    harsh,
    Array.from({ length: EVENINGS }, () => ({ blanket: false, open: false, brush: false })),
  );
  const told = nothing.filter((o) => o.better);
  expect(told.length).toBeGreaterThan(0);
  for (const { better, day, decision } of told) {
    expect(better?.decision).not.toEqual(decision);
    expect((better?.day.lowC ?? -99) > day.lowC || (better?.day.highC ?? 99) < day.highC).toBe(true);
  }
});

test('a forecast is told for the right day, and is nearly right', () => {
  const [day] = play({ blanket: false, open: false, brush: false }, 1);
  const told = foreseen(ASK, 0);
  expect(told.date).toBe(ASK.from);
  expect(Math.abs(told.highC - (day?.day.outHighC ?? NaN))).toBeLessThan(5);
  expect(told.cloud).toBeGreaterThanOrEqual(0);
  expect(told.cloud).toBeLessThanOrEqual(1);
});

test('snow folds a cover that bears less than falls, and it stays down; brushed each morning it may stand', () => {
  // Of these worlds the first with real snow in the five days.
  const snowy = Array.from({ length: 60 }, (_, i) => ({ ...ASK, seed: `evenings ${i}` })).find(
    (ask) =>
      Math.max(
        ...trained(
          ask,
          Array.from({ length: EVENINGS }, () => NOTHING),
        ).map((o) => o.day.snowKgPerM2),
      ) > 5,
  );
  if (!snowy) throw new Error('no snow in sixty worlds');
  const days = (brush: boolean, foldsKgPerM2: number | undefined) =>
    trained(
      { ...snowy, foldsKgPerM2 },
      Array.from({ length: EVENINGS }, () => ({ ...NOTHING, brush })),
    ).map((o) => o.day);
  const left = days(false, undefined);
  const most = Math.max(...left.map((d) => d.snowKgPerM2));
  const brushed = Math.max(...days(true, undefined).map((d) => d.snowKgPerM2));
  expect(brushed).toBeLessThanOrEqual(most);
  const folded = days(false, most - 0.5);
  const first = folded.findIndex((d) => d.folded);
  expect(first).toBeGreaterThanOrEqual(0);
  expect(folded.slice(first).every((d) => d.folded && d.highC === d.outHighC)).toBe(true);
  expect(folded.slice(0, first).some((d) => d.folded)).toBe(false);
  expect(days(false, most + 0.5).some((d) => d.folded)).toBe(false);
});
