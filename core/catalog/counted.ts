import { type Amount, type Phrase, amount } from '../base/figure';
import type { HardwareItem } from './types';

/** So many of a counted thing: a number, or a length of what is sold from a coil. */
export const countOf = (unit: string, count: number): Amount => amount(count, unit === 'm' ? 'coil' : 'count');

/** What is in one pack of a counted thing. */
export const packOf = ({ unit, packSize }: HardwareItem): Phrase =>
  unit === 'm' ? [amount(packSize, 'coil')] : [packSize === 1 ? 'one' : `pack of ${packSize}`];

/** How many of each item several uses take together, by its key, in the order of their first use. */
export function countsByItem(
  uses: readonly { readonly itemKey: string; readonly count: number }[],
): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const { itemKey, count } of uses) counts.set(itemKey, (counts.get(itemKey) ?? 0) + count);
  return counts;
}
