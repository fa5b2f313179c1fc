import fc from 'fast-check';
import type { LengthUnit } from '../base/length';
import type { Assembly, Dimension } from '../cover/assembly/types';
import { FAMILY_KEYS } from '../cover/families';
import { assemblyOf } from '../garden/assemblyOf';
import { demoGarden } from '../garden/demo';
import { firstCover } from '../explore/firstDesigns';
import { survey } from '../site/survey';
import type { Bed } from '../site/bed';
import { standingTags, viewFrame } from './project';
import { type LayoutBox, type LayoutOf, type ViewLayout, dimensionWidth, fitView, layoutView } from './viewLayout';

const VIEWS = ['end', 'side', 'plan'] as const;
/** The hero, a view beside it, and a phone. */
const CELLS = [
  { width: 500, height: 590 },
  { width: 310, height: 290 },
  { width: 366, height: 420 },
];

function layoutOf(a: Assembly, bed: Bed, view: (typeof VIEWS)[number], unit: LengthUnit, type = 1): LayoutOf {
  return {
    frame: viewFrame(a, bed, survey(bed), view),
    dimensions: a.dimensions.filter((d) => d.view === view),
    tags: view === 'side' ? standingTags(a) : [],
    widthOf: (d) => dimensionWidth(d, unit) * type,
    type,
  };
}

const meet = (a: LayoutBox, b: LayoutBox): boolean =>
  a.x0 < b.x1 - 0.01 && b.x0 < a.x1 - 0.01 && a.y0 < b.y1 - 0.01 && b.y0 < a.y1 - 0.01;

/** What is wrong with a layout. @param type how large its figures are: 30 pixels high at 1, and 18 more for the name over that of a leader */
function faults(l: ViewLayout, type = 1): readonly string[] {
  const labels = [
    ...l.dimensions.map((d) => ({ name: d.dimension.id, box: d.label })),
    ...l.tags.map((t) => ({ name: t.tag, box: t.label })),
    { name: 'the drawing', box: l.box },
  ];
  const crossing = labels.flatMap((a, i) =>
    labels.slice(i + 1).flatMap((b) => (meet(a.box, b.box) ? [`${a.name} on ${b.name}`] : [])),
  );
  const off = labels.flatMap(({ name, box }) =>
    box.x0 < -0.01 || box.y0 < -0.01 || box.x1 > l.width + 0.01 || box.y1 > l.height + 0.01 ? [`${name} off`] : [],
  );
  const sized = l.dimensions.flatMap(({ dimension, label, a }) => {
    const high = label.y1 - label.y0;
    const lies = dimension.side === 'below' || dimension.side === 'above';
    return [
      ...(Math.abs(high - (dimension.side === 'leader' ? 48 : 30) * type) > 0.01
        ? [`${dimension.id} is ${high} high`]
        : []),
      // A figure of a line that lies stands on its line or beside its end, at its height.
      ...(lies && Math.abs((label.y0 + label.y1) / 2 - a[1]) > 0.01 ? [`${dimension.id} off its line`] : []),
    ];
  });
  return [...crossing, ...off, ...sized];
}

const garden = demoGarden();

test.each(FAMILY_KEYS)('no two labels of %s meet or leave their paper, on any demo bed, at any size', (family) => {
  for (const bed of garden.beds) {
    const cover = firstCover(garden, bed.id, family, 'x', 'X');
    const built = cover && assemblyOf(garden, cover);
    if (!built?.ok) continue;
    for (const view of VIEWS)
      for (const unit of ['ftin', 'mm'] as const)
        for (const [i, cell] of CELLS.entries()) {
          const type = i === 2 ? 1.25 : 1;
          const layout = fitView(layoutOf(built.value, bed, view, unit, type), cell);
          const at = `${family} ${bed.id} ${view} ${unit} ${cell.width}`;
          expect([at, ...faults(layout, type)]).toEqual([at]);
          expect(layout.width).toBeLessThanOrEqual(cell.width);
          expect(layout.height).toBeLessThanOrEqual(cell.height);
        }
  }
});

