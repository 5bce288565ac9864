import type { ResolvedLine } from '../formula/resolve.ts';
import type { Allergen, Ingredient } from '../ingredient/ingredient.ts';

/** An allergen's name on the lists that labels go by; absent where a list does not have it. */
interface Listed {
  readonly eu?: string;
  readonly us?: string;
}

/** EU 1169/2011, annex II (14 groups); US FALCPA and FASTER acts (9). A help, not a declaration. */
const lists: Readonly<Record<Allergen, Listed>> = {
  gluten: { eu: 'cereals containing gluten' },
  wheat: { us: 'wheat' },
  egg: { eu: 'eggs', us: 'egg' },
  milk: { eu: 'milk', us: 'milk' },
  soy: { eu: 'soybeans', us: 'soy' },
  sesame: { eu: 'sesame', us: 'sesame' },
  nuts: { eu: 'nuts', us: 'tree nuts' },
  lupin: { eu: 'lupin' },
};

export interface AllergenLists {
  readonly eu: readonly string[];
  readonly us: readonly string[];
}

/**
 * The allergens that a formula's ingredients bring, on the EU's list and the US one.
 *
 * @param besides what goes on the bread or into its filling
 * @example allergensOf(linesOfRyeBread) // {eu: ['cereals containing gluten'], us: []}
 */
export function allergensOf(
  lines: readonly ResolvedLine[],
  besides: readonly Ingredient[] = [],
): AllergenLists {
  const eaten = [...lines.filter((l) => l.grams > 0).map((l) => l.of), ...besides];
  const found = new Set(eaten.flatMap((i) => i.allergens));
  const on = (list: keyof Listed) =>
    [...found].flatMap((a) => lists[a][list] ?? []).sort((a, b) => a.localeCompare(b));
  return { eu: on('eu'), us: on('us') };
}
