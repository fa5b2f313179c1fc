/** One booklet of a cover: drawings to scale, what to buy, the cuts, the steps, full-size templates, a card for the season; and tags for its pieces. */
import { type PDFPage, grayscale } from 'pdf-lib';
import { type Preferences, formatAmount, formatMoney } from '../base/amount';
import { type Phrase, phraseText } from '../base/figure';
import { seasonOfCover } from '../air';
import { sayDay } from '../base/days';
import type { Flat, View } from '../base/geometry';
import { formatLength } from '../base/length';
import type { Dimension, Panel, Step } from '../build/assembly/types';
import { familyOf } from '../build/families';
import { type PaperKey, PAPERS, printedArea, templatePages } from '../build/parts/ends';
import { AISLES } from '../catalog/types';
import type { Market } from '../catalog/market';
import type { Work } from '../cut';
import type { Outline } from '../outline';
import { sheetSize } from '../make/rolls/rolls';
import { cutPages } from './cutBook';
import { LEADING, MARGIN, type Pen, newBook } from './pen';
import { type Drawn, type Stuff, standingTags, viewFrame } from './project';
import { type LayoutOf, layoutView } from './viewLayout';

/** All that a booklet tells of. */
export type Told = Outline & Work;

const POINTS_PER_MM = 72 / 25.4;
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
function drawShapes(
  page: PDFPage,
  shapes: readonly Drawn[],
  on: (p: Flat) => Flat,
  pointsPerMm: number,
  inPlay?: ReadonlySet<string>,
): void {
  for (const d of shapes) {
    const faint = inPlay !== undefined && !inPlay.has(d.tag);
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
function drawView(pen: Pen, o: Told, view: View, x: number, width: number, height: number): number {
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
  pen.room(layout.height + 4);
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
    const half = pen.font.widthOfTextAtSize(text, SMALL) / 2 + 2;
    pen.page.drawRectangle({
      x: middle - half,
      y: down(base) - 2,
      width: 2 * half,
      height: SMALL + 3,
      color: grayscale(1),
    });
    pen.text(text, middle, down(base), SMALL, { centre: true });
    if (d.side === 'leader') pen.text(d.label, middle, down(label.y0 + 6), SMALL - 1, { centre: true, quiet: true });
  }
  return layout.height;
}

/** A part of the booklet begins, with room for something under its head. */
function head(pen: Pen, words: string, under = 80): void {
  pen.room(under + 26);
  pen.y -= 12;
  pen.line(MARGIN, pen.y, MARGIN + pen.width, pen.y, 1.2);
  pen.y -= 4;
  pen.words(words, 13, { bold: true });
  pen.y -= 4;
}

/** The three views: the end and the plan side by side where there is room, the side under them. */
function drawings(pen: Pen, o: Told): void {
  const half = (pen.width - 12) / 2;
  pen.room(420);
  const top = pen.y;
  const left = drawView(pen, o, 'end', MARGIN, half, 250);
  pen.y = top;
  const right = drawView(pen, o, 'plan', MARGIN + half + 12, half, 250);
  pen.y = top - Math.max(left, right) - 10;
  pen.y -= drawView(pen, o, 'side', MARGIN, pen.width, 190) + 4;
}

/** What to buy, by aisle, in two columns of lines with a box to tick. */
function shopping(pen: Pen, o: Told, p: Preferences): void {
  const column = (pen.width - 16) / 2;
  const lines = AISLES.flatMap((aisle) => {
    const list = o.shopping.lines.filter((l) => l.aisle === aisle && l.packs > 0);
    return list.length === 0 ? [] : [aisle, ...list];
  });
  const high = 12.5;
  let done = 0;
  while (done < lines.length) {
    pen.room(60);
    const rows = Math.min(Math.ceil((lines.length - done) / 2), Math.floor((pen.y - MARGIN) / high));
    const top = pen.y;
    for (const side of [0, 1])
      lines.slice(done + side * rows, done + (side + 1) * rows).forEach((l, i) => {
        const [x, y] = [MARGIN + side * (column + 16), top - (i + 1) * high];
        if (typeof l === 'string') return pen.text(l, x, y, 9.5, { bold: true });
        pen.box(x, y - 1, 8, 8);
        const paid = formatMoney(l.paid, p.currency);
        const room = column - 16 - pen.font.widthOfTextAtSize(paid, 8.5);
        const words = `${l.packs} x ${l.name}, ${phraseText(l.size, p)}`;
        pen.text(pen.lines(words, 8.5, room)[0] ?? '', x + 13, y, 8.5);
        pen.text(paid, x + column - pen.font.widthOfTextAtSize(paid, 8.5), y, 8.5);
      });
    pen.y = top - rows * high - 4;
    done += 2 * rows;
  }
  pen.words(`In all ${formatMoney(o.shopping.paid, p.currency)}.`, 10, { bold: true });
}

/** Width of a step's drawing, and the least that its words take beside it, points. */
const STEP_DRAWING = { width: 190, height: 130 } as const;

/** A step, kept whole: its drawing at the left, its words beside it. */
function stepBlock(pen: Pen, o: Told, step: Step, number: number, p: Preferences): void {
  const shown = step.id !== 'cut' && step.tags.length > 0;
  const left = shown ? STEP_DRAWING.width + 14 : 0;
  const width = pen.width - left;
  const said = (phrase: Phrase): string => phraseText(phrase, p);
  interface Line {
    readonly text: string;
    readonly size: number;
    readonly bold?: boolean;
    readonly indent?: number;
    /** Before its first line a box to tick, or beside all of it a bar that warns. */
    readonly sign?: 'box' | 'bar' | undefined;
  }
  const lines: Line[] = [];
  const put = (
    text: string,
    size: number,
    { indent = 0, sign, bold = false }: Omit<Line, 'text' | 'size'> = {},
  ): void =>
    void lines.push(
      ...pen.lines(text, size, width - indent, bold).map((line, i) => ({
        text: line,
        size,
        bold,
        indent,
        sign: sign === 'box' && i > 0 ? undefined : sign,
      })),
    );
  put(`${number}. ${step.title}`, 12, { bold: true });
  for (const caution of step.cautions) put(caution, 9, { sign: 'bar', indent: 9 });
  step.work.forEach((line, i) => put(`${step.work.length > 1 ? `${i + 1}) ` : ''}${said(line)}`, 9.5));
  if (step.tools.length > 0) put(`Tools: ${step.tools.join('; ')}.`, 8.5);
  for (const check of step.checks) put(said(check), 9.5, { sign: 'box', indent: 14 });
  const height = lines.reduce((sum, l) => sum + l.size * LEADING, 0) + 10;
  const block = Math.max(height, shown ? STEP_DRAWING.height + 10 : 0);
  pen.room(Math.min(block, 640));
  const top = pen.y - 6;
  if (shown) {
    const frame = viewFrame(o.assembly, o.site.bed, o.site.survey, step.view);
    const scale = Math.min(STEP_DRAWING.width / frame.widthMm, STEP_DRAWING.height / frame.heightMm);
    const on = ([u, v]: Flat): Flat => [MARGIN + (u - frame.u0) * scale, top - 6 - (frame.v1 - v) * scale];
    drawShapes(pen.page, frame.shapes, on, scale, new Set(step.tags));
  }
  pen.y = top;
  for (const l of lines) {
    pen.room(l.size * LEADING);
    pen.y -= l.size * LEADING;
    const x = MARGIN + left;
    if (l.sign === 'box') pen.box(x, pen.y - 1, 9, 9);
    if (l.sign === 'bar') pen.line(x + 2, pen.y - 2, x + 2, pen.y + l.size, 2.5);
    pen.text(l.text, x + (l.indent ?? 0), pen.y, l.size, { bold: l.bold ?? false });
  }
  pen.y = Math.min(pen.y, top - (shown ? STEP_DRAWING.height + 10 : 0)) - 6;
}

