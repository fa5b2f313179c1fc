import { everyKind } from '../../testing/everyKind';
import { evaluate } from '../../evaluate';
import { type Vent, draughtOf, ventsOf } from './airing';

const vent = (m2: number, lowM: number, highM: number): Vent => ({ name: 'v', m2, lowM, highM, by: 'hand' });

test('one low and one high vent, by hand', () => {
  // A/sqrt2 = .0707; .6 x .0707 x sqrt(2 x 9.80665 x 1) = .1879; each by itself .6 x .2 x sqrt(9.80665 x .2) / 3 = .0560.
  const d = draughtOf([vent(0.1, 0, 0.2), vent(0.1, 1, 1.2)]);
  expect(d.byWarmth).toBeCloseTo(Math.hypot(0.1879, 0.056), 3);
  expect(d.byWind).toBeCloseTo(0.06, 12);
  expect(draughtOf([])).toEqual({ m2: 0, byWarmth: 0, byWind: 0 });
});

test('apart in height draws more than side by side', () => {
  expect(draughtOf([vent(0.1, 0, 0.2), vent(0.1, 0.8, 1)]).byWarmth).toBeGreaterThan(
    draughtOf([vent(0.1, 0.4, 0.6), vent(0.1, 0.4, 0.6)]).byWarmth,
  );
});

test('every kind that says it lets air out has vents with a height', () => {
  const garden = everyKind();
  for (const c of garden.covers) {
    const o = evaluate(garden, c);
    if (!o.ok) continue;
    const { ventilation } = o.value.assembly;
    const vents = ventsOf(o.value.assembly);
    expect(vents.reduce((sum, v) => sum + v.m2, 0)).toBeCloseTo(ventilation.aloneM2 + ventilation.byHandM2, 9);
    for (const v of vents) expect([c.id, v.name, v.highM > v.lowM && v.highM < 4]).toEqual([c.id, v.name, true]);
  }
});
