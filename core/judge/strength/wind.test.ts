/** Wind, worked by hand. */
import { logSpread } from './reliability';
import type { Assembly } from '../../cover/assembly/types';
import type { MovingPart } from '../../cover/assembly/openings';
import { rectangle } from '../../cover/assembly/pieces';
import { SHIPPED, stiffSheet, spreadOf } from '../../catalog/catalog';
import { demoGarden } from '../../garden/demo';
import type { Cover } from '../../garden/garden';
import { lid, shown } from '../../testing/judged';
import { assessCover } from '../../plan';
import type { Figure } from '../../base/figure';
import type { Check, CheckSite, MeasuredCheck } from './check';
import { windChecks } from './wind';
import { gustPa } from './windLoads';

const made = assessCover(demoGarden(), demoGarden().covers[0] as Cover);
if (!made.ok) throw new Error('not built');
const base = made.value;

/** A cover 2 m long and 1 m wide, 500 mm high, that weighs nothing, held by so much. */
const cover = (holdsN: number, moving: readonly MovingPart[] = []): Assembly => ({
  ...base.assembly,
  members: [],
  panels: [],
  under: [
    { y: 0, z: 300 },
    { y: 500, z: 800 },
    { y: 1000, z: 300 },
  ],
  footing: {
    on: 'wall',
    stiff: true,
    lengthMm: 2000,
    widthMm: 1000,
    holdDowns: [{ what: 'anchors', count: 1, eachN: holdsN, ask: 'anchors' }],
  },
  moving,
});
/** Lift at the handle: half of a lid of 8 kg. */
const lifts = [{ value: 4 } as Figure];
const site = (gustMPerS: number): CheckSite => ({
  gustSpread: spreadOf(SHIPPED, 'gust said'),
  snowSpread: spreadOf(SHIPPED, 'snow wet'),
  brushed: true,
  rolls: base.rolls,
  sheets: base.sheets,
  snow: base.snow,
  air: base.air,
  site: base.site,
  lifts,
  gustMPerS,
  exposure: 'normal',
  latitudeDeg: 44,
  windFromDeg: null,
  beside: undefined,
  outsideC: 2,
});
const check = (id: string, a: Assembly, gust: number): Check => {
  const found = windChecks(a, site(gust)).find((c) => c.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};

test('pressure of a gust: .613 V² at 10 m, .7 of it near ordinary ground', () => {
  // .613 x 30² = 551.7; x .7 = 386.19; x .85 = 468.945; x .57 = 314.469
  expect(gustPa(30, 'normal')).toBeCloseTo(386.19, 6);
  expect(gustPa(30, 'exposed')).toBeCloseTo(468.945, 6);
  expect(gustPa(30, 'sheltered')).toBeCloseTo(314.469, 6);
});

describe('uplift of an arch half as high as wide in 30 m/s', () => {
  // Middle half -.7 - .5, lee quarter -.5, windward quarter 1.4 x .5 pressing down, .18 from inside:
  // .5 x 1.2 + .25 x .5 - .25 x .7 + .18 = .73. On 2 m2: 386.19 x .73 x 2 = 563.84 N; half more, 845.76 N.
  test('its figure', () => {
    expect(check('wind', cover(845), 30).figure?.value).toBeCloseTo(563.837, 2);
  });
  test('half more than the lift is wanted, no less', () => {
    expect(check('wind', cover(846), 30).verdict).toBe('holds');
    expect(check('wind', cover(845), 30).verdict).toBe('tight');
    // Four fifths of it and less fail: 676.6 N.
    expect(check('wind', cover(677), 30).verdict).toBe('tight');
    expect(check('wind', cover(676), 30).verdict).toBe('fails');
  });
  test('weight counts with what holds it', () => {
    const board = { ...base.assembly.members[0], lengthMm: 1000 } as Assembly['members'][number];
    // A metre of 2x4: 38.1 x 88.9 mm at 450 kg/m3 is 1.524 kg, 14.95 N.
    const heavy = { ...cover(845.76 - 14.9), members: [board] };
    expect(check('wind', heavy, 30).verdict).toBe('holds');
    expect(check('wind', cover(845.76 - 14.9), 30).verdict).toBe('tight');
  });
  test('as many anchors are offered as would do by themselves', () => {
    // 1.5 x 563.84 - 100 = 745.8 N short at 100 N each: eight more.
    expect(check('wind', cover(100), 30).tries[0]?.change).toEqual({ kind: 'answer', id: 'anchors', value: 9 });
  });
});

describe('a lid of 1 x .8 m and 8 kg', () => {
  // Shut in 20 m/s: 171.64 Pa x (.7 + .5 + .18) x .8 m2 x .4 m = 75.80 Nm about the hinge.
  // Its weight, 78.45 N x .4 m = 31.38 Nm; a latch pulls at .8 m. Half more is wanted: 113.70 Nm.
  const latched = (eachN: number, pitchDeg = 0): string =>
    check('latch', cover(9999, [lid({ latches: { count: 1, eachN }, pitchDeg })]), 20).verdict;
  test('latches that hold it shut', () => {
    // (113.70 - 31.38) / .8 = 102.9 N.
    expect([latched(102), latched(104)]).toEqual(['tight', 'holds']);
    expect(check('latch', cover(9999, [lid({ latches: { count: 0, eachN: 450 } })]), 20).verdict).toBe('fails');
  });
  test('its own weight does not keep one shut that hangs', () => {
    // 113.70 / .8 = 142.1 N.
    expect([latched(141, 90), latched(143, 90)]).toEqual(['tight', 'holds']);
  });
  test('stays that hold it propped in a fresh wind', () => {
    // 12 m/s: 61.79 Pa x 1.2 x .8 x .4 = 23.73 Nm; half more 35.59; less .7 x 31.38 = 13.63 Nm at .4 m: 34.1 N.
    const propped = (eachN: number): string =>
      check('stay', cover(9999, [lid({ stays: { count: 1, eachN } })]), 20).verdict;
    expect([propped(33), propped(35)]).toEqual(['tight', 'holds']);
  });
});

/** The terms of a figure by name, rounded. */
const terms = (figure: Figure | undefined): Readonly<Record<string, number>> =>
  Object.fromEntries(Object.entries(shown(figure)).map(([name, value]) => [name, Math.round(value * 1000) / 1000]));

describe('what is said of the wind', () => {
  test('the uplift opens to all that it is made of', () => {
    const { figure, text } = check('wind', cover(700), 30);
    expect(terms(figure)).toEqual({
      gust: 30,
      'pressure near the ground': 386.19,
      'rise over width': 0.5,
      'suction and inside, together': 0.73,
      area: 2,
      'weight of the cover': 0,
      'anchors, 1 of them': 700,
      safety: 1.5,
    });
    // What holds is weight and anchors together.
    expect(text.filter((x) => typeof x !== 'string').map((x) => Math.round((x as { value: number }).value))).toEqual([
      564, 700, 846,
    ]);
    expect(figure?.assumes).toHaveLength(2);
  });

  test('what holds by the soil says so', () => {
    const soft = cover(700);
    const a: Assembly = {
      ...soft,
      footing: {
        ...soft.footing,
        holdDowns: [{ what: 'rods', count: 4, eachN: 30, soil: 'soft' }, ...soft.footing.holdDowns],
      },
    };
    const { figure } = check('wind', a, 30);
    expect(terms(figure)['rods, 4 of them, 0.5 of what they hold in loam']).toBe(120);
    expect(terms(figure)['anchors, 1 of them']).toBe(700);
    expect(figure?.assumes.at(-1)).toContain('loam');
  });

  test('stiff panels weigh, less their openings', () => {
    const sheet = stiffSheet(SHIPPED, 'twin-wall-6');
    // 2 m2 of 1.3 kg is 25.5 N.
    const panel = rectangle('G1', 'Glazing', sheet, [0, 0, 0], [1, 0, 0], [0, 1, 0], [2000, 1000]);
    const weight = (openings: Assembly['panels'][number]['openings']): number | undefined =>
      terms(check('wind', { ...cover(700), panels: [{ ...panel, openings }] }, 30).figure)['weight of the cover'];
    expect(weight([])).toBeCloseTo(2 * 1.3 * 9.80665, 2);
    const hole = [
      [0, 0],
      [1000, 0],
      [1000, 1000],
      [0, 1000],
    ] as const;
    expect(weight([hole])).toBeCloseTo(1.3 * 9.80665, 2);
  });

  test('anchors are offered only where they are short, only where a question asks for them, and what is there counts', () => {
    expect(check('wind', cover(846), 30).tries).toEqual([]);
    const asAnswer = (t: Check['tries'][number]): unknown => t.change.kind === 'answer' && t.change.value;
    const still = check('wind', cover(0), 0);
    expect([still.verdict, still.tries]).toEqual(['holds', []]);
    const fixed: Assembly = {
      ...cover(100),
      footing: { ...cover(100).footing, holdDowns: [{ what: 'hinges', count: 1, eachN: 100 }] },
    };
    // Other ways of fastening are offered, if a kind asks about them; no number of what nobody counts.
    expect(check('wind', fixed, 30).tries.every((t) => typeof asAnswer(t) === 'string')).toBe(true);
    const board = { ...base.assembly.members[0], lengthMm: 20_000 } as Assembly['members'][number];
    // Twenty metres of 2x4, 299 N, are four fewer at 100 N.
    const found = check('wind', { ...cover(100), members: [board] }, 30).tries[0];
    expect(found).toEqual({ label: ['6 anchors'], change: { kind: 'answer', id: 'anchors', value: 6 } });
  });

  test('a lid without a latch fails where the wind lifts more than it weighs, and more latches are tried', () => {
    const bare = lid({ latches: { count: 0, eachN: 450 } });
    // 78.45 N x .4 m against .613 V² x .7 x 1.38 x .8 x .4: even at 12.9 m/s.
    expect(check('latch', cover(9999, [bare]), 13.5).verdict).toBe('fails');
    expect(check('latch', cover(9999, [bare]), 4).verdict).toBe('holds');
    const latch = check('latch', cover(9999, [lid({ latches: { count: 2, eachN: 450 } })]), 20);
    expect(latch.tries.map((t) => t.change)).toEqual(
      [3, 4, 5, 6, 8].map((value) => ({ kind: 'answer', id: 'latches', value })),
    );
    expect(terms(latch.figure)).toEqual({
      'area of the lid': 0.8,
      'weight of the lid': 78.453,
      'pressure near the ground': 171.64,
      // .7, its rise over its width, and what leaks in.
      'suction and inside, together': 1.38,
      'slope of the shut lid': 0,
      'latches, 2 of them, each': 450,
      safety: 1.5,
    });
    // 171.64 x 1.38 x .8 is 189.5 N at the middle, less 78.45 of weight: half of the rest at the edge.
    expect(latch.figure?.value).toBeCloseTo((189.49 - 78.453) / 2, 1);
    const [said] = latch.text.filter((x) => typeof x !== 'string');
    expect((said as { value: number }).value).toBe(latch.figure?.value);
    expect(
      [0, 1, 2].map((count) => check('latch', cover(9999, [lid({ latches: { count, eachN: 450 } })]), 20).text[0]),
    ).toEqual([
      'No latch: the shut lid pulls with ',
      'One latch: the shut lid pulls with ',
      '2 latches: the shut lid pulls with ',
    ]);
  });

  test('a lid with an opener has no latch: its weight and the spring of the opener hold it, each at its own arm', () => {
    const opened = (holdsN: number) =>
      lid({
        latches: { count: 0, eachN: 450 },
        opener: { armMm: 200, liftsKg: 7, holdsN, behindScreen: false, opensDeg: 50 },
      });
    const of = (holdsN: number) => check('latch', cover(9999, [opened(holdsN)]), 20);
    // Half of 1.5 x 189.49 is 142.1 N wanted at the edge; the lid gives 39.2, a spring of 412 N at a quarter of the way 103.
    expect(of(412).verdict).toBe('holds');
    expect(of(410).verdict).toBe('tight');
    expect(of(100).verdict).toBe('fails');
    expect(of(412).text.join('')).toContain('the spring of its opener');
    expect(of(412).tries.map((t) => t.change)).toEqual([
      ...[2, 3, 4].map((value) => ({ kind: 'answer', id: 'openers', value })),
      { kind: 'answer', id: 'airing', value: 'prop' },
    ]);
  });

  test('a lid propped in a fresh wind pulls on its stays', () => {
    const stay = check('stay', cover(9999, [lid({ stays: { count: 2, eachN: 700 } })]), 20);
    expect(stay.text[2]).toContain('on 2 stays');
    expect(check('stay', cover(9999, [lid()]), 20).text[2]).toContain('on one stay');
    // .613 x 12² x .7 x 1.2 x .8 is 59.32 N, less .7 of 78.45.
    expect(stay.figure?.value).toBeCloseTo(59.318 - 54.917, 2);
    expect((stay.text[1] as { value: number }).value).toBe(stay.figure?.value);
    expect(terms(stay.figure)['stays, 2 of them, each']).toBe(700);
    // What is carried or rolled has no hinge to turn about.
    const { hung, ...carried } = lid();
    expect(hung).toBeDefined();
    expect(windChecks(cover(9999, [{ ...carried, motion: 'carried' }]), site(20)).map((c) => c.id)).toEqual([
      'wind',
      'push',
    ]);
  });
});

test('how sure: weight counts as it is, fastenings and the square of the gust by what they may be off', () => {
  const found = windChecks(cover(800, []), site(30)).find((c) => c.id === 'wind');
  const lift = found?.figure?.value ?? NaN;
  const weight = shown(found?.figure)['weight of the cover'] ?? NaN;
  const [gust, joint] = [spreadOf(SHIPPED, 'gust said'), spreadOf(SHIPPED, 'hold joint')].map(logSpread) as [
    ReturnType<typeof logSpread>,
    ReturnType<typeof logSpread>,
  ];
  const at = (g: number, j: number): number =>
    Math.log(
      (weight + 800 * Math.exp(joint.middle + j * joint.deviation)) /
        (lift * Math.exp(2 * (gust.middle + g * gust.deviation))),
    );
  const deviation = Math.hypot((at(1, 0) - at(-1, 0)) / 2, (at(0, 1) - at(0, -1)) / 2);
  expect(found?.sure?.of.low).toBeCloseTo(Math.exp(at(0, 0) - 1.6449 * deviation), 6);
  expect(found?.sure?.of.high).toBeCloseTo(Math.exp(at(0, 0) + 1.6449 * deviation), 6);
});

describe('wind from the side on an arch half as high as wide in 30 m/s', () => {
  // 1.4 x .5 pressing and .5 sucking, on the 250 mm that it is high at a quarter of its width: 386.19 x 1.2 x .25 x 2 = 231.7 N.
  test('its figure, and that of an upright box', () => {
    expect(check('push', cover(0), 30).figure?.value).toBeCloseTo(231.714, 2);
    const box = {
      ...cover(0),
      under: [
        [0, 0],
        [0, 400],
        [1000, 400],
        [1000, 0],
      ].map(([y = 0, z = 0]) => ({ y, z })),
    };
    // 386.19 x 1.3 x .4 x 2.
    expect(check('push', box, 30).figure?.value).toBeCloseTo(401.638, 2);
  });
  test('it tips before it slides: lift at its middle and push at half that height, against what holds on the other side', () => {
    // 563.84 x 500 + 231.71 x 125 = 310,883 N mm; half of what holds, at 1000 mm: 932.6 N with a half more.
    expect([933, 932].map((n) => check('push', cover(n), 30).verdict)).toEqual(['holds', 'tight']);
    // At the edge: 563.84 / 2 + 231.71 x 250 / (2 x 1000), and half of the 600 against it.
    const { figure, measure } = check('push', cover(600), 30) as MeasuredCheck;
    expect([figure?.value, measure.demand, measure.capacity].map((x) => x?.toFixed(2))).toEqual([
      '310.88',
      '310.88',
      '300.00',
    ]);
    // Anchors of 100 N each: ten of them, as 9.33 would do.
    expect(check('push', cover(100), 30).tries[0]?.change).toEqual({ kind: 'answer', id: 'anchors', value: 10 });
  });
  test('in no wind nothing pushes', () => {
    expect(check('push', cover(0), 0).verdict).toBe('holds');
  });
});
