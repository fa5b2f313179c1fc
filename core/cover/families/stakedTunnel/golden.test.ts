import { phraseText } from '../../../base/figure';
import { type Point, differences, outward, sprung, taut } from '../../../testing/golden';
import { NOON, sunFromAbove } from '../../../testing/judged';
import { NOTHING_OWN, catalogOf } from '../../../catalog/own';
import { at, build, siteOf } from '../../../testing/site';
import { coldestNight } from '../../../judge/climate/coldest';
import { noonAir } from '../../../judge/climate/noon';
import { crop } from '../../../catalog/crops';

test('a staked tunnel over 128 x 44 in, worked by hand', () => {
  // Rods stand 25 mm and half a pipe inside the walls: 44 - 2 x 1.5 - 2 x (25 / 25.4 + .84 / 2).
  const span = 44 - 3 - 2 * (25 / 25.4 + 0.42);
  // Over upright rods the hoop is a true half circle, with 8 in of pipe down each rod.
  const radius = span / 2;
  const first = 1.5 + 3;
  const run = 128 - 2 * first;
  // 119 in at 36 in at the most: four bays.
  const bay = run / Math.ceil(run / 36);
  // Soil 50 mm under the rim of an 11 in wall; 8 in of leg on it, and the half circle over that, told in 200 steps.
  const springs = 11 - 50 / 25.4 + 8;
  const over = Array.from({ length: 201 }, (_, i): Point => {
    const at = (Math.PI * i) / 200;
    return [22 - (radius + 0.42) * Math.cos(at), springs + (radius + 0.42) * Math.sin(at)];
  });
  expect(
    differences(build('staked-tunnel', at(128, 44)), {
      members: {
        'H1..H5': ['pvc-1/2', (Math.PI / 2) * span + 2 * 8],
        'D1..D10': ['rod-4', 24],
        // 30 mm of ridge beyond the end hoops.
        R1: ['pvc-1/2', run + (2 * 30) / 25.4],
      },
      sheets: {
        S1: {
          // From the ground over the outer edges of both walls.
          across: [taut([0, 0], [[0, 11], ...over, [44, 11]], [44, 0]), 2 * 10, 2],
          // From the crown over the edge of the end wall, and 11 in down its outside.
          along: [run + 0.84, 2 * (Math.hypot(first, springs + radius + 0.42 - 11) + 11), 2 * 12],
        },
      },
      hardware: [
        [1, 'paint', 'PVC painted'],
        [5 * 2, 'cable-tie', 'Ridge to every crown'],
        [2, 'end-cap', 'Both ends of the ridge pipe'],
        // Both end hoops, one each 450 mm up both sides and one more: 2 x 485 mm.
        [2 * (Math.ceil(970 / 450) + 1), 'clip', 'Cover to the end hoops'],
        // One a metre on both skirts, and four on the ends: 3.04 m.
        [2 * 4 + 4, 'sandbag', 'Weights on both skirts'],
      ],
      dimensions: {
        span,
        skirt: 10,
        rodShown: 8,
        pipeLength: (Math.PI / 2) * span + 16,
        height: 8 + radius,
        spacing: bay,
        coverLength: 128,
        endOffset: 3,
        rowFromEdge: 5,
      },
    }),
  ).toEqual([]);
});

test('its rods are marked at the soil from the end that is driven, and its ridge at every hoop', () => {
  const a = build('staked-tunnel', at(128, 44));
  const marks = (tag: string): readonly number[] =>
    a.members.find((m) => m.tag === tag)?.marks.map((m) => Math.round((m.atMm / 25.4) * 100) / 100) ?? [];
  // 24 in of rod with 8 in showing: 16 in in the ground.
  expect(marks('D1')).toEqual([16]);
  expect(marks('R1')).toEqual([0, 1, 2, 3, 4].map((i) => Math.round((30 / 25.4 + 29.75 * i) * 100) / 100));
});

