import { differences } from '../../../testing/golden';
import { boardCorners } from '../../assembly/solids';
import type { Member } from '../../assembly/types';
import { phraseText } from '../../../base/figure';
import { familyOf } from '..';
import { NOTHING_OWN, catalogOf } from '../../../catalog/own';
import { at, build, siteOf } from '../../../testing/site';

const IN = 25.4;

test('a sloped cold frame over 128 x 44 in, 2x12 at the back and sides and 2x8 in front, worked by hand', () => {
  const [front, back] = [7.25, 11.25];
  // The lid touches the front board's outer edge and the back board's inner one.
  const slope = (back - front) / (44 - 1.5);
  const down = 44 * Math.hypot(1, slope) + 0.75;
  // Three lids, 4 mm of play between them.
  const each = (128 - (2 * 4) / IN) / 3;
  const posts = { low: front - 8 / IN, high: back - slope * 1.5 - 8 / IN };
  expect(
    differences(build('sloped-cold-frame', at(128, 44)), {
      members: {
        A1: ['2x8 treated', 128],
        B1: ['2x12 treated', 128],
        'C1 D1': ['2x12 treated', 44 - 2 * 1.5],
        'P1 P2': ['2x2 treated', posts.low],
        'P3 P4': ['2x2 treated', posts.high],
        'K1a K1b K2a K2b K3a K3b': ['2x2', each],
        'K1c K1d K1e K2c K2d K2e K3c K3d K3e': ['2x2', down - 2 * 1.5],
      },
      panels: { 'G1..G3': ['twin-wall-6', each, down] },
      sheets: {},
      hardware: [
        [4 * 2 * 2, 'screw-2-1/2', 'Boards to the corner posts'],
        [3 * 4, 'corner-plate', 'Lid corners'],
        [9 * 2 * 2, 'screw-2-1/2', 'Rails into'],
        // Nine stiles and bars of 1151 mm each 250 mm, and one more at each corner of each lid.
        [42 + 3 * 4, 'glazing-screw', 'Glazing'],
        [2 * 4, 'edge-tape', 'Glazing'],
        [3 * 2, 'hinge', 'Lids to the back'],
        // 2 x (1081 + 1126) mm round each of three.
        [14, 'foam-strip', 'Along the edges'],
        [3, 'handle', 'At the front'],
        ...[1, 2, 3].flatMap(() => [
          [1, 'latch', 'Lids to the front'] as const,
          [1, 'stay', 'Hold the lids open'] as const,
        ]),
        [6, 'bracket', 'Box to the bed'],
      ],
      dimensions: { boxWidth: 44, front, backHeight: back, coverLength: 128, rowFromEdge: 7 },
    }),
  ).toEqual([]);
  const a = build('sloped-cold-frame', at(128, 44));
  const taper = a.members.find((m) => m.tag === 'C1')?.taperMm?.map((mm) => mm / IN) ?? [];
  // Behind the front board the lid is slope x 1.5 higher; at the back it is the back's.
  expect(taper[0]).toBeCloseTo(front + slope * 1.5, 3);
  expect(taper[1]).toBeCloseTo(back, 3);
  expect(a.steps.map((x) => x.id)).not.toContain('rip');
});

test('corner posts stand in the box from its foot to a finger under the lid', () => {
  const a = build('sloped-cold-frame', at(128, 44), { frontMm: 8 * IN, backMm: 11 * IN });
  const ends = a.members
    .filter((m) => m.part === 'Corner post')
    .map((m) => (m.shape.kind === 'straight' ? [m.shape.from[2] / IN, m.shape.to[2] / IN] : []));
  // On a wall of 11 in; behind by slope x 1.5 lower than the back's inner edge, 8 mm under the lid everywhere.
  const [front, back] = [8 - 8 / IN, 11 - (3 / 42.5) * 1.5 - 8 / IN];
  expect(ends.map(([from]) => from)).toEqual([11, 11, 11, 11].map((z) => expect.closeTo(z, 6) as number));
  expect(ends.map(([, to]) => to)).toEqual([front, front, back, back].map((z) => expect.closeTo(11 + z, 3) as number));
});

