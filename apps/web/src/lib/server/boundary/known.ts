import {
  allLines,
  bagProblems,
  catalogue,
  figureProblems,
  formulaProblems,
  labelProblems,
  pantryIn,
  type Bag,
  type Formula,
  type FormulaJson,
  type Household,
  type Label,
  type Settings,
} from '@tender-crumb/core';
import { Problem, type Fault } from '../problem.ts';

/** Ingredients that a formula names, each with where it stands. */
const named = (formula: Formula): Array<{ where: string; ingredient: string }> => [
  ...allLines(formula).map((l) => ({ where: `line ${l.id}`, ingredient: l.ingredient })),
  ...formula.taken.flatMap((t) =>
    t.changes.map((c) => ({ where: `correction ${t.id}`, ingredient: c.ingredient })),
  ),
];

/**
 * Lets a formula through whose ingredients this household has.
 *
 * @throws Problem 422 that names each of the others
 */
export function knownHere(formula: Formula, household: Household): Formula {
  const pantry = pantryIn(household);
  const strange = named(formula).filter((n) => !pantry.has(n.ingredient));
  if (strange.length === 0) return formula;
  throw new Problem(
    422,
    'An ingredient that is not in the pantry',
    strange
      .slice(0, 20)
      .map(({ where, ingredient }) => ({ where, what: `“${ingredient}” is not in the pantry` })),
  );
}

const refuse = (title: string, faults: Fault[]): void => {
  if (faults.length > 0) throw new Problem(422, title, faults);
};

/** @throws Problem 422 where a bag says what cannot be */
export function sensibleBag<T extends Omit<Bag, 'id'>>(bag: T, household: Household): T {
  const faults = bagProblems(bag).map(({ field, says }) => ({
    where: `body.${field}`,
    what: says,
  }));
  if (!pantryIn(household).has(bag.ingredient)) {
    faults.push({ where: 'body.ingredient', what: `“${bag.ingredient}” is not in the pantry` });
  }
  refuse('A bag that cannot be', faults);
  return bag;
}

/** @throws Problem 422 where a label says what cannot be */
export function sensibleLabel(label: Label): Label {
  refuse(
    'A label that cannot be',
    labelProblems(label).map(({ field, says }) => ({ where: `body.${field}`, what: says })),
  );
  return label;
}

/** @throws Problem 422 where a formula is larger than a kitchen's */
export function sensibleFormula<T extends FormulaJson>(formula: T, root = 'body'): T {
  refuse(
    'A formula that is too large',
    formulaProblems(formula).map(({ where, says }) => ({ where: `${root}.${where}`, what: says })),
  );
  return formula;
}

/** @throws Problem 422 where a figure is set that is none, or beyond its range */
export function sensibleSettings(settings: Settings, { own }: Pick<Household, 'own'>): Settings {
  refuse(
    'A figure that cannot be set so',
    figureProblems([...catalogue, ...own], settings.figures).map(({ name, says }) => ({
      where: `body.figures.${name}`,
      what: says,
    })),
  );
  return settings;
}
