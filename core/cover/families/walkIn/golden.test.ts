import { differences } from '../../../testing/golden';
import { familyOf } from '..';
import { at, build, countItems } from '../../../testing/site';

const IN = 25.4;

test('a walk-in house of 10 ft over a bed, worked by hand', () => {
  // Upright over posts the hoop is a half circle of 60 in on a sidewall of 24; 1-1/4 PVC, 1.66 in.
  const r = 0.83;
  const long = 176;
  const depth = 17.75;
  const half = long / 2;
  // Plates run from 4 mm beside the end hoops to the door's jambs, 6 mm beside a door of 32 in.
  const edge = r + 4 / IN;
  const jamb = 16 + 6 / IN + 1.5;
  // Studs end at the hoop's centre line, at their outer corner.
  const under = (off: number): number => 24 + Math.sqrt(60 ** 2 - off ** 2);
  // Half way from the hoop to the middle of the jamb.
  const sideStud = (60 + jamb + 0.75) / 2;
  const short = 40 / IN;
  // Film lies on the hoops and, outside them, on boards 1.5 thick.
  const out = r + 1.5;
  const hip = 24 - 45 / IN;
  const reach = 60 + out;
  const touch = Math.acos((60 + r) / reach);
  const roof = 2 * (45 / IN + Math.sqrt(reach ** 2 - (60 + r) ** 2)) + (60 + r) * (Math.PI - 2 * touch);
  const bar = 0.922;
  const curtain = { across: [hip, 4, 1.5 * Math.PI * bar + 6], along: [long, 2 * 6] };
  const end = { across: [120 + 2 * out, 2 * 4], along: [24 + 60 + r, 2 * 4] };
  expect(
    differences(build('walk-in', at(128, 44)), {
      members: {
        // 174.3 in at 48 in at the most: four bays.
        'P1..P10': ['steel-1', depth + 24],
        'H1..H5': ['pvc-1-1/4', (Math.PI / 2) * 120 + 2 * 6],
        'R1a R1b R2a R2b R3a R3b L1a L1b L2a L2b': ['emt-3/4', half],
        'A1 A2': ['2x6 treated', long],
        'B1 B2': ['2x4 treated', long],
        'E1 E2': ['2x4 treated', 60 - jamb - edge],
        'E3 E4': ['2x4 treated', under(jamb)],
        E5: ['2x4', 32 + 12 / IN],
        'E6 E7': ['2x4', under(sideStud + 0.75) - 1.5],
        F1: ['2x4 treated', 120 - 2 * edge],
        'F2 F4': ['2x4', under(30 + 0.75) - 1.5],
        // Under the ridge purlin, which crosses it: the crown less half the hoop and all of the purlin.
        F3: ['2x4', 84 - r - 0.922 - 1.5],
        // Over the film on jambs and studs, 20 mm short of both ends.
        'J1 J2': ['1x2', under(jamb) - short],
        'J3 J4': ['1x2', under(sideStud + 0.75) - 1.5 - short],
        'J5 J7': ['1x2', under(30 + 0.75) - 1.5 - short],
        J6: ['1x2', 84 - r - 0.922 - 1.5 - short],
        'G1 G2': ['2x2', 72],
        'G3 G4 G5': ['2x2', 32 - 3],
      },
      sheets: {
        S1: { across: [roof, 2 * 4, 2], along: [long, 2 * 4] },
        S2: end,
        S3: end,
        S4: curtain,
        S5: curtain,
        // Both faces of the door, 2 in round its frame.
        S20: { across: [32, 2 * 2], along: [72, 2 * 2] },
        S21: { across: [32, 2 * 2], along: [72, 2 * 2] },
      },
      hardware: [
        [5 * 2 * 2, 'tek-screw', 'Two through each hoop foot'],
        [3 * 5, 'cross-connector', 'Purlins'],
        [4 * 5, 'u-strap', 'Base and hip boards'],
        [4 * 5 * 2, 'screw-1-5/8', 'Base and hip boards'],
        [1, 'coupler', 'Ridge purlin'],
        [1, 'coupler', 'Side purlin'],
        [1, 'coupler', 'Side purlin'],
        [1, 'coupler', 'Roll bar'],
        [1, 'coupler', 'Roll bar'],
        [1, 'paint', 'PVC painted'],
        // Seven pieces of the end with the door, four of the other.
        [11 * 2, 'screw-3', 'Frames of the ends'],
        [7 * 2, 'u-strap', 'Studs to the end hoops'],
        [7 * 2 * 2, 'screw-1', 'Studs to the end hoops'],
        [3 * 2 * 2, 'screw-2-1/2', 'Frame of each door'],
        [4, 'corner-plate', 'Corners'],
        [3, 'door-hinge', 'Three'],
        // Two faces of 2 x (813 + 1829) mm, each 75 mm.
        [141, 'staple', 'Film round the frame of each door'],
        [1, 'door-latch', 'One'],
        [1, 'handle', 'One'],
        // Two hips of 4.47 m, and 2 x (3.05 + 2 x 2.13) m round the ends.
        [9 + 15, 'channel', 'Along boards'],
        [9 + 15, 'spring-wire', 'Along boards'],
        [3 * 24, 'tek-screw', 'Along boards'],
        [5 * 2, 'clip', 'Cover to the hoops'],
        [2, 'crank', 'One to each'],
        // Each 300 mm of 4.47 m, both sides.
        [2 * 15, 'roll-clip', 'Film on the roll bars'],
        // Zigzag over five bays of 1.11 x .61 m on both sides, and four to tie.
        [13 + 4, 'rope', 'Tied down'],
        [2 * 10, 'screw-2-1/2', 'Tied down'],
        // 2025, 1669, 1840 and 2011 mm at 300: eight, seven, eight and eight screws.
        [2 * 8 + 2 * 7 + 2 * 8 + 8, 'screw-1-5/8', 'Battens over the film'],
        [5, 'ground-anchor', 'Corners'],
      ],
      dimensions: {
        pipeLength: (Math.PI / 2) * 120 + 12,
        width: 120,
        sidewall: 24,
        postDepth: depth,
        height: 84,
        coverLength: long,
        spacing: (long - 2 * r) / 4,
        rowFromEdge: 10,
      },
    }),
  ).toEqual([]);
});

