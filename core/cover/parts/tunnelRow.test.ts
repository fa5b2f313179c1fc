import { at, build, inch } from '../../testing/site';

const SITE = at(96, 48);
const tunnel = (more: object = {}) => build('staked-tunnel', SITE, more);
const long = SITE.survey.frameOn.lengthMm;
const part = (startMm: number, lengthMm: number) => ({ extent: { kind: 'part', startMm, lengthMm } });
const ends = (a: ReturnType<typeof tunnel>): readonly number[] => {
  const xs = a.arches[0]?.xsMm ?? [];
  return [xs[0] ?? NaN, xs[xs.length - 1] ?? NaN];
};

test('hoops in the soil keep clear of the end walls of the bed, and only of those', () => {
  const [first = NaN, last = NaN] = ends(tunnel());
  const clear = first;
  expect(clear).toBeGreaterThan(inch(1.5));
  // As far from the one end as from the other.
  expect(long - last).toBeCloseTo(clear, 6);
  // In the middle of the bed there is no wall to keep clear of.
  const offset = ends(tunnel({ ...part(500, 1200) }))[0] ?? NaN;
  expect(ends(tunnel(part(500, 1200)))).toEqual([offset, expect.closeTo(500 + 1200 - (offset - 500), 6)]);
  expect(offset - 500).toBeLessThan(clear);
  // A part that begins at one end keeps clear of that one.
  const [begins, stops] = ends(tunnel(part(0, 1200)));
  expect(begins).toBeCloseTo(clear, 6);
  expect(stops).toBeCloseTo(1200 - (offset - 500), 6);
  const [, finish] = ends(tunnel(part(long - 1200, 1200)));
  expect(finish).toBeCloseTo(last, 6);
});

test('each hoop has its two feet a span apart, across the middle of the bed', () => {
  const a = tunnel();
  const arch = a.arches[0];
  const feet = a.joints.find((j) => j.id === 'feet')?.places ?? [];
  expect(feet).toHaveLength(2 * (arch?.xsMm.length ?? 0));
  const wide = SITE.survey.frameOn.widthMm;
  for (const [i, x] of (arch?.xsMm ?? []).entries()) {
    const [near, far] = [feet[2 * i], feet[2 * i + 1]];
    expect([near?.[0], far?.[0]]).toEqual([x, x]);
    expect((far?.[1] ?? NaN) - (near?.[1] ?? NaN)).toBeCloseTo(
      a.dimensions.find((d) => d.id === 'span')?.valueMm ?? NaN,
      6,
    );
    expect((far?.[1] ?? NaN) + (near?.[1] ?? NaN)).toBeCloseTo(wide, 6);
  }
});
