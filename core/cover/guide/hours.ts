import type { Assembly } from '../assembly/types';
import { type Figure, term } from '../../base/figure';
import { addedUp, worked } from '../../base/formula';

/** Hours to build alone: the minutes of every step, added up. */
export function buildHours(assembly: Assembly): Figure {
  const terms = assembly.steps.map((s) => term(s.title, s.minutes / 60, 'hours'));
  return worked({
    label: 'Hours to build, alone',
    quantity: 'hours',
    formula: addedUp('hours', terms),
    terms,
    source:
      'Pieces, cuts and fixings counted from the assembly; minutes a piece are our own estimate for unhurried work.',
    assumes: ['One person with a drill and a saw, nothing going wrong. Shopping is not in it.'],
  });
}
