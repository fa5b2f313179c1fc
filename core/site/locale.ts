/** What a browser's language says of how its people measure and pay; proposed, never set without being asked. */
import money from 'country-to-currency';
import type { LengthUnit } from '../base/length';
import type { Market } from '../catalog/market';

interface ProposedUnits {
  readonly length: LengthUnit;
  readonly temperature: 'C' | 'F';
  readonly stock: Market;
  readonly currency: string;
}

/** Where feet and Fahrenheit are. Source: Unicode CLDR, measurement and temperature preferences by territory. */
const FEET = new Set(['US', 'LR', 'PR', 'GU', 'VI']);
/** Where boards and pipe are sold by the inch, whatever the tape says. */
const INCH_STOCK = new Set([...FEET, 'CA']);
/**
 * Units for the people of a language tag; of a language without a territory, those of where most of its speakers live.
 * @param tag as a browser gives it, such as en-US
 * @example proposedUnits('de-AT').currency // "EUR"
 */
export const proposedUnits = (tag: string): ProposedUnits => unitsOf(regionOf(tag));

/** How the people of a country measure and pay. @param region its two letters (ISO 3166-1) */
export function unitsOf(region: string): ProposedUnits {
  const feet = FEET.has(region);
  return {
    length: feet ? 'ftin' : 'cm',
    temperature: feet ? 'F' : 'C',
    stock: INCH_STOCK.has(region) ? 'imperial' : 'metric',
    // Source: ISO 4217.
    currency: (money as Readonly<Record<string, string>>)[region] ?? 'USD',
  };
}

function regionOf(tag: string): string {
  try {
    return new Intl.Locale(tag).maximize().region ?? 'US';
  } catch {
    // What is no language tag says nothing.
    return 'US';
  }
}
