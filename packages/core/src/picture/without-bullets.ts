import { middle } from './middle.ts';
import type { VisualRow } from './visual-rows.ts';
import { rowOf } from './visual-rows.ts';

/** What an engine makes of a bullet or a box to tick: short, and no word. Seen in pictures of lists. */
const like = /^[^\p{L}\d½¼¾⅓⅔⅛]{1,3}$|^[[\](){}|JjLlIOo0DeEnCcUuQ»«©®°¢€£§+\d.,-]{1,3}$/u;
/** And what of that nobody writes before an amount. */
const strange = /[^\d.,½¼¾⅓⅔⅛]/;
const amount = /^[\d½¼¾⅓⅔⅛%]/;

/** Marks stand so close to one line, in heights of the letters; and so many rows have them. Own choices, no source. */
const [close, leastRows, leastShare] = [0.6, 3, 0.5];
/** One mark is as wide as another within so many heights of the letters. Own choice, no source. */
const alikeWidth = 0.35;

/**
 * Rows of a list without the bullets before them, which are read as all kinds of signs: what stands in one line down the
 * left of a list, before an amount, and mostly is no figure.
 *
 * @param height of the letters
 */
export function withoutBullets(rows: readonly VisualRow[], height: number): VisualRow[] {
  const heads = rows.flatMap((row) => {
    const [first, second] = row.cells.flatMap((c) => c.words);
    return first && second && like.test(first.text) && amount.test(second.text)
      ? [{ row, first }]
      : [];
  });
  const left = middle(heads.map((h) => h.first.box.x0));
  if (left === undefined) return [...rows];
  const marks = heads.filter(({ first }) => Math.abs(first.box.x0 - left) <= close * height);
  const odd = marks.filter(({ first }) => strange.test(first.text));
  if (marks.length < leastRows || odd.length < leastShare * marks.length) return [...rows];
  const width = middle(odd.map(({ first }) => first.box.x1 - first.box.x0))!;
  // A figure among them is one of them where it is as wide: "0" for a box.
  const out = new Set(
    marks
      .filter(
        ({ first }) =>
          strange.test(first.text) ||
          Math.abs(first.box.x1 - first.box.x0 - width) <= alikeWidth * height,
      )
      .map((m) => m.row),
  );
  return rows.map((row) =>
    out.has(row) ? rowOf(row.cells.flatMap((c) => c.words).slice(1), height) : row,
  );
}
