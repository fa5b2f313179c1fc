import { type LengthUnit, MM_PER_INCH, MPH_PER_M_PER_S, formatLength } from './length';

/** What a number measures; values are always SI except lengths (mm), money (currency units) and hours. */
export type Quantity =
  | 'length'
  /** Film, fabric or net to be cut from a roll. */
  | 'film'
  /** What is measured by eye, such as from screw to screw: to the inch, or to half a centimetre. */
  | 'byEye'
  /** How high a plant grows: no finer than plants do. */
  | 'growth'
  /** A depth of snow: beyond what lies anywhere it is only said to be more. */
  | 'snowDepth'
  | 'area'
  | 'volume'
  | 'mass'
  | 'force'
  | 'loadPerLength'
  /** What hangs on a length, kg/m. */
  | 'massPerLength'
  | 'pressure'
  | 'stiffness'
  | 'temperature'
  /** The coldest that something lives through: never told colder than it is. */
  | 'livesTo'
  | 'warming'
  /** Diameter of a drill bit, mm. */
  | 'bit'
  | 'percent'
  | 'ratio'
  /** How many times over something holds: beyond use it is only said to be more. */
  | 'times'
  | 'count'
  /** What is sold by the length from a coil or strip, m. */
  | 'coil'
  | 'money'
  | 'hours'
  | 'speed'
  | 'angle'
  | 'power'
  | 'flow'
  | 'density'
  | 'plain';

/** How one gardener wants numbers shown. */
export interface Preferences {
  readonly length: LengthUnit;
  readonly temperature: 'C' | 'F';
  readonly currency: string;
}

const imperial = (p: Preferences): boolean => p.length === 'ftin' || p.length === 'in';

const MINUS = '\u2212';

function number(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  const clean = Number(text) === 0 ? text.replace('-', '') : text;
  return clean.replace('-', MINUS);
}

function significant(value: number, digits: number): string {
  if (value === 0 || !Number.isFinite(value)) return number(value, 0);
  const size = Math.floor(Math.log10(Math.abs(value)));
  if (size > 5 || size < -4) return value.toExponential(digits - 1).replace('-', MINUS);
  return number(value, Math.max(0, digits - 1 - size));
}

const moneyFormats = new Map<string, Intl.NumberFormat>();
const decimals = new Map<string, number>();

/** Formatters are slow to make and quick to use. */
function moneyFormat(currency: string): Intl.NumberFormat {
  const known = moneyFormats.get(currency);
  if (known) return known;
  const made = new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' });
  moneyFormats.set(currency, made);
  return made;
}

/**
 * Money in any currency with that currency's own decimals.
 * @example formatMoney(61.4, 'USD') // "$61.40"
 */
export function formatMoney(value: number, currency: string): string {
  return moneyFormat(currency).format(value);
}

/** Number of decimals that a currency's smallest coin needs: 2 for most, 0 for yen. */
export function currencyDecimals(currency: string): number {
  let known = decimals.get(currency);
  if (known === undefined) {
    known = moneyFormat(currency).resolvedOptions().maximumFractionDigits ?? 2;
    decimals.set(currency, known);
  }
  return known;
}

/** Rounds to the smallest coin of a currency, so that shown lines add up to the shown total. */
export function roundMoney(value: number, currency: string): number {
  const scale = 10 ** currencyDecimals(currency);
  return Math.round((value + Number.EPSILON) * scale) / scale;
}

/** Degrees Celsius in the degrees that a gardener reads. */
export const degreesIn = (c: number, { temperature }: Pick<Preferences, 'temperature'>): number =>
  temperature === 'F' ? c * 1.8 + 32 : c;
/** What a gardener read, as degrees Celsius. */
export const celsiusOf = (degrees: number, { temperature }: Pick<Preferences, 'temperature'>): number =>
  temperature === 'F' ? (degrees - 32) / 1.8 : degrees;

export const METERS_PER_FOOT = 0.3048;

/** More wet snow than this lies on no garden. */
const MOST_SNOW = { imperialMm: 6 * 304.8, metricMm: 2000 } as const;
/** A safety beyond this says nothing more. */
const MOST_TIMES = 10;

