/** The views of a cover on a page of a PDF, to a scale that a rule can read. */
import { type PDFPage, grayscale } from 'pdf-lib';
import type { Flat, View } from '../base/geometry';
import { formatLength } from '../base/length';
import type { Dimension } from '../cover/assembly/types';
import type { Assessment } from '../assessment';
import { MARGIN, POINTS_PER_MM, type Pen } from './pen';
import { type Drawn, type Stuff, showsOneOf, standingTags, viewFrame } from './project';
import { type LayoutOf, layoutView } from './viewLayout';

/** Scales that a rule can read, one to so many. */
const SCALES = [5, 8, 10, 12, 15, 20, 25, 30, 40, 50, 75, 100, 150, 200] as const;
const NAMES: Readonly<Record<View, string>> = { end: 'From the end', side: 'From the side', plan: 'From above' };
/** On paper type is smaller than on a screen. */
const TYPE = 0.52;
const SMALL = 7.5;

/** Grey of what is filled; what has none is only drawn round. */
const FILL: Readonly<Partial<Record<Stuff, number>>> = {
  soil: 0.9,
  wall: 0.82,
  timber: 0.97,
  plywood: 0.96,
  straw: 0.93,
};

/** Shapes on a page: a point of the paper in mm is put by `on`. */
export function drawShapes(
  page: PDFPage,
  shapes: readonly Drawn[],
  on: (p: Flat) => Flat,
  pointsPerMm: number,
  inPlay?: ReadonlySet<string>,
): void {
  for (const d of shapes) {
    const faint = inPlay !== undefined && !showsOneOf(d, inPlay);
    const border = grayscale(faint ? 0.78 : 0);
    const points = d.points.map(on);
    if (d.widthMm === undefined) {
      // The path goes down the page from its start.
      const path = points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${(-y).toFixed(2)}`).join(' ');
      const fill = FILL[d.stuff];
      page.drawSvgPath(`${path} Z`, {
        x: 0,
        y: 0,
        borderColor: border,
        borderWidth: d.stuff === 'film' ? 0.4 : 0.6,
        ...(fill !== undefined && { color: grayscale(faint ? Math.max(fill, 0.95) : fill) }),
        ...(d.stuff === 'film' && { borderDashArray: [3, 2] }),
      });
    } else {
      const thickness = Math.max(0.7, d.widthMm * pointsPerMm);
      points.slice(1).forEach((to, i) => {
        const from = points[i] ?? to;
        const line = { start: { x: from[0], y: from[1] }, end: { x: to[0], y: to[1] } };
        page.drawLine({ ...line, thickness: thickness + 0.8, color: border });
        if (thickness > 1.5)
          page.drawLine({ ...line, thickness: thickness - 0.4, color: grayscale(faint ? 0.97 : 0.9) });
      });
    }
  }
}

/** A view with its dimensions, at the largest scale of a rule that fits. @returns its height, points */
function drawView(pen: Pen, o: Assessment, view: View, x: number, width: number, height: number): number {
  const unit = o.garden.units.length;
  const wide = (d: Dimension): number => {
    const figure = pen.font.widthOfTextAtSize(formatLength(d.valueMm, unit), SMALL) + 6;
    return d.side === 'leader' ? Math.max(figure, pen.font.widthOfTextAtSize(d.label, SMALL - 1)) : figure;
  };
  const of: LayoutOf = {
    frame: viewFrame(o.assembly, o.site.bed, o.site.survey, view),
    dimensions: o.assembly.dimensions.filter((d) => d.view === view),
    tags: view === 'side' ? standingTags(o.assembly) : [],
    widthOf: wide,
    type: TYPE,
  };
  const fits = SCALES.map((n) => ({ n, layout: layoutView(of, POINTS_PER_MM / n) })).find(
    ({ layout }) => layout.width <= width && layout.height <= height,
  );
  const { n, layout } = fits ?? { n: 250, layout: layoutView(of, POINTS_PER_MM / 250) };
  pen.ensureSpace(layout.height + 4);
  const top = pen.y;
  const down = (y: number): number => top - y;
  pen.text(`${NAMES[view]}, 1 : ${n}`, x, down(9), 9, { bold: true });
  const on = ([u, v]: Flat): Flat => [
    x + layout.box.x0 + (u - of.frame.u0) * layout.scale,
    down(layout.box.y0 + (of.frame.v1 - v) * layout.scale),
  ];
  drawShapes(pen.page, of.frame.shapes, on, layout.scale);
  for (const { tag, label } of layout.tags)
    pen.text(tag, x + (label.x0 + label.x1) / 2, down(label.y1), SMALL - 1, { centre: true });
  for (const { dimension: d, a, b, label, feet } of layout.dimensions) {
    for (const [p, q] of feet) pen.line(x + p[0], down(p[1]), x + q[0], down(q[1]), 0.25);
    pen.line(x + a[0], down(a[1]), x + b[0], down(b[1]), 0.5);
    if (d.side !== 'leader')
      for (const [px, py] of [a, b]) pen.line(x + px - 2.5, down(py) - 2.5, x + px + 2.5, down(py) + 2.5, 1.1);
    const middle = x + (label.x0 + label.x1) / 2;
    const base = d.side === 'leader' ? label.y1 - 6 : (label.y0 + label.y1) / 2 + SMALL / 3;
    const text = formatLength(d.valueMm, unit);
    pen.label(text, [middle, down(base)], SMALL);
    if (d.side === 'leader') pen.text(d.label, middle, down(label.y0 + 6), SMALL - 1, { centre: true, quiet: true });
  }
  return layout.height;
}

/** The three views: the end and the plan side by side where there is room, the side under them. */
export function drawings(pen: Pen, o: Assessment): void {
  const half = (pen.width - 12) / 2;
  pen.ensureSpace(420);
  const top = pen.y;
  const left = drawView(pen, o, 'end', MARGIN, half, 250);
  pen.y = top;
  const right = drawView(pen, o, 'plan', MARGIN + half + 12, half, 250);
  pen.y = top - Math.max(left, right) - 10;
  pen.y -= drawView(pen, o, 'side', MARGIN, pen.width, 190) + 4;
}