/** What to hang by the bed: what it stands, what it keeps, when it wants air. */
function seasonCard(pen: Pen, o: Told, p: Preferences): void {
  const weakest = o.strengths[0];
  const { noon } = o.garden.site;
  const lines: string[] = [
    `${o.coldest.label}: ${formatAmount(o.coldest.value, 'temperature', p)}. Colder: a second layer, a blanket, jugs of water.`,
    ...(weakest && Number.isFinite(weakest.wetSnowMm)
      ? [
          `It carries ${formatAmount(weakest.wetSnowMm, 'snowDepth', p)} of wet snow. Brush it off before that, from outside.`,
        ]
      : []),
    `Shut, a clear noon like ${noon.date.slice(5)} at ${formatAmount(noon.outsideC, 'temperature', p)} makes it ${formatAmount(o.air.riseShutC, 'warming', p)} warmer inside: open it when the sun is out.`,
    'Open in the morning, shut two hours before sunset. On a wind warning shut it, latch it and weight it, or strip it.',
    ...seasonLines(o),
    'Once a month: look at screws, straps and tape; wash the cover; mend tears while they are small.',
  ];
  const height = lines.reduce((sum, l) => sum + pen.lines(l, 10, pen.width - 28).length * 10 * LEADING, 0) + 34;
  pen.room(height + 10);
  pen.y -= 8;
  pen.box(MARGIN, pen.y - height, pen.width, height, true);
  pen.y -= 6;
  const text = (words: string, size: number, bold = false): void => {
    for (const line of pen.lines(words, size, pen.width - 28, bold)) {
      pen.y -= size * LEADING;
      pen.text(line, MARGIN + 14, pen.y, size, { bold });
    }
  };
  text(`Card to hang by the bed: ${o.cover.name}`, 12, true);
  for (const l of lines) text(l, 10);
  pen.y -= 12;
}

