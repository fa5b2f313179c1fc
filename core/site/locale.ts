/** What a browser's language says of how its people measure and pay; proposed, never set without being asked. */
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
/** Money by territory. Source: ISO 4217. */
const MONEY: Readonly<Record<string, string>> = {
  US: 'USD',
  CA: 'CAD',
  GB: 'GBP',
  AU: 'AUD',
  NZ: 'NZD',
  CH: 'CHF',
  LI: 'CHF',
  SE: 'SEK',
  NO: 'NOK',
  DK: 'DKK',
  IS: 'ISK',
  PL: 'PLN',
  CZ: 'CZK',
  HU: 'HUF',
  RO: 'RON',
  JP: 'JPY',
  KR: 'KRW',
  CN: 'CNY',
  IN: 'INR',
  ZA: 'ZAR',
  MX: 'MXN',
  BR: 'BRL',
  CL: 'CLP',
  AR: 'ARS',
  TR: 'TRY',
  UA: 'UAH',
};
const EURO = new Set('AT BE BG CY DE EE ES FI FR GR HR IE IT LT LU LV MT NL PT SI SK MC SM VA AD ME XK'.split(' '));

/**
 * Units for the people of a language tag; of a language without a territory, those of where most of its speakers live.
 * @param tag as a browser gives it, such as en-US
 * @example proposedUnits('de-AT').currency // "EUR"
 */
export function proposedUnits(tag: string): ProposedUnits {
  const region = regionOf(tag);
  const feet = FEET.has(region);
  return {
    length: feet ? 'ftin' : 'cm',
    temperature: feet ? 'F' : 'C',
    stock: INCH_STOCK.has(region) ? 'imperial' : 'metric',
    currency: MONEY[region] ?? (EURO.has(region) ? 'EUR' : 'USD'),
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
