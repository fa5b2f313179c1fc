/** Heights near the greatest that a pipe of a length can stand: two shapes have each, and the wider one is given. */
import { solveHoop } from './elastica';
import type { Feet } from './types';

const FEET: readonly Feet[] = [
  { kind: 'pinned' },
  ...[20, 45, 75, 90, 105, 120].map((angleDeg): Feet => ({ kind: 'fixed', angleDeg })),
];

/** The greatest height of a pipe 1000 long, and the span it has there, from the spans themselves. */
function greatest(feet: Feet): { readonly height: number; readonly span: number } {
  let best = { height: 0, span: 0 };
  for (let span = 30; span < 960; span += 0.5) {
    const hoop = solveHoop(feet, { spanMm: span, lengthMm: 1000 });
    if (hoop.ok && hoop.value.heightMm > best.height) best = { height: hoop.value.heightMm, span };
  }
  return best;
}

test.each(FEET)(
  'up to a hair under the greatest height there is a hoop on feet %j, and beyond there is none',
  (feet) => {
    const top = greatest(feet);
    for (const under of [1e-5, 1e-4, 2e-4, 1e-3, 1e-2]) {
      const hoop = solveHoop(feet, { lengthMm: 1000, heightMm: top.height * (1 - under) });
      if (!hoop.ok) throw new Error(`${under} under the greatest is refused`);
      // The wide one: no narrower than where the greatest height is.
      expect(hoop.value.spanMm).toBeGreaterThan(top.span - 1);
      // And it is that hoop: its span and length give back the height.
      const back = solveHoop(feet, { spanMm: hoop.value.spanMm, lengthMm: 1000 });
      expect(back.ok && back.value.heightMm).toBeCloseTo(top.height * (1 - under), 3);
    }
    expect(solveHoop(feet, { lengthMm: 1000, heightMm: top.height * 1.001 })).toMatchObject({
      ok: false,
      faults: [{ field: 'height' }],
    });
  },
);

test('a pipe five to fifteen times as long as its span is solved from its span', () => {
  for (const feet of FEET)
    for (const times of [5, 6.5, 9, 15]) expect(solveHoop(feet, { spanMm: 100, lengthMm: 100 * times }).ok).toBe(true);
});