test('with its feet in the soil, a rope along it and folded ends', () => {
  const span = 44 - 3 - 2 * (25 / 25.4 + 0.42);
  // Free to turn in soft soil: a pipe as long as half a circle stands a little higher than one.
  const pipe = (Math.PI / 2) * span;
  const hoop = sprung(span, pipe);
  const run = 128 - 2 * 4.5;
  const soil = 11 - 50 / 25.4;
  const left = 22 - span / 2;
  const over = outward(hoop.points, 0.42).map(([y, z]): Point => [y + left, z + soil]);
  expect(
    differences(build('staked-tunnel', at(128, 44), { feet: 'soil', ridge: 'rope', ends: 'folded', paint: 'tape' }), {
      // Six inches of both tails in the soil.
      members: { 'H1..H5': ['pvc-1/2', pipe + 2 * 6] },
      sheets: {
        S1: {
          across: [taut([0, 0], [[0, 11], ...over, [44, 11]], [44, 0]), 20, 2],
          along: [run + 0.84, 2 * (Math.hypot(4.5, soil + hoop.height + 0.42 - 11) + 11), 2 * 6],
        },
      },
      hardware: [
        [10, 'end-cap', 'Pipe ends'],
        // Five hoops of 1.83 m, taped along their outer face.
        [10, 'pipe-tape', 'Along the outer face'],
        // Three ropes of 3.02 m, and four to tie and stake.
        [14, 'rope', 'Rope at the crown'],
        // 2 x 20.24 in is 1028 mm.
        [2 * (Math.ceil(1028 / 450) + 1), 'clip', 'Cover to the end hoops'],
        [2 * 4 + 4, 'sandbag', 'Weights on both skirts'],
      ],
      dimensions: {
        span,
        skirt: 10,
        bury: 6,
        pipeLength: pipe + 12,
        height: hoop.height,
        spacing: run / 4,
        coverLength: 128,
        endOffset: 3,
        rowFromEdge: 5,
      },
    }),
  ).toEqual([]);
});

const tunnel = (more: object) => build('staked-tunnel', at(128, 44), more);
const dim = (a: ReturnType<typeof tunnel>, id: string): number =>
  (a.dimensions.find((d) => d.id === id)?.valueMm ?? NaN) / 25.4;

test('rods that lean in bring the pipe inward, and ease the bend of a low one', () => {
  const height = { shape: { by: 'height', heightMm: 18 * 25.4 } };
  const [upright, lean] = [tunnel(height), tunnel({ ...height, leanDeg: 20 })];
  const [arch] = lean.arches;
  const span = 44 - 3 - 2 * (25 / 25.4 + 0.42);
  // 8 in of rod shows: sin 20 of it inward on each side, cos 20 of it up.
  const t = (20 * Math.PI) / 180;
  expect((arch?.hoop.spanMm ?? 0) / 25.4).toBeCloseTo(span - 2 * 8 * Math.sin(t), 3);
  expect(((arch?.footZMm ?? 0) - (arch?.baseZMm ?? 0)) / 25.4).toBeCloseTo(8 * Math.cos(t), 6);
  expect(dim(lean, 'span')).toBeCloseTo(span, 6);
  expect(dim(lean, 'height')).toBeCloseTo(18, 3);
  const tightest = (a: typeof lean): number => a.arches[0]?.hoop.maxCurvaturePerMm ?? NaN;
  expect(tightest(lean)).toBeLessThan(tightest(upright) / 2);
  const drive = (a: typeof lean): string => {
    const found = a.steps.find((s) => s.id === 'rods');
    return [...(found?.work ?? []), ...(found?.checks ?? [])]
      .map((p) => phraseText(p, { length: 'mm', temperature: 'C', currency: 'USD' }))
      .join(' ');
  };
  expect(drive(upright)).toMatch(
    /Drive D1 to D10 upright at the marks until 203 mm shows\..*Every rod plumb both ways/,
  );
  expect(drive(lean)).toMatch(
    /Drive D1 to D10 at the marks until 203 mm shows, leaning in 20\.0° off plumb\..*Every rod leans alike/,
  );
  // The rod points where the pipe goes on, and is as long as it was.
  const rod = lean.members.find((m) => m.tag === 'D1');
  const [from, to] = rod?.shape.kind === 'straight' ? [rod.shape.from, rod.shape.to] : [];
  expect(Math.hypot((to?.[1] ?? 0) - (from?.[1] ?? 0), (to?.[2] ?? 0) - (from?.[2] ?? 0)) / 25.4).toBeCloseTo(24, 6);
  expect(arch?.footYMm).toBeCloseTo(to?.[1] ?? NaN, 6);
});