const sides = (more: object): readonly (readonly (string | number | undefined)[])[] =>
  build('sloped-cold-frame', at(128, 44), more)
    .members.filter((m) => m.tag.startsWith('C') || m.tag.startsWith('D'))
    .sort((p, q) => (p.tag < q.tag ? -1 : 1))
    .map((m) => [
      m.tag,
      m.section.key,
      ...(m.taperMm ?? []).map((mm) => Math.round((mm / IN) * 100) / 100),
      m.sawnFrom,
    ]);

test('two tapered sides come out of one board only where the saw’s kerf has room as well', () => {
  // 4 in front, 7 at the back of 2x12: both ends of the pair and a kerf, 4 + 3 / 42.5 x 1.5 + 7 + .125 = 11.23 of 11.25 in.
  expect(sides({ frontMm: 4 * IN, backMm: 7 * IN })[1]).toEqual(['D1', '2x12 treated', 4.11, 7, 'C1']);
  expect(sides({ frontMm: 4 * IN, backMm: 7.1 * IN })[1]).toEqual(['D1', '2x12 treated', 4.11, 7.1, undefined]);
});

test('a box higher than any board: what lies below falls as well, and nothing tapers under an inch', () => {
  const slope = (13.9 - 7.25) / 42.5;
  const low = 7.25 + slope * 1.5;
  // 2x8: the top one from 1 in to a whole board; below it the rest, 6.48 in front and 13.9 - 7.25 at the back.
  expect(sides({ board: '2x8', frontBoard: 'same', frontMm: null, backMm: 13.9 * IN }).slice(0, 2)).toEqual([
    ['C1', '2x8 treated', Math.round((low - 1) * 100) / 100, 6.65, undefined],
    ['C2', '2x8 treated', 1, 7.25, undefined],
  ]);
  // 16 in: one whole board below, and a taper of 16 + slope x 1.5 - 11.25 to 19 - 11.25.
  expect(sides({ frontBoard: 'same', frontMm: 16 * IN, backMm: 19 * IN }).slice(0, 2)).toEqual([
    ['C1', '2x12 treated', undefined],
    ['C2', '2x12 treated', Math.round((16 + (3 / 42.5) * 1.5 - 11.25) * 100) / 100, 7.75, undefined],
  ]);
});

test('a height that no board has is ripped, with its step; a board that is as high is not', () => {
  const a = build('sloped-cold-frame', at(128, 44), { frontMm: 6 * IN });
  const rip = a.steps.find((x) => x.id === 'rip');
  expect(rip?.tags).toEqual(['A1']);
  expect(rip?.work.flat()).toContainEqual({ value: 6 * IN, quantity: 'length' });
  expect(a.members.find((m) => m.tag === 'A1')?.taperMm).toEqual([6 * IN, 6 * IN]);
});

test('a front board of another thickness is refused by name', () => {
  const found = familyOf('sloped-cold-frame').assemble(
    { ...familyOf('sloped-cold-frame').defaults(at(128, 44)), frontBoard: '1x6' },
    at(128, 44),
  );
  expect(found.ok ? '' : found.faults[0]?.field).toBe('frontBoard');
});

