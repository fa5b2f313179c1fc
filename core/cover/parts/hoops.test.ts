import fc from 'fast-check';
import { build, siteOf } from '../../testing/site';
import { boardCorners } from '../assembly/solids';
import { familyOf } from '../families';
import { SHIPPED, section } from '../../catalog/catalog';
import type { HoopShape } from '../answers/hoops';
import { extentParameters } from '../answers/place';
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
  const [first] = hoopMembers(hoop, section(SHIPPED, 'pvc-1/2'), [0, 500], {
    footY: 50,
    footZ: 200,
    tailMm: 150,
  });
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
  test('a part of a bed starts and ends where it is said', () => {
    const site = siteOf(1000, 600);
    expect(extentParameters.chosen({ kind: 'whole' }, site)).toEqual([0, 1000]);
    expect(extentParameters.chosen({ kind: 'part', startMm: 100, lengthMm: 800 }, site)).toEqual([100, 900]);
  });
});

test('headroom is to the inner face of the pipe, most in the middle', () => {
  const hoop = solveHoop({ kind: 'fixed', angleDeg: 90 }, { spanMm: 1000, lengthMm: 500 * Math.PI });
  if (!hoop.ok) throw new Error('no hoop');
  const under = underHoop(hoop.value, section(SHIPPED, 'pvc-1/2'), 100, 0);
  const half = 10.668;
  expect(heightAt(under, 600)).toBeCloseTo(500 - half, 1);
  // Square to the pipe: a circle of half a pipe less.
  expect(heightAt(under, 300)).toBeCloseTo(Math.sqrt((500 - half) ** 2 - 300 ** 2), 0);
  expect(heightAt(under, 50)).toBe(0);
});

test('no hoop runs through the rail it stands on, whichever side it is strapped to and however much pipe it has', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('straps-inside', 'straps-outside', 'screwed'),
      fc.constantFrom('on edge', 'flat'),
      fc.double({ min: 1.25, max: 2.6, noNaN: true }),
      fc.double({ min: 800, max: 1400, noNaN: true }),
      (feet, stand, times, widthMm) => {
        const site = siteOf(2400, widthMm);
        const family = familyOf('hinged-hoop-lid');
        const shape = { by: 'length', lengthMm: times * widthMm };
        const built = family.assemble({ ...family.defaults(site), feet, stand, shape, pipe: 'pvc-3/4' }, site);
        if (!built.ok) return;
        const a = built.value;
        const hoop = a.members.find((m) => m.tag === 'H1');
        const rails = a.members.filter((m) => m.tag.startsWith('A1') || m.tag.startsWith('A2'));
        if (hoop?.shape.kind !== 'curve') throw new Error('no hoop');
        const r = 1.05 * 12.7;
        for (const rail of rails) {
          const corners = boardCorners(rail);
          const [ys, zs] = [corners.map((c) => c[1]), corners.map((c) => c[2])];
          const inside = hoop.shape.points.filter(
            ([, y, z]) => z < Math.max(...zs) - 2 && y > Math.min(...ys) - r + 0.6 && y < Math.max(...ys) + r - 0.6,
          );
          expect(inside).toEqual([]);
        }
        expect(hoop.lengthMm).toBeCloseTo(times * widthMm, 6);
      },
    ),
    { numRuns: 150 },
  );
});

test('a board outside the pipe leaves it free while it leans in, and holds it upright when it would lean out', () => {
  const site = siteOf(2400, 1200);
  const lid = (feet: string, times: number) =>
    build('hinged-hoop-lid', site, { feet, shape: { by: 'length', lengthMm: times * 1200 } }).arches[0];
  // Loose feet lean inward up to 2.19 times the span, by 2E/K - 1 at 90 degrees.
  expect(lid('straps-inside', 1.5)?.hoop.feet.kind).toBe('pinned');
  expect(lid('straps-inside', 2.5)?.hoop.feet.kind).toBe('fixed');
  expect(lid('straps-outside', 1.5)?.hoop.feet.kind).toBe('fixed');
  // Free above a 2x4 on edge: 3.5 in of board, less the 10 mm that the strap stands up.
  const held = lid('straps-outside', 1.5);
  expect(held?.footZMm).toBeCloseTo(280 - 0.6 + 88.9, 0);
  expect((held?.cutMm ?? 0) - (held?.hoop.lengthMm ?? 0)).toBeCloseTo(2 * (88.9 - 10), 6);
});
