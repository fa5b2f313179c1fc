/** Whether what really opens lets out as much heat as must go. */
import type { Assembly } from '../../build/assembly/types';
import { type Figure, amount, phrase } from '../../base/figure';
import type { NoonAir } from '../climate/noon';
import { ASK, type Check } from './check';

/** Openings that let heat out, as mends. */
export const MORE_AIR: Check['tries'] = (
  [
    ['A wax opener', 'airing', 'opener'],
    ['Two openers', 'openers', 2],
    ['Thermostat louvres', 'vents', 'louvres'],
    ['Vents in the ends', 'vents', 'vents'],
    ['Doors at both ends', 'doors', 'two'],
    ['Sides that roll up', 'sides', 'roll-up'],
    ['Flaps in the ends', 'ends', 'flap'],
  ] as const
).map(([label, id, value]) => ({ label: [label], change: { kind: 'answer', id, value } }));

/** Area of openings wanted at clear noon, m2: two vents, one low and one high. */
export const ventsWantedM2 = ({ ventEachM2 }: NoonAir): number => 2 * ventEachM2;

/** The vents that are there against the vents that are wanted; nothing is said where none are. */
export function ventCheck({ ventilation: { aloneM2, byHandM2 } }: Assembly, air: NoonAir): Check | undefined {
  const wanted = ventsWantedM2(air);
  if (wanted <= 0) return undefined;
  const open = aloneM2 + byHandM2;
  const figure: Figure = {
    label: 'Open area of what is there',
    value: open,
    quantity: 'area',
    formula: 'open = opens by itself + opened by hand',
    terms: [
      { name: 'opens by itself', ...amount(aloneM2, 'area') },
      { name: 'opened by hand', ...amount(byHandM2, 'area') },
      { name: 'wanted, both vents together', ...amount(wanted, 'area') },
    ],
    source: 'Free areas of the catalogue; lids at the angle of their stay or opener, doors open, sides and flaps half.',
    assumes: ['As much of it low as high.'],
  };
  const enough = open >= wanted;
  return {
    id: 'vents',
    leaf: 'air',
    verdict: enough ? 'holds' : 'tight',
    text: phrase`All that opens frees ${amount(open, 'area')}; ${amount(wanted, 'area')} are wanted at a clear noon${enough ? '' : ': open more, or take the cover off on such days'}.`,
    figure,
    caution: ASK,
    tries: MORE_AIR,
  };
}