test('over its rod and into the soil a hoop is longer by what is in the soil, twice', () => {
  expect(dim(tunnel({ feet: 'driven', buryMm: 6 * 25.4 }), 'pipeLength')).toBeCloseTo(
    dim(tunnel({}), 'pipeLength') + 12,
    4,
  );
});

test('with the near side open the sheet ends half way up the hoops, clipped to each, and warms nothing', () => {
  const a = tunnel({ edges: 'one-open' });
  const [sheet] = a.sheets;
  // Half way between the soil and the crown, straight over the legs up to there.
  const edge = sheet?.run?.[0];
  const zs = [a.arches[0]?.baseZMm ?? 0, (a.arches[0]?.footZMm ?? 0) + (a.arches[0]?.hoop.heightMm ?? 0) + 0.42 * 25.4];
  expect(edge?.[2]).toBeCloseTo(((zs[0] ?? 0) + (zs[1] ?? 0)) / 2, -2);
  expect(sheet?.skirt?.sides).toBe(1);
  expect(a.joints.find((j) => j.id === 'edge clips')?.places).toHaveLength(5);
  expect(a.openings.map((o) => [o.by, o.reachedFrom])).toEqual([['open', 'near']]);
  expect(a.ventilation.aloneM2).toBeGreaterThan(0.5);
  expect(noonAir(a.enclosure, sunFromAbove(a.enclosure), NOON).riseShutC).toBeLessThan(3);
  expect(coldestNight(a).value).toBe(crop('lettuce').killingC);
  // The far skirt lies as it was asked.
  const far = sheet?.run?.[sheet.run.length - 1];
  expect((far?.[1] ?? 0) / 25.4).toBeCloseTo(44 + 10, 1);
});

test('bricks count double, and bars on the skirts hold by their own weight', () => {
  const held = (a: ReturnType<typeof tunnel>, what: string) => a.footing.holdDowns.find((h) => h.what === what);
  expect(held(tunnel({}), 'weights on skirts and ends')).toMatchObject({ count: 12, eachN: 49 });
  expect(held(tunnel({ skirtUnder: 'bricks' }), 'weights on skirts and ends')).toMatchObject({ count: 24, eachN: 22 });
  const boards = tunnel({ skirtUnder: 'boards' });
  // 119 in in one 2x4 of ten feet on each side: 1.5 x 3.5 x 119 in of treated wood at 600 kg/m3 are 6.14 kg.
  expect(boards.members.filter((m) => m.part === 'Skirt board').map((m) => Math.round(m.lengthMm / 25.4))).toEqual([
    119, 119,
  ]);
  const kg = 1.5 * 3.5 * 119 * 0.0254 ** 3 * 600;
  expect(held(boards, 'bars on the skirts')?.eachN).toBeCloseTo((49 * kg) / 5, 1);
  expect(held(boards, 'weights on the ends')?.count).toBe(4);
  // 119 in of rod in three of four feet at the most.
  expect(tunnel({ skirtUnder: 'rods' }).members.filter((m) => m.part === 'Skirt rod')).toHaveLength(6);
});

test('flaps at the ends are sheets of their own, and the cover stops at the end hoops', () => {
  const a = tunnel({ ends: 'flap' });
  const along = a.sheets[0]?.along.map((l) => Math.round((l.mm / 25.4) * 10) / 10);
  expect(along).toEqual([119.8, 8]);
  expect(a.sheets.map((s) => s.part)).toEqual(['Cover', 'End flap', 'End flap']);
  expect(a.openings.filter((o) => o.by === 'flap')).toHaveLength(2);
  expect(a.sheets[1]?.across.map((l) => Math.round(l.mm / 25.4))).toEqual([44, 9]);
});

