import { catalogue, ingredient, isIngredientId } from '../ingredient/catalogue.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { flourPhrase, isFreshlyMilled } from './flour-phrase.ts';
import { wordsAbroad } from './words-abroad.ts';
import { changesNothing, isProse, wordsOf } from './words.ts';

/** A spelling of an ingredient. */
interface Alias {
  readonly words: readonly string[];
  readonly of: Ingredient;
}

/** Flours are spoken of with and without the word flour. */
const spellings = (of: Ingredient): string[] =>
  of.role === 'flour'
    ? [of.name, ...of.aliases].flatMap((a) => (a.endsWith('flour') ? [a] : [a, `${a} flour`]))
    : [of.name, ...of.aliases];

/** What a household calls things, and the things that it has: read before the catalogue's. */
export interface Vocabulary {
  /** Aliases by the rarest of their words: a text that means one holds it. */
  readonly byRarest: ReadonlyMap<string, readonly Alias[]>;
  /** What a cube of yeast is. */
  readonly fresh: Ingredient;
  /** Aliases by each of their words, for what is only near. */
  readonly byWord: ReadonlyMap<string, readonly Alias[]>;
}

function vocabulary(aliases: readonly Alias[]): Vocabulary {
  const byWord = new Map<string, Alias[]>();
  const into = (index: Map<string, Alias[]>, word: string, alias: Alias) => {
    const list = index.get(word);
    if (list) list.push(alias);
    else index.set(word, [alias]);
  };
  for (const alias of aliases) {
    for (const word of new Set(alias.words)) into(byWord, word, alias);
  }
  const byRarest = new Map<string, Alias[]>();
  const count = (word: string): number => byWord.get(word)!.length;
  for (const alias of aliases) {
    if (alias.words.length === 0) continue;
    const rarest = alias.words.reduce((a, b) => (count(b) < count(a) ? b : a));
    into(byRarest, rarest, alias);
  }
  return { byRarest, byWord, fresh: ingredient('fresh-yeast') };
}

const ofCatalogue: readonly Alias[] = [
  ...catalogue.flatMap((of) => spellings(of).map((a) => ({ words: wordsOf(a), of }))),
  ...Object.entries(wordsAbroad).flatMap(([id, said]) =>
    said.split(', ').map((a) => ({ words: wordsOf(a), of: ingredient(id) })),
  ),
];
const plain = vocabulary(ofCatalogue);

/**
 * The words of a household: its own ingredients by their names, and what it learned to call things.
 *
 * @param all what the pantry has
 * @param words learned words, each with the id of what it is
 * @example vocabularyOf(pantry.all, {'blue meal': 'own-nettle-meal'})
 */
export function vocabularyOf(
  all: readonly Ingredient[],
  words: Readonly<Record<string, string>>,
): Vocabulary {
  const own = all.filter((i) => !isIngredientId(i.id));
  if (own.length === 0 && Object.keys(words).length === 0) return plain;
  const byId = new Map(all.map((i) => [i.id, i]));
  const learned = Object.entries(words).flatMap(([text, id]): Alias[] => {
    const of = byId.get(id);
    return of ? [{ words: wordsOf(text), of }] : [];
  });
  return vocabulary([
    ...learned,
    ...own.map((of) => ({ words: wordsOf(of.name), of })),
    ...ofCatalogue,
  ]);
}

/** Whether the alias's words all stand in the text, and every other word changes nothing. */
function fits({ words: alias, of }: Alias, words: readonly string[]): boolean {
  const left = [...words];
  for (const word of alias) {
    const at = left.indexOf(word);
    if (at < 0) return false;
    left.splice(at, 1);
  }
  return left.every((word) => changesNothing(word, of.role));
}

/** How many of an alias's words stand in the text as they follow one another in it. */
const inOrder = (alias: readonly string[], words: readonly string[]): boolean => {
  let at = 0;
  for (const word of words) if (word === alias[at]) at += 1;
  return at === alias.length;
};

/** The best alias of some words: the longest; of those, the one whose words stand in its order. */
function bestAlias(words: readonly string[], { byRarest }: Vocabulary): Alias | undefined {
  let found: Alias | undefined;
  let rank = 0;
  for (const word of new Set(words)) {
    for (const alias of byRarest.get(word) ?? []) {
      const most = 2 * alias.words.length + 1;
      if (most <= rank || alias.words.length > words.length || !fits(alias, words)) continue;
      const score = inOrder(alias.words, words) ? most : most - 1;
      if (score > rank) [found, rank] = [alias, score];
    }
  }
  return found;
}

