import { formulaProblems, type FormulaJson } from '@tender-crumb/core/exchange';
import { bagBindings, type Formula } from '@tender-crumb/core/formula';
import { figureProblems } from '@tender-crumb/core/coefficients';
import { pantryIn, type Household, type Settings } from '@tender-crumb/core/household';
import {
  bagProblems,
  catalogue,
  kindOfBag,
  labelProblems,
  suitsBag,
  type Bag,
  type Label,
} from '@tender-crumb/core/ingredient';
import type { Refusal } from '@tender-crumb/core/quantity';
import { Problem, type Fault } from '../problem.ts';

const refuse = (title: string, faults: readonly Fault[]): void => {
  if (faults.length > 0) throw new Problem(422, title, faults.slice(0, 20));
};

/** Refusals of the core at their fields below a root. */
const faultsOf = (root: string, refusals: readonly Refusal[]): Fault[] =>
  refusals.map(({ field, says }) => ({
    where: field === undefined ? root : `${root}.${field}`,
    what: says,
  }));

/** Ingredients that a formula names, each with where it stands in it. */
const named = (formula: Formula): Array<{ where: string; ingredient: string }> => {
  const lines = formula.stages.flatMap((s, i) =>
    s.lines.map(({ ingredient }, k) => ({
      where: `stages[${i}].lines[${k}].ingredient`,
      ingredient,
    })),
  );
  return [
    ...lines,
    ...formula.taken.flatMap(({ changes }, i) =>
      changes.map(({ ingredient }, k) => ({
        where: `taken[${i}].changes[${k}].ingredient`,
        ingredient,
      })),
    ),
  ];
};

/**
 * Lets a formula through whose ingredients this household has.
 *
 * @param root where the formula stands in what was sent
 * @throws Problem 422 that names each of the others
 */
export function knownHere(formula: Formula, household: Household, root = 'body'): Formula {
  const pantry = pantryIn(household);
  const strange = named(formula).filter((n) => !pantry.has(n.ingredient));
  refuse(
    'An ingredient that is not in the pantry',
    strange.map(({ where, ingredient }) => ({
      where: `${root}.${where}`,
      what: `“${ingredient}” is not in the pantry`,
    })),
  );
  return formula;
}

/**
 * Lets a formula through whose lines are bound to bags that this household has, each of its kind.
 *
 * @throws Problem 422 that names each of the others
 */
export function boundHere(
  formula: Formula,
  { bags }: Pick<Household, 'bags'>,
  root = 'body',
): Formula {
  refuse(
    'A bag that is not in the pantry',
    bagBindings(formula, bags).map(({ field, says }) => ({
      where: `${root}.${field}`,
      what: says,
    })),
  );
  return formula;
}

/** @throws Problem 422 where a bag says what cannot be */
export function sensibleBag<T extends Omit<Bag, 'id'>>(bag: T, household: Household): T {
  const pantry = pantryIn(household);
  const faults = faultsOf('body', bagProblems(bag));
  if (!pantry.has(bag.ingredient)) {
    faults.push({ where: 'body.ingredient', what: `“${bag.ingredient}” is not in the pantry` });
  } else if (!suitsBag(pantry.ingredient(bag.ingredient), kindOfBag(bag))) {
    faults.push({ where: 'body.ingredient', what: `“${bag.ingredient}” is not kept so` });
  }
  refuse('A bag that cannot be', faults);
  return bag;
}

/** @throws Problem 422 where a label says what cannot be */
export function sensibleLabel(label: Label): Label {
  refuse('A label that cannot be', faultsOf('body', labelProblems(label)));
  return label;
}

/** @throws Problem 422 where a formula is larger than a kitchen's, or names what is not in it */
export function sensibleFormula<T extends FormulaJson>(formula: T, root = 'body'): T {
  refuse('A formula that cannot be', faultsOf(root, formulaProblems(formula)));
  return formula;
}

/** @throws Problem 422 where a figure is set that is none, or beyond its range */
export function sensibleSettings(settings: Settings, { own }: Pick<Household, 'own'>): Settings {
  refuse(
    'A figure that cannot be set so',
    faultsOf('body.figures', figureProblems([...catalogue, ...own], settings.figures)),
  );
  return settings;
}
