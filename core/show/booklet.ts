/** One booklet of a cover: drawings to scale, what to buy, the cuts, the steps, full-size templates, a card for the season. */
import { STATUS_WORDS, checkStatus } from '../judge/strength/check';
import { toolName } from '../catalog/handTools';
import { type Preferences, formatAmount, formatMoney } from '../base/amount';
import { type Phrase, phraseText, joinPhrases } from '../base/figure';
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
import { cutPages } from './cutBook';
import { drawShapes, drawings } from './pdfViews';
import { curved, templates } from './pdfTemplates';
import { LEADING, MARGIN, MARKET, type Pen, newBook } from './pen';
import { viewFrame } from './project';

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

/** Width of a step's drawing, and the least that its words take beside it, points. */
const STEP_DRAWING = { width: 190, height: 130 } as const;

/** A step, kept whole: its drawing at the left, its words beside it. */
function stepBlock(pen: Pen, o: BookletOptions, step: BuildStep, number: number, p: Preferences): void {
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
  if (step.tools.length > 0) put(`Tools: ${said(joinPhrases(step.tools.map(toolName), '; '))}.`, 8.5);
  for (const check of step.checks) put(said(check), 9.5, { sign: 'box', indent: 14 });
  const height = lines.reduce((sum, l) => sum + l.size * LEADING, 0) + 10;
  const block = Math.max(height, shown ? STEP_DRAWING.height + 10 : 0);
  pen.ensureSpace(Math.min(block, 640));
  const top = pen.y - 6;
  if (shown) {
    const frame = viewFrame(o.assembly, o.site.bed, o.site.survey, step.view);
    const scale = Math.min(STEP_DRAWING.width / frame.widthMm, STEP_DRAWING.height / frame.heightMm);
    const on = ([u, v]: Flat): Flat => [MARGIN + (u - frame.u0) * scale, top - 6 - (frame.v1 - v) * scale];
    drawShapes(pen.page, frame.shapes, on, scale, new Set(step.tags));
  }
  pen.y = top;
  for (const l of lines) {
    pen.ensureSpace(l.size * LEADING);
    pen.y -= l.size * LEADING;
    const x = MARGIN + left;
    if (l.sign === 'box') pen.box(x, pen.y - 1, 9, 9);
    if (l.sign === 'bar') pen.line(x + 2, pen.y - 2, x + 2, pen.y + l.size, 2.5);
    pen.text(l.text, x + (l.indent ?? 0), pen.y, l.size, { bold: l.bold ?? false });
  }
  pen.y = Math.min(pen.y, top - (shown ? STEP_DRAWING.height + 10 : 0)) - 6;
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
  for (const line of conditionLines(o)) pen.words(phraseText(line, units), 9);
  for (const c of o.judged().checks)
    pen.words(
      `${c.verdict === 'fails' ? STATUS_WORDS.fails.toUpperCase() : STATUS_WORDS[checkStatus(c)]}: ${phraseText(c.text, units)}`,
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
