import type { Eaten } from '../formula/besides.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Allergen } from '../ingredient/ingredient.ts';

/** An allergen: its name on the lists that labels go by, absent where a list has it not, and its words. */
interface Listed {
  readonly eu?: string;
  readonly us?: string;
  /** Words that speak of it where the pantry's row is of many things; common practice, no source. */
  readonly words?: RegExp;
}

/** EU 1169/2011, annex II (14 groups); US FALCPA and FASTER acts (9). A help, not a declaration. */
export const allergenLists: Readonly<Record<Allergen, Listed>> = {
  gluten: {
    eu: 'cereals containing gluten',
    words: /\b(?:stout|porter|lager|ale|beer|kvass|barley malt)\b/i,
  },
  wheat: { us: 'wheat' },
  crustaceans: {
    eu: 'crustaceans',
    us: 'crustacean shellfish',
    words: /\b(?:prawns?|shrimps?|crabs?|lobsters?|crayfish)\b/i,
  },
  egg: { eu: 'eggs', us: 'egg' },
  fish: {
    eu: 'fish',
    us: 'fish',
    words: /\b(?:fish|anchov(?:y|ies)|tuna|salmon|sardines?|worcestershire)\b/i,
  },
  peanut: { eu: 'peanuts', us: 'peanuts', words: /\b(?:peanuts?|groundnuts?)\b/i },
  soy: { eu: 'soybeans', us: 'soy', words: /\b(?:soya?|miso|tofu|edamame)\b/i },
  milk: { eu: 'milk', us: 'milk' },
  nuts: {
    eu: 'nuts',
    us: 'tree nuts',
    words:
      /\b(?:almonds?|hazelnuts?|walnuts?|cashews?|pecans?|brazil nuts?|pistachios?|macadamias?|praline|marzipan|pesto)\b/i,
  },
  celery: { eu: 'celery', words: /\b(?:celery|celeriac)\b/i },
  mustard: { eu: 'mustard', words: /\bmustard\b/i },
  sesame: { eu: 'sesame', us: 'sesame', words: /\b(?:sesame|tahini|everything seasoning)\b/i },
  sulphites: {
    eu: 'sulphur dioxide and sulphites',
    words: /\b(?:sul(?:ph|f)ites?|sul(?:ph|f)ured|wine|cider|dried apricots?)\b/i,
  },
  lupin: { eu: 'lupin', words: /\blupin\b/i },
  molluscs: { eu: 'molluscs', words: /\b(?:mussels?|clams?|oysters?|squid|snails?)\b/i },
};

interface AllergenLists {
  readonly eu: readonly string[];
  readonly us: readonly string[];
}

const all = Object.entries(allergenLists) as Array<[Allergen, Listed]>;

/**
 * The allergens that a formula's ingredients bring, on the EU's list and the US one: those of their rows,
 * and those that the baker's own words speak of.
 *
 * @param besides what goes on the bread or into its filling
 * @example allergensOf(linesOfRyeBread) // {eu: ['cereals containing gluten'], us: []}
 */
export function allergensOf(
  lines: readonly ResolvedLine[],
  besides: readonly Eaten[] = [],
): AllergenLists {
  const eaten: Eaten[] = [...lines.filter((l) => l.grams > 0), ...besides];
  const found = all.filter(([id, { words }]) =>
    eaten.some(
      ({ of, asWritten }) =>
        of?.allergens.includes(id) ||
        (words && [of?.name, asWritten].some((text) => text !== undefined && words.test(text))),
    ),
  );
  const on = (list: 'eu' | 'us') =>
    found.flatMap(([, names]) => names[list] ?? []).sort((a, b) => a.localeCompare(b));
  return { eu: on('eu'), us: on('us') };
}
