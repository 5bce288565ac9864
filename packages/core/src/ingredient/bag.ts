import { isDay, isMoment } from '../quantity/day.ts';
import type { Refusal } from '../quantity/refusal.ts';
import {
  day,
  flag,
  ingredient,
  maybe,
  meaning,
  number,
  object,
  text,
  word,
  type DataOf,
} from '../quantity/shape.ts';
import type { Ingredient } from './ingredient.ts';

/** How a flour came to be what it is in its bag. One row a grind in {@link grinds}. */
export const grindIds = ['bought', 'fresh-warm', 'fresh-rested', 'sifted'] as const;
export type GrindId = (typeof grindIds)[number];

/** What is kept and told apart: a bag of flour (or of anything that a dough drinks with), yeast, a starter. */
const bagKinds = ['flour', 'yeast', 'starter'] as const;
export type BagKind = (typeof bagKinds)[number];

/** Where a starter stands between feedings. */
const keptPlaces = ['room', 'fridge'] as const;

/** Ranges are for {@link bagProblems} to judge, in words: here only that they are numbers. */
const anyNumber = number(-1e6, 1e6);

/** What a label and the baker say of a bag. */
export const bagShape = {
  name: text(120, 1),
  ingredient: meaning(ingredient, 'what it is; of a starter, the flour that it is fed'),
  kind: maybe(meaning(word(bagKinds), 'flour where nothing is said')),
  openedOn: maybe(day),
  grind: maybe(word(grindIds)),
  extraction: maybe(meaning(anyNumber, 'share of the grain that stays in a sifted flour')),
  protein: maybe(meaning(anyNumber, 'on the label, g per 100 g as is')),
  moisture: maybe(meaning(anyNumber, 'as measured, per cent wet basis')),
  price: maybe(
    meaning(
      object({ paid: anyNumber, kilograms: anyNumber }),
      'of the whole bag, in the household’s money, and how much it held',
    ),
  ),
  left: maybe(
    meaning(
      object({ grams: anyNumber, at: meaning(text(40, 1), 'when that was so, ISO 8601') }),
      'what was in it when somebody last looked: bakes take from that',
    ),
  ),
  bestBefore: maybe(meaning(day, 'on a packet of yeast')),
  hydration: maybe(meaning(anyNumber, 'water per flour that a starter is kept at, g per g')),
  seed: maybe(meaning(anyNumber, 'ripe starter per flour that it is fed, g per g')),
  keptAt: maybe(meaning(word(keptPlaces), 'where a starter stands between feedings')),
  fedOn: maybe(meaning(day, 'when a starter was last fed')),
  finished: maybe(meaning(flag, 'used up: kept for what it taught, offered no more')),
} as const;

/** A bag of flour or yeast, or a starter, told apart from others of its kind. */
export type Bag = {
  readonly id: string;
  /** Grams that are left today, where somebody once said what was in it: worked out, never said. */
  readonly hasLeft?: number;
} & DataOf<typeof bagShape>;

type BagField = keyof typeof bagShape;
/** What cannot be of a bag, said at its field. */
type BagProblem = Refusal<'beyond' | 'not-of-this-kind' | 'no-such-day', BagField>;

/** Fields that only some kinds have, with those that have them. */
const ofKinds: Readonly<Partial<Record<BagField, readonly BagKind[]>>> = {
  grind: ['flour'],
  extraction: ['flour'],
  protein: ['flour'],
  moisture: ['flour'],
  bestBefore: ['yeast'],
  hydration: ['starter'],
  seed: ['starter'],
  keptAt: ['starter'],
  fedOn: ['starter'],
};

const kindWords: Readonly<Record<BagKind, string>> = {
  flour: 'a bag of flour',
  yeast: 'a packet of yeast',
  starter: 'a starter',
};