test.each(['one', 'roof-and-ends', 'roof-and-curtains'])(
  'as high as its roll allows, the sheet of %s is no wider than the roll',
  (sheets) => {
    for (const sides of ['fixed', 'roll-up']) {
      const a = build('walk-in', at(128, 44), { shape: { by: 'sheet' }, sheets, sides, widthMm: 2000 });
      const across = a.sheets[0]?.across.reduce((sum, l) => sum + l.mm, 0) ?? NaN;
      const widest = Math.max(...(a.sheets[0]?.cover.rolls.map((r) => r.widthMm) ?? []));
      expect(across).toBeLessThanOrEqual(widest + 0.01);
      // Limited by the roll, or by the longest pipe.
      const pipe = a.arches[0]?.cutMm ?? 0;
      const longest = Math.max(...(a.arches[0]?.section.stock.map((b) => b.lengthMm) ?? []));
      expect(Math.min(widest - across, longest - pipe)).toBeLessThan(1);
    }
  },
);

test('with a door at each end, two sheets over all, battens on the base boards', () => {
  const r = 0.83;
  const long = 176;
  const edge = r + 4 / IN;
  const jamb = 16 + 6 / IN + 1.5;
  const under = (off: number): number => 24 + Math.sqrt(60 ** 2 - off ** 2);
  const sideStud = (60 + jamb + 0.75) / 2;
  const out = r + 1.5;
  const reach = 60 + out;
  // From the ground straight to where the film touches the hoop, and round it: its lowest edge stands outside the boards.
  const touch = Math.acos((60 + r) / reach);
  const over = 2 * (24 + Math.sqrt(reach ** 2 - (60 + r) ** 2)) + (60 + r) * (Math.PI - 2 * touch);
  const sheet = { across: [over, 2 * 4, 2], along: [long, 2 * (24 + 60 + r), 2 * 4] };
  const end = (letter: string): Record<string, readonly [string, number]> => ({
    [`${letter}1 ${letter}2`]: ['2x4 treated', 60 - jamb - edge],
    [`${letter}3 ${letter}4`]: ['2x4 treated', under(jamb)],
    [`${letter}5`]: ['2x4', 32 + 12 / IN],
    [`${letter}6 ${letter}7`]: ['2x4', under(sideStud + 0.75) - 1.5],
  });
  const short = 40 / IN;
  expect(
    differences(
      build('walk-in', at(128, 44), {
        sheets: 'one',
        sides: 'fixed',
        doors: 'two',
        fixing: 'battens',
        purlins: 'ridge',
        layers: 'double',
      }),
      {
        members: {
          'P1..P10': ['steel-1', 17.75 + 24],
          'H1..H5': ['pvc-1-1/4', (Math.PI / 2) * 120 + 2 * 6],
          'R1a R1b': ['emt-3/4', long / 2],
          'A1 A2': ['2x6 treated', long],
          'B1 B2': ['2x4 treated', long],
          ...end('E'),
          ...end('F'),
          'J1 J2 J5 J6': ['1x2', under(jamb) - short],
          'J3 J4 J7 J8': ['1x2', under(sideStud + 0.75) - 1.5 - short],
          'G1 G2 H01 H02': ['2x2', 72],
          'G3 G4 G5 H03 H04 H05': ['2x2', 32 - 3],
          // No 1x2 is longer than 8 ft: joined on the middle hoop.
          'N1a N1b N2a N2b': ['1x2', long / 2],
        },
        sheets: {
          S1: sheet,
          S9: sheet,
          ...Object.fromEntries(
            ['S20', 'S21', 'S22', 'S23'].map((tag) => [tag, { across: [32, 2 * 2], along: [72, 2 * 2] }]),
          ),
        },
        hardware: [
          [5 * 2 * 2, 'tek-screw', 'Two through each hoop foot'],
          [5, 'cross-connector', 'Purlins'],
          [4 * 5, 'u-strap', 'Base and hip boards'],
          [4 * 5 * 2, 'screw-1-5/8', 'Base and hip boards'],
          [1, 'coupler', 'Ridge purlin'],
          [1, 'paint', 'PVC painted'],
          [2 * 7 * 2, 'screw-3', 'Frames of the ends'],
          [2 * 4 * 2, 'u-strap', 'Studs to the end hoops'],
          [2 * 4 * 2 * 2, 'screw-1', 'Studs to the end hoops'],
          [2 * 3 * 2 * 2, 'screw-2-1/2', 'Frame of each door'],
          [2 * 4, 'corner-plate', 'Corners'],
          [282, 'staple', 'Film round the frame of each door'],
          // Along the one purlin of 4.47 m.
          [5, 'foam-strip', 'Along the purlins'],
          [2 * 3, 'door-hinge', 'Three'],
          [2, 'door-latch', 'One'],
          [2, 'handle', 'One'],
          // Eight a metre of two boards of 4.47 m.
          [8 * 9, 'staple', 'Along the boards'],
          // Round each end, 3.05 + 2 x 2.13 m at 450 mm.
          [2 * 17, 'clip', 'Film round the end hoops'],
          // 2235 mm at 300 mm: eight bays, nine screws, four battens.
          [4 * 9, 'screw-1-5/8', 'Cover battens'],
          // 2025 and 1669 mm at 300: eight and seven screws.
          [4 * 8 + 4 * 7, 'screw-1-5/8', 'Battens over the film'],
          [5 * 2, 'clip', 'Cover to the hoops'],
          [5, 'ground-anchor', 'Corners'],
        ],
        dimensions: {
          pipeLength: (Math.PI / 2) * 120 + 12,
          width: 120,
          sidewall: 24,
          postDepth: 17.75,
          height: 84,
          coverLength: long,
          spacing: (long - 2 * r) / 4,
          rowFromEdge: 10,
        },
      },
    ),
  ).toEqual([]);
});

