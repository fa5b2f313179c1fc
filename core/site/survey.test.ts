import fc from 'fast-check';
import { phraseText } from '../base/figure';
import { squareBed } from './bed';
import { survey } from './survey';

const WALL = { heightMm: 280, thicknessMm: 38 };
const bed = squareBed('b', 'Test bed', 3000, 1200, WALL, { xMm: 0, yMm: 0 });

test('a square level bed has nothing to say', () => {
  const s = survey(bed);
  expect(s.misfitMm).toBeLessThan(0.01);
  expect(s.outOfLevelMm).toBe(0);
  expect(s.remarks).toEqual([]);
  expect(s.frameOn).toEqual({ lengthMm: 3000, widthMm: 1200 });
  expect(s.frameIn).toEqual({ lengthMm: 2912, widthMm: 1112 });
});

test('a skewed bed is drawn skewed, by the amount that its diagonals say', () => {
  fc.assert(
    fc.property(fc.double({ min: -150, max: 150, noNaN: true }), (shift) => {
      const skewed = {
        ...bed,
        outside: { ...bed.outside, leftMm: Math.hypot(1200, shift), rightMm: Math.hypot(1200, shift) },
        diagonals: { risingMm: Math.hypot(3000 + shift, 1200), fallingMm: Math.hypot(3000 - shift, 1200) },
      };
      const s = survey(skewed);
      expect(s.corners.farLeft.x).toBeCloseTo(shift, 3);
      expect(s.corners.farRight.x).toBeCloseTo(3000 + shift, 3);
      expect(s.skewMm).toBeCloseTo(shift, 6);
      expect(s.frameIn.lengthMm).toBeCloseTo(2912 - Math.abs(shift), 6);
    }),
  );
});

test('the highest corner is the datum and every other gets its packer', () => {
  const s = survey({ ...bed, drops: { nearLeft: 10, nearRight: 4, farRight: -2, farLeft: 0 } });
  expect(s.highest).toBe('farRight');
  expect(s.packersMm).toEqual({ nearLeft: 12, nearRight: 6, farRight: 0, farLeft: 2 });
  expect(s.outOfLevelMm).toBe(12);
});

test('measures that cannot all be true are said to be so', () => {
  const s = survey({ ...bed, diagonals: { risingMm: 3300, fallingMm: 3300 } });
  expect(s.misfitMm).toBeGreaterThan(6);
  expect(s.remarks[0]?.severity).toBe('mend');
});

test('an inside size that does not leave the wall is caught', () => {
  const s = survey({ ...bed, inside: { lengthMm: 2980, widthMm: 1124 } });
  expect(s.remarks.some((r) => r.text.join('').includes('Check the tape'))).toBe(true);
});

test('a frame that sits on a bed covers its longest sides; one that drops in goes by the inside', () => {
  const bed = squareBed('b', 'Bed', 2400, 1200, { heightMm: 300, thicknessMm: 38 }, { xMm: 0, yMm: 0 });
  const odd = { ...bed, outside: { nearMm: 2400, farMm: 2412, leftMm: 1215, rightMm: 1200 } };
  const s = survey(odd);
  expect(s.frameOn).toEqual({ lengthMm: 2412, widthMm: 1215 });
  // Square by its diagonals: inside less 6 mm all round.
  expect(s.frameIn).toEqual({ lengthMm: 2400 - 76 - 12, widthMm: 1200 - 76 - 12 });
});

test('what drops into a bed of unequal sides is as short as the shorter ones allow', () => {
  const made = squareBed('b', 'Bed', 2400, 1200, { heightMm: 300, thicknessMm: 38 }, { xMm: 0, yMm: 0 });
  const s = survey({ ...made, outside: { nearMm: 2400, farMm: 2343, leftMm: 1200, rightMm: 1180 } });
  // 2343 - 76 and 1180 - 76, less 6 mm all round; out of square by what the diagonals say.
  expect(s.frameIn.lengthMm).toBeCloseTo(2343 - 76 - 12 - Math.abs(s.skewMm), 6);
  expect(s.frameIn.widthMm).toBeCloseTo(1180 - 76 - 12, 6);
});

describe('what is said of a bed, at its bounds', () => {
  const said = (of: typeof bed): readonly string[] =>
    survey(of).remarks.map(
      (r) => `${r.severity}: ${phraseText(r.text, { length: 'mm', temperature: 'C', currency: 'USD' })}`,
    );
  /** Both sides leaning so far that the far side stands so much to the right. */
  const leaning = (shift: number): typeof bed => ({
    ...bed,
    outside: { ...bed.outside, leftMm: Math.hypot(1200, shift), rightMm: Math.hypot(1200, shift) },
    inside: { ...bed.inside, widthMm: Math.hypot(1200, shift) - 2 * 38 },
    diagonals: { risingMm: Math.hypot(3000 + shift, 1200), fallingMm: Math.hypot(3000 - shift, 1200) },
  });

  test('out of square by more than half a wall: a frame hangs over by half of that', () => {
    expect(said(leaning(19))).toEqual([]);
    expect(said(leaning(19.2))).toEqual([
      'note: A square frame will hang over a corner by up to 10 mm. Build it square all the same, or the cover twists.',
    ]);
    expect(said(leaning(-60))[0]).toContain('by up to 30 mm');
  });

  test('an inside that leaves another wall than was typed, by more than five millimetres each', () => {
    const inside = (lengthMm: number): typeof bed => ({ ...bed, inside: { ...bed.inside, lengthMm } });
    // 3000 less two walls of 38 are 2924.
    expect(said(inside(2924 - 10))).toEqual([]);
    expect(said(inside(2924 - 11))[0]).toContain('each wall differs by 6 mm');
    expect(said(inside(2924 + 11))[0]).toContain('each wall differs by 6 mm');
    // Across, 1200 less two walls are 1124; the worse of both is told, whichever way it is off.
    const both = (lengthMm: number, widthMm: number) => ({ ...bed, inside: { lengthMm, widthMm } });
    expect(said(both(2924, 1124 - 16))[0]).toContain('each wall differs by 8 mm');
    expect(said(both(2924 + 12, 1124 - 16))[0]).toContain('each wall differs by 8 mm');
    expect(said(both(2924 - 20, 1124 + 16))[0]).toContain('each wall differs by 10 mm');
  });

  test('the highest corner is packed by nothing, each other by how much lower it is', () => {
    const s = survey({ ...bed, drops: { nearLeft: 12, nearRight: 5, farRight: 30, farLeft: 9 } });
    expect([s.highest, s.outOfLevelMm, s.packersMm]).toEqual([
      'nearRight',
      25,
      { nearLeft: 7, nearRight: 0, farRight: 25, farLeft: 4 },
    ]);
  });
});