/** The usual dates of a year, from January on: what is sown, grown, picked, changed. */
function seasonLines(o: Outline): readonly string[] {
  const told = seasonOfCover(o, `${o.garden.site.noon.date.slice(0, 4)}-01-01`).filter(
    (t) => t.kind !== 'light' && t.date.startsWith(o.garden.site.noon.date.slice(0, 4)),
  );
  return told.map((t) => `${sayDay(t.date)}${t.until === undefined ? '' : ` to ${sayDay(t.until)}`}: ${t.title}.`);
}

/** Ends that are sawn to a curve, each kind once. */
const curved = (o: Told): readonly Panel[] =>
  o.assembly.panels.filter(
    (p, i, all) => p.curved && all.findIndex((q) => JSON.stringify(q.outline) === JSON.stringify(p.outline)) === i,
  );

/** An outline at full size on as many pages as it takes, crosses in the corners to lay them by. */
function templates(pen: Pen, panel: Panel, paper: PaperKey): void {
  const { widthMm, heightMm } = printedArea(paper);
  const margin = (PAPERS[paper].widthMm - widthMm) / 2;
  for (const at of templatePages(panel.outline, paper)) {
    pen.turn();
    const on = ([u, v]: Flat): Flat => [
      (margin + u - at.leftMm) * POINTS_PER_MM,
      (margin + v - at.bottomMm) * POINTS_PER_MM,
    ];
    const [x0, y0, x1, y1] = [margin, margin, margin + widthMm, margin + heightMm].map((mm) => mm * POINTS_PER_MM) as [
      number,
      number,
      number,
      number,
    ];
    for (const ring of [panel.outline, ...panel.openings])
      ring.forEach((a, i) => {
        const cut = clipped(on(a), on(ring[(i + 1) % ring.length] ?? a), [x0, y0, x1, y1]);
        if (cut) pen.line(cut[0][0], cut[0][1], cut[1][0], cut[1][1], 1.2);
      });
    for (const [x, y] of [
      [x0, y0],
      [x1, y0],
      [x0, y1],
      [x1, y1],
    ] as const) {
      pen.line(x - 12, y, x + 12, y, 0.6);
      pen.line(x, y - 12, x, y + 12, 0.6);
    }
    const bar = 100 * POINTS_PER_MM;
    pen.line(x0 + 30, y0 + 30, x0 + 30 + bar, y0 + 30, 0.8);
    pen.text('100 mm: measure it before you trust the page; print at 100 %', x0 + 30, y0 + 36, 8);
    pen.text(`${panel.tag}: column ${at.column + 1}, row ${at.row + 1} from below left`, x0 + 30, y0 + 16, 9, {
      bold: true,
    });
  }
}

/** What of a line lies within a rectangle (Liang and Barsky, 1984); nothing where none does. */
function clipped(
  [ax, ay]: Flat,
  [bx, by]: Flat,
  [x0, y0, x1, y1]: readonly [number, number, number, number],
): readonly [Flat, Flat] | undefined {
  let [t0, t1] = [0, 1];
  const [dx, dy] = [bx - ax, by - ay];
  for (const [p, q] of [
    [-dx, ax - x0],
    [dx, x1 - ax],
    [-dy, ay - y0],
    [dy, y1 - ay],
  ] as const) {
    if (p === 0 && q < 0) return undefined;
    if (p < 0) t0 = Math.max(t0, q / p);
    if (p > 0) t1 = Math.min(t1, q / p);
  }
  return t0 < t1
    ? [
        [ax + t0 * dx, ay + t0 * dy],
        [ax + t1 * dx, ay + t1 * dy],
      ]
    : undefined;
}

