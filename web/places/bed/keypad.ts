/** Keys for a length, pressed with gloves: what is shown after each press, and what it comes to. */
import { type LengthUnit, MM_PER_INCH } from '../../../core/base/length';

/** What the keys are pressed in: a length of the garden's own kind, or any other. */
export type PadUnit = LengthUnit | 'm';
export const PAD_UNITS: readonly PadUnit[] = ['ftin', 'in', 'm', 'cm', 'mm'];

export interface Draft {
  /** Feet and inches, or the one number of other units; as far as they are pressed. */
  readonly feet: string;
  readonly inches: string;
  readonly sixteenths: number;
  readonly at: 'feet' | 'inches';
  /** Nothing was pressed yet: what stands there is the old value. */
  readonly fresh: boolean;
}

export type Key =
  { readonly digit: string } | { readonly sixteenths: number } | { readonly to: 'feet' | 'inches' } | 'point' | 'back';

const MOST_DIGITS = 5;
export const EMPTY: Draft = { feet: '', inches: '', sixteenths: 0, at: 'feet', fresh: true };

export const isInches = (unit: PadUnit): boolean => unit === 'ftin' || unit === 'in';

/** The draft after a key. Inches alone and metres have no feet to go to. */
export function pressed(before: Draft, key: Key, unit: PadUnit): Draft {
  const start: Draft = before.fresh ? { ...EMPTY, at: unit === 'ftin' ? 'feet' : 'inches' } : before;
  const d = { ...start, fresh: false };
  if (key === 'back') {
    if (d.sixteenths > 0) return { ...d, sixteenths: 0 };
    if (d.at === 'inches' && d.inches === '' && unit === 'ftin') return { ...d, at: 'feet', feet: d.feet.slice(0, -1) };
    return { ...d, [d.at]: d[d.at].slice(0, -1) };
  }
  if (key === 'point') {
    const text = d[d.at];
    return isInches(unit) || unit === 'mm' || text.includes('.') ? d : { ...d, [d.at]: `${text || '0'}.` };
  }
  if ('to' in key) return unit === 'ftin' ? { ...d, at: key.to } : d;
  if ('sixteenths' in key) return isInches(unit) ? { ...d, at: 'inches', sixteenths: key.sixteenths } : d;
  const text = d[d.at];
  return text.replace('.', '').length >= MOST_DIGITS
    ? d
    : { ...d, [d.at]: text === '0' ? key.digit : text + key.digit };
}

/** The same keys in another unit, as where the unit is pressed after the figure. */
export function inUnit(d: Draft, unit: PadUnit): Draft {
  const figure = d.inches || d.feet;
  const sixteenths = isInches(unit) ? d.sixteenths : 0;
  return unit === 'ftin'
    ? { ...d, feet: figure.split('.')[0] ?? '', inches: '', at: 'feet', sixteenths }
    : { ...d, feet: '', inches: isInches(unit) ? (figure.split('.')[0] ?? '') : figure, at: 'inches', sixteenths };
}

/** What it comes to, mm; undefined while nothing is pressed. */
export function valueOf(d: Draft, unit: PadUnit): number | undefined {
  if (d.fresh || (d.feet === '' && d.inches === '' && d.sixteenths === 0)) return undefined;
  const whole = Number(d.inches || '0');
  switch (unit) {
    case 'ftin':
      return (Number(d.feet || '0') * 12 + whole + d.sixteenths / 16) * MM_PER_INCH;
    case 'in':
      return (whole + d.sixteenths / 16) * MM_PER_INCH;
    case 'm':
      return whole * 1000;
    case 'cm':
      return whole * 10;
    case 'mm':
      return whole;
  }
}

/** As it is shown while it is pressed. */
export function shownAs(d: Draft, unit: PadUnit): string {
  const part = fraction(d.sixteenths);
  const inches = [d.inches, part].filter((s) => s !== '').join(' ');
  switch (unit) {
    case 'ftin':
      return `${d.feet || '0'}' ${inches || (d.at === 'inches' ? '_' : '0')}"`;
    case 'in':
      return `${inches || '_'}"`;
    default:
      return `${d.inches || '_'} ${unit}`;
  }
}

/** A part of an inch in its smallest words: 6 of 16 is 3/8. */
export function fraction(sixteenths: number): string {
  if (sixteenths === 0) return '';
  let [top, bottom] = [sixteenths, 16];
  while (top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  return `${top}/${bottom}`;
}
