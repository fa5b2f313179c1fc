import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { type Point, taut } from '../../testing/golden';
import { siteOf } from '../../testing/site';
import { MM_PER_INCH } from '../../base/length';
import { squareBed } from '../../site/bed';
import { survey } from '../../site/survey';
import { hoopCurve } from '../hoop/curve';
import { solveHoop } from '../hoop/elastica';
import { familyOf } from '../families';
import { sheetSize } from '../../make/rolls/rolls';
import type { Assembly } from './types';
import { endRun, fastenedZ, looseRun, runMm, sheetRun } from './sheetRun';

interface Known {
  readonly bedOutsideWidth: number;
  readonly wallHeight: number;
  readonly wallThickness: number;
  readonly span: number;
  readonly length: number;
  readonly feet: 'loose' | number;
  readonly pipeOutside: number;
  readonly feetAboveGround: number;
  readonly groundToGround: number;
}
const known = JSON.parse(readFileSync('core/cover/assembly/skirts.cases.json', 'utf8')) as { cases: Known[] };

const bedOf = (width: number, heightMm: number, thicknessMm = 38) => {
  const bed = squareBed('b', 'Bed', 3000, width, { heightMm, thicknessMm }, { xMm: 0, yMm: 0 });
  return { bed, survey: survey(bed) };
};

test.each(known.cases)('ground to ground over a bed $bedOutsideWidth wide, hoop of $length on $span', (c) => {
  const hoop = solveHoop(c.feet === 'loose' ? { kind: 'pinned' } : { kind: 'fixed', angleDeg: c.feet }, {
    spanMm: c.span,
    lengthMm: c.length,
  });
  if (!hoop.ok) throw new Error('no hoop');
  const r = c.pipeOutside / 2;
  const y0 = (c.bedOutsideWidth - c.span) / 2;
  const over = hoopCurve(hoop.value, 64).map((p) => ({
    y: y0 + p.y - r * Math.sin(p.angle),
    z: c.feetAboveGround + p.z + r * Math.cos(p.angle),
  }));
  const legs = [
    { y: y0 - r, z: 9 },
    { y: y0 + c.span + r, z: 9 },
  ] as const;
  const site = bedOf(c.bedOutsideWidth, c.wallHeight, c.wallThickness);
  expect(
    Math.abs(runMm(looseRun([...over, ...legs], legs, ['ground', 'ground'], site)) - c.groundToGround),
  ).toBeLessThan(0.05);
});

// A square post 200 wide and 500 high, 400 inside each edge of a bed 1000 wide with walls 300 high.
const POST = [
  { y: 400, z: 500 },
  { y: 600, z: 500 },
];
const FEET = [
  { y: 400, z: 250 },
  { y: 600, z: 250 },
] as const;
const SLANT = Math.hypot(400, 200);

test('each side is reckoned by its own fold', () => {
  const site = bedOf(1000, 300);
  const run = (near: 'ground' | 'inside' | 'wall', far: typeof near): number =>
    runMm(looseRun([...POST, ...FEET], FEET, [near, far], site));
  // Down 300 of wall to the ground; down 40 of it to a batten; straight down the post, 250 to the soil.
  expect(run('ground', 'ground')).toBeCloseTo(200 + 2 * (SLANT + 300), 6);
  expect(run('wall', 'wall')).toBeCloseTo(200 + 2 * (SLANT + 40), 6);
  expect(run('inside', 'inside')).toBeCloseTo(200 + 2 * 250, 6);
  expect(run('ground', 'wall')).toBeCloseTo(200 + 2 * SLANT + 340, 6);
});

test('a hoop that bulges past the wall is hung from plumb; a low wall is battened at half its height', () => {
  const bulge = [
    { y: -100, z: 600 },
    { y: 500, z: 900 },
    { y: 1100, z: 600 },
  ];
  const run = looseRun(bulge, FEET, ['ground', 'ground'], bedOf(1000, 300));
  expect(run.line[0]).toEqual({ y: -100, z: 0 });
  expect(runMm(run)).toBeCloseTo(2 * (600 + Math.hypot(600, 300)), 6);
  expect(fastenedZ(bedOf(1000, 60).bed)).toBe(30);
});

test('a line between folds at two heights turns at its crown once', () => {
  const line = sheetRun(POST, [
    { y: 0, z: 0 },
    { y: 1000, z: 260 },
  ]);
  expect(line.map((p) => p.y)).toEqual([0, 400, 600, 1000]);
});

test('past the end hoop a sheet comes down over the end wall, or straight to the soil', () => {
  const { bed } = bedOf(1000, 300);
  expect(runMm({ line: endRun(800, 120, 250, bed) })).toBeCloseTo(Math.hypot(120, 500) + 300, 6);
  expect(runMm({ line: endRun(800, undefined, 250, bed) })).toBeCloseTo(550, 6);
});

/** Ground to ground over one hoop as it stands, from the places of the members alone, in inches. */
function groundToGround(a: Assembly, widthMm: number, wallMm: number): number {
  const hoop = a.members.find((m) => m.part === 'Hoop');
  if (hoop?.shape.kind !== 'curve' || hoop.section.shape.kind !== 'tube') throw new Error('no hoop');
  const r = hoop.section.shape.outsideMm / 2;
  // A ring of the pipe's outside round every point of its centre line above the ground.
  const ring = hoop.shape.points.flatMap(([, y, z]) =>
    Array.from({ length: 48 }, (_, i): Point => {
      const at = (i / 48) * 2 * Math.PI;
      return [y + r * Math.cos(at), Math.max(0, z + r * Math.sin(at))];
    }),
  );
  const ys = [...ring.map((p) => p[0]), 0, widthMm];
  return taut([Math.min(...ys), 0], [...ring, [0, wallMm], [widthMm, wallMm]], [Math.max(...ys), 0]);
}

test('the skirt that is asked for is the skirt that lies on the ground', () => {
  const wide = fc.double({ min: 700, max: 1500, noNaN: true });
  fc.assert(
    fc.property(
      fc.constantFrom('staked-tunnel', 'wire-tunnel'),
      wide,
      fc.double({ min: 60, max: 600, noNaN: true }),
      fc.double({ min: 60, max: 600, noNaN: true }),
      fc.constantFrom('rods', 'soil'),
      fc.constantFrom('half-circle', 'over-half'),
      (key, widthMm, wallMm, skirtMm, feet, by) => {
        const bed = squareBed('b', 'Bed', 2400, widthMm, { heightMm: wallMm, thicknessMm: 38 }, { xMm: 0, yMm: 0 });
        const site = siteOf(2400, widthMm, { bed, survey: survey(bed) });
        const family = familyOf(key);
        const staked = key === 'staked-tunnel' ? { feet } : {};
        const built = family.assemble({ ...family.defaults(site), ...staked, skirtMm, shape: { by } }, site);
        if (!built.ok) return;
        const sheet = built.value.sheets[0];
        if (!sheet) throw new Error('no sheet');
        const lying = sheetSize(sheet).acrossMm - groundToGround(built.value, widthMm, wallMm) - 2 * MM_PER_INCH;
        // The hoop is told by short straight lines: less than a millimetre and a half on the two sides together.
        expect(Math.abs(lying / 2 - skirtMm)).toBeLessThan(1.5);
      },
    ),
    { numRuns: 120 },
  );
});
