import { completeFormula, firstLoaves } from '@tender-crumb/core/exchange';
import { copyOf, type Formula } from '@tender-crumb/core/formula';

/** A formula with nothing in it yet. */
export const newFormula = (): Formula =>
  completeFormula({ name: 'New recipe', stages: [{ lines: [] }] });

/** A formula once more. */
export const copied = (formula: Formula, name: string): Formula =>
  copyOf(formula, `${name}, copy`.slice(0, 200));

/** One of ours to begin with, by its name. */
export const firstLoaf = (name: string): Formula => firstLoaves.find((l) => l.name === name)!;
