import { openedLast } from '../storage/browser';
import { LOADS, placeAt } from './loads';

test.each([
  ['/demo', 'bench'],
  ['/take', 'take'],
  ['/settings', 'settings'],
  ['/gardens', 'gardens'],
  ['/g/a1/plot', 'plot'],
  ['/g/a1/bench/lid/stand', 'bench'],
  ['/g/a1/versions/lid', 'versions'],
  // A garden alone goes on to its plot, which is then known.
  ['/g/a1', undefined],
  ['/g/a1/constructor', undefined],
  ['/g/a1/toString', undefined],
  ['/nowhere', undefined],
])('%s is drawn with %s', (address, place) => expect(placeAt(address)).toBe(place));

test('the first page is the list of gardens until one was open here', () => {
  expect(placeAt('/')).toBe('gardens');
  openedLast('a1');
  expect(placeAt('/')).toBeUndefined();
});

test('every place has something that draws it', () => {
  for (const load of Object.values(LOADS)) expect(typeof load).toBe('function');
  expect(Object.keys(LOADS)).toHaveLength(15);
});
