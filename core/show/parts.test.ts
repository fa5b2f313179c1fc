import { evaluate } from '../evaluate';
import { demoGarden } from '../garden/demo';
import { checkGarden } from '../garden/garden';
import { withCopiedCover, withNextYear } from '../garden/order';
import { partsOf } from './parts';

const garden = demoGarden();
const units = { length: 'ftin', temperature: 'C', currency: 'USD' } as const;

test('every piece, sheet, panel and thing of every cover is in its list, once', () => {
  for (const cover of garden.covers) {
    const o = evaluate(garden, cover);
    if (!o.ok) throw new Error(cover.id);
    const { assembly: a } = o.value;
    const lines = partsOf(o.value, units);
    const tags = lines.flatMap((l) => l.tags);
    const all = [...a.members, ...a.sheets, ...a.panels, ...a.blocks].map((p) => p.tag);
    expect([...tags].sort()).toEqual([...all].sort());
    for (const l of lines) if (l.tags.length > 0) expect(l.count).toBe(l.tags.length);
    const blocks = new Set(a.blocks.map((b) => b.itemKey));
    const small = new Set([...a.hardware, ...o.value.also].map((h) => h.itemKey).filter((k) => !blocks.has(k)));
    expect(lines.filter((l) => l.tags.length === 0)).toHaveLength(small.size);
  }
});

test('next year’s copy has the design, its coats and tending, and what it is now to measure changes against; nothing that was built', () => {
  const coats = [{ coverKey: 'net', from: '06-01', to: '08-01' }];
  const [first, ...rest] = garden.covers;
  if (!first) throw new Error();
  const worn = {
    ...garden,
    covers: [{ ...first, coats, state: { is: 'standing' as const, since: '2026-10-01' } }, ...rest],
  };
  const next = withNextYear(worn, first.id, 'copy').covers.find((c) => c.id === 'copy');
  expect(next).toMatchObject({
    name: `${first.name}, next year`,
    answers: first.answers,
    kept: first.answers,
    coats,
    state: { is: 'next-year' },
    build: { at: 0, done: [] },
    cut: [],
  });
  const copied = withCopiedCover(worn, first.id, 'twin').covers.find((c) => c.id === 'twin');
  expect(copied).toMatchObject({ coats, state: { is: 'planned' } });
  expect(checkGarden({ ...worn, ...withNextYear(worn, first.id, 'copy') }).ok).toBe(true);
  expect(withNextYear(worn, 'nobody', 'x').covers).toBe(worn.covers);
});

test('where a cover is stored is kept; a date that is none is refused by its field', () => {
  const [first, ...rest] = garden.covers;
  const stored = (state: unknown) => checkGarden({ ...garden, covers: [{ ...first, state }, ...rest] });
  const shed = { is: 'stored', since: null, where: 'shed' };
  const r = stored(shed);
  expect(r.ok && r.value.covers[0]?.state).toEqual(shed);
  const bad = stored({ ...shed, since: 'spring' });
  expect(bad.ok ? '' : bad.faults[0]?.field).toBe('covers[0].state.since');
});
