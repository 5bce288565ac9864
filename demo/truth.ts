import { type Belief } from '@tender-crumb/core/belief';
import { coefficients } from '@tender-crumb/core/coefficients';
import { ingredient, type Bag, type Label } from '@tender-crumb/core/ingredient';
import type { Draws } from './random.ts';
import { thirstierBag } from './story.ts';

const bag = (
  id: string,
  name: string,
  ingredient: string,
  protein: number,
  [paid, kilograms]: readonly [number, number],
): Omit<Bag, 'openedOn'> => ({ id, name, ingredient, protein, price: { paid, kilograms } });

/** Two bags of each flour, told apart. */
export const demoBags: ReadonlyArray<Omit<Bag, 'openedOn'>> = [
  bag('white-spring', 'Strong white, spring sack', 'bread-flour', 12.4, [7.8, 5]),
  bag('white-autumn', 'Strong white, autumn sack', 'bread-flour', 12.1, [8.2, 5]),
  bag('whole-spring', 'Whole wheat, blue paper', 'whole-wheat', 13.4, [2.6, 1.5]),
  bag('whole-autumn', 'Whole wheat, brown paper', 'whole-wheat', 13, [2.5, 1.5]),
  bag('crock-spring', 'Red wheat, first crock', 'fresh-hard-wheat', 13.8, [14, 10]),
  bag('crock-autumn', 'Red wheat, second crock', 'fresh-hard-wheat', 13.2, [15, 10]),
  bag('rye-spring', 'Rye, small tin', 'rye-whole', 9.6, [2.1, 1]),
  bag('rye-autumn', 'Rye, tall tin', 'rye-whole', 10.2, [2.2, 1]),
  bag('barley-spring', 'Barley, jar', 'barley-whole', 10.4, [1.9, 1]),
  bag('barley-autumn', 'Barley, second jar', 'barley-whole', 10.8, [1.9, 1]),
  bag('plain-spring', 'Plain, striped bag', 'plain-flour', 10.6, [1.4, 1.5]),
  bag('plain-autumn', 'Plain, white bag', 'plain-flour', 10.2, [1.4, 1.5]),
];

/** Ingredients of its own, from their labels. */
export const demoLabels: readonly Label[] = [
  {
    name: 'Lock-side bean flour',
    like: 'lupin-flour',
    school: 'eu',
    protein: 26,
    fat: 2,
    carbohydrate: 34,
    fibre: 25,
    sugars: 3,
    salt: 0.05,
    moisture: 11,
    pricePerKilo: 4.6,
    allergens: [],
  },
];

/**
 * What is true in this household and nobody in it knows: each bag's absorption, how far its fats and
 * sugars soften, how heavily it fills a cup. Drawn from the catalogue's own spreads.
 */
export function hiddenTruth(draws: Draws): Belief {
  const bags = demoBags.map((b) => {
    const spread = ingredient(b.ingredient).absorption.sd;
    const own = spread * 1.1 * draws.normal();
    return [`thirst:bag:${b.id}`, b.id === thirstierBag.id ? thirstierBag.by : own] as const;
  });
  const others = ['vital-gluten', 'flax-meal', 'oat-fibre', 'rolled-oats'].map(
    (id) => [`thirst:${id}`, 0.6 * ingredient(id).absorption.sd * draws.normal()] as const,
  );
  const all = [
    ...bags,
    ...others,
    ['softening', coefficients.softening.sd * 0.5 * draws.normal()] as const,
    ['fill', 0.05] as const,
  ];
  return {
    keys: all.map(([key]) => key),
    mean: all.map(([, value]) => value),
    covariance: all.map(() => all.map(() => 0)),
    bakes: {},
  };
}
