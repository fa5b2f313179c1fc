import { type Golden, type Point, differences, outward, sprung, taut } from '../../../testing/golden';
import { at, build } from '../../../testing/site';
import { familyOf } from '..';

describe.each(['none', 'posted'] as const)(
  'an arch of welded mesh over 128 x 44 in, worked by hand, %s under its crown',
  (ridge) => {
    test('members, sheets, things to buy and dimensions', () => {
      // Twelve squares of 6 in; the end ones are cut to prongs, 5 in of each in the soil, 25 mm from the walls.
      const span = 44 - 3 - (2 * 25) / 25.4;
      const arch = sprung(span, 12 * 6 - 2 * 5);
      const wire = 0.135;
      const soil = 11 - 50 / 25.4;
      const outside = outward(arch.points, wire / 2).map(([y, z]): Point => [y + 22 - span / 2, z + soil]);
      const over = taut([0, 0], [[0, 11], ...outside, [44, 11]], [44, 0]);
      // Two rolls 5 ft wide, ten squares each, one square lapped.
      const run = (2 * 10 - 1) * 6;
      // In the middle of the bed: (128 - 114) / 2 from its end, the crown over the edge of the end wall and 11 in down.
      const past = (128 - run) / 2;
      const down = Math.hypot(past, soil + arch.height + wire / 2 - 11) + 11;
      const sheet = { across: [over / 2, 10 / 2, 10, 2], along: [run, 2 * down, 2 * 12] };
      // A board under the wires, 30 mm longer than the mesh at each end; posts 18 in in the soil, up to it: half a wire, and the board's 3.5 in.
      const posted: Golden['members'] =
        ridge === 'none'
          ? {}
          : { R1: ['2x4', run + (2 * 30) / 25.4], 'P1 P2': ['2x2 treated', 18 + arch.height - 0.148 / 2 - 3.5] };
      expect(
        differences(build('mesh-arch', at(128, 44), { ridge }), {
          members: posted,
          sheets: {
            S1: sheet,
            S2: sheet,
            M1: { across: [12 * 6], along: [10 * 6] },
            M2: { across: [12 * 6], along: [10 * 6] },
          },
          hardware: [
            // Rolls of 7 ft cut to ten squares: thirteen wire ends on each.
            [2 * 13, 'end-sleeve', 'Cut wire ends'],
            [12, 'cable-tie', 'Panels of mesh'],
            // Four straps over the sheets from ground to ground, 1200 mm more each: 13.6 m.
            [Math.ceil((4 * (over * 25.4 + 1200)) / 1000), 'rope', 'Straps'],
            [4 * 2, 'sandbag', 'On both ends'],
            // One a metre of 2.9 m on both sides and two at each end.
            [2 * 3 + 4, 'sandbag', 'On the skirts'],
            ...(ridge === 'none'
              ? []
              : ([
                  // A wire every 6 in of 114: twenty; a plate on each post.
                  [20, 'staple', 'Over each wire'],
                  [2, 'corner-plate', 'Posts to the ridge'],
                ] as const)),
          ],
          dimensions: {
            span,
            skirt: 10,
            prong: 5,
            archHeight: arch.height,
            mesh: run,
            coverLength: 128,
            rowFromEdge: 5,
          },
        }),
      ).toEqual([]);
    });
  },
);

test('eleven squares over 96 x 48 in, the film tucked in beside the walls, its ends folded, wires left bare', () => {
  const span = 48 - 3 - (2 * 25) / 25.4;
  const arch = sprung(span, 11 * 6 - 2 * 5);
  const wire = 0.135;
  // From the soil inside the walls over the arch.
  const outside = outward(arch.points, wire / 2);
  const over = taut([-wire / 2, 0], outside, [span + wire / 2, 0]);
  // Two panels of eight squares, one lapped.
  const run = (2 * 8 - 1) * 6;
  const sheet = { across: [over / 2, 10 / 2, 10, 2], along: [run, 2 * (arch.height + wire / 2), 2 * 6] };
  expect(
    differences(
      build('mesh-arch', at(96, 48), { squares: 11, caps: 'bare', edges: 'inside', ends: 'folded', straps: 3 }),
      {
        members: {},
        sheets: {
          S1: sheet,
          S2: sheet,
          M1: { across: [11 * 6], along: [8 * 6] },
          M2: { across: [11 * 6], along: [8 * 6] },
        },
        hardware: [
          [11, 'cable-tie', 'Panels of mesh'],
          // Three straps over the sheets from soil to soil, 1200 mm more each: 7.9 m.
          [Math.ceil((3 * (over * 25.4 + 1200)) / 1000), 'rope', 'Straps'],
          [3 * 2, 'sandbag', 'On both ends'],
          // One a metre of 2.3 m on both sides and two at each end.
          [2 * 3 + 4, 'sandbag', 'On the skirts'],
        ],
        dimensions: { span, prong: 5, archHeight: arch.height, mesh: run, coverLength: 96, rowFromEdge: 5 },
      },
    ),
  ).toEqual([]);
});

test('higher or lower it is by whole squares of 6 in, two for each six inches and one at the least', () => {
  const family = familyOf('mesh-arch');
  const site = at(96, 44);
  const answers = { ...family.defaults(site), squares: 12 };
  const squares = (byIn: number) =>
    family.change(
      answers,
      { kind: 'higher', byMm: byIn * 25.4 },
      { assembly: build('mesh-arch', site, answers), site },
    )?.['squares'];
  expect([6, 12, 1, -1, -6].map(squares)).toEqual([14, 16, 13, 11, 10]);
});

test('its two sheets part along the crown', () => {
  const made = build('mesh-arch', at(96, 44));
  const [parting] = made.openings.filter((o) => o.by === 'crown');
  const highest = Math.max(...made.sheets.flatMap((s) => s.faces.flat().map((p) => p[2])));
  expect(parting?.line.map((p) => [p[1], p[2]])).toEqual([
    [expect.closeTo(22 * 25.4, 0), expect.closeTo(highest, 6)],
    [expect.closeTo(22 * 25.4, 0), expect.closeTo(highest, 6)],
  ]);
});
