import type { VisualRow } from './visual-rows.ts';
import type { Box, PrintedWord } from './word.ts';

/** A row that may go on: what there is of it, and the last row of the page that it took in. */
export interface Open {
  readonly text: string;
  readonly words: readonly PrintedWord[];
  readonly box: Box;
  readonly last: VisualRow;
}

/** A row that ends so is not at its end. */
const endsOpen =
  /(?:\p{Ll}-|&|\b(?:and|or|plus|with|of|the|an?|at|for|in|into|to|from|until|about))$/iu;
/** A row that begins so has another one before it. */
const goesOnWith =
  /^(?:\(|(?:and|or|plus|with|for|at|in|into|to|of|from|until|then|sifted|melted|softened|chopped)\b)/u;
const withAmount = /\d\s*(?:g|ml|kg|l|oz|lb)\b|\d\s*%|^[\d½¼¾⅓⅔⅛]/i;
/** So much of a thing: it begins a row. */
const weighed =
  /^[\d½¼¾⅓⅔⅛][\d½¼¾⅓⅔⅛.,/\s-]*(?:g|gr|grams?|ml|kg|l|oz|lb|cups?|tsp|tbsp|teaspoons?|tablespoons?)\b/i;
const numbered = /^\d{1,2}[.)]\s/;
/** A row of so many words is a sentence rather than a thing. Own choice. */
const ofSentence = 5;

/** A space between words, in heights of the letters. Own choice: about what typefaces have. */
const space = 0.3;

const isSentence = (text: string): boolean =>
  numbered.test(text) ||
  (/^\p{L}/u.test(text) &&
    text.split(' ').length >= ofSentence &&
    !/\d\s*(?:g|ml|kg|l|oz|lb|%)?$/i.test(text));

/**
 * Whether a row goes on with the one before: a sentence that has not ended, a thing that is still being named.
 *
 * @param right where the rows of its column end, and `height` of its letters
 * @example goesOn(rowOfSentence, nextRow, 400, 20) // true where it begins in lower case
 */
export function goesOn(before: Open, next: VisualRow, right: number, height: number): boolean {
  const [first] = next.cells[0]!.words;
  if (next.cells.length > 1 || !first || next.box.y0 - before.last.box.y1 > height) return false;
  const text = next.cells[0]!.text;
  if (/[.!?:]$/.test(before.text) || numbered.test(text)) return false;
  const sentence = isSentence(before.text);
  // A numbered step ends with a stop, or where the next one begins.
  if (numbered.test(before.text)) return true;
  if (weighed.test(text)) return false;
  // "flour 500 g" and "water 320 g" are two things, however long the first is.
  if (!sentence && withAmount.test(before.text) && withAmount.test(text) && !text.startsWith('('))
    return false;
  if (endsOpen.test(before.text) || (sentence && /^\p{Ll}/u.test(text))) return true;
  // It had no room for the next word.
  if (first.box.x1 - first.box.x0 + space * height < right - before.last.box.x1) return false;
  return sentence || goesOnWith.test(text) || before.text.endsWith(',');
}
