/** Bars, ridges and openers, worked by hand. */
import type { MovingPart } from '../../cover/assembly/openings';
import type { BeamRow } from '../../cover/assembly/rows';
import { type Figure, phraseText } from '../../base/figure';
import { SHIPPED, section, stiffSheet } from '../../catalog/catalog';
import { solveHoop } from '../../cover/hoop/elastica';
import { METRIC, lid, UNDRAWN, shown } from '../../testing/judged';
import { beamStrength, beamUnder } from './beam';
import { asDrawn, solveEquilibrium } from '../frame/equilibrium';
import { crownOf, hoopFrame } from '../frame/hoop';
import { frameModel } from '../frame/model';
import { slopeFactor } from './snow';
import type { DesignSnow } from './snow';
import { carriedMm, hoopStrength } from './snowStrength';
import { spanCheck, spanStrength } from './span';
import { liftCheck } from './timberChecks';

/** A kilopascal on the flat. */
const snow: DesignSnow = {
  practice: 'asce',
  thermalFactor: 1.2,
  groundPa: 1000 / 0.672,
  flatPa: 1000,
  exposureFactor: 1,
  importanceFactor: 0.8,
  flatPerGround: 0.672,
};
const beam = (more: Partial<BeamRow> = {}): BeamRow => ({
  tags: ['B1', 'B2', 'B3'],
  what: 'Bars',
  section: section(SHIPPED, '2x4'),
  across: 'width',
  spanMm: 2000,
  loadWidthMm: 600,
  slopeDeg: 0,
  gable: false,
  ...more,
});

test('a level 2x4 on edge over 2 m, 600 mm apart, under 1 kPa', () => {
  // w = 1 kN/m2 x .6 m = .6 N/mm; M = .6 x 2000² / 8 = 300,000 N mm; I = 38.1 x 88.9³ / 12 = 2,230,736 mm4.
  // Bending: 300,000 x 44.45 / I = 5.978 MPa of 6 x 1.15 = 6.9: 1.154.
  // Sag: 5 x .6 x 2000⁴ / (384 x 9000 x .6 x I) = 10.38 mm of 2000 / 180 = 11.11: 1.071.
  const found = beamStrength(beam(), snow);
  expect(found.ratio).toBeCloseTo(1.0708, 3);
  expect(found.governs).toBe('sag');
  // 1.0708 kPa is 1593 Pa on the ground, 406 mm of wet snow.
  expect(found.wetSnowMm).toBeCloseTo(406.2, 0);
});

test('what the bar and its cover weigh is taken from what it bears', () => {
  // .6 N/mm is borne 1.0708 times, .64248; of that .06 are its own: .58248 / .6 of snow. It sags 10.376 mm under .66 / .6 of it.
  const found = beamUnder(beam({ weighsNPerMm: 0.06 }), snow);
  expect(found.sagging).toBeCloseTo(0.9708, 3);
  expect(found.bending).toBeCloseTo(1.154 - 0.1, 3);
  expect(found.sagMm).toBeCloseTo(10.376 * 1.1, 2);
  // Down a slope of 60 degrees half of it bends the bar; no snow at all is borne however heavy it is.
  expect(beamUnder(beam({ weighsNPerMm: 0.06, slopeDeg: 60 }), snow).ownPerMm).toBeCloseTo(0.03, 9);
  expect(beamUnder(beam({ weighsNPerMm: 2 }), snow).sagging).toBe(0);
  expect(beamStrength(beam({ weighsNPerMm: 0.06 }), snow).ratio).toBeCloseTo(0.9708, 3);
});

test('a short one is stopped by bending', () => {
  // 1 m: M = 75,000 N mm, 1.4945 MPa: 4.617; sag .649 of 5.56 mm: 8.57.
  expect(beamStrength(beam({ spanMm: 1000 }), snow)).toMatchObject({ governs: 'bending' });
  expect(beamStrength(beam({ spanMm: 1000 }), snow).ratio).toBeCloseTo(4.617, 2);
});

