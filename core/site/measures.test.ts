import { squareBed } from './bed';
import { MEASURES } from './measures';

const bed = squareBed('b', 'Bed', 2400, 1200, { heightMm: 300, thicknessMm: 38 }, { xMm: 0, yMm: 0 }, 50);

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