const best = (words: readonly string[], vocabulary: Vocabulary): Ingredient | undefined =>
  bestAlias(words, vocabulary)?.of;

/** Several things in one name: "egg + yolk", "butter or oil". */
const several = /\s(?:or|and|plus)\s|[+&/]/i;

/**
 * The ingredient that a text names. Strict: a word that is neither part of a known name nor says what
 * changes nothing means that the thing is not known ("peanut flour" is not flour). Where two things are
 * named it is neither, unless both are the same.
 *
 * @param words the household's; the catalogue's alone where absent
 * @example matchIngredient('warm whole milk')?.id // 'milk'
 */
export function matchIngredient(text: string, words: Vocabulary = plain): Ingredient | undefined {
  // What a household calls things goes before what any flour is made of.
  const milled = isFreshlyMilled(text) ? flourPhrase(text) : undefined;
  const said = wordsOf(text);
  const alias = milled ? undefined : bestAlias(said, words);
  const flour = alias ? undefined : (milled ?? flourPhrase(text));
  const whole = alias?.of ?? (flour && ingredient(flour.id));
  // A name that holds an "and" of its own, such as "half and half", is one.
  if (!several.test(` ${text} `) || flour || alias?.words.length === said.length) return whole;
  const parts = text.split(several).map((part) => wordsOf(part));
  const each = parts.map((p) => best(p, words)?.id);
  if (!whole && /\sor\s|\//i.test(text) && each[0] && each.every((id) => id === each[0])) {
    return best(parts[0]!, words);
  }
  // Words that change nothing on one of the sides: "salt and as needed".
  if (
    whole &&
    parts.every(
      (p) => p.every((w) => changesNothing(w, whole.role)) || best(p, words)?.id === whole.id,
    )
  ) {
    return whole;
  }
  return undefined;
}

/**
 * The ingredient of a name with its notes: what stands behind a comma or in brackets takes part ("flour,
 * bread"; "milk (powdered)"), unless it says what for or how.
 *
 * @returns the ingredient, and the notes that took no part
 * @example matchWithNotes('milk', ['powdered'])?.of.id // 'milk-powder'
 */
export function matchWithNotes(
  name: string,
  notes: readonly string[],
  words: Vocabulary = plain,
): { of: Ingredient; notes: string[] } | undefined {
  const taking = notes.filter((note) => !isProse(note));
  // Of a note that only says how, what no name holds is passed over.
  const telling = taking.filter((note) => wordsOf(note).some((w) => words.byWord.has(w)));
  if (telling.length > 0) {
    const whole = matchIngredient(
      `${name} ${telling.join(' ').replace(/\s(?:and|&)\s/gi, ' ')}`,
      words,
    );
    if (whole) return { of: whole, notes: [...notes] };
    const alone = matchIngredient(name, words);
    const changes = telling.some((note) =>
      wordsOf(note).some((w) => words.byWord.has(w) && !changesNothing(w, alone?.role ?? 'liquid')),
    );
    // "Beer (stout)", "xylitol (birch sugar)": the note says it once more, by another of its names.
    const again = telling.every((note) => matchIngredient(note, words)?.role === alone?.role);
    return alone && (!changes || again) ? { of: alone, notes: [...notes] } : undefined;
  }
  const of = matchIngredient(name, words);
  return of && { of, notes: [...notes] };
}

/**
 * Ingredients that a text might mean, nearest first: to be suggested, never taken.
 *
 * @example nearest('blue wheat flour')[0]?.role // 'flour'
 */
export function nearest(text: string, words: Vocabulary = plain, most = 3): Ingredient[] {
  const said = wordsOf(text);
  const scores = new Map<string, { of: Ingredient; score: number }>();
  for (const word of new Set(said)) {
    for (const alias of words.byWord.get(word) ?? []) {
      const shared = alias.words.filter((w) => said.includes(w)).length;
      const score = shared / alias.words.length + shared / said.length;
      const before = scores.get(alias.of.id);
      if (!before || before.score < score) scores.set(alias.of.id, { of: alias.of, score });
    }
  }
  return [...scores.values()]
    .sort((a, b) => b.score - a.score)
    .slice(0, most)
    .map(({ of }) => of);
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
