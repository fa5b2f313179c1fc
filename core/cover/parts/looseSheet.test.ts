/** A loose sheet by hand, over a tent of a cross-section: 1,000 mm wide and 375 high, so that each slope is 625 long. */
import { at } from '../../testing/site';
import type { SheetRun } from '../assembly/sheetRun';
import {
  type LooseSheetAnswers,
  aboveWall,
  acrossOf,
  drawnRun,
  endFaces,
  endOpenings,
  fastenedToWall,
  lyingOf,
  openSide,
  skirtDimension,
  skirtFaces,
  skirtLines,
  skirtOpening,
} from './looseSheet';

const TENT = [
  { y: 0, z: 0 },
  { y: 500, z: 375 },
  { y: 1000, z: 0 },
];
type Folds = SheetRun['folds'];
const run = (...folds: Folds): SheetRun => ({ line: TENT, folds });
const answers = (edges: LooseSheetAnswers['edges'], skirtMm = 200): LooseSheetAnswers => ({ edges, skirtMm });
const INCH = 25.4;

describe('across', () => {
  const told = (edges: LooseSheetAnswers['edges'], ...folds: Folds) =>
    acrossOf(answers(edges), run(...folds)).map(({ what, mm }) => [what, Math.round(mm * 10) / 10]);
  const pull = ['Spare, to pull it tight', 50.8];
  test.each<[LooseSheetAnswers['edges'], Folds, readonly unknown[]]>([
    ['ground', ['ground', 'ground'], [['Skirt on the ground, both sides', 400]]],
    ['inside', ['inside', 'inside'], [['Tucked in on the soil, both sides', 400]]],
    // Four inches over the clips on the open side, a skirt on the other.
    [
      'one-open',
      ['hoop', 'ground'],
      [
        ['Skirt on the ground, far side', 200],
        ['Turned over the clips, near side', 101.6],
      ],
    ],
    [
      'one-battened',
      ['ground', 'wall'],
      [
        ['Skirt on the ground, near side', 200],
        ['Wrapped round the batten, far side', 76.2],
      ],
    ],
    ['battened', ['wall', 'wall'], [['Wrapped round the batten, both sides', 152.4]]],
    ['stapled', ['wall', 'wall'], [['Folded under the staples, both sides', 152.4]]],
  ])('%s, %j', (edges, folds, past) => {
    const [over, ...rest] = told(edges, ...folds);
    expect(over?.[1]).toBe(1250);
    expect(rest).toEqual([...past, pull]);
  });
});

test('what lies past the folds: on how many sides, and on what', () => {
  const skirt = (...folds: Folds) => lyingOf(answers('ground'), run(...folds)).skirt;
  expect(skirt('ground', 'ground')).toMatchObject({ askedMm: 200, sides: 2, runMm: 1250, on: 'ground' });
  expect(skirt('inside', 'inside')).toMatchObject({ sides: 2, on: 'soil' });
  const [both, batten, hem] = [skirt('ground', 'ground'), skirt('ground', 'wall'), skirt('hoop', 'ground')];
  expect([batten?.sides, hem?.sides]).toEqual([1, 1]);
  expect((batten?.besideMm ?? 0) - (both?.besideMm ?? 0)).toBeCloseTo(3 * INCH, 9);
  expect((hem?.besideMm ?? 0) - (both?.besideMm ?? 0)).toBeCloseTo(4 * INCH, 9);
  expect(skirt('wall', 'wall')).toBeUndefined();
});

test('weights go on the middle of what lies there; at the foot of the wall where it is fastened', () => {
  expect(skirtLines(200, run('ground', 'ground'))).toEqual([
    { y: -100, z: 0 },
    { y: 1100, z: 0 },
  ]);
  const raised: SheetRun = { line: TENT.map((p) => ({ ...p, z: p.z + 50 })), folds: ['ground', 'wall'] };
  expect(skirtLines(200, raised)).toEqual([
    { y: -100, z: 50 },
    { y: 1000, z: 0 },
  ]);
});

