import { FAMILY_KEYS } from '../families';
import { at, build } from '../../testing/site';

const words = (family: string, market: 'imperial' | 'metric'): string =>
  build(family, { ...at(96, 44), market })
    .steps.flatMap((s) => [
      ...s.tools,
      ...[...s.work, ...s.checks].flatMap((line) => line.filter((x) => typeof x === 'string')),
    ])
    .join(' | ');

test.each(FAMILY_KEYS)('a %s built in a metric country is drilled and marked in millimetres', (family) => {
  // Sections keep the name they are sold by; drills and distances do not come in inches.
  expect(words(family, 'metric').match(/\b(3\/32|1\/8|\d+(-\d+\/\d+)? in (from|up))\b/g)).toBeNull();
});

test('in inches they stay as the trade says them', () => {
  expect(words('hinged-hoop-lid', 'imperial')).toContain('3/32');
  expect(words('hinged-hoop-lid', 'metric')).toContain('2.5 mm pilots');
  expect(words('lift-off-cover', 'metric')).toContain('10 mm bit');
});