test('figures that cannot stand side by side go to rows of their own; a short line has its figure beside it', () => {
  const d = (id: string, side: Dimension['side'], row: number, u0: number, u1: number): Dimension => ({
    id,
    label: id,
    view: 'side',
    side,
    row,
    from: [u0, 0, 0],
    to: [u1, 0, 0],
    valueMm: u1 - u0,
    typed: true,
  });
  const of: LayoutOf = {
    frame: { shapes: [], widthMm: 1000, heightMm: 500, u0: 0, v1: 500 },
    dimensions: [d('all', 'below', 2, 0, 1000), d('half', 'below', 1, 0, 500), d('bit', 'below', 1, 480, 500)],
    tags: [
      { tag: 'H1', at: [0, 500] },
      { tag: 'H2', at: [10, 500] },
      { tag: 'H3', at: [500, 500] },
    ],
    widthOf: () => 60,
    type: 1,
  };
  // A millimetre is half a pixel: 250 px long, the first line has its figure in its middle.
  const l = layoutView(of, 0.5);
  const [half, bit, all] = ['half', 'bit', 'all'].map((id) => l.dimensions.find((p) => p.dimension.id === id));
  if (!half || !bit || !all) throw new Error('missing');
  const middle = (b: LayoutBox): number => (b.x0 + b.x1) / 2 - l.box.x0;
  expect(middle(half.label)).toBeCloseTo(125, 6);
  expect(half.a[1]).toBeLessThan(bit.a[1]);
  expect(bit.label.x0).toBeGreaterThan(bit.b[0]);
  expect(all.a[1]).toBeGreaterThan(bit.a[1]);
  // H2 would stand on H1.
  expect(l.tags.map((t) => t.tag)).toEqual(['H1', 'H3']);
  // Pulled 12 mm over its paper, 6 px, a piece has no tag: that would stand on it. 5 px is room enough.
  const grown = layoutView(
    {
      ...of,
      tags: [
        { tag: 'H1', at: [0, 512] },
        { tag: 'H3', at: [500, 509] },
      ],
    },
    0.5,
  );
  expect(grown.tags.map((t) => t.tag)).toEqual(['H3']);
  expect(faults(l)).toEqual([]);
});

test('no figure stands on the line of another, wherever lines begin and end', () => {
  const line = fc.record({
    side: fc.constantFrom('below' as const, 'above' as const, 'left' as const, 'right' as const),
    from: fc.integer({ min: 0, max: 900 }),
    long: fc.integer({ min: 20, max: 600 }),
  });
  fc.assert(
    fc.property(fc.array(line, { minLength: 2, maxLength: 4 }), (lines) => {
      const l = layoutView(
        {
          frame: { shapes: [], widthMm: 1500, heightMm: 1500, u0: 0, v1: 1500 },
          dimensions: lines.map(({ side, from, long }, i): Dimension => {
            const along = side === 'below' || side === 'above';
            const at = (mm: number): Dimension['from'] => (along ? [mm, 0, 0] : [0, 0, mm]);
            const to = from + long;
            return {
              id: `d${i}`,
              label: '',
              view: 'side',
              side,
              row: 1,
              from: at(from),
              to: at(to),
              valueMm: long,
              typed: true,
            };
          }),
          tags: [],
          widthOf: () => 60,
          type: 1,
        },
        0.5,
      );
      for (const a of l.dimensions)
        for (const b of l.dimensions)
          if (a !== b) {
            const own = {
              x0: Math.min(a.a[0], a.b[0]),
              x1: Math.max(a.a[0], a.b[0]),
              y0: Math.min(a.a[1], a.b[1]),
              y1: Math.max(a.a[1], a.b[1]),
            };
            expect(meet({ ...own, x0: own.x0 - 1, x1: own.x1 + 1, y0: own.y0 - 1, y1: own.y1 + 1 }, b.label)).toBe(
              false,
            );
          }
    }),
    // A line that ends where the figure beside its neighbour begins.
    {
      examples: [
        [
          [
            { side: 'left', from: 0, long: 20 },
            { side: 'below', from: 0, long: 20 },
            { side: 'left', from: 38, long: 93 },
          ],
        ],
      ],
    },
  );
});
