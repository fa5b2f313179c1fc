import { isWindy } from './place';

test('windy is above 27 m/s, 60 mph', () => {
  expect([0, 26.9, 27, 27.1, 40].map(isWindy)).toEqual([false, false, false, true, true]);
});
