/** Roofs of straight pipe at 45 degrees: worked by hand. */
import { SHIPPED, section } from '../../catalog/catalog';
import { takeUpMm } from '../../catalog/fittings';
import { betweenSlopes, fittingJoints, gableOver, ridgeFitting, roofOuter, roofUnder } from './gable';

const pipe = section(SHIPPED, 'pvc-3/4');
const ROOF = { y0: 0, y1: 1000, eaveZ: 400, ridgeZ: 900 };

test('over a span of a metre the ridge stands half a metre above the eaves, and the line is two posts and two rafters', () => {
  const gable = gableOver(1000, 400, { kind: 'pinned' });
  expect(gable?.ridgeMm).toBeCloseTo(900, 9);
  // 2 x 400 and 2 x 500 sqrt 2.
  expect(gable?.hoop.lengthMm).toBeCloseTo(800 + 1000 * Math.SQRT2, 6);
  expect(gable?.hoop.heightMm).toBeCloseTo(900, 6);
});

test('a piece between two fittings is shorter by what both take up, and lies on the line between them', () => {
  const eave = { at: [0, 0, 400] as const, fitting: 'elbow-45' as const };
  const ridge = { at: [0, 300, 700] as const, fitting: 'four-way' as const };
  const m = betweenSlopes(pipe, 'Q1', 'Rafter', eave, ridge);
  const [a, b] = [takeUpMm(pipe, 'elbow-45'), takeUpMm(pipe, 'four-way')];
  expect(m.lengthMm).toBeCloseTo(300 * Math.SQRT2 - a - b, 9);
  if (m.shape.kind !== 'straight') throw new Error('bent');
  expect(m.shape.from[1]).toBeCloseTo(a / Math.SQRT2, 9);
  expect(m.shape.from[2]).toBeCloseTo(400 + a / Math.SQRT2, 9);
  expect(m.shape.to[2]).toBeCloseTo(700 - b / Math.SQRT2, 9);
});

test('the outer face lies a radius out of the pipes, the underside as far in', () => {
  const r = 10;
  const outer = roofOuter(ROOF, r);
  // At the eaves from level to square to the rafter; at the ridge its top.
  expect(outer[0]).toEqual({ y: -10, z: 400 + 10 * Math.sin(Math.PI) });
  expect(outer[4]?.y).toBeCloseTo(500, 9);
  expect(outer[4]?.z).toBeCloseTo(910, 9);
  expect(outer[8]?.y).toBeCloseTo(1010, 9);
  // Every point but those is r off the line from eave to ridge: (1, 1) / sqrt 2 across it.
  const off = (p: { y: number; z: number } | undefined): number => ((p?.z ?? 0) - 400 - (p?.y ?? 0)) / Math.SQRT2;
  expect([off(outer[2]), off(outer[3])].map((x) => Math.round(x * 1e9) / 1e9)).toEqual([10, 10]);
  const under = roofUnder(ROOF, r);
  expect(under.map((p) => Math.round(off({ y: Math.min(p.y, 1000 - p.y), z: p.z }) * 1e9) / 1e9)).toEqual([
    -10, -10, -10,
  ]);
  expect([under[0]?.y, under[2]?.y]).toEqual([10, 990]);
});

test('a ridge has corners at both ends and crosses between, each kind of fitting a joint of its own', () => {
  expect([0, 1, 2, 3].map((i) => ridgeFitting(i, 4))).toEqual(['three-way', 'four-way', 'four-way', 'three-way']);
  const knots = [0, 1, 2, 3].map((i) => ({ at: [i, 0, 0] as const, fitting: ridgeFitting(i, 4) }));
  const joints = fittingJoints(
    { 'three-way': 'Ends', 'four-way': 'Between', tee: 'None' },
    [{ tag: 'R1' } as never],
    knots,
  );
  expect(joints.map((j) => [j.id, j.where, j.places.map((p) => p[0])])).toEqual([
    ['fittings three-way', 'Ends', [0, 3]],
    ['fittings four-way', 'Between', [1, 2]],
  ]);
});
