/** The figures that ship, typed here once more from the trade's tables. */
import { MM_PER_INCH } from '../base/length';
import { CROPS } from './crops';
import { SHIPPED, section } from './catalog';
import { tubeShape } from './sections';

/** Outside and inside diameter, inches. */
const TUBES: readonly (readonly [key: string, outside: number, inside: number])[] = [
  ['pvc-1/2', 0.84, 0.622],
  ['pvc-3/4', 1.05, 0.824],
  ['pvc-1', 1.315, 1.049],
  ['pvc-1-1/4', 1.66, 1.38],
  ['pvc-1-1/2', 1.9, 1.61],
  ['steel-1', 1.315, 1.049],
  ['emt-1/2', 0.706, 0.622],
  ['emt-3/4', 0.922, 0.824],
  ['emt-1', 1.163, 1.049],
  ['wire-9', 0.148, 0],
  ['wire-10', 0.135, 0],
];
test.each(TUBES)('%s is %d outside and %d inside', (key, outside, inside) => {
  const shape = tubeShape(section(SHIPPED, key));
  expect(shape.outsideMm / MM_PER_INCH).toBeCloseTo(outside, 6);
  expect(shape.insideMm / MM_PER_INCH).toBeCloseTo(inside, 6);
});

test.each([
  ['pvc-20', 20, 16.9],
  ['pvc-25', 25, 21.4],
  ['pvc-32', 32, 27.8],
  ['pe-25', 25, 20.4],
] as const)('%s is %d mm outside and %d inside', (key, outside, inside) => {
  expect(tubeShape(section(SHIPPED, key))).toMatchObject({ outsideMm: outside, insideMm: inside });
});

/** Dressed thickness and width, inches. */
test.each([
  ['1x2', 0.75, 1.5],
  ['1x3', 0.75, 2.5],
  ['1x4', 0.75, 3.5],
  ['1x6', 0.75, 5.5],
  ['2x2', 1.5, 1.5],
  ['2x3', 1.5, 2.5],
  ['2x4', 1.5, 3.5],
  ['2x6', 1.5, 5.5],
  ['2x8', 1.5, 7.25],
  ['2x10', 1.5, 9.25],
  ['2x12', 1.5, 11.25],
] as const)('a %s is %d by %d', (key, thick, wide) => {
  for (const grade of [key, `${key} treated`]) {
    const found = SHIPPED.bar.get(grade);
    if (found === undefined) continue;
    expect(found.shape).toEqual({ kind: 'board', thicknessMm: thick * MM_PER_INCH, widthMm: wide * MM_PER_INCH });
  }
  expect(SHIPPED.bar.has(key)).toBe(true);
});

/** Light let through, help on a frosty night in C, heat loss in W/m2K, years; ranges as the trade gives them. */
const COVERS: readonly (readonly [key: string, light: string, help: string, u: string, years: string])[] = [
  ['net', '.85 .92', '0 0', '-', '5 5'],
  ['shade-30', '.70 .70', '0 0', '-', '7 7'],
  ['shade-50', '.50 .50', '0 0', '-', '7 7'],
  ['fabric-19', '.85 .90', '1 1', '-', '2 2'],
  ['fabric-30', '.75 .85', '2 2', '-', '3 3'],
  ['fabric-50', '.60 .70', '3 4', '-', '4 4'],
  ['fabric-70', '.30 .50', '4 5', '-', '4 4'],
  ['film-clear', '.88 .88', '2 2', '6.5 6.5', '.25 1'],
  ['film-uv', '.90 .90', '2 3', '6.3 6.3', '4 6'],
  ['film-double', '.80 .80', '4 5', '4 4', '4 6'],
  ['glass', '.88 .88', '2 3', '5.8 5.8', '10 99'],
  ['corrugated', '.90 .90', '2 3', '5.8 5.8', '10 10'],
  ['twin-wall', '.80 .80', '3 4', '3.5 3.5', '10 10'],
];
test.each(COVERS)('%s lies in the ranges of the trade', (key, light, help, u, years) => {
  const c = SHIPPED.cover.get(key);
  if (!c) throw new Error(`no ${key}`);
  const within = (value: number, range: string): void => {
    const [low = NaN, high = NaN] = range.split(' ').map(Number);
    expect(value).toBeGreaterThanOrEqual(low);
    expect(value).toBeLessThanOrEqual(high);
  };
  within(c.light, light);
  within(c.frostHelpC, help);
  within(c.lifeYears ?? 50, years);
  if (u === '-') expect(c.uWPerM2K).toBeNull();
  else within(c.uWPerM2K ?? NaN, u);
});

test('films and fabrics come on the rolls of the trade', () => {
  const rolls = (key: string): readonly string[] =>
    SHIPPED.cover
      .get(key)
      ?.rolls.map((r) => `${Math.round(r.widthMm / MM_PER_INCH)} x ${Math.round(r.lengthMm / 304.8)}`) ?? [];
  expect(rolls('film-uv')).toEqual(['120 x 25', '120 x 50', '120 x 100', '144 x 25', '240 x 50', '240 x 100']);
  expect(new Set(rolls('fabric-30').map((r) => r.split(' ')[0]))).toEqual(new Set(['83', '120', '144']));
  for (const c of SHIPPED.cover.values()) for (const r of c.rolls) expect(r.price).toBeGreaterThan(5);
});

test('materials: stiffness in GPa, kg a cubic metre, and what is left of stiffness after weeks', () => {
  const of = (key: string) => {
    const m = section(SHIPPED, key).material;
    return [m.eGPa, m.densityKgPerM3, m.behaviour.kind === 'metal' ? 1 : m.behaviour.longTermFactor];
  };
  expect(of('pvc-1/2')).toEqual([2.76, 1400, 0.5]);
  expect(of('pe-25')).toEqual([0.8, 940, 0.5]);
  expect(of('emt-1/2')).toEqual([200, 7850, 1]);
  expect(of('2x4').slice(0, 2)).toEqual([9, 450]);
  expect(section(SHIPPED, '2x4').material.behaviour).toMatchObject({ kind: 'wood', bendingMPa: 6 });
  expect(section(SHIPPED, 'emt-1/2').material.behaviour).toEqual({ kind: 'metal', yieldMPa: 240 });
});

test('saws take what they take', () => {
  const kerf = (key: string): number => section(SHIPPED, key).tool.kerfMm / MM_PER_INCH;
  // A circular saw an eighth of an inch, a shear cutter nothing.
  expect(kerf('2x4')).toBeCloseTo(1 / 8, 6);
  expect(kerf('pvc-1/2')).toBe(0);
});

/** What kills it, C; how high it grows, cm; whether bees must come. */
const KNOWN =
  'spinach -12/25/no · kale -12/60/no · corn salad -15/15/no · claytonia -12/20/no · leek -12/60/no · chard -7/45/no · ' +
  'carrot -9/30/no · parsley -9/35/no · pak choi -4/35/no · mizuna -7/30/no · lettuce -3/25/no · rocket -6/25/no · ' +
  'radish -4/20/no · turnip -6/35/no · beet -4/40/no · broad bean -6/100/yes · pea -3/120/no · broccoli -5/70/no · ' +
  'cabbage -8/45/no · spring onion -10/35/no · tomato 0/180/self · pepper 0/70/self · basil 1/45/no · ' +
  'strawberry -2/25/yes · cucumber 1/150/yes · courgette 0/70/yes · bush bean 0/45/self';
test('crops as growers know them', () => {
  expect(CROPS.map((c) => `${c.name} ${c.killingC}/${c.heightMm / 10}/${c.insects}`).join(' · ')).toBe(KNOWN);
});
