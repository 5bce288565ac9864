import {
  measuresFor,
  methods,
  setGrams,
  editLine,
  setPercent,
  type Formula,
  type ResolvedLine,
} from '@tender-crumb/core/formula';
import { kitchenOf } from '@tender-crumb/core/belief';
import { pantryIn, type Household } from '@tender-crumb/core/household';
import { gramsTyped, isRefused, mostGrams, numberTyped } from '@tender-crumb/core/quantity';
import { readMeasure } from '@tender-crumb/core/reader';

/** What a typed text makes of the formula, or what is wrong with it. */
export type Typed = { readonly formula: Formula } | { readonly fault: string };

type Column = (text: string, formula: Formula, line: ResolvedLine, household: Household) => Typed;

const grams: Column = (text, formula, line, household) => {
  const typed = numberTyped(text, household.writing);
  if (typed !== undefined) {
    const bare = gramsTyped(typed, household.writing);
    return bare <= mostGrams
      ? { formula: setGrams(formula, line.id, bare) }
      : { fault: `More than ${mostGrams / 1000} kg of one thing` };
  }
  return measure(text, formula, line, household);
};

const percent: Column = (text, formula, line, household) => {
  const value = numberTyped(text.replace('%', ''), household.writing);
  if (value === undefined) return { fault: 'A percentage such as 2 or 68.5' };
  if (value > 10_000) return { fault: 'More than a formula holds' };
  const next = setPercent(formula, line.id, value, household.percentages, pantryIn(household));
  return isRefused(next) ? { fault: next.refused.says } : { formula: next };
};

const measure: Column = (text, formula, line, household) => {
  const { measures } = household;
  const read = readMeasure(
    text,
    line.of,
    measuresFor(line, measures),
    kitchenOf(household).coefficients,
  );
  if ('code' in read) return { fault: `Not clear: ${read.says}` };
  const spread = read.spread > 0 ? read.spread : undefined;
  // A line that is dipped stays dipped, however many cups of it are typed.
  const same = methods[read.measured].by === methods[line.measured].by;
  const measured = same ? line.measured : read.measured;
  return { formula: editLine(formula, line.id, { grams: read.grams, measured, spread }) };
};

/** The editable columns of the sheet. */
export const columns: Readonly<Record<'percent' | 'grams' | 'measure', Column>> = {
  percent,
  grams,
  measure,
};
