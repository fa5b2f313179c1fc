import fc from 'fast-check';
import { inch, siteOf } from '../../testing/site';
import { LAP_MM, paneWidth, panesAndBars } from './glazing';

const site = siteOf(2440, 1220);
const panes = (glazing: 'twin-wall-6' | 'corrugated' | 'film-both', each: number, bars: number | null = null) =>
  panesAndBars({ site, glazing, bars }, each, inch(1.5));

test('a lid as wide as a sheet is one pane; an inch more is two with their joint on a bar', () => {
  // Twin-wall comes 4 ft wide.
  expect(panes('twin-wall-6', inch(48))).toEqual({ panes: 1, bars: 0 });
  expect(panes('twin-wall-6', inch(49))).toEqual({ panes: 2, bars: 1 });
  // Film comes off a roll.
  expect(panes('film-both', inch(200))).toEqual({ panes: 1, bars: 0 });
});

test('bars that are asked for are added until every joint has one', () => {
  // Two panes want a bar in the middle: two bars are made three.
  expect(panes('twin-wall-6', inch(60), 2)).toEqual({ panes: 2, bars: 3 });
  expect(panes('twin-wall-6', inch(40), 2)).toEqual({ panes: 1, bars: 2 });
});

test('corrugated sheets cover less than they are wide by their lap', () => {
  expect(paneWidth({ site, glazing: 'corrugated' })).toBeCloseTo(inch(26) - LAP_MM, 6);
});

test('no sheet is wider than is sold, every joint has its bar, and one sheet fewer would not do', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('twin-wall-6' as const, 'corrugated' as const),
      fc.integer({ min: 300, max: 4000 }),
      (glazing, each) => {
        const found = panes(glazing, each);
        const widest = glazing === 'corrugated' ? inch(26) : inch(48);
        const lap = glazing === 'corrugated' ? LAP_MM : 0;
        const w = inch(1.5);
        const outer = (n: number): number => (n === 1 ? each : (each - w) / n + w / 2 + lap / 2);
        const inner = (n: number): number => (n > 2 ? (each - w) / n + lap : 0);
        expect(Math.max(outer(found.panes), inner(found.panes))).toBeLessThanOrEqual(widest + 0.51);
        if (found.panes > 1)
          expect(Math.max(outer(found.panes - 1), inner(found.panes - 1))).toBeGreaterThan(widest + 0.49);
        expect((found.bars + 1) % found.panes).toBe(0);
      },
    ),
  );
});
