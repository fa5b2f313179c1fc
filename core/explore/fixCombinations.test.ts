/** How sets of changes are called. */
import { amount } from '../base/figure';
import type { ChangeSet } from './fixSpace';
import { nameOf } from './fixCombinations';

const set = (...labels: ChangeSet['changes'][number]['label'][]): ChangeSet =>
  ({ changes: labels.map((label) => ({ label })), outline: undefined }) as unknown as ChangeSet;

test('changes are named one after the other, only the first with a capital', () => {
  expect(nameOf(set(['One more hoop']))).toEqual(['One more hoop']);
  expect(nameOf(set(['One more hoop'], ['A ridge on posts']))).toEqual(['One more hoop', ' and ', 'a ridge on posts']);
  const high = amount(900, 'length');
  expect(nameOf(set(['Crown ', high], ['PVC of 1'], ['Posts ', high, ' deep']))).toEqual([
    'Crown ',
    high,
    ', ',
    // What is written in capitals stays so.
    'PVC of 1',
    ' and ',
    'posts ',
    high,
    ' deep',
  ]);
});