const MARKET: Readonly<Record<PaperKey, Market>> = { letter: 'imperial', a4: 'metric' };

/**
 * Writes the booklet of a cover.
 * @returns the bytes of a PDF file; the same work gives the same bytes
 */
export async function booklet(o: Told, paper: PaperKey): Promise<Uint8Array> {
  const { units } = o.garden;
  const { book, pen } = await newBook(o.cover.name, `${o.cover.name}, ${o.garden.name}`, MARKET[paper]);
  pen.words(o.cover.name, 20, { bold: true });
  pen.words(
    `${familyOf(o.cover.family).name} on ${o.site.bed.name}, ${o.garden.name}. A planning aid: local codes come first.`,
    10,
    { quiet: true },
  );
  pen.y -= 4;
  const sheet = o.assembly.sheets[0];
  const size = sheet && sheetSize(sheet);
  const facts = [
    `Price ${formatMoney(o.shopping.paid, units.currency)}`,
    `about ${formatAmount(o.hours.value, 'hours', units)}`,
    ...(size
      ? [`sheet ${formatAmount(size.acrossMm, 'film', units)} x ${formatAmount(size.alongMm, 'film', units)}`]
      : []),
    `${o.assembly.members.length + o.assembly.panels.length} pieces`,
  ];
  pen.words(facts.join('   |   '), 11, { bold: true });
  pen.y -= 8;
  drawings(pen, o);
  head(pen, 'Before you start');
  for (const line of new Set(o.assembly.steps.flatMap((s) => s.cautions))) pen.words(`- ${line}`, 9);
  head(pen, 'Will it do?');
  for (const c of o.checks)
    pen.words(
      `${c.verdict === 'holds' ? 'Holds' : c.verdict === 'tight' ? 'TIGHT' : 'FAILS'}: ${phraseText(c.text, units)}`,
      9,
    );
  head(pen, 'What to buy');
  shopping(pen, o, units);
  head(pen, 'Cut it');
  cutPages(pen, o);
  head(pen, 'Build it', 160);
  o.assembly.steps.forEach((s, i) => stepBlock(pen, o, s, i + 1, units));
  seasonCard(pen, o, units);
  for (const panel of curved(o)) templates(pen, panel, paper);
  return book.save();
}

/** Tags on a page: three across, ten down, as labels are sold. */
const TAGS = { across: 3, down: 10 } as const;

/** Writes a tag for every piece that is cut, to print and stick on. */
export async function tagSheet(o: Outline, paper: PaperKey): Promise<Uint8Array> {
  const unit = o.garden.units.length;
  const { book, pen } = await newBook(`Tags: ${o.cover.name}`, o.cover.name, MARKET[paper]);
  const pieces = [
    ...o.assembly.members.map((m) => ({
      tag: m.tag,
      part: m.part,
      of: `${m.section.name}, ${formatLength(m.lengthMm, unit)}`,
    })),
    ...o.assembly.panels.map((p) => ({ tag: p.tag, part: p.part, of: p.sheet.name })),
    ...o.assembly.sheets.map((s) => {
      const { acrossMm, alongMm } = sheetSize(s);
      return {
        tag: s.tag,
        part: s.part,
        of: `${s.cover.name}, ${formatLength(acrossMm, unit)} x ${formatLength(alongMm, unit)}`,
      };
    }),
  ];
  const [width, height] = [pen.width / TAGS.across, (pen.y - MARGIN) / TAGS.down];
  pieces.forEach((piece, i) => {
    const at = i % (TAGS.across * TAGS.down);
    if (i > 0 && at === 0) pen.turn();
    const x = MARGIN + (at % TAGS.across) * width;
    const y = pen.page.getHeight() - MARGIN - (Math.floor(at / TAGS.across) + 1) * height;
    pen.box(x, y, width, height, true);
    pen.text(piece.tag, x + 10, y + height / 2 - 6, 24, { bold: true });
    const left = x + 16 + Math.max(44, pen.bold.widthOfTextAtSize(piece.tag, 24));
    const room = x + width - left - 6;
    pen
      .lines(piece.part, 9, room, true)
      .slice(0, 2)
      .forEach((line, k) => pen.text(line, left, y + height - 18 - k * 11, 9, { bold: true }));
    pen
      .lines(piece.of, 8, room)
      .slice(0, 2)
      .forEach((line, k) => pen.text(line, left, y + height - 42 - k * 10, 8));
    pen.text(pen.lines(o.cover.name, 7, room)[0] ?? '', left, y + 6, 7, { quiet: true });
  });
  return book.save();
}
