import { COLUMN_USES, columnUse, guessColumns } from './columns';

const SI: readonly (readonly [use: Parameters<typeof columnUse>[0], unit: string, said: number, is: number])[] = [
  ['air', 'C', -3, -3],
  ['air', 'F', 14, -10], // (14 - 32) / 1.8
  ['air', 'K', 263.15, -10],
  ['wind', 'km/h', 36, 10],
  ['wind', 'mph', 10, 4.4704],
  ['gust', 'kn', 20, 10.28888],
  ['rain', 'cm', 1.2, 12],
  ['snow', 'in', 2, 50.8],
  ['humidity', '%', 80, 0.8],
  ['humidity', 'of 1', 0.8, 0.8],
  ['cloud', 'oktas', 6, 0.75],
  ['cloud', 'tenths', 6, 0.6],
  ['cloud', '%', 60, 0.6],
  ['sun', 'W/m²', 300, 300],
  // 2.4 kWh spread over 24 hours: 100 W; 8.64 MJ over 86,400 s: 100 W.
  ['sun', 'kWh/m² a day', 2.4, 100],
  ['sun', 'MJ/m² a day', 8.64, 100],
];
test.each(SI)('%s in %s: %s is %s', (use, unit, said, is) => {
  expect(columnUse(use).units[unit]?.(said)).toBeCloseTo(is, 4);
});

test('what headers say, as stations and loggers write them', () => {
  const of = (header: string): string => {
    const [c] = guessColumns([header]);
    return `${c?.use} ${c?.unit}`.trim();
  };
  expect(
    [
      'Date Time',
      'time_utc',
      'Valid (GMT)',
      'Dew point °F',
      'RH',
      'Humidity fraction',
      'Peak wind km/h',
      'Wind speed (mph)',
      'Wind knots',
      'Tmin',
      'High °F',
      'GHI',
      'Solar kWh',
      'Radiation MJ',
      'Snow (in)',
      'Cloud okta',
      'Sky tenths',
      'Precip (cm)',
      'Rain_in',
      'Outside temp_f',
      'Air (K)',
      'Battery',
    ].map(of),
  ).toEqual([
    'time local',
    'time UTC',
    'time UTC',
    'dew F',
    'humidity %',
    'humidity of 1',
    'gust km/h',
    'wind mph',
    'wind kn',
    'low C',
    'high F',
    'sun W/m²',
    'sun kWh/m² a day',
    'sun MJ/m² a day',
    'snow in',
    'cloud oktas',
    'cloud tenths',
    'rain cm',
    'rain in',
    'air F',
    'air K',
    'none',
  ]);
});

test('the way the wind blows is no speed; a use that is taken is not given again, spaces do not count', () => {
  expect(guessColumns([' time ', 'wind dir', 'wind', 'wind 2', 'temp', 'temp 2']).map((c) => c.use)).toEqual([
    'time',
    'none',
    'wind',
    'none',
    'air',
    'none',
  ]);
});

test('bounds hold what weather can be, and every use has its unit', () => {
  for (const { use, least, most, units } of COLUMN_USES) {
    expect([use, Object.keys(units).length > 0]).toEqual([use, true]);
    expect([use, least <= most]).toEqual([use, true]);
  }
  expect(() => columnUse('nothing' as never)).toThrow('No use "nothing"');
});
