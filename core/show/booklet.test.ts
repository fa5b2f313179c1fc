import highsLoader from 'highs';
import { inflateSync } from 'node:zlib';
import { PDFDocument, PDFRawStream, decodePDFRawStream } from 'pdf-lib';
import { FAMILY_KEYS } from '../cover/families';
import { demoGarden } from '../garden/demo';
import type { Cover, Garden } from '../garden/garden';
import { highsSolver } from '../make/cutting/highs';
import type { IntegerSolver } from '../make/cutting/linearProgram';
import { type Plan, plan } from '../plan';
import { firstCover } from '../explore/firstDesigns';
import { booklet } from './booklet';
import { Pen } from './pen';
import { stepContent } from './stepContent';
import { tagSheet } from './tagSheet';

let solver: IntegerSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});

const planned = (garden: Garden, cover: Cover): Plan => {
  const made = plan(garden, cover, solver);
  if (!made.ok) throw new Error(JSON.stringify(made.faults));
  return made.value;
};

/** All words written in a file, one after another: strings of its page streams are in hexadecimal. */
async function wordsOf(bytes: Uint8Array): Promise<{ readonly pages: number; readonly words: string }> {
  const file = await PDFDocument.load(bytes);
  const words = file.context
    .enumerateIndirectObjects()
    .flatMap(([, object]) => (object instanceof PDFRawStream ? [object] : []))
    .map((stream) => {
      try {
        return Buffer.from(decodePDFRawStream(stream).decode()).toString('latin1');
      } catch {
        return inflateSync(stream.contents).toString('latin1');
      }
    })
    .flatMap((text) =>
      [...text.matchAll(/<([0-9A-F]+)> Tj/g)].map(([, hex = '']) => Buffer.from(hex, 'hex').toString('latin1')),
    );
  return { pages: file.getPageCount(), words: words.join('\n') };
}

test.each(FAMILY_KEYS)('the booklet of %s tells every piece, thing to buy and step, on few pages', async (family) => {
  const garden = demoGarden();
  for (const bed of garden.beds) {
    const cover = firstCover(garden, bed.id, family, 'x', 'Made-up cover');
    const made = cover && plan(garden, cover, solver);
    if (!made?.ok) continue;
    const p = made.value;
    const { pages, words } = await wordsOf(await booklet(p, 'letter'));
    for (const m of p.assembly.members) expect(words).toContain(m.tag);
    for (const step of p.assembly.steps) expect(words.replaceAll('\n', ' ')).toContain(step.title.split(' ')[0]);
    expect(words).toContain('In all');
    expect(words).toContain('Card to hang by the bed');
    expect(words).not.toContain('[object');
    expect(words).not.toContain('undefined');
    const curved = p.assembly.panels.filter((x) => x.curved).length;
    expect(pages).toBeLessThan(curved > 0 ? 60 : 16);
    const tags = await wordsOf(await tagSheet(p, 'letter'));
    for (const piece of [...p.assembly.members, ...p.assembly.panels, ...p.assembly.sheets])
      expect(tags.words.split('\n')).toContain(piece.tag);
    return;
  }
});

test('the demo lid takes seven pages, the same every time, on the paper that is asked for', async () => {
  const garden = demoGarden();
  const [cover] = garden.covers;
  if (!cover) throw new Error('no cover');
  const p = planned(garden, cover);
  const bytes = await booklet(p, 'letter');
  expect(await booklet(p, 'letter')).toEqual(bytes);
  expect((await wordsOf(bytes)).pages).toBeLessThanOrEqual(7);
  const a4 = await PDFDocument.load(await booklet(p, 'a4'));
  expect(a4.getPage(0).getSize().height).toBeCloseTo(841.89, 2);
});

test.each(['hinged-hoop-lid', 'walk-in', 'lean-to'] as const)(
  'no step of %s is broken over two pages, and every mark along a piece is drawn once',
  async (family) => {
    const garden = demoGarden();
    const covers = garden.beds.map((bed) => firstCover(garden, bed.id, family, 'x', 'Made-up cover'));
    const p = planned(garden, covers.find((c) => c !== undefined) as Cover);
    const log: string[] = [];
    const turned = jest.spyOn(Pen.prototype, 'newPage');
    const wrote = jest.spyOn(Pen.prototype, 'text').mockImplementation(function (this: Pen, said: string) {
      if (turned.mock.calls.length > log.filter((l) => l === 'PAGE').length) log.push('PAGE');
      else log.push(said);
    });
    // Tags in a step's drawing are written before its title.
    const labelled = jest.spyOn(Pen.prototype, 'label').mockImplementation(() => undefined);
    await booklet(p, 'letter');
    labelled.mockRestore();
    wrote.mockRestore();
    turned.mockRestore();
    const titles = p.assembly.steps.map((s, i) => `${i + 1}. ${s.title}`);
    const first = log.findIndex((l) => titles[0]?.startsWith(l) && l.startsWith('1. '));
    const card = log.findIndex((l) => l.startsWith('Card to hang'));
    expect(first).toBeGreaterThan(0);
    const afterTurns = log.slice(first, card).flatMap((l, i, all) => (l === 'PAGE' ? [all[i + 1] ?? 'Card'] : []));
    for (const next of afterTurns) expect(next).toMatch(/^(\d+\. |Card)/);
    const hooks = log.slice(first, card).filter((l) => l.startsWith('0: hook the tape'));
    const marked = new Set(p.assembly.steps.flatMap((s) => stepContent(p, s).marked.map((m) => m.tag)));
    expect(hooks).toHaveLength(marked.size);
  },
);

test('a box to tick stands before every check, once however many lines that takes, and before every bar, sheet and roll', async () => {
  const garden = demoGarden();
  const cover = firstCover(garden, 'long', 'lean-to', 'x', 'Lean-to') as Cover;
  const made = planned(garden, cover);
  const long = [['It is level, and plumb, and square, '.repeat(8)]];
  const steps = made.assembly.steps.map((step, i) => (i === 1 ? { ...step, checks: long } : step));
  const p = { ...made, assembly: { ...made.assembly, steps } };
  const box = jest.spyOn(Pen.prototype, 'box');
  await booklet(p, 'letter');
  const ticked = box.mock.calls.filter(([, , width, height]) => width === 9 && height === 9).length;
  box.mockRestore();
  const checks = p.assembly.steps.flatMap((step) => step.checks).length;
  const cut = p.cuts.flatMap((c) => c.bars).length + p.sheets.sheets.length + p.rolls.rolls.length;
  expect(ticked).toBe(checks + cut);
});

test('names of any letters go on paper as near as they come', async () => {
  const garden = demoGarden();
  const [cover] = garden.covers;
  if (!cover) throw new Error('no cover');
  const odd = { ...cover, name: 'Zimní kryt − żółty 苗' } as Cover;
  const g = { ...garden, covers: [odd] };
  await expect(booklet(planned(g, odd), 'a4')).resolves.toBeInstanceOf(Uint8Array);
});
