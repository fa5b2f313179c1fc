import { isCut, isFlatCut } from './onHand';
import highsLoader from 'highs';
import { demoGarden } from '../../garden/demo';
import type { Cover, Garden } from '../../garden/garden';
import { type Plan, assessCover, plan } from '../../plan';
import { highsSolver } from './highs';
import type { IntegerSolver } from './linearProgram';
import { KEPT_OFFCUT_MM, cutBar, cutFlat, outgrown, spoil } from './tickOff';

let solver: IntegerSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});
const planOf = (garden: Garden): Plan => {
  const made = plan(garden, garden.covers[0] as Cover, solver);
  if (!made.ok) throw new Error(JSON.stringify(made.faults));
  return made.value;
};
const tags = (p: Plan): readonly string[] => p.cuts.flatMap((c) => c.bars.flatMap((b) => b.pieces.map((x) => x.tag)));
const owner = (tag: string) => ({ coverId: 'winter-lid', tag });
const onShelf = (g: Garden, key: string): number =>
  g.shelf.filter((b) => b.sectionKey === key).reduce((sum, b) => sum + b.quantity, 0);

test('a bar ticked off: its pieces are planned no more, the rest is, and what is left lies on the shelf', () => {
  const garden = demoGarden();
  const before = planOf(garden);
  const cut = before.cuts.find((c) => c.section.key === '2x4');
  const bar = cut?.bars.find((b) => !b.fromShelf && b.offcutMm > KEPT_OFFCUT_MM);
  if (!cut || !bar) throw new Error('a bought bar with a rest');
  cutBar(garden, '2x4', bar, owner, 'new');
  const done = bar.pieces.map((p) => p.tag);
  expect(garden.covers[0]?.cut.map((d) => d.tag)).toEqual(done);
  expect(garden.shelf).toContainEqual(expect.objectContaining({ id: 'new', sectionKey: '2x4', quantity: 1 }));
  const after = planOf(garden);
  expect([...tags(after), ...done].sort()).toEqual([...tags(before)].sort());
  expect(after.shopping.paid).toBeLessThan(before.shopping.paid);
});

test('a bar from the shelf is gone from it', () => {
  const garden = demoGarden();
  const bar = planOf(garden)
    .cuts.find((c) => c.section.key === 'pvc-1/2')
    ?.bars.find((b) => b.fromShelf);
  if (!bar) throw new Error('a pipe from the shelf');
  const had = onShelf(garden, 'pvc-1/2');
  cutBar(garden, 'pvc-1/2', { ...bar, offcutMm: 0 }, owner, 'new');
  expect(onShelf(garden, 'pvc-1/2')).toBe(had - 1);
  // The last of them leaves no line of none behind.
  const other = {
    id: 'other',
    sectionKey: 'pvc-1/2',
    lengthMm: bar.lengthMm,
    quantity: 1,
    condition: 'sound',
    where: '',
  } as const;
  garden.shelf = [other, { ...other, id: 'last' }];
  cutBar(garden, 'pvc-1/2', { ...bar, shelfId: 'last', offcutMm: 0 }, owner, 'newer');
  expect(garden.shelf).toEqual([other]);
  // Of two one is left.
  garden.shelf = [{ ...other, quantity: 2 }];
  cutBar(garden, 'pvc-1/2', { ...bar, shelfId: 'other', offcutMm: 0 }, owner, 'newest');
  expect(garden.shelf).toEqual([other]);
});

test('a piece cut short becomes an offcut and is planned again round what is already cut', () => {
  const garden = demoGarden();
  const before = planOf(garden);
  const pipes = before.cuts.find((c) => c.section.key === 'pvc-1/2');
  const bar = pipes?.bars.find((b) => !b.fromShelf);
  const piece = bar?.pieces[0];
  if (!bar || !piece) throw new Error('a bought pipe');
  cutBar(garden, 'pvc-1/2', bar, owner, 'rest');
  spoil(garden, 'winter-lid', piece.tag, piece.lengthMm - 300, 'short');
  expect(garden.covers[0]?.cut.some((d) => d.tag === piece.tag)).toBe(false);
  expect(garden.shelf.some((b) => b.id === 'short' && Math.abs(b.lengthMm - piece.lengthMm + 300) < 0.1)).toBe(true);
  const after = planOf(garden);
  expect(tags(after)).toContain(piece.tag);
  for (const other of bar.pieces.slice(1)) expect(tags(after)).not.toContain(other.tag);
  // Nobody spoils what is not cut.
  const same = structuredClone(garden);
  spoil(same, 'winter-lid', 'Z9', 100, 'none');
  expect(same).toEqual(garden);
});

