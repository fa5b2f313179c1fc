import { FAMILY_KEYS } from '../cover/families';
import { demoGarden } from '../garden/demo';
import { pullOf, pulled } from './pull';
import { assessCover } from '../plan';
import type { Assessment } from '../assessment';
import { startingCover } from './firstDesigns';

const garden = demoGarden();
const of = (family: string, bedId: string): Assessment | undefined => {
  const cover = startingCover(garden, bedId, family, 'x', 'X');
  const built = cover && assessCover(garden, cover);
  return built?.ok ? built.value : undefined;
};

test.each(FAMILY_KEYS)(
  'every measure of %s that is typed in the drawing can be pulled at, by the end that moves',
  (family) => {
    const o = of(family, 'long');
    if (!o) throw new Error(family);
    const pulledAt = (x: { typed: boolean; side: string }): boolean => x.typed && x.side !== 'leader';
    // What follows from other measures, or is told beside a line, is not pulled.
    for (const d of o.assembly.dimensions) if (!pulledAt(d)) expect(pullOf(o, d.id)).toBeUndefined();
    for (const d of o.assembly.dimensions.filter(pulledAt)) {
      const pull = pullOf(o, d.id);
      if (!pull) throw new Error(d.id);
      const axis = d.side === 'below' || d.side === 'above' ? 0 : 1;
      // Far enough for what goes by whole steps.
      const moved = [0.3, -0.3].flatMap((part) => {
        const way = (part * d.valueMm) / pull.perMm;
        const p = pulled(o, pull, way, 0, 0);
        if (!p.ok) return [];
        const after = assessCover(garden, { ...o.cover, answers: p.value.answers } as Assessment['cover']);
        const now = after.ok ? after.value.assembly.dimensions.find((x) => x.id === d.id) : undefined;
        if (!now) return [];
        // What it measures then is told beside it.
        expect(p.value.valueMm).toBeCloseTo(now.valueMm, 6);
        expect(p.value.said).toEqual([]);
        const flat = (q: readonly number[]): number =>
          (d.view === 'end' ? [q[1], q[2]] : d.view === 'side' ? [q[0], q[2]] : [q[0], q[1]])[axis] ?? 0;
        return [{ id: d.id, way, gone: flat(now.to) - flat(d.to), grown: now.valueMm - d.valueMm }];
      });
      const follows = moved.some((m) => Math.abs(m.gone) > 1 && Math.sign(m.gone) === Math.sign(m.way));
      expect([family, d.id, moved.length > 0 ? follows : 'nowhere']).toEqual([
        family,
        d.id,
        moved.length > 0 ? true : 'nowhere',
      ]);
    }
  },
);

test('drawn to the crop it just fits, within half a millimetre; to half a bar, two pieces with the saw between them come out of it', () => {
  let [fits, halves] = [0, 0];
  for (const family of FAMILY_KEYS) {
    const o = of(family, 'long');
    if (!o) throw new Error(family);
    for (const d of o.assembly.dimensions) {
      const pull = pullOf(o, d.id);
      for (const snap of pull?.snaps ?? []) {
        const said = snap.said.filter((part) => typeof part === 'string').join('');
        if (!pull || !/just fits|half a/.test(said)) continue;
        const there = pulled(o, pull, (snap.valueMm - d.valueMm) / pull.perMm, 0, 1);
        if (!there.ok) continue;
        const after = assessCover(garden, { ...o.cover, answers: there.value.answers } as Assessment['cover']);
        if (!after.ok) throw new Error(`${family} ${d.id}`);
        if (said.includes('just fits')) {
          fits += 1;
          expect([family, d.id, Math.abs(after.value.assembly.crop.clearanceMm) < 0.51]).toEqual([family, d.id, true]);
          continue;
        }
        const part = said.slice(0, said.indexOf(' half a'));
        const m = after.value.assembly.members.find((x) => x.part.toLowerCase() === part);
        if (!m || Math.abs(there.value.valueMm - snap.valueMm) > 0.1) continue;
        halves += 1;
        const over = m.section.stock.map((bar) => Math.abs(2 * m.lengthMm + m.section.tool.kerfMm - bar.lengthMm));
        expect([family, d.id, part, Math.min(...over) < 1.01]).toEqual([family, d.id, part, true]);
      }
    }
  }
  expect([fits > 5, halves > 3]).toEqual([true, true]);
});

test('the height of a hoop is drawn to what the trade makes of it', () => {
  const o = of('hinged-hoop-lid', 'long');
  if (!o) throw new Error('no lid');
  const snaps = pullOf(o, 'height')?.snaps ?? [];
  // As high as a pipe stands that is as long as half a circle over its feet.
  const cover = { ...o.cover, answers: { ...o.cover.answers, shape: { by: 'half-circle' } } } as Assessment['cover'];
  const half = assessCover(garden, cover);
  if (!half.ok) throw new Error('no half circle');
  const high = half.value.assembly.dimensions.find((d) => d.id === 'height')?.valueMm;
  expect(snaps.find((s) => s.said.join() === 'half circle')?.valueMm).toBeCloseTo(high ?? NaN, 6);
  expect(pullOf(o, 'no such measure')).toBeUndefined();
  // A width has no such schools.
  const said = (id: string) => (pullOf(o, id)?.snaps ?? []).map((s) => s.said.join());
  expect(said('coverLength')).not.toContain('half circle');
});
