/** What is written for other programs and for paper, read back. */
import highsLoader from 'highs';
import Papa from 'papaparse';
import { PDFArray, PDFDocument, PDFName, PDFRawStream, decodePDFRawStream } from 'pdf-lib';
import { demoGarden } from '../garden/demo';
import type { Cover } from '../garden/garden';
import { highsSolver } from '../make/cutting/highs';
import { type Plan, plan } from '../plan';
import { cutsCsv, shoppingCsv } from './csv';
import { cutBook } from './cutBook';
import { bounds, drawAssembly } from './project';
import { viewSvg } from './svg';

const garden = demoGarden();
let p: Plan;
beforeAll(async () => {
  const made = plan(garden, garden.covers[0] as Cover, highsSolver(await highsLoader()));
  if (!made.ok) throw new Error(JSON.stringify(made.faults));
  p = made.value;
});
const rows = (text: string) => Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;

test('the cut list as CSV: every piece once, its mark at the sum of what was cut before it and the kerfs', () => {
  const list = rows(cutsCsv(p));
  expect(list.map((r) => r['tag']).sort()).toEqual(p.assembly.members.map((m) => m.tag).sort());
  for (const m of p.assembly.members) {
    const row = list.find((r) => r['tag'] === m.tag);
    expect(Number(row?.['length mm'])).toBeCloseTo(m.lengthMm, 6);
    expect(row?.['material']).toBe(m.section.name);
    expect(row?.['part']).toBe(m.part);
  }
  for (const bar of p.cuts.flatMap((c) => c.bars.map((b) => ({ ...b, section: c.section })))) {
    const marks = list.filter((r) => r['bar'] === bar.label).map((r) => Number(r['mark mm']));
    const { squareMm, tool } = bar.section;
    let at = bar.pieces[0] ? (marks[0] ?? NaN) - bar.pieces[0].lengthMm : 0;
    // The end is squared first, unless the piece is the whole of a bar.
    expect([0, squareMm, squareMm + tool.kerfMm].some((x) => Math.abs(x - at) < 0.06)).toBe(true);
    bar.pieces.forEach((piece, i) => {
      at += piece.lengthMm;
      expect(marks[i]).toBeCloseTo(at, 0);
      at += tool.kerfMm;
    });
  }
});

test('the shopping list as CSV adds up to its total, and a spreadsheet takes nothing in it for a formula', () => {
  const list = rows(shoppingCsv(p));
  const lines = list.filter((r) => r['need'] !== '' && r['aisle'] !== '');
  const paid = lines.reduce((sum, r) => sum + Number(r['paid']), 0);
  expect(paid).toBeCloseTo(p.shopping.paid, 2);
  expect(lines.length).toBeGreaterThan(10);
  const said = '=HYPERLINK("x")';
  const evil = shoppingCsv({
    ...p,
    garden: { ...p.garden, notes: Object.fromEntries(p.shopping.lines.map((l) => [l.priceKey, said])) },
  });
  expect(evil).toContain('HYPERLINK');
  for (const row of Papa.parse<string[]>(evil, { skipEmptyLines: true }).data)
    for (const cell of row) expect(cell).not.toMatch(/^[=+@\t\r]|^-(?!\d)/);
});

test('a view as SVG: as large as the thing, every board and pipe in it, its measures under it', () => {
  for (const view of ['end', 'side', 'plan'] as const) {
    const svg = viewSvg(p, view);
    const { u0, u1 } = bounds(drawAssembly(p.assembly, p.site.bed, p.site.survey, view));
    const width = Number(/ width="([\d.]+)mm"/.exec(svg)?.[1]);
    expect(width).toBeCloseTo(u1 - u0 + 160, 6);
    const drawn = drawAssembly(p.assembly, p.site.bed, p.site.survey, view);
    expect(svg.match(/<poly(gon|line) /g)).toHaveLength(drawn.length);
    // Pipes are as wide as they are.
    for (const d of drawn) if (d.widthMm !== undefined) expect(svg).toContain(`stroke-width="${d.widthMm.toFixed(1)}"`);
    for (const d of p.assembly.dimensions.filter((x) => x.view === view)) expect(svg).toContain(`>${d.label}: `);
  }
});

/** All words of a PDF in the fonts that every reader has. */
async function wordsOf(bytes: Uint8Array): Promise<string> {
  const pdf = await PDFDocument.load(bytes);
  const said: string[] = [];
  for (const page of pdf.getPages()) {
    const contents = page.node.normalizedEntries().Contents ?? page.node.lookup(PDFName.of('Contents'));
    const streams =
      contents instanceof PDFArray ? contents.asArray().map((ref) => pdf.context.lookup(ref)) : [contents];
    for (const s of streams) {
      if (!(s instanceof PDFRawStream)) continue;
      const text = Buffer.from(decodePDFRawStream(s).decode()).toString('latin1');
      for (const [, hex = ''] of text.matchAll(/<([0-9A-F]*)> Tj/gi))
        said.push(Buffer.from(hex, 'hex').toString('latin1'));
    }
  }
  return said.join('\n');
}

test('the cut book names every bar, every piece with its mark, and every roll', async () => {
  const words = await wordsOf(await cutBook(p, 'Winter greens lid'));
  expect(words).toContain('Winter greens lid');
  for (const c of p.cuts) {
    expect(words).toContain(c.section.name);
    for (const bar of c.bars) {
      expect(words).toContain(bar.label);
      for (const piece of bar.pieces) expect(words.split('\n').some((w) => w.includes(piece.tag))).toBe(true);
    }
  }
  for (const roll of p.rolls.rolls) for (const s of roll.placed) expect(words).toContain(s.tag);
  // Which face of a film goes outside is told where there is one.
  expect(words).toContain('; printed face outside');
  expect(words).not.toContain('null');
});