const house = (more: object) => build('walk-in', at(128, 44), more);

test('a centre beam lies under the crowns on posts a bay in from the ends, and carries the snow as a beam', () => {
  const a = house({ beam: 'posts' });
  // 2x6 under hoops of 1.66 in at 84: its middle at 84 - .83 - 2.75.
  const beam = a.members.find((m) => m.part.startsWith('Centre beam'));
  expect(beam?.shape.kind === 'straight' && beam.shape.from[2] / IN).toBeCloseTo(84 - 0.83 - 2.75, 6);
  // Five hoops 43.6 in apart: posts at the second and the fourth, 87.2 in; an end that stands out 44.4 counts twice.
  const posts = a.members.filter((m) => m.part === 'Beam post');
  expect(posts.map((m) => Math.round((m.lengthMm / IN) * 10) / 10)).toEqual([95.4, 95.4]);
  const ridge = a.arches[0]?.ridge;
  expect(ridge?.kind === 'posted' && Math.round(ridge.spanMm / IN)).toBe(Math.round(2 * ((176 - 2 * 0.83) / 4 + 0.83)));
  expect(a.members.some((m) => m.part.startsWith('Ridge purlin'))).toBe(false);
  expect(a.joints.find((j) => j.id === 'purlins')?.count).toBe(2 * 5);
  expect(a.joints.find((j) => j.id === 'beam')?.places).toHaveLength(5);
});

