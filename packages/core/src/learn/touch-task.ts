import type { Belief } from '../belief/belief.ts';
import { feelOf, withTouch } from '../belief/hands.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import { level } from '../dough/level.ts';
import { figure } from '../figure/figure.ts';
import { withBaker, type Baker } from '../household/baker.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { bareLine } from '../formula/bare-line.ts';
import { conditioned } from './update.ts';

/** The doughs by which a hand is tried, the stiffest first: 60, 64 and 68 % water. Own choice, no source. */
export const taskDoughs = [
  { flour: 50, water: 30 },
  { flour: 50, water: 32 },
  { flour: 50, water: 34 },
] as const;

/** Three little doughs of one flour and water depart from the model together, and less than breads do. */
const together = figure(0.7, 'points', 0.3, 'own model, judged on simulated households');

/** A belief in which one hand was tried on three doughs. */
function withTask(belief: Belief, { id, felt }: Baker, household: Household): Belief {
  if (!felt) return belief;
  const kitchen = kitchenOf(withBaker(household, id), belief);
  const pantry = pantryIn(household);
  if (!pantry.has(felt.flour)) return belief;
  const [flourOf, waterOf] = [pantry.ingredient(felt.flour), pantry.ingredient('water')];
  const levels = taskDoughs.map(({ flour, water }) =>
    level([bareLine(flourOf, flour), bareLine(waterOf, water)], kitchen),
  );
  const [, middle] = levels;
  if (!middle || levels.some((l) => !l)) return belief;
  const off = levels.map((l, i) => felt.points[i]! - l!.points);
  const mean = off.reduce((sum, o) => sum + o, 0) / off.length;
  const squares = off.reduce((sum, o) => sum + (o - mean) ** 2, 0);
  // How the three lie about their middle tells how steady the hand is; of it, two of three are free.
  const steadier = withTouch(
    belief,
    kitchen,
    (noise) => noise ** -(off.length - 1) * Math.exp(-squares / (2 * noise ** 2)),
  );
  const hand = feelOf({ ...kitchen, belief: steadier });
  const moves = [...middle.slopes].filter(([key]) => key !== 'departure');
  const passing = [...middle.passing.values()].reduce((sum, p) => sum + p * p, 0);
  return conditioned(steadier, {
    residual: mean,
    slopes: new Map(moves),
    priors: new Map(moves.map(([key]) => [key, middle.priors.get(key)!] as const)),
    noise: together.value ** 2 + (hand ** 2 + passing) / off.length,
  });
}

/**
 * A belief in which the hands that were tried are known: three doughs of flour and water, 60, 64 and 68 %, felt one after
 * the other. Their middle tells how the hand leans and how the flour drinks; their spread, how steady the hand is.
 *
 * @returns the same belief where nobody was tried
 * @example withTouchTasks(nothingLearned, defaultHousehold) === nothingLearned // true
 */
export const withTouchTasks = (belief: Belief, household: Household): Belief =>
  household.bakers.reduce((known, baker) => withTask(known, baker, household), belief);