test('made to two windows of 30 x 46 in, over part of the bed', () => {
  const [front, back] = [9.25, 17];
  // The windows overhang .75 in; what lies on the box is its depth along the slope, which rises over the depth less 1.5.
  const onBox = 46 - 0.75;
  let depth = onBox;
  for (let i = 0; i < 50; i++) depth = onBox / Math.hypot(1, (back - front) / (depth - 1.5));
  const slope = (back - front) / (depth - 1.5);
  expect(
    differences(
      build('sloped-cold-frame', at(128, 44), {
        glazing: 'old-window',
        sashBy: 'sash',
        lids: 2,
        sashAlongMm: 30 * IN,
        sashReachMm: 46 * IN,
        board: '2x10',
        frontBoard: 'same',
        frontMm: front * IN,
        backMm: back * IN,
        latches: 2,
      }),
      {
        members: {
          // Two windows, and 4 mm between them.
          'A1 B1 B2': ['2x10 treated', 60 + 4 / IN],
          'C1 D1 C2 D2': ['2x10 treated', depth - 2 * 1.5],
          'P1 P2': ['2x2 treated', front - 8 / IN],
          'P3 P4': ['2x2 treated', back - slope * 1.5 - 8 / IN],
          // Where it ends over soil, from wall to wall inside.
          X1: ['1x6 treated', 44 - 3],
        },
        panels: { 'G1 G2': ['old-window', 30, 46] },
        sheets: {},
        hardware: [
          [7 * 2 * 2, 'screw-2-1/2', 'Boards to the corner posts'],
          [2 * 2, 'screw-2-1/2', 'Board across the soil'],
          [2, 'safety-film', 'On the glass'],
          // 2 x (762 + 1148) mm round each of two.
          [8, 'foam-strip', 'Along the edges'],
          [2 * 2, 'hinge', 'Lids to the back'],
          [2, 'handle', 'At the front'],
          ...[1, 2].flatMap(() => [
            [2, 'latch', 'Lids to the front'] as const,
            [1, 'stay', 'Hold the lids open'] as const,
          ]),
          [4, 'bracket', 'Box to the bed'],
          [2, 'old-window', 'One to a lid'],
        ],
        dimensions: { boxWidth: depth, front, backHeight: back, coverLength: 60 + 4 / IN, rowFromEdge: 7 },
      },
    ),
  ).toEqual([]);
});

test('its tapered sides are marked at both ends, cut as a pair or one after the other', () => {
  const taper = () => {
    const a = build('sloped-cold-frame', at(128, 44));
    const step = a.steps.find((x) => x.id === 'taper');
    if (!step) throw new Error('no taper');
    const sides = a.members.filter((m) => step.tags.includes(m.tag));
    return {
      step,
      sides,
      said: step.work.map((w) => phraseText(w, { length: 'in', temperature: 'F', currency: 'USD' })),
    };
  };
  const { step, sides, said } = taper();
  // One board a side, and only the sides: they begin behind the front board, 7.25 + 1.5 x 4 / 42.5 in high, and end at the back one.
  expect(step.tags).toEqual(['C1', 'D1']);
  expect(sides.map((m) => m.taperMm?.map((x) => Math.round(x)))).toEqual([
    [188, 286],
    [188, 286],
  ]);
  expect(said[0]).toBe(
    'C1 and D1: on the board mark 7 3/8" up the front end from one edge and 11 1/4" up the back end, and join the marks with a straight board.',
  );
  expect(said).toHaveLength(2);
  expect(said[1]).toContain('the pattern of the second');
});

