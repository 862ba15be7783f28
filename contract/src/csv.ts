/** What a spreadsheet would take for a formula. Source: OWASP, CSV Injection. */
const FORMULA = /^[=+\-@\t\r]/;
/** Digits alone, as of a telephone, or a number: a spreadsheet has nothing to work out in it. */
const NUMBER = /^[+-]?\d[\d ]*([.,]\d+)?$/;
const PUT_BEFORE = "'";

type Cell = unknown;

/** Text in which no spreadsheet finds a formula. A number stays one, below zero too. */
const neutral = (text: string): string =>
  FORMULA.test(text) && !NUMBER.test(text) ? PUT_BEFORE + text : text;

/** What a cell said before it was made neutral, for reading a file this program wrote. */
export const readNeutral = (text: string): string =>
  text.startsWith(PUT_BEFORE) && FORMULA.test(text.slice(1)) ? text.slice(1) : text;

function field(value: Cell): string {
  if (value === null || value === undefined) return '';
  const text = neutral(typeof value === 'object' ? JSON.stringify(value) : String(value));
  return /[",;\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
}

/** One row as CSV. Source: RFC 4180: rows end with CRLF, fields with commas, quotes or breaks stand in quotes. */
export const csvLine = (cells: readonly Cell[]): string => `${cells.map(field).join(',')}\r\n`;

/** Rows as CSV, the heading first. */
export const csvOf = (rows: Iterable<readonly Cell[]>): string => Array.from(rows, csvLine).join('');
