import { HOLLOW, TUNNEL } from '../../testing/weather';
import { draughtOf } from '../climate/airing';
import { EVENINGS, type Decision, type TrainerAsk, foreseen, trained, trainerFrom } from './trainer';

const vent = draughtOf([{ name: 'lid', m2: 1.5, lowM: 0, highM: 0.5, by: 'hand' }]);
const ASK: TrainerAsk = {
  place: HOLLOW,
  model: { ...TUNNEL, draught: { ...TUNNEL.draught, hand: vent } },
  limits: { killingC: -8, hotC: 20 },
  cropName: 'lettuce',
  from: trainerFrom(HOLLOW.latitudeDeg, 2026),
  seed: 'evenings 3',
};
const play = (decision: Decision, n = EVENINGS) =>
  trained(
    ASK,
    Array.from({ length: n }, () => decision),
  );

test('five days in March, one outcome for each evening that was decided', () => {
  expect(ASK.from).toBe('2027-03-05');
  expect(trainerFrom(-37, 2026)).toBe('2026-09-05');
  expect(play({ blanket: false, open: false }).map((o) => o.date)).toEqual([
    '2027-03-05',
    '2027-03-06',
    '2027-03-07',
    '2027-03-08',
    '2027-03-09',
  ]);
  expect(play({ blanket: false, open: false }, 2)).toEqual(play({ blanket: false, open: false }).slice(0, 2));
  expect(trained(ASK, [])).toEqual([]);
});

test('a blanket makes the night milder, an open lid the day cooler, and neither is done to a day before it', () => {
  const [bare, blanket, open] = [
    play({ blanket: false, open: false }),
    play({ blanket: true, open: false }),
    play({ blanket: false, open: true }),
  ];
  const mean = (list: typeof bare, of: 'lowC' | 'highC'): number =>
    list.reduce((s, o) => s + o.day[of], 0) / list.length;
  expect(mean(blanket, 'lowC')).toBeGreaterThan(mean(bare, 'lowC') + 0.5);
  expect(mean(open, 'highC')).toBeLessThan(mean(bare, 'highC') - 1);
  const late = trained(ASK, [
    ...Array.from({ length: 4 }, () => ({ blanket: false, open: false })),
    { blanket: true, open: true },
  ]);
  late.slice(0, 3).forEach((o, i) => expect(o.day).toEqual(bare[i]?.day));
});

test('what would have been better is one other decision, and does the day less harm', () => {
  const harsh: TrainerAsk = { ...ASK, limits: { killingC: -4, hotC: 8 } };
  const nothing = trained(
    harsh,
    Array.from({ length: EVENINGS }, () => ({ blanket: false, open: false })),
  );
  const told = nothing.filter((o) => o.better);
  expect(told.length).toBeGreaterThan(0);
  for (const { better, day, decision } of told) {
    expect(better?.decision).not.toEqual(decision);
    expect((better?.day.lowC ?? -99) > day.lowC || (better?.day.highC ?? 99) < day.highC).toBe(true);
  }
});

test('a forecast is told for the right day, and is nearly right', () => {
  const [day] = play({ blanket: false, open: false }, 1);
  const told = foreseen(ASK, 0);
  expect(told.date).toBe(ASK.from);
  expect(Math.abs(told.highC - (day?.day.outHighC ?? NaN))).toBeLessThan(5);
  expect(told.cloud).toBeGreaterThanOrEqual(0);
  expect(told.cloud).toBeLessThanOrEqual(1);
});
