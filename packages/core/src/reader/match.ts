import { catalogue } from '../ingredient/catalogue.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { roles } from '../ingredient/role.ts';

/** Words that say in what state a thing goes in, not what it is. */
const descriptors = new Set(
  `warm lukewarm tepid cold cool cooled chilled hot iced boiling very room temperature softened melted soft
  fresh freshly organic raw local runny clear large medium small extra big free range beaten lightly whisked
  unbleached bleached stone ground stoneground sifted fine finely coarse coarsely grated chopped toasted
  roasted good quality virgin mild pure filtered bottled spring active ripe fed bubbly mature recently
  of the some my your our each whole plain level heaped packed firmly loosely dry dried unsalted natural
  white dark light instant cubed diced sliced peeled about roughly high protein home made homemade milled
  powder granules granulated crumbled dissolved strained leftover cooked mashed thick thin full fat ordinary
  normal bag bagged golden my bought shop traditional fluffy quick rolled minced crushed`.split(
    /\s+/,
  ),
);

/** Lower case, no accents, no marks, one space, no plural s: what two spellings have in common. */
export const wordsOf = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/[\u0300-\u036f'’]/g, '')
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter(Boolean)
    .map((w) => (w.length > 3 && w.endsWith('s') && !w.endsWith('ss') ? w.slice(0, -1) : w));

/** Words that make another thing of what is wet: "dried egg" is not egg. */
const drying = new Set(['dry', 'dried', 'powder', 'powdered', 'granule', 'dehydrated']);

interface Alias {
  readonly words: readonly string[];
  readonly of: Ingredient;
}

/** Flours are spoken of with and without the word flour. */
const spellings = (of: Ingredient): string[] =>
  of.role === 'flour'
    ? [of.name, ...of.aliases].flatMap((a) => (a.endsWith('flour') ? [a] : [a, `${a} flour`]))
    : [of.name, ...of.aliases];

const aliases: readonly Alias[] = catalogue
  .flatMap((of) => spellings(of).map((a) => ({ words: wordsOf(a), of })))
  .sort((a, b) => b.words.length - a.words.length);

const byFirstWord = new Map<string, Alias[]>();
for (const alias of aliases) {
  const first = alias.words[0]!;
  byFirstWord.set(first, [...(byFirstWord.get(first) ?? []), alias]);
}

/** Whether the alias's words stand in the text in order, and every other word is a descriptor. */
function fits(alias: readonly string[], words: readonly string[]): boolean {
  let at = 0;
  for (const word of words) {
    if (word === alias[at]) at += 1;
    else if (!descriptors.has(word)) return false;
  }
  return at === alias.length;
}

/**
 * The catalogue's ingredient that a text names. Strict: a word that is neither part of a known name
 * nor a plain description means that the thing is not known ("peanut butter" is not butter).
 *
 * @example matchIngredient('warm whole milk')?.id // 'milk'
 */
export function matchIngredient(text: string): Ingredient | undefined {
  const words = wordsOf(text);
  const candidates = [...new Set(words)].flatMap((word) => byFirstWord.get(word) ?? []);
  let best: Alias | undefined;
  for (const alias of candidates) {
    if (alias.words.length > (best?.words.length ?? 0) && fits(alias.words, words)) best = alias;
  }
  const dried = words.some((w) => drying.has(w) && !best?.words.includes(w));
  return best && dried && roles[best.of.role].bringsWater ? undefined : best?.of;
}

/**
 * Ingredients whose names contain what was typed, best first: for choosing by typing.
 *
 * @example findIngredients('rye')[0].id // 'rye-whole'
 */
export function findIngredients(
  text: string,
  among: readonly Ingredient[] = catalogue,
): readonly Ingredient[] {
  const query = text.trim().toLowerCase();
  if (!query) return among;
  const rank = (of: Ingredient): number => {
    const names = [of.name.toLowerCase(), ...of.aliases];
    if (names.some((n) => n.startsWith(query))) return 0;
    if (names.some((n) => n.includes(` ${query}`))) return 1;
    return names.some((n) => n.includes(query)) ? 2 : 3;
  };
  return among
    .map((of) => [rank(of), of] as const)
    .filter(([r]) => r < 3)
    .sort(([a], [b]) => a - b)
    .map(([, of]) => of);
}
