import type { Elastica, Feet } from './types';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { type HoopMeasures, solveHoop } from './elastica';
import { hoopCurve } from './curve';

interface HoopCase {
  feet: 'pinned' | 'held';
  span: number;
  length: number;
  height: number;
  footAngleDeg: number;
  thrustOverEI: number;
  maxCurvature: number;
  maxWidth?: number;
}

const known = JSON.parse(readFileSync('core/cover/hoop/hoops.cases.json', 'utf8')) as { cases: HoopCase[] };
const LOOSE: Feet = { kind: 'pinned' };

function solved(feet: Feet, given: HoopMeasures): Elastica {
  const shape = solveHoop(feet, given);
  if (!shape.ok) throw new Error(JSON.stringify(shape.faults));
  return shape.value;
}

describe('known answers', () => {
  test.each(known.cases)('$feet $span from $length', (c) => {
    const feet: Feet = c.feet === 'pinned' ? LOOSE : { kind: 'fixed', angleDeg: c.footAngleDeg };
    const shape = solved(feet, { spanMm: c.span, lengthMm: c.length });
    expect(Math.abs(shape.heightMm / c.height - 1)).toBeLessThan(1e-3);
    expect(Math.abs(shape.footAngleDeg - c.footAngleDeg)).toBeLessThan(0.01);
    expect(Math.abs(shape.thrustOverEIPerMm2 - c.thrustOverEI)).toBeLessThan(
      Math.max(1e-9, Math.abs(c.thrustOverEI) * 5e-3),
    );
    expect(Math.abs(shape.maxCurvaturePerMm / c.maxCurvature - 1)).toBeLessThan(5e-3);
    if (c.maxWidth) expect(Math.abs(shape.maxWidthMm / c.maxWidth - 1)).toBeLessThan(1e-3);
  });
});

const feetKinds = fc.oneof(
  fc.constant(LOOSE),
  fc.double({ min: 40, max: 120, noNaN: true }).map((angleDeg): Feet => ({ kind: 'fixed', angleDeg })),
);

describe('properties', () => {
  test('any two of span, length and height give the third', () => {
    fc.assert(
      fc.property(feetKinds, fc.double({ min: 1.12, max: 2.1, noNaN: true }), (feet, stretch) => {
        const byLength = solved(feet, { spanMm: 1000, lengthMm: 1000 * stretch });
        const byHeight = solved(feet, { spanMm: 1000, heightMm: byLength.heightMm });
        expect(byHeight.lengthMm / byLength.lengthMm).toBeCloseTo(1, 6);
        const bySize = solved(feet, { lengthMm: byLength.lengthMm, heightMm: byLength.heightMm });
        expect(bySize.spanMm / 1000).toBeCloseTo(1, 5);
      }),
    );
  });

  test('the shape does not depend on the unit', () => {
    fc.assert(
      fc.property(
        feetKinds,
        fc.double({ min: 1.05, max: 3, noNaN: true }),
        fc.double({ min: 0.01, max: 900, noNaN: true }),
        (feet, stretch, size) => {
          const one = solved(feet, { spanMm: 1, lengthMm: stretch });
          const other = solved(feet, { spanMm: size, lengthMm: stretch * size });
          expect(other.heightMm / size / one.heightMm).toBeCloseTo(1, 7);
        },
      ),
    );
  });

  test('a longer pipe on the same feet stands higher', () => {
    fc.assert(
      fc.property(feetKinds, fc.double({ min: 1.02, max: 2.5, noNaN: true }), (feet, stretch) => {
        const lower = solved(feet, { spanMm: 1000, lengthMm: 1000 * stretch });
        const higher = solved(feet, { spanMm: 1000, lengthMm: 1000 * stretch + 10 });
        expect(higher.heightMm).toBeGreaterThan(lower.heightMm);
      }),
    );
  });

  test('the drawn curve has the length, height and foot angle of the closed form', () => {
    fc.assert(
      fc.property(feetKinds, fc.double({ min: 1.05, max: 2.4, noNaN: true }), (feet, stretch) => {
        const shape = solved(feet, { spanMm: 1000, lengthMm: 1000 * stretch });
        const points = hoopCurve(shape, 400);
        const last = points[points.length - 1];
        const crown = points[200];
        expect(last?.y).toBeCloseTo(1000, 2);
        expect(last?.z).toBeCloseTo(0, 2);
        expect(crown?.z).toBeCloseTo(shape.heightMm, 2);
        // As wide as it is anywhere: between chords of 6 mm and less the widest place is missed by less than .1 mm.
        const ys = points.map((p) => p.y);
        const wide = Math.max(...ys) - Math.min(...ys);
        expect(shape.maxWidthMm).toBeGreaterThan(wide - 1e-3);
        expect(shape.maxWidthMm).toBeLessThan(wide + 0.1);
      }),
    );
  });
});

describe('refusals name the measure', () => {
  test.each([
    [LOOSE, { spanMm: 44, lengthMm: 44 }, 'length'],
    [LOOSE, { spanMm: -1, lengthMm: 44 }, 'span'],
    [LOOSE, { spanMm: 44, lengthMm: NaN }, 'length'],
    [LOOSE, { lengthMm: 100, heightMm: 60 }, 'length'],
    [LOOSE, { lengthMm: 100, heightMm: 45 }, 'height'],
    [LOOSE, { spanMm: 44 }, 'hoop'],
    [{ kind: 'fixed', angleDeg: 5 } as Feet, { spanMm: 44, lengthMm: 80 }, 'feet'],
  ])('%j %j', (feet, given, field) => {
    const shape = solveHoop(feet, given);
    expect(shape.ok).toBe(false);
    if (!shape.ok) expect(shape.faults[0]?.field).toBe(field);
  });
});
