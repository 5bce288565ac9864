import { allLines, type Formula } from '../formula/formula.ts';
import type { Bag } from '../ingredient/bag.ts';
import type { Label } from '../ingredient/label.ts';

export const parcelFormat = 'tender-crumb/parcel-1';

/** An ingredient of a household's own, as its label says. */
export interface Labelled {
  readonly id: string;
  readonly label: Label;
}

/** A formula for another kitchen, with what that one cannot know. */
export interface Parcel {
  readonly format: typeof parcelFormat;
  readonly formula: Formula;
  readonly ingredients: readonly Labelled[];
  /** What one of a thing weighs, grams, by ingredient. */
  readonly each: Readonly<Record<string, number>>;
}

/** What a house knows and another does not. */
export interface HouseKnows {
  readonly bags: readonly Bag[];
  readonly labels: readonly Labelled[];
  readonly each: Readonly<Record<string, number>>;
}

/** Every ingredient that a formula names. */
const ingredientsOf = (formula: Formula): ReadonlySet<string> =>
  new Set([
    ...allLines(formula).map((l) => l.ingredient),
    ...formula.taken.flatMap((t) => t.changes.map((c) => c.ingredient)),
    ...(formula.outside ?? []).flatMap((o) => o.ingredient ?? []),
  ]);

/** Without what it is bound to in one house: a line is of its flour, a stage of any starter. */
function unbound(formula: Formula): { formula: Formula; bags: ReadonlySet<string> } {
  const bags = new Set<string>();
  const loose = <T extends { readonly bag?: string }>({ bag, ...rest }: T): Omit<T, 'bag'> => {
    if (bag !== undefined) bags.add(bag);
    return rest;
  };
  return {
    formula: {
      ...formula,
      stages: formula.stages.map((stage) => ({ ...loose(stage), lines: stage.lines.map(loose) })),
      taken: formula.taken.map((t) => ({ ...t, changes: t.changes.map(loose) })),
    },
    bags,
  };
}

/**
 * A formula as it is sent to a friend: bags become their flour, own ingredients and weights of one piece come along. What
 * stays behind is told.
 *
 * @returns the formula itself where nothing has to come along
 * @example toSend(formulaOfBlueBag, house).leftOut // ['the bag “Blue sack”']
 */
export function toSend(
  given: Formula,
  { bags, labels, each }: HouseKnows,
): { readonly file: Formula | Parcel; readonly leftOut: readonly string[] } {
  const { formula, bags: bound } = unbound(given);
  const named = ingredientsOf(formula);
  const leftOut = [...bound].map((id) => {
    const bag = bags.find((b) => b.id === id);
    return bag ? `the bag “${bag.name}”` : 'a bag that is gone';
  });
  const ingredients = labels.filter((l) => named.has(l.id));
  // A weight of one may be of a unit of it: `clove:garlic`.
  const ofNamed = Object.entries(each).filter(([key]) => named.has(key.split(':').at(-1)!));
  return {
    file:
      ingredients.length === 0 && ofNamed.length === 0
        ? formula
        : { format: parcelFormat, formula, ingredients, each: Object.fromEntries(ofNamed) },
    leftOut,
  };
}

/**
 * A formula whose ingredients have other names in this house.
 *
 * @param names by what each was called
 * @example renamed(formula, {'own-flour': 'own-flour-2'})
 */
export function renamed(formula: Formula, names: Readonly<Record<string, string>>): Formula {
  const own = <T extends { readonly ingredient: string }>(thing: T): T => ({
    ...thing,
    ingredient: names[thing.ingredient] ?? thing.ingredient,
  });
  return {
    ...formula,
    stages: formula.stages.map((s) => ({ ...s, lines: s.lines.map(own) })),
    taken: formula.taken.map((t) => ({ ...t, changes: t.changes.map(own) })),
    ...(formula.outside
      ? {
          outside: formula.outside.map((o) =>
            o.ingredient === undefined
              ? o
              : { ...o, ingredient: names[o.ingredient] ?? o.ingredient },
          ),
        }
      : {}),
  };
}