/** What a builder can use of a number: film to the next inch or 2 cm, snow down to 1/2 in or 1 cm, what is felt to two digits. */
function usable(value: number, quantity: Quantity, p: Preferences): number {
  const inches = imperial(p);
  // What is a step already stays there.
  const up = (step: number): number => Math.ceil(value / step - 1e-6) * step;
  const down = (step: number): number => Math.floor(value / step + 1e-6) * step;
  const digits = (n: number): number => (value === 0 ? 0 : Number(value.toPrecision(n)));
  switch (quantity) {
    case 'film':
      return up(inches ? MM_PER_INCH : 20);
    case 'snowDepth':
      return down(inches ? MM_PER_INCH / 2 : 10);
    case 'livesTo':
      return celsiusOf(Math.ceil(degreesIn(value, p) - 1e-6), p);
    case 'growth':
      return Math.round(value / (inches ? MM_PER_INCH : 10)) * (inches ? MM_PER_INCH : 10);
    case 'byEye':
      return Math.round(value / (inches ? MM_PER_INCH : 5)) * (inches ? MM_PER_INCH : 5);
    case 'coil':
      return up(inches ? METERS_PER_FOOT : 0.1);
    case 'hours':
      return Math.round(value * (value < 4 ? 4 : 2)) / (value < 4 ? 4 : 2);
    case 'power':
      return digits(2);
    default:
      return value;
  }
}

/**
 * A number with its unit, in the gardener's own units, to what a builder can use.
 * @example formatAmount(1840, 'film', { length: 'cm', temperature: 'C', currency: 'EUR' }) // "184.0 cm"
 */
export function formatAmount(value: number, quantity: Quantity, p: Preferences): string {
  if (!Number.isFinite(value)) return '–';
  const round = usable(value, quantity, p);
  switch (quantity) {
    case 'force':
      return imperial(p) ? `${felt(round / NEWTONS_PER_POUND)} lb` : `${felt(round)} N`;
    case 'mass':
      return imperial(p) ? `${felt(round * POUNDS_PER_KG)} lb` : `${felt(round)} kg`;
    default:
      return formatFully(round, quantity, p);
  }
}

const NEWTONS_PER_POUND = 4.44822;
const POUNDS_PER_KG = 2.20462;
const PASCALS_PER_PSF = 47.8803;

const INCHES: readonly Quantity[] = ['length', 'film', 'byEye', 'growth', 'snowDepth'];

/**
 * The unit that a gardener reads, of the one a number is kept in: multiples of it are round to read.
 * @example unitRead('snowDepth', { length: 'in', temperature: 'C', currency: 'EUR' }) // 25.4
 */
export const unitRead = (quantity: Quantity, p: Preferences): number =>
  !imperial(p) ? 1 : INCHES.includes(quantity) ? MM_PER_INCH : quantity === 'mass' ? 1 / POUNDS_PER_KG : 1;

/** A unit as a field shows it: its sign, its name, and how many of it are one of what a number is kept in. */
export interface Unit {
  readonly sign: string;
  readonly name: string;
  readonly per: number;
}

const FEET_OR_METERS = [
  { sign: 'ft', name: 'feet', per: 1 / METERS_PER_FOOT },
  { sign: 'm', name: 'meters', per: 1 },
] as const;

const UNITS = {
  speed: [
    { sign: 'mph', name: 'miles an hour', per: MPH_PER_M_PER_S },
    { sign: 'm/s', name: 'meters a second', per: 1 },
  ],
  mass: [
    { sign: 'lb', name: 'pounds', per: POUNDS_PER_KG },
    { sign: 'kg', name: 'kilograms', per: 1 },
  ],
  pressure: [
    { sign: 'lb/sq ft', name: 'pounds on a square foot', per: 1 / PASCALS_PER_PSF },
    { sign: 'kPa', name: 'kilopascals', per: 1e-3 },
  ],
  /** Above the sea, in m. */
  elevation: FEET_OR_METERS,
  coil: FEET_OR_METERS,
} as const;

/**
 * The unit in which a gardener types and reads a quantity that is no length.
 * @example unitOf('speed', { length: 'in', temperature: 'C', currency: 'EUR' }).sign // "mph"
 */
export const unitOf = (quantity: keyof typeof UNITS, p: Preferences): Unit => UNITS[quantity][imperial(p) ? 0 : 1];

/** What hands feel: two digits. */
const felt = (value: number): string => number(Number(value.toPrecision(2)), Math.abs(value) < 9.95 ? 1 : 0);

