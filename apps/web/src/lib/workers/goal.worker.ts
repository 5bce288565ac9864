import { evaluate } from '@tender-crumb/core/evaluate';
import { mainStage, type Formula } from '@tender-crumb/core/formula';
import { type Found, type Goal, candidatesOf, findBread } from '@tender-crumb/core/goal';
import { type Belief, kitchenOf } from '@tender-crumb/core/belief';
import { pantryIn, type Household } from '@tender-crumb/core/household';
import { expose } from 'comlink';

const finder = {
  /** Looks for a bread of what is in the formula and what is offered beside it. */
  find(
    formula: Formula,
    household: Household,
    belief: Belief,
    offered: readonly string[],
    goal: Omit<Goal, 'window'>,
  ): Found | undefined {
    const evaluation = evaluate(formula, household, belief);
    if (!evaluation) return undefined;
    const pantry = pantryIn(household);
    const stage = mainStage(formula).id;
    const candidates = candidatesOf(
      evaluation.lines,
      // As it is in the bag that is open, with its price and what its label says.
      offered.map((id) => {
        const bag = household.bags.find((b) => b.ingredient === id && !b.finished);
        return bag ? pantry.stuff({ ingredient: id, bag: bag.id }) : pantry.ingredient(id);
      }),
      stage,
    );
    const kitchen = kitchenOf(household, belief);
    const whole = { ...goal, window: evaluation.window };
    return findBread(candidates, whole, kitchen, stage);
  },
};

export type Finder = typeof finder;
expose(finder);
