import { coefficients, ingredient, type Belief } from '@tender-crumb/core';
import type { Draws } from './random.ts';

/** Two bags of each flour, told apart. */
export const demoBags = [
  { id: 'white-spring', name: 'Strong white, spring sack', ingredient: 'bread-flour' },
  { id: 'white-autumn', name: 'Strong white, autumn sack', ingredient: 'bread-flour' },
  { id: 'whole-spring', name: 'Whole wheat, blue paper', ingredient: 'whole-wheat' },
  { id: 'whole-autumn', name: 'Whole wheat, brown paper', ingredient: 'whole-wheat' },
  { id: 'crock-spring', name: 'Red wheat, first crock', ingredient: 'fresh-hard-wheat' },
  { id: 'crock-autumn', name: 'Red wheat, second crock', ingredient: 'fresh-hard-wheat' },
  { id: 'rye-spring', name: 'Rye, small tin', ingredient: 'rye-whole' },
  { id: 'rye-autumn', name: 'Rye, tall tin', ingredient: 'rye-whole' },
  { id: 'barley-spring', name: 'Barley, jar', ingredient: 'barley-whole' },
  { id: 'barley-autumn', name: 'Barley, second jar', ingredient: 'barley-whole' },
  { id: 'plain-spring', name: 'Plain, striped bag', ingredient: 'plain-flour' },
  { id: 'plain-autumn', name: 'Plain, white bag', ingredient: 'plain-flour' },
] as const;

/**
 * What is true in this household and nobody in it knows: each bag's thirst, how far its fats and
 * sugars soften, how heavily it fills a cup. Drawn from the catalogue's own spreads.
 */
export function hiddenTruth(draws: Draws): Belief {
  const bags = demoBags.map((bag) => {
    const spread = ingredient(bag.ingredient).thirst.sd;
    return [`thirst:bag:${bag.id}`, spread * 1.1 * draws.normal()] as const;
  });
  const others = ['vital-gluten', 'flax-meal', 'oat-fibre', 'rolled-oats'].map(
    (id) => [`thirst:${id}`, 0.6 * ingredient(id).thirst.sd * draws.normal()] as const,
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