test('a piece that the design has moved away from is said, and cut again', () => {
  const garden = demoGarden();
  const { members } = planOf(garden).assembly;
  const hoop = members.find((m) => m.tag === 'H1');
  if (!hoop) throw new Error('a hoop');
  const right = { tag: 'H1', sectionKey: hoop.section.key, lengthMm: hoop.lengthMm };
  const wrong = { ...right, lengthMm: hoop.lengthMm + 50 };
  expect([isCut([right], hoop), isCut([wrong], hoop)]).toEqual([true, false]);
  expect(outgrown([right], members)).toEqual([]);
  expect(outgrown([wrong, { ...right, tag: 'H99' }], members).map((x) => x.now?.tag)).toEqual(['H1', undefined]);
});

test('a piece of sheet is cut when one of its tag, its sheet and its sizes is, either way round', () => {
  const one = { kind: 'sheet', tag: 'G1', key: 'twin-wall-6', widthMm: 600, lengthMm: 900 } as const;
  const cut = (tag: string, key: string, widthMm: number, lengthMm: number) =>
    isFlatCut([one], tag, key, widthMm, lengthMm);
  expect([cut('G1', 'twin-wall-6', 600, 900), cut('G1', 'twin-wall-6', 900.5, 599.5)]).toEqual([true, true]);
  expect([cut('G2', 'twin-wall-6', 600, 900), cut('G1', 'corrugated', 600, 900)]).toEqual([false, false]);
  for (const [width, length] of [
    [600, 901],
    [601, 900],
    [900, 601],
    [901, 600],
    [600, 600],
    [900, 900],
  ] as const)
    expect(cut('G1', 'twin-wall-6', width, length)).toBe(false);
  expect(isFlatCut([], 'G1', 'twin-wall-6', 600, 900)).toBe(false);
});

test('a sheet and a roll ticked off: their pieces are planned no more, and what is left is used next', () => {
  const garden = demoGarden();
  const at = garden.covers.findIndex((c) => c.id === 'window-frame');
  const cover = (): Cover => garden.covers[at] as Cover;
  const own = (tag: string) => ({ coverId: 'window-frame', tag });
  const drawn = () => {
    const made = assessCover(garden, cover());
    if (!made.ok) throw new Error(JSON.stringify(made.faults));
    return made.value;
  };
  let n = 0;
  const fresh = (): string => `left-${n++}`;
  const sheet = drawn().sheets.sheets[0];
  if (!sheet) throw new Error('a sheet');
  const as = { kind: 'sheet' as const, key: sheet.sheet.key, shelfId: undefined };
  cutFlat(garden, { ...as, placed: sheet.placed, left: [{ widthMm: 600, lengthMm: 1300 }] }, own, fresh);
  expect(cover().cutFlat.map((d) => d.tag)).toEqual(sheet.placed.map((p) => p.tag));
  expect(drawn().sheets.sheets.flatMap((s) => s.placed)).toEqual([]);
  expect(garden.shelfFlat).toEqual([
    expect.objectContaining({ id: 'left-0', widthMm: 600, lengthMm: 1300, quantity: 1 }),
  ]);
  // Cut too short: it is planned again, and what came out lies on the shelf.
  const spoilt = sheet.placed[0]?.tag ?? '';
  spoil(garden, 'window-frame', spoilt, 200, fresh());
  expect(garden.shelfFlat.map((s) => [s.id, s.lengthMm])).toEqual([
    ['left-0', 1300],
    ['left-1', 200],
  ]);
  expect(drawn().sheets.sheets.flatMap((s) => s.placed.map((p) => p.tag))).toEqual([spoilt]);
  // What belongs to no cover of the garden is ticked off for none.
  const before = JSON.stringify(garden.covers);
  const [piece] = sheet.placed;
  if (!piece) throw new Error('a piece');
  cutFlat(garden, { ...as, placed: [piece], left: [] }, () => undefined, fresh);
  cutFlat(garden, { ...as, placed: [piece], left: [] }, (tag) => ({ coverId: 'another', tag }), fresh);
  expect(JSON.stringify(garden.covers)).toBe(before);
  // A sheet of the shelf that is cut up is gone from it.
  cutFlat(garden, { ...as, shelfId: 'left-0', placed: [], left: [] }, own, fresh);
  expect(garden.shelfFlat.map((s) => s.id)).toEqual(['left-1']);
  // Of two alike one is left.
  garden.shelfFlat = garden.shelfFlat.map((s) => ({ ...s, quantity: 2 }));
  cutFlat(garden, { ...as, shelfId: 'left-1', placed: [], left: [] }, own, fresh);
  expect(garden.shelfFlat.map((s) => [s.id, s.quantity])).toEqual([['left-1', 1]]);
});

test('firewood is not kept: less than 200 mm is no offcut', () => {
  const shelved = (offcutMm: number): number => {
    const garden = demoGarden();
    const bar = planOf(garden)
      .cuts.find((c) => c.section.key === '2x4')
      ?.bars.find((b) => !b.fromShelf);
    if (!bar) throw new Error('a bought board');
    cutBar(garden, '2x4', { ...bar, offcutMm }, owner, 'new');
    return garden.shelf.filter((b) => b.id === 'new').length;
  };
  expect(shelved(199)).toBe(0);
  expect(shelved(201)).toBe(1);
});
