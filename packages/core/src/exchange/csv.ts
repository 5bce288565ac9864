/** A number as a spreadsheet reads one; it stays one, with its sign. */
const number = /^[+-]?(?:\d+(?:[.,]\d+)?|[.,]\d+)(?:e[+-]?\d+)?$/i;
/** What makes a spreadsheet reckon or call something, whatever stands before it that is not seen. */
const reckons = /^[\s\u0000-\u001f\u200b-\u200f\ufeff]*[=+\-@|%＝＋－＠]|^[\t\r\n]/u;

/**
 * A cell of comma-separated values. What a spreadsheet would take for a sum is kept a text; a number stays a number.
 *
 * @example csvCell('-1+1') // "'-1+1"
 * @example csvCell('-1.5') // '-1.5'
 * @example csvCell('a "b"') // '"a ""b"""'
 * @example csvCell('=1+1') // "'=1+1"
 */
export const csvCell = (cell: string): string => {
  const safe = reckons.test(cell) && !number.test(cell) ? `'${cell}` : cell;
  return /[",\n\r;]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
};

/** A row of comma-separated values. */
export const csvRow = (cells: readonly string[]): string => cells.map(csvCell).join(',');
