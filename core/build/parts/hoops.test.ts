import { SHIPPED, section } from '../../catalog/catalog';
import type { HoopShape } from '../answers/hoops';
import { placeExtent } from '../answers/place';
import { heightAt, pathLength } from '../../base/geometry';
import { solveHoop } from '../hoop/elastica';
import { type HoopSite, underHoop, hoopMembers, hoopPlaces, springHoop } from './hoops';

const site: HoopSite = {
  feet: { kind: 'pinned' },
  spanMm: 1100,
  tailMm: 150,
  tailAboveMm: 0,
  sheetAcrossMm: (hoop) => hoop.lengthMm + 500,
  widestRollMm: 2400,
};

function sprung(shape: HoopShape, key = 'pvc-1/2', more: Partial<HoopSite> = {}) {
  const found = springHoop(shape, section(SHIPPED, key), { ...site, ...more });
  if (!found.ok) throw new Error(JSON.stringify(found.faults));
  return found.value;
}

describe('schools of height', () => {
  test('half circle: pi/2 of the span, and the tails are cut with it', () => {
    const { hoop, cutMm } = sprung({ by: 'half-circle' });
    expect(hoop.lengthMm).toBeCloseTo((Math.PI / 2) * 1100, 6);
    expect(cutMm).toBeCloseTo(hoop.lengthMm + 300, 6);
  });

  test('my cut: the pipe is as long as it was said to be', () => {
    expect(sprung({ by: 'length', lengthMm: 2100 }).cutMm).toBeCloseTo(2100, 6);
  });

  test('my height: the crown stands as high as it was said to, above the base', () => {
    expect(sprung({ by: 'height', heightMm: 700 }).hoop.heightMm).toBeCloseTo(700, 4);
    const overRod = sprung({ by: 'height', heightMm: 700 }, 'pvc-1/2', { tailAboveMm: 200, tailMm: 200 });
    expect(overRod.hoop.heightMm).toBeCloseTo(500, 4);
  });

  test('a whole pipe: the shortest stock that bends over the span, uncut', () => {
    expect(sprung({ by: 'stock' }).cutMm).toBeCloseTo(3048, 6);
    expect(sprung({ by: 'stock' }, 'pvc-20').cutMm).toBeCloseTo(2000, 6);
  });

  test('the sheet sets it: the whole roll is used and not a hair more', () => {
    const { hoop } = sprung({ by: 'sheet' });
    expect(hoop.lengthMm + 500).toBeLessThanOrEqual(2400);
    expect(hoop.lengthMm + 500).toBeGreaterThan(2399.9);
  });

  test.each([
    [{ by: 'sheet' }, { widestRollMm: 1500 }, 'roll'],
    [{ by: 'length', lengthMm: 1300 }, {}, 'length'],
    [{ by: 'height', heightMm: 100 }, { tailAboveMm: 200 }, 'height'],
    [{ by: 'height', heightMm: 3500 }, {}, 'pipeLength'],
    [{ by: 'stock' }, { spanMm: 6000 }, 'shape'],
  ] as const)('what cannot be is a fault that names the field: %j', (shape, more, field) => {
    expect(springHoop(shape, section(SHIPPED, 'pvc-1/2'), { ...site, ...more })).toMatchObject({
      ok: false,
      faults: [{ field }],
    });
  });
});

test('hoops as drawn are as long as they are cut', () => {
  const hoop = sprung({ by: 'length', lengthMm: 2100 });
  const [first] = hoopMembers(hoop, section(SHIPPED, 'pvc-1/2'), [0, 500], 50, 200, 150);
  if (first?.shape.kind !== 'curve') throw new Error('a curve');
  expect(pathLength(first.shape.points.map(([, y, z]) => ({ y, z })))).toBeCloseTo(2100, -1);
  expect(first.tag).toBe('H1');
});

describe('places along the bed', () => {
  test('even, from end offset to end offset', () => {
    expect(hoopPlaces(0, 2100, 50, 5, 999)).toEqual({ ok: true, value: [50, 550, 1050, 1550, 2050] });
  });
  test('as many as the widest spacing asks for', () => {
    const places = hoopPlaces(0, 2100, 50, null, 600);
    expect(places.ok && places.value.length).toBe(5);
    const exact = hoopPlaces(0, 2100, 50, null, 500);
    expect(exact.ok && exact.value.length).toBe(5);
  });
  test('ends that meet are refused', () => {
    expect(hoopPlaces(0, 300, 120, null, 600)).toMatchObject({ ok: false, faults: [{ field: 'endOffset' }] });
  });
  test('a part of a bed lies within it', () => {
    expect(placeExtent({ kind: 'part', startMm: 100, lengthMm: 900 }, 1000)).toEqual({
      ok: true,
      value: { startMm: 100, endMm: 1000 },
    });
    expect(placeExtent({ kind: 'part', startMm: 200, lengthMm: 900 }, 1000)).toMatchObject({ ok: false });
  });
});

test('headroom is to the centre line less half the pipe, most in the middle', () => {
  const hoop = solveHoop({ kind: 'fixed', angleDeg: 90 }, { spanMm: 1000, lengthMm: 500 * Math.PI });
  if (!hoop.ok) throw new Error('no hoop');
  const under = underHoop(hoop.value, section(SHIPPED, 'pvc-1/2'), 100, 0);
  const half = 10.668;
  expect(heightAt(under, 600)).toBeCloseTo(500 - half, 1);
  expect(heightAt(under, 300)).toBeCloseTo(Math.sqrt(500 ** 2 - 300 ** 2) - half, 0);
  expect(heightAt(under, 50)).toBe(0);
});
