import type { Coefficients } from '../coefficients/coefficients.ts';
import { type Household } from '../household/household.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import type { OwnFigures } from '../coefficients/figure-rows.ts';
import { riseFiguresWith } from '../coefficients/rise-figures.ts';
import { usualRise, type RiseModel } from './rise.ts';

/** By the household's own figures: a page asks for it at every keystroke. */
const made = new WeakMap<OwnFigures, RiseModel>();

/**
 * The rise model with a household's own figures in it.
 *
 * @example riseModelOf({figures: {riseGas: 500}, coefficients}).figures.riseGas.value // 500
 */
export function riseModelOf({
  figures,
  coefficients,
}: {
  readonly figures: OwnFigures;
  readonly coefficients: Coefficients;
}): RiseModel {
  if (Object.keys(figures).length === 0) return usualRise;
  const known = made.get(figures);
  if (known) return known;
  const model = { figures: riseFiguresWith(figures), coefficients };
  made.set(figures, model);
  return model;
}

/** The same for a household. */
export const riseModelIn = (household: Household): RiseModel =>
  riseModelOf({ figures: household.figures, coefficients: kitchenOf(household).coefficients });
