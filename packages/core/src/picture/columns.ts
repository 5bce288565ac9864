import { readAmount } from '../reader/amount.ts';
import { around } from './word.ts';
import type { Cell, VisualRow } from './visual-rows.ts';

/** So many rows must have something on both sides before a gap parts columns. Own choice, no source. */
const leastRows = 3;
/** Of those rows so many have an amount alone on one side where it is a table. Own choice, no source. */
const ofTable = 0.5;

/** Rows of a page that are read one after another. */
export type Run = readonly VisualRow[];

/** An amount, and nothing that it is of. */
export const amountAlone = ({ text }: Cell): boolean => {
  const plain = text.replace(/^[.\s…·_]+|[.\s…·_]+$/g, '');
  if (!/^[(~]?[\d½¼¾⅓⅔⅛%OlI]/.test(plain)) return false;
  const read = readAmount(plain);
  return read ? !/\p{L}{3}/u.test(read.rest) : plain.length <= 6;
};

const sideOf = (row: VisualRow, keep: (cell: Cell) => boolean): VisualRow | undefined => {
  const cells = row.cells.filter(keep);
  return cells.length > 0 ? { cells, box: around(cells.map((c) => c.box)) } : undefined;
};

interface Gutter {
  readonly from: number;
  readonly to: number;
  readonly x: number;
  readonly both: number;
}

/** The place that most rows leave empty, with something on both sides of it. */
function gutterOf(rows: Run): Gutter | undefined {
  const places = new Set(
    rows.flatMap((r) => r.cells.slice(1).map((c, i) => (r.cells[i]!.box.x1 + c.box.x0) / 2)),
  );
  let best: Gutter | undefined;
  for (const x of places) {
    let [from, both] = [0, 0];
    const close = (to: number): void => {
      if (both >= leastRows && both > (best?.both ?? 0)) best = { from, to, x, both };
    };
    rows.forEach((row, i) => {
      if (row.cells.some((c) => c.box.x0 < x && c.box.x1 > x)) {
        close(i);
        [from, both] = [i + 1, 0];
        return;
      }
      if (row.cells.some((c) => c.box.x1 <= x) && row.cells.some((c) => c.box.x0 >= x)) both += 1;
    });
    close(rows.length);
  }
  return best;
}

/** Names on one side and amounts on the other are one thing; whole rows on both are two columns. */
function isTable(rows: Run, { from, to, x }: Gutter): boolean {
  const both = rows.slice(from, to).flatMap((row) => {
    const [left, right] = [
      row.cells.filter((c) => c.box.x1 <= x),
      row.cells.filter((c) => c.box.x0 >= x),
    ];
    return left.length > 0 && right.length > 0 ? [{ left, right }] : [];
  });
  const amounts = both.filter(
    ({ left, right }) => left.every(amountAlone) || right.every(amountAlone),
  );
  return amounts.length >= ofTable * both.length;
}

/**
 * A page's rows in the order in which they are read: columns one after another, a table row by row.
 *
 * @returns runs of rows, each to be read by itself
 * @example columnsOf(visualRows(wordsOfCard)).length // 2: a list, and the method beside it
 */
export function columnsOf(rows: Run): Run[] {
  if (rows.length === 0) return [];
  const gutter = gutterOf(rows);
  if (!gutter || isTable(rows, gutter)) return [rows];
  const { from, to, x } = gutter;
  const between = rows.slice(from, to);
  const side = (keep: (cell: Cell) => boolean) => between.flatMap((r) => sideOf(r, keep) ?? []);
  return [
    ...columnsOf(rows.slice(0, from)),
    ...columnsOf(side((c) => c.box.x1 <= x)),
    ...columnsOf(side((c) => c.box.x0 >= x)),
    ...columnsOf(rows.slice(to)),
  ];
}
