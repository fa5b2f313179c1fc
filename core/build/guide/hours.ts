import type { Assembly } from '../assembly/types';
import { type Figure, amount } from '../../base/figure';
import { addedUp } from '../../base/formula';

/** Hours to build alone: the minutes of every step, added up. */
export function buildHours(assembly: Assembly): Figure {
  const minutes = assembly.steps.reduce((sum, s) => sum + s.minutes, 0);
  const terms = assembly.steps.map((s) => ({ name: s.title, ...amount(s.minutes / 60, 'hours') }));
  return {
    label: 'Hours to build, alone',
    value: minutes / 60,
    quantity: 'hours',
    formula: addedUp('hours', terms),
    terms,
    source:
      'Pieces, cuts and fixings counted from the assembly; minutes a piece are our own estimate for unhurried work.',
    assumes: ['One person with a drill and a saw, nothing going wrong. Shopping is not in it.'],
  };
}
