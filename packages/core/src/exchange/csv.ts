/**
 * A cell of comma-separated values. What a spreadsheet would take for a sum is kept a text.
 *
 * @example csvCell('a "b"') // '"a ""b"""'
 * @example csvCell('=1+1') // "'=1+1"
 */
export const csvCell = (cell: string): string => {
  const safe = /^[=+@\t\r]|^-(?![\d.])/.test(cell) ? `'${cell}` : cell;
  return /[",\n\r;]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
};

/** A row of comma-separated values. */
export const csvRow = (cells: readonly string[]): string => cells.map(csvCell).join(',');
