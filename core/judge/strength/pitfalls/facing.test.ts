import { apartDeg, windName } from '../../../site/compass';
import { at, build } from '../../../testing/site';
import type { CheckSite } from '../check';
import { facing, intoWind, tallEnd } from './facing';

/** What is asked of a cover on a bed that runs from left to right so, in a garden at a latitude, with a wind. */
const asked = (bearingDeg: number, latitudeDeg = 44, windFromDeg: number | null = null): CheckSite => {
  const site = at(96, 48);
  return { site: { ...site, bed: { ...site.bed, bearingDeg } }, latitudeDeg, windFromDeg } as unknown as CheckSite;
};
const text = (c: { readonly text: readonly unknown[] } | undefined): string => String(c?.text[0] ?? '');
const frame = (back: 'far' | 'near') => build('sloped-cold-frame', at(96, 48), { back });

test('glass looks to the right of where the bed runs when its high side is the far one', () => {
  // A bed that runs east: the near side is the south one, and its glass faces the noon sun.
  expect(facing(frame('far'), asked(90))).toBeUndefined();
  expect(text(facing(frame('near'), asked(90)))).toContain('leans to the north, away from the noon sun in the south');
  // Walked west, the near side is the north one.
  expect(text(facing(frame('far'), asked(270)))).toContain('leans to the north');
  // South of the equator the sun stands in the north.
  expect(text(facing(frame('far'), asked(90, -35)))).toContain(
    'leans to the south, away from the noon sun in the north',
  );
  // East and west are neither.
  expect(facing(frame('far'), asked(0))).toBeUndefined();
});

test('the better side is offered, and what has no slope or two alike faces nowhere', () => {
  const wrong = facing(frame('near'), asked(90));
  expect(wrong?.tries.map((t) => t.change)).toContainEqual({ kind: 'answer', id: 'back', value: 'far' });
  for (const family of ['a-frame', 'staked-tunnel', 'walk-in', 'hinged-hoop-lid'])
    for (const bed of [0, 90, 180, 270])
      expect([family, facing(build(family, at(96, 48)), asked(bed))]).toEqual([family, undefined]);
});

test('a lid that opens into the wind is said, and hinged to it is not', () => {
  const lid = (hinges: 'far' | 'near') => build('hinged-hoop-lid', at(96, 48), { hinges });
  // Hinged on the far side of a bed that runs east it opens to the south.
  expect(text(intoWind(lid('far'), asked(90, 44, 200)))).toContain(
    'looks to the south, and the wind mostly comes from the south',
  );
  expect(intoWind(lid('near'), asked(90, 44, 200))).toBeUndefined();
  expect(intoWind(lid('far'), asked(90, 44, 0))).toBeUndefined();
  expect(intoWind(lid('far'), asked(90, 44, null))).toBeUndefined();
  expect(intoWind(build('staked-tunnel', at(96, 48)), asked(90, 44, 180))).toBeUndefined();
});

test('bearings go round', () => {
  expect([apartDeg(350, 10), apartDeg(10, 350), apartDeg(0, 180), apartDeg(90, 90)]).toEqual([20, 20, 180, 0]);
  expect([windName(0), windName(359), windName(-90), windName(22), windName(23)]).toEqual([
    'north',
    'north',
    'west',
    'north',
    'north-east',
  ]);
});

describe('a board end to the noon sun', () => {
  const lid = (more: object = {}) => build('hinged-hoop-lid', at(96, 48), { ends: 'plywood', ...more });

  test('is said with what it shades in midwinter; beside the sun or away from it nothing is', () => {
    // A bed that runs north has its left end in the south.
    const said = tallEnd(lid(), asked(0));
    expect(text(said)).toContain('stands to the south, where the noon sun is');
    const shade = said?.text.find((x) => typeof x === 'object');
    const line = lid().panels[0]?.outline.map((p) => p[1]) ?? [];
    // At 44 degrees the noon sun of midwinter stands at 22.6: 2.40 times its height over the bed's wall.
    expect(shade?.value).toBeCloseTo((Math.max(...line) - 11 * 25.4) / Math.tan((22.6 * Math.PI) / 180), 3);
    expect(tallEnd(lid(), asked(180))).toBeDefined();
    expect(tallEnd(lid(), asked(90))).toBeUndefined();
    expect(text(tallEnd(lid(), asked(180, -35)))).toContain('stands to the north');
  });

  test('a clear end, or one of film, shades nothing', () => {
    expect(tallEnd(lid({ plywood: 'twin-wall-6' }), asked(0))).toBeUndefined();
    expect(tallEnd(lid({ ends: 'folded' }), asked(0))).toBeUndefined();
    expect(tallEnd(lid(), asked(0))?.tries.map((t) => t.change)).toEqual([
      { kind: 'answer', id: 'plywood', value: 'twin-wall-6' },
    ]);
  });
});

test('what hangs on the side that it opens is asked for no other hinges', () => {
  const leanTo = build('lean-to', at(96, 48));
  // Its shutters open to the near side, south of a bed that runs east.
  expect(text(intoWind(leanTo, asked(90, 44, 180)))).toContain('Open it only in still air');
  expect(text(intoWind(leanTo, asked(90, 44, 180)))).not.toContain('Hinge');
  expect(intoWind(leanTo, asked(90, 44, 0))).toBeUndefined();
});