test('on a slope less snow stays, and only its part across the bar bends it', () => {
  // 30 degrees: Cs = (70 - 30) / 55 = .7273; cos² = .75. Flat ratio / (.7273 x .75).
  expect(beamStrength(beam({ slopeDeg: 30 }), snow).ratio).toBeCloseTo(1.0708 / (0.72727 * 0.75), 2);
});

test('under a gable all the snow may lie on one side', () => {
  // 25 degrees: I / (.7 Ce Ct I) = .8 / .672 = 1.190 instead of 45 / 55 = .818; cos² = .8214.
  expect(beamStrength(beam({ slopeDeg: 25, gable: true }), snow)).toMatchObject({ snowCase: 'one-sided' });
  expect(beamStrength(beam({ slopeDeg: 25, gable: true }), snow).ratio).toBeCloseTo(1.0708 / (1.1905 * 0.8214), 2);
  expect(beamStrength(beam({ slopeDeg: 40, gable: true }), snow).snowCase).toBe('even');
});

test('flat on its side it is what its thickness makes it', () => {
  // I falls by (88.9 / 38.1)²: 5.444.
  expect(beamStrength(beam({ across: 'thickness' }), snow).ratio).toBeCloseTo(1.0708 / 5.4444, 3);
});

test('flat and short it is its thickness that bends', () => {
  // 500 mm: M = 18,750 N mm; I = 88.9 x 38.1³ / 12 = 409,727 mm4; 18,750 x 19.05 / I = .8718 MPa of 6.9.
  const found = beamStrength(beam({ across: 'thickness', spanMm: 500 }), snow);
  expect(found).toMatchObject({ governs: 'bending' });
  expect(found.ratio).toBeCloseTo(7.915, 2);
});

test('a bar of pipe: steel by its yield, plastic by the strain it keeps for weeks', () => {
  const pipe = (key: string, spanMm: number) => beamStrength(beam({ section: section(SHIPPED, key), spanMm }), snow);
  // 3/4 conduit, 23.419 x 20.930 mm: I = 5,346 mm4. 300 mm: M = 6,750 N mm, 14.79 MPa of 240: metal bears no more for a load that goes.
  expect(pipe('emt-3/4', 300)).toMatchObject({ governs: 'bending' });
  expect(pipe('emt-3/4', 300).ratio).toBeCloseTo(16.23, 1);
  // 1/2 PVC, 21.336 x 15.799 mm: I = 7,115 mm4; 10 mm: M = 7.5 N mm, .011245 MPa of 2760 x .5 x 3.5 % = 48.3.
  expect(pipe('pvc-1/2', 10)).toMatchObject({ governs: 'bending' });
  expect(pipe('pvc-1/2', 10).ratio / 4295).toBeCloseTo(1, 3);
});

test('with no snow asked for nothing is asked of it, and what it carries is said all the same', () => {
  const none = { ...snow, groundPa: 0, flatPa: 0 };
  const found = beamStrength(beam(), none);
  expect(found.ratio).toBe(Infinity);
  expect(found.wetSnowMm).toBeCloseTo(406.2, 0);
  // How sure a ratio is, where there is one.
  expect([found.sure, beamStrength(beam(), snow).sure?.low !== undefined]).toEqual([undefined, true]);
});

test('from 70 degrees on snow slides off and nothing bends it', () => {
  const steep = beamStrength(beam({ slopeDeg: 75 }), snow);
  expect([steep.ratio, steep.wetSnowMm, steep.sure]).toEqual([Infinity, Infinity, undefined]);
  // A gable flatter than 2.4 degrees carries no more on one side than on both.
  expect(beamStrength(beam({ slopeDeg: 2, gable: true }), snow).snowCase).toBe('even');
});

