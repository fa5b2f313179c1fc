/** Tables as CSV (RFC 4180) that a spreadsheet cannot take for formulas. */
import Papa from 'papaparse';

/** What begins a formula in some spreadsheet: its signs, plain or full-width, whatever blanks stand before them; and a tab or a new line. */
const FORMULA = /^(?:[\t\r\n]|[\s\u00a0\u3000]*[=+\-@\uff1d\uff0b\uff0d\uff20])/u;

/** Rows under the names of their columns, each line ended as the standard has it. */
export const csvText = (fields: readonly string[], rows: readonly (readonly (string | number | null)[])[]): string =>
  `${Papa.unparse({ fields: [...fields], data: rows.map((row) => [...row]) }, { escapeFormulae: FORMULA })}\r\n`;