test('in a metric shop, over 2400 x 1000 mm, its edges battened to the wall', () => {
  const mm = (x: number): number => x / 25.4;
  const site = siteOf(2400, 1000, { market: 'metric', catalog: catalogOf(NOTHING_OWN, 'metric') });
  // Rods 25 mm and half of a 20 mm pipe inside walls of 38.1.
  const span = 1000 - 2 * 38.1 - 2 * (25 + 10);
  const radius = span / 2;
  const first = 38.1 + 75;
  const run = 2400 - 2 * first;
  const springs = 279.4 - 50 + 200;
  const over = Array.from({ length: 201 }, (_, i): Point => {
    const angle = (Math.PI * i) / 200;
    return [500 - (radius + 10) * Math.cos(angle), springs + (radius + 10) * Math.sin(angle)];
  });
  const pipe = (Math.PI / 2) * span + 2 * 200;
  // From under the batten, 40 mm below the rim, over the edge of each wall.
  const across = taut([0, 279.4 - 40], [[0, 279.4], ...over, [1000, 279.4]], [1000, 279.4 - 40]);
  expect(
    differences(build('staked-tunnel', site, { edges: 'battened', hoops: 4 }), {
      members: {
        'H1..H4': ['pvc-20', mm(pipe)],
        'D1..D8': ['rod-4', mm(600)],
        R1: ['pvc-20', mm(run + 2 * 30)],
        'B1 B2': ['25x38 mm', mm(run)],
      },
      sheets: {
        S1: {
          across: [mm(across), 2 * 3, 2],
          along: [mm(run + 20), 2 * mm(Math.hypot(first, springs + radius + 10 - 279.4) + 279.4), 2 * 12],
        },
      },
      hardware: [
        [1, 'paint', 'PVC painted'],
        [4 * 2, 'cable-tie', 'Ridge to every crown'],
        [2, 'end-cap', 'Both ends of the ridge pipe'],
        // 2 x 427 mm up both sides of both end hoops: two lengths of 450 and one more.
        [2 * 3, 'clip', 'Cover to the end hoops'],
        // Skirts there are none: four on the ends.
        [4, 'sandbag', 'Weights on the gathered ends'],
        // Each 150 mm of 2.2 m, and one more, on both sides.
        [2 * 16, 'staple', 'Cover to the bed wall'],
        [2 * 9, 'screw-1-5/8', 'Cover battens'],
      ],
      dimensions: {
        span: mm(span),
        rodShown: mm(200),
        pipeLength: mm(pipe),
        height: mm(200 + radius),
        spacing: mm(run / 3),
        coverLength: mm(2400),
        endOffset: mm(75),
        rowFromEdge: mm(125),
      },
    }),
  ).toEqual([]);
});

test('strapped to the wall it stands on that, driven or pushed in it stands in the soil', () => {
  const on = (feet: string) => build('staked-tunnel', at(128, 44), { feet }).footing.on;
  expect(['straps', 'driven', 'soil'].map(on)).toEqual(['wall', 'soil', 'soil']);
  // Only what is driven in has the pipe slid over it.
  const slid = (feet: string) => build('staked-tunnel', at(128, 44), { feet }).sleeves.map((s) => s.where);
  expect(['straps', 'driven', 'soil'].map(slid)).toEqual([[], ['hoop over driven rod'], []]);
});

test('film lies over its ends gathered or folded; flaps are sheets of their own', () => {
  const sheets = (ends: string) => build('staked-tunnel', at(128, 44), { ends }).sheets;
  const [gathered, folded, flapped] = ['gathered', 'folded', 'flap'].map((ends) => sheets(ends)[0]);
  expect([gathered, folded, flapped].map((s) => s?.gathered)).toEqual([true, undefined, undefined]);
  // Faces off the long sides and the ground are those of the ends.
  const upright = (s: typeof folded) =>
    s?.faces.filter((face) => Math.max(...face.map((p) => p[0])) - Math.min(...face.map((p) => p[0])) < 1).length ?? 0;
  expect(upright(flapped)).toBe(0);
  expect(upright(folded)).toBeGreaterThan(0);
  expect(sheets('flap').length).toBe(3);
});
