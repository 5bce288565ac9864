import { readAmount } from './amount.ts';
import type { TextRow } from './rows.ts';
import { sectionOf } from './section.ts';
import { starterWord } from './starter.ts';

/** One of several recipes that stand in a text: its rows, its title with them. */
interface RecipeRows {
  readonly title: string;
  readonly from: number;
  /** The row after its last. */
  readonly to: number;
}

/** What a bread has at the least; without it rows are a part of one. Common practice, no source. */
const needs: readonly RegExp[] = [
  /\b(?:flour|wholemeal|wheat|rye|spelt|meal|semolina|oat fibre|gluten)\b/i,
  /\b(?:water|milk|beer|buttermilk|whey|yogh?urt|eggs?)\b/i,
  /\b(?:salt|yeast|starter|levain|sourdough|baking powder|soda)\b/i,
];

/** Words of the parts of one bread. */
const partWords =
  /\b(?:dough|mix|mixing|stage|part|phase|day|night|morning|build|feed|step|soak\w*|scald|paste|method|ingredients?|filling|topping|glaze|notes?)\b/i;

const isWhole = (rows: readonly TextRow[]): boolean => {
  const weighed = rows.filter((r) => /\d|[¼½¾⅓⅔⅛]/.test(r.text) && r.text.length < 200);
  return needs.every((need) => weighed.some((r) => need.test(r.text)));
};

/** A title of a few words, alone on its row, which is none of the headings of a bread's own parts. */
const isTitle = (row: TextRow, first: boolean): boolean =>
  (first || row.heading === true || row.blankBefore === true) &&
  !row.item &&
  !row.numbered &&
  !row.closes &&
  row.text.split(/\s+/).length <= 8 &&
  /\p{L}{3}/u.test(row.text) &&
  !/[.!?,]$/.test(row.text) &&
  !readAmount(row.text) &&
  !sectionOf(row.text) &&
  !starterWord(row.text) &&
  !partWords.test(row.text);

/**
 * The recipes of a text that holds more than one: each begins with a title and has flour, something wet,
 * and salt or a leaven of its own. Parts of one bread are not told apart here.
 *
 * @returns nothing where there is one recipe, or none
 * @example recipesIn(rowsOf(twoBreads)).map((r) => r.title) // ['White tin loaf', 'Rye loaf']
 */
export function recipesIn(rows: readonly TextRow[]): RecipeRows[] {
  const titles = rows.flatMap((row, i) => (isTitle(row, i === 0) ? [i] : []));
  if (titles.length < 2) return [];
  const found: RecipeRows[] = [];
  let from = titles[0]!;
  // A title before which nothing whole stands goes with what follows it: "Breads of the week", "Rye loaf".
  for (const at of [...titles.slice(1), rows.length]) {
    if (!isWhole(rows.slice(from, at))) {
      if (
        found.length === 0 &&
        at < rows.length &&
        !rows.slice(from, at).some((r) => /\d/.test(r.text))
      )
        from = at;
      else if (found.length > 0 && at === rows.length)
        found[found.length - 1] = { ...found.at(-1)!, to: at };
      continue;
    }
    found.push({ title: rows[from]!.text.replace(/\s*:$/, ''), from, to: at });
    from = at;
  }
  return found.length > 1 ? found : [];
}
