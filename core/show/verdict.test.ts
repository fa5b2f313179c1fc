import type { Check } from '../judge/strength/check';
import { planVerdict } from './verdict';

const check = (id: string, rest: Partial<Check>): Check =>
  ({ id, text: [id], kind: 'measured', verdict: 'holds', ...rest }) as Check;
const HOLDS = check('sheet', {});
const TIGHT = check('bend', { verdict: 'tight' });
const FAILS = check('snow', { verdict: 'fails' });
const HEED = check('cold bend', { kind: 'caution', verdict: 'tight' });
const UNJUDGED = check('span', { kind: 'unjudged', verdict: 'tight' });

test('the worst is said first and counted; what is not judged is never said to hold', () => {
  expect(planVerdict([HOLDS, TIGHT, FAILS, UNJUDGED])).toMatchObject({
    line: 'It does not hold yet: 1 check fails. Mend that before you build.',
    open: [FAILS, UNJUDGED, TIGHT],
    settled: [HOLDS],
  });
  expect(planVerdict([HOLDS, TIGHT, UNJUDGED]).line).toBe('No check fails, but 1 thing is not judged.');
  expect(planVerdict([HOLDS, TIGHT, TIGHT]).line).toBe('It holds, but 2 checks are tight.');
  // Advice is among what wants something done, and takes nothing from what holds.
  expect(planVerdict([HOLDS, HEED])).toMatchObject({
    line: 'It holds, with room to spare in every check.',
    open: [HEED],
  });
  expect(planVerdict([HOLDS]).line).toBe('It holds, with room to spare in every check.');
});
