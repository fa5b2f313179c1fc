import { demoGarden } from '../garden/demo';
import { assessCover } from '../plan';
import { viewSvg } from './svg';

const garden = demoGarden();
const cover = garden.covers.find((c) => c.id === 'winter-lid');
const built = cover && assessCover(garden, cover);
if (!built?.ok) throw new Error('no lid');
const numbers = (text: string): number[] =>
  text
    .trim()
    .split(/[\s,]+/)
    .map(Number);

test.each(['end', 'side', 'plan'] as const)(
  'from the %s: at full size in mm, all within its edge, its measures under it',
  (view) => {
    const svg = viewSvg(built.value, view);
    const [left = NaN, top = NaN, width = NaN, height = NaN] = numbers(/viewBox="([^"]+)"/.exec(svg)?.[1] ?? '');
    expect(svg).toContain(`width="${width}mm" height="${height}mm"`);
    const points = [...svg.matchAll(/points="([^"]+)"/g)].flatMap(([, p = '']) => numbers(p));
    const [xs, ys] = [0, 1].map((k) => points.filter((_, i) => i % 2 === k)) as [number[], number[]];
    // 80 mm of margin left, right and over it.
    expect(left + 80).toBeCloseTo(Math.min(...xs), 0);
    expect(left + width - 80).toBeCloseTo(Math.max(...xs), 0);
    expect(top + 80).toBeCloseTo(Math.min(...ys), 0);
    const words = [...svg.matchAll(/<text x="([^"]+)" y="([^"]+)" [^>]*font-size="([^"]+)">([^<]*)/g)];
    const shown = built.value.assembly.dimensions.filter((d) => d.view === view);
    expect(words.map(([, , , , text]) => text?.split(': ')[0])).toEqual(shown.map((d) => d.label));
    // A fortieth of the drawing's width, no less than 30 mm, on lines of 1.4 of it from the margin on.
    const size = Math.max(30, (width - 160) / 40);
    const low = Math.max(...ys);
    words.forEach(([, x, y, font], i) => {
      expect(Number(x)).toBeCloseTo(left + 80, 0);
      expect(Number(font)).toBe(Math.round(size));
      expect(Math.abs(Number(y) - (low + 80 + (i + 0.6) * 1.4 * size))).toBeLessThan(1);
    });
    expect(height).toBeCloseTo(low - top + 80 + shown.length * 1.4 * size, -1);
  },
);

test('pipe is a line as wide as it is; marks that mean something in the file are written out', () => {
  const o = {
    ...built.value,
    assembly: {
      ...built.value.assembly,
      dimensions: built.value.assembly.dimensions.map((d) => ({ ...d, label: 'a < b & c' })),
    },
  };
  const svg = viewSvg(o, 'end');
  expect(svg).toContain('a &lt; b &amp; c: ');
  expect(svg).toMatch(/<polyline [^>]*stroke-width="21\.\d"/);
});
