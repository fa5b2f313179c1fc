import { differences, outward, sprung, taut } from '../../../testing/golden';
import { familyOf } from '..';
import { NOTHING_OWN, catalogOf } from '../../../catalog/own';
import { at, build, countItems, siteOf } from '../../../testing/site';

test('a hinged hoop lid of 2x4 on edge over 128 x 44 in, worked by hand', () => {
  // Feet strapped to the rails inside: less two rails of 1.5 and a pipe of .84.
  const span = 44 - 2 * 1.5 - 0.84;
  const pipe = (Math.PI / 2) * span;
  const hoop = sprung(span, pipe);
  const foot = 10 / 25.4;
  const over = outward(hoop.points, 0.42).map(([y, z]): [number, number] => [y + (44 - span) / 2, z + foot]);
  const rise = foot + hoop.height + 0.42;
  expect(
    differences(build('hinged-hoop-lid', at(128, 44)), {
      members: {
        A1: ['2x4', 128],
        // The end boards run to the hinge side, so the hinge rail fits between them.
        A2: ['2x4', 128 - 2 * 1.5],
        'A3 A4': ['2x4', 44 - 1.5],
        'H1..H5': ['pvc-1/2', pipe],
        R1: ['2x2', 128 - 2 * 2 + (2 * 30) / 25.4],
        'T1 T2': ['1x4', 44 - 2 * 1.5],
        // No 1x2 is longer than 8 ft: joined on the middle hoop.
        'B1a B1b B2a B2b': ['1x2', 64],
        // Over both folded ends.
        'B3 B4': ['1x2', 44],
      },
      sheets: {
        S1: {
          across: [taut([0, 0], [...over, [0, 3.5], [44, 3.5]], [44, 0]), 2 * 3, 2],
          along: [128, 2 * rise, 2 * 6],
        },
      },
      hardware: [
        [4 * 3, 'screw-3', 'Frame corners'],
        [2 * 2 * 2, 'screw-2-1/2', 'Cross ties'],
        [5 * 2, 'strap', 'Hoop feet'],
        [5 * 2 * 2, 'screw-1', 'Hoop feet'],
        [5, 'screw-1-5/8', 'Through each crown'],
        [1, 'paint', 'PVC painted'],
        // Both rails each 150 mm, both ends each 100: 2 x 3251 / 150 and 2 x 1118 / 100.
        [2 * 22 + 23, 'staple', 'Cover at the rails'],
        // 1626 mm at 300 mm: six bays, seven screws, four battens.
        // Each 300 mm of 1.63 m, and of 1.12 m at the ends.
        [4 * 7 + 2 * 5, 'screw-1-5/8', 'Cover battens'],
        // 10 ft 8 in: three to 10 ft and one more.
        [4, 'hinge', 'Hinge rail'],
        [1, 'handle', 'Front rail'],
        [1, 'latch', 'Front rail'],
        [2, 'stay', 'Holds the lid open'],
      ],
      dimensions: {
        frameWidth: 44,
        wallHeight: 11,
        pipeLength: pipe,
        height: hoop.height,
        spacing: (128 - 4) / 4,
        coverLength: 128,
        endOffset: 2,
        rowFromEdge: 5,
      },
    }),
  ).toEqual([]);
});

test('one stay holds a lid up to 6 ft, two a longer one; two latches where it is windy', () => {
  const list = (lengthIn: number, windy = false) => build('hinged-hoop-lid', at(lengthIn, 44, windy)).hardware;
  const of = (hardware: ReturnType<typeof list>, item: string): number =>
    hardware.filter((h) => h.itemKey === item).reduce((n, h) => n + h.count, 0);
  expect([48, 128].map((l) => of(list(l), 'stay'))).toEqual([1, 2]);
  expect([false, true].map((windy) => of(list(128, windy), 'latch'))).toEqual([1, 2]);
});

