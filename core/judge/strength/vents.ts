/** Whether what really opens lets out as much heat as must go. */
import type { Assembly } from '../../cover/assembly/types';
import { amount, phrase, term } from '../../base/figure';
import { worked } from '../../base/formula';
import type { NoonAir } from '../climate/noon';
import { aboutAir } from './about';
import { ASK, type Check, measured, verdictOf } from './check';

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
export function ventCheck(a: Assembly, air: NoonAir): Check | undefined {
  const { aloneM2, byHandM2 } = a.ventilation;
  const wanted = ventsWantedM2(air);
  if (wanted <= 0) return undefined;
  const figure = worked({
    label: 'Open area of what is there',
    quantity: 'area',
    formula: 'open = opens by itself + opened by hand',
    terms: [term('opens by itself', aloneM2, 'area'), term('opened by hand', byHandM2, 'area')],
    besides: [term('wanted, both vents together', wanted, 'area')],
    source: 'Free areas of the catalogue; lids at the angle of their stay or opener, doors open, sides and flaps half.',
    assumes: ['As much of it low as high.'],
  });
  const measure = { demand: wanted, capacity: figure.value, spare: 1, mild: true } as const;
  return measured({
    id: 'vents',
    leaf: 'air',
    about: aboutAir(a),
    measure,
    text: phrase`All that opens frees ${amount(figure.value, 'area')}; ${amount(wanted, 'area')} are wanted at a clear noon${verdictOf(measure) === 'holds' ? '' : ': open more, or take the cover off on such days'}.`,
    figure,
    caution: ASK,
    tries: MORE_AIR,
  });
}
