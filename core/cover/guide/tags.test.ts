import { sayTags } from './tags';

test.each([
  [['H1', 'H2', 'H3'], 'H1 to H3'],
  [['A1', 'A2'], 'A1, A2'],
  [['A1', 'B1', 'B2', 'B3', 'B5'], 'A1, B1 to B3, B5'],
  [['L1a', 'L1b'], 'L1a, L1b'],
  [['H0', 'G9', 'G10', 'G11'], 'H0, G9 to G11'],
  [[], ''],
] as const)('%j is said %s', (tags, said) => expect(sayTags(tags)).toBe(said));
