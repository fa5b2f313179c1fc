import { memoizeByIdentity } from './memoize';

test('work is done once for the same inputs, again when any is another, and apart for each object', () => {
  const sum = memoizeByIdentity<number>();
  let done = 0;
  const work = (x: number) => () => {
    done++;
    return x;
  };
  const [a, b] = [{}, {}];
  expect([sum(a, [1, 'x'], work(7)), sum(a, [1, 'x'], work(8)), done]).toEqual([7, 7, 1]);
  expect([sum(a, [1, 'y'], work(9)), done]).toEqual([9, 2]);
  expect([sum(b, [1, 'y'], work(4)), sum(a, [1, 'y'], work(5)), done]).toEqual([4, 9, 3]);
  // One input fewer is not the same, even where the rest is.
  expect([sum(a, [1], work(6)), done]).toEqual([6, 4]);
});
