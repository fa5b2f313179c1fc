import fc from 'fast-check';
import { evaluate } from './evaluate';
import { assemblyOf } from './garden/assemblyOf';
import { changesBetween, withChanges } from './garden/difference';
import { demoGarden } from './garden/demo';
import type { Garden } from './garden/garden';
import type { Assessment } from './assessment';
import type { Result } from './base/result';
import { layoutCover } from './layout';
import { assess, assessCover } from './plan';

/** Edits as a gardener makes them, each touching something else. */
const EDITS: readonly ((g: Garden) => Garden)[] = [
  (g) => ({ ...g, covers: g.covers.map((c, i) => (i === 0 ? { ...c, answers: { ...c.answers, hoops: 7 } } : c)) }),
  (g) => ({ ...g, covers: g.covers.map((c, i) => (i === 1 ? { ...c, build: { at: 2, done: ['x'] } } : c)) }),
  (g) => ({ ...g, covers: [...g.covers].reverse() }),
  (g) => ({ ...g, covers: g.covers.slice(1) }),
  (g) => ({ ...g, beds: g.beds.map((b) => ({ ...b, soilBelowRimMm: b.soilBelowRimMm + 7 })) }),
  (g) => ({ ...g, site: { ...g.site, gustMPerS: g.site.gustMPerS + 3 } }),
  (g) => ({ ...g, prices: { ...g.prices, 'pvc-1/2 3048': 1 } }),
  (g) => ({ ...g, units: { ...g.units, length: 'cm' } }),
  (g) => ({ ...g, units: { ...g.units, stock: 'metric' } }),
  (g) => ({ ...g, shelf: g.shelf.slice(1), owned: { ...g.owned, strap: 3 } }),
  (g) => ({ ...g, covers: g.covers.map((c) => ({ ...c, also: [{ itemKey: 'rope', count: 4 }] })) }),
  (g) => ({ ...g, landmarks: g.landmarks.map((l) => ({ ...l, at: { ...l.at, yMm: l.at.yMm + 200 } })) }),
  (g) => ({ ...g, covers: g.covers.map((c) => ({ ...c, tending: { ...c.tending, brushes: !c.tending.brushes } })) }),
];
const edits = fc.array(fc.constantFrom(...EDITS), { maxLength: 6 });

/** An assessment with what it is judged to be. */
const whole = (o: Result<Assessment>) => (o.ok ? { ...o.value, judged: o.value.judged() } : o);

test('what is remembered is what would be worked out anew, after any edits', () => {
  fc.assert(
    fc.property(edits, (list) => {
      let garden = demoGarden();
      for (const edit of list) {
        garden = edit(garden);
        for (const c of [...garden.covers.slice(0, 2), ...garden.covers.slice(-1)])
          expect(whole(evaluate(garden, c))).toEqual(whole(assessCover(garden, c)));
      }
    }),
    { numRuns: 25, seed: 11 },
  );
});

test('nothing is judged before it is asked for: the drawing does not wait for it', () => {
  const garden = demoGarden();
  const [lid] = garden.covers;
  const laid = lid && layoutCover(garden, lid);
  if (!laid?.ok) throw new Error('not built');
  const { assembly } = laid.value;
  let asked = 0;
  const seen = Object.defineProperty({ ...assembly }, 'pushedRails', {
    get: () => (asked++, assembly.pushedRails),
  });
  const o = assess({ ...laid.value, assembly: seen });
  expect(asked).toBe(0);
  expect(o.judged()).toBe(o.judged());
  expect(asked).toBe(1);
});

test('an edit elsewhere lays nothing out again; one of the cover’s own does', () => {
  const before = demoGarden();
  const [lid, tunnel] = before.covers;
  if (!lid || !tunnel) throw new Error('no covers');
  const first = evaluate(before, lid);
  const after = { ...before, owned: { strap: 2 }, units: { ...before.units, length: 'mm' as const } };
  const again = evaluate(after, lid);
  if (!first.ok || !again.ok) throw new Error('not built');
  expect(again.value.assembly).toBe(first.value.assembly);
  expect(again.value.judged().checks).toBe(first.value.judged().checks);
  expect(again.value.garden).toBe(after);
  expect(evaluate(after, lid)).toBe(again);
  expect(assemblyOf(after, tunnel)).toBe(assemblyOf(before, tunnel));
  const windier = { ...before, site: { ...before.site, gustMPerS: 45 } };
  const blown = evaluate(windier, lid);
  expect(blown.ok && blown.value.judged().checks).not.toBe(first.value.judged().checks);
});

test('changes make one garden into the other, and leave alone what they do not touch', () => {
  fc.assert(
    fc.property(edits, edits, (one, two) => {
      const before = one.reduce((g, edit) => edit(g), demoGarden());
      const after = two.reduce((g, edit) => edit(g), before);
      const made = withChanges(before, structuredClone(changesBetween(before, after)));
      expect(made).toEqual(after);
      for (const c of after.covers) if (before.covers.includes(c)) expect(made.covers).toContain(c);
      if (after.beds === before.beds) expect(made.beds).toBe(before.beds);
    }),
    { numRuns: 60, seed: 3 },
  );
});

test('one more hoop is a small message, not the whole garden', () => {
  const before = demoGarden();
  const more = EDITS[0]?.(before) ?? before;
  const sent = JSON.stringify(changesBetween(before, more)).length;
  expect(sent).toBeLessThan(JSON.stringify(before).length / 4);
  expect(changesBetween(before, before)).toEqual([]);
});