/** What a bag can hold. Common practice, no source: beyond these it is a slip of the pen. */
const sane = {
  protein: [4, 25],
  moisture: [4, 20],
  extraction: [0.6, 1],
  kilograms: [0.005, 100],
  paid: [0, 10_000],
  hydration: [0.4, 2.5],
  seed: [0.002, 10],
} as const;

const within = (value: number | undefined, [low, high]: readonly [number, number]): boolean =>
  value === undefined || (value >= low && value <= high);

/** What a bag is kept as. */
export const kindOfBag = ({ kind = 'flour' }: Pick<Bag, 'kind'>): BagKind => kind;

/**
 * Whether a kind of bag can hold an ingredient: a packet of yeast holds yeast, a starter is fed flour.
 *
 * @example suitsBag(breadFlour, 'yeast') // false
 */
export const suitsBag = ({ yeast, role }: Ingredient, kind: BagKind): boolean =>
  kind === 'flour' || (kind === 'starter' ? role === 'flour' : yeast !== undefined);

/**
 * What is wrong with what was said of a bag; empty where nothing is.
 *
 * @example bagProblems({protein: 45}) // [{code: 'beyond', field: 'protein', says: 'A flour has …'}]
 */
export function bagProblems(bag: Partial<Omit<Bag, 'id'>>): BagProblem[] {
  const problems: BagProblem[] = [];
  const beyond = (field: BagField, says: string) => problems.push({ code: 'beyond', field, says });
  const kind = kindOfBag(bag);
  if (bag.name !== undefined && bag.name.trim() === '') beyond('name', 'It needs a name');
  for (const [field, kinds] of Object.entries(ofKinds)) {
    if (bag[field as BagField] !== undefined && !kinds.includes(kind)) {
      problems.push({
        code: 'not-of-this-kind',
        field: field as BagField,
        says: `That is not said of ${kindWords[kind]}`,
      });
    }
  }
  if (!within(bag.protein, sane.protein)) {
    beyond(
      'protein',
      'A flour has 4 to 25 % protein; above that it is gluten or a meal, and a kind of its own',
    );
  }
  if (!within(bag.moisture, sane.moisture)) {
    beyond('moisture', 'Flour holds 4 to 20 % water; above 15 % it spoils');
  }
  if (!within(bag.extraction, sane.extraction)) {
    beyond('extraction', 'Sifting keeps 60 to 100 % of the grain');
  }
  if (!within(bag.price?.kilograms, sane.kilograms) || !within(bag.price?.paid, sane.paid)) {
    beyond('price', 'A bag holds 0.005 to 100 kg and costs nothing or more');
  }
  if (!within(bag.hydration, sane.hydration)) {
    beyond('hydration', 'A starter is kept at 40 to 250 % of its flour');
  }
  if (!within(bag.seed, sane.seed)) {
    beyond('seed', 'A starter is fed from a tenth of its weight to five hundred times of it');
  }
  if (bag.left && !(bag.left.grams >= 0 && bag.left.grams <= 1000 * sane.kilograms[1])) {
    beyond('left', 'A bag has nothing left, or up to 100 kg');
  }
  if (bag.left && !isMoment(bag.left.at)) {
    problems.push({ code: 'no-such-day', field: 'left', says: 'There is no such moment' });
  }
  for (const field of ['openedOn', 'bestBefore', 'fedOn'] as const) {
    const said = bag[field];
    if (said !== undefined && !isDay(said)) {
      problems.push({ code: 'no-such-day', field, says: 'There is no such day' });
    }
  }
  return problems;
}

/** What was paid for a pack, in the household's money, and how much was in it. */
export type Price = NonNullable<Bag['price']>;

/**
 * What a kilogram of a bag cost.
 *
 * @returns undefined where its price is not known
 * @example pricePerKilo({price: {paid: 3, kilograms: 1.5}}) // 2
 */
export const pricePerKilo = ({ price }: Pick<Bag, 'price'>): number | undefined =>
  price && price.paid / price.kilograms;
