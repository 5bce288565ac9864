import { evaluate, type Evaluation } from '@tender-crumb/core/evaluate';
import { formulaFormat, type Formula, type Line } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { defaultMeasures } from '@tender-crumb/core/quantity';
import { readRecipe } from '@tender-crumb/core/reader';
import type { StyleId } from '@tender-crumb/core/style';

type Amounts = Readonly<Record<string, number>>;

/** A formula from ingredient ids and grams, all weighed. */
export function build(
  dough: Amounts,
  style: StyleId = 'pan',
  starter?: Amounts,
  edit: Partial<Line> = {},
): Formula {
  let n = 0;
  const lines = (amounts: Amounts): Line[] =>
    Object.entries(amounts).map(([ingredient, grams]) => ({
      id: `l${++n}`,
      ingredient,
      grams,
      measured: 'scale',
      ...edit,
    }));
  return {
    format: formulaFormat,
    name: 'Test',
    style,
    stages: [
      ...(starter
        ? [{ id: 's0', kind: 'starter' as const, name: 'Starter', lines: lines(starter) }]
        : []),
      { id: 's1', kind: 'dough', name: 'Dough', lines: lines(dough) },
    ],
    taken: [],
    left: [],
  };
}

/** Evaluates what must have a level. */
export function judge(
  formula: Formula,
  household: Household = defaultHousehold,
  belief = nothingLearned,
): Evaluation {
  const evaluation = evaluate(formula, household, belief);
  if (!evaluation) throw new Error('no base');
  return evaluation;
}

export const read = (text: string, style: StyleId = 'pan') =>
  readRecipe(text, { measures: defaultMeasures, style });
