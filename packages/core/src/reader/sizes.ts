import { readAmount } from './amount.ts';
import { matchIngredient } from './match.ts';

/** A recipe that stands in a text in several sizes, side by side. */
export interface Sizes {
  /** What each is called, or which column it is. */
  readonly names: readonly string[];
  /** Lines of the text that give an amount for each of them, counted from 1. */
  readonly lines: ReadonlySet<number>;
  /** The text with the amounts of one of them alone. */
  readonly text: (which: number) => string;
}

/** Rows that must agree before columns are sizes, and the widest that their ratios may lie apart. Own choices. */
const leastRows = 3;
const ratioSpread = 0.35;

const cellsOf = (line: string): string[] =>
  line
    .replace(/^\s*\|/, '')
    .replace(/\|\s*$/, '')
    .split(/\s*\|\s*|\t+|\s{2,}/)
    .map((cell) => cell.trim());

const size =
  /^(?:\(?\d[\d.,/½¼¾⅓⅔ ]*\s*[-–]?\s*(?:lb|lbs|pound|kg|g|oz|loaf|loaves|rolls?|pieces?|servings?|inch|in|cm|″|")s?\.?(?:\s+(?:loaf|loaves|tin|pan|machine|size))?\)?|small|medium|large|extra large|xl|regular|single|double|triple|half|full|one loaf|two loaves|1x|2x|3x|x ?[1-4])$/i;

/** What a cell weighs, in one unit or none, so that two may be compared. */
function amountIn(cell: string): { value: number; unit: string } | undefined {
  const read = readAmount(cell);
  if (!read || read.rest !== '') return undefined;
  return { value: read.amount.amount, unit: read.amount.unit?.unit ?? '' };
}

const ratioOf = ([a, b]: readonly ReturnType<typeof amountIn>[]): number | undefined =>
  a && b && a.unit === b.unit && a.value > 0 ? b.value / a.value : undefined;

/**
 * The sizes in which a recipe stands in columns: each row has the amount for a small loaf and for a large one.
 *
 * @returns undefined where there is one size
 * @example sizesIn('Loaf   1 lb   2 lb\nflour   300 g   450 g\nwater   195 g   290 g\nsalt   5 g   8 g')?.names // ['1 lb', '2 lb']
 */
export function sizesIn(text: string): Sizes | undefined {
  if (!/\||\t|\S\s{2,}\S/.test(text)) return undefined;
  const lines = text.split(/\r\n|\r|\n/).slice(0, 2000);
  // The row above all others that names the sizes weighs nothing itself.
  const headAt = lines.findIndex((line) => {
    const [name = '', ...cells] = cellsOf(line);
    // "Flour | 300 g | 450 g" names no sizes: it is the first of the rows.
    return cells.length >= 2 && cells.every((c) => size.test(c)) && !matchIngredient(name);
  });
  const rows = lines.flatMap((line, i) => {
    const [name = '', ...cells] = cellsOf(line);
    const amounts = cells.map(amountIn);
    return i !== headAt &&
      cells.length >= 2 &&
      /\p{L}{3}/u.test(name) &&
      amounts.every((a) => a !== undefined)
      ? [{ at: i, name, cells, ratio: ratioOf(amounts) }]
      : [];
  });
  const columns = rows[0]?.cells.length ?? 0;
  const alike = rows.filter((r) => r.cells.length === columns && r.ratio !== undefined);
  if (alike.length < leastRows || alike.length < 0.7 * rows.length) return undefined;
  const ratios = alike.map((r) => r.ratio!).sort((a, b) => a - b);
  const middle = ratios[Math.floor(ratios.length / 2)]!;
  const near = ratios.filter((r) => Math.abs(r / middle - 1) <= ratioSpread).length;
  if (Math.abs(middle - 1) < 0.1 || near < 0.7 * ratios.length) return undefined;
  const headCells = headAt < 0 ? [] : cellsOf(lines[headAt]!);
  const head = headCells.length >= columns ? headCells.slice(-columns) : undefined;
  // Grams beside per cent are no sizes: without a head they must be so many of one unit.
  if (!head && rows.some((r) => r.cells.some((c) => !/\p{L}/u.test(c)))) return undefined;
  const names = head ?? rows[0]!.cells.map((_, i) => `column ${i + 1}`);
  const byLine = new Map(rows.filter((r) => r.cells.length === columns).map((r) => [r.at, r]));
  return {
    names,
    lines: new Set([...byLine.keys()].map((at) => at + 1)),
    text: (which) =>
      lines
        .map((line, i) => {
          const row = byLine.get(i);
          return row ? `${row.cells[which] ?? row.cells[0]!} ${row.name}` : line;
        })
        .join('\n'),
  };
}