test('in a metric shop, over 2400 x 1000 mm: 45x195 boards in one row in front, in two behind', () => {
  const mm = (x: number): number => x / IN;
  const site = siteOf(2400, 1000, { market: 'metric', catalog: catalogOf(NOTHING_OWN, 'metric') });
  // Two boards behind are 390 mm: ripped to 375, 180 over the front.
  const [front, back, thick] = [195, 375, 45];
  const slope = (back - front) / (1000 - thick);
  const down = 1000 * Math.hypot(1, slope) + 20;
  const each = (2400 - 4) / 2;
  const a = build('sloped-cold-frame', site);
  expect(
    differences(a, {
      members: {
        A1: ['45x195 mm treated', mm(2400)],
        'B1 B2': ['45x195 mm treated', mm(2400)],
        // Sides between front and back, two boards high.
        'C1 C2 D1 D2': ['45x195 mm treated', mm(1000 - 2 * thick)],
        'P1 P2': ['45x45 mm treated', mm(front - 8)],
        'P3 P4': ['45x45 mm treated', mm(back - slope * thick - 8)],
        'K1a K1b K2a K2b': ['45x45 mm', mm(each)],
        // Sheets are 1200 wide: a bar in the middle of each.
        'K1c K1d K1e K2c K2d K2e': ['45x45 mm', mm(down - 2 * thick)],
      },
      panels: { 'G1 G2': ['twin-wall-6', mm(each), mm(down)] },
      sheets: {},
      hardware: [
        // Seven boards, two screws an end.
        [7 * 2 * 2, 'screw-2-1/2', 'Boards to the corner posts'],
        [2 * 4, 'corner-plate', 'Lid corners'],
        [6 * 2 * 2, 'screw-2-1/2', 'Rails into'],
        // Six stiles and bars of 1038 mm each 250 mm, and one more at each corner of each lid.
        [25 + 2 * 4, 'glazing-screw', 'Glazing'],
        [2 * 3, 'edge-tape', 'Glazing'],
        [2 * 2, 'hinge', 'Lids to the back'],
        // 2 x (1198 + 1018) mm round each.
        [9, 'foam-strip', 'Along the edges'],
        [2, 'handle', 'At the front'],
        ...[1, 2].flatMap(() => [
          [1, 'latch', 'Lids to the front'] as const,
          [1, 'stay', 'Hold the lids open'] as const,
        ]),
        [4, 'bracket', 'Box to the bed'],
      ],
      dimensions: {
        boxWidth: mm(1000),
        front: mm(front),
        backHeight: mm(back),
        coverLength: mm(2400),
        rowFromEdge: mm(175),
      },
    }),
  ).toEqual([]);
  // The back's upper board is ripped, and its step says so.
  expect(a.steps.map((x) => x.id)).toContain('rip');
});

test('on clay it is said what keeps the box from standing in a puddle', () => {
  const site = at(96, 40);
  const said = (soil: 'clay' | 'loam') =>
    build('sloped-cold-frame', { ...site, bed: { ...site.bed, soil } })
      .steps.find((s) => s.id === 'set')
      ?.work.some((w) => w.join('').startsWith('Clay holds water'));
  expect([said('clay'), said('loam')]).toEqual([true, false]);
});

test('an upper side on a course that falls has plumb ends, cut off square by the fall of what it lies on', () => {
  const a = build('sloped-cold-frame', at(128, 44), { board: '2x8 treated', frontMm: 6 * IN, backMm: 14 * IN });
  const lower = a.members.find((m) => m.tag === 'C1');
  const upper = a.members.find((m) => m.tag === 'C2');
  if (!lower || !upper) throw new Error('no sides');
  // 6 in in front, 8 in more over 42.5: 6.282 at the side's front end, an inch of it the upper one's. The back's 14 less 7.25 of it.
  const [near, far] = [6 + (8 / 42.5) * 1.5 - 1, 14 - 7.25];
  expect(lower.taperMm?.map((mm) => mm / IN)).toEqual([expect.closeTo(near, 6), expect.closeTo(far, 6)]);
  const fall = Math.atan2(far - near, 41);
  const deg = (fall * 180) / Math.PI;
  expect(upper.endAnglesDeg).toEqual([expect.closeTo(-deg, 6), expect.closeTo(deg, 6)]);
  expect(upper.taperMm?.map((mm) => mm / IN / Math.cos(fall))).toEqual([expect.closeTo(1, 6), expect.closeTo(7.25, 6)]);
  // Both of its ends stand where the lower one's do, from their foot to their top.
  const ends = (m: Member): number[] => boardCorners(m).map((p) => Number((p[1] / IN).toFixed(6)));
  expect(ends(upper)).toEqual(ends(lower));
  expect(Math.max(...boardCorners(upper).map((p) => p[2])) / IN).toBeCloseTo(11 + 14, 6);
  // The blank is as long as its slanting ends ask: 41 in on the slope and a board's width aslant.
  expect(upper.lengthMm / IN).toBeCloseTo(41 / Math.cos(fall) + 7.25 * Math.tan(fall), 6);
});
