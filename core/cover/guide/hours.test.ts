import { at, build } from '../../testing/site';
import type { Assembly } from '../assembly/types';
import { buildHours } from './hours';

test('hours are the minutes of every step, not rounded: that is left to whoever shows them', () => {
  const steps = [
    { title: 'Cut', minutes: 154 },
    { title: 'Set', minutes: 90.8 },
  ] as unknown as Assembly['steps'];
  const hours = buildHours({ ...build('wire-tunnel', at(96, 48)), steps });
  expect(hours.value).toBeCloseTo(244.8 / 60, 9);
  expect(hours.terms.map((t) => [t.name, t.value])).toEqual([
    ['Cut', 154 / 60],
    ['Set', 90.8 / 60],
  ]);
});
