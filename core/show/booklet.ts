/** One booklet of a cover: drawings to scale, what to buy, the cuts, the steps, full-size templates, a card for the season. */
import { type Check, STATUS_WORDS, checkStatus } from '../judge/strength/check';
import { sayTags } from '../cover/guide/tags';
import { partsOf } from './parts';
import { type Preferences, formatAmount, formatMoney } from '../base/amount';
import { phraseText } from '../base/figure';
import { seasonOfCover } from '../air';
import { sayDay } from '../base/days';
import type { Flat } from '../base/geometry';
import type { BuildStep } from '../cover/assembly/types';
import { familyOf } from '../cover/families/registry';
import type { PaperKey } from '../cover/parts/ends';
import { AISLES, AISLE_KEYS } from '../catalog/types';
import { conditionLines } from '../conditions';
import type { CutCover } from '../cut';
import type { Assessment } from '../assessment';
import { carriedMm } from '../judge/strength/snowStrength';
import { sheetSize } from '../make/rolls/rolls';
import { priceName } from '../make/buying/shopping';
import { cutPages } from './cutBook';
import { markedPiece } from './barDrawing';
import { onPaper, paintMarks } from './paint';
import { drawShapes, drawings } from './pdfViews';
import { pieceTags } from './pieceTags';
import { type StepLine, stepContent } from './stepContent';
import { curved, templates } from './pdfTemplates';
import { LEADING, MARGIN, MARKET, type Pen, newBook } from './pen';
import { viewFrame } from './project';
import { planVerdict } from './verdict';

/** All that a booklet tells of. */
type BookletOptions = Assessment & CutCover;

/** A part of the booklet begins, with room for something under its head. */
function head(pen: Pen, words: string, under = 80): void {
  pen.ensureSpace(under + 26);
  pen.y -= 12;
  pen.line(MARGIN, pen.y, MARGIN + pen.width, pen.y, 1.2);
  pen.y -= 4;
  pen.words(words, 13, { bold: true });
  pen.y -= 4;
}

