import { quickShop } from '../../core/cut';
import { evaluate } from '../../core/evaluate';
import { demoGarden } from '../../core/garden/demo';
import type { Assessment } from '../../core/assessment';
import { stripFigures } from './figures';

const garden = demoGarden();
const outlineOf = (id: string): Assessment => {
  const cover = garden.covers.find((c) => c.id === id);
  const made = cover && evaluate(garden, cover);
  if (!made?.ok) throw new Error(id);
  return made.value;
};
const UNITS = { length: 'ftin', temperature: 'F', currency: 'USD' } as const;
const lid = outlineOf('winter-lid');
const told = stripFigures(lid, quickShop(lid), UNITS);
const of = (id: string, all = told) => {
  const found = all.find((f) => f.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};

test('price, snow, night, sheet, pieces and hours, in the order of the strip', () => {
  expect(told.map((f) => f.id)).toEqual(['price', 'snow', 'coldest', 'sheet', 'pieces', 'hours']);
  // Where the price is told elsewhere it is left out here.
  expect(stripFigures(lid, undefined, UNITS).map((f) => f.id)).not.toContain('price');
});

test('the price is what every aisle comes to; what of it is used up stands beside them', () => {
  const { figure } = of('price');
  const aisles = figure.terms;
  expect(aisles.reduce((sum, t) => sum + t.value, 0)).toBeCloseTo(figure.value, 6);
  expect(figure.besides?.at(-1)?.value).toBeLessThanOrEqual(figure.value);
});

test('pieces are all that is cut: bars and stiff sheets and mesh, not film', () => {
  const { figure, text } = of('pieces');
  expect(figure.value).toBe(lid.assembly.members.length + lid.assembly.panels.length);
  expect(figure.terms.reduce((sum, t) => sum + t.value, 0)).toBe(figure.value);
  expect(text).toBe(String(figure.value));
  const garlic = { ...lid, assembly: { ...lid.assembly, members: lid.assembly.members.slice(0, 3), panels: [] } };
  expect(of('pieces', stripFigures(garlic, undefined, UNITS)).figure.value).toBe(3);
});

test('the sheet is told across by along, each the sum of its lines, up to what a builder can cut', () => {
  const [sheet] = lid.assembly.sheets;
  const sum = (lines: readonly { readonly mm: number }[]): number => lines.reduce((all, l) => all + l.mm, 0);
  expect(of('sheet').figure.value).toBeCloseTo(sum(sheet?.across ?? []), 6);
  expect(of('sheet').text).toMatch(/^\d+' \d+" × \d+' \d+"$/);
  // Up to the next inch, never under.
  const [feet = 0, inches = 0] = (/^(\d+)' (\d+)"/.exec(of('sheet').text) ?? []).slice(1).map(Number);
  const over = (feet * 12 + inches) * 25.4 - sum(sheet?.across ?? []);
  expect(over >= -0.01 && over < 25.4).toBe(true);
});

test('figures are in the units of whoever looks, and the first of several strengths is told', () => {
  expect(of('coldest').text).toMatch(/°F$/);
  expect(of('coldest', stripFigures(lid, undefined, { ...UNITS, temperature: 'C' })).text).toMatch(/°C$/);
  expect(of('snow').figure).toBe(lid.judged().strengths[0]?.figures[0]);
  // What carries snow without end has no figure of it.
  const endless = {
    ...lid,
    judged: () => ({
      ...lid.judged(),
      strengths: lid.judged().strengths.map((s) => ({ ...s, wetSnowMm: Infinity })),
    }),
  } as Assessment;
  expect(stripFigures(endless, undefined, UNITS).map((f) => f.id)).not.toContain('snow');
});
