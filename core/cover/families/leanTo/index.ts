import { family } from '../family';
import { leanToParameters } from './answers';
import { assembleLeanTo } from './assemble';

/** A roof of rafters from a plate on a house or garden wall to a low front on the bed. */
export const leanTo = family({
  key: 'lean-to',
  name: 'Lean-to',
  sentence:
    'A glazed roof from a house or garden wall down to the bed: the wall gives back by night what the sun gave it.',
  rank: 85,
  answers: leanToParameters,
  assemble: assembleLeanTo,
});
