import { proposedUnits } from './locale';

test.each([
  ['en-US', 'ftin', 'F', 'imperial', 'USD'],
  ['en', 'ftin', 'F', 'imperial', 'USD'],
  ['en-CA', 'cm', 'C', 'imperial', 'CAD'],
  ['en-GB', 'cm', 'C', 'metric', 'GBP'],
  ['de', 'cm', 'C', 'metric', 'EUR'],
  ['fr-CH', 'cm', 'C', 'metric', 'CHF'],
  ['es-AR', 'cm', 'C', 'metric', 'ARS'],
  ['not a tag', 'ftin', 'F', 'imperial', 'USD'],
])('%s', (tag, length, temperature, stock, currency) => {
  expect(proposedUnits(tag)).toEqual({ length, temperature, stock, currency });
});
