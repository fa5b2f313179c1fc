import { type Point, differences, taut } from '../../../testing/golden';
import { familyOf } from '..';
import { at, build } from '../../../testing/site';

const IN = 25.4;

test('a frame of bent conduit over 128 x 44 in, worked by hand', () => {
  // Legs in the middle of 2x4 rails on edge; 13 in up to the shoulder's corner, 23.5 to the crown; bent at 4-5/8 in.
  const span = 44 - 1.5;
  const [leg, shoulder, crown, r] = [2.5, 13, 23.5, 4.625];
  // The slope whose rounded crown stands at its height: shoulder + span / 2 tan b - r (1 / cos b - 1) = crown.
  let [low, high] = [0.1, 1.2];
  for (let i = 0; i < 60; i++) {
    const b = (low + high) / 2;
    if (shoulder + (span / 2) * Math.tan(b) - r * (1 / Math.cos(b) - 1) < crown) low = b;
    else high = b;
  }
  const b = low;
  const turn = Math.PI / 2 - b;
  const setback = r * Math.tan(turn / 2);
  const starts = leg + shoulder - setback;
  const slope = span / 2 / Math.cos(b) - setback - r * Math.tan(b);
  const pipe = 2 * starts + 2 * r * turn + r * 2 * b + 2 * slope;
  const od = 0.706;
  // The outer face: up the leg, round the shoulder, up the slope, round the crown; the other side alike.
  const y0 = 0.75;
  const rail = 3.5;
  const round = (cy: number, cz: number, radius: number, from: number, to: number): Point[] =>
    Array.from({ length: 41 }, (_, i): Point => {
      const t = from + ((to - from) * i) / 40;
      return [cy + radius * Math.cos(t), cz + radius * Math.sin(t)];
    });
  const outer = r + od / 2;
  const left: Point[] = [
    [y0 - od / 2, rail],
    ...round(y0 + r, rail + shoulder - setback, outer, Math.PI, Math.PI / 2 + b),
  ];
  const top = round(22, rail + crown - r, outer, Math.PI / 2 + b, Math.PI / 2 - b);
  const line: Point[] = [...left, ...top, ...left.map(([y, z]): Point => [44 - y, z])];
  const run = 128 - 2 * 3;
  const a = build('bent-conduit', at(128, 44));
  expect(
    differences(a, {
      members: {
        // Hinged as a whole: a prop of .55 x 44 in.
        V1: ['1x2', 0.55 * 44],
        'A1 A2': ['2x4 treated', 128],
        'A3 A4': ['2x4 treated', 41],
        'H1..H5': ['emt-1/2', pipe],
        // Strips from the outside of the first hoop to that of the last, joined on the middle one.
        'R1a R1b R2a R2b R3a R3b': ['1x3', (run + od) / 2],
        'B1a B1b B2a B2b': ['1x2', 64],
      },
      sheets: {
        S1: {
          across: [taut([0, 0], [[0, rail], [44, rail], ...line], [44, 0]), 2 * 3, 2],
          along: [128, 2 * (rail + crown + od / 2), 2 * 6],
        },
      },
      hardware: [
        [4 * 3, 'screw-3', 'Frame corners'],
        [5 * 2, 'tek-screw', 'Through the rail'],
        [5 * 3, 'tek-screw', 'Furring'],
        [2, 'corner-plate', 'Furring ridge'],
        [2, 'corner-plate', 'Side strip'],
        [2, 'corner-plate', 'Side strip'],
        [2 * 22, 'staple', 'Cover at the rails'],
        [4 * 7, 'screw-1-5/8', 'Cover battens'],
        // 2058 mm over each end at 450 mm: five.
        [2 * 5, 'clip', 'Folded ends'],
        // 128 in is 10 ft 8 in: three hinges to 10 ft and one more; over 8 ft two handles and two stays.
        [4, 'hinge', 'Frame to the bed'],
        [2, 'handle', 'At the front'],
        [1, 'latch', 'Frame to the bed, in front'],
        [2, 'stay', 'Hold the frame open'],
      ],
      dimensions: {
        frameWidth: 44,
        shoulder,
        pipeLength: pipe,
        height: crown,
        spacing: run / 4,
        coverLength: 128,
        endOffset: 3,
        rowFromEdge: 6,
      },
    }),
  ).toEqual([]);
  // Marks for the bender, from one end of the straight pipe.
  const marked = a.members.find((m) => m.tag === 'H1')?.marks ?? [];
  expect(marked.map((m) => m.label)).toEqual([
    'shoulder starts',
    'ends',
    'crown starts',
    'ends',
    'shoulder starts',
    'ends',
  ]);
  const marks = marked.map((m) => m.atMm / IN);
  const by = [starts, r * turn, slope, r * 2 * b, slope, r * turn];
  by.forEach((_, i) => {
    const want = by.slice(0, i + 1).reduce((sum, x) => sum + x, 0);
    expect(Math.abs((marks[i] ?? NaN) - want)).toBeLessThan(0.01);
  });
});

const hoop = (more: object) => {
  const a = build('bent-conduit', at(128, 44), more);
  const of = (id: string): number => (a.dimensions.find((d) => d.id === id)?.valueMm ?? NaN) / IN;
  return {
    cut: of('pipeLength'),
    high: of('height'),
    marks: a.members.find((m) => m.tag === 'H1')?.marks ?? [],
    steps: a.steps,
  };
};

test('of a given length the height follows, and of that height the length', () => {
  const asked = hoop({ bends: { by: 'length', lengthMm: 84 * IN } });
  expect(asked.cut).toBeCloseTo(84, 4);
  expect(hoop({ crownMm: asked.high * IN }).cut).toBeCloseTo(84, 4);
  // A whole pipe of ten feet, no cut at all.
  expect(hoop({ bends: { by: 'stock' } }).cut).toBeCloseTo(120, 4);
});

test('a jig of 60 makes all three bends alike: the crown stands half the span x tan 30 over its corners', () => {
  const jig = hoop({ bends: { by: 'jig', crownDeg: 60 } });
  const t = Math.PI / 6;
  // 13 in of shoulder, 42.5 in between the legs, 4-5/8 in round the bend.
  expect(jig.high).toBeCloseTo(13 + 21.25 * Math.tan(t) - 4.625 * (1 / Math.cos(t) - 1), 4);
  const work = jig.steps.find((x) => x.id === 'bend')?.work.flat() ?? [];
  const angles = work.flatMap((x) =>
    typeof x !== 'string' && x.quantity === 'angle' ? [Math.round(x.value * 1e6) / 1e6] : [],
  );
  expect(angles).toEqual([60, 60]);
});

test('too little or too much conduit is refused by its name; a typed height takes the word back', () => {
  const family = familyOf('bent-conduit');
  const site = at(128, 44);
  const with_ = (mm: number) =>
    family.assemble({ ...family.defaults(site), bends: { by: 'length', lengthMm: mm } }, site);
  for (const mm of [1200, 9000]) {
    const found = with_(mm);
    expect(found.ok ? '' : found.faults[0]?.field).toBe('pipeLength');
  }
  const cut = family.dimension(family.defaults(site), 'pipeLength', 84 * IN, { site, assembly: undefined });
  const high = cut.ok ? family.dimension(cut.value, 'height', 600, { site, assembly: undefined }) : cut;
  expect(high.ok && high.value).toMatchObject({ bends: { by: 'height' }, crownMm: 600 });
});