test('flat, its hoops in sockets, a ridge on posts and a flap at each end', () => {
  // Rails of 2x4 lie flat: 3.5 wide and 1.5 high; sockets stand in their middle.
  const span = 44 - 3.5;
  const pipe = (Math.PI / 2) * span;
  const hoop = sprung(span, pipe);
  const over = outward(hoop.points, 0.42).map(([y, z]): [number, number] => [y + 1.75, z + 1.5]);
  // The end hoops stand clear of the end boards: 3.5 + .42 in.
  const offset = 3.5 + 0.42;
  const rise = 1.5 + hoop.height + 0.42;
  expect(
    differences(
      build('hinged-hoop-lid', at(128, 44), {
        feet: 'sockets',
        ends: 'flap',
        ridge: 'posted',
        stand: 'flat',
        crossTies: 1,
        paint: 'none',
      }),
      {
        members: {
          A1: ['2x4', 128],
          A2: ['2x4', 128 - 2 * 3.5],
          'A3 A4': ['2x4', 44 - 3.5],
          'H1..H5': ['pvc-1/2', pipe],
          // From middle to middle of the end boards.
          R1: ['2x4', 128 - 3.5],
          // Under the ridge of 2x4 on edge, which hangs under the crowns.
          'P1 P2': ['2x2', hoop.height - 0.42 - 3.5],
          T1: ['1x4', 44 - 2 * 3.5],
          'B1a B1b B2a B2b': ['1x2', 64],
        },
        sheets: {
          S1: { across: [taut([0, 0], [...over, [0, 1.5], [44, 1.5]], [44, 0]), 6, 2], along: [128, 2 * 4] },
          S2: { across: [44, 9], along: [rise, 12] },
          S3: { across: [44, 9], along: [rise, 12] },
        },
        hardware: [
          // Corners 1.5 high hold two screws.
          [4 * 2, 'screw-3', 'Frame corners'],
          [2 * 2, 'screw-2-1/2', 'Cross ties'],
          [10, 'socket-cap', 'Hoop feet'],
          [10, 'screw-1', 'Hoop feet'],
          [5, 'screw-1-5/8', 'Through each crown'],
          [2, 'corner-plate', 'Posts to the ridge'],
          [2, 'corner-plate', 'Posts to the frame'],
          [2 * 22, 'staple', 'Cover at the rails'],
          [4 * 7, 'screw-1-5/8', 'Cover battens'],
          // 1752 mm over each end at 450 mm: four.
          [2 * 4, 'clip', 'End flaps'],
          [2 * 2, 'sandbag', 'Two on each'],
          [4, 'hinge', 'Hinge rail'],
          [1, 'handle', 'Front rail'],
          [1, 'latch', 'Front rail'],
          [2, 'stay', 'Holds the lid open'],
        ],
        dimensions: {
          frameWidth: 44,
          wallHeight: 11,
          pipeLength: pipe,
          height: hoop.height,
          spacing: (128 - 2 * offset) / 4,
          coverLength: 128,
          endOffset: offset,
          rowFromEdge: 5,
        },
      },
    ),
  ).toEqual([]);
});

const lid = (more: object) => build('hinged-hoop-lid', at(128, 44), more);
const long = (a: ReturnType<typeof lid>, tag: string): number =>
  a.members
    .filter((m) => m.tag === tag || m.tag.startsWith(`${tag}a`) || m.tag.startsWith(`${tag}b`))
    .reduce((n, m) => n + m.lengthMm, 0) / 25.4;

test.each([
  // The hinge rail between the end boards, the front rail over them.
  ['ends', 128, 125, 42.5],
  ['rails', 128, 128, 41],
  ['hinge rail', 125, 128, 42.5],
] as const)('corners with the %s over: front rail, hinge rail and end boards of 2x4', (corners, front, hinge, end) => {
  // Hung on the far side it is the same lid turned about.
  for (const hinges of ['near', 'far']) {
    const a = lid({ corners, hinges });
    expect([long(a, 'A1'), long(a, 'A2'), long(a, 'A3'), long(a, 'A4')].map((x) => Math.round(x * 1e6) / 1e6)).toEqual([
      front,
      hinge,
      end,
      end,
    ]);
  }
});

