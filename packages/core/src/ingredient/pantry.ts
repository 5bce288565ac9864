import { figure } from '../figure/figure.ts';
import { setHere, type OwnValues } from '../figure/settable.ts';
import { pricePerKilo, type Bag, type Price } from './bag.ts';
import { catalogue, ingredient as fromCatalogue, isIngredientId } from './catalogue.ts';
import { groundAs } from './grind.ts';
import type { Ingredient } from './ingredient.ts';
import { massPerWork, yeastWorkWith, type YeastWork } from './yeast.ts';

/** What a household bakes from: the catalogue, its own ingredients, its bags. */
export interface Pantry {
  readonly all: readonly Ingredient[];
  /** What its yeasts are worth. */
  readonly yeastWork: YeastWork;
  has(id: string): boolean;
  /** @throws RangeError for an id that is neither in the catalogue nor the household's own */
  ingredient(id: string): Ingredient;
  /** What a line is made of: its ingredient, as it is in its bag. */
  stuff(line: { readonly ingredient: string; readonly bag?: string }): Ingredient;
}

/** The catalogue alone, as a household has it that has said nothing yet. */
export const cataloguePantry: Pantry = {
  all: catalogue,
  yeastWork: massPerWork,
  has: isIngredientId,
  ingredient: fromCatalogue,
  stuff: (line) => fromCatalogue(line.ingredient),
};

/** What a household put into its pantry. */
interface PantryContents {
  readonly own: readonly Ingredient[];
  readonly bags: readonly Bag[];
  /** The household's own figures over the catalogue's. */
  readonly figures: OwnValues;
  /** What was paid for things that are in no bag, by ingredient. */
  readonly prices?: Readonly<Record<string, Price>>;
}

/** Bag to bag spread that is left where the label says the protein, g per 100 g: common practice. */
const labelledProteinSd = 0.3;

/** An ingredient with what its bag's label says. */
function bagged(of: Ingredient, bag: Bag): Ingredient {
  const ground = groundAs(of, bag);
  const { composition } = ground;
  return {
    ...ground,
    composition:
      bag.protein === undefined
        ? composition
        : {
            ...composition,
            protein: bag.protein,
            // What protein takes or gives is starch.
            carbohydrate: composition.carbohydrate + composition.protein - bag.protein,
            proteinSd: labelledProteinSd,
            source: `label of ${bag.name}; the rest ${composition.source}`,
          },
    bag,
    ...(bag.price ? { pricePerKilo: pricePerKilo(bag) } : {}),
  };
}

type Kinds = Pick<Required<PantryContents>, 'own' | 'figures' | 'prices'>;
interface KnownKinds {
  readonly of: Kinds;
  readonly all: readonly Ingredient[];
  readonly byId: ReadonlyMap<string, Ingredient>;
}

/** By the household's own ones: a book asks for the pantry of each kitchen that it was, and they differ in their bags. */
const kinds = new WeakMap<Kinds['own'], KnownKinds>();

/** Ingredients as the household has them, but for what its bags say. */
function kindsIn(
  own: Kinds['own'],
  figures: Kinds['figures'],
  prices: Kinds['prices'],
): KnownKinds {
  const known = kinds.get(own);
  if (known?.of.figures === figures && known.of.prices === prices) return known;
  const adjusted = (of: Ingredient): Ingredient => {
    const value = figures[`thirst:${of.id}`];
    const price = prices[of.id];
    if (value === undefined && !price) return of;
    return {
      ...of,
      ...(value === undefined
        ? {}
        : { absorption: figure(value, of.absorption.unit, of.absorption.sd, setHere) }),
      ...(price ? { pricePerKilo: pricePerKilo({ price }) } : {}),
    };
  };
  const all = [...catalogue, ...own].map(adjusted);
  const made = { of: { own, figures, prices }, all, byId: new Map(all.map((i) => [i.id, i])) };
  kinds.set(own, made);
  return made;
}

/**
 * A household's pantry.
 *
 * @example pantryOf({own: [], bags: [blue], figures: {}}).stuff({ingredient: 'bread-flour', bag: 'blue'})
 */
export function pantryOf({ own, bags, figures, prices = {} }: PantryContents): Pantry {
  const nothingSaid = [own, bags, Object.keys(figures), Object.keys(prices)].every(
    (said) => said.length === 0,
  );
  if (nothingSaid) {
    return cataloguePantry;
  }
  const { all, byId } = kindsIn(own, figures, prices);
  const ingredient = (id: string): Ingredient => {
    const found = byId.get(id);
    if (!found) throw new RangeError(`no ingredient "${id}" in the pantry`);
    return found;
  };
  const byBag = new Map(
    bags
      .filter((b) => byId.has(b.ingredient))
      .map((b) => [b.id, bagged(ingredient(b.ingredient), b)]),
  );
  return {
    all,
    yeastWork: yeastWorkWith(figures),
    has: (id) => byId.has(id),
    ingredient,
    stuff: (line) => {
      const inBag = line.bag === undefined ? undefined : byBag.get(line.bag);
      return inBag?.id === line.ingredient ? inBag : ingredient(line.ingredient);
    },
  };
}
