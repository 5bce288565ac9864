import { usualBaker } from '../household/baker.ts';
import type { Belief } from './belief.ts';
import type { Kitchen } from './kitchen.ts';

/**
 * How unsteady a touch can be, times what is usual, with how many hands are so. A grid takes in a hand in a few bakes,
 * where a normal of a variance takes in many. Own model, no source.
 */
const hands = [
  { times: 0.5, share: 0.08 },
  { times: 0.71, share: 0.19 },
  { times: 1, share: 0.31 },
  { times: 1.41, share: 0.23 },
  { times: 2, share: 0.13 },
  { times: 2.83, share: 0.06 },
] as const;

type Feels = Pick<Kitchen, 'belief' | 'baker' | 'coefficients'>;

const weightsOf = ({ hands: known }: Belief, baker = usualBaker): readonly number[] =>
  known?.[baker] ?? hands.map((h) => h.share);

/**
 * Spread of a touch of whoever stands at the bowl, points: as its touches so far have it.
 *
 * @example feelOf(kitchenOf(defaultHousehold)) // 2.06, of hands that nobody knows
 */
export const feelOf = ({ belief, baker, coefficients: { feel } }: Feels): number =>
  Math.sqrt(
    weightsOf(belief, baker).reduce(
      (sum, w, i) => sum + w * (hands[i]!.times * feel.value) ** 2,
      0,
    ),
  );

/**
 * A belief in which one more touch stands behind a baker's hand: each row of the table weighs as it foresaw that.
 *
 * @param density of what was felt, where a touch errs by so much, points
 */
export function withTouch(
  belief: Belief,
  { baker = usualBaker, coefficients: { feel } }: Omit<Feels, 'belief'>,
  density: (noise: number) => number,
): Belief {
  const weights = weightsOf(belief, baker).map((w, i) => w * density(hands[i]!.times * feel.value));
  const all = weights.reduce((sum, w) => sum + w, 0);
  // So far off that no hand foresaw it: it says nothing of the hand.
  if (!(all > 0)) return belief;
  return { ...belief, hands: { ...belief.hands, [baker]: weights.map((w) => w / all) } };
}
