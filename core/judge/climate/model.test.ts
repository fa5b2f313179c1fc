import { at, build } from '../../testing/site';
import type { ExtraWarmth } from '../../cover/assembly/types';
import { bedModel, uncovered } from './model';

const SITE = at(96, 48);
const plain = build('staked-tunnel', SITE);
const floor = plain.enclosure.floorM2;
const model = (warmth?: ExtraWarmth) => bedModel({ ...plain, ...(warmth && { warmth }) }, SITE.bed);

describe('what keeps it warm beside its cover', () => {
  test('jugs of four litres: 4,186 J/K a litre, 1.5 W/K a jug, .03 m2 of the sun each, a quarter at the most', () => {
    expect(model({ kind: 'jugs', count: 5 }).store).toEqual({
      jPerK: 4186 * 20,
      wPerK: expect.closeTo(7.5, 9) as number,
      share: expect.closeTo(0.15 / floor, 9) as number,
    });
    expect(model({ kind: 'jugs', count: 1000 }).store?.share).toBe(0.25);
  });
  test('stones: 25 kg on each square metre of the floor, 8 W/m2K on .35 of it', () => {
    expect(model({ kind: 'stones', count: 1 }).store).toEqual({
      jPerK: expect.closeTo(840 * 25 * floor, 6) as number,
      wPerK: expect.closeTo(2.8 * floor, 9) as number,
      share: 0.2,
    });
  });
  test('a blanket, strings of 25 W, straw or soil that lets a third through; each by itself', () => {
    const told = (warmth?: ExtraWarmth) => {
      const { store, blanketM2KPerW, lightsW, sides } = model(warmth);
      return [store !== undefined, blanketM2KPerW, lightsW, sides.wPerM2K];
    };
    expect(told()).toEqual([false, 0, 0, 1.5]);
    expect(told({ kind: 'blanket', count: 1 })).toEqual([false, 0.35, 0, 1.5]);
    expect(told({ kind: 'lights', count: 3 })).toEqual([false, 0, 75, 1.5]);
    expect(told({ kind: 'straw', count: 1 })).toEqual([false, 0, 0, 0.5]);
    expect(told({ kind: 'banked', count: 1 })).toEqual([false, 0, 0, 0.5]);
    expect(told({ kind: 'jugs', count: 2 })).toEqual([true, 0, 0, 1.5]);
  });
});

test('its walls go round what it stands on, as high as the bed', () => {
  const { sides } = model();
  const { lengthMm, widthMm } = plain.footing;
  expect(sides.m).toBeCloseTo((2 * (lengthMm + widthMm)) / 1000, 9);
  expect(sides.highM).toBeCloseTo(11 * 0.0254, 9);
});

test('faces are turned with the bed: what looks along it looks where the bed points', () => {
  const faces = (bearingDeg: number) => bedModel(plain, { ...SITE.bed, bearingDeg }).faces;
  const looking = (list: ReturnType<typeof faces>, of: 'east' | 'north') =>
    list.reduce((sum, f) => sum + f.m2 * Math.abs(f[of]), 0);
  // Along the bed the ends look, across it the sides: to the east and north as it points, the other way a quarter turn on.
  const [north, east] = [faces(0), faces(90)];
  expect(looking(north, 'north')).toBeCloseTo(looking(east, 'east'), 9);
  expect(looking(north, 'east')).toBeCloseTo(looking(east, 'north'), 9);
  expect(looking(north, 'north')).not.toBeCloseTo(looking(north, 'east'), 1);
  for (const f of faces(37)) expect(Math.hypot(f.east, f.north, f.up)).toBeCloseTo(1, 6);
  // A lean-to looks away from its wall, to its near side: right of where the bed points. To the east of one that points north,
  // to the south of one that points east.
  const lean = build('lean-to', SITE);
  const looks = (bearingDeg: number) => {
    const out = bedModel(lean, { ...SITE.bed, bearingDeg }).faces;
    return (['east', 'north'] as const).map((k) => out.reduce((total, f) => total + f.m2 * f[k], 0));
  };
  const away = looks(0)[0] ?? NaN;
  expect(away).toBeGreaterThan(0.3);
  const quarter = (x: number) => expect.closeTo(x, 6) as number;
  expect(looks(0)).toEqual([quarter(away), quarter(0)]);
  expect(looks(90)).toEqual([quarter(0), quarter(-away)]);
  expect(looks(180)).toEqual([quarter(-away), quarter(0)]);
});

test('leaks between the least and the most that is said of its covers; uncovered it is open to all', () => {
  const m = model();
  const [low, high] = m.leaksRange;
  const ranges = plain.enclosure.skins.map((s) => s.cover.leaksRange);
  expect([low, high]).toEqual([Math.min(...ranges.map((r) => r[0])), Math.max(...ranges.map((r) => r[1]))]);
  const bare = uncovered(m);
  expect(bare.bare).toBe(true);
  expect(bare.faces.map((f) => f.light)).toEqual(m.faces.map(() => 1));
  expect([bare.leaksPerHour, ...bare.leaksRange]).toEqual([1000, 1000, 1000]);
  expect(bare.floorM2).toBe(m.floorM2);
});
