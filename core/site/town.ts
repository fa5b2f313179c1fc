/** A town, as one finds it by its name. */
import * as z from 'zod/mini';
import { between, text } from '../base/schema';

/** Letters that a town is asked for by: fewer find too much, and no name has more. */
export const LEAST_LETTERS = 2;
export const MOST_LETTERS = 60;

export const townSchema = z.strictObject({
  name: text(120),
  /** State or province, where its code has letters; empty elsewhere. */
  region: text(10),
  /** Country by its two letters (ISO 3166-1). */
  country: text(2),
  latitudeDeg: between(-90, 90),
  longitudeDeg: between(-180, 180),
});
export type Town = z.infer<typeof townSchema>;

const countries = new Intl.DisplayNames('en', { type: 'region', fallback: 'code' });

/** A town's name with where it lies: `Springfield, IL, United States`. */
export function townName({ name, region, country }: Town): string {
  return [name, region, countryName(country)].filter((part) => part !== '').join(', ');
}

/** A country by its two letters, in English. */
export function countryName(code: string): string {
  try {
    return countries.of(code) ?? code;
  } catch {
    // What is no code stands as it came.
    return code;
  }
}