/** A difference of few degrees, to a tenth: half a degree is worth a blanket's price. */
const fewDegrees = (value: number): string => number(value, Math.abs(value) < 9.95 && Math.abs(value) >= 0.05 ? 1 : 0);

/** A number with its unit, as finely as it is reckoned: for those who ask why. */
export function formatFully(value: number, quantity: Quantity, p: Preferences): string {
  if (!Number.isFinite(value)) return '–';
  switch (quantity) {
    case 'length':
    case 'film':
    case 'byEye':
    case 'growth':
      return formatLength(value, p.length);
    case 'snowDepth': {
      const most = imperial(p) ? MOST_SNOW.imperialMm : MOST_SNOW.metricMm;
      return value > most ? `more than ${formatLength(most, p.length)}` : formatLength(value, p.length);
    }
    case 'times':
      return value > MOST_TIMES ? `more than ${MOST_TIMES}` : number(value, 2);
    case 'area':
      return imperial(p) ? `${number(value * 10.7639, 1)} sq ft` : `${number(value, 2)} m²`;
    case 'volume':
      return imperial(p) ? `${number(value * 35.3147, 0)} cu ft` : `${number(value, 2)} m³`;
    case 'mass':
      return imperial(p) ? `${number(value * POUNDS_PER_KG, 1)} lb` : `${number(value, 1)} kg`;
    case 'force': {
      const pounds = value / NEWTONS_PER_POUND;
      // Nobody feels a tenth of a pound beside twenty.
      return imperial(p) ? `${number(pounds, Math.abs(pounds) < 20 ? 1 : 0)} lb` : `${number(value, 0)} N`;
    }
    case 'loadPerLength':
      return imperial(p) ? `${number(value / 14.5939, 1)} lb/ft` : `${number(value, 0)} N/m`;
    case 'massPerLength':
      return imperial(p)
        ? `${number((value * POUNDS_PER_KG * 12 * MM_PER_INCH) / 1000, 0)} lb a foot`
        : `${number(value, 0)} kg a meter`;
    case 'pressure':
      return imperial(p) ? `${number(value / PASCALS_PER_PSF, 1)} lb/sq ft` : `${number(value / 1000, 2)} kPa`;
    case 'stiffness':
      return imperial(p) ? `${significant(value * 2.41983, 3)} lb·sq ft` : `${significant(value, 3)} N·m²`;
    case 'density':
      return imperial(p) ? `${number(value / 16.0185, 0)} lb/cu ft` : `${number(value, 0)} kg/m³`;
    case 'speed':
      return imperial(p) ? `${number(value * MPH_PER_M_PER_S, 0)} mph` : `${number(value, 0)} m/s`;
    case 'temperature':
    case 'livesTo':
      return `${number(degreesIn(value, p), 0)} °${p.temperature}`;
    case 'warming':
      return p.temperature === 'F' ? `${fewDegrees(value * 1.8)} °F` : `${fewDegrees(value)} °C`;
    case 'bit': {
      const in32 = Math.round((value / MM_PER_INCH) * 32);
      const lowest = [2, 4, 8, 16, 32].find((parts) => (in32 * parts) % 32 === 0) ?? 32;
      // Sold in steps of a thirty-second of an inch, or of half a millimetre.
      return imperial(p)
        ? `${(in32 * lowest) / 32}/${lowest}"`
        : `${number(Math.round(value * 2) / 2, 1).replace('.0', '')} mm`;
    }
    case 'percent':
      return `${number(value, Math.abs(value) < 9.95 ? 1 : 0)} %`;
    case 'ratio':
      return number(value, 2);
    case 'count':
      return number(value, 0);
    case 'coil':
      return imperial(p) ? `${number(value / METERS_PER_FOOT, 0)} ft` : `${number(value, 1).replace('.0', '')} m`;
    case 'money':
      return formatMoney(value, p.currency);
    case 'hours':
      return `${number(Math.round(value * 4) / 4, 2).replace(/\.?0+$/, '')} h`;
    case 'angle':
      return `${number(value, 1)}°`;
    case 'power':
      return `${number(value, 0)} W`;
    case 'flow':
      return `${significant(value, 2)} m³/s`;
    case 'plain':
      return significant(value, 4);
  }
}
