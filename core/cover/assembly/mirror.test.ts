import fc from 'fast-check';
import { FAMILY_KEYS, familyOf } from '../families';
import { siteOf } from '../../testing/site';
import { mirrored } from './mirror';
import type { Assembly, AssemblySpec } from './types';

const site = siteOf(2440, 1220);
const built = (key: string, more: object = {}): Assembly => {
  const a = familyOf(key).assemble({ ...familyOf(key).defaults(site), ...more }, site);
  if (!a.ok) throw new Error(key);
  return a.value;
};

test.each(FAMILY_KEYS)('%s: turned round twice it is as it was', (key) => {
  const a = built(key) as unknown as AssemblySpec;
  const twice = mirrored(mirrored(a, 1220), 1220);
  const rounded = (x: unknown): unknown =>
    JSON.parse(JSON.stringify(x, (_, v: unknown) => (typeof v === 'number' ? Math.round(v * 1e6) / 1e6 + 0 : v)));
  expect(rounded(twice)).toEqual(rounded(a));
});

test('what is mirrored keeps its sizes: blocks have their low corner low, the crop its room', () => {
  const [far, near] = ['far', 'near'].map((back) => built('straw-bale', { back }));
  if (!far || !near) throw new Error('not built');
  for (const b of near.blocks) for (const k of [0, 1, 2] as const) expect(b.low[k]).toBeLessThan(b.high[k]);
  const volume = (a: Assembly): number =>
    a.blocks.reduce((sum, b) => sum + [0, 1, 2].reduce((v, k) => v * ((b.high[k] ?? 0) - (b.low[k] ?? 0)), 1), 0);
  expect(volume(near)).toBeCloseTo(volume(far), 0);
  for (const key of ['straw-bale', 'sloped-cold-frame', 'double-wall-cold-frame', 'lean-to']) {
    const [one, other] = ['far', 'near'].map((back) => built(key, { back }));
    expect(other?.crop.clearanceMm).toBeCloseTo(one?.crop.clearanceMm ?? NaN, 6);
    expect(other?.crop.clearanceMm).not.toBe(0);
    // Rows stand as far from one wall as from the other.
    expect(other?.crop.rowYsMm).toEqual(one?.crop.rowYsMm);
  }
});

test('a hinge on the far side is on the near one after', () => {
  fc.assert(
    fc.property(fc.integer({ min: 900, max: 1800 }), (widthMm) => {
      const bed = siteOf(2440, widthMm);
      const f = familyOf('sloped-cold-frame');
      const [far, near] = ['far', 'near'].map((back) => f.assemble({ ...f.defaults(bed), back }, bed));
      if (!far?.ok || !near?.ok) return;
      const hinge = (a: Assembly): number => a.joints.find((j) => j.id === 'hinges')?.places[0]?.[1] ?? NaN;
      expect(hinge(far.value)).toBeCloseTo(widthMm, 6);
      expect(hinge(near.value)).toBeCloseTo(0, 6);
      expect(far.value.openings.map((o) => o.reachedFrom)).toContain('near');
      expect(near.value.openings.map((o) => o.reachedFrom)).toContain('far');
    }),
    { numRuns: 20 },
  );
});
