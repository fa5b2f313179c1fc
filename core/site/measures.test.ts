import fc from 'fast-check';
import { MEASURE_IDS, squareBed } from './bed';
import { MEASURES, measuredAgainst, readMeasure, withMeasure } from './measures';
import { survey } from './survey';

const bed = squareBed('b', 'Bed', 2400, 1200, { heightMm: 300, thicknessMm: 38 }, { xMm: 0, yMm: 0 }, 50);

test('every measure is known by its name, in the order of the walk', () => {
  expect(MEASURES.map((m) => m.id)).toEqual(MEASURE_IDS);
});

test('a square bed measures what it says, all round, across and inside', () => {
  // Inside is less by a wall at either end; the diagonals are those of 2400 by 1200.
  expect(bed.inside).toEqual({ lengthMm: 2324, widthMm: 1124 });
  const values = Object.fromEntries(MEASURES.map((m) => [m.id, Math.round(m.of(bed))]));
  expect(values).toEqual({
    near: 2400,
    right: 1200,
    far: 2400,
    left: 1200,
    rising: 2683,
    falling: 2683,
    insideLength: 2324,
    insideWidth: 1124,
    nearLeft: 0,
    nearRight: 0,
    farRight: 0,
    farLeft: 0,
    wallHeight: 300,
    wallThickness: 38,
    soil: 50,
  });
});

test.each(MEASURES.map((m) => [m.id, m] as const))('%s sets itself and nothing else', (id, m) => {
  const set = m.set(bed, m.of(bed) + 7);
  for (const other of MEASURES) expect(other.of(set) - other.of(bed)).toBeCloseTo(other.id === id ? 7 : 0, 9);
  // The bed that it was stays as it was.
  expect(m.of(bed)).toBe(
    m.of(squareBed('b', 'Bed', 2400, 1200, { heightMm: 300, thicknessMm: 38 }, { xMm: 0, yMm: 0 }, 50)),
  );
});

test('the tape runs round the bed, corner to corner, and every measure says how it is taken', () => {
  const round = MEASURES.slice(0, 4).map((m) => (m.where.kind === 'between' ? [m.where.from, m.where.to] : []));
  round.forEach(([, to], i) => expect(round[(i + 1) % 4]?.[0]).toBe(to));
  for (const m of MEASURES) expect(m.tip.length).toBeGreaterThan(15);
});

const wall = { heightMm: 300, thicknessMm: 40 };
const fresh = squareBed('b', 'Bed', 3000, 1200, wall, { xMm: 0, yMm: 0 });

test('a new bed whose size is measured takes the rest along: it stays square until a tape says otherwise', () => {
  const bed = withMeasure(withMeasure(fresh, 'near', 2000), 'left', 1000);
  expect(bed.outside).toEqual({ nearMm: 2000, farMm: 2000, leftMm: 1000, rightMm: 1000 });
  expect(bed.inside).toEqual({ lengthMm: 1920, widthMm: 920 });
  // The root of 2000 squared and 1000 squared.
  expect(bed.diagonals.risingMm).toBeCloseTo(2236.07, 2);
  expect(bed.measured).toEqual(['near', 'left']);
  const s = survey(bed);
  expect([s.diagonalDifferenceMm, s.skewMm, s.outOfLevelMm]).toEqual([0, 0, 0]);
  // Its far side is 10 mm longer: it alone changes, and the inside follows the shorter.
  const far = withMeasure(bed, 'far', 2010);
  expect(far.outside).toMatchObject({ nearMm: 2000, farMm: 2010 });
  expect(far.inside.lengthMm).toBe(1920);
});

test('one diagonal says the other, and thicker walls a narrower inside', () => {
  const bed = withMeasure(withMeasure(withMeasure(fresh, 'near', 2000), 'left', 1000), 'rising', 2250);
  // 2 (2000^2 + 1000^2) - 2250^2 = 4 937 500.
  expect(bed.diagonals.fallingMm).toBeCloseTo(2222.05, 2);
  expect(withMeasure(bed, 'wallThickness', 50).inside).toEqual({ lengthMm: 1900, widthMm: 900 });
  // What cannot be beside the sides is left for the survey to say.
  expect(withMeasure(bed, 'rising', 9000).diagonals.fallingMm).toBeCloseTo(2236.07, 2);
});

test('what was measured is changed by nothing but a tape', () => {
  const measure = fc.record({ id: fc.constantFrom(...MEASURE_IDS), mm: fc.integer({ min: 150, max: 1000 }) });
  fc.assert(
    fc.property(fc.array(measure, { maxLength: 20 }), (list) => {
      const bed = list.reduce((b, { id, mm }) => withMeasure(b, id, mm), fresh);
      const last = new Map(list.map(({ id, mm }) => [id, mm]));
      for (const m of MEASURES) if (last.has(m.id)) expect(m.of(bed)).toBe(last.get(m.id));
      expect(new Set(bed.measured)).toEqual(new Set(last.keys()));
    }),
  );
});

test('a diagonal may be told by how much longer it is than the other', () => {
  // With the other measured at 2690 it is 25.4 more.
  const known = withMeasure(bed, 'falling', 2690);
  expect(readMeasure(known, 'rising', '1 in longer than the other', 'mm')).toEqual({ ok: true, value: 2715.4 });
  expect(readMeasure(known, 'rising', '20 Shorter', 'mm')).toEqual({ ok: true, value: 2670 });
  expect(readMeasure(known, 'rising', '2700', 'mm')).toEqual({ ok: true, value: 2700 });
  const wrong = readMeasure(known, 'near', '1 in longer', 'mm');
  expect(wrong.ok ? '' : wrong.faults[0]?.message).toMatch('Only a diagonal');
  expect(readMeasure(known, 'rising', 'much longer', 'mm').ok).toBe(false);
});

test('where the other diagonal is not measured, both follow from the sides and differ by what was said', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 400 }),
      fc.constantFrom('longer' as const, 'shorter' as const),
      (mm, against) => {
        const set = withMeasure(bed, 'rising', measuredAgainst(bed, 'rising', against, mm));
        const [rising, falling] = [set.diagonals.risingMm, set.diagonals.fallingMm];
        expect(rising - falling).toBeCloseTo(against === 'longer' ? mm : -mm, 6);
        expect(rising ** 2 + falling ** 2).toBeCloseTo(2 * 2400 ** 2 + 2 * 1200 ** 2, 3);
      },
    ),
    { endOnFailure: true },
  );
});