test('hoops in holes of the rail stand in its middle, as deep as the hole, and the rails are bored for them', () => {
  const a = lid({ feet: 'holes' });
  const [arch] = a.arches;
  // 44 in less half of 1.5 on both sides; held upright to the top of a 2x4 on an 11 in wall, 65 mm deep.
  expect((arch?.hoop.spanMm ?? 0) / 25.4).toBeCloseTo(42.5, 6);
  expect((arch?.footZMm ?? 0) / 25.4).toBeCloseTo(14.5, 6);
  expect((arch?.cutMm ?? 0) - (arch?.hoop.lengthMm ?? 0)).toBeCloseTo(2 * 65, 3);
  const holes = a.members.filter((m) => m.part.startsWith('Hinge rail')).flatMap((m) => m.holes);
  expect(holes.map((h) => Math.round((h.diameterMm / 25.4) * 100) / 100)).toEqual(holes.map(() => 0.88));
  expect(holes.length).toBeGreaterThanOrEqual(arch?.tags.length ?? 99);
  expect(a.hardware.some((h) => h.joint === 'Hoop feet to the rails')).toBe(false);
  const flat = familyOf('hinged-hoop-lid').assemble(
    { ...familyOf('hinged-hoop-lid').defaults(at(128, 44)), feet: 'holes', frame: '1x4' },
    at(128, 44),
  );
  expect(flat.ok ? '' : flat.faults[0]?.field).toBe('feet');
});

test('side purlins lie inside the hoops at a third of the height, tied at every one', () => {
  const a = lid({ purlins: 'pipe' });
  const purlins = a.members.filter((m) => m.part.startsWith('Side purlin'));
  const [arch] = a.arches;
  const third = (arch?.footZMm ?? 0) + (arch?.hoop.heightMm ?? 0) / 3;
  const hoop = a.members.find((m) => m.tag === 'H1');
  const points = hoop?.shape.kind === 'curve' ? hoop.shape.points : [];
  for (const m of purlins) {
    const [, y, z] = m.shape.kind === 'straight' ? m.shape.from : [0, 0, 0];
    expect(Math.abs(z - third)).toBeLessThan(25);
    // They touch: an outside of pipe from centre to centre.
    expect(Math.min(...points.map((p) => Math.hypot(p[1] - y, p[2] - z)))).toBeGreaterThan(0.84 * 25.4 - 1);
    expect(Math.min(...points.map((p) => Math.hypot(p[1] - y, p[2] - z)))).toBeLessThan(0.84 * 25.4 + 8);
  }
  expect(a.joints.find((j) => j.id === 'side purlins')?.places).toHaveLength(2 * (arch?.tags.length ?? 0));
  expect(countItems(lid({ purlins: 'rope', ridge: 'none' }), 'rope')).toBeGreaterThan(6);
});

test('firm ends stand outside the end boards, flush with the bed, with their vents', () => {
  const a = lid({ ends: 'plywood', plywood: 'plywood-3/8' });
  expect(long(a, 'A1')).toBeCloseTo(128 - 2 * 0.375, 2);
  expect(a.footing.lengthMm / 25.4).toBeCloseTo(128, 6);
  expect(a.panels.map((p) => [p.part, p.openings.length])).toEqual([
    ['Plywood end', 1],
    ['Plywood end', 1],
  ]);
  expect(a.openings.filter((o) => o.by === 'vent')).toHaveLength(2);
  // They are lifted with the lid.
  expect(a.moving[0]?.panelTags).toEqual(['E1', 'E2']);
  const clear = lid({ ends: 'plywood', plywood: 'twin-wall-6', vents: 'none' });
  expect(clear.panels.map((p) => [p.part, p.channels, p.openings.length])).toEqual([
    ['Clear end', 'v', 0],
    ['Clear end', 'v', 0],
  ]);
});

test('a second row of hoops in the lid stands on the same rails, lower by the air between, and is lifted with it', () => {
  const gap = 100;
  const a = lid({ inner: 'fabric-30', innerOn: 'lid', innerGapMm: gap });
  const inner = a.members.filter((m) => m.part === 'Inner hoop');
  expect(inner).toHaveLength(a.arches[0]?.tags.length ?? -1);
  const top = (tag: string): number => {
    const m = a.members.find((x) => x.tag === tag);
    return m?.shape.kind === 'curve' ? Math.max(...m.shape.points.map((p) => p[2])) : NaN;
  };
  // From centre line to centre line: the gap and an outside of pipe.
  expect(top('H1') - top('N1')).toBeCloseTo(gap + 0.84 * 25.4, 0);
  const points = inner[0]?.shape.kind === 'curve' ? inner[0].shape.points : [];
  // Strapped inside rails of 1.5 in: 44 - 3 - .84 apart, with nothing in the soil.
  expect(((points[points.length - 1]?.[1] ?? 0) - (points[0]?.[1] ?? 0)) / 25.4).toBeCloseTo(44 - 3 - 0.84, 2);
  expect(a.moving[0]?.memberTags).toEqual(expect.arrayContaining(inner.map((m) => m.tag)));
  expect(a.moving[0]?.sheetTags).toContain('SN');
  expect(lid({ inner: 'fabric-30' }).moving[0]?.sheetTags).not.toContain('SN');
});

