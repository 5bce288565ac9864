import { counted } from '../quantity/counted.ts';

const units =
  'cups?|teaspoons?|tsp|tablespoons?|tbsp|pints?|quarts?|pounds?|lbs?|kilos?|ounces?|oz|packets?|sticks?';

/** Numbers that a recipe writes in words. */
export const ones: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  ein: 1,
  eine: 1,
  einen: 1,
  une: 1,
  un: 1,
  una: 1,
  ...counted,
};
const one = Object.keys(ones).join('|');

const parts: Readonly<Record<string, number>> = {
  half: 1 / 2,
  quarter: 1 / 4,
  third: 1 / 3,
  eighth: 1 / 8,
};
const part = Object.keys(parts).join('|');
const partOf = (word: string): number => parts[word.toLowerCase().replace(/s$/, '')]!;
const oneOf = (word: string | undefined): number => (word ? ones[word.toLowerCase()]! : 1);
/** Three places are finer than any spoon. */
const plain = (value: number): string => String(Math.round(value * 1000) / 1000);

type Rewrite = readonly [RegExp, (...found: string[]) => string];

/** What a number in words at the start of a text is in figures, the first that fits. */
const rewrites: readonly Rewrite[] = [
  // "one and a half cups"
  [
    new RegExp(`^(${one})\\s+and\\s+an?\\s+(${part})\\b`, 'i'),
    (_, n, p) => plain(oneOf(n) + partOf(p!)),
  ],
  // "a teaspoon and a half of salt", "2 cups and a half"
  [
    new RegExp(`^(${one}|\\d+)\\s+(${units})\\s+and\\s+an?\\s+(${part})\\b`, 'i'),
    (_, n, u, p) => `${plain((ones[n!.toLowerCase()] ?? Number(n)) + partOf(p!))} ${u}`,
  ],
  // "three quarters of a cup", "two thirds cup"
  [
    new RegExp(`^(${one})[\\s-]+(${part})s(?:\\s+of)?(?:\\s+an?)?\\b`, 'i'),
    (_, n, p) => plain(oneOf(n) * partOf(p!)),
  ],
  [/^(?:half\s+a\s+dozen)\b/i, () => '6'],
  [/^(?:a|one)\s+dozen\b/i, () => '12'],
  // "half a cup", "a quarter of a teaspoon", "a third cup"
  [
    new RegExp(`^(?:an?\\s+|one\\s+)?(${part})(?:\\s+of)?(?:\\s+an?)?(?=[\\s-]+\\p{L})`, 'iu'),
    (_, p) => plain(partOf(p!)),
  ],
  [/^(?:a\s+)?couple(?:\s+of)?\b/i, () => '2'],
  [/^(?:a\s+)?few\b/i, () => 'about 3'],
  [new RegExp(`^(${one})(?=\\s+\\p{L})`, 'iu'), (_, n) => plain(oneOf(n))],
];

/**
 * A text whose amount in words stands in figures.
 *
 * @example inFigures('one and a half cups milk') // '1.5 cups milk'
 * @example inFigures('three quarters of a cup of milk') // '0.75 cup of milk'
 */
export function inFigures(text: string): string {
  const found = rewrites.find(([pattern]) => pattern.test(text));
  return found ? text.replace(found[0], found[1]) : text;
}