test('the skirt is drawn and counted outward from each fold on the ground, and typed on the side that has one', () => {
  expect(skirtFaces(200, run('ground', 'wall'), 10, 90)).toEqual([
    [
      [10, 0, 0],
      [90, 0, 0],
      [90, -200, 0],
      [10, -200, 0],
    ],
  ]);
  expect(skirtFaces(200, run('ground', 'ground'), 10, 90)[1]?.[2]).toEqual([90, 1200, 0]);
  expect(drawnRun(200, run('ground', 'ground'), 5).map((p) => p[1])).toEqual([-200, 0, 500, 1000, 1200]);
  expect(drawnRun(200, run('hoop', 'ground'), 5).map((p) => p[1])).toEqual([0, 500, 1000, 1200]);
  expect(skirtDimension(200, run('ground', 'ground'), 5)).toMatchObject({
    from: [5, 0, 0],
    to: [5, -200, 0],
    valueMm: 200,
  });
  expect(skirtDimension(200, run('hoop', 'ground'), 5)).toMatchObject({ from: [5, 1000, 0], to: [5, 1200, 0] });
});

test('the ends come down past the end hoops, to the left and to the right, to the wall and to its foot', () => {
  const end = [
    { y: 0, z: 375 },
    { y: 150, z: 100 },
    { y: 150, z: 0 },
  ];
  const faces = endFaces(TENT, [end, end], 1000, 3000);
  expect(faces).toHaveLength(4);
  // The rim is 150 mm out, the outside of the wall goes down from it.
  expect(faces[0]?.slice(3)).toEqual([
    [850, 1000, 100],
    [850, 0, 100],
  ]);
  expect(faces[1]).toEqual([
    [850, 1000, 100],
    [850, 0, 100],
    [850, 0, 0],
    [850, 1000, 0],
  ]);
  expect(faces[3]?.map((p) => p[0])).toEqual([3150, 3150, 3150, 3150]);
  // Upright over soil: the cross-section itself.
  const upright = endFaces(TENT, [[{ y: 0, z: 375 }]], 1000, 3000);
  expect(upright).toEqual([TENT.map((p) => [1000, p.y, p.z])]);
});

test('only what stands above the wall has air under it', () => {
  const site = at(96, 48);
  const wall = site.bed.wall.heightMm;
  const line = [0, wall, wall + 300, wall, 0].map((z, i) => ({ y: 100 * i, z }));
  expect(aboveWall({ line, folds: ['ground', 'ground'] }, site).map((p) => p.y)).toEqual([100, 200, 300]);
  expect(aboveWall({ line, folds: ['inside', 'inside'] }, site)).toHaveLength(5);
});

test('ways in: left end and right end; the open side with its air; the skirt, seven tenths of the way up', () => {
  const ends = endOpenings([TENT[1] ?? { y: 0, z: 0 }, { y: 600, z: 375 }], 'folded', [1000, 3000], 300);
  expect(ends.map((o) => [o.name, o.tags, ...o.line, o.travel, o.shut])).toEqual([
    ['Left end', ['S1'], [1000, 500, 375], [1000, 600, 375], { mm: 300 }, ['clips', 'weights']],
    ['Right end', ['S1'], [3000, 500, 375], [3000, 600, 375], { mm: 300 }, ['clips', 'weights']],
  ]);
  const [gathered] = endOpenings([TENT[1] ?? { y: 0, z: 0 }, { y: 600, z: 375 }], 'gathered', [1000, 3000], 300);
  expect(gathered?.shut).toEqual(['weights']);
  const open: SheetRun = { line: [{ y: 0, z: 250 }, ...TENT.slice(1)], folds: ['hoop', 'ground'] };
  // Two metres along and 200 mm up.
  expect(openSide(open, 1000, 3000, 50)).toMatchObject({ tags: ['S1'], airM2: 0.4, travel: { mm: 200 } });
  const skirt = skirtOpening(run('ground', 'ground'), 0, 2000);
  expect([skirt.tags, skirt.travel, skirt.reachedFrom]).toEqual([
    ['S1'],
    { mm: expect.closeTo(0.7 * 375, 9) as number },
    'both sides',
  ]);
  expect(skirtOpening(run('ground', 'wall'), 0, 2000).reachedFrom).toBe('near');
});

test('staples to the wall: one each 150 mm and one more, on the fastened sides only', () => {
  const sheet = [{ tag: 'S1' }];
  const row = (...folds: Folds) => ({ run: run(...folds), xs: [0, 600, 1200], battens: [] });
  const places = (...folds: Folds) => fastenedToWall('stapled', row(...folds), sheet)[0]?.places ?? [];
  expect(places('wall', 'wall')).toHaveLength(2 * (8 + 1));
  expect(places('ground', 'wall').map((p) => [p[0], p[1]])).toEqual(
    Array.from({ length: 9 }, (_, i) => [expect.closeTo(150 * i, 6), 1000]),
  );
});
