import { MM_PER_INCH } from '../base/length';
import { templatePages } from '../cover/parts/ends';
import { demoGarden } from '../garden/demo';
import type { Cover } from '../garden/garden';
import { assessCover } from '../plan';
import { startingCover } from '../explore/firstDesigns';
import { curved, templates } from './pdfTemplates';
import { POINTS_PER_MM, newBook } from './pen';

const garden = demoGarden();
const cover = startingCover(garden, 'long', 'lift-off-cover', 'test', 'Test', 'spinach') as Cover;
const made = assessCover(garden, cover);
if (!made.ok) throw new Error('not built');
const o = made.value;

interface Line {
  readonly page: number;
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
}

/** The lines drawn for a panel, by page, in mm from the corner of the paper. */
async function drawnOn(paper: 'letter' | 'a4', panel: (typeof o.assembly.panels)[number]) {
  const { pen } = await newBook('x', 'x', paper === 'a4' ? 'metric' : 'imperial');
  const lines: Line[] = [];
  const words: { readonly said: string; readonly at: readonly [number, number] }[] = [];
  let page = 0;
  const turn = pen.newPage.bind(pen);
  pen.newPage = () => {
    page++;
    return turn();
  };
  pen.line = (x0, y0, x1, y1) =>
    void lines.push({
      page,
      from: [x0 / POINTS_PER_MM, y0 / POINTS_PER_MM],
      to: [x1 / POINTS_PER_MM, y1 / POINTS_PER_MM],
    });
  pen.text = (said, x, y) => void words.push({ said, at: [x / POINTS_PER_MM, y / POINTS_PER_MM] });
  templates(pen, panel, paper);
  return { lines, words, pages: page };
}

test('both ends are alike: one is printed', () => {
  expect(o.assembly.panels.filter((p) => p.curved)).toHaveLength(2);
  expect(curved(o)).toHaveLength(1);
});

describe.each([
  ['letter', 8.5 * MM_PER_INCH, 11 * MM_PER_INCH, '4"', 4 * MM_PER_INCH],
  ['a4', 210, 297, '100 mm', 100],
] as const)('full size on %s', (paper, widthMm, heightMm, barWords, barMm) => {
  const [panel] = curved(o);
  if (!panel) throw new Error('none');
  const [x1, y1] = [widthMm - 12, heightMm - 12];

  test('on as many pages as an edge crosses, each with its place', async () => {
    const { lines, pages, words } = await drawnOn(paper, panel);
    const wanted = templatePages(panel, paper);
    expect(pages).toBe(wanted.length);
    const said = words.map((w) => w.said);
    expect(said.filter((w) => w.startsWith(panel.tag))).toEqual(
      wanted.map((p) => `${panel.tag}: column ${p.column + 1}, row ${p.row + 1} from below left`),
    );
    expect(said.filter((w) => w.startsWith(`${barWords}: measure`))).toHaveLength(pages);
    // What measures the page stands close over its bar, its place on the sheet under it, all within the print.
    const bars = lines.filter((l) => Math.abs(l.to[0] - l.from[0] - barMm) < 1e-6 && l.from[1] === l.to[1]);
    expect(bars).toHaveLength(pages);
    for (const { said: w, at } of words.filter((x) => !x.said.includes(', page '))) {
      const over = at[1] - (bars[0]?.from[1] ?? NaN);
      expect([w, at[0]]).toEqual([w, bars[0]?.from[0]]);
      expect(w.startsWith(`${barWords}: measure`) ? over > 1 && over < 5 : over < -3 && at[1] > 12).toBe(true);
    }
  });

  test('the pieces of the outline on all pages together are as long as the outline itself', async () => {
    const { lines } = await drawnOn(paper, panel);
    const length = ({ from, to }: Pick<Line, 'from' | 'to'>): number => Math.hypot(to[0] - from[0], to[1] - from[1]);
    const rings = [panel.outline, ...panel.openings];
    const whole = rings.reduce(
      (sum, ring) =>
        sum + ring.reduce((s, from, i) => s + length({ from, to: ring[(i + 1) % ring.length] ?? from }), 0),
      0,
    );
    // Beside it on every page: eight lines of crosses 24 points long, and the bar.
    const pages = templatePages(panel, paper).length;
    const beside = pages * (8 * (24 / POINTS_PER_MM) + barMm);
    expect(lines.reduce((sum, l) => sum + length(l), 0) - beside).toBeCloseTo(whole, 3);
  });

  test('nothing of the outline lies past the print', async () => {
    const { lines } = await drawnOn(paper, panel);
    const crosses = 12 / POINTS_PER_MM;
    for (const [x, y] of lines.flatMap((l) => [l.from, l.to])) {
      expect(x).toBeGreaterThanOrEqual(12 - crosses - 1e-6);
      expect(x).toBeLessThanOrEqual(x1 + crosses + 1e-6);
      expect(y).toBeGreaterThanOrEqual(12 - crosses - 1e-6);
      expect(y).toBeLessThanOrEqual(y1 + crosses + 1e-6);
    }
  });

  test('the lower left corner of the sheet lies in the corner of the print', async () => {
    const { lines } = await drawnOn(paper, panel);
    const first = lines.filter((l) => l.page === 1).flatMap((l) => [l.from, l.to]);
    expect(first.some(([x, y]) => Math.hypot(x - 12, y - 12) < 0.01)).toBe(true);
  });
});