test('ties hang at a typed height, between the sidewall and the crown', () => {
  const a = house({ crossTies: 2, tieMm: 80 * IN, sidewallMm: 40 * IN });
  const tie = a.members.find((m) => m.part === 'Cross tie');
  expect(tie?.shape.kind === 'straight' && tie.shape.from[2] / IN).toBeCloseTo(80, 6);
  expect(a.dimensions.find((d) => d.id === 'tieHeight')?.valueMm).toBeCloseTo(80 * IN, 6);
  const family = familyOf('walk-in');
  const site = at(128, 44);
  const high = family.assemble({ ...family.defaults(site), crossTies: 1, tieMm: 120 * IN }, site);
  expect(high.ok ? '' : high.faults[0]?.field).toBe('tieHeight');
});

test('over one narrow bed it has no door, and hands reach in under its rolled sides', () => {
  const site = at(96, 30);
  const a = build('walk-in', site, {
    widthMm: 36 * IN,
    lengthMm: 104 * IN,
    doors: 'none',
    sidewallMm: 18 * IN,
    pipe: 'pvc-3/4',
    post: 'emt-1/2',
  });
  expect(a.openings.map((o) => [o.by, o.reachedFrom])).toEqual([
    ['roll-up', 'both sides'],
    ['roll-up', 'both sides'],
  ]);
  expect(a.members.some((m) => m.part.startsWith('Door'))).toBe(false);
  expect(a.steps.map((s) => s.id)).not.toContain('door');
});

test('timber posts stand beside their hoops, flush with them outside, dug in with mix and strapped', () => {
  const a = house({ posts: 'timber', sidewallMm: 60 * IN });
  const posts = a.members.filter((m) => m.part === 'Post');
  expect(new Set(posts.map((m) => m.section.key))).toEqual(new Set(['4x4 treated']));
  // A third less of 60 in is 20: from 450 mm or a third of the height, up to the next quarter.
  expect(posts.map((m) => Math.round((m.lengthMm / IN) * 100) / 100)).toEqual(posts.map(() => 80));
  const at_ = (m: (typeof posts)[number] | undefined, k: 0 | 1): number =>
    m?.shape.kind === 'straight' ? m.shape.to[k] / IN : NaN;
  const [first] = posts;
  const hoop = a.arches[0];
  // 3.5 in wide: its outer face .83 out of the hoop's centre line, its side touching the hoop's.
  expect(at_(first, 1) - 1.75).toBeCloseTo((hoop?.footYMm ?? 0) / IN - 0.83, 6);
  expect(at_(first, 0) - 1.75).toBeCloseTo((hoop?.xsMm[0] ?? 0) / IN + 0.83, 6);
  expect(a.sleeves).toEqual([]);
  expect(countItems(a, 'post-mix')).toBe(10);
  expect(a.joints.find((j) => j.id === 'feet')?.kind).toBe('uStrap');
  expect(a.posts[0]).toMatchObject({ set: 'dug' });
});