test('its figure opens to all that it is made of', () => {
  const [figure] = beamStrength(beam({ slopeDeg: 30 }), snow).figures;
  const terms = Object.fromEntries(
    Object.entries(shown(figure)).map(([name, value]) => [name, Math.round(value * 100) / 100]),
  );
  // w = 1 kPa x .7273 x .6 m x .75 = .3273 N/mm; E I = 9000 x .6 x 2,230,736 N mm2.
  expect(terms).toEqual({
    // The lesser of both.
    'least of both ratios': 1.96,
    'ratio by bending, most stress / (span² depth / 16 I), less the bar and its cover, / snow': 2.12,
    'ratio by sag, most sag / (5 span⁴ / 384 EI), less the bar and its cover, / snow': 1.96,
    'flat load pf': 1000,
    '0.7 Ce Ct I': 0.67,
    'density of wet snow': 400,
    'span between supports': 2000,
    'width of cover on one bar': 600,
    slope: 30,
    'snow on one bar': 327.27,
    'part of the flat load by slope': 0.73,
    'stiffness EI after weeks': 12046,
    'most sag': 11.11,
    'the bar and its cover, across it': 0,
  });
  expect(figure?.source).toContain('even case');
  expect(figure?.source).toContain('Stopped by sag');
});

test('a ridge board on posts gives way where its moment says', () => {
  const hoop = solveHoop({ kind: 'pinned' }, { spanMm: 1000, lengthMm: 1571 });
  if (!hoop.ok) throw new Error('no hoop');
  const [pipe, board] = [section(SHIPPED, 'pvc-1-1/2'), section(SHIPPED, '2x2')];
  const found = hoopStrength(
    {
      tags: ['H1', 'H2', 'H3'],
      section: pipe,
      hoop: hoop.value,
      sprung: false,
      xsMm: [0, 600, 1200],
      spacingMm: 600,
      footYMm: 0,
      footZMm: 0,
      baseZMm: 0,
      cutMm: 1571,
      ridge: { kind: 'posted', section: board, spanMm: 1200 },
    },
    snow,
  );
  expect(found).toMatchObject({ governs: 'ridge board', snowCase: 'even' });
  // The board under its middle hoop: I = 38.1⁴ / 12 = 175,595 mm4; k = 48 x 9000 x .6 x I / 1200³ = 26.34 N/mm.
  // It stands M = 6 x 1.15 MPa x I / 19.05; spread along it, R = 8 M x 600 / 1200².
  const inertia = 38.1 ** 4 / 12;
  const stiffness = (48 * 9000 * 0.6 * inertia) / 1200 ** 3;
  const bears = (8 * ((6.9 * inertia) / 19.05) * 600) / 1200 ** 2;
  // The hoop once more by itself, under the load that is said to break the board: 1 kPa on 600 mm is 0.6 N/mm.
  const ei = (2760 * 0.5 * Math.PI * (48.26 ** 4 - 40.894 ** 4)) / 64;
  const frame = hoopFrame(hoop.value, false, { shape: slopeFactor, ridge: (stiffness * 1000 ** 3) / ei });
  const model = frameModel(frame);
  const none = solveEquilibrium(model, 0, asDrawn(model));
  const rest = none && solveEquilibrium(model, (found.ratio * 0.6 * 1000 ** 3) / ei, none);
  const down = -1000 * (rest?.state[3 * crownOf(frame.nodes) + 1] ?? NaN);
  expect((down * stiffness) / bears).toBeCloseTo(1, 2);
});

const part = (armMm: number, liftsKg: number): MovingPart =>
  lid({ opener: { armMm, liftsKg, holdsN: 120, behindScreen: false, opensDeg: 50 } });

test('an opener lifts the weight of the lid times half its length over its arm', () => {
  // 4 kg at the handle is a lid of 8 kg; 8 x 400 / 320 = 10 kg at the arm.
  const opener = (liftsKg: number) => liftCheck(UNDRAWN, part(320, liftsKg), { value: 4 } as Figure)[1];
  expect(opener(7)?.figure?.value).toBeCloseTo(10, 9);
  expect([9.9, 10.1, 12.4, 12.6].map((kg) => opener(kg)?.verdict)).toEqual(['fails', 'tight', 'tight', 'holds']);
});

