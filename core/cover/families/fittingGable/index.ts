import { family } from '../family';
import { fittingGableParameters } from './answers';
import { assembleFittingGable } from './assemble';

/** Straight pipe and moulded fittings pushed together to a gable that comes apart again. */
export const fittingGable = family({
  key: 'fitting-gable',
  name: 'Fitting-built gable',
  sentence:
    'Straight pipe and fittings pushed together without glue: nothing to bend, and it comes apart for the summer.',
  rank: 100,
  answers: fittingGableParameters,
  assemble: assembleFittingGable,
});
