/** What the columns of a weather table can mean, in which units, and what a header says of itself. */

/** What a column holds. */
type ColumnUse =
  'time' | 'air' | 'low' | 'high' | 'dew' | 'humidity' | 'sun' | 'cloud' | 'wind' | 'gust' | 'rain' | 'snow' | 'none';

interface Use {
  readonly use: ColumnUse;
  readonly name: string;
  /** Units that it comes in: each turns a number into SI of a weather. The first is the one when nothing is said. */
  readonly units: Readonly<Record<string, (x: number) => number>>;
  readonly least: number;
  readonly most: number;
  readonly header: RegExp;
}

const same = (x: number): number => x;
const DEGREES = { C: same, F: (x: number) => (x - 32) / 1.8, K: (x: number) => x - 273.15 };
const SPEED = {
  'm/s': same,
  'km/h': (x: number) => x / 3.6,
  mph: (x: number) => x * 0.44704,
  kn: (x: number) => x * 0.514444,
};
const WATER = { mm: same, cm: (x: number) => x * 10, in: (x: number) => x * 25.4 };
const PART = { '%': (x: number) => x / 100, 'of 1': same, oktas: (x: number) => x / 8, tenths: (x: number) => x / 10 };

/** Everything that is understood, in the order that headers are tried. Bounds are in SI of a weather. */
export const COLUMN_USES: readonly Use[] = [
  {
    use: 'time',
    name: 'time or date',
    units: { local: same, UTC: same },
    least: 0,
    most: 0,
    header: /^(time|date|datetime|date.?time|timestamp|when|hour|day|valid|datum|zeit)\b|_time$|time_/i,
  },
  { use: 'dew', name: 'dew point', units: DEGREES, least: -80, most: 45, header: /dew/i },
  {
    use: 'humidity',
    name: 'relative humidity',
    units: { '%': (x) => x / 100, 'of 1': same },
    least: 0,
    most: 1.05,
    header: /hum|\brh\b/i,
  },
  { use: 'gust', name: 'gust', units: SPEED, least: 0, most: 120, header: /gust|\bpeak/i },
  { use: 'wind', name: 'wind', units: SPEED, least: 0, most: 120, header: /wind(?!.*dir)|\bws\b/i },
  { use: 'low', name: 'low of the day', units: DEGREES, least: -80, most: 60, header: /t.?min|\bmin|low|least/i },
  { use: 'high', name: 'high of the day', units: DEGREES, least: -80, most: 65, header: /t.?max|\bmax|high|most/i },
  {
    use: 'sun',
    name: 'light on level ground',
    units: { 'W/m²': same, 'kWh/m² a day': (x) => (x * 1000) / 24, 'MJ/m² a day': (x) => (x * 1e6) / 86400 },
    least: 0,
    most: 1500,
    header: /sun|solar|ghi|radiat|irradi|global|shortwave/i,
  },
  { use: 'snow', name: 'fresh snow', units: WATER, least: 0, most: 3000, header: /snow/i },
  { use: 'cloud', name: 'cloud', units: PART, least: 0, most: 1.01, header: /cloud|sky|cover/i },
  { use: 'rain', name: 'rain', units: WATER, least: 0, most: 500, header: /rain|precip|water/i },
  {
    use: 'air',
    name: 'air temperature',
    units: DEGREES,
    least: -80,
    most: 60,
    header: /temp|air|t_?out|outside|dry|^t\b|_c$|°c/i,
  },
  { use: 'none', name: 'left out', units: { '': same }, least: 0, most: 0, header: /$^/ },
];

/** What is known of a use. @throws when there is none */
export function columnUse(use: ColumnUse): Use {
  const found = COLUMN_USES.find((u) => u.use === use);
  if (!found) throw new Error(`No use "${use}"`);
  return found;
}

/** A column as it is taken: what it holds and in which unit. */
export interface Column {
  readonly use: ColumnUse;
  readonly unit: string;
}

const SAYS: readonly (readonly [unit: string, said: RegExp])[] = [
  ['F', /°\s?f|\(f\)|[_ ]f$|fahrenheit/i],
  ['K', /\(k\)|[_ ]k$|kelvin/i],
  ['km/h', /km.?h|kph|kmh/i],
  ['mph', /mph|mi.?h/i],
  ['kn', /\bkn\b|knot/i],
  ['in', /\(in\)|[_ ]in$|inch/i],
  ['cm', /\(cm\)|[_ ]cm$/i],
  ['kWh/m² a day', /kwh/i],
  ['MJ/m² a day', /mj/i],
  ['UTC', /utc|gmt/i],
  ['oktas', /okta/i],
  ['of 1', /frac|of.?1|0.?1/i],
  ['tenths', /tenth/i],
];

/** What a header says of its column, with the unit it names; a use that is taken already is not given again. */
export function guessColumns(headers: readonly string[]): readonly Column[] {
  const taken = new Set<ColumnUse>();
  return headers.map((header): Column => {
    const text = header.trim();
    const found = COLUMN_USES.find((u) => !taken.has(u.use) && u.header.test(text));
    if (!found) return { use: 'none', unit: '' };
    taken.add(found.use);
    const units = Object.keys(found.units);
    const said = SAYS.find(([unit, words]) => units.includes(unit) && words.test(text))?.[0];
    return { use: found.use, unit: said ?? units[0] ?? '' };
  });
}
