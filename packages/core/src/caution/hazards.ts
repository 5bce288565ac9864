import type { Eaten } from '../formula/besides.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';

/**
 * What a thing is to somebody that must not have it, by its words: a household's own honey is honey, and so
 * is a line that says so where the pantry's row is of many things. Common practice, no source.
 */
const hazards = {
  honey: /\bhoney\b/i,
  xylitol: /\b(?:xylitol|birch sugar)\b/i,
  // The berries that are called currants grow on another bush.
  grapes: /\b(?:raisins?|sultanas?|grapes?)\b|(?<!\b(?:red|black|white)[- ]?)\bcurrants?\b/i,
  onions: /\b(?:onions?|garlic|leeks?|chives?|shallots?)\b/i,
  macadamia: /\bmacadamias?\b/i,
  lye: /\b(?:lye|sodium hydroxide|caustic soda)\b/i,
  cookedGrain:
    /\b(?:cooked|boiled|left-?over) (?:rice|barley|oats|grain|grains|millet|quinoa|porridge|spelt|bulgur)\b|\b(?:rice|barley|millet|quinoa),? cooked\b/i,
  bitterAlmonds: /\bbitter almonds?\b|\bapricot kernels?\b/i,
  cocoa: /\b(?:chocolate|cocoa|cacao)\b/i,
} as const satisfies Record<string, RegExp>;

export type Hazard = keyof typeof hazards;

const all = Object.entries(hazards) as Array<[Hazard, RegExp]>;
/** Most lines have no hazard in them: one look by all the words together finds that out. */
const any = new RegExp(all.map(([, words]) => words.source).join('|'), 'i');
const none: ReadonlySet<Hazard> = new Set();
/** The lines of the formulas at hand, so that a keystroke reads none of them again. */
const read = new Map<string, ReadonlySet<Hazard>>();
const mostRead = 2000;

function inWords(text: string): ReadonlySet<Hazard> {
  let found = read.get(text);
  if (!found) {
    found = any.test(text)
      ? new Set(all.flatMap(([id, words]) => (words.test(text) ? [id] : [])))
      : none;
    if (read.size >= mostRead) read.clear();
    read.set(text, found);
  }
  return found;
}

/**
 * What a text speaks of that somebody must not have, or must take care with.
 *
 * @example hazardsIn('Dip them in lye.').has('lye') // true
 */
export const hazardsIn = (text: string): ReadonlySet<Hazard> => inWords(text);

const ofRows = new WeakMap<Ingredient, ReadonlySet<Hazard>>();

/** What a row of the pantry is, by its name and by what it is like. */
function ofRow(of: Ingredient): ReadonlySet<Hazard> {
  let known = ofRows.get(of);
  if (!known) ofRows.set(of, (known = inWords(`${of.name} ${of.like ?? ''}`)));
  return known;
}

/**
 * What something is to somebody that must not have it: by its row's name, by what it is like, by the
 * baker's words.
 *
 * @example hazardsOf({of: ownHoney}).has('honey') // true
 */
export function hazardsOf({ of, asWritten }: Eaten): ReadonlySet<Hazard> {
  const row = of ? ofRow(of) : none;
  const said = asWritten ? inWords(asWritten) : none;
  return said.size === 0 ? row : new Set([...row, ...said]);
}