/** What to buy, by aisle, in two columns of lines with a box to tick. */
function shopping(pen: Pen, o: BookletOptions, p: Preferences): void {
  const column = (pen.width - 16) / 2;
  const lines = AISLE_KEYS.flatMap((aisle) => {
    const list = o.shopping.lines.filter((l) => l.aisle === aisle && l.packs > 0);
    return list.length === 0 ? [] : [AISLES[aisle], ...list];
  });
  const high = 12.5;
  let done = 0;
  while (done < lines.length) {
    pen.ensureSpace(60);
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

/** Room for a step's drawing, points. */
const STEP_DRAWING = { width: 190, height: 130 } as const;
/** A step that is higher than this is not kept whole: a new page would not hold it either, points. */
const MOST_KEPT = 640;
/** Letters of the tags on it, points. */
const TAG_SIZE = 7;

/** How each line of a step is set: its size, how far in, and its sign: a box to tick before its first line, or a bar that warns beside all of it. */
const STEP_LINES: Readonly<Record<StepLine['kind'], { size: number; indent: number; sign?: 'box' | 'bar' }>> = {
  caution: { size: 9, indent: 9, sign: 'bar' },
  work: { size: 9.5, indent: 0 },
  takes: { size: 8.5, indent: 0 },
  tools: { size: 8.5, indent: 0 },
  check: { size: 9.5, indent: 14, sign: 'box' },
};

/** The pieces in play among the others, each with its tag: how high that is, points, and how it is painted from a height of the page. */
function stepDrawing(
  o: BookletOptions,
  step: BuildStep,
): { readonly height: number; readonly paint: (pen: Pen, top: number) => void } {
  const frame = viewFrame(o.assembly, o.site.bed, o.site.survey, step.view);
  const scale = Math.min(STEP_DRAWING.width / frame.widthMm, STEP_DRAWING.height / frame.heightMm);
  return {
    height: frame.heightMm * scale,
    paint: (pen, top) => {
      const on = ([u, v]: Flat): Flat => [MARGIN + (u - frame.u0) * scale, top - (frame.v1 - v) * scale];
      const play = new Set(step.tags);
      drawShapes(pen.page, frame.shapes, on, scale, play);
      const widthOf = (text: string): number => pen.bold.widthOfTextAtSize(text, TAG_SIZE) + 3;
      for (const { text, at } of pieceTags(frame.shapes, play, {
        on,
        widthOf,
        high: TAG_SIZE + 1,
        left: MARGIN,
        right: MARGIN + STEP_DRAWING.width,
      }))
        pen.label(text, [at[0], at[1] - 0.36 * TAG_SIZE], TAG_SIZE, true);
    },
  };
}

/** A step, kept on one page: its drawing at the left, its words beside it, its marked pieces below where no step before showed them. */
function stepBlock(
  pen: Pen,
  o: BookletOptions,
  step: BuildStep,
  number: number,
  p: Preferences,
  shown: Set<string>,
): void {
  const { drawn, marked, lines } = stepContent(o, step);
  const left = drawn ? STEP_DRAWING.width + 14 : 0;
  const width = pen.width - left;
  const numbered = lines.filter((l) => l.kind === 'work').length > 1;
  let nth = 0;
  const set = lines.flatMap(({ kind, text }) => {
    const look = STEP_LINES[kind];
    const words = `${kind === 'work' && numbered ? `${++nth}) ` : ''}${phraseText(text, p)}`;
    return pen.lines(words, look.size, width - look.indent).map((line, i) => ({
      ...look,
      bold: false,
      text: line,
      sign: look.sign === 'box' && i > 0 ? undefined : look.sign,
    }));
  });
  const title = pen
    .lines(`${number}. ${step.title}`, 12, width, true)
    .map((text) => ({ size: 12, indent: 0, sign: undefined, bold: true, text }));
  const all = [...title, ...set];
  const words = all.reduce((sum, l) => sum + l.size * LEADING, 0);
  const drawing = drawn ? stepDrawing(o, step) : undefined;
  const beside = drawing ? drawing.height + 6 : 0;
  const pieces = marked.filter((m) => !shown.has(m.tag)).map((m) => markedPiece(m, pen.width, p.length, onPaper(pen)));
  for (const m of marked) shown.add(m.tag);
  const high = Math.max(words, beside) + pieces.reduce((sum, list) => sum + list.height + 4, 0) + 12;
  pen.ensureSpace(Math.min(high, MOST_KEPT));
  const top = pen.y - 6;
  drawing?.paint(pen, top - 6);
  pen.y = top;
  for (const l of all) {
    pen.ensureSpace(l.size * LEADING);
    pen.y -= l.size * LEADING;
    const x = MARGIN + left;
    if (l.sign === 'box') pen.box(x, pen.y - 1, 9, 9);
    if (l.sign === 'bar') pen.line(x + 2, pen.y - 2, x + 2, pen.y + l.size, 2.5);
    pen.text(l.text, x + l.indent, pen.y, l.size, { bold: l.bold });
  }
  pen.y = Math.min(pen.y - 4, top - beside);
  for (const list of pieces) {
    pen.y -= 4;
    paintMarks(pen, list);
  }
  pen.y -= 6;
}

/** A check as it is read: what it comes to, and its sentence. */
const checkLine = (c: Check, p: Preferences): string => `${STATUS_WORDS[checkStatus(c)]}: ${phraseText(c.text, p)}`;

/** Every piece by its tag: what it is, and its size. */
function pieces(pen: Pen, o: BookletOptions, p: Preferences): void {
  for (const { tags, what, size } of partsOf(o, p).filter((line) => line.tags.length > 0))
    pen.words(`${sayTags(tags)}: ${tags.length} \u00d7 ${what}${size === '' ? '' : `, ${size}`}`, 9);
}

/** What to hang by the bed: what it stands, what it keeps, when it wants air. */
function seasonCard(pen: Pen, o: BookletOptions, p: Preferences): void {
  const snowMm = carriedMm(o.judged().strengths, o.judged().unjudged);
  const { noon } = o.garden.site;
  const lines: string[] = [
    `${o.coldest.label}: ${formatAmount(o.coldest.value, o.coldest.quantity, p)}. Colder: a second layer, a blanket, jugs of water.`,
    ...(Number.isFinite(snowMm)
      ? [`It carries ${formatAmount(snowMm, 'snowDepth', p)} of wet snow. Brush it off before that, from outside.`]
      : Number.isNaN(snowMm)
        ? ['What snow it carries is not judged. Brush it off early, from outside.']
        : []),
    `Shut, a clear noon like ${sayDay(noon.date)} at ${formatAmount(noon.outsideC, 'temperature', p)} makes it ${formatAmount(o.air.riseShutC, 'warming', p)} warmer inside: open it when the sun is out.`,
    'Open in the morning, shut two hours before sunset. On a wind warning shut it, latch it and weight it, or strip it.',
    ...seasonLines(o),
    'Once a month: look at screws, straps and tape; wash the cover; mend tears while they are small.',
  ];
  const height = lines.reduce((sum, l) => sum + pen.lines(l, 10, pen.width - 28).length * 10 * LEADING, 0) + 34;
  pen.ensureSpace(height + 10);
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
function seasonLines(o: Assessment): readonly string[] {
  const told = seasonOfCover(o, `${o.garden.site.noon.date.slice(0, 4)}-01-01`).filter(
    (t) => t.kind !== 'light' && t.date.startsWith(o.garden.site.noon.date.slice(0, 4)),
  );
  return told.map((t) => `${sayDay(t.date)}${t.until === undefined ? '' : ` to ${sayDay(t.until)}`}: ${t.title}.`);
}

/**
 * Writes the booklet of a cover.
 * @returns the bytes of a PDF file; the same work gives the same bytes
 */
export async function booklet(o: BookletOptions, paper: PaperKey): Promise<Uint8Array> {
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
    `${priceName(o.shopping)} ${formatMoney(o.shopping.paid, units.currency)}`,
    `about ${formatAmount(o.hours.value, 'hours', units)}`,
    ...(size
      ? [`sheet ${formatAmount(size.acrossMm, 'film', units)} x ${formatAmount(size.alongMm, 'film', units)}`]
      : []),
    `${o.assembly.members.length + o.assembly.panels.length} pieces`,
  ];
  pen.words(facts.join('   |   '), 11, { bold: true });
  const verdict = planVerdict(o.judged().checks);
  pen.y -= 6;
  pen.words(verdict.line, 11, { bold: true });
  for (const c of verdict.open) pen.words(checkLine(c, units), 9);
  pen.y -= 8;
  drawings(pen, o);
  head(pen, 'Before you start');
  for (const line of new Set(o.assembly.steps.flatMap((s) => s.cautions))) pen.words(`- ${line}`, 9);
  head(pen, 'What holds');
  for (const line of conditionLines(o)) pen.words(phraseText(line, units), 9);
  for (const c of verdict.settled) pen.words(checkLine(c, units), 9);
  head(pen, 'The pieces');
  pieces(pen, o, units);
  head(pen, 'What to buy');
  shopping(pen, o, units);
  head(pen, 'Cut it');
  cutPages(pen, o);
  head(pen, 'Build it', 160);
  const shown = new Set<string>();
  o.assembly.steps.forEach((s, i) => stepBlock(pen, o, s, i + 1, units, shown));
  seasonCard(pen, o, units);
  for (const panel of curved(o)) templates(pen, panel, paper);
  return book.save();
}
