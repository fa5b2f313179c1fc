/** A short part of `npm run hurt`, seeded: the long one goes on for ten minutes. */
import highsLoader from 'highs';
import { highsSolver } from '../../core/make/cutting/highs';
import { tryAnswers } from './answers';
import { tryFiles } from './files';
import { notANumber } from './trial';

test('random answers of every family are built, judged, drawn and written, or refused by name', async () => {
  const solver = highsSolver(await highsLoader());
  const t = tryAnswers(7, 40, solver);
  expect([...t.failed]).toEqual([]);
  // Most beds and answers must lead to something.
  expect(t.through).toBeGreaterThan(150);
});

test('spoiled files are read or refused by name', () => {
  const t = tryFiles(7, 1200);
  expect([...t.failed]).toEqual([]);
  expect(t.tried).toBeGreaterThanOrEqual(1200);
});

test('the trial itself sees what is no number', () => {
  expect(notANumber({ a: [{ b: 1 }, { b: NaN }] })).toBe('.a.#.b');
  expect(notANumber({ a: Infinity, b: 'NaN', c: null })).toBeUndefined();
});