test('a person lifts 15 kg, two 30', () => {
  const lift = (kg: number, people: 1 | 2) =>
    liftCheck(UNDRAWN, { ...part(320, 7), people }, { value: kg } as Figure)[0]?.verdict;
  expect([lift(12, 1), lift(15, 1), lift(15.1, 1)]).toEqual(['holds', 'tight', 'fails']);
  expect([lift(24, 2), lift(30.1, 2)]).toEqual(['holds', 'fails']);
  const told = (people: 1 | 2) =>
    phraseText(liftCheck(UNDRAWN, { ...part(320, 7), people }, { value: 12 } as Figure)[0]?.text ?? [], METRIC);
  expect(told(1)).toMatch(/at the handle; 15 kg is the most for one person\.$/);
  expect(told(2)).toMatch(/30 kg is the most for two people\.$/);
});

test('stiff sheet reaches less under more snow, by the cube root', () => {
  const sheet = stiffSheet(SHIPPED, 'twin-wall-6');
  const most = (flatPa: number) =>
    spanCheck(UNDRAWN, { sheet, spanMm: 500, slopeDeg: 0 }, { ...snow, flatPa }).figure?.value ?? NaN;
  const one = sheet.spanAtOneKpaMm ?? NaN;
  expect(most(1000)).toBeCloseTo(one, 6);
  // 8 kPa: half.
  expect(most(8000)).toBeCloseTo(one / 2, 6);
  // No snow: no more than 1.6 times.
  expect(most(0)).toBeCloseTo(1.6 * one, 6);
});

test('what stiff sheet carries is the snow under which its span is the most; what is not judged carries nothing known', () => {
  const sheet = stiffSheet(SHIPPED, 'twin-wall-6');
  const span = { sheet, spanMm: 500, slopeDeg: 0 };
  const carried = spanStrength(span, snow);
  // (600 / 500)³ = 1.728 times 1 kPa: 1728 / 0.672 / (400 × 9.80665) = 0.6555 m of wet snow.
  expect(carried?.ratio).toBeCloseTo(1.728, 6);
  expect(carried?.wetSnowMm).toBeCloseTo(655.5, 1);
  expect(spanCheck(UNDRAWN, span, { ...snow, flatPa: 1728, groundPa: 1728 / 0.672 }).text[3]).toMatchObject({
    value: expect.closeTo(500, 3) as number,
  });
  // With no snow asked for it carries as much; reaching too far it carries none; where snow slides off any depth.
  expect(spanStrength(span, { ...snow, flatPa: 0, groundPa: 0 })?.wetSnowMm).toBeCloseTo(655.5, 1);
  expect(spanStrength({ ...span, spanMm: 961 }, snow)?.ratio).toBe(0);
  expect(spanStrength({ ...span, slopeDeg: 75 }, snow)?.wetSnowMm).toBe(Infinity);
  const glass = { ...span, sheet: stiffSheet(SHIPPED, 'old-window') };
  expect(spanStrength(glass, snow)).toBeUndefined();
  expect(carriedMm([{ wetSnowMm: 300 }, { wetSnowMm: 200 }], [])).toBe(200);
  expect([carriedMm([{ wetSnowMm: 300 }], ['glass']), carriedMm([], [])]).toEqual([NaN, NaN]);
});

test('beside a wall it carries the depth at which even snow and its drift together are too much', () => {
  const drift = { wallMm: 1500, runMm: 2000, by: 'slope' } as const;
  const alone = beamStrength(beam(), snow);
  const found = beamStrength(beam({ drift }), snow);
  expect(found.snowCase).toBe('drifted');
  expect(found.ratio).toBeLessThan(alone.ratio);
  expect(found.wetSnowMm).toBeLessThan(alone.wetSnowMm);
  // Laid on it anew that depth is just what it bears: 400 kg/m3 on the ground.
  const groundPa = (found.wetSnowMm / 1000) * 400 * 9.80665;
  const { bending, sagging } = beamUnder(beam({ drift }), { ...snow, groundPa, flatPa: 0.672 * groundPa });
  expect(Math.min(bending, sagging)).toBeCloseTo(1, 4);
  // Where nothing is asked no drift is: what it carries is as in the open.
  expect(beamStrength(beam({ drift }), { ...snow, groundPa: 0, flatPa: 0 }).wetSnowMm).toBeCloseTo(alone.wetSnowMm, 6);
});