test('in a metric shop, over 2400 x 1000 mm, with four hoops, a ridge of pipe and folded ends', () => {
  const mm = (x: number): number => x / 25.4;
  const site = siteOf(2400, 1000, { market: 'metric', catalog: catalogOf(NOTHING_OWN, 'metric') });
  // 38 x 89 on edge; 20 mm pipe strapped to its inside; as long as half a circle.
  const span = 1000 - 2 * 38 - 20;
  const pipe = (Math.PI / 2) * span;
  const hoop = sprung(mm(span), mm(pipe));
  const foot = 10 / 25.4;
  const left = mm((1000 - span) / 2);
  const over = outward(hoop.points, mm(10)).map(([y, z]): [number, number] => [y + left, z + foot]);
  const wide = mm(1000);
  expect(
    differences(build('hinged-hoop-lid', site, { hoops: 4, ridge: 'pipe', ends: 'folded' }), {
      members: {
        A1: ['38x89 mm', mm(2400)],
        A2: ['38x89 mm', mm(2400 - 2 * 38)],
        'A3 A4': ['38x89 mm', mm(1000 - 38)],
        'H1..H4': ['pvc-20', mm(pipe)],
        R1: ['pvc-20', mm(2400 - 2 * 50 + 2 * 30)],
        T1: ['25x95 mm', mm(1000 - 2 * 38)],
        // Sold longer than the lid: in one piece.
        'B1 B2': ['25x38 mm', mm(2400)],
        'B3 B4': ['25x38 mm', wide],
      },
      sheets: {
        S1: {
          across: [taut([0, 0], [...over, [0, mm(89)], [wide, mm(89)]], [wide, 0]), mm(2 * 75), 2],
          along: [mm(2400), 2 * (foot + hoop.height + mm(10)), 2 * 6],
        },
      },
      hardware: [
        [4 * 3, 'screw-3', 'Frame corners'],
        [2 * 2, 'screw-2-1/2', 'Cross ties'],
        [4 * 2, 'strap', 'Hoop feet'],
        [4 * 2 * 2, 'screw-1', 'Hoop feet'],
        [4 * 2, 'cable-tie', 'Ridge to every crown'],
        [2, 'end-cap', 'Both ends of the ridge pipe'],
        [1, 'paint', 'PVC painted'],
        // 2 x 2400 / 150 along the rails, 2 x 1000 / 100 over the ends.
        [2 * 16 + 20, 'staple', 'Cover at the rails'],
        // Each 300 mm: eight bays along both sides, four at both ends.
        [2 * 9 + 2 * 5, 'screw-1-5/8', 'Cover battens'],
        // To 10 ft three hinges; to 8 ft one handle and one stay.
        [3, 'hinge', 'Hinge rail'],
        [1, 'handle', 'Front rail'],
        [1, 'latch', 'Front rail'],
        [1, 'stay', 'Holds the lid open'],
      ],
      dimensions: {
        frameWidth: wide,
        wallHeight: 11,
        pipeLength: mm(pipe),
        height: hoop.height,
        spacing: mm((2400 - 2 * 50) / 3),
        coverLength: mm(2400),
        endOffset: mm(50),
        rowFromEdge: mm(125),
      },
    }),
  ).toEqual([]);
});

test.each([
  ['none', undefined, undefined],
  ['rope', 'Tie the side ropes', 'Tie a rope hoop to hoop on both sides'],
  ['pipe', 'Tie the side purlins', 'Hold R2, R3 inside the hoops'],
])('side purlins of a lid, %s: tied in a step of their own', (purlins, title, begins) => {
  const { steps, members } = build('hinged-hoop-lid', at(96, 48), { purlins });
  const sides = steps.find((s) => s.id === 'sides');
  expect(sides?.title).toBe(title);
  if (begins) expect(sides?.work[0]?.join('')).toContain(begins);
  expect(members.filter((m) => m.part === 'Side purlin').map((m) => m.tag)).toEqual(
    purlins === 'pipe' ? ['R2', 'R3'] : [],
  );
});
