import { MONTHS } from '../../core/base/days';

/**
 * Month and day of what was typed: "22 May", "May 22", "05-22"; undefined where it is none of them.
 */
export function monthDayOf(text: string): string | undefined {
  const t = text.trim().toLowerCase();
  if (/^\d\d?-\d\d?$/.test(t))
    return t
      .split('-')
      .map((x) => x.padStart(2, '0'))
      .join('-');
  const [, a, word, b] = /^(\d{1,2})?\.?\s*([a-z]{3,})\.?\s*(\d{1,2})?$/.exec(t) ?? [];
  const month = MONTHS.findIndex((m) => word !== undefined && m.toLowerCase().startsWith(word));
  const day = a ?? b;
  return month < 0 || day === undefined ? undefined : `${String(month + 1).padStart(2, '0')}-${day.padStart(2, '0')}`;
}
