import { type Result, fail, ok } from './result';

/** How a gardener reads a tape: feet and inches, inches alone, centimetres or millimetres. */
export type LengthUnit = 'ftin' | 'in' | 'cm' | 'mm';

/** Whether lengths are said in the metric system, and so all else. */
export const isMetric = (unit: LengthUnit): boolean => unit === 'cm' || unit === 'mm';

export const MM_PER_INCH = 25.4;
/** Miles an hour in a metre a second. */
export const MPH_PER_M_PER_S = 2.23694;
const MM_PER_FOOT = 304.8;
const SIXTEENTH = MM_PER_INCH / 16;

const UNIT_MM: Readonly<Record<string, number>> = {
  "'": MM_PER_FOOT,
  ft: MM_PER_FOOT,
  foot: MM_PER_FOOT,
  feet: MM_PER_FOOT,
  '"': MM_PER_INCH,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  m: 1000,
  cm: 10,
  mm: 1,
};

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅐': '1/7',
  '⅑': '1/9',
  '⅒': '1/10',
};
const VULGARS = new RegExp(`[${Object.keys(VULGAR).join('')}]`, 'g');

const NUMBER = String.raw`\d{1,3}(?: \d{3})+(?!\d|\/| ?\d+\/)(?:\.\d+)?|\d+[ -]+\d+\/\d+|\d+\/\d+|\d*\.\d+|\d+\.?`;
const TERM = new RegExp(String.raw`^(${NUMBER})\s*(feet|foot|ft|inches|inch|in|mm|cm|m|'|")?\.?\s*[,-]?\s*`);

const EXAMPLES: Readonly<Record<LengthUnit, string>> = {
  ftin: `5' 6 3/8"`,
  in: '66 3/8',
  cm: '168',
  mm: '1680',
};

function readNumber(text: string): number {
  const fraction = /^(?:(\d+)[ -]+)?(\d+)\/(\d+)$/.exec(text);
  if (fraction) return Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3]);
  return Number(text.replace(/ /g, ''));
}

function bareUnit(unit: LengthUnit): number {
  return unit === 'cm' ? 10 : unit === 'mm' ? 1 : MM_PER_INCH;
}

/**
 * Reads a length as a person writes it; units may be mixed.
 *
 * A number with no unit is in the given unit (inches for feet-inches); after feet it is inches.
 * @param text for example `5' 6 3/8"`, `66 3/8`, `5ft6`, `168cm`, `1.68 m`, `1 680 mm`, `1,68 m`
 * @returns millimetres, or a fault that says what would be right
 * @example parseLength('5ft6', 'cm').value // 1676.4
 */
export function parseLength(text: string, unit: LengthUnit): Result<number> {
  const example = EXAMPLES[unit];
  let rest = text.trim().toLowerCase();
  if (rest === '') return fail('length', `Type a length, for example ${example}.`);
  if (rest.length > 60) return fail('length', `That is too long to be a length. Try ${example}.`);
  rest = rest
    .replace(VULGARS, (c) => ` ${VULGAR[c] ?? c}`)
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .replace(/[′’‘]/g, "'")
    .replace(/″|“|”|''/g, '"')
    .replace(/[−–]/g, '-')
    .replace(/ +/g, ' ')
    .trim();
  if (/\d,\d{3}(?!\d)/.test(rest))
    return fail('length', `A comma before three digits can mean two things: write 1680 or 1.68.`);
  rest = rest.replace(/(\d),(\d)/g, '$1.$2');

  const negative = /^-/.test(rest);
  rest = rest.replace(/^[-+]\s*/, '');
  let total = 0;
  let previous = Infinity;
  let previousWasFeet = false;
  while (rest !== '') {
    const match = TERM.exec(rest);
    if (!match) return fail('length', `“${text.trim()}” is not a length. Try ${example}.`);
    const value = readNumber(match[1] ?? '');
    const named = match[2];
    if (named === undefined && /^[a-z]/.test(rest.slice(match[0].length)))
      return fail('length', `“${text.trim()}” is not a length. Try ${example}.`);
    if (named === undefined && match[0].length < rest.length)
      return fail('length', `“${text.trim()}” has a number without a unit. Try ${example}.`);
    // 6" 3/8: the sixteenths are often written after the sign.
    const fraction = previous === MM_PER_INCH && named === undefined && /^\d+\/\d+$/.test(match[1] ?? '') && value < 1;
    if (named === undefined && previous !== Infinity && !previousWasFeet && !fraction)
      return fail('length', `“${text.trim()}” has a number without a unit. Try ${example}.`);
    const size: number =
      named === undefined ? (previousWasFeet || fraction ? MM_PER_INCH : bareUnit(unit)) : (UNIT_MM[named] ?? NaN);
    if (!Number.isFinite(value)) return fail('length', `“${match[1]}” is not a number. Try ${example}.`);
    if (size >= previous && !fraction) return fail('length', `Write the larger unit first, as in ${example}.`);
    total += value * size;
    previous = size;
    previousWasFeet = size === MM_PER_FOOT;
    rest = rest.slice(match[0].length);
  }
  return ok(negative ? -total : total);
}

function sixteenths(count: number, withFeet: boolean): string {
  const sign = count < 0 ? '-' : '';
  const all = Math.abs(count);
  const feet = withFeet ? Math.floor(all / 192) : 0;
  const inches = Math.floor((all - feet * 192) / 16);
  let top = all % 16;
  let bottom = 16;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  const fraction = top > 0 ? `${top}/${bottom}` : '';
  const whole = inches > 0 || fraction === '' ? String(inches) : '';
  const inchText = [whole, fraction].filter((s) => s !== '').join(' ');
  return `${sign}${feet > 0 ? `${feet}' ` : ''}${inchText}"`;
}

/**
 * Prints a length to the nearest 1/16 inch, 0.1 cm or 1 mm.
 * @example formatLength(1685.925, 'ftin') // "5' 6 3/8\""
 */
export function formatLength(mm: number, unit: LengthUnit): string {
  if (!Number.isFinite(mm)) return '–';
  if (unit === 'ftin' || unit === 'in') return sixteenths(Math.round(mm / SIXTEENTH), unit === 'ftin');
  const whole = Math.round(mm) || 0;
  return unit === 'cm' ? `${(whole / 10).toFixed(1)} cm` : `${whole} mm`;
}

/**
 * A length in both systems, for whoever reads it may use either.
 * @example lengthInBoth(300) // "300 mm (11.8 in)"
 */
export const lengthInBoth = (mm: number): string => `${mm} mm (${Math.round((mm / MM_PER_INCH) * 10) / 10} in)`;
